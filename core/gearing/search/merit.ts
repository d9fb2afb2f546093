import type { Flanks } from '../../form/flanks.ts';
import { gearsToChange, type Gearing } from '../train.ts';
import { pitchErrorEffect } from '../proof/pitchError.ts';
import type { Mount } from '../mounting/mount.ts';
import { orderByShopRule } from './shopRule.ts';
import type { Train } from './findTrains.ts';

/** What a machinist weighs when choosing among trains; each a number from 0 (no matter) to 10. */
export interface Weights {
  readonly error: number;
  readonly changes: number;
  readonly smallDrivers: number;
  readonly pairs: number;
  readonly mounting: number;
}
/** Weights until somebody moves them. Common practice, no source. */
export const USUAL_WEIGHTS: Weights = { error: 10, changes: 2, smallDrivers: 2, pairs: 1, mounting: 5 };

/** What the worth of a train hangs on. */
export interface MeritContext {
  readonly engagementMm: number;
  readonly flanks: Flanks;
  /** Clearance on the pitch diameter that the error may eat, mm. */
  readonly clearanceMm: number;
  readonly mounted: Gearing | null;
}

/** Penalties of a train in the unit of the weights; lower is better. Shown, so that the order can be understood. */
export interface Merit {
  readonly error: number;
  readonly changes: number;
  readonly smallDrivers: number;
  readonly pairs: number;
  readonly mounting: number;
  readonly total: number;
}

/** No gear below about 20 teeth driving hard. Common practice, no source. */
const SMALL = 24;

/** A train that does not go on weighs as much as several gears to change; a tight one a little. */
const MOUNT_FAILS = 4;
/** Clearance that is no longer tight. Common practice, no source. */
const ROOMY_MM = 3;
/** From 0, roomy, to a half, touching. */
const tightness = (clearanceMm: number): number => 0.5 * Math.max(0, 1 - clearanceMm / ROOMY_MM);

/** An arm that nobody measured is judged by the shop rule, which only says what cannot go. */
const mountingPenalty = (train: Gearing, mount: Mount | null): number => {
  if (mount === null) return orderByShopRule(train) ? 0 : MOUNT_FAILS;
  return mount.fits ? tightness(mount.clearanceMm) : MOUNT_FAILS;
};

/**
 * A train nearer to a measured pitch than the pitch was measured is as good as exact. @param measuredPpm null: the pitch was not measured
 * @example asGoodAsMeasured({ errorPpm: 50 }, 100).errorPpm // 0
 */
export const asGoodAsMeasured = <T extends { readonly errorPpm: number }>(train: T, measuredPpm: number | null): T =>
  measuredPpm !== null && Math.abs(train.errorPpm) <= measuredPpm ? { ...train, errorPpm: 0 } : train;

/**
 * Weighs one train. The error counts by the share of the pitch-diameter clearance it eats over this engagement.
 * @example meritOf({ drivers: [40], driven: [80], gearbox: '1', leadMm: '127/80', errorPpm: 0 }, null, { engagementMm: 20, flanks: equalFlanks(60), clearanceMm: 0.1, mounted: null }, USUAL_WEIGHTS).total // 1; two gears to change
 */
export function meritOf(train: Train, mount: Mount | null, context: MeritContext, w: Weights): Merit {
  const eaten = pitchErrorEffect(train.errorPpm, context.engagementMm, context.flanks).clearanceEatenMm;
  const share = train.errorPpm === 0 ? 0 : Math.min(10, 0.05 + eaten / Math.max(0.005, context.clearanceMm));
  const smallest = Math.min(...train.drivers);
  const parts = {
    error: w.error * share,
    changes: (w.changes * gearsToChange(train, context.mounted)) / 4,
    smallDrivers: (w.smallDrivers * Math.max(0, SMALL - smallest)) / 4,
    pairs: w.pairs * (train.drivers.length - 1),
    mounting: w.mounting * mountingPenalty(train, mount),
  };
  return { ...parts, total: parts.error + parts.changes + parts.smallDrivers + parts.pairs + parts.mounting };
}
