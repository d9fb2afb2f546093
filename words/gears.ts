import type { DialRule } from '../core/gearing/dial.ts';
import { lengthText } from '../core/quantity/format.ts';
import { exact, numberOf } from '../core/quantity/rational.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** Beyond this many turns nobody counts reliably, and the carriage has run off the bed. */
const COUNTABLE_TURNS = 4;

/** When the half-nuts may be closed, by the chasing dial. */
export function dialAdvice(rule: DialRule, marks: number, u: UnitSystem): string {
  const { safeMarks: safe, sameMarkAfterTurns: turns } = rule;
  const travel = lengthText(numberOf(exact(rule.travelMm)), u);
  if (safe.length === marks) return 'Close the half-nuts on any mark.';
  if (safe.length > 1)
    return `Close the half-nuts only on ${safe.length} of the ${marks} marks: every ${ordinal(marks / safe.length)}, counting from the one first used.`;
  if (safe.length === 1) return 'Close the half-nuts only on the mark first used.';
  const keep = 'No mark is right on every turn: keep the half-nuts shut and reverse the spindle';
  if (turns <= COUNTABLE_TURNS)
    return `${keep}, or use the same mark and only every ${ordinal(turns)} turn of the dial (${travel} of travel).`;
  return `${keep}. The same place comes back only after ${travel} of travel.`;
}

function ordinal(n: number): string {
  const tens = n % 100;
  const suffix = tens >= 11 && tens <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${suffix}`;
}
