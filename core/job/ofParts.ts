import { cell } from '../keep/keep.ts';
import type { Job } from './schema.ts';

/**
 * A conclusion that rests on some parts of a job, worked out once for those same parts.
 * @example ofParts(['intake'], (job) => job.intake.make)(demo('pump')) // 'external'
 */
export const ofParts = <K extends keyof Job, A extends readonly unknown[], T>(
  parts: readonly K[],
  derive: (job: Pick<Job, K>, ...more: A) => T,
): ((job: Pick<Job, K>, ...more: A) => T) => cell<Job, K, A, T>(parts, derive);
