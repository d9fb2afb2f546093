import { bad, good, type Outcome } from './outcome.ts';
import { exact, type Rational } from './rational.ts';

const NUMBER = '(?:\\d+(?:[.,]\\d*)?|[.,]\\d+)';
const MIXED = '(\\d+)(?:\\s+|\\s*-\\s*)(\\d+)\\s*/\\s*(\\d+)';
const FRACTION = '(\\d+)\\s*/\\s*(\\d+)';
const HEAD = new RegExp(`^([+-]?)\\s*(?:${MIXED}|${FRACTION}|(${NUMBER}))`);

export interface NumberHead {
  readonly value: Rational;
  /** How it was written: a workshop fraction can only be inches. */
  readonly style: 'fraction' | 'decimal';
  /** Size of the last digit written (0.001 for ".750"); null for a fraction. */
  readonly lastDigit: Rational | null;
  /** What follows the number, trimmed: the unit, if any. */
  readonly rest: string;
}

/**
 * Reads the number at the start of a typed quantity: `1 3/16`, `1-3/16`, `3/4`, `.750`, `19,05`, `-0.1`.
 * A comma is a decimal comma; `1,250` could also be one thousand two hundred and fifty and is refused with both readings.
 */
export function readNumber(text: string, field: string): Outcome<NumberHead> {
  const t = text
    .trim()
    .replace(/\u2044/g, '/')
    .replace(/\u2212/g, '-');
  if (t === '') return bad(field, 'nothing-typed');
  const m = HEAD.exec(t);
  if (!m) return bad(field, 'not-a-number', { typed: t });
  const [whole, sign, mixWhole, mixNum, mixDen, fracNum, fracDen, decimal] = m;
  const rest = t.slice(whole.length).trim();
  const negative = sign === '-';
  const signed = (r: Rational): Rational => (negative ? r.neg() : r);
  if (decimal !== undefined) {
    if (/^[.,\d]/.test(rest)) return bad(field, 'two-decimal-marks', { typed: t });
    if (/^[1-9]\d{0,2},\d{3}$/.test(decimal)) {
      const point = decimal.replace(',', '.');
      return bad(field, 'comma-ambiguous', { typed: decimal, point, thousands: decimal.replace(',', '') });
    }
    const dotted = decimal.replace(',', '.');
    const places = dotted.includes('.') ? dotted.length - dotted.indexOf('.') - 1 : 0;
    const clean = dotted.startsWith('.') ? `0${dotted}` : dotted;
    return good({
      value: signed(exact(clean)),
      style: 'decimal',
      lastDigit: exact(1).div(10n ** BigInt(places)),
      rest,
    });
  }
  const num = mixNum ?? fracNum ?? '';
  const den = mixDen ?? fracDen ?? '';
  if (/^0+$/.test(den)) return bad(field, 'zero-below-line', { over: num });
  if (mixNum !== undefined && Number(num) >= Number(den)) {
    return bad(field, 'fraction-over-one', { typed: whole.trim() });
  }
  const value = exact(`${Number(num)}/${Number(den)}`).add(exact(mixWhole ?? '0'));
  return good({ value: signed(value), style: 'fraction', lastDigit: null, rest });
}
