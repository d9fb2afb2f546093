import { DEFAULT_SIGMA } from '../evidence/evidence.ts';
import { parseAngle } from '../quantity/angle.ts';
import { parseLength } from '../quantity/length.ts';
import { readNumber } from '../quantity/number.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { numberOf } from '../quantity/rational.ts';
import { tanDeg, type UnitSystem } from '../quantity/units.ts';
import { normalPdf } from './density.ts';
import { plain, type ReadingKind } from './kind.ts';
import { taperSlip } from './slips.ts';

const A_SIDE = /\s*(?:a|per|each|\/)\s*side\b|\s*\bhalf\b|\s*on (?:the )?radius\b/i;
const WHOLE = /\s*\b(?:on (?:the )?dia(?:meter)?|included|whole|both sides)\b/i;
/** True when the text says whether diameter or side is meant. */
const saysWhichTaper = (text: string): boolean => A_SIDE.test(text) || WHOLE.test(text);

const PER_FOOT = /^(.+?)\s*(?:in\.?|inch(?:es)?|"|\u2033)\s*(?:\/|per|a)\s*(?:ft|foot)\.?$/i;
const MM_PER_M = /^(.+?)\s*mm\s*(?:\/|per|a)\s*m$/i;
/** Two diameters and how far apart: "over" before "in", which may be the unit of one of them. */
const BY_PLACES = ['over|apart', 'in'].map(
  (apart) => new RegExp(String.raw`^(.+?)\s*(?:\bto\b|\u2013|\s-\s|,\s)\s*(.+?)\s*\b(?:${apart})\s+(.+)$`, 'i'),
);
const ONE_IN = /^(.+?)\s*(?::|\bin\b)\s*(.+)$/i;
const DEGREES = /deg(?:rees?)?|\u00b0/i;

const number = (text: string): number | null => {
  const n = readNumber(text, 'value');
  return n.ok && n.value.rest === '' ? numberOf(n.value.value) : null;
};

/**
 * Reads a taper as the trade writes it, as its ratio on diameter: `1:16`, `1 in 6`, `2 in 12`, `3/4 in/ft`, `62.5 mm/m`,
 * `1.79 degrees a side`, `3.58 degrees included`, two diameters and their distance `33.2 to 31.8 over 22.4`, `0` for
 * parallel. With `a side` a ratio is doubled. Degrees that do not say which are refused: half or whole are one as usual as
 * the other.
 * @example value(parseTaper('1:16', 'mm')) // 0.0625
 */
export function parseTaper(text: string, system: UnitSystem): Outcome<number> {
  const typed = text.trim();
  if (/^(?:0|none|no|parallel)$/i.test(typed)) return good(0);
  const aSide = A_SIDE.test(typed);
  const bare = typed.replace(A_SIDE, '').replace(WHOLE, '').trim();
  const onDiameter = (ratio: number): Outcome<number> => {
    const whole = aSide ? 2 * ratio : ratio;
    return Number.isFinite(whole) && Math.abs(whole) <= 1 ? good(whole) : bad('value', 'taper-is-ratio');
  };
  if (DEGREES.test(bare)) {
    const angle = parseAngle(bare, 'value', 45);
    if (!angle.ok) return angle;
    if (!saysWhichTaper(typed)) return bad('value', 'taper-whole-or-half', { typedDeg: angle.value.deg });
    return good(2 * tanDeg(aSide ? angle.value.deg : angle.value.deg / 2));
  }
  const foot = PER_FOOT.exec(bare);
  if (foot) {
    const inches = number(foot[1] ?? '');
    return inches === null ? bad('value', 'taper-unreadable') : onDiameter(inches / 12);
  }
  const metre = MM_PER_M.exec(bare);
  if (metre) {
    const mm = number(metre[1] ?? '');
    return mm === null ? bad('value', 'taper-unreadable') : onDiameter(mm / 1000);
  }
  const places = BY_PLACES.map((p) => p.exec(bare)).find((m) => m !== null);
  if (places) {
    const mm: number[] = [];
    for (const part of places.slice(1, 4)) {
      const length = parseLength(part, { system, field: 'value', maxMm: 3000 });
      if (!length.ok) return length;
      mm.push(length.value.mm);
    }
    const [one = 0, other = 0, apart = 0] = mm;
    return onDiameter(Math.abs(one - other) / apart);
  }
  const ratio = ONE_IN.exec(bare);
  if (ratio) {
    const [rise, run] = [number(ratio[1] ?? ''), number(ratio[2] ?? '')];
    if (rise === null || run === null) return bad('value', 'taper-unreadable');
    return run > 0 ? onDiameter(rise / run) : bad('value', 'taper-in-zero');
  }
  const n = number(bare);
  return n === null ? bad('value', 'taper-unreadable') : onDiameter(n);
}

/** A taper is never read better than this. */
const LEAST = 0.002;
/**
 * A taper is hardly ever read where there is none, nor none where there is one: over ten threads 1 in 16 is a millimetre.
 * Common practice, no source.
 */
const MISREAD = 0.0004;
const MISREAD_PER_UNIT = 5;
/** Parallel to this, as far as anybody reads it. */
const PARALLEL_BELOW = 0.004;

/** Taper on diameter. */
export const taper: ReadingKind<'taper'> = {
  measures: 'taper',
  worn: false,
  onStarts: false,
  parse: ({ text }, system) => {
    const ratio = parseTaper(text, system);
    return ratio.ok ? good(plain(ratio.value)) : ratio;
  },
  slip: (value, _, __, text) => (saysWhichTaper(text) ? null : taperSlip(value, text)),
  evidence: (r) => ({ quantity: 'taper', ratio: r.value }),
  nominal: (h) => h.taper,
  density: (e, h) =>
    (1 - MISREAD) * normalPdf(Math.abs(e.ratio) - h.taper, Math.max(LEAST, e.uncertainty ?? DEFAULT_SIGMA.taper)) +
    MISREAD * MISREAD_PER_UNIT,
  // most threads are parallel; the tapers of the rest are anything
  free: (e) => (Math.abs(e.ratio) < PARALLEL_BELOW ? 40 : 4),
  ideals: (e, h) => [{ ...e, ratio: h.taper }],
  reason: (e, h) => ({ kind: 'taper', read: e.ratio, expected: h.taper }),
  likely: (h, _, __, sigma) => ({ mean: h.taper, sigma }),
};
