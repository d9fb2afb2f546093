import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { isPositive, numberOf, rationalOf, textOf } from '../quantity/rational.ts';
import { inches } from '../quantity/units.ts';
import type { Lathe } from './schema.ts';

/** How the facts of a lathe are typed; each says what would be right when it is not. */

const tidy = (t: string): string => t.trim().replace(',', '.');

export const wholeNumber =
  (field: string, min: number, max: number) =>
  (t: string): Outcome<number> => {
    const v = Number(t.trim());
    return t.trim() !== '' && Number.isInteger(v) && v >= min && v <= max
      ? good(v)
      : bad(field, 'whole-number', { from: min, to: max, right: String(min) });
  };

export const numberWithin =
  (field: string, min: number, max: number) =>
  (t: string): Outcome<number> => {
    const v = tidy(t) === '' ? NaN : Number(tidy(t));
    return v >= min && v <= max ? good(v) : bad(field, 'number-within', { from: min, to: max });
  };

/** One division of a dial: `0.02`, `.001`, `1/1000`. */
export function parseDivision(t: string): Outcome<number> {
  const r = rationalOf(tidy(t).replace(/^\./, '0.'));
  const v = r ? numberOf(r) : NaN;
  return v > 0 && v < 10 ? good(v) : bad('division', 'division-small');
}

/** An exact ratio, as text: `1`, `1/2`, `24/48`. */
export function parseRatio(t: string, field: string): Outcome<string> {
  const r = rationalOf(tidy(t));
  return r && isPositive(r) ? good(textOf(r)) : bad(field, 'not-a-ratio', { typed: t.trim() });
}

/** Spindle speeds, sorted: `40 65 110`. */
export function parseSpeeds(t: string): Outcome<number[]> {
  const list = t
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number);
  return list.every((v) => v > 0 && v <= 10_000)
    ? good(list.sort((a, b) => a - b))
    : bad('speeds', 'speeds-above-zero');
}

export const leversText = (levers: Lathe['levers']): string =>
  Object.entries(levers)
    .map(
      ([lever, positions]) =>
        `${lever} ${Object.entries(positions)
          .map(([p, r]) => `${p}=${r}`)
          .join(' ')}`,
    )
    .join('; ');

/** The gearbox as its levers: `cone 1=1 2=8/9; range A=2 B=1`. */
export function parseLevers(t: string): Outcome<Lathe['levers']> {
  const out: Lathe['levers'] = {};
  for (const part of t
    .split(';')
    .map((x) => x.trim())
    .filter(Boolean)) {
    const [lever = '', ...positions] = part.split(/\s+/);
    if (lever.includes('=') || positions.length === 0) return bad('gearbox', 'lever-name-missing', { typed: part });
    if (out[lever]) return bad('gearbox', 'lever-twice', { lever });
    const list: Record<string, string> = {};
    for (const p of positions) {
      const [name = '', ratioText = ''] = p.split('=');
      const ratio = parseRatio(ratioText, 'gearbox');
      if (!ratio.ok) return bad('gearbox', 'position-no-ratio', { typed: p, lever });
      list[name] = ratio.value;
    }
    out[lever] = list;
  }
  return good(out);
}

/** Module of the change gears, mm: `1.5`, or `16 dp` for diametral pitch (module = 25.4 / DP). */
export function parseModule(t: string): Outcome<number> {
  const dp = /^\s*([\d.]+)\s*dp\s*$/i.exec(t);
  const read = numberWithin('module', 0.2, 10)(dp ? String(inches(1) / Number(dp[1])) : t);
  return read.ok ? good(Number(read.value.toFixed(4))) : read;
}

/** Swing of the arm: `-60 to 60`. */
export function parseSwing(t: string): Outcome<{ fromDeg: number; toDeg: number }> {
  const m = /^(-?[\d.]+)\s*(?:to|,|\.\.)\s*(-?[\d.]+)$/i.exec(t.trim());
  const [from, to] = [Number(m?.[1]), Number(m?.[2])];
  return m && from >= -180 && to <= 180 && from < to
    ? good({ fromDeg: from, toDeg: to })
    : bad('swing', 'swing-two-angles');
}
