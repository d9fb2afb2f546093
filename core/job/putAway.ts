import type { Job } from './schema.ts';

/**
 * The job put away, or taken out again.
 * @example putAway(demo('latch'), true).archived // true
 */
export function putAway({ archived: _, ...job }: Job, archived: boolean): Job {
  return archived ? { ...job, archived: true } : job;
}
