import { pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';
import { partOf, pitchOfCount } from './evidence.ts';
import { leastWorn } from './special.ts';
import type { Job, Reading } from './schema.ts';

/** A stretch of the part beside its thread; null: that dimension was not measured. */
interface Beside {
  readonly lengthMm: number | null;
  readonly diameterMm: number | null;
}

/**
 * The part along its axis as far as it is known, for a drawing true to scale. Lengths mm, from the free end of the thread
 * towards the head.
 */
export interface PartShape {
  readonly side: 'external' | 'internal';
  /** Length of the thread; `lengthKnown` false: it was not measured, and reaches as far as it was read. */
  readonly lengthMm: number;
  readonly lengthKnown: boolean;
  /** Crest and root at the free end; null: neither read nor known from the likeliest thread. */
  readonly outerMm: number | null;
  readonly innerMm: number | null;
  readonly pitchMm: number | null;
  /** Growth of the diameter towards the head, mm/mm; 0 when parallel or not known. */
  readonly taper: number;
  readonly head: Beside | null;
  readonly groove: Beside | null;
  readonly stub: Beside | null;
}

/** Until the thread's length is measured the drawing is this many diameters long. */
const USUAL_DIAMETERS = 3;
const USUAL_LENGTH_MM = 100;

const either = (lengthMm: number | null, diameterMm: number | null): Beside | null =>
  lengthMm === null && diameterMm === null ? null : { lengthMm, diameterMm };

const read = (job: Job, q: Reading['quantity']): number | null => leastWorn(job, q)?.value ?? null;

/**
 * @param thread the accepted thread, or the likeliest so far; null: nothing is believed yet
 * @example partShape(demo('pump'), thread('M30x2')).pitchMm // 2
 */
export function partShape(job: Job, thread: ThreadSpec | null): PartShape {
  const side = partOf(job);
  const sizes = thread && threadSizes(thread);
  const outerMm =
    read(job, 'majorDiameter') ?? (sizes && (side === 'external' ? sizes.majorMm : sizes.majorInternalMm));
  const innerMm =
    read(job, 'minorDiameter') ?? (sizes && (side === 'external' ? sizes.minorExternalMm : sizes.minorInternalMm));
  const count = leastWorn(job, 'crestCount');
  const furthest = Math.max(0, ...job.readings.map((r) => (r.member === 'part' ? (r.positionMm ?? 0) : 0)));
  const around = Math.max(job.part.headDiameterMm ?? 0, outerMm ?? 0);
  const usual = around > 0 ? USUAL_DIAMETERS * around : USUAL_LENGTH_MM;
  const { headDiameterMm, headLengthMm, grooveMm, stubDiameterMm, stubLengthMm } = job.part;
  return {
    side,
    lengthMm: job.wearMap.lengthMm ?? Math.max(usual, furthest * 1.1),
    lengthKnown: job.wearMap.lengthMm !== null,
    outerMm: outerMm ?? null,
    innerMm: innerMm ?? null,
    pitchMm: thread ? pitchMmOf(thread) : ((count && pitchOfCount(count)?.mm) ?? null),
    taper: read(job, 'taper') ?? (thread ? threadFormOf(thread).taper : 0),
    head: either(headLengthMm, headDiameterMm),
    groove: grooveMm === null ? null : { lengthMm: grooveMm, diameterMm: null },
    stub: either(stubLengthMm, stubDiameterMm),
  };
}
