import { equalFlanks, type Flanks } from '../form/flanks.ts';
import { cosDeg, tanDeg } from '../quantity/units.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { stepDepths, tooManyPasses } from './depths.ts';

/** A schedule without a lathe: depth, passes, rule and the way the slide goes in. */
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
  readonly flanks?: Flanks;
}

/** Cumulative positions after a pass, mm. */
export interface Pass {
  readonly depthMm: number;
  /** Travel of the slide that feeds: depth / cos(angle) on an angled top slide, the depth itself in a plunge. */
  readonly slideMm: number;
  /** Shift along the axis: depth x tan(angle). */
  readonly axialMm: number;
}

/**
 * Passes of a depth by itself, without a part: what a chart of infeeds prints. A part is planned by planOf.
 * @example value(passSchedule({ depthMm: 1, passes: 4, rule: 'constant-area', slideAngleDeg: null, firstMaxMm: null, lastMinMm: null })).map((p) => p.depthMm) // [0.5, 0.707, 0.866, 1.0]; as the root of the pass's number
 */
export function passSchedule(request: PassRequest): Outcome<Pass[]> {
  const { depthMm, rule, slideAngleDeg: angle, firstMaxMm: cap, lastMinMm: floor } = request;
  if (!(depthMm > 0)) return bad('depthMm', 'not-above-zero', { right: '1.227' });
  if (!(Number.isInteger(request.passes) && request.passes >= 1 && request.passes <= 500))
    return bad('passes', 'whole-number', { from: 1, to: 500, right: '12' });
  if (angle !== null && !(angle >= 0 && angle < 60)) return bad('slideAngleDeg', 'slide-0-to-60');
  if (cap !== null && !(cap > 0)) return bad('firstMaxMm', 'not-above-zero', { right: '0.25' });
  if (floor !== null && !(floor >= 0)) return bad('lastMinMm', 'under-zero');
  if (cap !== null && floor !== null && floor > cap)
    return bad('lastMinMm', 'smallest-over-largest', { smallestMm: floor, largestMm: cap });
  const tooMany = tooManyPasses({ fromMm: 0, toMm: depthMm, rule, capMm: cap, stepMm: null });
  if (tooMany) return bad('firstMaxMm', 'too-many-passes', tooMany);
  const depths = stepDepths({
    fromMm: 0,
    toMm: depthMm,
    rule,
    passes: request.passes,
    capMm: cap,
    floorMm: floor,
    stepMm: null,
    tool: { ...(request.flanks ?? equalFlanks(60)), tip: { flatMm: request.tipFlatMm ?? 0 } },
    feedDeg: angle ?? 0,
  });
  return good(
    depths.map((d) => ({
      depthMm: d,
      slideMm: angle === null ? d : d / cosDeg(angle),
      axialMm: angle === null ? 0 : d * tanDeg(angle),
    })),
  );
}
