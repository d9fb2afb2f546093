import { stopShort } from '../cutting/clearRun.ts';
import { carriageSpeedMmS } from '../cutting/speed.ts';
import { LEADS_BEFORE } from '../motion/motion.ts';
import { typedLead, type TypedLead } from '../motion/typedLead.ts';
import { numberOf } from '../quantity/rational.ts';
import { leadOf } from '../standards/thread.ts';
import { latheOf, threadOfJob } from './derive.ts';
import { metalOf, threadExists } from './metal.ts';
import type { Job, Shop } from './schema.ts';
import { setupOf } from './setupView.ts';

/** What an electronic leadscrew is told, and where its carriage has to go for it. Places from the face, minus towards the headstock. */
export interface ElectronicView {
  /** Null: nobody has said how this lathe takes a lead, or this one rounds to nothing. */
  readonly typed: TypedLead | null;
  /** How far the typed lead is out over the thread, mm; null: no length, or not known how it is typed. */
  readonly overThreadMm: number | null;
  /** Where the stop is set: so far past the end of the thread that its last turn still has the whole lead; null: no length of thread. */
  readonly stopMm: number | null;
  /** Way in which the carriage slows at this speed, at a falling lead; null: not measured, or no speed. */
  readonly shortMm: number | null;
  /** Start of the pass: whole leads out, so that the carriage has its speed; null: a left hand begins at the far end, and its length is not said. */
  readonly startMm: number | null;
  readonly startLeads: number;
  /** Way in which the carriage comes to its speed, mm; null: not measured, or no speed. */
  readonly runUpMm: number | null;
  /** Past the start on the way back, before coming up to it again in the direction of the cut; null: its slack is not measured. */
  readonly overshootMm: number | null;
  /** The sync point: a new thread may begin at any, an old one only where it was found. */
  readonly sync: 'any' | 'found' | 'not-found';
}

/** So much more than the slack, for a hand stops nowhere to the hundredth. Common practice, no source. */
const MARGIN_MM = 0.5;

/**
 * Null: no thread, or no lathe with an electronic leadscrew.
 * @example electronicView(demo('pump'), shop) // null; its lathe has change gears
 * @example electronicView(demo('brass'), shop).typed.errorPpm // -944.8819
 */
export function electronicView(job: Job, shop: Shop): ElectronicView | null {
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  if (!thread || lathe?.kind !== 'electronic') return null;
  const lead = leadOf(thread);
  const typed = lathe.typed && typedLead(lead, lathe.typed);
  const leadMm = numberOf(typed?.lead ?? lead);
  const rpm = setupOf(job, shop)?.rpm ?? null;
  const { lengthMm } = job.setup;
  const accel = lathe.stopAccelMmS2;
  const short = rpm === null || accel === null ? null : stopShort(rpm, leadMm, accel).mm;
  // from rest to speed takes the same way as from speed to rest
  const runUpMm = rpm === null || accel === null ? null : carriageSpeedMmS(rpm, leadMm) ** 2 / (2 * accel);
  const startLeads = Math.max(LEADS_BEFORE, runUpMm === null ? 0 : Math.ceil(runUpMm / leadMm));
  const begins = !thread.leftHand ? 0 : lengthMm === null ? null : -lengthMm;
  const out = thread.leftHand ? -1 : 1;
  const end = lengthMm === null ? null : thread.leftHand ? 0 : -lengthMm;
  const { phase, airDue } = metalOf(job);
  return {
    typed,
    overThreadMm: typed && lengthMm !== null ? (Math.abs(typed.errorPpm) * lengthMm) / 1e6 : null,
    stopMm: end === null ? null : end - out * (short ?? 0),
    shortMm: short,
    startMm: begins === null ? null : begins + out * startLeads * leadMm,
    startLeads,
    runUpMm,
    overshootMm: lathe.slack.carriageMm === null ? null : lathe.slack.carriageMm + MARGIN_MM,
    sync: !threadExists(job) ? 'any' : phase === 'kept' && !airDue ? 'found' : 'not-found',
  };
}
