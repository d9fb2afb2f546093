import type { ToolOutline } from '../../core/cutting/tip.ts';
import type { MistakeView } from '../../core/job/mistakes.ts';
import { Plate, type Size } from './Plate.tsx';
import { outlinePoints, pathOf } from './toolPath.ts';

interface Props {
  readonly tool: ToolOutline;
  readonly leftHand: boolean;
  readonly depthMm: number;
  readonly radiusMm: number;
  readonly mistake: MistakeView;
  /** As it was put in: degrees, or mm for the height. */
  readonly by: number;
}

/** The groove meant (dashed) and the one that comes of the mistake; the height as seen from the tailstock. */
export function MistakePlate(p: Props) {
  return (
    <Plate
      label="The groove as meant, dashed, and as it comes out"
      className="min-h-72"
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

const rad = (deg: number): number => (deg * Math.PI) / 180;

function Drawing({ tool, leftHand, depthMm, radiusMm, mistake, by, w, h }: Props & Size) {
  if (mistake.kind === 'height') return <Height radiusMm={radiusMm} depthMm={depthMm} by={by} w={w} h={h} />;
  const meant = outlinePoints(tool, leftHand, depthMm);
  const reach = Math.max(...meant.map((q) => Math.abs(q.x)));
  const scale = Math.min((h - 100) / depthMm, (w - 120) / (reach * 2.6));
  const [cx, top] = [w / 2, 52];
  const put = (q: { readonly x: number; readonly y: number }) => ({ x: cx + q.x * scale, y: top + q.y * scale });
  const turn = (q: { readonly x: number; readonly y: number }) => {
    const a = rad(leftHand ? -by : by);
    const y = q.y - depthMm;
    return { x: q.x * Math.cos(a) - y * Math.sin(a), y: depthMm + q.x * Math.sin(a) + y * Math.cos(a) };
  };
  const cut =
    mistake.kind === 'square' ? meant.map(turn) : stepped(tool, leftHand, depthMm, mistake.passes, mistake.tooWideMm);
  return (
    <>
      <rect x="16" y={top} width={w - 32} height={h - top - 12} fill="url(#hatch)" />
      <path d={pathOf(cut.map(put))} fill="var(--deep)" stroke="var(--scribe)" strokeWidth="3" />
      <path
        d={pathOf(meant.map(put), false)}
        fill="none"
        stroke="var(--scribe2)"
        strokeWidth="2.5"
        strokeDasharray="8 6"
      />
      <path d={`M16 ${top}H${w - 16}`} stroke="var(--scribe)" strokeWidth="2" />
      <text x="22" y="34" fontSize="16" fill="var(--scribe2)">
        dashed: as meant; solid: as it comes out
      </text>
    </>
  );
}

/** The trailing flank in steps, one a pass. */
function stepped(tool: ToolOutline, leftHand: boolean, depthMm: number, passes: number, wideMm: number) {
  const meant = outlinePoints(tool, leftHand, depthMm);
  if (wideMm === 0) return meant;
  const trailing = leftHand ? -1 : 1;
  // a deeper pass lies farther towards the leading flank than it should: what was cut before stays too wide behind
  return meant.map((q) => {
    if (q.x * trailing <= 0) return q;
    const step = Math.floor((1 - q.y / depthMm) * passes + 1e-9) / passes;
    return { x: q.x + trailing * wideMm * step, y: q.y };
  });
}

/** From the tailstock: the tip over or under the centre, and how the work curves away from it. */
function Height({
  radiusMm,
  depthMm,
  by,
  w,
  h,
}: { readonly radiusMm: number; readonly depthMm: number; readonly by: number } & Size) {
  const r = h * 0.62;
  const scale = r / radiusMm;
  const [cx, cy] = [w * 0.3, h * 0.56];
  const off = -by * scale;
  const x = cx + Math.sqrt(Math.max(0, r * r - off * off)) - depthMm * scale;
  return (
    <>
      <text x="22" y="34" fontSize="16" fill="var(--scribe2)">
        from the tailstock, you at the right
      </text>
      <circle cx={cx} cy={cy} r={r} fill="url(#hatch)" stroke="var(--scribe)" strokeWidth="2.5" />
      <circle
        cx={cx}
        cy={cy}
        r={Math.max(4, r - depthMm * scale)}
        fill="none"
        stroke="var(--scribe2)"
        strokeDasharray="8 6"
      />
      <path d={`M${cx - 20} ${cy}H${w - 20}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      <path d={`M${x} ${cy + off}H${w - 60}v64H${x + 12}Z`} fill="url(#steel)" stroke="var(--deep)" strokeWidth="2" />
      <path d={`M${w - 44} ${cy}V${cy + off}`} stroke="var(--straw)" strokeWidth="5" />
    </>
  );
}
