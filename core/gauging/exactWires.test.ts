import { equalFlanks } from '../form/flanks.ts';
import { expect, test } from '@jest/globals';
import { overWiresExact, pitchDiameterExact, type Wire } from './exactWires.ts';
import fc from 'fast-check';
import { radians } from '../quantity/units.ts';
import { bestWireMm, overWiresMm, usableWireMm, usualGroove, type Groove } from './wires.ts';

const overWiresExactMm = (g: Groove, d2: number, w: number): number | null => {
  const at = overWiresExact(g, d2, w);
  return at.ok ? at.value.overMm : null;
};

// Differences between the exact solution and the flat formula quoted in the trade (common practice, no source).
test.each([
  ['M10', 30, 1.5, 1, 9.026, 0.866, 0.0017, 0.0001],
  ['1-5 Acme', 14.5, 5.08, 1, 22.86, null, 0.0009 * 25.4, 0.00005 * 25.4],
  ['Tr 40x7', 15, 7, 1, 36.5, null, 0.024, 0.0005],
  ['1-5 Acme, two starts', 14.5, 5.08, 2, 22.86, null, 0.0037 * 25.4, 0.00006 * 25.4],
] as const)('%s', (_, half, pitch, starts, d2, wire, more, slack) => {
  const g = usualGroove(equalFlanks(2 * half), pitch, starts);
  const w = wire ?? bestWireMm(g);
  const exact = overWiresExactMm(g, d2, w) ?? 0;
  expect(Math.abs(exact - overWiresMm(g, d2, w, 'flat') - more)).toBeLessThanOrEqual(slack);
});

test('with hardly any lead the flat formula is the answer', () => {
  const g = usualGroove(equalFlanks(60), 0.5, 1);
  expect(overWiresExactMm(g, 200, 0.29)).toBeCloseTo(overWiresMm(g, 200, 0.29, 'flat'), 5);
});

test('the textbook term agrees to a micrometre with the best wire at small lead angles', () => {
  for (const [half, pitch, d2] of [
    [30, 1.5, 9.026],
    [30, 2, 18.7],
    [27.5, 3.6286, 29.43],
    [15, 4, 18],
  ] as const) {
    const g = usualGroove(equalFlanks(2 * half), pitch, 1);
    const w = bestWireMm(g);
    expect(Math.abs((overWiresExactMm(g, d2, w) ?? 0) - overWiresMm(g, d2, w, 'textbook'))).toBeLessThan(0.001);
  }
});

/** Least distance of a wire's axis from points of one flank, on a grid drawn together about the nearest: nothing of the solver is in it. */
function nearest(g: Groove, d2: number, { outMm, alongMm, tilt }: Wire, side: 1 | -1): number {
  const tan = Math.tan(radians(side === 1 ? g.leadingDeg : g.trailingDeg));
  const perRad = (g.pitchMm * g.starts) / (2 * Math.PI);
  let [cr, ct, hr, ht] = [d2 / 2, 0, d2 / 4, 0.7];
  let best = Infinity;
  for (let round = 0; round < 16; round += 1) {
    let [br, bt] = [cr, ct];
    for (let i = -5; i <= 5; i += 1)
      for (let j = -5; j <= 5; j += 1) {
        const [r, t] = [cr + (i / 5) * hr, ct + (j / 5) * ht];
        const z = side * (g.pitchMm / 4 + (r - d2 / 2) * tan) + perRad * t - alongMm;
        const [x, y] = [r * Math.cos(t) - outMm, r * Math.sin(t)];
        const on = y * Math.cos(tilt) + z * Math.sin(tilt);
        const d = Math.sqrt(Math.max(0, x * x + y * y + z * z - on * on));
        if (d < best) [best, br, bt] = [d, r, t];
      }
    [cr, ct, hr, ht] = [br, bt, hr * 0.5, ht * 0.5];
  }
  return best;
}

