import { includedDeg, type Flanks } from '../form/flanks.ts';
import { cosDeg, sinDeg, tanDeg } from '../quantity/units.ts';

const DEG = 180 / Math.PI;
const asinDeg = (x: number): number => Math.asin(Math.min(1, Math.max(-1, x))) * DEG;
const atanDeg = (x: number): number => Math.atan(x) * DEG;

/** What a tool that stands out of square leaves. */
export interface OffSquare extends Flanks {
  /** The screw feels so much larger (the nut smaller) to its mate, on the pitch diameter, mm; wires do not show it. */
  readonly feelsMm: number;
}

/**
 * A tool turned by an angle out of square: one flank steeper, the other flatter, and a mate that meets both on their whole
 * height binds earlier.
 * @param heightMm of the straight flank, radial
 * @see errors of half angle as a change of the virtual pitch diameter: h (|da1| + |da2|) / sin 2a, a the mean half angle
 * @example offSquare(equalFlanks(60), 1, 0.5413).feelsMm // 0.0218; 0.022 P a degree
 */
export function offSquare(flanks: Flanks, byDeg: number, heightMm: number): OffSquare {
  return {
    leadingDeg: flanks.leadingDeg + byDeg,
    trailingDeg: flanks.trailingDeg - byDeg,
    feelsMm: (heightMm * 2 * (Math.abs(byDeg) / DEG)) / sinDeg(includedDeg(flanks)),
  };
}

/** What a tip off centre height leaves. */
export interface OffHeight {
  /** The groove is shallower than the dial says, mm. */
  readonly shallowMm: number;
  /** Half angle that is really cut, degrees. */
  readonly halfDeg: number;
  /** Clearance lost (or gained) under the edge, degrees: above centre it goes outside, below it inside. */
  readonly clearanceDeg: number;
}
/**
 * @param radiusMm of the surface touched @param depthMm travel from there @param offMm tip above or below the centre
 * @see geometry: r = sqrt(X^2 + h^2) at the touch and at depth; the rake turns by asin(h/r)
 * @example offHeight(10, 1, 30, 0, 'external').shallowMm // 0
 */
export function offHeight(
  radiusMm: number,
  depthMm: number,
  halfDeg: number,
  offMm: number,
  member: 'external' | 'internal',
): OffHeight {
  const h = Math.abs(offMm);
  const x = Math.sqrt(Math.max(0, radiusMm * radiusMm - h * h));
  const end = member === 'external' ? x - depthMm : x + depthMm;
  const reached = Math.abs(Math.hypot(end, h) - radiusMm);
  const turnedDeg = asinDeg(h / radiusMm);
  return {
    shallowMm: depthMm - reached,
    halfDeg: atanDeg(tanDeg(halfDeg) / cosDeg(turnedDeg)),
    clearanceDeg: turnedDeg,
  };
}

/** What a slide at another angle than the travel was worked out for does. */
export interface SlideOff {
  /** Depth reached over the depth meant. */
  readonly depthShare: number;
  /** The trailing flank stands in steps, and the groove is so much too wide at the top, mm; 0 where it does not. */
  readonly tooWideMm: number;
  readonly stepMm: number;
}
/**
 * @param meantDeg the angle for which the travel was worked out @param setDeg where the slide really stands
 * @see geometry of the infeed: travel x cos(angle); steps of ap (tan b - tan a) on the flank that is followed
 * @example slideOff(29.5, 29.5, 30, 1, 0.1).depthShare // 1
 */
export const slideOff = (
  meantDeg: number,
  setDeg: number,
  trailingDeg: number,
  depthMm: number,
  passMm: number,
): SlideOff => {
  const over = Math.max(0, tanDeg(setDeg) - tanDeg(trailingDeg));
  return { depthShare: cosDeg(setDeg) / cosDeg(meantDeg), tooWideMm: depthMm * over, stepMm: passMm * over };
};

/**
 * Half angle to grind so that a tool with top rake cuts the one wanted. @see the wedge cut by a tilted plane: tan a cos(rake)
 * @example halfAngleToGrindDeg(30, 0) // 30; no rake, no change
 */
export const halfAngleToGrindDeg = (halfDeg: number, rakeDeg: number): number =>
  atanDeg(tanDeg(halfDeg) * cosDeg(rakeDeg));
