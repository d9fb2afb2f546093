import { mirrored, type Flanks } from '../form/flanks.ts';

/** Which way the carriage goes and the spindle turns. */
export interface CutDirection {
  readonly leftHand: boolean;
  /** The spindle runs backwards, with the tool upside down or behind: every hand is cut the other way along. */
  readonly reversed?: boolean;
  /** The end at which the work is held: a screw's head or shoulder as usual, or its free end; of a nut the face away from which the screw enters. */
  readonly heldAt?: 'head' | 'free-end';
}

/**
 * Which way the tool travels while it cuts: right-hand threads towards the headstock, left-hand ones away from it.
 * @example cutsTowards({ leftHand: true }) // 'tailstock'
 */
export const cutsTowards = (d: CutDirection): 'headstock' | 'tailstock' =>
  d.leftHand !== (d.reversed ?? false) ? 'tailstock' : 'headstock';

/**
 * The flanks as the tool meets them. A form's leading flank faces the way the screw advances: its free end (of a nut: the
 * flank that it meets, which faces where the screw enters). Under the tool the leading flank is the wall of the groove
 * towards which it travels. Travelling away from the free end, that wall faces the free end: the form's leading flank.
 * @example flanksUnderTool({ leadingDeg: 45, trailingDeg: 7 }, { leftHand: true }) // { leadingDeg: 7, trailingDeg: 45 }
 */
export function flanksUnderTool(form: Flanks, direction: CutDirection): Flanks {
  const freeEnd = (direction.heldAt ?? 'head') === 'head' ? 'tailstock' : 'headstock';
  const away = cutsTowards(direction) !== freeEnd;
  const { leadingDeg, trailingDeg } = form;
  return away ? { leadingDeg, trailingDeg } : mirrored(form);
}
