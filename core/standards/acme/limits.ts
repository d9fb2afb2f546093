import { own } from '../../quantity/own.ts';
import { acmeClearanceMm } from '../../form/shape.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { toInches } from '../../quantity/units.ts';
import { inchLimits, toEven, type ThreadLimits, type Tolerances } from '../tolerances.ts';

/** Allowance factor of sqrt(D), and tolerance factors of sqrt(D) and sqrt(P), inches. ASME B1.5 (4G from memory). */
const ACME: Readonly<Record<string, readonly [number, number, number]>> = {
  '2G': [0.008, 0.006, 0.03],
  '3G': [0.006, 0.0028, 0.014],
  '4G': [0.004, 0.002, 0.01],
};
/**
 * Ends of the ranges of nominal size over which an allowance is the same, inches, each with its upper end in it. The allowance is
 * worked for the middle of its range. ASME B1.5, from memory.
 */
const RANGE_ENDS = [
  0,
  3 / 16,
  5 / 16,
  7 / 16,
  9 / 16,
  11 / 16,
  13 / 16,
  15 / 16,
  17 / 16,
  19 / 16,
  21 / 16,
  23 / 16,
  25 / 16,
  1.875,
  2.125,
  2.375,
  2.625,
  2.875,
  3.25,
  3.75,
  4.25,
  4.75,
  5.5,
];

/**
 * Allowance on the pitch diameter of an Acme screw, inches to four places. @see ASME B1.5, table of allowances (from memory)
 * @param factor of the root of the middle of the range
 * @example [acmeAllowanceIn(0.4375, 0.008), acmeAllowanceIn(1, 0.008), acmeAllowanceIn(1.75, 0.008)] // [0.0049, 0.0080, 0.0105]
 */
export function acmeAllowanceIn(d: number, factor: number): number {
  const above = RANGE_ENDS.findIndex((end) => d <= end + 1e-9);
  const [low, high] = [RANGE_ENDS[above - 1], RANGE_ENDS[above]];
  // beyond the table by the formula itself
  const middle = low === undefined || high === undefined ? d : (low + high) / 2;
  return toEven(factor * Math.sqrt(middle), 4);
}

/**
 * Limits of general-purpose Acme, and of stub Acme (2G only, ASME B1.8). Pitch diameter, allowance and its tolerance are each
 * rounded to four places before they are added, half to the even digit; a screw's minor diameter takes one and a half times the
 * tolerance as it was before that, of a stub once.
 */
function acmeLimits(majorMm: number, pitchMm: number, cls: string, stub: boolean): Outcome<ThreadLimits> {
  const c = cls.trim().toUpperCase();
  const factors = stub && c !== '2G' ? undefined : own(ACME, c);
  if (!factors)
    return bad('class', 'not-a-class', {
      class: cls,
      standard: stub ? 'stub Acme' : 'general-purpose Acme',
      near: stub ? '2G' : '2G, 3G or 4G',
    });
  const four = (x: number): number => toEven(x, 4);
  const [d, p] = [toInches(majorMm), toInches(pitchMm)];
  const clear = four(2 * toInches(acmeClearanceMm(pitchMm)));
  const height = (stub ? 0.3 : 0.5) * p;
  const d2 = four(d - height);
  const d1 = d - 2 * height;
  const allowance = acmeAllowanceIn(d, factors[0]);
  const tolerance = factors[1] * Math.sqrt(d) + factors[2] * Math.sqrt(p);
  const t2 = four(tolerance);
  const crest = four(Math.max(0.005, 0.05 * p));
  const [screwMajor, screwMinor] = [four(d), four(d1 - clear)];
  return good({
    external: {
      major: inchLimits(four(d - crest), screwMajor),
      pitch: inchLimits(four(d2 - allowance - t2), four(d2 - allowance)),
      minor: inchLimits(four(screwMinor - (stub ? 1 : 1.5) * tolerance), screwMinor),
    },
    internal: {
      major: inchLimits(four(d + clear), stub ? four(four(d + clear) + tolerance) : four(d + 2 * clear)),
      pitch: inchLimits(d2, four(d2 + t2)),
      minor: inchLimits(four(d1), four(four(d1) + crest)),
    },
    source: stub ? 'ASME B1.8' : 'ASME B1.5',
    notes: c === '4G' ? [{ code: 'from-memory', of: 'class', class: c }] : [],
  });
}

/** Classes of this standard and their limits. */
export const ACME_TOLERANCES: Tolerances = {
  external: ['2G', '3G', '4G'],
  internal: ['2G', '3G', '4G'],
  limits: ({ majorMm, pitchMm }, cls) => acmeLimits(majorMm, pitchMm, cls, false),
};
/** Classes of this standard and their limits. */
export const STUB_ACME_TOLERANCES: Tolerances = {
  external: ['2G'],
  internal: ['2G'],
  limits: ({ majorMm, pitchMm }, cls) => acmeLimits(majorMm, pitchMm, cls, true),
};
