import type { Wear } from '../evidence/evidence.ts';
import { normalCdf } from '../numeric/normal.ts';
import { logistic, normalPdf, shortfallDensity } from './density.ts';

/**
 * How readings come out wrong, in one place for naming, for the choice of the next reading and for what is said of a
 * candidate. The numbers are common practice, no source; how well they do is measured by `npm run bench -- calibration` on
 * two benches that share none of them (docs/calibration.md).
 */

/** Mean of one-sided wear at a place, mm: a worn place has lost hundredths, seldom tenths. */
const WORN_MEAN_MM = (pitchMm: number): number => 0.06 + 0.04 * pitchMm;
/** What is called unworn has been handled. */
const UNWORN_MEAN_MM = 0.015;
/** "Unworn" is said of places that are not, one time in five; "worn" of sound ones a little less often. */
const IS_WORN: Readonly<Record<Wear, number>> = { worn: 0.85, unknown: 0.5, unworn: 0.2 };

/**
 * No diameter is surer than this, mm, whatever the instrument is good to: its zero is off by the same amount all day, and
 * the place, the oil and the hand are in the reading too.
 */
const LEAST_SIGMA_MM = 0.03;
/** A burr, a dent, the wrong place: one reading in fifty is off by some tenths either way. */
const STRAY = 0.02;
const STRAY_SIGMA_MM = 0.25;

/** A gross blunder (misread vernier, another part): rare, and could be anywhere within some millimetres. */
const BLUNDER = 0.002;
/** Density of a blunder, per mm: it may lie anywhere over 20 mm. Common practice, no source. */
export const BLUNDER_PER_MM = 1 / 20;
const BLUNDER_PER_DEG = 1 / 90;

/**
 * A density with the chance that the reading is a blunder, which is spread evenly. @param flat density of anything at all
 * @example withBlunder(1, 0.5) // 0.999; one reading in five hundred is a blunder
 */
export const withBlunder = (density: number, flat: number): number => (1 - BLUNDER) * density + BLUNDER * flat;

/**
 * Standard deviation of a diameter that an instrument reads to `uncertainty`, mm.
 * @example sigmaOfLength(0.04) // 0.05; with the 0.03 that no instrument is free of
 */
export const sigmaOfLength = (uncertainty: number): number => Math.hypot(uncertainty, LEAST_SIGMA_MM);

/**
 * Density, per mm, of how far a diameter reads short of its limit of size (a bore: over it), by what is said of the place.
 * @example shortfall(0.1, 0.03, 0.2, 'unworn', 2) // 4.397; half-way into the tolerance
 */
export function shortfall(xMm: number, sigma: number, toleranceMm: number, wear: Wear, pitchMm: number): number {
  const worn = IS_WORN[wear];
  const d =
    worn * shortfallDensity(xMm, sigma, toleranceMm, WORN_MEAN_MM(pitchMm)) +
    (1 - worn) * shortfallDensity(xMm, sigma, toleranceMm, UNWORN_MEAN_MM);
  return withBlunder((1 - STRAY) * d + STRAY * normalPdf(xMm - toleranceMm / 2, STRAY_SIGMA_MM), BLUNDER_PER_MM);
}

/**
 * Density, per mm, of a bore that was drilled by what was at hand: anywhere between two limits, mm, and then worn.
 * @example anywhere(8.4, 8, 9, 0.03, 1.5) // 0.893
 */
export function anywhere(xMm: number, fromMm: number, toMm: number, sigma: number, pitchMm: number): number {
  const to = toMm + WORN_MEAN_MM(pitchMm);
  return to > fromMm ? (normalCdf((xMm - fromMm) / sigma) - normalCdf((xMm - to) / sigma)) / (to - fromMm) : 0;
}

/**
 * Chance that pure wear and tolerance bring a diameter this short or shorter: small means the wear is not credible.
 * @example wearCredibility(0, 'unworn', 0.1) // 1
 */
export const wearCredibility = (shortMm: number, wear: Wear, pitchMm: number): number => {
  const mean = wear === 'unworn' ? UNWORN_MEAN_MM : WORN_MEAN_MM(pitchMm);
  const beyond = shortMm - majorToleranceMm(pitchMm);
  return beyond <= 0 ? 1 : Math.exp(-beyond / mean) * normalCdf(beyond / 0.01);
};

/**
 * Allowance that a maker leaves, mm: es of position g, 0.015 + 0.011 P (ISO 965-1), and half a hundredth more, because nobody
 * works to the very limit. Common practice, no source.
 */
const allowanceMm = (p: number): number => 0.02 + 0.011 * p;
/**
 * Maker's tolerance on the major diameter with that allowance, mm: Td of grade 6, 0.18 P^(2/3) (ISO 965-1), near enough for every family.
 * @example majorToleranceMm(1.5) // 0.272; ISO 965-1 has 0.236 for 6g, and 0.032 of allowance
 */
