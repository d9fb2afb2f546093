import { grooveOf, pitchDiameterFromWiresMm } from '../gauging/wires.ts';
import { pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';
import { otherMember, readingsOn } from './made.ts';
import type { Job, Reading } from './schema.ts';

type Member = Job['intake']['make'];

/** A pitch diameter at one place of a screw or a nut. */
export interface Place {
  readonly pitchDiameterMm: number;
  readonly place: string;
  readonly positionMm: number | null;
  readonly wear: Reading['wear'];
  readonly text: string;
}

/** Pitch diameters of one member as read: directly, or over wires on a screw. */
export function placesOn(job: Job, thread: ThreadSpec, member: Member): Place[] {
  const at = (r: Reading, pitchDiameterMm: number): Place => ({
    pitchDiameterMm,
    place: r.place,
    positionMm: r.positionMm,
    wear: r.wear,
    text: r.text,
  });
  const direct = readingsOn(job, member, 'pitchDiameter').map((r) => at(r, r.value));
  const form = threadFormOf(thread);
  if (member === 'internal' || form.leadingFlankDeg + form.trailingFlankDeg === 0) return direct;
  const groove = grooveOf(form, pitchMmOf(thread), thread.starts);
  const over = readingsOn(job, member, 'overWires').flatMap((r) =>
    r.span ? [at(r, pitchDiameterFromWiresMm(groove, r.value, r.span.mm, 'textbook'))] : [],
  );
  return [...direct, ...over];
}

/** Pitch diameters of the surviving mate. */
export const matePlaces = (job: Job, thread: ThreadSpec): Place[] =>
  placesOn(job, thread, otherMember(job.intake.make));

const outward = (member: Member): number => (member === 'external' ? 1 : -1);
/** Wear takes from a screw's diameters and adds to a nut's: the place that has lost least. @returns null where none was read */
const leastLost = <T>(list: readonly T[], member: Member, mm: (x: T) => number): T | null =>
  list.toSorted((a, b) => outward(member) * (mm(b) - mm(a)))[0] ?? null;

/** What a copy is made to: the part as read, as it was before it wore. */
export interface Copied {
  readonly pitchDiameterMm: number | null;
  readonly startMm: number | null;
  /** It was read where somebody said that it is not worn; else what wear took is not put back. */
  readonly unworn: boolean;
}
export function copiedFrom(job: Job, thread: ThreadSpec): Copied {
  const member = job.intake.make;
  const places = placesOn(job, thread, member);
  const spared = places.filter((p) => p.wear === 'unworn');
  const pitch = leastLost(spared.length > 0 ? spared : places, member, (p) => p.pitchDiameterMm);
  const starts = readingsOn(job, member, member === 'external' ? 'majorDiameter' : 'minorDiameter');
  const sparedStarts = starts.filter((r) => r.wear === 'unworn');
  const start = leastLost(sparedStarts.length > 0 ? sparedStarts : starts, member, (r) => r.value);
  return {
    // a special is its own readings: where its pitch diameter was not read, its form's is what they make of it
    pitchDiameterMm:
      pitch?.pitchDiameterMm ?? (thread.family === 'Special' ? threadSizes(thread).pitchDiameterMm : null),
    startMm: start?.value ?? null,
    unworn: spared.length > 0,
  };
}
