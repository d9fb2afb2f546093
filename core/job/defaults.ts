import { usualCrestReliefMm, usualPitchClearanceMm } from '../fit/fit.ts';
import { classesOf } from '../standards/limits/index.ts';
import { pitchMmOf, threadFormOf } from '../standards/thread.ts';
import { flanksUnderTool } from '../cutting/flanks.ts';
import { feedDegOf } from '../cutting/plan.ts';
import { threadOfJob } from './derive.ts';
import { threadExists } from './metal.ts';
import type { Job } from './schema.ts';

/**
 * Starts fit and infeed from what suits a newly named thread; the person changes them from there. Top slide: half a
 * degree under the half angle, so that the leading edge cuts and the other flank is only polished (common practice);
 * unlike flanks follow the flank that is not cut, less half a degree; a square thread is plunged.
 */
export function suitFit(job: Job): Job {
  const thread = threadOfJob(job);
  if (!thread) return job;
  const pitchMm = pitchMmOf(thread);
  const form = threadFormOf(thread);
  const { trailingDeg } = flanksUnderTool(form, { leftHand: thread.leftHand });
  return {
    ...job,
    fit: {
      ...job.fit,
      pitchClearanceMm: usualPitchClearanceMm(pitchMm),
      crestReliefMm: usualCrestReliefMm(pitchMm),
      tip: null,
      // where a standard has classes, its usual one is the rule; a copy of a worn maker's size has none
      class: classesOf(thread)[job.intake.make][0] ?? null,
    },
    setup: {
      ...job.setup,
      // picking up an old thread and following it is done straight in, and so is a flank too steep to slide along
      infeed: trailingDeg >= 5 && !threadExists(job) ? 'flank' : 'plunge',
      slideAngleDeg: slideAngleFor('flank', trailingDeg),
    },
  };
}

/** The slide's usual angle for a way of feeding, from the cross-slide line. */
export const slideAngleFor = (infeed: 'flank' | 'modified', trailingDeg: number): number =>
  feedDegOf({ infeed, slideAngleDeg: null, trailingDeg });
