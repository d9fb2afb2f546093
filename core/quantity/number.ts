import { writing } from './writing.ts';
import { bad, good, type Outcome } from './outcome.ts';
import { exact, numberOf, type Rational } from './rational.ts';

/** More digits than this are a slip of the finger, and no exact fraction is built of them. */
const MOST_DIGITS = 15;
const NUMBER = '(?:\\d+(?:[.,]\\d*)?|[.,]\\d+)';
const MIXED = '(\\d+)(?:\\s+|\\s*-\\s*)(\\d+)\\s*/\\s*(\\d+)';
const FRACTION = '(\\d+)\\s*/\\s*(\\d+)';
const HEAD = new RegExp(`^([+-]?)\\s*(?:${MIXED}|${FRACTION}|(${NUMBER}))`);

/** A number at the head of what was typed, and what is left after it. */
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
 * @example value(readNumber('12 tpi', 'pitch')).rest // 'tpi'
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
  if ([mixWhole, mixNum, mixDen, fracNum, fracDen, decimal].some((d) => (d ?? '').length > MOST_DIGITS))
    return bad(field, 'too-many-digits', { most: MOST_DIGITS });
  const rest = t.slice(whole.length).trim();
  const negative = sign === '-';
  const signed = (r: Rational): Rational => (negative ? r.neg() : r);
  if (decimal !== undefined) {
    if (/^[.,\d]/.test(rest)) return bad(field, 'two-decimal-marks', { typed: t });
    // whoever is shown commas means one
    if (writing().decimal !== ',' && /^[1-9]\d{0,2},\d{3}$/.test(decimal)) {
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
  const value = exact(num)
    .div(exact(den))
    .add(exact(mixWhole ?? '0'));
  return good({ value: signed(value), style: 'fraction', lastDigit: null, rest });
}

/**
 * A whole text that is one number: `14 1/2`, `.5`, `-0,1`. Nothing may follow it.
 * @example textOf(value(readOnly('1 1/4', 'x'))) // '5/4'
 */
export function readOnly(text: string, field: string): Outcome<Rational> {
  const head = readNumber(text, field);
  if (!head.ok) return head;
  return head.value.rest === '' ? good(head.value.value) : bad(field, 'more-than-a-number', { rest: head.value.rest });
}

/**
 * A number within bounds, both included.
 * @example value(readWithin('0.5', 'x', 0, 1)) // 0.5
 */
export function readWithin(text: string, field: string, from: number, to: number): Outcome<number> {
  const read = readOnly(text, field);
  if (!read.ok) return read;
  const v = numberOf(read.value);
  return v >= from && v <= to ? good(v) : bad(field, 'number-within', { from, to });
}

/**
 * A whole number within bounds, both included. @param right what would be right, where that is not the least
 * @example value(readWhole('12', 'teeth', 8, 400)) // 12
 */
export function readWhole(
  text: string,
  field: string,
  from: number,
  to: number,
  right = String(from),
): Outcome<number> {
  const read = readOnly(text, field);
  const v = read.ok ? numberOf(read.value) : NaN;
  return Number.isInteger(v) && v >= from && v <= to ? good(v) : bad(field, 'whole-number', { from, to, right });
}

const STEPS: Readonly<Record<string, string>> = { ones: '1', twos: '2', fives: '5', tens: '10' };
const RUN_TEXT = String.raw`(?<from>\d{1,6})\s*(?:-|to|\u2013)\s*(?<to>\d{1,6})\s*by\s*(?<by>\d{1,6}|ones|twos|fives|tens)`;
const RUN = new RegExp(`^${RUN_TEXT}$`, 'i');
/** Cuts a text at its runs, and keeps them. */
const RUNS = new RegExp(`(${RUN_TEXT.replace(/\?<\w+>/g, '?:')})`, 'gi');

/**
 * A list of numbers as they are written: `40 65 110`, `40, 65`, repeats `2x20`, and runs `50-600 by 5` or `20 to 65 by fives`.
 * @param most more than so many are not taken
 * @example value(readList('20, 30 40', 'gears', 9)) // [20, 30, 40]
 */
export function readList(text: string, field: string, most: number): Outcome<number[]> {
  const out: number[] = [];
  const parts = text
    .trim()
    .split(RUNS)
    .flatMap((p) => (RUN.test(p) ? [p] : p.split(/[\s;]+|,(?!\d)|,(?=\d+(?:[\s,;]|$))/).filter(Boolean)));
  // "1,234" alone is one number or two, and the two are far apart
  const unsure = /(?:^|[\s;])([1-9]\d{0,2}),(\d{3})(?=$|[\s;])/.exec(text.trim());
  if (unsure)
    return bad(field, 'comma-ambiguous', {
      typed: unsure[0].trim(),
      point: `${unsure[1]} ${unsure[2]}`,
      thousands: `${unsure[1]}${unsure[2]}`,
    });
  for (const part of parts) {
    const run = RUN.exec(part);
    if (run) {
      const { from = '', to = '', by = '' } = run.groups ?? {};
      const step = Number(STEPS[by.toLowerCase()] ?? by);
      if (!(step > 0)) return bad(field, 'run-without-step', { typed: part });
      if (Number(to) < Number(from)) return bad(field, 'run-backwards', { typed: part, from, to, by });
      for (let v = Number(from); v <= Number(to) && out.length <= most; v += step) out.push(v);
    } else {
      const repeated = /^(\d{1,4})x(.+)$/i.exec(part);
      const value = readOnly(repeated?.[2] ?? part, field);
      if (!value.ok) return bad(field, 'not-in-a-list', { typed: part });
      for (let i = 0; i < Math.min(most + 1, Number(repeated?.[1] ?? 1)); i += 1) out.push(numberOf(value.value));
    }
    if (out.length > most) return bad(field, 'list-too-long', { most });
  }
  return good(out);
}
