import { exact, numberOf, type Rational } from '../../quantity/rational.ts';
import { crestsToMeasure, nearestPitches, type NearPitch } from './audit.ts';

/** What a scratch is measured over, and what it is told from. */
export interface ScratchPlan {
  /** How well its ends are placed, mm, one standard deviation. */
  readonly instrumentMm: number;
  /** The nearest pitch that would be a wrong one; null: none is near. */
  readonly other: NearPitch | null;
  /** Crests over which the two are told apart; null: there is nothing to tell it from. */
  readonly over: number | null;
}
/** Jaws are set on a scratched crest no better than this, mm. Common practice, no source. */
const PLACED_MM = 0.02;
/** With nothing but a rule, mm. Common practice, no source. */
export const RULE_MM = 0.25;
/** A lead nearer than this is what an approximate train is meant to be, not another pitch, ppm. */
const ANOTHER_PITCH_PPM = 3000;
const NEAREST = 12;

/**
 * @param uncertaintiesMm of the instruments for lengths that the shop has
 * @example scratchPlan(exact('2'), [0.02]).other.pitch // '127/65'; 13 tpi is told from 2 mm over three crests
 */
export function scratchPlan(lead: Rational, uncertaintiesMm: readonly number[]): ScratchPlan {
  const instrumentMm = Math.max(PLACED_MM, Math.min(RULE_MM, ...uncertaintiesMm));
  const other = nearestPitches(lead, NEAREST).find((p) => Math.abs(p.errorPpm) > ANOTHER_PITCH_PPM) ?? null;
  return { instrumentMm, other, over: other && crestsToMeasure(lead, exact(other.pitch), instrumentMm) };
}

/** What a scratch says of the lead. */
export interface ScratchVerdict {
  readonly right: boolean;
  /** Each crest, mm. */
  readonly measuredMm: number;
  readonly uncertaintyMm: number;
}
/** Two standard deviations: nineteen readings of twenty lie within. */
const WITHIN_SIGMA = 2;

/**
 * Judges a scratch: both ends are placed with the instrument's uncertainty.
 * @example judgeScratch(exact('2'), 10, 20, 0.1).right // true; ten crests over 20 mm
 */
export function judgeScratch(lead: Rational, crests: number, spanMm: number, instrumentMm: number): ScratchVerdict {
  const measuredMm = spanMm / crests;
  const uncertaintyMm = (instrumentMm * Math.SQRT2) / crests;
  return {
    measuredMm,
    uncertaintyMm,
    right: Math.abs(measuredMm - numberOf(lead)) <= WITHIN_SIGMA * uncertaintyMm,
  };
}

/** Grooves that are counted by habit, over a length that a hand holds a rule along; a coarse lead over fewer. Common practice, no source. */
const USUAL_COUNT = 10;
const USUAL_SPAN_MM = 50;
const FEWEST = 3;
/** A slip has to lie so many times further off than a rule reads, to be told. */
const TOLD_BY = 4;

/**
 * How many grooves to measure over with a rule, so that the nearest slip lies four times further off than the rule reads: ten, or
 * fewer of a coarse lead, where that does; more where it takes more, and never more than there are.
 * @param leadMm as the train cuts it @param nearMm the nearest lead that a slip would cut; null: none @param most as many as there are, at least 1
 * @example crestsToTell(2, 1.75, 20) // { count: 10, told: true }
 * @example crestsToTell(14, 12, 20) // { count: 3, told: true }
 * @example crestsToTell(2, 1.95, 12) // { count: 12, told: false }; it would take 20
 */
export function crestsToTell(
  leadMm: number,
  nearMm: number | null,
  most: number,
): { readonly count: number; readonly told: boolean } {
  const needed = nearMm === null ? 1 : Math.ceil((TOLD_BY * RULE_MM) / Math.abs(nearMm - leadMm) - 1e-9);
  const usual = Math.max(FEWEST, Math.min(USUAL_COUNT, Math.floor(USUAL_SPAN_MM / leadMm)));
  const count = Math.max(1, Math.min(Math.max(usual, needed), Math.floor(most)));
  return { count, told: count >= needed };
}
