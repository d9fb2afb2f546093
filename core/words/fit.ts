import type { DutyId } from '../fit/duty.ts';
import type { Bound, FitPlan } from '../fit/fit.ts';
import { lengthText, percentText } from '../quantity/format.ts';
import type { UnitSystem } from '../quantity/units.ts';

/** Why a bore is not where the table alone would have it. */
export function boundText(b: Bound, u: UnitSystem): string {
  const least = lengthText(b.leastMm, u);
  return {
    'screw-root': `The screw that it has to pass decides: its root as read, and clearance over it, ask for ${least} at least.`,
    'square-crest': `A crest bored square would ride on a full root radius of the screw: ${least} at least (d \u2212 1.1328 P), or round the crests.`,
  }[b.code];
}

/** What is left of the engagement, where it is less than the form has; null where nothing is lost. */
export const engagedText = (plan: FitPlan): string | null =>
  plan.engagedShare < 0.995 ? `${percentText(plan.engagedShare)} of the depth of thread is left to engage.` : null;

/** What the gauge is called: a plug goes into a nut, a ring over a screw. */
export const gaugeName = (make: 'external' | 'internal', end: 'go' | 'not-go'): string =>
  `${end === 'go' ? 'Go' : 'Not-go'} ${make === 'external' ? 'plug' : 'ring'}`;
export const GAUGE_LIKE: Readonly<Record<'go' | 'not-go', string>> = {
  go: 'Full form, as long as the nut. It has to go the whole length by hand.',
  'not-go':
    'Two or three turns, on its flanks only: the crest is cut back and the root is cleared. It may enter two turns at most (ISO 1502), three by ASME B1.2.',
};
export const GAUGE_CERTIFIES =
  'A gauge made in the shop certifies nothing: measure it, date it, and say on it which school it follows.';

export const DUTY_NAMES: Readonly<Record<DutyId, string>> = {
  gauge: 'gauge',
  adjusting: 'adjusting ring',
  feed: 'feed screw',
  nose: 'spindle nose',
  lifting: 'press or lifting screw',
  clamp: 'clamp, vice',
  outdoor: 'hot, dirty, outdoors',
};
