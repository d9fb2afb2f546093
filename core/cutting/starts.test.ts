import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exact } from '../quantity/rational.ts';
import { feelsLargerMm, teethToNextStart, threadsToNextStart } from './starts.ts';
import { coneHalfAngleDeg, crossPerTurnMm, setOver, standOffPerRadialMm } from './taper.ts';

// common practice, no source; by arithmetic
describe('from start to start', () => {
  test('teeth of the gear on the spindle: 40 does not divide by 3, 60 gives 20, 48 at half speed 8', () => {
    expect(teethToNextStart(40, exact('1'), 3)).toBeNull();
    expect(teethToNextStart(60, exact('1'), 3)).toBe(20);
    expect(teethToNextStart(48, exact('1/2'), 3)).toBe(8);
  });
  test('8 TPI leadscrew, lead 1/4 in, two starts: the next thread; 4 TPI and the same lead: none', () => {
    expect(threadsToNextStart(exact('25.4').div(8), exact('25.4').div(4), 2)).toBe(1);
    expect(threadsToNextStart(exact('25.4').div(4), exact('25.4').div(4), 2)).toBeNull();
  });
  test('the place found is a start further on, and no nearer one is; where none is found there is none', () => {
    const whole = fc.integer({ min: 1, max: 24 });
    fc.assert(
      fc.property(whole, whole, fc.integer({ min: 2, max: 5 }), (p, l, n) => {
        const [pitch, lead] = [exact(`${p}/2`), exact(`${l}/2`)];
        const m = threadsToNextStart(pitch, lead, n);
        // by brute force over every place until the pattern repeats
        const right = Array.from({ length: 4 * l * n }, (_, i) => i + 1).find(
          (k) => pitch.mul(k).sub(lead.div(n)).div(lead).d === 1n,
        );
        expect(m).toBe(right ?? null);
      }),
    );
  });
  test('a start 0.02 off: 0.035 on a 60, 0.077 on a 29', () => {
    expect(feelsLargerMm(0.02, 30)).toBeCloseTo(0.035, 3);
    expect(feelsLargerMm(0.02, 14.5)).toBeCloseTo(0.077, 3);
  });
});

describe('tapers', () => {
  test.each([
    [1 / 16, 1.79, -488],
    [1 / 12, 2.386, -867],
    [1 / 6, 4.764, -3454],
  ])('%s on diameter: half angle %s, pitch short by %s ppm with the tailstock set over', (taper, half, ppm) => {
    expect(coneHalfAngleDeg(taper)).toBeCloseTo(half, 2);
    expect(Math.round(setOver(taper, 300).pitchPpm)).toBe(ppm);
  });
  test('1:16 over 300 mm: 9.37 of set-over', () => {
    expect(setOver(1 / 16, 300).setOverMm).toBeCloseTo(9.37, 2);
  });
  test('by hand: 0.198, 0.265, 0.529 a turn at 4 TPI, 0.057 at 14', () => {
    expect([1 / 16, 1 / 12, 1 / 6].map((t) => Number(crossPerTurnMm(6.35, t).toFixed(3)))).toEqual([
      0.198, 0.265, 0.529,
    ]);
    expect(crossPerTurnMm(25.4 / 14, 1 / 16)).toBeCloseTo(0.057, 3);
  });
  test('a radial 0.010 in goes 0.32 in further at 1:16, 0.12 at 1:6', () => {
    expect(standOffPerRadialMm(0.01, 1 / 16)).toBeCloseTo(0.32, 9);
    expect(standOffPerRadialMm(0.01, 1 / 6)).toBeCloseTo(0.12, 9);
  });
});
