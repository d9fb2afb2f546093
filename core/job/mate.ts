import { playOfClearanceMm } from '../fit/duty.ts';
import type { FitPlan } from '../fit/fit.ts';
import { wornChoices, wornMateMm, type Stretch, type WornChoice } from '../fit/worn.ts';
import { wearProfile } from '../evidence/wearMap.ts';
import { threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { otherMember } from './made.ts';
import { matePlaces, type Place } from './places.ts';
import type { FitParts, Has, Job } from './schema.ts';

const mateOf = (job: Has<'intake'>): Job['intake']['make'] => otherMember(job.intake.make);

/**
 * Travel that the mate is used on: as said, else where its pitch diameters show wear. Null: neither.
 * @example travelOf(demo('pump'), []) // null; nobody said, and no wear says it
 * @example travelOf({ intake: { make: 'internal' }, fit: { travel: { fromMm: 10, toMm: 40 } } }, []).stretch.toMm // 40
 */
export function travelOf(
  job: Has<'fit' | 'intake'>,
  places: readonly Place[],
): { readonly stretch: Stretch; readonly said: boolean } | null {
  if (job.fit.travel) return { stretch: job.fit.travel, said: true };
  const spots = places.flatMap((p) =>
    p.positionMm === null ? [] : [{ positionMm: p.positionMm, diameterMm: p.pitchDiameterMm }],
  );
  const used = wearProfile(spots, mateOf(job), null)?.used;
  return used ? { stretch: used, said: false } : null;
}

/**
 * The mate's pitch diameter that the part is made to, by the way chosen with a worn mate. Null: not read.
 * @example matePitchDiameter(demo('vice'), named(demo('vice'))) // 25.39
 */
export function matePitchDiameter(job: FitParts, thread: ThreadSpec): number | null {
  const places = matePlaces(job, thread);
  return wornMateMm(places, mateOf(job), job.fit.wornMate, travelOf(job, places)?.stretch ?? null);
}

/**
 * What may be done with a mate that is worn by places, each way with its figures; none where it is even.
 * @example mateChoices(demo('vice'), thread('Tr 28x5')).map((c) => c.way) // ['thickest', 'travel', 'recut']
 */
export function mateChoices(job: FitParts, thread: ThreadSpec): WornChoice[] {
  const places = matePlaces(job, thread);
  return wornChoices(
    threadFormOf(thread),
    places,
    mateOf(job),
    travelOf(job, places)?.stretch ?? null,
    job.fit.pitchClearanceMm,
  );
}

/**
 * Axial play with the mate at each place where it was read, once the part is made as planned, mm.
 * @example playAt(fit(demo('vice')), { pitchDiameterMm: 25, positionMm: null }) // 0.158; along the axis where the screw has 25 mm
 */
export const playAt = (plan: FitPlan, place: Place): number =>
  playOfClearanceMm(
    plan.form,
    plan.make === 'internal'
      ? plan.pitchDiameterMm - place.pitchDiameterMm
      : place.pitchDiameterMm - plan.pitchDiameterMm,
  );
