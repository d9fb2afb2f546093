import { includedDeg } from '../form/flanks.ts';
import { DEFAULT_SIGMA, type Part } from '../evidence/evidence.ts';
import type { Expectation } from '../reading/expectation.ts';
import { normalPdf, shortfallDensity } from './density.ts';
import { uncertainty, type ReadingKind, type Taken } from './kind.ts';
import {
  anywhere,
  BLUNDER_PER_MM,
  majorToleranceMm,
  nutMinorToleranceMm,
  pitchToleranceMm,
  shortfall,
  sigmaOfLength,
  wearCredibility,
  withBlunder,
} from './noise.ts';
import type { Reason } from './reason.ts';
import { aloneSlip, diameterSlip } from './slips.ts';
import { typedLength } from './typed.ts';

type Diameter = 'majorDiameter' | 'minorDiameter' | 'pitchDiameter';

const sigmaOf = (e: { readonly uncertaintyMm?: number }): number =>
  sigmaOfLength(e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm);

/** What the three kinds have alike. */
const ALIKE = {
  measures: 'length',
  worn: true,
  onStarts: false,
  parse: typedLength,
} as const satisfies Partial<ReadingKind<Diameter>>;
const evidenceOf =
  <Q extends Diameter>(quantity: Q) =>
  (r: Taken) => ({ quantity, valueMm: r.value, wear: r.wear, ...uncertainty('uncertaintyMm', r) });
/** A diameter of any part at all: log-uniform over the sizes of a shop. */
const free = (e: { readonly valueMm: number }): number => 1 / (5 * Math.max(1, e.valueMm));

/** Steps from a limit in which a density has its top, in shares of what tolerance and wear usually take. */
const STEPS = [0, 0.25, 0.5, 0.75, 1];
/**
 * A reading moved to where its density has its top: at a limit, and on either side of it by what tolerance and wear usually take; mm.
 * @example around({ valueMm: 9.9 }, 10, 1.5).map((e) => e.valueMm).slice(0, 4) // [10, 10, 9.9125, 10.0875]
 */
export const around = <E extends { readonly valueMm: number }>(e: E, limitMm: number, pitchMm: number): readonly E[] =>
  STEPS.flatMap((f) => {
    const off = f * (0.2 * pitchMm + 0.05);
    return [
      { ...e, valueMm: limitMm - off },
      { ...e, valueMm: limitMm + off },
    ];
  });

/** How a limit of size is usually met on a new part: halfway into its tolerance. @param inwards -1 for a screw, 1 for a nut */
const halfway = (limitMm: number, toleranceMm: number, inwards: 1 | -1, sigma: number) => ({
  mean: limitMm + (inwards * toleranceMm) / 2,
  sigma: Math.hypot(sigma, toleranceMm / Math.sqrt(12)),
});

/** Below this credibility a loss is more than wear explains. */
const BEYOND_WEAR = 0.05;

/** The bottom of a nut's thread is never worn, and is cut clear by as much as the tool's tip is narrow. */
const NUT_ROOT = { spreadMm: 0.03, meanMm: 0.03, toleranceMm: (p: number): number => 0.1 * p + 0.05 };

/** Major diameter: over the crests of a screw, in the root of a nut. */
export const majorDiameter: ReadingKind<'majorDiameter'> = {
  ...ALIKE,
  evidence: evidenceOf('majorDiameter'),
  free,
  slip: (value, known, _, text) => {
    const expected =
      known.majorMm ?? (known.minorMm === null || known.pitchMm === null ? null : known.minorMm + 1.15 * known.pitchMm);
    return expected === null ? aloneSlip(value, known, text) : diameterSlip(value, expected, known.pitchMm);
  },
  nominal: (h) => h.majorMm,
  density: (e, h, part) =>
    part === 'external'
      ? shortfall(
          h.majorMm - e.valueMm,
          sigmaOf(e),
          majorToleranceMm(h.pitchMm) + h.alongTaperMm,
          e.wear ?? 'unknown',
          h.pitchMm,
        )
      : withBlunder(
          shortfallDensity(
            e.valueMm - h.majorMm,
            Math.hypot(sigmaOf(e), NUT_ROOT.spreadMm),
            NUT_ROOT.toleranceMm(h.pitchMm),
            NUT_ROOT.meanMm,
          ),
          BLUNDER_PER_MM,
        ),
  ideals: (e, h) => around(e, h.majorMm, h.pitchMm),
  reason: (e, h, part): Reason => {
    if (part === 'internal') return { kind: 'size', of: 'rootOfNut', readMm: e.valueMm, expectedMm: h.majorMm };
    const short = h.majorMm - e.valueMm;
    const over = short < -3 * (e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm);
    const worn = !over && e.wear === 'worn' && short > 0;
    return {
      kind: 'crest',
      says: over ? 'over' : worn ? 'worn' : 'under',
      readMm: e.valueMm,
      expectedMm: h.majorMm,
      byMm: over ? -short : Math.max(0, short),
      beyondWear: worn && wearCredibility(short, 'worn', h.pitchMm) < BEYOND_WEAR,
    };
  },
  likely: (h, part, _, sigma) =>
    part === 'external'
      ? halfway(h.majorMm, majorToleranceMm(h.pitchMm) + h.alongTaperMm, -1, sigma)
      : halfway(h.majorMm, NUT_ROOT.toleranceMm(h.pitchMm), 1, sigma),
};

