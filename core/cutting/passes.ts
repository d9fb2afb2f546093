import { cosDeg, tanDeg } from '../quantity/units.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';

export interface PassRequest {
  /** Radial depth to cut in all, mm. */
  readonly depthMm: number;
  readonly passes: number;
  readonly rule: 'constant-area' | 'constant-depth';
  /** Angle of the top slide from the cross-slide line, degrees; null: straight plunge with the cross slide. */
  readonly slideAngleDeg: number | null;
  /** No pass takes more than this, mm radial. */
  readonly firstMaxMm: number | null;
  /** No pass takes less than this, mm radial (a tool rubs below about 0.02 mm, common practice). */
  readonly lastMinMm: number | null;
  /** Tip flat of the tool, mm, and the flanks it cuts; a sharp 60 degree V when left out. */
  readonly tipFlatMm?: number;
  readonly flanksDeg?: readonly [number, number];
}

/** Cumulative positions after a pass, mm. */
export interface Pass {
  readonly depthMm: number;
  /** Travel of the slide that feeds: depth / cos(angle) on an angled top slide, the depth itself in a plunge. */
  readonly slideMm: number;
  /** Shift along the axis: depth x tan(angle). */
  readonly axialMm: number;
}

const BISECTIONS = 60;

/**
 * Depths of the passes. Constant area: each pass removes the same chip section, so for a sharp V depth_i = h sqrt(i/n),
 * and with a tip flat f the section f D + (tan a1 + tan a2) D^2 / 2 grows evenly. With a cap or a floor, the area per pass
 * is solved so that the capped and floored steps still end exactly at the depth. The number of passes is raised when the
 * cap needs more and lowered when the floor needs fewer.
 */
export function passSchedule(request: PassRequest): Outcome<Pass[]> {
  const { depthMm, rule, slideAngleDeg: angle, firstMaxMm: cap, lastMinMm: floor } = request;
  if (!(depthMm > 0)) return bad('depthMm', 'The depth to cut must be greater than zero.', 'for example 1.227');
  if (!(Number.isInteger(request.passes) && request.passes >= 1 && request.passes <= 500))
    return bad('passes', 'The number of passes is a whole number from 1 to 500.', '12');
  if (angle !== null && !(angle >= 0 && angle < 60))
    return bad('slideAngleDeg', 'The top slide is set between 0 and 60 degrees here.', '29.5, or null for a plunge');
  if (cap !== null && !(cap > 0)) return bad('firstMaxMm', 'The largest cut must be greater than zero.', '0.25');
  if (floor !== null && !(floor >= 0)) return bad('lastMinMm', 'The smallest cut cannot be negative.', '0.02');
  if (cap !== null && floor !== null && floor > cap)
    return bad('lastMinMm', 'The smallest cut is larger than the largest.', `at most ${cap}`);
  let n = request.passes;
  if (cap !== null) n = Math.max(n, Math.ceil(depthMm / cap - 1e-9));
  if (floor !== null && floor > 0) n = Math.max(1, Math.min(n, Math.floor(depthMm / floor + 1e-9)));
  if (cap !== null && n * cap < depthMm - 1e-9)
    return bad(
      'lastMinMm',
      `No number of passes between ${floor} and ${cap} mm ends at ${depthMm} mm.`,
      'a smaller floor or a larger cap',
    );
  const depths = rule === 'constant-depth' ? evenDepths(depthMm, n) : areaDepths(depthMm, n, cap, floor, request);
  return good(
    depths.map((d) => ({
      depthMm: d,
      slideMm: angle === null ? d : d / cosDeg(angle),
      axialMm: angle === null ? 0 : d * tanDeg(angle),
    })),
  );
}

const evenDepths = (depth: number, n: number): number[] =>
  Array.from({ length: n }, (_, i) => (i === n - 1 ? depth : (depth * (i + 1)) / n));

function areaDepths(
  depth: number,
  n: number,
  cap: number | null,
  floor: number | null,
  request: PassRequest,
): number[] {
  const [a1, a2] = request.flanksDeg ?? [30, 30];
  const slope = tanDeg(a1) + tanDeg(a2);
  const flat = request.tipFlatMm ?? 0;
  const section = (d: number): number => flat * d + (slope * d * d) / 2;
  const depthAt = (area: number): number => {
    if (slope === 0) return flat > 0 ? area / flat : 0;
    return (-flat + Math.sqrt(flat * flat + 2 * slope * area)) / slope;
  };
  if (slope === 0) return evenDepths(depth, n); // a square thread takes equal steps: every pass is as wide as the last
  const walk = (area: number): number[] => {
    const out: number[] = [];
    let d = 0;
    for (let i = 0; i < n; i += 1) {
      let step = depthAt(section(d) + area) - d;
      if (floor !== null) step = Math.max(step, floor);
      if (cap !== null) step = Math.min(step, cap);
      d += step;
      out.push(d);
    }
    return out;
  };
  const full = section(depth);
  if (cap === null && floor === null)
    return Array.from({ length: n }, (_, i) => (i === n - 1 ? depth : depthAt((full * (i + 1)) / n)));
  let low = 0;
  let high = full;
  for (let i = 0; i < BISECTIONS; i += 1) {
    const mid = (low + high) / 2;
    if ((walk(mid)[n - 1] ?? 0) < depth) low = mid;
    else high = mid;
  }
  const out = walk(high);
  out[n - 1] = depth;
  return out;
}

/** Chip section of each pass, mm^2, for a tool of tip flat f: what loads the tool and the part. */
export function chipSectionsMm2(
  depths: readonly number[],
  tipFlatMm: number,
  flanksDeg: readonly [number, number],
): number[] {
  const slope = tanDeg(flanksDeg[0]) + tanDeg(flanksDeg[1]);
  const section = (d: number): number => tipFlatMm * d + (slope * d * d) / 2;
  return depths.map((d, i) => section(d) - section(i === 0 ? 0 : (depths[i - 1] ?? 0)));
}

/**
 * A starting number of passes. The chip section a manual lathe takes calmly in steel grows with the size of the thread:
 * 0.03 mm^2 for fine work, 0.04 h^2 more for a depth h. A 4 tpi Acme comes to about twenty passes, a 2 mm metric thread to
 * ten. Common practice, no source.
 */
export function suggestedPasses(depthMm: number, flanksDeg: readonly [number, number], tipFlatMm: number): number {
  const slope = tanDeg(flanksDeg[0]) + tanDeg(flanksDeg[1]);
  const area = tipFlatMm * depthMm + (slope * depthMm * depthMm) / 2;
  return Math.max(5, Math.min(60, Math.ceil(area / (0.03 + 0.04 * depthMm * depthMm))));
}
