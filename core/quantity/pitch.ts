import { readNumber } from './number.ts';
import { bad, good, type Outcome } from './outcome.ts';
import {
  INCH_MM,
  isPositive,
  isWhole,
  mixedText,
  numberOf,
  rationalFromNumber,
  rationalOf,
  shortText,
  type Rational,
} from './rational.ts';
import { parseLength } from './length.ts';
import type { UnitSystem } from './units.ts';
import { marked } from './writing.ts';

/** A pitch as it was typed, exact. */
export interface Pitch {
  readonly text: string;
  /** Exact pitch, mm. For worm pitches (DP, module) the nearest 15-place decimal, because pi has no exact fraction. */
  readonly exactMm: Rational;
  readonly mm: number;
  readonly system: UnitSystem;
  /** How it was given: threads per inch, a length, or a worm pitch. */
  readonly kind: 'tpi' | 'length' | 'dp' | 'module';
}

const TPI = /^(tpi|t\.p\.i\.?|threads?\s*(per|\/)\s*in(ch)?|per\s*in(ch)?|\/\s*in(ch)?)$/i;
const P = /^(p|mm\s*p|p\s*mm|mm\s*pitch)$/i;
const DP = /^(dp|d\.p\.|diametral(\s*pitch)?)$/i;
const MODULE = /^(mod|module|m)$/i;

/**
 * Reads a pitch: `8 tpi`, `4 1/2 tpi`, `1.75p`, `1.75 mm`, `1/8 in`, `.125"`, and worms `16 dp`, `1.5 mod`.
 * A bare number is refused, because 8 may be 8 threads per inch or 8 mm; both readings are offered.
 * @example textOf(value(parsePitch('8 tpi')).exactMm) // '127/40'
 */
export function parsePitch(text: string, field = 'pitch'): Outcome<Pitch> {
  const head = readNumber(text, field);
  if (!head.ok) return head;
  const { value, style, rest } = head.value;
  if (!isPositive(value)) return bad(field, 'not-above-zero', { right: '8 tpi or 1.75 mm' });
  const made = (exactMm: Rational, system: UnitSystem, kind: Pitch['kind']): Outcome<Pitch> => {
    const mm = numberOf(exactMm);
    if (mm < 0.05) return bad(field, 'pitch-too-fine', { typed: text.trim(), pitchMm: mm });
    if (mm > 200) return bad(field, 'pitch-too-coarse', { typed: text.trim(), pitchMm: mm });
    return good({ text, exactMm, mm, system, kind });
  };
  if (rest === '') {
    if (style === 'fraction' && value.compare(1) < 0) return made(value.mul(INCH_MM), 'in', 'length');
    const n = mixedText(value);
    return bad(field, 'pitch-of-what', { typed: n });
  }
  if (TPI.test(rest)) return made(INCH_MM.div(value), 'in', 'tpi');
  if (P.test(rest)) return made(value, 'mm', 'length');
  if (DP.test(rest)) return made(rationalFromNumber(Number((Math.PI * 25.4).toFixed(15))).div(value), 'in', 'dp');
  if (MODULE.test(rest)) return made(rationalFromNumber(Number(Math.PI.toFixed(15))).mul(value), 'mm', 'module');
  const length = parseLength(text, { system: 'mm', field });
  if (!length.ok) return bad(field, 'not-a-pitch', { rest });
  return made(length.value.exactMm, length.value.system, 'length');
}

/**
 * Threads per inch of a pitch, exactly.
 * @example textOf(tpiOf(exact('127/40'))) // '8'
 */
export const tpiOf = (pitchMm: Rational): Rational => INCH_MM.div(pitchMm);

/**
 * True when the pitch is a workshop number of threads per inch (halves, quarters, eighths).
 * @example isTpiPitch(exact('127/40')) // true
 */
export const isTpiPitch = (pitchMm: Rational): boolean => {
  const tpi = tpiOf(pitchMm);
  return [1n, 2n, 4n, 8n].includes(tpi.d) && numberOf(tpi) >= 1;
};

/**
 * True when the pitch is a whole number of hundredths of a millimetre, as metric pitches are.
 * @example isMetricPitch(exact('127/40')) // false
 */
export const isMetricPitch = (pitchMm: Rational): boolean => isWhole(pitchMm.mul(100n));

/**
 * A pitch as the trade writes it: "8 tpi" or "1.75 mm". A pitch natural to both systems is given in the preferred one.
 * @example pitchText(exact('127/40')) // '8 tpi'
 */
export function pitchText(pitchMm: Rational, prefer: UnitSystem = 'mm'): string {
  const metric = isMetricPitch(pitchMm);
  if (isTpiPitch(pitchMm) && !(metric && prefer === 'mm')) return `${mixedText(tpiOf(pitchMm))} tpi`;
  return `${marked(metric ? shortText(pitchMm) : String(Number(numberOf(pitchMm).toFixed(4))))} mm`;
}

// the tables hold a few hundred pitches and every thread asks for its own again and again: a fraction never changes
const stored = new Map<string, Rational>();
const MOST_STORED = 2000;
/**
 * Reads the exact text kept in documents ("127/40").
 * @example textOf(storedPitch('3.5')) // '7/2'
 */
export const storedPitch = (text: string): Rational => {
  const known = stored.get(text);
  if (known) return known;
  const r = rationalOf(text);
  if (r === null || !isPositive(r)) throw new RangeError(`not a stored pitch: ${text}`);
  if (stored.size < MOST_STORED) stored.set(text, r);
  return r;
};
