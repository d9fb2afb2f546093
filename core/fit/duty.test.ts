import { expect, test } from '@jest/globals';
import { clearanceForDutyMm, clearanceOfPlayMm, DUTIES, dutyOf, playOfClearanceMm } from './duty.ts';

const like = (deg: number) => ({ leadingDeg: deg, trailingDeg: deg });

test.each([
  [30, 0.173],
  [27.5, 0.192],
  [14.5, 0.387],
])(
  '0.1 mm of play on flanks of %s degrees is %s on the pitch diameter (trade check values, common practice)',
  (deg, d2) => {
    expect(clearanceOfPlayMm(like(deg), 0.1)).toBeCloseTo(d2, 3);
    expect(playOfClearanceMm(like(deg), clearanceOfPlayMm(like(deg), 0.1))).toBeCloseTo(0.1, 12);
  },
);
test('45/7: 0.178; square flanks have play of their own only', () => {
  expect(clearanceOfPlayMm({ leadingDeg: 45, trailingDeg: 7 }, 0.1)).toBeCloseTo(0.178, 3);
  expect(() => clearanceOfPlayMm(like(0), 0.1)).toThrow(RangeError);
  expect(playOfClearanceMm(like(0), 0.1)).toBe(0);
});
test('a feed nut is closer than a clamp nut, a nose is given on the pitch diameter itself', () => {
  const at = (id: (typeof DUTIES)[number]['id']): number => clearanceForDutyMm(like(14.5), dutyOf(id));
  expect(at('feed')).toBeLessThan(at('clamp'));
  expect(at('nose')).toBeCloseTo(0.04, 12);
  for (const d of DUTIES) expect(d.least).toBeLessThan(d.most);
});
