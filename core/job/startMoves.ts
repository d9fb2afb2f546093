import { includedDeg } from '../form/flanks.ts';
import { teethToNextStart, threadsToNextStart } from '../cutting/starts.ts';
import { dialReading, type DialReading } from '../lathe/dials.ts';
import { isGeared } from '../lathe/schema.ts';
import { exact, numberOf } from '../quantity/rational.ts';
import { leadOf, threadFormOf } from '../standards/thread.ts';
import { fitOfJob, latheOf, threadOfJob } from './derive.ts';
import { ALONG_BED_DEG } from './feed.ts';
import { startToCut } from './cutPlan.ts';
import { metalOf } from './metal.ts';
import type { Job, Shop } from './schema.ts';

/** How a thread of several starts is brought to its next one. */
export type StartMove =
  | { readonly way: 'top-slide'; readonly travelMm: number; readonly dial: DialReading; readonly can: boolean }
  | { readonly way: 'half-nuts'; readonly threads: number; readonly marks: number | null }
  | { readonly way: 'gear'; readonly teeth: number; readonly of: number }
  | { readonly way: 'degrees'; readonly deg: number }
  | { readonly way: 'told'; readonly deg: number; readonly alongMm: number };

/** How the tool comes to the next start. */
export interface StartMoves {
  readonly from: number;
  readonly to: number;
  readonly starts: number;
  /** Lead over starts, mm: from one start to the next along the axis. */
  readonly stepMm: number;
  readonly moves: readonly StartMove[];
  /** Half angle that a pitch error is felt by, degrees. */
  readonly halfDeg: number;
}

/**
 * The ways of indexing that this lathe and this job have, the surest first; null: there is one start.
 * @example startMovesOf(demo('pump'), shop) // null; it has one start
 */
export function startMovesOf(job: Job, shop: Shop): StartMoves | null {
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  const fit = fitOfJob(job);
  if (!thread || !fit || thread.starts < 2) return null;
  const metal = metalOf(job);
  const lead = leadOf(thread);
  const stepMm = numberOf(lead) / thread.starts;
  const form = threadFormOf(thread);
  const to = startToCut(job, metal) ?? Math.min(thread.starts, metal.start + 1);
  // counted round: a whole lead on is the same groove again
  const on = (to - metal.start + thread.starts) % thread.starts;
  const shared = {
    from: metal.start,
    to,
    starts: thread.starts,
    stepMm,
    halfDeg: includedDeg(form) / 2,
  };
  const deg = (on * 360) / thread.starts;
  if (!lathe) return { ...shared, moves: [{ way: 'degrees', deg }] };
  if (!isGeared(lathe))
    return {
      ...shared,
      moves: [{ way: 'told', deg: ((to - 1) * 360) / thread.starts, alongMm: stepMm * (to - 1) }],
    };
  const moves: StartMove[] = [];
  const lies = metal.slideDeg;
  // a slide that lies across or at an angle cannot be moved along the bed by a start
  const along =
    lies === ALONG_BED_DEG || (lies === null && job.setup.infeed !== 'flank' && job.setup.infeed !== 'modified');
  const travelMm = stepMm * (to - 1);
  moves.push({ way: 'top-slide', travelMm, dial: dialReading(travelMm, lathe.topSlide, 'in'), can: along });
  const first = job.gears.train?.drivers[0];
  const teeth = first === undefined ? null : teethToNextStart(first, exact(lathe.fixedRatio), thread.starts);
  if (first !== undefined && teeth !== null) moves.push({ way: 'gear', teeth: teeth * on, of: first });
  const one = threadsToNextStart(exact(lathe.leadscrew), lead, thread.starts);
  if (one !== null) {
    const threads = one * on;
    const apart = lathe.dial ? lathe.dial.teeth / lathe.dial.marks : null;
    moves.push({
      way: 'half-nuts',
      threads,
      marks: apart !== null && Number.isInteger(threads / apart) ? threads / apart : null,
    });
  }
  moves.push({ way: 'degrees', deg });
  return { ...shared, moves: moves.toSorted((a, b) => rank(a) - rank(b)) };
}
/** What cannot be done now comes last. */
const rank = (m: StartMove): number => (m.way === 'top-slide' && !m.can ? 1 : 0);
