import { metalOf, standing } from './metal.ts';
import type { Job } from './schema.ts';

/** How the part before this one came out right. */
export interface PartBefore {
  readonly part: number;
  readonly testPiece: boolean;
  /** Radial depth that was right, mm, and what of it lies beyond the plan. */
  readonly depthMm: number;
  readonly deeperMm: number;
  readonly passes: number;
  readonly springs: number;
}

/**
 * What worked on the last part that was finished, for the one on the lathe now; null: none was, or this is the first. The
 * depth beyond the plan is what carries over: the depth itself follows each blank as it measures.
 */
export function partBefore(job: Job): PartBefore | null {
  const events = standing(job.events);
  const now = metalOf(job);
  const begun = events.findLast((e) => e.kind === 'partBegun');
  if (now.finished !== null || !begun) return null;
  const finished = events.findLast((e) => e.kind === 'partFinished' && e.n < begun.n);
  if (!finished) return null;
  const then = metalOf(job, finished.n);
  return {
    part: then.part,
    testPiece: job.quantity.testPiece && then.part === 1,
    depthMm: then.depthMm,
    deeperMm: then.deeperMm,
    passes: then.cuts,
    springs: then.springs,
  };
}
