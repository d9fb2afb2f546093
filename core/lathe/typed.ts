import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { readList, readOnly, readWhole, readWithin } from '../quantity/number.ts';
import { isPositive, numberOf, textOf } from '../quantity/rational.ts';
import { inches } from '../quantity/units.ts';
import type { Lathe } from './schema.ts';

/** How the facts of a lathe are typed; each says what would be right when it is not. */

/**
 * A whole number of a field, as it is typed.
 * @example value(wholeNumber('teeth', 8, 400)('40')) // 40
 */
export const wholeNumber =
  (field: string, min: number, max: number) =>
  (t: string): Outcome<number> =>
    readWhole(t, field, min, max);

/**
 * Reads a number between two.
 * @example value(numberWithin('x', 0, 1)('0.5')) // 0.5
 */
export const numberWithin =
  (field: string, min: number, max: number) =>
  (t: string): Outcome<number> =>
    readWithin(t, field, min, max);

/**
 * One division of a dial: `0.02`, `.001`, `1/1000`.
 * @example value(parseDivision('0.02')) // 0.02
 */
export function parseDivision(t: string): Outcome<number> {
  const read = readOnly(t, 'division');
  const v = read.ok ? numberOf(read.value) : NaN;
  return v > 0 && v < 10 ? good(v) : bad('division', 'division-small');
}

/**
 * An exact ratio, as text: `1`, `1/2`, `24/48`.
 * @example value(parseRatio('3/4', 'ratio')) // '3/4'
 */
export function parseRatio(t: string, field: string): Outcome<string> {
  const read = readOnly(t, field);
  return read.ok && isPositive(read.value) ? good(textOf(read.value)) : bad(field, 'not-a-ratio', { typed: t.trim() });
}

/** More speeds than any lathe has. */
const MOST_SPEEDS = 200;

/** One spindle speed, rev/min. */
export const parseSpindleSpeed = numberWithin('speed', 1, 5000);
/** Time that a hand wants to stop in, s. */
export const parseSeconds = numberWithin('seconds', 0.1, 60);
/** What an instrument for angles is good to, degrees: one standard deviation. */
export const parseUncertaintyDeg = numberWithin('uncertainty', 0.001, 20);

/**
 * Spindle speeds, sorted: `40 65 110`.
 * @example value(parseSpeeds('40 65 100')) // [40, 65, 100]
 */
export function parseSpeeds(t: string): Outcome<number[]> {
  const list = readList(t, 'speeds', MOST_SPEEDS);
  if (!list.ok) return list;
  return list.value.every((v) => v > 0 && v <= 10_000)
    ? good(list.value.toSorted((a, b) => a - b))
    : bad('speeds', 'speeds-above-zero');
}

/**
 * Levers as they are typed.
 * @example leversText({ cone: { 1: '1', 2: '8/9' } }) // 'cone 1=1 2=8/9'
 */
export const leversText = (levers: Lathe['levers']): string =>
  Object.entries(levers)
    .map(
      ([lever, positions]) =>
        `${lever} ${Object.entries(positions)
          .map(([p, r]) => `${p}=${r}`)
          .join(' ')}`,
    )
    .join('; ');

/** No name of a lever: assigning it would change what the table is. */
const FORBIDDEN = new Set(['__proto__']);

/**
 * The gearbox as its levers: `cone 1=1 2=8/9; range A=2 B=1`.
 * @example value(parseLevers('cone 1=1 2=8/9')) // { cone: { 1: '1', 2: '8/9' } }
 */
export function parseLevers(t: string): Outcome<Lathe['levers']> {
  const out: Record<string, Record<string, string>> = {};
  for (const part of t
    .split(';')
    .map((x) => x.trim())
    .filter(Boolean)) {
    const [lever = '', ...positions] = part.split(/\s+/);
    if (lever.includes('=') || positions.length === 0) return bad('gearbox', 'lever-name-missing', { typed: part });
    if (FORBIDDEN.has(lever)) return bad('gearbox', 'lever-name-missing', { typed: part });
    if (Object.hasOwn(out, lever)) return bad('gearbox', 'lever-twice', { lever });
    const list: Record<string, string> = {};
    for (const p of positions) {
      const [name = '', ratioText = ''] = p.split('=');
      if (FORBIDDEN.has(name)) return bad('gearbox', 'position-no-ratio', { typed: p, lever });
      const ratio = parseRatio(ratioText, 'gearbox');
      if (!ratio.ok) return bad('gearbox', 'position-no-ratio', { typed: p, lever });
      list[name] = ratio.value;
    }
    out[lever] = list;
  }
  return good(out);
}

const LEAST_MODULE = 0.2;
const MOST_MODULE = 10;
/**
 * Module of the change gears, mm: `1.5`, or `16 dp` for diametral pitch (module = 25.4 / DP).
 * @example value(parseModule('1.5')) // 1.5
 */
export function parseModule(t: string): Outcome<number> {
  const dp = /^(.+?)\s*dp\s*$/i.exec(t.trim());
  const pitch = readOnly(dp?.[1] ?? '1', 'module');
  if (!pitch.ok) return pitch;
  const mm = inches(1) / numberOf(pitch.value);
  const read = dp
    ? mm >= LEAST_MODULE && mm <= MOST_MODULE
      ? good(mm)
      : bad('module', 'number-within', { from: LEAST_MODULE, to: MOST_MODULE })
    : readWithin(t, 'module', LEAST_MODULE, MOST_MODULE);
  return read.ok ? good(Number(read.value.toFixed(4))) : read;
}

/**
 * Swing of the arm: `-60 to 60`.
 * @example value(parseSwing('-20 to 60')) // { fromDeg: -20, toDeg: 60 }
 */
export function parseSwing(t: string): Outcome<{ fromDeg: number; toDeg: number }> {
  const m = /^(.+?)\s*(?:to|,|\.\.)\s*(.+)$/i.exec(t.trim());
  const [from, to] = [m?.[1] ?? '', m?.[2] ?? ''].map((x) => {
    const read = readOnly(x, 'swing');
    return read.ok ? numberOf(read.value) : NaN;
  }) as [number, number];
  return from >= -180 && to <= 180 && from < to ? good({ fromDeg: from, toDeg: to }) : bad('swing', 'swing-two-angles');
}
/** Power of the motor, kW. */
export const parseWarmth = numberWithin('warmth', -50, 200);

/** Years as they are typed, above zero. */
export const parseYears = numberWithin('years', 0.1, 300);

/** A magnification as it is typed, above zero. */
export const parseMagnification = numberWithin('magnification', 1, 200);

/** Power of a motor as it is typed, kW above zero. */
export const parseKilowatts = numberWithin('power', 0.05, 500);
/** How hard the carriage of an electronic leadscrew slows, mm/s^2. */
export const parseStopAccel = numberWithin('acceleration', 1, 100_000);
