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

test('a spindle that stands at once coasts nothing: the hand\u2019s time alone counts, as with the nuts opened', () => {
  expect(highestRpm(6, 2, 0.5, { rpm: 100, turns: 0 })).toBeCloseTo(highestRpm(6, 2, 0.5, null), 9);
  // and what it coasts only ever takes speed away
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 5, noNaN: true }),
      fc.double({ min: 20, max: 2000, noNaN: true }),
      (turns, rpm) => {
        const most = highestRpm(6, 2, 0.5, { rpm, turns });
        expect(most).toBeGreaterThan(0);
        expect(most).toBeLessThanOrEqual(highestRpm(6, 2, 0.5, null) + 1e-9);
        // at that speed it stands within the three turns that there are
        expect(stoppingTurns(most, 0.5, { rpm, turns })).toBeCloseTo(3, 6);
      },
    ),
  );
});
