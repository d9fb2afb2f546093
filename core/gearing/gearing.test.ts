import { equalFlanks } from '../form/flanks.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exact, numberOf, textOf } from '../quantity/rational.ts';
import { dialAdvice } from '../../words/gears.ts';
import { dialRule } from './proof/dial.ts';
import { pitchErrorEffect, turnsCheck } from './proof/pitchError.ts';
import { findTrains, type TrainRequest } from './search/findTrains.ts';
import { leadOfTrain } from './train.ts';

const FIVES = [20, 25, 30, 35, 40, 45, 50, 55, 60, 65];
const request = (over: Partial<TrainRequest>): TrainRequest => ({
  leadscrew: exact('127/40'),
  target: exact('7/4'),
  gears: FIVES,
  fixedRatio: exact(1),
  gearbox: [exact(1)],
  maxPairs: 2,
  most: 10,
  ...over,
});

describe('known trains', () => {
  test('1.75 mm on 8 tpi: exact with a 127, near without', () => {
    const without = findTrains(request({ gears: [...FIVES, 63] })).trains[0];
    expect(Math.abs(without?.errorPpm ?? 0)).toBeGreaterThan(0);
    const withIt = findTrains(request({ gears: [...FIVES, 63, 127] })).trains[0];
    expect(withIt?.errorPpm).toBe(0);
    expect([...(withIt?.drivers ?? []), ...(withIt?.driven ?? [])]).toContain(127);
  });

  test('50/63 x 80/120 on an 8 mm leadscrew for 6 tpi is 4.23280 mm, short by 125 ppm (common practice, no source)', () => {
    const lead = leadOfTrain({ drivers: [50, 80], driven: [63, 120], gearbox: '1' }, exact(8), exact(1));
    expect(numberOf(lead)).toBeCloseTo(4.2328, 5);
    const found = findTrains(
      request({ leadscrew: exact(8), target: exact('127/30'), gears: [50, 63, 80, 120] }),
    ).trains;
    const hit = found.find((t) => t.leadMm === textOf(lead));
    expect(hit?.errorPpm).toBeCloseTo(-125, 0);
  });

  test('7 tpi on 8 tpi is exact with 40/35', () => {
    const best = findTrains(request({ target: exact('127/35') })).trains[0];
    expect(best).toMatchObject({ drivers: [40], driven: [35], errorPpm: 0, leadMm: '127/35' });
  });

  test('one to one needs two equal gears, or a roundabout train', () => {
    const two = findTrains(request({ target: exact('127/40'), gears: [40, 40, 30] })).trains[0];
    expect(two).toMatchObject({ drivers: [40], driven: [40], errorPpm: 0 });
    const one = findTrains(request({ target: exact('127/40'), gears: [40, 30] })).trains;
    expect(one.every((t) => t.errorPpm !== 0)).toBe(true);
  });
});

/** The slow way: every ordered choice, compared as rationals. */
function plainEnumeration(r: TrainRequest): Map<string, number> {
  const leads = new Map<string, number>();
  const walk = (left: readonly number[], drivers: number[], driven: number[]): void => {
    if (drivers.length > 0 && drivers.length === driven.length) {
      for (const g of r.gearbox) {
        const lead = leadOfTrain({ drivers, driven, gearbox: textOf(g) }, r.leadscrew, r.fixedRatio);
        leads.set(textOf(lead), Math.abs(numberOf(lead.sub(r.target).div(r.target))));
      }
    }
    if (drivers.length === r.maxPairs && driven.length === r.maxPairs) return;
    left.forEach((g, i) => {
      const rest = left.filter((_, j) => j !== i);
      if (drivers.length === driven.length) walk(rest, [...drivers, g], driven);
      else walk(rest, drivers, [...driven, g]);
    });
  };
  walk(r.gears, [], []);
  return leads;
}

