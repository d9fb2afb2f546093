import { describe, expect, test } from '@jest/globals';
import { exact } from '../../quantity/rational.ts';
import { asGoodAsMeasured } from '../search/merit.ts';
import { judgeScratch, scratchPlan } from './scratch.ts';

describe('a scratch', () => {
  const lead = exact('127/40');
  test('is measured over so many crests that the next pitch is told apart, with the best instrument or a rule', () => {
    const caliper = scratchPlan(lead, [0.02, 0.004, 0.25]);
    expect(caliper.instrumentMm).toBe(0.02);
    expect(Math.abs(caliper.other?.errorPpm ?? 0)).toBeGreaterThan(3000);
    const rule = scratchPlan(lead, []);
    expect(rule.instrumentMm).toBe(0.25);
    expect(rule.over ?? 0).toBeGreaterThan(caliper.over ?? Infinity);
  });
  test('is right within two standard deviations of both its ends', () => {
    const off = (mm: number) => judgeScratch(lead, 8, 25.4 + mm, 0.02);
    expect(off(0)).toMatchObject({ right: true, measuredMm: 3.175 });
    expect(off(0.05).right).toBe(true);
    expect(off(0.06).right).toBe(false);
    // 3.25 mm cut for 8 tpi
    expect(judgeScratch(lead, 8, 26, 0.02).right).toBe(false);
  });
});

test('a train within what a pitch was measured to is as good as exact', () => {
  expect(asGoodAsMeasured({ errorPpm: 800 }, 1000).errorPpm).toBe(0);
  expect(asGoodAsMeasured({ errorPpm: -1200 }, 1000).errorPpm).toBe(-1200);
  expect(asGoodAsMeasured({ errorPpm: 3 }, null).errorPpm).toBe(3);
});
