import type { Chart } from '../sheet/chart.ts';
import { pitchMmOf, threadFormOf } from '../standards/thread.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import { rightPitch } from './rightBy.ts';
import type { Job } from './schema.ts';

/**
 * The form of the job's thread with the band of its pitch diameter; null: no thread yet.
 * @example chartOfJob(demo('pump')).maxMm // 28.663
 */
export function chartOfJob(job: Job): Chart | null {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  if (!thread || !fit) return null;
  const right = rightPitch(job, fit);
  return {
    form: threadFormOf(thread),
    make: fit.make,
    pitchMm: pitchMmOf(thread),
    minMm: right.min,
    aimMm: fit.pitchDiameterMm,
    maxMm: right.max,
  };
}
