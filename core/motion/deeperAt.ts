/** A step deeper, as a control can be told it. */
export interface DeeperAt {
  readonly radialMm: number;
  /** The new last diameter at the tip. */
  readonly minorMm: number;
  /** Change of the tool's X offset instead, as the control counts X, mm; minus is towards the axis. */
  readonly offsetMm: number;
}

/**
 * "0.010 in deeper" at a control: the new minor diameter (a nut's new major), or the change of the X offset with the program left
 * as it is. Geometry. @param byMm as it is said at this lathe @param on what it is said on @param x how the control counts X
 * @example deeperAt(27.4, 0.1, 'radius', 'diameter', 'external') // { radialMm: 0.1, minorMm: 27.2, offsetMm: -0.2 }
 */
export function deeperAt(
  finalXMm: number,
  byMm: number,
  on: 'radius' | 'diameter',
  x: 'radius' | 'diameter',
  member: 'external' | 'internal',
): DeeperAt {
  const radialMm = on === 'diameter' ? byMm / 2 : byMm;
  const inward = member === 'external' ? -1 : 1;
  return {
    radialMm,
    minorMm: finalXMm + inward * 2 * radialMm,
    offsetMm: inward * radialMm * (x === 'diameter' ? 2 : 1),
  };
}
