/** How a length can have been typed, against what is expected: its number is of the other unit, or its point stands elsewhere. */
export type UnitSlip = 'inches' | 'millimetres' | 'point';

/** What each slip makes of a length. */
const FACTORS: readonly (readonly [UnitSlip, number])[] = [
  ['inches', 1 / 25.4],
  ['millimetres', 25.4],
  ['point', 0.1],
  ['point', 10],
];
/** So near to what is expected a length comes once the slip is put right, of itself; and so far off it is before. Common practice, no source. */
const NEAR = 0.12;

/**
 * Whether a length is 10 or 25.4 times off what is expected; null: it is not. Positive lengths, in one unit.
 * @example [unitSlip(0.69, 17.52), unitSlip(175.2, 17.52), unitSlip(17.6, 17.52)] // ['inches', 'point', null]
 */
export function unitSlip(mm: number, expectedMm: number): UnitSlip | null {
  if (!(mm > 0) || !(expectedMm > 0)) return null;
  const off = (factor: number): number => Math.abs(mm / (expectedMm * factor) - 1);
  const likely = FACTORS.map(([slip, factor]) => ({ slip, off: off(factor) })).sort((a, b) => a.off - b.off)[0];
  return likely && likely.off <= NEAR && off(1) > likely.off ? likely.slip : null;
}
