import { usualCrestReliefMm, usualPitchClearanceMm } from '../fit/fit.ts';
import { classesOf } from '../standards/limits.ts';
import { pitchMmOf, threadFormOf } from '../standards/thread.ts';
import { flanksUnderTool } from '../cutting/underTool.ts';
import { feedDegOf } from '../cutting/plan.ts';
import { threadOfJob } from './derive.ts';
import { classMemberOf } from './made.ts';
import { threadExists } from './metal.ts';
import { own } from '../quantity/own.ts';
import type { Job, Shop } from './schema.ts';

/**
 * A class of the other member's, once what is made has changed, is no class: the usual one of the new member takes its place.
 * @example suitClass(demo('pump')).fit.class // '6g'
 */
export function suitClass(job: Job): Job {
  const thread = threadOfJob(job);
  if (!thread || job.fit.class === null) return job;
  const classes = classesOf(thread)[classMemberOf(job.intake)];
  return classes.includes(job.fit.class) ? job : { ...job, fit: { ...job.fit, class: classes[0] ?? null } };
}

/**
 * Starts fit and infeed from what suits a newly named thread; the person changes them from there. Top slide: half a
 * degree under the half angle, so that the leading edge cuts and the other flank is only polished (common practice);
 * unlike flanks follow the flank that is not cut, less half a degree; a square thread is plunged.
 * @example suitFit(demo('pump')).setup.infeed // 'plunge'; an old groove is followed straight in
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
      class: classesOf(thread)[classMemberOf(job.intake)][0] ?? null,
    },
    setup: {
      ...job.setup,
      // picking up an old thread and following it is done straight in, and so is a flank too steep to slide along
      infeed: trailingDeg >= 5 && !threadExists(job) ? 'flank' : 'plunge',
      slideAngleDeg: slideAngleFor('flank', trailingDeg),
    },
  };
}

/**
 * A newly named thread is fed as this material was last fed here, where its flanks and what there is of it allow that.
 * @example asUsuallyFed(demo('pump'), shop).setup.infeed // 'plunge'
 */
export function asUsuallyFed(job: Job, shop: Shop): Job {
  const thread = threadOfJob(job);
  const usual = own(shop.settings.byMaterial, job.intake.material);
  // what suits the thread alone is straight in: an old groove is followed, or the flank is too steep to slide along
  if (!thread || !usual || job.setup.infeed === 'plunge') return job;
  const { trailingDeg } = flanksUnderTool(threadFormOf(thread), { leftHand: thread.leftHand });
  // steps of one's own are this job's figures, not the material's
  const rule = usual.rule === 'step' ? job.cut.rule : usual.rule;
  return {
    ...job,
    setup: {
      ...job.setup,
      infeed: usual.infeed,
      slideAngleDeg: slideAngleFor(usual.infeed === 'modified' ? 'modified' : 'flank', trailingDeg),
    },
    cut: { ...job.cut, rule },
  };
}

/**
 * The slide's usual angle for a way of feeding, from the cross-slide line.
 * @example [slideAngleFor('flank', 30), slideAngleFor('modified', 30)] // [29.5, 29]
 */
export const slideAngleFor = (infeed: 'flank' | 'modified', trailingDeg: number): number =>
  feedDegOf({ infeed, slideAngleDeg: null, trailingDeg });
