import { errorPpm, exact, INCH_MM, isPositive, numberOf, type Rational } from '../quantity/rational.ts';

/** How a lathe takes a lead that is typed in: as a length, or as turns an inch, to so many decimals. */
export interface TypedHow {
  readonly unit: 'mm' | 'in' | 'tpi';
  readonly decimals: number;
}

/** A lead as it is typed, and what it then is. */
export interface TypedLead {
  /** The digits typed. */
  readonly text: string;
  readonly lead: Rational;
  readonly errorPpm: number;
}

/**
 * The lead rounded to what can be typed, the nearest. Exact: what is cut is the number typed, not the one meant. Turns an inch are
 * turns of the spindle for an inch of travel, so a lead of several starts counts its turns, not its threads.
 * Null: it rounds to nothing, and cannot be typed.
 * @example typedLead(exact('254/70'), { unit: 'mm', decimals: 3 }).text // '3.629'; 7 tpi is 3.62857... mm
 */
export function typedLead(lead: Rational, how: TypedHow): TypedLead | null {
  const figure = how.unit === 'mm' ? lead : how.unit === 'in' ? lead.div(INCH_MM) : INCH_MM.div(lead);
  const scale = exact(String(10n ** BigInt(how.decimals)));
  const whole = figure.mul(scale).round();
  if (!isPositive(whole)) return null;
  const typed = whole.div(scale);
  const is = how.unit === 'mm' ? typed : how.unit === 'in' ? typed.mul(INCH_MM) : INCH_MM.div(typed);
  return { text: numberOf(typed).toFixed(how.decimals), lead: is, errorPpm: errorPpm(is, lead) };
}