test('the search finds what plain enumeration finds, best leads first', () => {
  const small = fc.record({
    gears: fc.array(fc.integer({ min: 18, max: 40 }), { minLength: 2, maxLength: 6 }),
    target: fc.integer({ min: 5, max: 80 }).map((n) => exact(`${n}/10`)),
    gearbox: fc.constantFrom([exact(1)], [exact(1), exact('1/2'), exact('8/9')]),
    maxPairs: fc.constantFrom(1 as const, 2 as const, 3 as const),
  });
  fc.assert(
    fc.property(small, (s) => {
      const r = request({ ...s, most: 8 });
      const all = [...plainEnumeration(r).values()].sort((a, b) => a - b);
      const { trains, lookedAtPpm } = findTrains(r);
      // it says how far it has looked: all that is nearer is there, and nothing that is listed lies beyond
      const within = all.filter((e) => lookedAtPpm === null || e * 1e6 <= lookedAtPpm);
      expect(within.length).toBeGreaterThanOrEqual(trains.length);
      expect(lookedAtPpm === null || trains.length === 8).toBe(true);
      expect(trains).toHaveLength(Math.min(8, all.length));
      trains.forEach((t, i) => {
        expect(Math.abs(t.errorPpm) / 1e6).toBeCloseTo(all[i] ?? NaN, 9);
        expect(textOf(leadOfTrain(t, r.leadscrew, r.fixedRatio))).toBe(t.leadMm);
        const used = [...t.drivers, ...t.driven];
        for (const g of new Set(used))
          expect(used.filter((x) => x === g).length).toBeLessThanOrEqual(r.gears.filter((x) => x === g).length);
      });
      expect(new Set(trains.map((t) => t.leadMm)).size).toBe(trains.length);
    }),
    { numRuns: 60, seed: 7 },
  );
}, 60_000);

describe('chasing dial', () => {
  const rule = (leadscrew: string, lead: string, dialTeeth: number, marks: number) =>
    dialRule({ leadscrew: exact(leadscrew), lead: exact(lead), dialTeeth, marks });

  /** Brute force: drive the carriage turn by turn and look at the phase at every mark. */
  function bySimulation(leadscrew: string, lead: string, teeth: number, marks: number): number[] {
    const turns = 60;
    const safe: number[] = [];
    for (let k = 0; k < marks; k += 1) {
      let right = true;
      for (let turn = 0; turn < turns && right; turn += 1) {
        const travel = exact(leadscrew)
          .mul(BigInt(teeth))
          .mul(exact(`${turn * marks + k}/${marks}`));
        right = travel.div(exact(leadscrew)).d === 1n && travel.div(exact(lead)).d === 1n;
      }
      if (right) safe.push(k);
    }
    return safe;
  }

  test('even threads on any mark, odd ones on few, metric on none (common practice, no source)', () => {
    expect(rule('127/40', '127/80', 16, 8).safeMarks).toEqual([0, 1, 2, 3, 4, 5, 6, 7]); // 16 tpi
    expect(rule('127/40', '127/65', 16, 8).safeMarks).toEqual([0, 4]); // 13 tpi
    expect(rule('127/40', '254/115', 16, 8).safeMarks).toEqual([0]); // 11 1/2 tpi
    expect(rule('127/40', '7/4', 16, 8).safeMarks).toEqual([]);
    expect(dialAdvice(rule('127/40', '7/4', 16, 8), 8, 'mm')).toContain('keep the half-nuts shut');
  });

  test('2.7 tpi has no mark that is right on every turn', () => {
    const r = rule('127/40', '254/27', 16, 8);
    expect(r.safeMarks).toEqual([]);
    expect(r.sameMarkAfterTurns).toBe(5);
  });

  test('equals a simulation of the carriage', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('127/40', '127/20', '6', '3', '4'),
        fc.oneof(
          fc.integer({ min: 2, max: 60 }).map((n) => `${n}/4`),
          fc.integer({ min: 4, max: 80 }).map((n) => textOf(exact('127/5').div(exact(`${n}/2`)))),
        ),
        fc.constantFrom(14, 15, 16, 20, 24, 32),
        fc.constantFrom(1, 2, 4, 8, 12),
        (leadscrew, lead, teeth, marks) => {
          expect(rule(leadscrew, lead, teeth, marks).safeMarks).toEqual(bySimulation(leadscrew, lead, teeth, marks));
        },
      ),
      { numRuns: 200 },
    );
  });
});

test('turns check is in lowest terms', () => {
  expect(turnsCheck(exact('7/4'), exact('127/40'))).toEqual({ spindle: 127, leadscrew: 70 });
  expect(turnsCheck(exact('127/80'), exact('127/40'))).toEqual({ spindle: 2, leadscrew: 1 });
});

test('a lead error eats 1.73 e Le on 60 degree flanks (common practice, no source)', () => {
  const e = pitchErrorEffect(1000, 20, equalFlanks(60));
  expect(e.mismatchMm).toBeCloseTo(0.02, 9);
  expect(e.clearanceEatenMm).toBeCloseTo(0.02 * 1.7320508, 6);
  expect(pitchErrorEffect(1000, 20, equalFlanks(0)).clearanceEatenMm).toBe(0);
});
