import { slopeOf, type Flanks } from '../../form/flanks.ts';
import type { Rational } from '../../quantity/rational.ts';
import { plain, type Step } from '../../quantity/working.ts';

/**
 * Proof without cutting: `spindle` turns of the chuck bring the leadscrew key back after `leadscrew` turns, in lowest terms.
 * @example turnsCheck(exact('7/4'), exact('127/40')) // { spindle: 127, leadscrew: 70 }
 */
export function turnsCheck(
  lead: Rational,
  leadscrew: Rational,
): { readonly spindle: number; readonly leadscrew: number } {
  const ratio = lead.div(leadscrew);
  return { spindle: Number(ratio.d), leadscrew: Number(ratio.n) };
}

/** What a pitch that is off does over the engaged length. */
export interface PitchErrorEffect {
  /** Mismatch along the thread over the engaged length, mm, signed. */
  readonly mismatchMm: number;
  /** What it eats of the pitch-diameter clearance, mm. */
  readonly clearanceEatenMm: number;
}

/**
 * How far the threads are out of step over an engagement, mm, signed.
 * @example mismatchOf(213, 100) // 0.0213
 */
export const mismatchOf = (errorPpm: number, engagementMm: number): number => (errorPpm * engagementMm) / 1e6;

/**
 * What a lead error does: over an engagement Le the threads are out of step by e Le, which takes 2 e Le / (tan a1 + tan a2)
 * of the pitch-diameter clearance (1.73 e Le for 60 degrees). A square thread has no such exchange: only flank play.
 * @example pitchErrorEffect(1000, 10, equalFlanks(60)).clearanceEatenMm // 0.01732; 1.732 e Le
 */
export function pitchErrorEffect(errorPpm: number, engagementMm: number, flanks: Flanks): PitchErrorEffect {
  const mismatchMm = mismatchOf(errorPpm, engagementMm);
  const slope = slopeOf(flanks);
  return { mismatchMm, clearanceEatenMm: slope > 0 ? (2 * Math.abs(mismatchMm)) / slope : 0 };
}

/**
 * What that is of the clearance given on the pitch diameter; null: none is given.
 * @example shareEaten({ mismatchMm: 0.01, clearanceEatenMm: 0.0173 }, 0.1) // 0.173
 */
export const shareEaten = (effect: PitchErrorEffect, pitchClearanceMm: number): number | null =>
  pitchClearanceMm > 0 ? effect.clearanceEatenMm / pitchClearanceMm : null;

/**
 * How that comes about.
 * @example effectSteps(100, 30, equalFlanks(60))[0].result // 0.003; 100 ppm of 30 mm
 */
export function effectSteps(errorPpm: number, engagementMm: number, flanks: Flanks): readonly [Step, Step] {
  const effect = pitchErrorEffect(errorPpm, engagementMm, flanks);
  return [
    {
      name: 'Mismatch over the engagement',
      symbol: 'e Le',
      formula: 'error \u00d7 engaged length',
      values: `${plain(errorPpm)} / 1000000 \u00d7 ${plain(engagementMm)}`,
      result: effect.mismatchMm,
      unit: 'mm',
      source: 'geometry',
    },
    {
      name: 'Clearance it eats',
      symbol: '\u0394d2',
      formula: '2 |e Le| / (tan a1 + tan a2)',
      values: `2 \u00d7 ${plain(Math.abs(effect.mismatchMm))} / (tan ${plain(flanks.leadingDeg)}\u00b0 + tan ${plain(flanks.trailingDeg)}\u00b0)`,
      result: effect.clearanceEatenMm,
      unit: 'mm',
      source: 'geometry of the flanks; ASME B1.1 treats lead error alike',
    },
  ];
}
