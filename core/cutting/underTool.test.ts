import { expect, test } from '@jest/globals';
import { cutsTowards, flanksUnderTool } from './underTool.ts';

const form = { leadingDeg: 45, trailingDeg: 7 };

/**
 * Worked out by hand from the sketch: a groove's wall on the headstock side is the side of the ridge next to the headstock,
 * and so faces the tailstock. Held at the head, the free end is at the tailstock: that wall is the flank that faces it.
 */
test.each([
  // leftHand, reversed, heldAt -> cuts towards, leading
  [false, false, 'head', 'headstock', 45],
  [true, false, 'head', 'tailstock', 7],
  [false, true, 'head', 'tailstock', 7],
  [true, true, 'head', 'headstock', 45],
  [false, false, 'free-end', 'headstock', 7],
  [true, false, 'free-end', 'tailstock', 45],
  [false, true, 'free-end', 'tailstock', 45],
  [true, true, 'free-end', 'headstock', 7],
] as const)(
  'left hand %s, spindle reversed %s, held at its %s: cuts towards the %s, leading %s',
  (leftHand, reversed, heldAt, towards, leading) => {
    const direction = { leftHand, reversed, heldAt };
    expect(cutsTowards(direction)).toBe(towards);
    expect(flanksUnderTool(form, direction)).toEqual({ leadingDeg: leading, trailingDeg: leading === 45 ? 7 : 45 });
  },
);
