import { threadOfJob } from './derive.ts';
import { pitchOfCount } from './evidence.ts';
import { leastWorn } from './special.ts';
import { pitchMmOf } from '../standards/thread.ts';
import type { Job } from './schema.ts';

/** What of a job is kept beside it, so that the same thread is known again. */
export interface MadeThread {
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly starts: number;
  readonly leftHand: boolean;
  readonly make: 'external' | 'internal';
}
/**
 * The thread that a job made, as far as another is compared with it; null: none is named.
 * @example madeThread(demo('pump')) // { majorMm: 30, pitchMm: 2, starts: 1, leftHand: false, make: 'external' }
 */
export function madeThread(job: Job): MadeThread | null {
  const thread = threadOfJob(job);
  if (!thread) return null;
  return {
    majorMm: thread.majorMm,
    pitchMm: pitchMmOf(thread),
    starts: thread.starts,
    leftHand: thread.leftHand,
    make: job.intake.make,
  };
}

/** A worn crest may be this share of the pitch smaller on diameter than it was, and a reading so much off either way. Common practice, no source. */
const WORN_SHARE = 0.12;
const READ_SHARE = 0.004;
/** A pitch counted over several crests is known better than this share. Common practice, no source. */
const PITCH_SHARE = 0.006;

/**
 * Whether what was read so far may be that thread: pitch and outside diameter both have to be read, and both agree; a worn
 * crest is smaller than it was, never larger. Null: too little is read to say.
 * @example readsLike(demo('pump'), madeThread(demo('pump'))) // true
 */
export function readsLike(job: Job, made: MadeThread): boolean | null {
  const count = leastWorn(job, 'crestCount');
  const leaf = job.readings.find((r) => r.quantity === 'pitchLeaf' && r.leaf === 'fits' && r.member === 'part');
  const pitch = count ? pitchOfCount(count) : leaf ? { mm: leaf.value, sigmaMm: leaf.value * PITCH_SHARE } : null;
  const major = leastWorn(job, 'majorDiameter');
  if (!pitch || !major) return null;
  const hand = leastWorn(job, 'hand');
  if (hand && hand.value < 0 !== made.leftHand) return false;
  const off = Math.abs(pitch.mm - made.pitchMm);
  if (off > Math.max(3 * pitch.sigmaMm, PITCH_SHARE * made.pitchMm)) return false;
  const read = Math.max(3 * (major.uncertainty ?? 0), READ_SHARE * made.majorMm);
  return major.value <= made.majorMm + read && major.value >= made.majorMm - read - WORN_SHARE * made.pitchMm * 2;
}
