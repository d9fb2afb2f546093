import { gearboxRatios } from '../gearing/gearbox/index.ts';
import { sameGears, type Gearing } from '../gearing/train.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import { exact, textOf } from '../quantity/rational.ts';
import { latheOf, threadOfJob } from './derive.ts';
import type { Has, Shop } from './schema.ts';

/** Where everything between spindle and leadscrew stands: a train alone cuts one lead at one setting of the levers and another at the next. */
export interface GearSetting {
  readonly train: Gearing;
  /** "cone 1, range B"; the ratio alone where no setting of this lathe's levers gives it; null: the lathe has no levers. */
  readonly levers: string | null;
  /** For which hand the tumbler is set; null: the lathe has none. */
  readonly tumbler: 'right' | 'left' | null;
}

/**
 * The levers of a lathe that give a ratio of its gearbox; null: it has none.
 * @example leversGiving(shop.lathes[1], '1/2') // 'cone 1, range B'
 */
export function leversGiving(lathe: Pick<Lathe, 'levers'>, ratio: string): string | null {
  if (Object.keys(lathe.levers).length === 0) return null;
  const wanted = textOf(exact(ratio));
  return gearboxRatios(lathe.levers).find((r) => r.ratio === wanted)?.name ?? `ratio ${ratio}`;
}

/**
 * What a job wants between spindle and leadscrew; null: it has no geared lathe, or no train.
 * @example gearSettingOf(demo('sluice'), shop).train.drivers // [60, 40]
 */
export function gearSettingOf(job: Has<'name' | 'gears'>, shop: Shop): GearSetting | null {
  const lathe = latheOf(job, shop);
  const { train } = job.gears;
  if (!lathe || !train || !isGeared(lathe)) return null;
  return {
    train,
    levers: leversGiving(lathe, train.gearbox),
    tumbler: lathe.tumbler ? (threadOfJob(job)?.leftHand ? 'left' : 'right') : null,
  };
}

/**
 * The lathe is said to have just these gears and levers on.
 * @example gearsStandUp(demo('sluice'), shop.lathes[0]) // true; they were put up for it, and nothing since
 */
export const gearsStandUp = ({ gears: { train } }: Has<'gears'>, lathe: Pick<Lathe, 'mounted'> | null): boolean =>
  train !== null && lathe !== null && lathe.mounted !== null && sameGears(lathe.mounted, train);

/**
 * The levers as they were last said to stand; null: the lathe has none, or nobody has said.
 * @example leversStanding({ levers: {}, mounted: null }) // null
 */
export const leversStanding = (lathe: Pick<Lathe, 'levers' | 'mounted'>): string | null =>
  lathe.mounted && leversGiving(lathe, lathe.mounted.gearbox);
