import { cosDeg, sinDeg, tanDeg } from '../quantity/units.ts';

/**
 * The two flanks of a thread, each by its angle from the perpendicular to the axis, degrees, from 0 (square) up. Of a form the
 * leading one faces the way in which the screw advances when it is assembled; under a tool, the way in which the tool travels.
 */
export interface Flanks {
  readonly leadingDeg: number;
  readonly trailingDeg: number;
}

/** @example equalFlanks(60) // { leadingDeg: 30, trailingDeg: 30 } */
export const equalFlanks = (includedDeg: number): Flanks => ({
  leadingDeg: includedDeg / 2,
  trailingDeg: includedDeg / 2,
});

/** The same thread, looked at from its other end. @example mirrored({ leadingDeg: 45, trailingDeg: 7 }) // { leadingDeg: 7, trailingDeg: 45 } */
export const mirrored = ({ leadingDeg, trailingDeg }: Flanks): Flanks => ({
  leadingDeg: trailingDeg,
  trailingDeg: leadingDeg,
});

/** Angle between the flanks, degrees. @example includedDeg({ leadingDeg: 45, trailingDeg: 7 }) // 52 */
export const includedDeg = ({ leadingDeg, trailingDeg }: Flanks): number => leadingDeg + trailingDeg;

/**
 * Slope of both flanks together, tan a1 + tan a2: how much wider a groove is for every mm of height. 0: square.
 * @example slopeOf(equalFlanks(90)) // 2
 */
export const slopeOf = ({ leadingDeg, trailingDeg }: Flanks): number => slopeBetween(leadingDeg, trailingDeg);
/** The same of two flanks of which it is not known which leads. @example slopeBetween(45, 45) // 2 */
export const slopeBetween = (oneDeg: number, otherDeg: number): number => tanDeg(oneDeg) + tanDeg(otherDeg);

/** Two flanks of less than this slope together never meet within any thread: a square one. */
const SQUARE_SLOPE = 1e-9;
/**
 * Whether both flanks stand square to the axis: no depth follows from a pitch diameter, and no wire rests on them.
 * @example isSquare(equalFlanks(0)) // true
 */
export const isSquare = (f: Flanks): boolean => slopeOf(f) < SQUARE_SLOPE;

/**
 * How far from the vertex of the flanks the centre of a circle lies that touches both, radially, for every mm of its radius:
 * cos((a1 - a2)/2) / sin((a1 + a2)/2); 1/sin a for equal flanks. @throws RangeError for square flanks, which have no vertex
 * @example centrePerRadius(equalFlanks(60)) // 2
 */
export function centrePerRadius(f: Flanks): number {
  if (isSquare(f)) throw new RangeError('square flanks have no vertex');
  return cosDeg((f.leadingDeg - f.trailingDeg) / 2) / sinDeg(includedDeg(f) / 2);
}
