import { usualCrestReliefMm, usualPitchClearanceMm } from '../fit/fit.ts';
import { pitchMmOf, threadFormOf } from '../standards/thread.ts';
import { threadOfJob } from './derive.ts';
import type { Job } from './schema.ts';

/**
 * Starts fit and infeed from what suits a newly named thread; the person changes them from there. Top slide: half a
 * degree under the half angle, so that the leading edge cuts and the other flank is only polished (common practice);
 * unlike flanks follow the flank that is not cut, less half a degree; a square thread is plunged.
 */
export function suitFit(draft: Job): void {
  const thread = threadOfJob(draft);
  if (!thread) return;
  const pitchMm = pitchMmOf(thread);
  const form = threadFormOf(thread);
  const steepest = Math.min(form.leadingFlankDeg, form.trailingFlankDeg);
  Object.assign(draft.fit, {
    pitchClearanceMm: usualPitchClearanceMm(pitchMm),
    crestReliefMm: usualCrestReliefMm(pitchMm),
    tipFlatMm: null,
  });
  Object.assign(
    draft.setup,
    steepest >= 5 ? { infeed: 'angled', slideAngleDeg: steepest - 0.5 } : { infeed: 'plunge', slideAngleDeg: 0 },
  );
}
