import { inches, toInches } from '../../quantity/units.ts';

/**
 * Pitch diameter at the small end of an external NPT thread, mm: E0 = D - (0.05 D + 1.1) P, D and P in inches.
 * The formula is linear in P and mixed in D, so it is evaluated in inches.
 * @see ASME B1.20.1
 * @example nptPitchDiameterMm(0.84 * 25.4, 25.4 / 14) / 25.4 // 0.75843
 */
export function nptPitchDiameterMm(pipeOutsideMm: number, pitchMm: number): number {
  const d = toInches(pipeOutsideMm);
  const p = toInches(pitchMm);
  return inches(d - (0.05 * d + 1.1) * p);
}
