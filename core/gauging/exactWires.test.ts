import { expect, test } from '@jest/globals';
import { overWiresExactMm } from './exactWires.ts';
import { bestWireMm, overWiresMm, usualGroove } from './wires.ts';

// Differences between the exact solution and the flat formula quoted in the trade (common practice, no source).
test.each([
  ['M10', 30, 1.5, 1, 9.026, 0.866, 0.0017, 0.0001],
  ['1-5 Acme', 14.5, 5.08, 1, 22.86, null, 0.0009 * 25.4, 0.00005 * 25.4],
  ['Tr 40x7', 15, 7, 1, 36.5, null, 0.024, 0.0005],
  ['1-5 Acme, two starts', 14.5, 5.08, 2, 22.86, null, 0.0037 * 25.4, 0.00006 * 25.4],
] as const)('%s', (_, half, pitch, starts, d2, wire, more, slack) => {
  const g = usualGroove(half, half, pitch, starts);
  const w = wire ?? bestWireMm(g);
  const exact = overWiresExactMm(g, d2, w) ?? 0;
  expect(Math.abs(exact - overWiresMm(g, d2, w, 'flat') - more)).toBeLessThanOrEqual(slack);
});

test('with hardly any lead the flat formula is the answer', () => {
  const g = usualGroove(30, 30, 0.5, 1);
  expect(overWiresExactMm(g, 200, 0.29)).toBeCloseTo(overWiresMm(g, 200, 0.29, 'flat'), 5);
});

test('the textbook term agrees to a micrometre with the best wire at small lead angles', () => {
  for (const [half, pitch, d2] of [
    [30, 1.5, 9.026],
    [30, 2, 18.7],
    [27.5, 3.6286, 29.43],
    [15, 4, 18],
  ] as const) {
    const g = usualGroove(half, half, pitch, 1);
    const w = bestWireMm(g);
    expect(Math.abs((overWiresExactMm(g, d2, w) ?? 0) - overWiresMm(g, d2, w, 'textbook'))).toBeLessThan(0.001);
  }
});

test('unlike flanks are not claimed', () => {
  expect(overWiresExactMm(usualGroove(45, 7, 4, 1), 30, 2)).toBeNull();
});
