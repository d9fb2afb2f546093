import { judgeRun, leadFromGrowth, type Judged } from '../pickup/judge.ts';
import { pitchMmOf } from '../standards/thread.ts';
import { gearState, threadOfJob } from './derive.ts';
import { numberOf } from '../quantity/rational.ts';
import type { JudgedBy } from './events.ts';
import type { Metal } from './metal.ts';
import type { Job, Shop } from './schema.ts';

/** How well a place is judged: by eye to a fortieth of the pitch, a dial to 0.02 mm. Standard uncertainties; common practice, no source. */
const EYE_OF_PITCH = 1 / 40;
const DIAL_MM = 0.02;

/**
 * @returns standard uncertainty of one place judged so, mm
 * @example [judgedSigmaMm('eye', 2), judgedSigmaMm('dial', 2)] // [0.05, 0.02]
 */
export const judgedSigmaMm = (by: JudgedBy, pitchMm: number): number =>
  by === 'dial' ? DIAL_MM : Math.max(DIAL_MM, pitchMm * EYE_OF_PITCH);

/**
 * What the places judged since the tool was brought in say together; null: none was.
 * @example judgedOf(demo('pump'), metal(demo('pump'))) // null
 */
export function judgedOf(job: Job, metal: Metal): Judged | null {
  const thread = threadOfJob(job);
  if (!thread || metal.judged.length === 0) return null;
  const pitchMm = pitchMmOf(thread);
  return judgeRun(
    metal.judged.map((p) => ({ alongMm: p.atMm, offMm: p.offMm, sigmaMm: judgedSigmaMm(p.by, pitchMm) })),
  );
}

/**
 * The lead of the old thread by the run in the air; null: nothing was judged, or it is not known what the lathe cuts.
 * @example judgedLeadMm(demo('pump'), shop, metal(demo('pump'))) // null; no place has been judged
 */
export function judgedLeadMm(job: Job, shop: Shop, metal: Metal): number | null {
  const judged = judgedOf(job, metal);
  const lead = gearState(job, shop)?.lead;
  return judged && lead && judged.verdict !== 'more' ? leadFromGrowth(numberOf(lead), judged.perMm) : null;
}

/**
 * Places that are worth judging: near both ends of the old thread and in its middle, mm from the free end. Empty: nobody has
 * said how long it is. Common practice, no source: a sixth from each end, where the thread is whole.
 * @example placesToJudge(demo('sluice')) // [70, 210, 350]; of 420 mm
 */
export function placesToJudge(job: Job): readonly number[] {
  const length = job.wearMap.lengthMm ?? job.setup.lengthMm;
  return length === null ? [] : [1, 3, 5].map((k) => Math.round((length * k) / 6));
}
