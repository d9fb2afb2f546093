import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { unitSlip } from './unitSlip.ts';

test('what is near is never asked about, and each slip is named by what it is', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 500, noNaN: true }),
      fc.double({ min: -0.05, max: 0.05, noNaN: true }),
      (mm, off) => {
        const near = mm * (1 + off);
        expect(unitSlip(near, mm)).toBeNull();
        expect(unitSlip(near / 25.4, mm)).toBe('inches');
        expect(unitSlip(near * 25.4, mm)).toBe('millimetres');
        expect(unitSlip(near * 10, mm)).toBe('point');
        expect(unitSlip(near / 10, mm)).toBe('point');
        // off otherwise: a step, a blank of another size
        expect(unitSlip(near * 2, mm)).toBeNull();
      },
    ),
  );
  expect([unitSlip(0, 17), unitSlip(-3, 17), unitSlip(17, 0)]).toEqual([null, null, null]);
});
