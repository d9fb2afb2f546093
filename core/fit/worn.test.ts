import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { wornChoices, wornMateMm, type WornPlace } from './worn.ts';

const TRAPEZOID = { leadingDeg: 15, trailingDeg: 15 };
const at = (positionMm: number | null, pitchDiameterMm: number): WornPlace => ({ positionMm, pitchDiameterMm });
/** A screw worn in the middle of its length. */
const SCREW = [at(10, 36.5), at(100, 36.2), at(200, 36), at(390, 36.5)];
const TRAVEL = { fromMm: 80, toMm: 220 };

describe('a nut for a screw that is worn by places', () => {
  const [thickest, travel, recut] = wornChoices(TRAPEZOID, SCREW, 'external', TRAVEL, 0.2);
  const play = (clearance: number): number => clearance * Math.tan(Math.PI / 12);
  test('made to the thickest place it runs everywhere; the worn travel keeps its own play and the wear', () => {
    expect(thickest).toMatchObject({ way: 'thickest', mateMm: 36.5, bindsAtMm: [], recut: null });
    expect(thickest?.leastPlayMm).toBeCloseTo(play(0.5), 9);
    expect(thickest?.mostPlayMm).toBeCloseTo(play(0.7), 9);
  });
  test('made to the travel it is closer there, and binds at both unworn ends', () => {
    expect(travel).toMatchObject({ way: 'travel', mateMm: 36.2, bindsAtMm: [10, 390] });
    expect(travel?.leastPlayMm).toBeCloseTo(play(0.2), 9);
    expect(travel?.mostPlayMm).toBeCloseTo(play(0.4), 9);
  });
  test('the screw recut to its thinnest: even play, the pitch diameter down by 2 s / (tan a1 + tan a2)', () => {
    expect(recut).toMatchObject({ way: 'recut', mateMm: 36, bindsAtMm: [] });
    expect(recut?.mostPlayMm).toBeCloseTo(recut?.leastPlayMm ?? NaN, 12);
    expect(recut?.recut?.onDiameterMm).toBeCloseTo(0.5, 12);
    expect(recut?.recut?.deeperMm).toBeCloseTo(0.25, 12);
    // side cut by s does the same as going deeper: d2 down by 2 s / (tan a1 + tan a2)
    expect((2 * (recut?.recut?.sideMm ?? NaN)) / (2 * Math.tan(Math.PI / 12))).toBeCloseTo(0.5, 12);
  });
  test('an even mate, or one read at one place, has no choices', () => {
    expect(wornChoices(TRAPEZOID, [at(1, 36.5)], 'external', null, 0.2)).toEqual([]);
    expect(wornChoices(TRAPEZOID, [at(1, 36.5), at(2, 36.51)], 'external', null, 0.2)).toEqual([]);
  });
  test('a place that nobody located counts on any travel', () => {
    expect(wornMateMm([at(null, 36.4), ...SCREW], 'external', 'travel', TRAVEL)).toBe(36.4);
  });
});

test('a screw for a worn nut: the narrowest place decides', () => {
  const nut = [at(0, 37.2), at(30, 36.9)];
  expect(wornMateMm(nut, 'internal', 'thickest', null)).toBe(36.9);
  expect(wornMateMm(nut, 'internal', 'recut', null)).toBe(37.2);
  const [thickest] = wornChoices(TRAPEZOID, nut, 'internal', null, 0.1);
  expect(thickest?.bindsAtMm).toEqual([]);
  expect(thickest?.mostPlayMm).toBeGreaterThan(thickest?.leastPlayMm ?? NaN);
});

test('whatever the wear: to the thickest nothing binds, and play on the travel is never less than that of the clearance', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 30, max: 31, noNaN: true }), { minLength: 2, maxLength: 9 }),
      fc.constantFrom('external' as const, 'internal' as const),
      (sizes, mate) => {
        const places = sizes.map((d, i) => at(i * 10, d));
        for (const c of wornChoices(TRAPEZOID, places, mate, { fromMm: 0, toMm: 25 }, 0.1)) {
          expect(c.leastPlayMm).toBeGreaterThanOrEqual(0.1 * Math.tan(Math.PI / 12) - 1e-9);
          if (c.way !== 'travel') expect(c.bindsAtMm).toEqual([]);
        }
      },
    ),
  );
});
