import { describe, expect, test } from '@jest/globals';
import { gelvin } from '../cli/shop/door.ts';
import { FAULTS } from '../cli/shop/faults.ts';
import { Slide, travelOf } from './lathe.ts';
import { Metal } from './metal.ts';
import { firstScrapped, manyJobs } from './run.ts';

const JOBS = 40;

test('forty random jobs: none is scrapped by what it was told, and nearly all end at size', () => {
  const all = manyJobs(gelvin, JOBS);
  expect(all.scrapped).toEqual([]);
  expect(all.inside).toBeGreaterThanOrEqual(0.95);
});

describe('each mistake of old, put back, scraps a job', () => {
  test.each(FAULTS.map((f) => [f.name, f] as const))('%s', (_, fault) =>
    expect(firstScrapped(gelvin, fault, 1, 400)).not.toBeNull(),
  );
});

describe('the lathe itself', () => {
  test('a slide follows at once one way, and after its slack the other', () => {
    const s = new Slide(0.2);
    s.to(1);
    expect(s.mm).toBe(1);
    s.to(0.9);
    expect(s.mm).toBe(1);
    s.to(0.5);
    expect(s.mm).toBeCloseTo(0.7, 12);
    s.comeTo(0.5);
    expect(s.mm).toBeCloseTo(0.5, 12);
  });
  test('a dial that reads diameter moves half, one in inches 25.4 times; wound back the collar runs down', () => {
    const dial = { unit: 'mm', division: 0.05, perTurn: 100, reads: 'diameter' } as const;
    expect(travelOf(dial, { turns: 1, value: 0.3, wound: 'in' })).toBeCloseTo(2.65, 12);
    expect(travelOf(dial, { turns: 1, value: 1.7, wound: 'back' })).toBeCloseTo(2.5 + 2.5 - 0.85, 12);
    expect(
      travelOf({ unit: 'in', division: 0.001, perTurn: 100, reads: 'radius' }, { turns: 0, value: 0.05, wound: 'in' }),
    ).toBeCloseTo(1.27, 12);
  });
  test('a groove cut to the form measures as the form: 60 degrees, P 2, flat P/8 (NBS Handbook H28: depth 0.6495P)', () => {
    const metal = new Metal(2);
    const chip = metal.cut({ headDeg: 30, tailDeg: 30, flatMm: 0.25 }, 1.299, 0.3);
    expect(chip.radialMm).toBeCloseTo(1.299, 3);
    expect(metal.pitchLineMm(2, 1)).toBeCloseTo(0.6495, 2);
    expect(metal.middleNear(0, 0.6)).toBeCloseTo(0.3, 2);
    expect(metal.cut({ headDeg: 30, tailDeg: 30, flatMm: 0.25 }, 1.299, 2.3).areaMm2).toBeLessThan(1e-9);
  });
});
