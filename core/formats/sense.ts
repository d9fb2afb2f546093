import { fitOfJob } from '../job/derive.ts';
import { threadOfJob } from '../job/derive.ts';
import type { Job } from '../job/schema.ts';
import { problem, type Problem } from '../quantity/outcome.ts';
import { possibleSizes } from '../standards/thread.ts';

/**
 * What a description of shapes cannot say: each figure may be right by itself, and no thread follow from them together. A
 * document in which one of these is wrong would break whatever is computed from it, so it is refused at the border.
 * @example senseOf(demo('pump')) // null
 */
export function senseOf(job: Job): Problem | null {
  const thread = threadOfJob(job);
  if (!thread) return null;
  if (!possibleSizes(thread))
    return problem('name.thread', 'thread-impossible', { majorMm: thread.majorMm, designation: thread.designation });
  const plan = fitOfJob(job);
  const figures = plan ? [plan.startDiameterMm, plan.pitchDiameterMm, plan.rootDiameterMm] : [];
  if (figures.some((mm) => !(mm > 0))) return problem('fit', 'fit-impossible', { designation: thread.designation });
  return null;
}
