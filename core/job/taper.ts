import { crossPerTurnMm } from '../cutting/taper.ts';
import { leadMmOf, threadFormOf } from '../standards/thread.ts';
import { threadOfJob } from './derive.ts';
import type { Job } from './schema.ts';

/**
 * How far the cross slide goes at each turn where a taper is followed by hand, mm; null: it is not followed so.
 * @example taperPerTurnMm(demo('pump')) // null; it is parallel
 */
export function taperPerTurnMm(job: Job): number | null {
  const thread = threadOfJob(job);
  if (!thread || job.setup.taperBy !== 'by-hand') return null;
  const { taper } = threadFormOf(thread);
  return taper === 0 ? null : crossPerTurnMm(leadMmOf(thread), taper);
}
