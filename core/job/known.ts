import { kindOf } from '../reading/kinds.ts';
import type { Known, Slip } from '../reading/slips.ts';
import type { Quantity } from '../evidence/evidence.ts';
import { wearProfile, type Spot, type WearProfile } from '../evidence/wearMap.ts';
import type { UnitSystem } from '../quantity/units.ts';
import { partOf } from './evidence.ts';
import type { Job, Reading } from './schema.ts';

const own = (job: Job, q: Quantity): Reading[] => job.readings.filter((r) => r.quantity === q && r.member === 'part');
const middle = (list: readonly Reading[]): number | null =>
  list.length === 0 ? null : ([...list].sort((a, b) => a.value - b.value)[Math.floor(list.length / 2)]?.value ?? null);

/**
 * What the readings so far say, for judging the next one.
 * @example knownOf(demo('pump'), 'mm').pitchMm // 2
 */
export function knownOf(job: Job, system: UnitSystem): Known {
  const count = own(job, 'crestCount').at(-1);
  const leaf = own(job, 'pitchLeaf').findLast((r) => r.leaf === 'fits');
  return {
    part: partOf(job),
    majorMm: middle(own(job, 'majorDiameter')),
    minorMm: middle(own(job, 'minorDiameter')),
    pitchMm: leaf?.value ?? (count?.span ? count.span.mm / count.value : null),
    includedDeg: middle(own(job, 'flankAngle')),
    origin: job.intake.origin,
    system,
  };
}

/**
 * Looks for a slip in one new reading against the job's others. Null when it is credible, or when nothing is known to judge it by.
 * @example slipIn(demo('pump'), 'flankAngle', 30, null, '30', 'mm').instead // 60; half of what was read before
 */
export const slipIn = (
  job: Job,
  quantity: Quantity,
  value: number,
  spanMm: number | null,
  text: string,
  system: UnitSystem,
): Slip | null => kindOf(quantity).slip?.(value, knownOf(job, system), spanMm, text) ?? null;

/** Readings of one kind taken at pointed-at places: what can be compared along the part. */
export interface WearSeries {
  readonly quantity: Quantity;
  /** The wire, for measurements over wires. */
  readonly wire: string | null;
  readonly spots: readonly Spot[];
}

const ALONG: readonly Quantity[] = ['majorDiameter', 'minorDiameter', 'pitchDiameter', 'overWires'];

/**
 * Everything that was read at places along the part, crest first (a nut's crest is its bore); wires of each size apart.
 * @example wearSeries(demo('sluice')).map((s) => s.quantity) // ['majorDiameter', 'overWires']
 */
export function wearSeries(job: Job): WearSeries[] {
  const order = partOf(job) === 'external' ? ALONG : [...ALONG.slice(1, 2), ...ALONG.slice(0, 1), ...ALONG.slice(2)];
  return order.flatMap((quantity) => {
    const placed = own(job, quantity).filter((r) => r.positionMm !== null);
    const wires = [...new Set(placed.map((r) => r.span?.text ?? null))];
    return wires.map((wire) => ({
      quantity,
      wire,
      spots: placed
        .filter((r) => (r.span?.text ?? null) === wire)
        .map((r) => ({ positionMm: r.positionMm ?? 0, diameterMm: r.value })),
    }));
  });
}

/** A series with its profile along the part. */
export interface SeenWear {
  readonly series: WearSeries;
  readonly profile: WearProfile;
}
/**
 * Wear of every kind that was read in two places or more. The unworn stretch is the one chosen; else the first kind that was
 * read so proposes it, and the others are judged by the same.
 * @example wearSeen(demo('press')) // []
 * @example wearSeen(demo('sluice'))[0].profile.unworn.fromMm // 10
 */
export function wearSeen(job: Job): SeenWear[] {
  const part = partOf(job);
  const all = wearSeries(job);
  const proposed = all.map((s) => wearProfile(s.spots, part, job.wearMap.unworn)).find((p) => p !== null)?.unworn;
  return all.flatMap((series) => {
    const profile = wearProfile(series.spots, part, job.wearMap.unworn ?? proposed ?? null);
    return profile ? [{ series, profile }] : [];
  });
}
