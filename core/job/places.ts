import { isSquare } from '../form/flanks.ts';
import { grooveOf, pitchDiameterFromWiresMm } from '../gauging/wires.ts';
import { pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';
import { otherMember, readingsOn } from './made.ts';
import type { FitParts, Job, Reading } from './schema.ts';

type Member = Job['intake']['make'];

/** A pitch diameter at one place of a screw or a nut. */
export interface Place {
  readonly pitchDiameterMm: number;
  readonly place: string;
  readonly positionMm: number | null;
  readonly wear: Reading['wear'];
  readonly text: string;
}

/**
 * Pitch diameters of one member as read: directly, or over wires on a screw.
 * @example placesOn(demo('vice'), named(demo('vice')), 'external').map((p) => p.pitchDiameterMm) // [25.39, 25.07, 24.91, 25.36]; over wires
 */
export function placesOn(job: FitParts, thread: ThreadSpec, member: Member): Place[] {
  const at = (r: Reading, pitchDiameterMm: number): Place => ({
    pitchDiameterMm,
    place: r.place,
    positionMm: r.positionMm,
    wear: r.wear,
    text: r.text,
  });
  const direct = readingsOn(job, member, 'pitchDiameter').map((r) => at(r, r.value));
  const form = threadFormOf(thread);
  if (member === 'internal' || isSquare(form)) return direct;
  const groove = grooveOf(form, pitchMmOf(thread), thread.starts);
  const over = readingsOn(job, member, 'overWires').flatMap((r) =>
    r.span ? [at(r, pitchDiameterFromWiresMm(groove, r.value, r.span.mm, 'textbook'))] : [],
  );
  return [...direct, ...over];
}

/**
 * Pitch diameters of the surviving mate.
 * @example matePlaces(demo('vice'), thread('Tr 28x5')).length // 4
 */
export const matePlaces = (job: FitParts, thread: ThreadSpec): Place[] =>
  placesOn(job, thread, otherMember(job.intake.make));

/**
 * The diameter that wear has taken least from: among those said to be unworn where there are any, of a screw the largest, of
 * a nut the smallest. Null: none was read.
 */
function leastLost(
  list: readonly { readonly mm: number; readonly wear: Reading['wear'] }[],
  member: Member,
): { readonly mm: number; readonly unworn: boolean } | null {
  const spared = list.filter((x) => x.wear === 'unworn');
  const unworn = spared.length > 0;
  const from = (unworn ? spared : list).map((x) => x.mm);
  return from.length === 0 ? null : { mm: member === 'external' ? Math.max(...from) : Math.min(...from), unworn };
}

/** What a copy is made to: the part as read, as it was before it wore. */
export interface Copied {
  readonly pitchDiameterMm: number | null;
  readonly startMm: number | null;
  /** It was read where somebody said that it is not worn; else what wear took is not put back. */
  readonly unworn: boolean;
}
/**
 * What a copy is made like: the place that lost least, and whether it is unworn.
 * @example copiedFrom(demo('pump'), named(demo('pump'))) // { pitchDiameterMm: null, startMm: 29.86, unworn: false }
 */
export function copiedFrom(job: FitParts, thread: ThreadSpec): Copied {
  const member = job.intake.make;
  const pitch = leastLost(
    placesOn(job, thread, member).map((p) => ({ mm: p.pitchDiameterMm, wear: p.wear })),
    member,
  );
  const start = leastLost(
    readingsOn(job, member, member === 'external' ? 'majorDiameter' : 'minorDiameter').map((r) => ({
      mm: r.value,
      wear: r.wear,
    })),
    member,
  );
  return {
    // a special is its own readings: where its pitch diameter was not read, its form's is what they make of it
    pitchDiameterMm: pitch?.mm ?? (thread.family === 'Special' ? threadSizes(thread).pitchDiameterMm : null),
    startMm: start?.mm ?? null,
    unworn: pitch?.unworn ?? false,
  };
}
