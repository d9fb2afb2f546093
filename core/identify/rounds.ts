import type { Flanks } from '../form/flanks.ts';
import type { Evidence } from '../evidence/evidence.ts';
import { formAt, specialForm, type ThreadForm } from '../form/shape.ts';
import { inches } from '../quantity/units.ts';
import { atSize, expectationOf, type Expectation } from '../reading/expectation.ts';
import { lowerBound } from '../numeric/sorted.ts';
import { hypotheses } from './hypotheses.ts';
import { pitchOnly } from './weights.ts';

/** Sizes and pitches that somebody would choose who cuts a thread of his own, and the forms he would give it. Common practice, no source. */

/** A round diameter, mm, in the system that it is round in. */
export interface Size {
  readonly mm: number;
  readonly system: 'mm' | 'in';
  /** How readily a maker picks the size, relative; about 0.5 on average over whole sizes. */
  readonly liking: number;
}
/** A pitch that a maker would choose, and how much it is liked. */
export interface RoundPitch {
  readonly mm: number;
  readonly system: 'mm' | 'in';
  readonly liking: number;
}

const FORMS: readonly { readonly make: (p: number) => ThreadForm; readonly share: number }[] = [
  { make: (p) => formAt('iso60', p), share: 0.36 },
  { make: (p) => formAt('whitworth55', p), share: 0.26 },
  { make: (p) => formAt('acme29', p), share: 0.16 },
  { make: (p) => formAt('trapezoidal30', p), share: 0.1 },
  { make: (p) => formAt('square', p), share: 0.05 },
  { make: (p) => formAt('buttress45-7', p), share: 0.03 },
  { make: (p) => formAt('sawtooth30-3', p), share: 0.02 },
  // buttress forms of the old handbooks: load flank square or inclined 5 degrees
  { make: (p) => specialForm(p, { leadingDeg: 45, trailingDeg: 0, depthMm: 0.66 * p }), share: 0.01 },
  { make: (p) => specialForm(p, { leadingDeg: 45, trailingDeg: 5, depthMm: 0.66 * p }), share: 0.005 },
  { make: (p) => specialForm(p, { leadingDeg: 50, trailingDeg: 0, depthMm: 0.6 * p }), share: 0.0025 },
  { make: (p) => specialForm(p, { leadingDeg: 33, trailingDeg: 0, depthMm: 0.75 * p }), share: 0.0025 },
];

const inchLiking = (thirtySeconds: number): number =>
  thirtySeconds % 8 === 0 ? 1.1 : thirtySeconds % 4 === 0 ? 0.7 : thirtySeconds % 2 === 0 ? 0.25 : 0.08;
const mmLiking = (d: number): number =>
  d % 5 === 0 ? 1.1 : d % 2 === 0 ? 0.6 : d % 1 === 0 ? 0.35 : d > 10 ? 0.08 : 0.15;

const sizes = (): readonly Size[] => {
  const out: Size[] = [];
  for (let k = 4; k <= 128; k += 1) out.push({ mm: inches(k / 32), system: 'in', liking: inchLiking(k) });
  for (let k = 33; k <= 64; k += 1) out.push({ mm: inches(k / 8), system: 'in', liking: inchLiking(4 * k) });
  for (let d = 2; d <= 80; d += 0.5) out.push({ mm: d, system: 'mm', liking: mmLiking(d) });
  for (let d = 81; d <= 200; d += 1) out.push({ mm: d, system: 'mm', liking: mmLiking(d) });
  return out.sort((a, b) => a.mm - b.mm);
};
/** Diameters that a maker would choose. */
export const SIZES = sizes();

/** Threads per inch and pitches that lathes and old makers liked, halves included; whole ones besides are met, seldom. */
const TPI = [
  80, 72, 64, 60, 56, 52, 48, 44, 40, 36, 32, 30, 28, 27, 26, 25, 24, 22, 20, 19, 18, 17, 16, 15, 14, 13, 12, 11.5, 11,
  10, 9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5, 4.5, 4, 3.5, 3, 2.5, 2.25, 2, 1.5, 1,
];
const MM = [
  0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.6, 0.7, 0.75, 0.8, 0.9, 1, 1.1, 1.25, 1.5, 1.75, 2, 2.25, 2.5, 3, 3.5, 4, 4.5, 5,
  5.5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 24,
];
const SELDOM = 0.15;
const others = Array.from({ length: 80 }, (_, i) => i + 1).filter((t) => !TPI.includes(t));
/** Pitches that a maker would choose. */
export const PITCHES: readonly RoundPitch[] = [
  ...TPI.map((t) => ({ mm: 25.4 / t, system: 'in' as const, liking: 1 })),
  ...MM.map((p) => ({ mm: p, system: 'mm' as const, liking: 1 })),
  ...others.map((t) => ({ mm: 25.4 / t, system: 'in' as const, liking: SELDOM })),
];
/** Pitches there are to choose from, by their liking. */
export const PITCHES_LIKED = PITCHES.reduce((sum, p) => sum + p.liking, 0);
/** Sizes that go with a pitch, on average, by their liking: for the prior of one combination. */
export const SIZES_PER_PITCH = 35;

/** Size, pitch and flanks, as far as metal can tell them apart. */
const combination = (majorMm: number, pitchMm: number, flanks: Flanks): string =>
  `${majorMm.toFixed(2)} ${pitchMm.toFixed(3)} ${flanks.leadingDeg} ${flanks.trailingDeg}`;

let rows: ReadonlySet<string> | null = null;
/** What the tables list: a special is in none of them. */
const published = (): ReadonlySet<string> =>
  (rows ??= new Set(hypotheses().map((h) => combination(h.row.majorMm, h.pitchMm, h))));

