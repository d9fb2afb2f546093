import { equalFlanks } from '../form/flanks.ts';
import { describe, expect, test } from '@jest/globals';
import { betweenBallsExact, betweenBallsMm, pitchDiameterBetween, usualNutGroove } from './balls.ts';
import { overOneWireMm, overThreeFromOneMm, usableWireMm } from './wires.ts';

const rad = (d: number): number => (d * Math.PI) / 180;

/** Least value between two places, where there is one valley. */
function least(f: (x: number) => number, from: number, to: number): number {
  let [lo, hi] = [from, to];
  for (let i = 0; i < 26; i += 1) {
    const [m1, m2] = [lo + (hi - lo) / 3, hi - (hi - lo) / 3];
    if (f(m1) < f(m2)) hi = m2;
    else lo = m1;
  }
  return f((lo + hi) / 2);
}
/** The ball's centre as far out as every point of both helicoids stays a radius away: point by point, no lines, no closed form. */
function bruteBetween(a1: number, a2: number, pitch: number, starts: number, d2: number, ball: number): number {
  const k = (pitch * starts) / (2 * Math.PI);
  const far = (x: number, z: number, side: 1 | -1, a: number): number =>
    least(
      (t) =>
        least(
          (r) =>
            Math.hypot(
              r * Math.cos(t) - x,
              r * Math.sin(t),
              side * (pitch / 4 - (r - d2 / 2) * Math.tan(rad(a))) + k * t - z,
            ),
          d2 / 2 - 2 * pitch,
          d2 / 2 + 2 * pitch,
        ),
      -0.8,
      0.8,
    );
  const clear = (x: number, z: number): number => Math.min(far(x, z, 1, a1), far(x, z, -1, a2));
  const best = (x: number): number => -least((z) => -clear(x, z), -pitch / 4, pitch / 4);
  let [lo, hi] = [d2 / 2 - pitch / 2, d2 / 2 + pitch / 2];
  for (let i = 0; i < 18; i += 1) {
    const mid = (lo + hi) / 2;
    if ((a1 === a2 ? clear(mid, 0) : best(mid)) > ball / 2) lo = mid;
    else hi = mid;
  }
  return 2 * lo - ball;
}

describe('between balls in a nut', () => {
  test('flat: the published form of the formula for like flanks', () => {
    // ASME B1.2 turned inside out: D2 + (P/2) cot a - w (1 + 1/sin a)
    const g = usualNutGroove(equalFlanks(60), 2, 1);
    expect(betweenBallsMm(g, 28.7, 1.2)).toBeCloseTo(28.7 + 1 / Math.tan(rad(30)) - 1.2 * 3, 9);
  });
  test('usable balls of a 60 degree nut: 0.433 P to 0.866 P', () => {
    const { min, max } = usableWireMm(usualNutGroove(equalFlanks(60), 1, 1));
    expect(min).toBeCloseTo(0.433, 3);
    expect(max).toBeCloseTo(0.866, 3);
  });
  test.each([
    [30, 30, 2, 1, 28.7, 1.3],
    [14.5, 14.5, 5, 2, 22, 2.6],
    [3, 30, 6, 1, 40, 3.4],
  ])('exact against a search over every point of both flanks: %s/%s P %s x %s', (a1, a2, p, n, d2, w) => {
    const at = betweenBallsExact(usualNutGroove({ leadingDeg: a1, trailingDeg: a2 }, p, n), d2, w);
    expect(at.ok && at.value).toBeCloseTo(bruteBetween(a1, a2, p, n, d2, w), 3);
  });
  test('the helix takes a little off; which flank leads makes no difference; and back again', () => {
    const g = usualNutGroove(equalFlanks(29), 5, 4);
    const at = betweenBallsExact(g, 22, 2.6);
    if (!at.ok) throw new Error('no rest');
    const off = betweenBallsMm(g, 22, 2.6) - at.value;
    expect(off).toBeGreaterThan(0.005);
    expect(off).toBeLessThan(0.6);
    const back = pitchDiameterBetween(g, at.value, 2.6, true);
    expect(back.ok && back.value).toBeCloseTo(22, 6);
    const [one, other] = [
      usualNutGroove({ leadingDeg: 3, trailingDeg: 30 }, 6, 1),
      usualNutGroove({ leadingDeg: 30, trailingDeg: 3 }, 6, 1),
    ].map((u) => betweenBallsExact(u, 40, 3.4));
    expect(one?.ok && other?.ok && one.value - other.value).toBeCloseTo(0, 7);
  });
});

test('one wire: half of three and half the major, both ways', () => {
  expect(overOneWireMm(31, 29.9)).toBeCloseTo(30.45, 9);
  expect(overThreeFromOneMm(30.45, 29.9)).toBeCloseTo(31, 9);
});
