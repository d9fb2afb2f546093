import { toolOf, type PlanRequest } from '../../../core/cutting/plan.ts';
import { leadingReachMm, trailingReachMm } from '../../../core/cutting/tip.ts';

interface Stand {
  readonly depthMm: number;
  readonly axialMm: number;
}
interface GrooveProps {
  readonly passes: readonly Stand[];
  /** What is cut already. */
  readonly doneMm: number;
  readonly axialMm: number;
  readonly request: PlanRequest;
  readonly internal: boolean;
  readonly leftHand: boolean;
}

/** Points along each side of the tool's outline: enough for a round nose. */
const POINTS = 10;

/**
 * The groove filling up, from the metal as it is: seen from above, headstock at the left, the person at the bottom. Outside
 * work lies above and the tool comes from below; in a nut the wall lies below.
 */
export function Groove({ passes, doneMm, axialMm, request, internal, leftHand }: GrooveProps) {
  const tool = toolOf(request);
  const full = Math.max(doneMm, passes.at(-1)?.depthMm ?? 0, 0.01);
  const half = Math.max(leadingReachMm(tool, full), trailingReachMm(tool, full));
  const shift = Math.max(Math.abs(axialMm), ...passes.map((p) => Math.abs(p.axialMm)));
  const scale = Math.min(90 / (half + shift + 1e-6), 150 / full);
  const height = full * scale + 40;
  const up = internal ? 1 : -1;
  const surface = internal ? 14 : height - 14;
  const x = (mm: number): number => 110 - mm * scale;
  const y = (depth: number): number => surface + up * depth * scale;
  // leading is the side towards which the tool travels: left (headstock) for a right-hand thread
  const toHead = (h: number): number => (leftHand ? trailingReachMm(tool, h) : leadingReachMm(tool, h));
  const fromHead = (h: number): number => (leftHand ? leadingReachMm(tool, h) : trailingReachMm(tool, h));
  const shape = ({ depthMm: d, axialMm: a }: Stand): string => {
    const heights = Array.from({ length: POINTS + 1 }, (_, i) => (d * i) / POINTS);
    const left = heights.toReversed().map((h) => `${x(a + toHead(h))} ${y(d - h)}`);
    const right = heights.map((h) => `${x(a - fromHead(h))} ${y(d - h)}`);
    return `M${[...left, ...right].join(' L')} Z`;
  };
  const [next] = passes;
  return (
    <svg
      viewBox={`0 0 220 ${height}`}
      className="max-h-64 w-full"
      role="img"
      aria-label={`Groove from above, headstock at the left: ${passes.length} passes to come`}
    >
      <rect x="0" y={internal ? 14 : 0} width="220" height={height - 14} fill="var(--inset)" />
      {passes.toReversed().map((p) => (
        <path
          key={p.depthMm}
          d={shape(p)}
          fill={p === next ? 'var(--blue)' : 'var(--line)'}
          stroke="var(--panel)"
          strokeWidth="0.8"
        />
      ))}
      {doneMm > 0 && <path d={shape({ depthMm: doneMm, axialMm })} fill="var(--panel)" stroke="var(--ink2)" />}
      <path d={`M0 ${surface}H220`} stroke="var(--ink2)" strokeWidth="1.5" />
      <text x="4" y={internal ? 11 : height - 2} fontSize="11" fill="var(--ink2)">
        {'\u25c2 headstock'}
      </text>
    </svg>
  );
}
