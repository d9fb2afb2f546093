import { DEFAULT_SIGMA, type Evidence, type Part, type Wear } from '../evidence/evidence.ts';
import { flatOverWiresMm, leadOverWiresMm } from '../form/overWires.ts';
import { logistic, normalCdf, normalPdf, shortfallDensity } from './density.ts';
import type { Expectation } from './hypotheses.ts';

/** Mean of one-sided wear at a place, mm. Common practice, no source: a worn place has lost hundredths, not tenths. */
const WORN_MEAN_MM = (pitchMm: number): number => 0.06 + 0.04 * pitchMm;
const UNWORN_MEAN_MM = 0.006;

/** A gross blunder (wrong place, misread vernier): rare, and could be anywhere within some millimetres. */
const BLUNDER = 0.002;
const BLUNDER_PER_MM = 1 / 20;
const BLUNDER_PER_DEG = 1 / 90;

const withBlunder = (density: number, flat: number): number => (1 - BLUNDER) * density + BLUNDER * flat;

function shortfall(x: number, sigma: number, tolerance: number, wear: Wear, pitchMm: number): number {
  const worn = () => shortfallDensity(x, sigma, tolerance, WORN_MEAN_MM(pitchMm));
  const unworn = () => shortfallDensity(x, sigma, tolerance, UNWORN_MEAN_MM);
  const d = wear === 'worn' ? worn() : wear === 'unworn' ? unworn() : 0.5 * (worn() + unworn());
  return withBlunder(d, BLUNDER_PER_MM);
}

/** Maker's tolerance on the major diameter with the usual allowance, mm: the 6g figure, near enough for every family.
 * ISO 965-1: Td(6) = 0.18 P^(2/3), es(g) = 0.015 + 0.011 P. */
const majorToleranceMm = (p: number): number => 0.18 * Math.cbrt(p * p) + 0.02 + 0.011 * p;
/** On the pitch diameter: about 0.09 P^0.4 d^0.1 (ISO 965-1, grade 6) with its allowance. */
const pitchToleranceMm = (p: number, d: number): number => 0.09 * p ** 0.4 * d ** 0.1 + 0.02 + 0.011 * p;
/** On a nut's minor diameter: 0.23 P^0.7 (ISO 965-1, grade 6). */
const nutMinorToleranceMm = (p: number): number => 0.23 * p ** 0.7;

/** How far the eye sees a leaf off, mm over its length (0.03-0.05, common practice), and how sharply. */
export const LEAF_SEEN_MM = 0.06;
const LEAF_BLUR_MM = 0.015;
const LEAF_NO_MM = 0.16;

/** Probability of a leaf verdict for a pitch mismatch accumulated over the leaf's length. */
export function leafProbability(fit: 'fits' | 'nearly' | 'no', mismatchMm: number): number {
  const fits = logistic((LEAF_SEEN_MM - mismatchMm) / LEAF_BLUR_MM);
  const no = logistic((mismatchMm - LEAF_NO_MM) / (2 * LEAF_BLUR_MM));
  const p = fit === 'fits' ? fits * (1 - no) : fit === 'no' ? no : (1 - fits) * (1 - no);
  return Math.max(p, 0.002);
}

/** Share of flats that are met rounded, and the largest radius of it in pitches. Common practice, no source. */
const WORN_ROUND = 0.25;
const ROUNDED = 0.15;

/** Chance that whoever counted included both half crests, or lost one. */
const MISCOUNT = 0.006;

function crestCountDensity(crests: number, expected: number, sigma: number): number {
  const at = (shift: number): number => normalPdf(crests - expected - shift, sigma);
  return (1 - 2 * MISCOUNT) * at(0) + MISCOUNT * (at(1) + at(-1)) + 1e-9;
}

/**
 * Likelihood of one piece of evidence under one expectation: a density in the reading's own unit, so that the ratio
 * between hypotheses is what matters. Wear is one-sided: it only shrinks a screw's crest and pitch diameters and only
 * widens a nut's minor and pitch diameters; pitch does not wear.
 */
