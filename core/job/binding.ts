import { slopeOf } from '../form/flanks.ts';
import { playOfClearanceMm } from '../fit/duty.ts';
import type { SizeAnswer } from '../sizing/decide.ts';
import { pitchMmOf, threadFormOf } from '../standards/thread.ts';
import { diagnose, type Diagnosis } from './binds.ts';
import { threadOfJob } from './derive.ts';
import type { EventOf } from './events.ts';
import { otherMember } from './made.ts';
import { placesOn, type Place } from './places.ts';
import type { Job } from './schema.ts';

/** Readings within this of the place where it bound speak of it, as a share of the thread's length. Common practice, no source. */
const NEAR = 0.15;

/**
 * Why the mate that was tried last binds; null where it does not. @param belief what is known of the size; its clearance says
 * how much play there was at the start
 * @example diagnosisOf(demo('pump'), { kind: 'tried', result: 'goes', turns: null, where: null }, null) // null; it did not bind
 */
export function diagnosisOf(job: Job, last: EventOf<'tried'>, belief: SizeAnswer | null): Diagnosis | null {
  const thread = threadOfJob(job);
  if (last.result !== 'binds' || !thread) return null;
  const form = threadFormOf(thread);
  const pitchMm = pitchMmOf(thread);
  const clearance = belief?.clearanceMm ?? null;
  return diagnose({
    where: last.where,
    turns: last.turns,
    playMm: last.shakeMm ?? (clearance && clearance.value > 0 ? playOfClearanceMm(form, clearance.value) : null),
    pitchMm,
    slope: slopeOf(form),
    mateTurns: last.lengthMm === null ? null : last.lengthMm / pitchMm,
    belowThickestMm: belowThickestAt(job, last.atMm),
  });
}

/**
 * How far the screw, made or mating, lies under its thickest at a place, by the wear map; mm on pitch diameter. Null: the place
 * was not said, or nothing was read near it.
 */
function belowThickestAt(job: Job, atMm: number | null): number | null {
  const thread = threadOfJob(job);
  if (!thread || atMm === null) return null;
  const screw = job.intake.make === 'external' ? 'external' : otherMember('internal');
  const places = placesOn(job, thread, screw).filter((p): p is Place & { positionMm: number } => p.positionMm !== null);
  const length = job.wearMap.lengthMm ?? Math.max(0, ...places.map((p) => p.positionMm));
  const near = places
    .filter((p) => Math.abs(p.positionMm - atMm) <= NEAR * length)
    .sort((a, b) => Math.abs(a.positionMm - atMm) - Math.abs(b.positionMm - atMm))[0];
  return near ? Math.max(...places.map((p) => p.pitchDiameterMm)) - near.pitchDiameterMm : null;
}
