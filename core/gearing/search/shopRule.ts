import type { Gearing } from '../train.ts';

/** Teeth by which a pair has to be larger than the gear whose stud it must clear. Common practice, no source. */
const OVER_TEETH = 15;

/** Every order of a short list. */
const orders = (list: readonly number[]): number[][] =>
  list.length <= 1
    ? [[...list]]
    : list.flatMap((x, i) => orders(list.filter((_, j) => j !== i)).map((rest) => [x, ...rest]));

/** A/B x C/D goes on where C + D > B + 15 (B clears the shaft of D) and A + B > C + 15 (C clears the shaft of A). */
const goes = (drivers: readonly number[], driven: readonly number[]): boolean =>
  drivers.every((a, i) => {
    const b = driven[i] ?? 0;
    const [c, d] = [drivers[i + 1], driven[i + 1]];
    return c === undefined || d === undefined || (c + d > b + OVER_TEETH && a + b > c + OVER_TEETH);
  });

/**
 * A train in an order of its gears in which, by the rule that shops go by, every gear clears its neighbours' shafts: for an
 * arm that nobody has measured. Its own order where that goes; null where none does. What is cut does not depend on the
 * order. One pair always goes, with an idler. Common practice, no source.
 * @example orderByShopRule({ drivers: [20, 60], driven: [40, 50] }).drivers // [60, 20]
 */
export function orderByShopRule({ drivers, driven }: Gearing): Gearing | null {
  for (const a of orders(drivers)) for (const b of orders(driven)) if (goes(a, b)) return { drivers: a, driven: b };
  return null;
}
