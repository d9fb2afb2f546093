import { fitPlan, type FitChoice, type FitPlan } from '../fit/fit.ts';
import { leadOfTrain } from '../gearing/train.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import { typedLead } from '../motion/typedLead.ts';
import { errorPpm, exact, type Rational } from '../quantity/rational.ts';
import { leadOf, type ThreadSpec } from '../standards/thread.ts';
import { readingsOn } from './made.ts';
import { onTravel } from '../fit/worn.ts';
import { matePitchDiameter, travelOf } from './mate.ts';
import { copiedFrom, matePlaces } from './places.ts';
import { ofParts } from './ofParts.ts';
import type { FitParts, Has, Shop } from './schema.ts';

/**
 * The thread a job stands on: the one accepted in Name, as core's own type.
 * @example threadOfJob(demo('pump')).designation // 'M30x2'
 */
export const threadOfJob = (job: Has<'name'>): ThreadSpec | null => (job.name ? job.name.thread : null);

/**
 * The lathe that a job is cut on; null: none is chosen, or it is gone.
 * @example latheOf(demo('pump'), shop).id // 'lathe-bess'
 */
export const latheOf = (job: Has<'gears'>, shop: Shop): Lathe | null =>
  shop.lathes.find((l) => l.id === job.gears.lathe) ?? null;

/** Largest root of the screw that a nut has to pass, never an average, as read on the travel it runs over; null where it was not. */
const mateRootOf = (job: FitParts, thread: ThreadSpec): number | null => {
  const run = job.fit.to === 'mate' && job.fit.wornMate === 'travel';
  const travel = run ? (travelOf(job, matePlaces(job, thread))?.stretch ?? null) : null;
  const roots = onTravel(readingsOn(job, 'external', 'minorDiameter'), travel).map((r) => r.value);
  return job.intake.make === 'internal' && roots.length > 0 ? Math.max(...roots) : null;
};

/** What the fit is counted from, as it was read; null where nothing was, or where the basic size is meant. */
function readFrom(job: FitParts, thread: ThreadSpec): Pick<FitChoice, 'readPitchDiameterMm' | 'readStartMm'> {
  if (job.fit.class !== null || job.fit.to === 'clearance') return {};
  if (job.fit.to === 'mate') return { readPitchDiameterMm: matePitchDiameter(job, thread) };
  const copied = copiedFrom(job, thread);
  return { readPitchDiameterMm: copied.pitchDiameterMm, readStartMm: copied.startMm };
}

/**
 * Everything that Fit has chosen, with what the surviving mate measures.
 * @example fitChoiceOf(demo('pump'), thread('M30x2')).make // 'external'
 */
export const fitChoiceOf = (job: FitParts, thread: ThreadSpec): FitChoice => ({
  ...job.fit,
  make: job.intake.make,
  gauge: job.intake.wanted === 'gauge' ? job.fit.gauge : null,
  mateRootMm: mateRootOf(job, thread),
  ...readFrom(job, thread),
});

/**
 * The fit as the job has it; null: nothing is named.
 * @example fitOfJob(demo('press')) // null; nothing is named
 * @example fitOfJob(demo('sluice')).form.leadingDeg // 14.5
 */
export const fitOfJob = ofParts(['name', 'fit', 'intake', 'readings', 'wearMap'], (job): FitPlan | null => {
  const thread = threadOfJob(job);
  return thread ? fitPlan(thread, fitChoiceOf(job, thread)) : null;
});

/** The train of a job: what it cuts, and how far that is from what is wanted. */
export interface GearState {
  readonly target: Rational;
  /** Lead really cut by the chosen train (or as an electronic leadscrew takes it). Null: no train chosen, or a lead that cannot be typed. */
  readonly lead: Rational | null;
  readonly errorPpm: number | null;
}

/**
 * What the chosen train cuts.
 * @example textOf(gearState(demo('pump'), shop).lead) // '8001/4000'; 63 x 20 over 40 x 50 on 8 tpi: 63/100 of 3.175 mm
 */
export const gearState = (job: Has<'name' | 'gears'>, shop: Shop): GearState | null => gearsOn(job, latheOf(job, shop));
const gearsOn = ofParts(['name', 'gears'], (job, lathe: Lathe | null): GearState | null => {
  const thread = threadOfJob(job);
  if (!thread) return null;
  const target = leadOf(thread);
  if (!lathe) return { target, lead: null, errorPpm: null };
  if (!isGeared(lathe)) {
    // what is typed in is cut, to as many decimals as it takes
    const how = lathe.kind === 'electronic' ? lathe.typed : null;
    const cut = how === null ? { lead: target, errorPpm: 0 } : typedLead(target, how);
    return { target, lead: cut?.lead ?? null, errorPpm: cut?.errorPpm ?? null };
  }
  if (!job.gears.train) return { target, lead: null, errorPpm: null };
  const lead = leadOfTrain(job.gears.train, exact(lathe.leadscrew), exact(lathe.fixedRatio));
  return { target, lead, errorPpm: errorPpm(lead, target) };
});

/**
 * Length over which screw and nut are engaged, for what a pitch error does: as given, else the thread's length as read, else
 * one diameter, which is the usual nut. Common practice, no source.
 * @example engagedOf(demo('sluice')) // 70
 */
export function engagedOf(job: Has<'fit' | 'wearMap' | 'name'>): number {
  return job.fit.engagementMm ?? job.wearMap.lengthMm ?? threadOfJob(job)?.majorMm ?? 0;
}
