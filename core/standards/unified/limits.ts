import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { toInches } from '../../quantity/units.ts';
import { inchLimits, to, toEven, type LimitsNote, type ThreadLimits, type Tolerances } from '../tolerances.ts';

const ROOT3 = Math.sqrt(3);
const CLASSES = ['1A', '2A', '3A', '1B', '2B', '3B'];
const FACTOR: Readonly<Record<string, number>> = { '1A': 1.5, '2A': 1, '3A': 0.75, '1B': 1.95, '2B': 1.3, '3B': 0.975 };

/** Td2 of class 2A, inches, to six places: 0.0015 D^(1/3) + 0.0015 sqrt(LE) + 0.015 P^(2/3). ASME B1.1. */
const td2Class2A = (d: number, p: number, le: number): number =>
  to(0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(le) + 0.015 * Math.cbrt(p * p), 6);

/** Allowances that the printed table gives otherwise than its formula (0.3 x 0.005501 in would round to 0.0017). Inches. */
const PRINTED_ALLOWANCE: Readonly<Record<string, number>> = { '0.625-11': 0.0016 };

/** A tolerance of the pitch diameter that the printed table gives otherwise (0.975 x 0.002821 in would round to 0.0028). Inches, from memory. */
const PRINTED_TOLERANCE: Readonly<Record<string, number>> = { '0.138-32 3B': 0.0027 };
/** From this diameter on the minor diameters of 1B and 2B nuts are printed to the thousandth; below it to four places. Inches. */
const MINOR_TO_THOUSANDTH_FROM = 0.138;

/** Tolerance on the minor diameter of a nut, inches. ASME B1.1. */
function minorTolerance(d: number, p: number, cls: string): number {
  const coarse = p > 0.25 + 1e-9 ? 0.15 * p : 0.25 * p - 0.4 * p * p;
  const general = 0.05 * Math.cbrt(p * p) + (0.03 * p) / d - 0.002;
  if (cls === '3B') {
    const floor = p <= 1 / 13 + 1e-9 ? 0.23 * p - 1.5 * p * p : 0.12 * p;
    return Math.max(Math.min(general, 0.394 * p), floor);
  }
  if (d >= 0.25 - 1e-9) return coarse;
  return Math.max(Math.min(general, 0.394 * p), 0.25 * p - 0.4 * p * p);
}

/**
 * Limits of a Unified thread, classes 1A to 3B. Length of engagement: as given, else D for UNC, UNF and the 4, 6 and 8
 * thread series, 9 P for the others. External minor: the largest of the rounded (UNR) root; below it is left open.
 * Follows the rounding of the current edition: Td2(2A) to six places, then four, half to the even digit. A nut's minor diameter and
 * its tolerance are each rounded to four places; of 1B and 2B from #6 up the sum is rounded to three.
 */
function unifiedLimits(
  majorMm: number,
  pitchMm: number,
  cls: string,
  family: string,
  engagementMm: number | null,
): Outcome<ThreadLimits> {
  const c = cls.trim().toUpperCase();
  if (!CLASSES.includes(c))
    return bad('class', 'not-a-class', {
      class: cls,
      standard: 'ASME B1.1',
      near: '1A, 2A, 3A for screws; 1B, 2B, 3B for nuts',
    });
  const d = to(toInches(majorMm), 6);
  const p = toInches(pitchMm);
  const tpi = Math.round(1 / p);
  const byDiameter = family === 'UNC' || family === 'UNF' || (family === 'UN' && [4, 6, 8].includes(tpi));
  const le = engagementMm === null ? (byDiameter ? d : 9 * p) : toInches(engagementMm);
  const base = td2Class2A(d, p, le);
  const size = `${d}-${tpi}`;
  const atUsualLength = engagementMm === null;
  const t2 = (atUsualLength ? PRINTED_TOLERANCE[`${size} ${c}`] : undefined) ?? toEven(base * (FACTOR[c] ?? 1), 4);
  const d2 = to(d - (3 * ROOT3 * p) / 8, 4);
  const source = 'ASME B1.1';
  const notes: LimitsNote[] = [
    { code: 'engagement', taken: engagementMm !== null ? 'given' : byDiameter ? 'one-diameter' : 'nine-pitches' },
  ];
  if (c.endsWith('A')) {
    const printed = atUsualLength ? PRINTED_ALLOWANCE[size] : undefined;
    const allowance = c === '3A' ? 0 : (printed ?? toEven(0.3 * base, 4));
    const td = to((c === '1A' ? 0.09 : 0.06) * Math.cbrt(p * p), 4);
    const top = to(d - allowance, 4);
    return good({
      external: {
        major: inchLimits(to(top - td, 4), top),
        pitch: inchLimits(to(d2 - allowance - t2, 4), to(d2 - allowance, 4)),
        // UNR: 1.226869 P under the major (root radius tangent to the flanks)
        minor: inchLimits(null, to(d - allowance - 1.226869 * p, 4)),
      },
      source,
      notes,
    });
  }
  const basicMinor = to(d - (5 * ROOT3 * p) / 8, 4);
  const most = to(basicMinor + to(minorTolerance(d, p, c), 4), 4);
  const toThousandth = d >= MINOR_TO_THOUSANDTH_FROM - 1e-9;
  return good({
    internal: {
      major: inchLimits(d, null),
      pitch: inchLimits(d2, to(d2 + t2, 4)),
      minor: inchLimits(toThousandth ? to(basicMinor, 3) : basicMinor, toThousandth && c !== '3B' ? to(most, 3) : most),
    },
    source,
    notes,
  });
}

/** Of every Unified series; the usual length of engagement hangs on which it is. */
export const UNIFIED_TOLERANCES: Tolerances = {
  external: ['2A', '3A', '1A'],
  internal: ['2B', '3B', '1B'],
  limits: ({ majorMm, pitchMm, family }, cls, engagementMm) =>
    unifiedLimits(majorMm, pitchMm, cls, family, engagementMm),
};
