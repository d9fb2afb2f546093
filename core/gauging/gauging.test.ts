import { equalFlanks } from '../form/flanks.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formAt } from '../form/shape.ts';
import {
  bestWireMm,
  checkWire,
  grooveOf,
  overWiresMm,
  pitchDiameterFromWiresMm,
  usableWireMm,
  usualGroove,
} from './wires.ts';

// Constants of M = d2 + w A - P B, computed in every handbook: NBS Handbook H28, ASME B1.2.
test.each([
  [30, 3, 0.866025],
  [27.5, 3.16568, 0.96049],
  [23.75, 3.48295, 1.13634],
  [15, 4.8637, 1.86603],
  [14.5, 4.99393, 1.93336],
])('half angle %d: M = d2 + %d w - %d P', (half, a, b) => {
  const g = usualGroove(equalFlanks(2 * half), 2, 1);
  const m = overWiresMm(g, 20, 1.2, 'flat');
  expect(m).toBeCloseTo(20 + a * 1.2 - b * 2, 4);
});

test('best wires: 0.57735 P for 60, 0.56369 P for 55, 0.51645 P for 29 (NBS Handbook H28)', () => {
  expect(bestWireMm(usualGroove(equalFlanks(60), 1, 1))).toBeCloseTo(0.57735, 5);
  expect(bestWireMm(usualGroove(equalFlanks(55), 1, 1))).toBeCloseTo(0.56369, 5);
  expect(bestWireMm(usualGroove(equalFlanks(29), 1, 1))).toBeCloseTo(0.51645, 5);
});

test('usable wires on the 60 degree form: 0.505 P to 1.010 P (NBS Handbook H28)', () => {
  const r = usableWireMm(usualGroove(equalFlanks(60), 1, 1));
  expect(r.min).toBeCloseTo(0.50518, 4);
  expect(r.max).toBeCloseTo(1.01036, 4);
});

test('1 1/4-7 BSW over 0.081 in wires', () => {
  // d2 1.1585 in: M = 1.1585 + 3.16568 x 0.081 - 0.96049 / 7 in
  const g = grooveOf(formAt('whitworth55', 25.4 / 7), 25.4 / 7, 1);
  expect(overWiresMm(g, 1.1585 * 25.4, 0.081 * 25.4, 'flat') / 25.4).toBeCloseTo(1.2777, 4);
  expect(checkWire(g, 0.081 * 25.4).ok).toBe(true);
});

test('wires that cannot measure are refused with the range that can', () => {
  const g = usualGroove(equalFlanks(60), 2, 1);
  const small = checkWire(g, 0.5);
  expect(!small.ok && small.problem).toMatchObject({
    code: 'wire-sinks',
    figures: { bestMm: expect.closeTo(1.1547, 4) as unknown },
  });
  expect(checkWire(g, 3).ok).toBe(false);
  expect(checkWire(g, NaN).ok).toBe(false);
});

test('a measurement of another part altogether gives its own absurd figure, and breaks nothing', () => {
  // 1 over wires of 3.749, on an Acme of 38
  const g = usualGroove(equalFlanks(29), 254 / 35, 1);
  expect(pitchDiameterFromWiresMm(g, 1, 3.749, 'textbook')).toBeLessThan(0);
});

describe('laws', () => {
  const groove = fc.record({
    half: fc.constantFrom(30, 27.5, 23.75, 15, 14.5),
    pitch: fc.double({ min: 0.3, max: 8, noNaN: true }),
    starts: fc.integer({ min: 1, max: 3 }),
    ratio: fc.double({ min: 6, max: 30, noNaN: true }),
  });
  test('pitch diameter and M are each other\u2019s inverse, lead angle or not', () => {
    fc.assert(
      fc.property(
        groove,
        fc.constantFrom('flat' as const, 'textbook' as const),
        ({ half, pitch, starts, ratio }, method) => {
          const g = usualGroove(equalFlanks(2 * half), pitch, starts);
          const d2 = pitch * ratio;
          const w = bestWireMm(g);
          expect(pitchDiameterFromWiresMm(g, overWiresMm(g, d2, w, method), w, method)).toBeCloseTo(d2, 6);
        },
      ),
    );
  });

  test('the wire touches both flanks: its centre is one radius from each', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 45, noNaN: true }),
        fc.double({ min: 3, max: 45, noNaN: true }),
        (a1, a2) => {
          const p = 4;
          const g = usualGroove({ leadingDeg: a1, trailingDeg: a2 }, p, 1);
          const w = bestWireMm(g);
          const t1 = Math.tan((a1 * Math.PI) / 180);
          const t2 = Math.tan((a2 * Math.PI) / 180);
          // groove in its own plane: apex at the origin, flanks x = y t1 and x = -y t2, pitch line at y = h
          const h = p / 2 / (t1 + t2);
          const y = (overWiresMm(g, 0, w, 'flat') - w) / 2 + h;
          // the centre of a circle tangent to both flanks lies where the distances agree; solve x from one, check the other
          const n1 = Math.hypot(1, t1);
          const n2 = Math.hypot(1, t2);
          const x = y * t1 - (w / 2) * n1;
          expect(Math.abs(x + y * t2) / n2).toBeCloseTo(w / 2, 6);
        },
      ),
    );
  });
});

test('the lead-angle term on M10 is about 1.7 \u00b5m (exact solution quoted in the trade; common practice, no source)', () => {
  const g = usualGroove(equalFlanks(60), 1.5, 1);
  const diff = overWiresMm(g, 9.026, 0.866, 'textbook') - overWiresMm(g, 9.026, 0.866, 'flat');
  expect(diff * 1000).toBeCloseTo(1.8, 0);
});
