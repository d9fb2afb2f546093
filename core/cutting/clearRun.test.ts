import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clearRunMm, drawOutTurns, highestRpm, stoppingTurns, stopShort, timeToStopS } from './clearRun.ts';

describe('room to stop', () => {
  // common practice, no source
  test('a 10 mm groove and a 3 mm tool leave 7 mm: 3.5 turns of 2 mm, 0.7 s at 300 rev/min', () => {
    const clear = clearRunMm(10, 3);
    expect(clear).toBe(7);
    expect(clear / 2).toBe(3.5);
    expect(timeToStopS(clear, 300, 2, null)).toBeCloseTo(0.7, 9);
    expect(clearRunMm(2, 3)).toBe(0);
  });
  test('reversing with the nuts shut also coasts: 4.5 turns at 300, and 254 is the most', () => {
    const coast = { rpm: 300, turns: 2.5 };
    expect(stoppingTurns(300, 0.4, coast)).toBeCloseTo(4.5, 9);
    expect(Math.floor(highestRpm(7, 2, 0.4, coast))).toBe(254);
    expect(timeToStopS(7, 300, 2, coast)).toBeCloseTo(0.2, 9);
  });
  test('at the highest speed exactly the clear run is used, whatever it is', () => {
    const some = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(some(1, 40), some(0.3, 12), some(0.2, 2), some(0.1, 20), (clear, lead, react, turns) => {
        const coast = { rpm: 300, turns };
        const rpm = highestRpm(clear, lead, react, coast);
        expect(stoppingTurns(rpm, react, coast) * lead).toBeCloseTo(clear, 6);
        expect(timeToStopS(clear, rpm, lead, coast)).toBeCloseTo(react, 6);
        expect(highestRpm(clear, lead, react, null)).toBeGreaterThan(rpm);
      }),
    );
  });
  test('drawn out in half a second at 60 rev/min: half a turn', () => {
    expect(drawOutTurns(60, 0.5)).toBe(0.5);
  });
  test('an electronic leadscrew stops short: 0.5 mm and half a turn at 300, 0.02 at 60', () => {
    expect(stopShort(300, 2, 100)).toEqual({ mm: expect.closeTo(0.5, 9), turns: expect.closeTo(0.5, 9) });
    expect(stopShort(60, 2, 100).mm).toBeCloseTo(0.02, 9);
  });
});
