import { degrees } from '../quantity/units.ts';

/**
 * Lead (helix) angle at a diameter, degrees: tan = L / (pi d). Steepest at the minor diameter.
 * @throws RangeError for a diameter that is not above zero
 * @example leadAngleDeg(7, 36.5) // 3.4933; Tr 40x7 at its pitch diameter
 */
export function leadAngleDeg(leadMm: number, diameterMm: number): number {
  if (!(diameterMm > 0)) throw new RangeError(`diameter: ${diameterMm}`);
  return degrees(Math.atan2(leadMm, Math.PI * diameterMm));
}

/**
 * Slope of the helix at a diameter, the tangent of its lead angle: L / (pi d). @example leadSlope(7, 36.5) // 0.0610
 */
export const leadSlope = (leadMm: number, diameterMm: number): number => leadMm / (Math.PI * diameterMm);

/** How far the helix goes along the axis for every radian about it, mm. @example leadPerRadianMm(2 * Math.PI) // 1 */
export const leadPerRadianMm = (leadMm: number): number => leadMm / (2 * Math.PI);
