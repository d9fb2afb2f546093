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

export const DUTY_NAMES: Readonly<Record<DutyId, string>> = {
  gauge: 'gauge',
  adjusting: 'adjusting ring',
  feed: 'feed screw',
  nose: 'spindle nose',
  lifting: 'press or lifting screw',
  clamp: 'clamp, vice',
  outdoor: 'hot, dirty, outdoors',
};
