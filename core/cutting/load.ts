import { cosDeg, sinDeg, tanDeg } from '../quantity/units.ts';
import { edgesOf, type Edge, type Way } from './edges.ts';
import type { Material } from './materials.ts';
import type { ToolOutline } from './tip.ts';

/** What a pass asks of work, tool, chuck and motor, N; good to a quarter. */
export interface PassLoad {
  /** Along the cut: what the motor drives and the chuck has to hold round. */
  readonly mainN: number;
  /** Square to the axis: what bends work and bar. */
  readonly radialN: number;
  /** Along the axis, + against the travel: what pushes a right-hand screw into its chuck. */
  readonly axialN: number;
  /** Thickness of the chip on each flank, mm; negative on one that is cut in steps. */
  readonly chipMm: { readonly leading: number; readonly trailing: number };
  /** Some chip is so thin that the law is extrapolated and reads low. */
  readonly atLeast: boolean;
}

/** One pass, as the force on the tool is asked of it. */
export interface PassAsked {
  readonly tool: ToolOutline;
  /** Depth before and after, below the surface, mm. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly way: Way;
  readonly force: NonNullable<Material['force']>;
  readonly leadAngleDeg: number;
}

/** Both chips of a plunge meet and jam: 1.2 to 1.3. Common practice, no source. */
const CROWDING = 1.25;
/** Thrust on an edge, square to it, over its cutting force: 0.4 to 0.6 when sharp. From memory. */
const THRUST_SHARE = 0.5;
/** Under this thickness the law of force is extrapolated, mm. Common practice, no source. */
const LEAST_SURE_MM = 0.05;

/**
 * Force of one pass, edge by edge: F = kc1.1 x length x h^(1-m). In a plunge the chips of the flanks crowd each other. Thrust
 * stands square to each edge; what of it lies along the axis is taken up by the other side, as far as that cuts.
 * @see Kienzle's law of cutting force; the rest is geometry; thrust and crowding from memory and common practice
 * @example passLoad({ tool: { leadingDeg: 30, trailingDeg: 30, tip: { flatMm: 0.25 } }, fromMm: 1, toMm: 1.1, way: { feedDeg: 0 }, force: { perMm2: 1780, exponent: 0.17 }, leadAngleDeg: 1 }).chipMm // { leading: 0.05, trailing: 0.05 }; 0.1 sin 30
 */
export function passLoad(q: PassAsked): PassLoad {
  const edges = edgesOf(q.tool, q.toMm, q.toMm - q.fromMm, q.way);
  const crowd = 'feedDeg' in q.way && q.way.feedDeg === 0 ? CROWDING : 1;
  const { perMm2, exponent } = q.force;
  const forceOn = (e: Edge): number =>
    e.chipMm > 0 ? (e.on === 'tip' ? 1 : crowd) * perMm2 * e.lengthMm * e.chipMm ** (1 - exponent) : 0;
  const sum = (share: (e: Edge) => number): number => edges.reduce((n, e) => n + share(e) * forceOn(e), 0);
  const mainN = sum(() => 1);
  const chip = (on: Edge['on']): number => edges.find((e) => e.on === on)?.chipMm ?? 0;
  return {
    mainN,
    radialN: THRUST_SHARE * sum((e) => sinDeg(e.tangentDeg)),
    axialN:
      THRUST_SHARE * sum((e) => (e.on === 'tip' ? 0 : (e.on === 'leading' ? 1 : -1) * cosDeg(e.tangentDeg))) +
      mainN * tanDeg(q.leadAngleDeg),
    chipMm: { leading: chip('leading'), trailing: chip('trailing') },
    atLeast: edges.some((e) => e.chipMm > 0 && e.chipMm < LEAST_SURE_MM),
  };
}

/**
 * Power at the spindle, kW. @param speedMMin cutting speed
 * @example powerKW(1000, 60) // 1.0; F v
 */
export const powerKW = (mainN: number, speedMMin: number): number => (mainN * speedMMin) / 60_000;
/**
 * Cutting speed, m/min.
 * @example speedMMin(100, 100) // 31.4; pi d n
 */
export const speedMMin = (diameterMm: number, rpm: number): number => (Math.PI * diameterMm * rpm) / 1000;