export function likelihood(e: Evidence, h: Expectation, measured: Part, starts: number): number {
  const p = h.pitchMm;
  const part = e.member ?? measured;
  switch (e.quantity) {
    case 'majorDiameter': {
      const sigma = Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm, 0.004);
      if (part === 'external')
        return shortfall(h.majorMm - e.valueMm, sigma, majorToleranceMm(p) + h.alongTaperMm, e.wear ?? 'unknown', p);
      // the bottom of a nut's thread is never worn and is cut clear by as much as the tool's tip is narrow
      return withBlunder(
        shortfallDensity(e.valueMm - h.majorMm, Math.hypot(sigma, 0.03), 0.1 * p + 0.05, 0.03),
        BLUNDER_PER_MM,
      );
    }
    case 'pitchDiameter': {
      const sigma = Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm, 0.004);
      const x = part === 'external' ? h.pitchDiameterMm - e.valueMm : e.valueMm - h.pitchDiameterMm;
      return shortfall(x, sigma, pitchToleranceMm(p, h.majorMm) + h.alongTaperMm, e.wear ?? 'unknown', p);
    }
    case 'overWires': {
      if (noWireRests(h)) return BLUNDER * BLUNDER_PER_MM;
      const sigma = Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm, 0.006);
      const d2 = e.valueMm - overPitchDiameterMm(h, e.wireMm, starts);
      return shortfall(
        h.pitchDiameterMm - d2,
        sigma,
        pitchToleranceMm(p, h.majorMm) + h.alongTaperMm,
        e.wear ?? 'unknown',
        p,
      );
    }
    case 'crestFlat':
    case 'rootFlat': {
      const expected = e.quantity === 'crestFlat' ? h.edges[part].crestFlatMm : h.edges[part].rootFlatMm;
      // a worn crest is wider, a root is what the tool's tip was
      const spread = Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.flatMm, 0.06 * p);
      return withBlunder(normalPdf(e.valueMm - expected, spread), BLUNDER_PER_MM);
    }
    case 'crestRadius':
    case 'rootRadius': {
      const expected = e.quantity === 'crestRadius' ? h.edges[part].crestRadiusMm : h.edges[part].rootRadiusMm;
      const spread = Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.radiusMm, 0.03 * p);
      const asMade = normalPdf(e.valueMm - expected, spread);
      if (expected > 0) return withBlunder(asMade, BLUNDER_PER_MM);
      // a flat is seldom met sharp: corners wear and rolling rounds them, up to about a sixth of the pitch
      const rounded = e.valueMm <= ROUNDED * p + 2 * spread ? 1 / (ROUNDED * p + 2 * spread) : 0;
      return withBlunder((1 - WORN_ROUND) * asMade + WORN_ROUND * rounded, BLUNDER_PER_MM);
    }
    case 'minorDiameter': {
      const sigma = Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm, 0.01);
      if (part === 'internal')
        return shortfall(
          e.valueMm - h.minorInternalMm,
          sigma,
          nutMinorToleranceMm(p) + h.alongTaperMm,
          e.wear ?? 'unknown',
          p,
        );
      // a screw's root: shaped by the tool, and blades that do not reach the bottom read large
      const spread = Math.hypot(sigma, 0.05 * p + 0.02);
      return withBlunder(
        0.6 * normalPdf(e.valueMm - h.minorExternalMm + 0.05 * p, spread) +
          0.4 * normalPdf(e.valueMm - h.minorExternalMm - 0.06 * p, 1.6 * spread),
        BLUNDER_PER_MM,
      );
    }
    case 'depth': {
      const full = part === 'external' ? h.depthExternalMm : h.depthInternalMm;
      const spread = Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.depthMm, 0.06 * p);
      return withBlunder(normalPdf(e.valueMm - full + 0.04 * p, spread), BLUNDER_PER_MM);
    }
    case 'crestCount': {
      const sigma = e.spanUncertaintyMm === undefined ? DEFAULT_SIGMA.crests : Math.max(0.02, e.spanUncertaintyMm / p);
      return crestCountDensity(e.crests, e.spanMm / p, sigma);
    }
    case 'pitchLeaf': {
      const over = e.overMm ?? DEFAULT_SIGMA.leafOverMm;
      // over the leaf's length the teeth drift apart by the relative error times the length
      return leafProbability(e.fit, (Math.abs(p - e.pitchMm) / p) * over);
    }
    case 'flankAngle':
      return angleDensity(e.valueDeg - h.leadingDeg - h.trailingDeg, e.uncertaintyDeg ?? DEFAULT_SIGMA.angleDeg);
    case 'leadingFlank':
    case 'trailingFlank': {
      const sigma = e.uncertaintyDeg ?? DEFAULT_SIGMA.angleDeg;
      const [own, other] =
        e.quantity === 'leadingFlank' ? [h.leadingDeg, h.trailingDeg] : [h.trailingDeg, h.leadingDeg];
      // which flank leads depends on which way round the part was held, and on its use
      return 0.5 * angleDensity(e.valueDeg - own, sigma) + 0.5 * angleDensity(e.valueDeg - other, sigma);
    }
    case 'lead':
      return withBlunder(
        normalPdf(e.valueMm - p * starts, Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.leadMm, 0.02)),
        BLUNDER_PER_MM,
      );
    case 'taper':
      return withBlunder(normalPdf(e.ratio - h.taper, Math.max(0.002, e.uncertainty ?? DEFAULT_SIGMA.taper)), 5);
    case 'starts':
      return e.count === starts ? 0.97 : 0.01;
    case 'hand':
      return 1; // every thread is cut in either hand
  }
}

