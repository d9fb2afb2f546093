import { fitOfJob } from '../job/derive.ts';
import { threadOfJob } from '../job/derive.ts';
import type { Job } from '../job/schema.ts';
import { problem, type Problem } from '../quantity/outcome.ts';
import type { BasicSizes } from '../form/sizes.ts';
import { threadSizes, type ThreadSpec } from '../standards/thread.ts';

/**
 * What a description of shapes cannot say: each figure may be right by itself, and no thread follow from them together. A
 * document in which one of these is wrong would break whatever is computed from it, so it is refused at the border.
 * @example senseOf(demo('pump')) // null
 */
export function senseOf(job: Job): Problem | null {
  const thread = threadOfJob(job);
  if (!thread) return null;
  const sizes = sizesOrNull(thread);
  if (!sizes || !(sizes.minorExternalMm > 0 && sizes.minorInternalMm > 0 && sizes.pitchDiameterMm > 0))
    return problem('name.thread', 'thread-impossible', { majorMm: thread.majorMm, designation: thread.designation });
  const plan = fitOfJob(job);
  const figures = plan ? [plan.startDiameterMm, plan.pitchDiameterMm, plan.rootDiameterMm] : [];
  if (figures.some((mm) => !(mm > 0))) return problem('fit', 'fit-impossible', { designation: thread.designation });
  return null;
}

/** Sizes of a thread; null: none follow from its figures. */
function sizesOrNull(thread: ThreadSpec): BasicSizes | null {
  try {
    return threadSizes(thread);
  } catch (e) {
    if (e instanceof RangeError) return null;
    throw e;
  }
}
