import { playOfClearanceMm } from '../fit/duty.ts';
import type { FitPlan } from '../fit/fit.ts';
import { grooveOf, pitchDiameterFromWiresMm } from '../gauging/wires.ts';
import { pitchMmOf, threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { otherMember, readingsOn } from './made.ts';
import type { Job, Reading } from './schema.ts';

/** The surviving mate's pitch diameter at one place. */
export interface MatePlace {
  readonly pitchDiameterMm: number;
  readonly place: string;
  readonly positionMm: number | null;
  readonly wear: Reading['wear'];
  readonly text: string;
}

/** Pitch diameters of the mate as read: directly, or over wires on the screw. */
export function matePlaces(job: Job, thread: ThreadSpec): MatePlace[] {
  const member = otherMember(job.intake.make);
  const at = (r: Reading, pitchDiameterMm: number): MatePlace => ({
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

/** The place that decides whether it goes on: of a screw its thickest, of a nut its narrowest. Null: not read. */
export function matePitchDiameter(job: Job, thread: ThreadSpec): number | null {
  const all = matePlaces(job, thread).map((p) => p.pitchDiameterMm);
  if (all.length === 0) return null;
  return job.intake.make === 'internal' ? Math.max(...all) : Math.min(...all);
}

/** Axial play with the mate at each place where it was read, once the part is made as planned, mm. */
export const playAt = (plan: FitPlan, place: MatePlace): number =>
  playOfClearanceMm(
    plan.form,
    plan.make === 'internal'
      ? plan.pitchDiameterMm - place.pitchDiameterMm
      : place.pitchDiameterMm - plan.pitchDiameterMm,
  );
