import { exact, INCH_MM, numberOf, shortText, textOf, type Rational } from '../../quantity/rational.ts';
import { CATALOGUE } from '../../standards/catalogue.ts';
import { turnsCheck } from './pitchError.ts';
import { leadOfTrain } from '../train.ts';

/** What a train cuts, said every way. */
export interface Audit {
  /** Exact lead, mm. */
  readonly leadMm: string;
  /** Threads per inch of that lead: "8", "11.5", or the exact fraction. */
  readonly tpi: string;
  readonly turns: { readonly spindle: number; readonly leadscrew: number };
}

/**
 * What a train and gearbox setting cut.
 * @example auditTrain(exact('127/40'), exact(1), [20], [40], '1').leadMm // '127/80'
 */
export function auditTrain(
  leadscrew: Rational,
  fixedRatio: Rational,
  drivers: readonly number[],
  driven: readonly number[],
  gearbox: string,
): Audit {
  const lead = leadOfTrain({ drivers, driven, gearbox }, leadscrew, fixedRatio);
  return { leadMm: textOf(lead), tpi: shortText(INCH_MM.div(lead)), turns: turnsCheck(lead, leadscrew) };
}

/** A pitch of the tables near to what is cut, and by how much it is off. */
export interface NearPitch {
  readonly pitch: string;
  readonly errorPpm: number;
}

let standard: readonly string[] | null = null;
/** Distinct pitches of all published tables. */
const standardPitches = (): readonly string[] => (standard ??= [...new Set(CATALOGUE.map((r) => r.pitch))]);

/**
 * The standard pitches nearest a lead, nearest first; the error is what this lead would be out by.
 * @example nearestPitches(exact('3.5'), 1) // [{ pitch: '7/2', errorPpm: 0 }]
 */
export function nearestPitches(lead: Rational, most: number): readonly NearPitch[] {
  const mm = numberOf(lead);
  return standardPitches()
    .map((pitch) => ({ pitch, errorPpm: (mm / numberOf(exact(pitch)) - 1) * 1e6 }))
    .sort((a, b) => Math.abs(a.errorPpm) - Math.abs(b.errorPpm))
    .slice(0, most);
}

/**
 * Over how many crests to measure so that a scratch tells the wanted lead from the nearest other one by four times the
 * instrument's uncertainty (two readings, one at each end). Null when the difference is nought.
 * @example crestsToMeasure(exact(2), exact(2), 0.02) // null; they are the same
 * @example crestsToMeasure(exact(2), exact('1.75'), 0.02) // 1
 */
export function crestsToMeasure(lead: Rational, other: Rational, instrumentMm: number): number | null {
  const difference = Math.abs(numberOf(lead.sub(other)));
  if (difference === 0) return null;
  return Math.max(1, Math.ceil((4 * instrumentMm * Math.SQRT2) / difference));
}