/** Pitch diameter, by whatever way it was taken. */
export const pitchDiameter: ReadingKind<'pitchDiameter'> = {
  ...ALIKE,
  evidence: evidenceOf('pitchDiameter'),
  free,
  slip: (value, known) =>
    diameterSlip(value, known.majorMm === null ? null : known.majorMm - 0.65 * (known.pitchMm ?? 0), known.pitchMm),
  nominal: (h) => h.pitchDiameterMm,
  density: (e, h, part) =>
    shortfall(
      part === 'external' ? h.pitchDiameterMm - e.valueMm : e.valueMm - h.pitchDiameterMm,
      sigmaOf(e),
      pitchToleranceMm(h.pitchMm, h.majorMm) + h.alongTaperMm,
      e.wear ?? 'unknown',
      h.pitchMm,
    ),
  ideals: (e, h) => around(e, h.pitchDiameterMm, h.pitchMm),
  reason: (e, h) => ({ kind: 'size', of: 'pitchDiameter', readMm: e.valueMm, expectedMm: h.pitchDiameterMm }),
  likely: (h, part, _, sigma) =>
    halfway(
      h.pitchDiameterMm,
      pitchToleranceMm(h.pitchMm, h.majorMm) + h.alongTaperMm,
      part === 'external' ? -1 : 1,
      sigma,
    ),
};

/**
 * A bore is the least telling of diameters: a third of fastening nuts were drilled by what was at hand, anywhere between the
 * screw's own root and six tenths of the thread; nuts for motion are mostly bored to size.
 */
const DRILLED = { fastening: 0.35, motion: 0.1, leastOfThread: 0.6, motionBelowDeg: 40 } as const;

const minorOf = (h: Expectation, part: Part): number => (part === 'external' ? h.minorExternalMm : h.minorInternalMm);

/** A screw's root is what the tool's tip left (deeper, six times in ten), or what a blade too thick for it read (larger). */
const ROOT = { deep: 0.6, deeper: 0.05, shallower: 0.06, spread: 0.05, spreadMm: 0.02, bladeTimes: 1.6 } as const;

/** Minor diameter: in the root of a screw, the bore of a nut. */
export const minorDiameter: ReadingKind<'minorDiameter'> = {
  ...ALIKE,
  evidence: evidenceOf('minorDiameter'),
  free,
  slip: (value, known) => {
    const expected =
      known.majorMm === null || known.pitchMm === null ? known.minorMm : known.majorMm - 1.15 * known.pitchMm;
    const slip = diameterSlip(value, expected, known.pitchMm);
    if (slip || known.majorMm === null || value < known.majorMm) return slip;
    return { kind: 'crossed', typed: value, against: known.majorMm, by: 'crest', instead: null };
  },
  nominal: minorOf,
  density: (e, h, part) => {
    const p = h.pitchMm;
    const sigma = sigmaOf(e);
    if (part === 'internal') {
      const toSize = shortfall(
        e.valueMm - h.minorInternalMm,
        sigma,
        nutMinorToleranceMm(p) + h.alongTaperMm,
        e.wear ?? 'unknown',
        p,
      );
      const largest = h.majorMm - DRILLED.leastOfThread * (h.majorMm - h.minorInternalMm);
      const drilled = includedDeg(h) < DRILLED.motionBelowDeg ? DRILLED.motion : DRILLED.fastening;
      return (1 - drilled) * toSize + drilled * anywhere(e.valueMm, h.minorExternalMm, largest, sigma, p);
    }
    const spread = Math.hypot(sigma, ROOT.spread * p + ROOT.spreadMm);
    const off = e.valueMm - h.minorExternalMm;
    return withBlunder(
      ROOT.deep * normalPdf(off + ROOT.deeper * p, spread) +
        (1 - ROOT.deep) * normalPdf(off - ROOT.shallower * p, ROOT.bladeTimes * spread),
      BLUNDER_PER_MM,
    );
  },
  ideals: (e, h, part) => around(e, minorOf(h, part), h.pitchMm),
  reason: (e, h, part) => ({
    kind: 'size',
    of: part === 'external' ? 'minorDiameter' : 'bore',
    readMm: e.valueMm,
    expectedMm: minorOf(h, part),
  }),
  likely: (h, part, _, sigma) =>
    part === 'external'
      ? {
          mean: h.minorExternalMm,
          // both ways of coming out, together
          sigma: Math.hypot(sigma, (ROOT.spread + 0.03) * h.pitchMm + ROOT.spreadMm),
        }
      : halfway(h.minorInternalMm, 3 * nutMinorToleranceMm(h.pitchMm) + h.alongTaperMm, 1, sigma),
};
