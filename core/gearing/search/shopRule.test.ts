import { equalFlanks } from '../../form/flanks.ts';
import { expect, test } from '@jest/globals';
import { meritOf, USUAL_WEIGHTS } from './merit.ts';
import { orderByShopRule } from './shopRule.ts';

// A/B x C/D: C + D > B + 15 and A + B > C + 15. Common practice, no source.
test('one pair always goes; two in an order in which each clears the other\u2019s shaft', () => {
  expect(orderByShopRule({ drivers: [20], driven: [100] })).toEqual({ drivers: [20], driven: [100] });
  // 30/60 x 40/50: 90 > 75 and 90 > 55
  expect(orderByShopRule({ drivers: [30, 40], driven: [60, 50] })).toEqual({ drivers: [30, 40], driven: [60, 50] });
  // 20/65 x 20/25 was ranked first as it stands: 45 is not over 80; turned round it goes, 85 over 40 and 45 over 35
  expect(orderByShopRule({ drivers: [20, 20], driven: [65, 25] })).toEqual({ drivers: [20, 20], driven: [25, 65] });
  expect(orderByShopRule({ drivers: [20, 20], driven: [12, 12] })).toBeNull();
});

test('on an arm that nobody measured a train that cannot go on is not ranked before one that can', () => {
  const context = { engagementMm: 20, flanks: equalFlanks(60), clearanceMm: 0.05, mounted: null };
  const train = (drivers: number[], driven: number[]) => ({ drivers, driven, gearbox: '1', leadMm: '2', errorPpm: 0 });
  const merit = (t: ReturnType<typeof train>): number => meritOf(t, null, context, USUAL_WEIGHTS).mounting;
  expect(merit(train([20, 20], [12, 12]))).toBeGreaterThan(10);
  expect(merit(train([30, 40], [60, 50]))).toBe(0);
});
