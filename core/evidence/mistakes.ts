import { flatOverWiresMm } from '../form/overWires.ts';
import { degrees } from '../quantity/units.ts';
import type { Part, Quantity } from './evidence.ts';

/** What the other readings say about the part so far; null where nothing has been read. Lengths mm. */
export interface Known {
  readonly part: Part;
  readonly majorMm: number | null;
  readonly minorMm: number | null;
  readonly pitchMm: number | null;
  readonly includedDeg: number | null;
}

type SlipAgainst = 'same' | 'crest' | 'pitch' | 'pitch-sides' | 'angle' | 'no-form' | 'count';
/** A likely slip in what was just typed, with what it would be if meant otherwise. */
export interface Slip {
  readonly kind:
    'inch-for-mm' | 'mm-for-inch' | 'decimal' | 'radius' | 'crossed' | 'half-angle' | 'both-ends' | 'both-sides';
  /** What was typed, and what it does not go with: a reading of the same, the pitch, the crest; mm or degrees. Null: nothing. */
  readonly typed: number;
  readonly against: number | null;
  /** What the comparison was. */
  readonly by: SlipAgainst;
  /** The value to take instead, in the reading's own unit; null when there is none to offer. */
  readonly instead: number | null;
}

/** Ratios that turn a reading into a credible one, most likely slip first. */
const LENGTH_SLIPS: readonly { readonly kind: Slip['kind']; readonly factor: number }[] = [
  { kind: 'inch-for-mm', factor: 25.4 },
  { kind: 'mm-for-inch', factor: 1 / 25.4 },
  { kind: 'radius', factor: 2 },
  { kind: 'decimal', factor: 10 },
  { kind: 'decimal', factor: 0.1 },
];

/** Two diameters of one crest agree within wear and tolerance: a tenth of the pitch and two per cent. */
const agrees = (a: number, b: number, pitchMm: number | null): boolean =>
  Math.abs(a - b) <= 0.03 * b + 0.25 * (pitchMm ?? 1);

/**
 * Looks for a slip in one new reading against the other evidence. Null when it is credible, or when nothing is known to
 * judge it by. Diameters: unit, decimal place, radius for diameter, root larger than crest. Angles: the half given for the
 * whole. Crest counts: both end crests included.
 */
export function findSlip(quantity: Quantity, value: number, known: Known, spanMm: number | null = null): Slip | null {
  switch (quantity) {
    case 'majorDiameter':
      return diameterSlip(
        value,
        known.majorMm ??
          (known.minorMm === null || known.pitchMm === null ? null : known.minorMm + 1.15 * known.pitchMm),
        known.pitchMm,
      );
    case 'minorDiameter': {
      const expected =
        known.majorMm === null || known.pitchMm === null ? known.minorMm : known.majorMm - 1.15 * known.pitchMm;
      const slip = diameterSlip(value, expected, known.pitchMm);
      if (slip) return slip;
      if (known.majorMm !== null && value >= known.majorMm) {
        return {
          kind: 'crossed',
          typed: value,
          against: known.majorMm,
          by: 'crest',
          instead: null,
        };
      }
      return null;
    }
    case 'pitchDiameter':
      return diameterSlip(
        value,
        known.majorMm === null ? null : known.majorMm - 0.65 * (known.pitchMm ?? 0),
        known.pitchMm,
      );
    case 'overWires':
      return spanMm === null ? null : diameterSlip(value, expectedOverWires(known, spanMm), known.pitchMm);
    case 'depth':
      return depthSlip(value, known);
    case 'flankAngle':
      return angleSlip(value, known.includedDeg);
    case 'crestCount':
      return spanMm === null || known.pitchMm === null ? null : countSlip(value, spanMm, known.pitchMm);
    default:
      return null;
  }
}

/** Flanks nearer to square than this carry no wire; those nearer than the second are of the steep forms. */
const SQUARE_BELOW_DEG = degrees(0.1);
const STEEP_BELOW_DEG = degrees(0.35);

/** M for flat geometry and the usual depths; near enough to see a slip by. */
function expectedOverWires(known: Known, wireMm: number): number | null {
  if (known.majorMm === null || known.pitchMm === null) return null;
  const half = (known.includedDeg ?? 60) / 2;
  if (!(half > SQUARE_BELOW_DEG)) return null;
  // P/2 deep to the pitch line twice over for the steep forms, 0.65 P for the usual ones
  const pitchDiameter = known.majorMm - (half < STEEP_BELOW_DEG ? 0.5 : 0.65) * known.pitchMm;
  return pitchDiameter + flatOverWiresMm({ leadingDeg: half, trailingDeg: half }, known.pitchMm, wireMm);
}

/** Deepest and shallowest thread of any form, in pitches. */
const DEPTH_PITCHES = [0.28, 0.9] as const;

function depthSlip(value: number, known: Known): Slip | null {
  const { pitchMm } = known;
  if (pitchMm === null) return null;
  const credible = (d: number): boolean => d >= DEPTH_PITCHES[0] * pitchMm && d <= DEPTH_PITCHES[1] * pitchMm;
  if (credible(value)) return null;
  if (credible(value / 2))
    return {
      kind: 'both-sides',
      typed: value,
      against: pitchMm,
      by: 'pitch-sides',
      instead: value / 2,
    };
  for (const { kind, factor } of LENGTH_SLIPS) {
    if (kind !== 'radius' && credible(value * factor))
      return {
        kind,
        typed: value,
        against: pitchMm,
        by: 'pitch',
        instead: value * factor,
      };
  }
  return null;
}

function diameterSlip(value: number, expected: number | null, pitchMm: number | null): Slip | null {
  if (expected === null || agrees(value, expected, pitchMm)) return null;
  for (const { kind, factor } of LENGTH_SLIPS) {
    if (agrees(value * factor, expected, pitchMm))
      return {
        kind,
        typed: value,
        against: expected,
        by: 'same',
        instead: value * factor,
      };
  }
  return null;
}

/** Included angles of forms that are met. */
const FORM_ANGLES = [60, 55, 47.5, 30, 29, 33, 45, 50, 52, 53];
const near = (a: number, b: number): boolean => Math.abs(a - b) <= 2.5;

function angleSlip(value: number, known: number | null): Slip | null {
  const doubled = value * 2;
  if (known !== null && !near(value, known) && near(doubled, known))
    return {
      kind: 'half-angle',
      typed: value,
      against: known,
      by: 'angle',
      instead: doubled,
    };
  if (
    known === null &&
    !FORM_ANGLES.some((a) => near(value, a)) &&
    FORM_ANGLES.slice(0, 5).some((a) => Math.abs(doubled - a) <= 1.6)
  )
    return {
      kind: 'half-angle',
      typed: value,
      against: null,
      by: 'no-form',
      instead: doubled,
    };
  return null;
}

function countSlip(crests: number, spanMm: number, pitchMm: number): Slip | null {
  const expected = spanMm / pitchMm;
  if (Math.abs(crests - expected) < 0.6) return null;
  if (Math.abs(crests - 1 - expected) < 0.35)
    return {
      kind: 'both-ends',
      typed: spanMm / crests,
      against: pitchMm,
      by: 'count',
      instead: crests - 1,
    };
  return null;
}
