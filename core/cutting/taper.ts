/**
 * Half angle of a cone, degrees, from its taper on diameter. @see atan(T / 2)
 * @example coneHalfAngleDeg(1 / 16) // 1.7899; 1 degree 47 minutes of ASME B1.20.1
 */
export const coneHalfAngleDeg = (taper: number): number => (Math.atan(taper / 2) * 180) / Math.PI;

/** A taper by the tailstock set over, and what that does to the pitch. */
export interface SetOver {
  /** How far the tailstock is moved, mm. */
  readonly setOverMm: number;
  /** Bed travel lies along the cone: the pitch along the axis comes out by so much off, ppm. */
  readonly pitchPpm: number;
}
/**
 * @param overCentresMm length over the centres @see set-over = Lc sin(half angle); axial pitch = P cos(half angle)
 * @example setOver(1 / 16, 200).setOverMm // 6.25; half the taper over the length between centres
 */
export function setOver(taper: number, overCentresMm: number): SetOver {
  const half = Math.atan(taper / 2);
  return { setOverMm: overCentresMm * Math.sin(half), pitchPpm: (Math.cos(half) - 1) * 1e6 };
}

/**
 * By hand: the cross slide goes in so much at each turn of the spindle, mm. @see L T / 2
 * @example crossPerTurnMm(2, 1 / 16) // 0.0625; half the taper over a lead
 */
export const crossPerTurnMm = (leadMm: number, taper: number): number => (leadMm * Math.abs(taper)) / 2;

/**
 * How far the gauge goes on for a cut on the radius, mm: depth of a taper is set by the gauge alone. @see 2 dr / T
 * @example standOffPerRadialMm(0.1, 1 / 16) // 3.2; two by 16
 */
export const standOffPerRadialMm = (radialMm: number, taper: number): number => (2 * radialMm) / Math.abs(taper);
