import { allSettings, ratioOf } from '../gearing/gearbox/index.ts';
import { explainScratch } from '../gearing/proof/index.ts';
import type { Explanation } from '../gearing/proof/diagnose.ts';
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
  const readMm = scratch.spanMm / scratch.crests;
  const leadMm = numberOf(lead);
  const withinMm = (COUNT_CRESTS * readMm) / scratch.crests;
  const starts = threadOfJob(job)?.starts ?? 1;
  if ([leadMm, leadMm / starts].some((mm) => Math.abs(readMm - mm) <= withinMm)) return null;
  const { train } = job.gears;
  return {
    crests: scratch.crests,
    spanMm: scratch.spanMm,
    readMm,
    leadMm,
    // explained within two of its uncertainties: half a crest in all
    slips: isGeared(lathe) && train ? slipsOf(lathe, train, readMm, withinMm / 2).slice(0, 3) : [],
  };
}

/**
 * Single slips at the end of this lathe that would have cut a scratch under a train, the likeliest first.
 * @param readMm from crest to crest @param uncertaintyMm one standard deviation of it
 * @example slipsOf(shop.lathes[1], { drivers: [40], driven: [40], gearbox: '1/4' }, 3, 0.01)[0].mistake // { kind: 'lever', lever: 'range', at: 'B', planned: 'C' }
 */
export function slipsOf(lathe: Lathe, train: Geared, readMm: number, uncertaintyMm: number): readonly Explanation[] {
  const setting = allSettings(lathe.levers).find((s) => ratioOf(lathe.levers, s)?.equals(exact(train.gearbox)));
  return explainScratch({
    leadscrew: exact(lathe.leadscrew),
    fixedRatio: exact(lathe.fixedRatio),
    gears: lathe.gears,
    levers: lathe.levers,
    planned: { drivers: train.drivers, driven: train.driven, ...(setting ? { levers: setting } : {}) },
    measuredMm: readMm,
    uncertaintyMm,
  });
}
