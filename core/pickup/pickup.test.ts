import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { gearSlip, pickupMoves } from './moves.ts';

test('the smaller way round, every way of making the move', () => {
  const m = pickupMoves(1.4, 2, 30);
  expect(m.axialMm).toBeCloseTo(-0.6, 9);
  expect(m.slideMm).toBeCloseTo(-1.2, 9); // x / sin 30
  expect(m.crossBackMm).toBeCloseTo(-1.2 * Math.cos(Math.PI / 6), 9);
  expect(m.turnDeg).toBeCloseTo(-108, 9);
});

test('a slide square across cannot move the tool along', () => {
  expect(pickupMoves(0.5, 2, 0).slideMm).toBeNull();
  expect(() => pickupMoves(1, 0, 30)).toThrow(RangeError);
});

test('never more than half a lead, and always the same groove', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -50, max: 50, noNaN: true }),
      fc.double({ min: 0.2, max: 20, noNaN: true }),
      (x, lead) => {
        const { axialMm } = pickupMoves(x, lead, 90);
        expect(Math.abs(axialMm)).toBeLessThanOrEqual(lead / 2 + 1e-9);
        const turns = (x - axialMm) / lead;
        expect(Math.abs(turns - Math.round(turns))).toBeLessThan(1e-6);
      },
    ),
  );
});

test('slipping teeth: what is left is under half a tooth', () => {
  const s = gearSlip(0.7, 60, 3.175);
  expect(s.slipBy).toBe(13);
  expect(Math.abs(s.leftMm)).toBeLessThanOrEqual(3.175 / 120);
});
