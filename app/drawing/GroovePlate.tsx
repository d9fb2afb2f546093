import { type PlanRequest, toolOf } from '../../core/cutting/plan.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Plate, type Size } from './Plate.tsx';
import { type ToolOutline, leadingReachMm, trailingReachMm } from '../../core/cutting/tip.ts';
import { pathOf, outlinePoints } from './toolPath.ts';
import { Arrow, Compass } from './marks.tsx';
import { PassDots } from './PassDots.tsx';
import { DepthScale } from './DepthScaleDrawing.tsx';

interface Stand {
  readonly depthMm: number;
  readonly axialMm: number;
}

export interface GrooveProps {
  readonly passes: readonly Stand[];
  /** What is cut already. */
  readonly doneMm: number;
  readonly axialMm: number;
  readonly request: PlanRequest;
  readonly unit: UnitSystem;
  readonly toGo: string | null;
  readonly dots: { readonly done: number; readonly toCome: number; readonly springs: number; readonly sprung: number };
  /** Passes from the next one on that run in the old groove. */
  readonly airPasses: number;
}

/**
 * The groove filling up, to scale and from the metal as it is: seen from above, headstock at the left, the person at the bottom.
 * Outside work lies above and the tool comes from below; in a nut the wall lies below and the tool points down.
 */
export function GroovePlate(p: GrooveProps) {
  const label = `Groove from above, headstock at the left: ${p.passes.length} passes to come${p.toGo === null ? '' : `, ${p.toGo} to go`}`;
  return <Plate label={label} draw={(size) => <Drawing {...p} {...size} />} />;
}

/** Room for words at the top, and for the row of passes at the bottom. */
const TOP = 40;

const DOTS = 44;

/** Lower than this the plate is a strip: words stand in one line and the tool has less room. */
const STRIP_PX = 330;

/** How depth and axial place lie on the plate. */
function layout(p: GrooveProps, tool: ToolOutline, { w, h }: Size) {
  const full = Math.max(p.doneMm, p.passes.at(-1)?.depthMm ?? 0, 0.01);
  const half = Math.max(leadingReachMm(tool, full), trailingReachMm(tool, full));
  const shift = Math.max(Math.abs(p.axialMm), ...p.passes.map((s) => Math.abs(s.axialMm)));
  const strip = h < STRIP_PX;
  const room = h - TOP - DOTS;
  const share = strip ? 0.66 : 0.6;
  const scale = Math.min((w / 2 - 50) / (half + shift + 1e-6), (room * (share - (strip ? 0.02 : 0.12))) / full);
  const up = p.request.member === 'internal' ? 1 : -1;
  const surface = p.request.member === 'internal' ? TOP + room * (1 - share) : TOP + room * share;
  const x = (mm: number): number => w / 2 - 18 - mm * scale;
  const y = (depth: number): number => surface + up * depth * scale;
  return { full, scale, up, surface, x, y, room, strip };
}

function Drawing(p: GrooveProps & Size) {
  const { w, h } = p;
  const internal = p.request.member === 'internal';
  const tool = toolOf(p.request);
  const { full, scale, up, surface, x, y, room, strip } = layout(p, tool, p);
  const shape = ({ depthMm, axialMm }: Stand): string =>
    pathOf(outlinePoints(tool, p.request.leftHand, depthMm).map((q) => ({ x: x(axialMm) + q.x * scale, y: y(q.y) })));
  const [next] = p.passes;
  const last = p.passes.at(-1);
  const done = { depthMm: p.doneMm, axialMm: p.axialMm };
  const off = room * 0.07;
  // the tool stands off along the line on which it feeds
  const from = next ?? done;
  const slope = full > 0 && last ? (last.axialMm - p.axialMm) / Math.max(1e-6, last.depthMm - p.doneMm) : 0;
  const back = off / scale;
  const tip = { x: x(from.axialMm - slope * (from.depthMm + back)), y: y(-back) };
  const toolLong = room * 0.3;
  const toolShape = pathOf(
    outlinePoints(tool, p.request.leftHand, toolLong / scale).map((q) => ({
      x: tip.x + q.x * scale,
      y: tip.y - up * (toolLong - q.y * scale),
    })),
  );
  const work = internal ? { y: surface, h: h - surface } : { y: 0, h: surface };
  return (
    <>
      <rect x="0" y={work.y} width={w} height={work.h} fill="url(#hatch)" />
      <path d={toolShape} fill="url(#steel)" stroke="var(--deep)" strokeWidth="1.5" />
      {p.passes
        .map((s, i) => ({ s, air: i < p.airPasses }))
        .toReversed()
        .map(({ s, air }) => (
          <path
            key={s.depthMm}
            d={shape(s)}
            fill={s === next && !air ? 'var(--straw)' : 'none'}
            stroke={s === last ? 'var(--scribe)' : 'var(--scribe2)'}
            strokeWidth={s === last ? 2 : 1}
            strokeDasharray={air ? '5 4' : undefined}
            opacity={s === next || s === last ? 1 : 0.75}
          />
        ))}
      {p.doneMm > 0 && <path d={shape(done)} fill="var(--deep)" stroke="var(--scribe)" strokeWidth="2.5" />}
      <path d={`M0 ${surface}H${w}`} stroke="var(--scribe)" strokeWidth="3" />
      {next && <Arrow from={{ x: tip.x, y: tip.y }} to={{ x: x(next.axialMm), y: y(next.depthMm) }} />}
      <DepthScale x={w - 40} y={y} full={full} unit={p.unit} at={next?.depthMm ?? p.doneMm} scale={scale} />
      <Compass w={w} y={30} right="from above" />
      {p.toGo !== null && (
        <ToGo text={p.toGo} strip={strip} y={strip ? TOP + 22 : internal ? h - DOTS - 40 : TOP + 36} />
      )}
      <PassDots {...p.dots} x={26} y={h - 22} width={w - 46} />
    </>
  );
}

function ToGo({ text, strip, y }: { readonly text: string; readonly strip: boolean; readonly y: number }) {
  return (
    <g fill="var(--scribe)">
      <text x="22" y={y} fontSize="18">
        to go
      </text>
      <text
        x={strip ? 74 : 22}
        y={strip ? y + 2 : y + 34}
        fontSize={strip ? 24 : 32}
        fontWeight="700"
        fontFamily="var(--font-mono)"
      >
        {text}
      </text>
    </g>
  );
}
