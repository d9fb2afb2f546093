import { equalFlanks } from '../form/flanks.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cosDeg, tanDeg } from '../quantity/units.ts';
import { calmPasses } from './depths.ts';
import { passSchedule, type PassRequest } from './passes.ts';
import { sectionMm2 } from './tip.ts';
import { routine } from '../../words/routine.ts';
import { carriageSpeedMmS, speedFrom, threadingRpm } from './speed.ts';

const request = (over: Partial<PassRequest> = {}): PassRequest => ({
  depthMm: 1.227,
  passes: 12,
  rule: 'constant-area',
  slideAngleDeg: 29.5,
  firstMaxMm: null,
  lastMinMm: null,
  ...over,
});
const made = (over: Partial<PassRequest> = {}) => {
  const r = passSchedule(request(over));
  if (!r.ok) throw new Error(r.problem.code);
  return r.value;
};

describe('pass schedules', () => {
  test('a sharp V follows h sqrt(i/n)', () => {
    made().forEach((p, i) => expect(p.depthMm).toBeCloseTo(1.227 * Math.sqrt((i + 1) / 12), 9));
  });

  test('slide travel is depth / cos, shift depth x tan; a plunge feeds the depth itself', () => {
    const last = made().at(-1);
    expect(last?.slideMm).toBeCloseTo(1.227 / cosDeg(29.5), 9);
    expect(last?.axialMm).toBeCloseTo(1.227 * tanDeg(29.5), 9);
    expect(made({ slideAngleDeg: null }).at(-1)).toEqual({ depthMm: 1.227, slideMm: 1.227, axialMm: 0 });
  });

  test('equal chip sections whatever the tip flat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 8, noNaN: true }),
        fc.integer({ min: 2, max: 40 }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (depthMm, passes, tipFlatMm) => {
          const list = made({ depthMm, passes, tipFlatMm, flanks: equalFlanks(29) });
          const tool = { leadingDeg: 14.5, trailingDeg: 14.5, tip: { flatMm: tipFlatMm } };
          const reached = [0, ...list.map((p) => sectionMm2(tool, p.depthMm))];
          const sections = reached.slice(1).map((a, i) => a - (reached[i] ?? 0));
          for (const s of sections) expect(s / (sections[0] ?? 1)).toBeCloseTo(1, 6);
        },
      ),
    );
  });

  test('cap and floor are kept, depths rise, and the last one is the depth', () => {
    const any = fc.record({
      depthMm: fc.double({ min: 0.3, max: 6, noNaN: true }),
      passes: fc.integer({ min: 1, max: 40 }),
      cap: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
      floor: fc.double({ min: 0, max: 0.03, noNaN: true }),
      rule: fc.constantFrom('constant-area' as const, 'constant-depth' as const),
    });
    fc.assert(
      fc.property(any, ({ depthMm, passes, cap, floor, rule }) => {
        const list = made({ depthMm, passes, rule, firstMaxMm: cap, lastMinMm: floor });
        expect(list.at(-1)?.depthMm).toBe(depthMm);
        list.forEach((p, i) => {
          const step = p.depthMm - (list[i - 1]?.depthMm ?? 0);
          expect(step).toBeGreaterThanOrEqual(floor - 1e-6);
          expect(step).toBeLessThanOrEqual(cap + 1e-6);
        });
      }),
    );
  });

  test('a square thread takes equal steps', () => {
    const steps = made({ depthMm: 2, passes: 4, tipFlatMm: 2, flanks: equalFlanks(0) }).map((p) => p.depthMm);
    expect(steps).toEqual([0.5, 1, 1.5, 2]);
  });

  test.each([
    [{ depthMm: 0 }, 'depthMm'],
    [{ depthMm: NaN }, 'depthMm'],
    [{ passes: 0 }, 'passes'],
    [{ passes: 2.5 }, 'passes'],
    [{ slideAngleDeg: 70 }, 'slideAngleDeg'],
    [{ firstMaxMm: -1 }, 'firstMaxMm'],
    [{ firstMaxMm: 0.1, lastMinMm: 0.2 }, 'lastMinMm'],
  ])('refuses %j at the field', (over, field) => {
    const r = passSchedule(request(over));
    expect(!r.ok && r.problem.field).toBe(field);
  });

  test('a 4 tpi Acme in about twenty passes, a 2 mm metric in ten to fourteen (common practice, no source)', () => {
    const acme = { leadingDeg: 14.5, trailingDeg: 14.5, tip: { flatMm: 2.22 } };
    const metric = { leadingDeg: 30, trailingDeg: 30, tip: { flatMm: 0 } };
    expect(calmPasses(0, 3.43, acme)).toBeGreaterThanOrEqual(16);
    expect(calmPasses(0, 3.43, acme)).toBeLessThanOrEqual(30);
    expect(calmPasses(0, 1.227, metric)).toBeGreaterThanOrEqual(8);
    expect(calmPasses(0, 1.227, metric)).toBeLessThanOrEqual(14);
  });
});

test('a 10 mm groove at 300 rev/min and 2 mm pitch leaves 1 s', () => {
  expect(10 / carriageSpeedMmS(300, 2)).toBeCloseTo(1, 9);
});

test('the speed taken is the next one below', () => {
  expect(speedFrom([26, 40, 64, 102], 63)).toBe(40);
  expect(speedFrom([26, 40], 10)).toBe(26);
  expect(speedFrom([], 10)).toBeNull();
  // 30 m/min turning on 30 mm is 318 rev/min; threading at a third
  expect(threadingRpm('mild steel', 30)).toBeCloseTo(106, 0);
});

describe('motions in words', () => {
  const base = {
    make: 'external',
    leftHand: false,
    feeds: 'top',
    outTurns: 1,
    outText: '2 mm',
    returnBy: 'reverse',
    safeMarks: 2,
    marks: 8,
    electronic: false,
    has: [],
    end: 'groove',
    perTurn: null,
  } as const;
  test('internal: tool out is towards the axis', () => {
    expect(routine({ ...base, make: 'internal' }).join(' ')).toContain('towards the axis');
    expect(routine(base).join(' ')).toContain('away from the work');
  });
  test('left hand cuts towards the tailstock', () => {
    expect(routine({ ...base, leftHand: true }).join(' ')).toContain('towards the tailstock');
  });
});
