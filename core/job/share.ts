import { isSquare, slopeOf } from '../form/flanks.ts';
import type { FitPlan } from '../fit/fit.ts';
import { threadExists, type Metal } from './metal.ts';
import { rightPitch } from './rightBy.ts';
import type { FitParts, Has } from './schema.ts';

/** How well touching off and dial say the depth, radial mm. Common practice, no source. */
export const DIAL_UNCERTAINTY_MM = 0.02;
/** How well the width of a ground tip is known, mm. Common practice, no source. */
const TIP_UNCERTAINTY_MM = 0.02;
/** How near a groove is found again, along the axis, one standard deviation, mm: brought in by eye, or by what was measured. Common practice, no source. */
export const FOUND_AGAIN_MM = { eye: 0.04, measured: 0.02 } as const;
/** So many standard deviations are kept off the far limit before anything is measured. */
const KEPT_OFF = 2;
/** Less than this is not worth leaving, mm on diameter. */
const WORTH_LEAVING_MM = 0.01;

/**
 * What the dial leaves unsure of the pitch diameter, one standard deviation, mm: twice the depth's, the tip's width over the
 * slope, and the axial error of a groove found again, x, which takes 2 x / (tan a1 + tan a2). @param slope tan a1 + tan a2
 * @example dialSigmaMm(1.1547, null) // 0.0529; 60 degrees
 * @example dialSigmaMm(1.1547, 'measured') // 0.0632; found again within 0.02 along the axis, which is 0.035 on diameter
 */
export const dialSigmaMm = (slope: number, foundBy: Metal['foundBy']): number =>
  Math.hypot(
    2 * DIAL_UNCERTAINTY_MM,
    (2 * TIP_UNCERTAINTY_MM) / slope,
    foundBy === null ? 0 : (2 * FOUND_AGAIN_MM[foundBy]) / slope,
  );

/**
 * What the passes leave on the pitch diameter until the thread is measured, mm: two standard deviations of what the dial says,
 * less the half of what is right. The part is then finished by what it measures. 0 where the limits are wide enough, between
 * square flanks, and in a thread that is there already. @param surfaceMm the blank as measured; null: as planned
 * @example [shareLeftMm(demo('sluice'), fit(demo('sluice')), null), shareLeftMm(demo('pump'), fit(demo('pump')), null)] // [0.1137, 0]; the second is there already
 */
export function shareLeftMm(
  job: FitParts & Has<'prove'>,
  fit: FitPlan,
  foundBy: Metal['foundBy'],
  surfaceMm: number | null = null,
): number {
  if (isSquare(fit.form) || threadExists(job)) return 0;
  const { min, max } = rightPitch(job, fit);
  const off = fit.make === 'external' ? fit.pitchDiameterMm - min : max - fit.pitchDiameterMm;
  const share = KEPT_OFF * dialSigmaMm(slopeOf(fit.form), foundBy) - off;
  // a not-go gauge is hardly higher than its pitch line: half of what there is may be left
  const there = Math.abs((surfaceMm ?? fit.startDiameterMm) - fit.pitchDiameterMm) / 2;
  const left = Math.min(share, there);
  return left < WORTH_LEAVING_MM ? 0 : left;
}
