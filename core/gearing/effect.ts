import type { Rational } from '../quantity/rational.ts';
import { tanDeg } from '../quantity/units.ts';

/** Proof without cutting: `spindle` turns of the chuck bring the leadscrew key back after `leadscrew` turns, in lowest terms. */
export function turnsCheck(
  lead: Rational,
  leadscrew: Rational,
): { readonly spindle: number; readonly leadscrew: number } {
  const ratio = lead.div(leadscrew);
  return { spindle: Number(ratio.d), leadscrew: Number(ratio.n) };
}

export interface PitchErrorEffect {
  /** Mismatch along the thread over the engaged length, mm, signed. */
  readonly mismatchMm: number;
  /** What it eats of the pitch-diameter clearance, mm. */
  readonly clearanceEatenMm: number;
}

/**
 * What a lead error does: over an engagement Le the threads are out of step by e Le, which takes 2 e Le / (tan a1 + tan a2)
 * of the pitch-diameter clearance (1.73 e Le for 60 degrees). A square thread has no such exchange: only flank play.
 */
export function pitchErrorEffect(
  errorPpm: number,
  engagementMm: number,
  flanksDeg: readonly [number, number],
): PitchErrorEffect {
  const mismatchMm = (errorPpm * engagementMm) / 1e6;
  const slope = tanDeg(flanksDeg[0]) + tanDeg(flanksDeg[1]);
  return { mismatchMm, clearanceEatenMm: slope > 0 ? (2 * Math.abs(mismatchMm)) / slope : 0 };
}
