import { leadSlope } from './helix.ts';
import { cosDeg, tanDeg } from '../quantity/units.ts';
import { centrePerRadius, includedDeg, slopeOf, type Flanks } from './flanks.ts';

/**
 * Measurement over three wires less the pitch diameter, flat geometry, mm: w (1 + cos((a1-a2)/2) / sin((a1+a2)/2)) -
 * P / (tan a1 + tan a2); for equal flanks w (1 + 1/sin a) - (P/2) cot a.
 * @see ASME B1.2; NBS Handbook H28; ASME B1.9 for unlike flanks
 * @example 9.026 + flatOverWiresMm(equalFlanks(60), 1.5, 0.866) // 10.325; M10 over its best wires
 */
export const flatOverWiresMm = (flanks: Flanks, pitchMm: number, wireMm: number): number =>
  wireMm * (1 + centrePerRadius(flanks)) - pitchMm / slopeOf(flanks);

/**
 * The textbook term that the lead angle adds to it, mm: (w/2) tan^2(lead angle) cos a cot a, tan(lead angle) = L / (pi d2).
 * @see NBS Handbook H28
 * @example leadOverWiresMm(equalFlanks(60), 1.5, 9.026, 0.866) // 0.0018
 */
export function leadOverWiresMm(flanks: Flanks, leadMm: number, pitchDiameterMm: number, wireMm: number): number {
  const half = includedDeg(flanks) / 2;
  const slope = leadSlope(leadMm, pitchDiameterMm);
  return ((wireMm / 2) * slope * slope * cosDeg(half)) / tanDeg(half);
}