test.each([
  ['Tr 8x8 (P2), 20 degrees of lead', 15, 15, 2, 4, 7],
  ['Acme of six starts', 14.5, 14.5, 4, 6, 22],
  ['7/45 buttress, 8 tpi', 45, 7, 3.175, 1, 22],
  ['30/3 sawtooth, two starts', 30, 3, 6, 2, 36],
] as const)('it touches both flanks, and nowhere near does it lie deeper: %s', (_, a1, a2, pitch, starts, d2) => {
  const g = usualGroove({ leadingDeg: a1, trailingDeg: a2 }, pitch, starts);
  const w = bestWireMm(g);
  const at = overWiresExact(g, d2, w);
  if (!at.ok) throw new Error(at.problem.code);
  const { lies } = at.value;
  expect(nearest(g, d2, lies, 1)).toBeCloseTo(w / 2, 5);
  expect(nearest(g, d2, lies, -1)).toBeCloseTo(w / 2, 5);
  const deeper = lies.outMm - 5e-4 * pitch;
  for (const turned of [0.8, 0.95, 1, 1.05, 1.2])
    for (let i = -10; i <= 10; i += 1) {
      const wire = { outMm: deeper, alongMm: lies.alongMm + (i / 10) * 0.02 * pitch, tilt: lies.tilt * turned };
      expect(Math.min(nearest(g, d2, wire, 1), nearest(g, d2, wire, -1))).toBeLessThan(w / 2);
    }
});

test('Tr 8x8 (P2): the lead angle adds 0.218 mm to the flat figure', () => {
  // seen where a solution that took one step alone stayed at the flat one (no published figure)
  const g = usualGroove(equalFlanks(30), 2, 4);
  const w = bestWireMm(g);
  expect((overWiresExactMm(g, 7, w) ?? NaN) - overWiresMm(g, 7, w, 'flat')).toBeCloseTo(0.218, 3);
});

test('the stated bound, and M back into d2, hold over what shops meet', () => {
  const half = fc.constantFrom([30, 30], [27.5, 27.5], [15, 15], [14.5, 14.5], [45, 7], [30, 3], [33, 12]);
  fc.assert(
    fc.property(
      half,
      fc.double({ min: 0.5, max: 12, noNaN: true }),
      fc.integer({ min: 1, max: 4 }),
      fc.double({ min: 3.2, max: 20, noNaN: true }),
      ([a1 = 0, a2 = 0], pitch, starts, pitches) => {
        const g = usualGroove({ leadingDeg: a1, trailingDeg: a2 }, pitch, starts);
        const d2 = pitch * pitches;
        const w = bestWireMm(g);
        const at = overWiresExact(g, d2, w);
        if (!at.ok) return at.problem.code === 'wire-finds-no-rest';
        const back = pitchDiameterExact(g, at.value.overMm, w);
        return (
          at.value.boundMm < 1e-7 &&
          at.value.overMm >= overWiresMm(g, d2, w, 'flat') - 1e-9 &&
          back.ok &&
          Math.abs(back.value - d2) < 2e-6
        );
      },
    ),
    { numRuns: 6 },
  );
});

test('back again at the fastest helix that shops meet: 3/30 degrees, four starts, 21.7 degrees of lead', () => {
  const pitch = 5.306832480780377;
  const g = usualGroove({ leadingDeg: 30, trailingDeg: 3 }, pitch, 4);
  for (const [pitches, within] of [
    [3.2000000000000077, 2e-6],
    [3.3, 1e-7],
    [4, 1e-7],
  ] as const) {
    const at = overWiresExact(g, pitch * pitches, bestWireMm(g));
    const back = at.ok ? pitchDiameterExact(g, at.value.overMm, bestWireMm(g)) : at;
    expect(back.ok && Math.abs(back.value - pitch * pitches)).toBeLessThan(within);
  }
});

test('which flank leads makes no difference; square ones hold no wire', () => {
  const [one, other] = [
    usualGroove({ leadingDeg: 45, trailingDeg: 7 }, 4, 2),
    usualGroove({ leadingDeg: 7, trailingDeg: 45 }, 4, 2),
  ];
  expect(overWiresExactMm(one, 30, 2)).toBeCloseTo(overWiresExactMm(other, 30, 2) ?? NaN, 7);
  expect(overWiresExactMm({ ...one, leadingDeg: 0, trailingDeg: 0 }, 30, 2)).toBeNull();
});

test('wires for 7/45, 8 tpi, stand proud of the crest of ASME B1.9 and touch below it', () => {
  const range = usableWireMm(usualGroove({ leadingDeg: 7, trailingDeg: 45 }, 3.175, 1));
  expect(range.min).toBeCloseTo(1.499, 3);
  expect(range.max).toBeCloseTo(2.326, 3);
  expect(usableWireMm(usualGroove({ leadingDeg: 45, trailingDeg: 7 }, 3.175, 1))).toEqual(range);
});
