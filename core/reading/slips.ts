import type { Part } from '../evidence/evidence.ts';

/** What the other readings say about the part so far; null where nothing has been read. Lengths mm. */
export interface Known {
  readonly part: Part;
  readonly majorMm: number | null;
  readonly minorMm: number | null;
  readonly pitchMm: number | null;
  readonly includedDeg: number | null;
  /** Where it was made, when that is known; and the unit of what is typed without one. */
  readonly origin: 'metric' | 'american' | 'british' | null;
  readonly system: 'mm' | 'in';
}

type SlipAgainst = 'same' | 'crest' | 'pitch' | 'pitch-sides' | 'angle' | 'no-form' | 'count' | 'origin' | 'alone';
/** A likely slip in what was just typed, with what it would be if meant otherwise. */
export interface Slip {
  readonly kind:
    | 'inch-for-mm'
    | 'mm-for-inch'
    | 'decimal'
    | 'radius'
    | 'crossed'
    | 'half-angle'
    | 'whole-angle'
    | 'taper-a-side'
    | 'both-ends'
    | 'both-sides';
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

/** Two diameters of one crest agree within wear and tolerance: a quarter of the pitch and three per cent. Common practice, no source. */
const agrees = (a: number, b: number, pitchMm: number | null): boolean =>
  Math.abs(a - b) <= 0.03 * b + 0.25 * (pitchMm ?? 1);

/** Deepest and shallowest thread of any form, in pitches. */
const DEPTH_PITCHES = [0.28, 0.9] as const;

/**
 * How a depth can be wrong against the pitch: taken on diameter, or in the other unit; null: it is credible. mm
 * @example depthSlip(2.6, { pitchMm: 2, majorMm: null }).instead // 1.3; taken on diameter
 */
export function depthSlip(value: number, known: Known): Slip | null {
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

/**
 * How a diameter can be wrong against what is expected of it: as a radius, or in the other unit; null: it is credible. mm
 * @example diameterSlip(12.7, 25.4, null).instead // 25.4; a radius
 */
export function diameterSlip(value: number, expected: number | null, pitchMm: number | null): Slip | null {
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
const FORM_ANGLES = [60, 55, 47.5, 30, 29, 33, 45, 50, 52, 53] as const;
const near = (a: number, b: number): boolean => Math.abs(a - b) <= 2.5;

/**
 * How an angle can be wrong: half of it, or the whole for a half; null: it is credible. Degrees
 * @example angleSlip(30, 60).instead // 60; half the included angle
 */
export function angleSlip(value: number, known: number | null): Slip | null {
  const doubled = value * 2;
  if (known !== null && !near(value, known) && near(doubled, known))
    return {
      kind: 'half-angle',
      typed: value,
      against: known,
      by: 'angle',
      instead: doubled,
    };
  // nearer to half of a usual form than to the whole of any
  const off = (deg: number): number => Math.min(...FORM_ANGLES.map((a) => Math.abs(deg - a)));
  if (known === null && off(doubled) <= 1.6 && off(doubled) + 0.5 < off(value))
    return {
      kind: 'half-angle',
      typed: value,
      against: null,
      by: 'no-form',
      instead: doubled,
    };
  return null;
}

/**
 * Whether a count of crests is one too many or too few for the pitch that is known; null: it agrees.
 * @example countSlip(10, 15, 1.5) // null
 * @example countSlip(10, 13.5, 1.5) // {"kind":"both-ends","typed":1.35,"against":1.5,"by":"count","instead":9}
 */
export function countSlip(crests: number, spanMm: number, pitchMm: number): Slip | null {
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

/** No flank of any form leans more than this from square: so much is a whole angle. */
const MOST_FLANK_DEG = 51;

/**
 * The whole angle given for one flank.
 * @example halfTypedAsFlank(60, 60).instead // 30; the included angle typed as one flank
 */
export function halfTypedAsFlank(value: number, known: number | null): Slip | null {
  const whole = known !== null && near(value, known) && known >= FORM_ANGLES[4];
  if (!whole && value <= MOST_FLANK_DEG) return null;
  return {
    kind: 'whole-angle',
    typed: value,
    against: whole ? known : null,
    by: whole ? 'angle' : 'no-form',
    instead: value / 2,
  };
}

/** The taper of every pipe thread in the tables, on diameter (ISO 7-1, ASME B1.20.1). */
const PIPE_TAPER = 1 / 16;
const READ_ALIKE = 0.002;

/**
 * A ratio that does not say whether it is on the diameter or a side: taken on the diameter, and asked about unless it is that
 * of pipes, or written as the plain quotient.
 * @example taperSlip(0.03125, 'NPT').instead // 0.0625; taken to one side
 */
export function taperSlip(value: number, text: string): Slip | null {
  const asRule = /[^\d.,\s+-]/.test(text);
  if (value === 0 || Math.abs(value - PIPE_TAPER) < READ_ALIKE || !asRule || Math.abs(2 * value) > 1) return null;
  if (/\b(?:to|over|apart)\b|\u2013|\s-\s/.test(text)) return null; // two diameters are on the diameter
  return { kind: 'taper-a-side', typed: value, against: null, by: 'alone', instead: 2 * value };
}

/** Digits and their marks only: no unit was typed. A fraction is of an inch by itself. */
const BARE = /^[\d.,\s]+$/;
/** A screw of an inch country is seldom so small in millimetres; and hardly any screw at all is smaller than the second. */
const SMALL_MM = 5;
const TINY_MM = 1.6;

/**
 * The first diameter of a part, with nothing to judge it by but where the part was made and that it is a whole screw.
 * @example aloneSlip(0.75, { part: 'external', majorMm: null, minorMm: null, pitchMm: null, includedDeg: null, origin: 'american', system: 'mm' }, '0.75').instead // 19.05; three quarters of an inch
 */
export function aloneSlip(value: number, known: Known, text: string): Slip | null {
  const bare = BARE.test(text);
  const inchCountry = known.origin === 'american' || known.origin === 'british';
  if (bare && known.system === 'mm' && inchCountry && value < SMALL_MM)
    return { kind: 'inch-for-mm', typed: value, against: null, by: 'origin', instead: value * 25.4 };
  if (value >= TINY_MM) return null;
  return bare && known.system === 'mm'
    ? { kind: 'inch-for-mm', typed: value, against: null, by: 'alone', instead: value * 25.4 }
    : { kind: 'decimal', typed: value, against: null, by: 'alone', instead: value * 10 };
}
