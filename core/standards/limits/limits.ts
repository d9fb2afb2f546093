import { inches } from '../../quantity/units.ts';

/** Limits of size of one diameter, mm; null where the standard leaves the side open. */
export interface Limits {
  readonly min: number | null;
  readonly max: number | null;
}

export interface MemberLimits {
  readonly major: Limits;
  readonly pitch: Limits;
  readonly minor: Limits;
}

export interface ThreadLimits {
  readonly external?: MemberLimits;
  readonly internal?: MemberLimits;
  readonly source: string;
  /** Anything the numbers need said about them. */
  readonly notes: readonly string[];
}

/** Half-up rounding to a number of decimals, as the printed tables round; the slack is far below any printed digit. */
export const to = (x: number, decimals: number): number => {
  const f = 10 ** decimals;
  return Math.floor(x * f + 0.5 + 1e-7) / f;
};

/** Limits worked in inches, given in mm. */
export const inchLimits = (min: number | null, max: number | null): Limits => ({
  min: min === null ? null : Number(inches(min).toFixed(6)),
  max: max === null ? null : Number(inches(max).toFixed(6)),
});

export const mmLimits = (min: number | null, max: number | null): Limits => ({
  min: min === null ? null : to(min, 3),
  max: max === null ? null : to(max, 3),
});
