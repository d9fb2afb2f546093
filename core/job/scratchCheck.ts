import { allSettings, ratioOf } from '../gearing/gearbox/index.ts';
import { explainScratch, judgeScratch, RULE_MM } from '../gearing/proof/index.ts';
import type { Explanation, Scratch } from '../gearing/proof/diagnose.ts';
import type { Geared } from '../gearing/train.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import { exact, numberOf } from '../quantity/rational.ts';
import { gearState, latheOf, threadOfJob } from './derive.ts';
import type { Metal } from './metal.ts';
import type { Has, Shop } from './schema.ts';

/** A scratch that is not what the train cuts. */
export interface WrongScratch {
  readonly crests: number;
  readonly spanMm: number;
  /** From crest to crest as read, and as the train would have cut it, mm. */
  readonly readMm: number;
  readonly leadMm: number;
  /** Single slips that would have cut it, the likeliest first. */
  readonly slips: readonly Explanation[];
}

/** Crests counted over a length may be half a one out at the ends. Common practice, no source. */
const COUNT_CRESTS = 0.5;

/**
 * What the last scratch says against the train, levers or typed lead; null: there is none, or it agrees. The first start of
 * several shows the lead, all of them the pitch.
 * @example wrongScratch(demo('sluice'), shop, metal(demo('sluice'))) // null; seven crests in 2 in are 7.2571 mm, as the train cuts
 * @example wrongScratch(demo('sluice'), shop, { scratch: { crests: 8, spanMm: 50.8 } }).readMm // 6.35
 */
export function wrongScratch(
  job: Has<'name' | 'gears'>,
  shop: Shop,
  { scratch }: Pick<Metal, 'scratch'>,
): WrongScratch | null {
  const lead = gearState(job, shop)?.lead;
  const lathe = latheOf(job, shop);
  if (!scratch || !lead || !lathe) return null;
  const { crests, spanMm } = scratch;
  const starts = threadOfJob(job)?.starts ?? 1;
  const asPitch = lead.div(BigInt(starts));
  const byRule = judgeScratch(lead, crests, spanMm, RULE_MM);
  const { measuredMm: readMm, uncertaintyMm: ruleMm } = byRule;
  const leadMm = numberOf(lead);
  const withinMm = (COUNT_CRESTS * readMm) / crests;
  const offMm = Math.min(Math.abs(readMm - leadMm), Math.abs(readMm - numberOf(asPitch)));
  const { train } = job.gears;
  const geared = isGeared(lathe) && train ? train : null;
  // further off than a rule reads, and one slip explains it as well as a rule can tell: no half crest is pleaded then
  const read = byRule.right || judgeScratch(asPitch, crests, spanMm, RULE_MM).right;
  const slipped = geared !== null && !read && slipsOf(lathe, geared, readMm, ruleMm).length > 0;
  if (offMm <= withinMm && !slipped) return null;
  return {
    crests,
    spanMm,
    readMm,
    leadMm,
    // explained within two of its uncertainties: half a crest in all
    slips: geared ? slipsOf(lathe, geared, readMm, Math.max(withinMm / 2, ruleMm)).slice(0, 3) : [],
  };
}

/**
 * A train on a lathe, as slips are looked for on it.
 * @example slippable(shop.lathes[0], { drivers: [60], driven: [40], gearbox: '1' }).planned.levers // {}; it has no gearbox
 */
export function slippable(lathe: Lathe, train: Geared): Omit<Scratch, 'measuredMm' | 'uncertaintyMm'> {
  const setting = allSettings(lathe.levers).find((s) => ratioOf(lathe.levers, s)?.equals(exact(train.gearbox)));
  return {
    leadscrew: exact(lathe.leadscrew),
    fixedRatio: exact(lathe.fixedRatio),
    gears: lathe.gears,
    levers: lathe.levers,
    planned: { drivers: train.drivers, driven: train.driven, ...(setting ? { levers: setting } : {}) },
  };
}

/**
 * Single slips at the end of this lathe that would have cut a scratch under a train, the likeliest first.
 * @param readMm from crest to crest @param uncertaintyMm one standard deviation of it
 * @example slipsOf(shop.lathes[1], { drivers: [40], driven: [40], gearbox: '1/4' }, 3, 0.01)[0].mistake // { kind: 'lever', lever: 'range', at: 'B', planned: 'C' }
 */
export const slipsOf = (lathe: Lathe, train: Geared, readMm: number, uncertaintyMm: number): readonly Explanation[] =>
  explainScratch({ ...slippable(lathe, train), measuredMm: readMm, uncertaintyMm });
