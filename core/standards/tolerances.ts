import type { Outcome } from '../quantity/outcome.ts';
import { inches } from '../quantity/units.ts';

/** Limits of size of one diameter, mm; null where the standard leaves the side open. */
export interface Limits {
  readonly min: number | null;
  readonly max: number | null;
}

/** Limits of one member, mm. */
export interface MemberLimits {
  readonly major: Limits;
  readonly pitch: Limits;
  readonly minor: Limits;
}

/** What the numbers need said about them: a code with its figures, mm. */
export type LimitsNote =
  | { readonly code: 'engagement'; readonly taken: 'one-diameter' | 'nine-pitches' | 'given' }
  /** Length of engagement group; N when none was given. ISO 965-1. */
  | { readonly code: 'group'; readonly group: 'S' | 'N' | 'L'; readonly given: boolean }
  | { readonly code: 'crest-grade'; readonly grade: number }
  | { readonly code: 'crests-by-grade-4' }
  | { readonly code: 'from-memory'; readonly of: 'tolerances' | 'class'; readonly class: string }
  | { readonly code: 'gauged-at'; readonly e0Mm: number; readonly e1Mm: number }
  | { readonly code: 'hand-tight'; readonly l1Mm: number; readonly l2Mm: number; readonly turnMm: number };

/** Limits of both members by one class. */
export interface ThreadLimits {
  readonly external?: MemberLimits;
  readonly internal?: MemberLimits;
  readonly source: string;
  /** Anything the numbers need said about them. */
  readonly notes: readonly LimitsNote[];
}

/** A thread as far as limits hang on it. */
export interface Sized {
  readonly designation: string;
  readonly family: string;
  readonly majorMm: number;
  readonly pitchMm: number;
}

/** Classes of a family's standard, the usual one first, and limits of size in each, by that standard with its own rounding. */
export interface Tolerances {
  readonly external: readonly string[];
  readonly internal: readonly string[];
  /** @param engagementMm length of engagement; null: the standard's usual one */
  readonly limits: (of: Sized, cls: string, engagementMm: number | null) => Outcome<ThreadLimits>;
}

/**
 * Half-up rounding to a number of decimals, as the printed tables round; the slack is far below any printed digit.
 * @example to(0.00125, 4) // 0.0013
 */
export const to = (x: number, decimals: number): number => {
  const f = 10 ** decimals;
  return Math.floor(x * f + 0.5 + 1e-7) / f;
};

/**
 * Rounding where exactly half goes to the even digit. ASME B1.30 (from memory); the printed limits of 1 1/8-7 UNC-2A show it.
 * @example [toEven(0.00725, 4), toEven(0.00735, 4), toEven(0.007251, 4)] // [0.0072, 0.0074, 0.0073]
 */
export const toEven = (x: number, decimals: number): number => {
  const scaled = x * 10 ** decimals;
  const under = Math.floor(scaled + 1e-7);
  const isHalf = Math.abs(scaled - under - 0.5) < 1e-7;
  return isHalf ? (under + (under % 2)) / 10 ** decimals : to(x, decimals);
};

/**
 * Limits worked in inches, given in mm.
 * @example inchLimits(0.45, null) // { min: 11.43, max: null }
 */
export const inchLimits = (min: number | null, max: number | null): Limits => ({
  min: min === null ? null : Number(inches(min).toFixed(6)),
  max: max === null ? null : Number(inches(max).toFixed(6)),
});

/**
 * Limits in mm, to the last place that is printed.
 * @example mmLimits(8.8623, 8.9937) // { min: 8.862, max: 8.994 }
 */
export const mmLimits = (min: number | null, max: number | null): Limits => ({
  min: min === null ? null : to(min, 3),
  max: max === null ? null : to(max, 3),
});
