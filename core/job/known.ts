import { findSlip, type Known, type Slip } from '../evidence/mistakes.ts';
import type { Quantity } from '../evidence/evidence.ts';
import type { Spot } from '../evidence/wearMap.ts';
import { partOf } from './evidence.ts';
import type { Job, Reading } from './schema.ts';

const own = (job: Job, q: Quantity): Reading[] => job.readings.filter((r) => r.quantity === q && r.member === 'part');
const middle = (list: readonly Reading[]): number | null =>
  list.length === 0 ? null : ([...list].sort((a, b) => a.value - b.value)[Math.floor(list.length / 2)]?.value ?? null);

/** What the readings so far say, for judging the next one. */
export function knownOf(job: Job): Known {
  const count = own(job, 'crestCount').at(-1);
  const leaf = own(job, 'pitchLeaf').findLast((r) => r.leaf === 'fits');
  return {
    part: partOf(job),
    majorMm: middle(own(job, 'majorDiameter')),
    minorMm: middle(own(job, 'minorDiameter')),
    pitchMm: leaf?.value ?? (count?.span ? count.span.mm / count.value : null),
    includedDeg: middle(own(job, 'flankAngle')),
  };
}

export const slipIn = (job: Job, quantity: Quantity, value: number, spanMm: number | null): Slip | null =>
  findSlip(quantity, value, knownOf(job), spanMm);

/** Outside (or bore) diameters that were taken at a pointed-at place. */
export function wearSpots(job: Job): Spot[] {
  const q: Quantity = partOf(job) === 'external' ? 'majorDiameter' : 'minorDiameter';
  return own(job, q).flatMap((r) => (r.positionMm === null ? [] : [{ positionMm: r.positionMm, diameterMm: r.value }]));
}
