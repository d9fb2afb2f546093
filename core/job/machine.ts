import { cardOf, testsSinceCut, type CardView, type StaleStation } from './card.ts';
import type { StationState } from './chain.ts';
import { pickupMove, type PickupAnswer } from './pickupMove.ts';
import type { Job, Shop } from './schema.ts';
import type { StationId } from './stations.ts';

/** Stations whose staleness stops the machine: what they decide is in the next reading. */
const ABOVE_CUT: readonly StationId[] = ['name', 'fit', 'gears', 'setup'];

/** The first station above Cut that has to be looked at again. */
const staleAbove = (states: Readonly<Record<StationId, StationState>>): StaleStation | null => {
  for (const station of ABOVE_CUT) {
    const s = states[station];
    if (s.kind === 'stale') return { station, because: s.because };
  }
  return null;
};

/** All that the views at the machine speak from, worked out once. */
export interface Machine extends CardView {
  readonly pickup: PickupAnswer;
  readonly tests: ReturnType<typeof testsSinceCut>;
}

/**
 * What the machine stations show: card, metal, pick-up; one computation for all of them.
 * @example machineOf(demo('pump'), shop, states(demo('pump'))).card.do // 'mount'
 */
export function machineOf(job: Job, shop: Shop, states: Readonly<Record<StationId, StationState>>): Machine {
  const view = cardOf(job, shop, staleAbove(states));
  return { ...view, pickup: pickupMove(job, shop, view.metal), tests: testsSinceCut(job, view.metal) };
}