/** A round size with a round pitch in one form. */
export interface Combination {
  readonly size: Size;
  readonly h: Expectation;
}
/** All combinations of one form, and what share of specials is cut in it. */
export interface Nominals {
  readonly form: ThreadForm;
  readonly share: number;
  /** In order of size. */
  readonly combinations: readonly Combination[];
  /** What all of them together are picked, for a pitch of each system. */
  readonly liking: Readonly<Record<'mm' | 'in', number>>;
}
const kept = new Map<number, readonly Nominals[]>();
/** Mixed systems (30 mm x 7 1/2 tpi) happen, seldom. */
const MIXED = 0.2;
/**
 * How readily a size is picked for a pitch of one system.
 * @example picked({ mm: 30, system: 'mm', liking: 1 }, 'in') // 0.2; an inch pitch on a metric size is seldom
 */
export const picked = (size: Size, pitchSystem: 'mm' | 'in'): number =>
  size.liking * (size.system === pitchSystem ? 1 - MIXED : MIXED);
/** Sizes that a pitch is cut on, in pitches. */
const COARSEST = 2.2;
const FINEST = 60;
/** A diameter to reckon from: which one makes no odds. */
export const ANY_MM = 100;

/**
 * Every round size of a pitch in the usual forms, less what the tables list: worked out once, for no reading changes it.
 * @example nominalsOf(2)[0].combinations.some((c) => c.size.mm === 30) // false; M30x2 is in a table
 */
export function nominalsOf(pitchMm: number): readonly Nominals[] {
  const known = kept.get(pitchMm);
  if (known) return known;
  const made = FORMS.map(({ make, share }) => {
    const form = make(pitchMm);
    const one = expectationOf(form, ANY_MM, pitchMm);
    const combinations = SIZES.filter(
      (s) =>
        s.mm >= COARSEST * pitchMm && s.mm <= FINEST * pitchMm && !published().has(combination(s.mm, pitchMm, form)),
    ).map((size) => ({ size, h: atSize(one, size.mm) }));
    const sum = (system: 'mm' | 'in'): number => combinations.reduce((n, { size }) => n + picked(size, system), 0);
    return { form, share, combinations, liking: { mm: sum('mm'), in: sum('in') } };
  });
  kept.set(pitchMm, made);
  return made;
}

/**
 * Those within a range of sizes, mm.
 * @example sizesBetween(nominalsOf(2)[0].combinations, [22.4, 23]).map((c) => c.size.mm) // [22.5, 23]
 */
export function sizesBetween(
  sorted: readonly Combination[],
  [from, to]: readonly [number, number],
): readonly Combination[] {
  const low = lowerBound(sorted, from, (c) => c.size.mm);
  let end = low;
  while (end < sorted.length && (sorted[end]?.size.mm ?? Infinity) <= to) end += 1;
  return sorted.slice(low, end);
}

/** Metric pitches nobody wrote down are still cut to twentieths. */
const MM_STEP = 0.05;
/** A pitch that a count gives by itself, without a rest. */
export interface Counted {
  readonly mm: number;
  /** Whole threads over whole inches: what somebody counts who was told so many to the inch. */
  readonly wholeThreads: boolean;
}
const isWhole = (x: number, within: number): boolean => Math.abs(x - Math.round(x)) < within;
/**
 * Pitches that come out as whole or half threads an inch, or whole twentieths of a millimetre.
 * @example pitchesCounted([]) // []
 */
export const pitchesCounted = (evidence: readonly Evidence[]): readonly Counted[] =>
  evidence.flatMap((e) => {
    if (e.quantity !== 'crestCount') return [];
    const tpi = (25.4 * e.crests) / e.spanMm;
    const pitch = e.spanMm / e.crests;
    if (isWhole(2 * tpi, 1e-3))
      return [{ mm: 50.8 / Math.round(2 * tpi), wholeThreads: isWhole(tpi, 1e-3) && isWhole(e.spanMm / 25.4, 1e-6) }];
    return isWhole(pitch / MM_STEP, 1e-6) ? [{ mm: pitch, wholeThreads: false }] : [];
  });

/** A round pitch is taken for the measured one while it is at least this share as likely by the counts and leaves. */
const AS_LIKELY = 0.3;

/**
 * The pitch that somebody would have meant by a measured one: what a count in whole or half threads an inch, or in whole
 * threads a millimetre, says by itself; else the likeliest round one; else as measured.
 * @example roundPitch(2.0013, [{ quantity: 'pitchLeaf', pitchMm: 2, fit: 'fits' }], (p) => Math.exp(-(((p - 2) / 0.01) ** 2))) // 2
 */
export function roundPitch(
  measuredMm: number,
  evidence: readonly Evidence[],
  pitchLike: (pitchMm: number) => number,
): number {
  if (!evidence.some(pitchOnly)) return measuredMm;
  const counted = pitchesCounted(evidence);
  const twentieth = Math.round(measuredMm / MM_STEP) * MM_STEP;
  const near = [...counted.map(({ mm }) => ({ mm, liking: 2 })), ...PITCHES, { mm: twentieth, liking: SELDOM }].map(
    ({ mm, liking }) => ({ mm, score: pitchLike(mm) * liking, like: pitchLike(mm) }),
  );
  const most = Math.max(pitchLike(measuredMm), ...near.map((n) => n.like));
  const best = near.filter((n) => n.like >= AS_LIKELY * most).sort((a, b) => b.score - a.score)[0];
  return best && best.mm > 0 ? best.mm : measuredMm;
}
