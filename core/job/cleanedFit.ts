import { threadSizes } from '../standards/thread.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import { placesOn } from './places.ts';
import { cleaning } from './recut.ts';
import type { Job } from './schema.ts';

/** What cleaning an old groove all over does to its fit. */
export interface CleanedFit {
  /** Pitch diameter before, as read where most metal is left (null: not read), and after. */
  readonly wasMm: number | null;
  readonly pitchDiameterMm: number;
  /** It passes the class's limit of least metal by so much; 0: it does not; null: no class. */
  readonly pastMm: number | null;
  /** By how much the clearance against the same mate grows, on pitch diameter. */
  readonly loosensMm: number;
}

/**
 * Null: nothing is to be cleaned, or no depth cleans it.
 * @example cleanedFit(demo('pump')) // null; it is not recut
 */
export function cleanedFit(job: Job): CleanedFit | null {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  const deeperMm = cleaning(job)?.deeperMm ?? null;
  if (!thread || !fit || deeperMm === null) return null;
  const external = fit.make === 'external';
  const read = placesOn(job, thread, fit.make).map((p) => p.pitchDiameterMm);
  const wasMm = read.length === 0 ? null : external ? Math.max(...read) : Math.min(...read);
  const loosensMm = 2 * deeperMm;
  const pitchDiameterMm = (wasMm ?? threadSizes(thread).pitchDiameterMm) - (external ? 1 : -1) * loosensMm;
  const limit = external ? fit.limits?.pitch.min : fit.limits?.pitch.max;
  const past = limit == null ? null : external ? limit - pitchDiameterMm : pitchDiameterMm - limit;
  return { wasMm, pitchDiameterMm, pastMm: past === null ? null : Math.max(0, past), loosensMm };
}