/** Between square flanks a wire drops to the root: nothing over it says anything of the pitch diameter. */
export const noWireRests = (h: Pick<Expectation, 'leadingDeg' | 'trailingDeg'>): boolean =>
  h.leadingDeg + h.trailingDeg < 1;

/**
 * M less d2 of a candidate, with the textbook term for the lead angle: what that leaves out stays below the tolerance that
 * a naming must allow for anyway.
 */
export const overPitchDiameterMm = (h: Expectation, wireMm: number, starts: number): number =>
  flatOverWiresMm(h, h.pitchMm, wireMm) + leadOverWiresMm(h, h.pitchMm * starts, h.pitchDiameterMm, wireMm);

const angleDensity = (offDeg: number, sigma: number): number =>
  withBlunder(normalPdf(offDeg, Math.max(0.2, sigma)), BLUNDER_PER_DEG);

const REPEATED: readonly Evidence['quantity'][] = [
  'majorDiameter',
  'pitchDiameter',
  'minorDiameter',
  'overWires',
  'depth',
];

/**
 * How much each reading counts. Several readings of one diameter share the maker's tolerance and the same instrument, so
 * the least worn of them counts in full and the others by a third: otherwise ten readings of one crest would look like
 * ten independent threads.
 */
export function weights(evidence: readonly Evidence[], part: Part): number[] {
  const best = new Map<string, number>();
  const nameOf = (e: Evidence): string => `${e.quantity} ${e.member ?? part}`;
  evidence.forEach((e, i) => {
    if (!REPEATED.includes(e.quantity) || !('valueMm' in e)) return;
    const held = best.get(nameOf(e));
    const value = held === undefined ? undefined : evidence[held];
    const larger = value && 'valueMm' in value ? e.valueMm > value.valueMm : true;
    if (held === undefined || ((e.member ?? part) === 'external' ? larger : !larger)) best.set(nameOf(e), i);
  });
  return evidence.map((e, i) => {
    const chosen = best.get(nameOf(e));
    return chosen === undefined || chosen === i ? 1 : 1 / 3;
  });
}

/** Readings of the pitch rule out most threads, cheaply; repeats, which count in part, rule out least. */
const sharpness = ({ e, w }: Weighed): number =>
  e.quantity === 'crestCount' || e.quantity === 'pitchLeaf' ? 0 : w === 1 ? 1 : 2;

interface Weighed {
  readonly e: Evidence;
  readonly w: number;
}
/** The same readings in the order in which they narrow the field soonest; what they say together does not depend on it. */
export const sharpestFirst = (list: readonly Weighed[]): Weighed[] =>
  list.toSorted((a, b) => sharpness(a) - sharpness(b));

/** Chance that pure wear and tolerance bring a diameter this short or shorter: small means the wear is not credible. */
export const wearCredibility = (shortMm: number, wear: Wear, pitchMm: number): number => {
  const mean = wear === 'unworn' ? UNWORN_MEAN_MM : WORN_MEAN_MM(pitchMm);
  const beyond = shortMm - majorToleranceMm(pitchMm);
  return beyond <= 0 ? 1 : Math.exp(-beyond / mean) * normalCdf(beyond / 0.01);
};
