import type { ToolView } from '../../core/job/toolView.ts';
import { degreesText } from '../../core/quantity/format.ts';

/** From the end: how the two sides lean under their edges. Angles true, height free. */
export function EndOn({
  view,
  box,
}: {
  readonly view: ToolView;
  readonly box: { x: number; y: number; w: number; h: number };
}) {
  const { sheet, leftHand } = view;
  const lead = { deg: sheet.leadingReliefDeg, name: 'leading' };
  const trail = { deg: sheet.trailingReliefDeg, name: 'trailing' };
  const [l, r] = leftHand ? [trail, lead] : [lead, trail];
  const tan = (d: number): number => Math.tan((d * Math.PI) / 180);
  const height = box.h - 60;
  const lean = (l_: number): number => tan(l_) * height;
  const wide = Math.max(56, lean(l.deg) + lean(r.deg) + 22);
  const x0 = box.x + (box.w - wide) / 2;
  const y0 = box.y + 8;
  const points = [
    [x0, y0],
    [x0 + wide, y0],
    [x0 + wide - lean(r.deg), y0 + height],
    [x0 + lean(l.deg), y0 + height],
  ] as const;
  const label = (at: number, a: { deg: number; name: string }, anchor: 'start' | 'end'): React.ReactNode => (
    <>
      <text
        x={at}
        y={y0 + height - 4}
        textAnchor={anchor}
        fontSize="22"
        fontWeight="700"
        fontFamily="var(--font-mono)"
        fill="var(--scribe)"
      >
        {degreesText(a.deg)}
      </text>
      <text x={at} y={y0 + height + 16} textAnchor={anchor} fontSize="15" fill="var(--scribe2)">
        {a.name}
      </text>
    </>
  );
  return (
    <>
      <text
        x={box.x + box.w / 2}
        y={box.y - 14}
        textAnchor="middle"
        fontSize="17"
        fontWeight="700"
        fill="var(--scribe)"
      >
        end on
      </text>
      <path d={`M${x0} ${y0}V${y0 + height}M${x0 + wide} ${y0}V${y0 + height}`} stroke="var(--scribe2)" />
      <path
        d={`M${points.map((q) => q.join(' ')).join('L')}Z`}
        fill="url(#steel)"
        stroke="var(--deep)"
        strokeWidth="2"
      />
      {label(x0 - 8, l, 'end')}
      {label(x0 + wide + 8, r, 'start')}
    </>
  );
}