export const majorToleranceMm = (p: number): number => 0.18 * Math.cbrt(p * p) + allowanceMm(p);
/**
 * On the pitch diameter: about 0.09 P^0.4 d^0.1 (ISO 965-1, grade 6) with its allowance.
 * @example pitchToleranceMm(1.5, 10) // 0.170; ISO 965-1 has 0.132 for 6g, and 0.032 of allowance
 */
export const pitchToleranceMm = (p: number, d: number): number => 0.09 * p ** 0.4 * d ** 0.1 + allowanceMm(p);
/**
 * On a nut's minor diameter: 0.23 P^0.7 (ISO 965-1, grade 6).
 * @example nutMinorToleranceMm(1.5) // 0.305; ISO 965-1 has 0.300 for 6H
 */
export const nutMinorToleranceMm = (p: number): number => 0.23 * p ** 0.7;

/** How far the eye sees a leaf off, mm over its length (0.03-0.05, common practice), how sharply, and from where it is no fit. */
export const LEAF = { seen: 0.06, blur: 0.015, no: 0.16 } as const;
/** The same for the angle of a template against a flank, degrees. Common practice, no source. */
export const TEMPLATE = { seen: 1.6, blur: 0.45, no: 3.4 } as const;
/** A verdict by eye is wrong outright this often: held askew, rust under it, hoped for. */
const EYE_WRONG = 0.02;
/** The least share of that, for a mismatch that anybody sees. */
const FAR_OUT = 0.05;

/**
 * Probability of a verdict by eye for a mismatch, in the unit of the limits.
 * @example [0, 0.2].map((mm) => verdictProbability('fits', mm, LEAF)) // [0.94, 0.02]
 */
export function verdictProbability(
  fit: 'fits' | 'nearly' | 'no',
  mismatch: number,
  eye: { readonly seen: number; readonly blur: number; readonly no: number },
): number {
  const fits = logistic((eye.seen - mismatch) / eye.blur);
  const no = logistic((mismatch - eye.no) / (2 * eye.blur));
  const p = fit === 'fits' ? fits * (1 - no) : fit === 'no' ? no : (1 - fits) * (1 - no);
  // what is far out is not hoped into fitting
  const wrong = EYE_WRONG * Math.max(FAR_OUT, Math.exp(Math.min(0, 1 - mismatch / eye.no)));
  return wrong + (1 - 3 * wrong) * p;
}

/** Chance that whoever counted included both half crests, or lost one; half as often half a crest. */
const MISCOUNT = 0.008;
/** Crests counted to the half are anywhere within a quarter of what is said. */
const HALF_COUNTED = 0.25;

/**
 * Density of a count of crests.
 * @param sigma one standard deviation, crests
 * @param counted against a rule: then a whole or half number stands for all that is nearer to it than to the next
 * @example [10, 11].map((n) => countDensity(n, 10, 0.1, true)) // [1.93, 0.02]; a crest more is a miscount
 */
export function countDensity(crests: number, expected: number, sigma: number, counted: boolean): number {
  const half = counted && Number.isInteger(2 * crests) ? HALF_COUNTED : 0;
  const at = (shift: number): number => {
    const x = crests - expected - shift;
    return half > 0
      ? (normalCdf((x + half) / sigma) - normalCdf((x - half) / sigma)) / (2 * half)
      : normalPdf(x, sigma);
  };
  const slips = at(1) + at(-1) + 0.5 * (at(0.5) + at(-0.5));
  return (1 - 3 * MISCOUNT) * at(0) + MISCOUNT * slips + 1e-9;
}

/** One angle in twenty is read twice as badly as is said; none is surer than a third of a degree. */
const ANGLE = { leastDeg: 0.3, badly: 0.05, times: 2, worstLeastDeg: 1 } as const;

/** A flank as it is made leans so far from its form, one sigma, degrees. Common practice, no source. */
const AS_MADE_DEG = 0.3;
/**
 * The same of an angle that is the line of every tooth there is: it may be made wrong, but it is not misread.
 * @example [0, 1].map((deg) => angleOfAllTeeth(deg, 0.1)) // [1.262, 0.009]
 */
export const angleOfAllTeeth = (offDeg: number, sigma: number): number =>
  normalPdf(offDeg, Math.hypot(AS_MADE_DEG, sigma));

/**
 * Density, per degree, of an angle read so far off.
 * @example [0, 5].map((deg) => angleDensity(deg, 1)) // [0.3723, 0.0005]
 */
export const angleDensity = (offDeg: number, sigma: number): number =>
  withBlunder(
    (1 - ANGLE.badly) * normalPdf(offDeg, Math.hypot(ANGLE.leastDeg, sigma)) +
      ANGLE.badly * normalPdf(offDeg, ANGLE.times * Math.max(ANGLE.worstLeastDeg / 2, sigma)),
    BLUNDER_PER_DEG,
  );
