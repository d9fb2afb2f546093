import Fraction from 'fraction.js';

/**
 * Exact numbers for pitches, leads, ratios and tooth counts. The only module that knows the rational library.
 * Values cross module, worker and storage borders as text ("127/40"), because big integers survive neither JSON nor
 * structured cloning with their class.
 */
export type Rational = Fraction;

const PLAIN = /^[+-]?(\d+|\d+\/\d+|\d*\.\d+|\d+\.)$/;

/**
 * Reads "7", "7/4", "1.75". Null for anything else, a zero denominator included; never goes through a float.
 * @example rationalOf('1/0') // null
 * @example textOf(rationalOf('10/8')) // '5/4'
 */
export function rationalOf(text: string): Rational | null {
  const t = text.trim();
  if (!PLAIN.test(t) || /\/0+$/.test(t)) return null;
  return new Fraction(t.endsWith('.') ? t.slice(0, -1) : t);
}

/**
 * For literals in our own code: throws when the text is not a rational.
 * @example exact('1.75').toFraction() // '7/4'
 */
export function exact(text: string | number): Rational {
  const r = rationalOf(String(text));
  if (r === null) throw new RangeError(`not a rational: ${text}`);
  return r;
}

/**
 * The rational whose decimal expansion is the float's own shortest decimal text (1.75 -> 7/4).
 * @example rationalFromNumber(0.1).toFraction() // '1/10'
 */
export function rationalFromNumber(x: number): Rational {
  if (!Number.isFinite(x)) throw new RangeError(`not finite: ${x}`);
  // toFixed keeps exponents out of the text; 15 places are below any length a shop can mean
  const text = String(x);
  return exact(/e/i.test(text) ? x.toFixed(15) : text);
}

/**
 * As it is kept: whole, or a fraction in lowest terms.
 * @example textOf(exact('3.5')) // '7/2'
 */
export const textOf = (r: Rational): string => r.toFraction();
/**
 * The nearest float.
 * @example numberOf(exact('7/2')) // 3.5
 */
export const numberOf = (r: Rational): number => r.valueOf();

const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? a : gcd(b, a % b));

/**
 * Least common multiple of two positive rationals: lcm of numerators over gcd of denominators, both in lowest terms.
 * @example lcm(exact('3/2'), exact(2)).toFraction() // '6'
 */
export function lcm(a: Rational, b: Rational): Rational {
  if (!isPositive(a) || !isPositive(b)) throw new RangeError('lcm needs positive values');
  const num = (a.n / gcd(a.n, b.n)) * b.n;
  return new Fraction(num, gcd(a.d, b.d));
}

/**
 * Whether it is over nought.
 * @example isPositive(exact(0)) // false
 */
export const isPositive = (r: Rational): boolean => r.compare(0) > 0;
/**
 * Whether it has no fraction.
 * @example isWhole(exact('7/2')) // false
 */
export const isWhole = (r: Rational): boolean => r.d === 1n;
/** An inch, exact mm. */
export const INCH_MM: Rational = exact('127/5');

/**
 * "4 1/2" for 9/2; "7" for 7: the way a machinist writes it.
 * @example mixedText(exact('9/2')) // '4 1/2'
 */
export const mixedText = (r: Rational): string => r.toFraction(true);

/**
 * Terminating decimals up to `places` as decimal text ("1.75"); others as a fraction ("127/65").
 * @example shortText(exact('127/65')) // '127/65'
 */
export function shortText(r: Rational, places = 6): string {
  const scaled = r.mul(10n ** BigInt(places));
  return isWhole(scaled) ? String(Number(r.valueOf().toFixed(places))) : textOf(r);
}

/**
 * Signed relative difference of `value` from `target` in parts per million, computed exactly and then rounded to a float.
 * @example errorPpm(exact('40/127').mul(exact('127/40')), exact('1.0001')) // -99.99
 */
export const errorPpm = (value: Rational, target: Rational): number =>
  numberOf(value.sub(target).div(target).mul(1_000_000n));
