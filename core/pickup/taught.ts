/** What a batch of like parts is found again by: a shoulder, the groove itself, a mark on the spindle. */
export const TAUGHT_BY = ['shoulder', 'groove', 'mark'] as const;
/** One of TAUGHT_BY. */
export type TaughtBy = (typeof TAUGHT_BY)[number];

/**
 * How far the groove of the next part lies from the tool, from how its reference stands against the taught one. A groove follows
 * its shoulder; a groove let on to the tool follows itself; a mark on the work, turned so far forward of the spindle's, carries a
 * right-hand groove towards the headstock and a left-hand one away. Geometry.
 * @param by `shoulder`, `groove`: mm, + towards the headstock; `mark`: degrees, + forward @returns mm, + towards the headstock
 * @example offsetFromTaught('mark', 90, 2, false) // 0.5
 */
export const offsetFromTaught = (by: TaughtBy, value: number, leadMm: number, leftHand: boolean): number =>
  by === 'mark' ? ((leftHand ? -1 : 1) * leadMm * value) / 360 : value;
