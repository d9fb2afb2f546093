import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exact, numberOf } from '../../quantity/rational.ts';
import { leadOfTrain } from '../train.ts';
import { hopeless, MOST_TURNS, turnsProof, worthShowing } from './turns.ts';

const BESS = {
  leadscrew: exact('127/40'),
  fixedRatio: exact('1'),
  gears: [20, 20, 25, 30, 35, 40, 45, 50, 55, 60, 63, 65],
};

describe('what turning the chuck proves', () => {
  test('63/40 x 20/50: 100 turns to 63, too many to count; a 60 for the 63 brings the key up as well, after 60', () => {
    // worked by hand: 63 20 / (40 50) = 63/100; with the 60 it is 60/100, a whole number of turns after 100 too
    const train = { drivers: [63, 20], driven: [40, 50], gearbox: '1' };
    const to63 = turnsProof({ ...BESS, gears: BESS.gears.filter((g) => g !== 65), train });
    expect(to63).toMatchObject({ spindle: 100, leadscrew: 63, countable: false });
    expect(to63.slip).toEqual({ planned: 63, on: 60, role: 'driver', leadscrew: 60 });
    // with a 65 in the drawer that one is nearer still
    expect(turnsProof({ ...BESS, train }).slip).toEqual({ planned: 63, on: 65, role: 'driver', leadscrew: 65 });
  });
  test('8 tpi on 8 tpi: one turn to one', () => {
    const proof = turnsProof({ ...BESS, train: { drivers: [40], driven: [40], gearbox: '1' } });
    expect(proof).toMatchObject({ spindle: 1, leadscrew: 1, countable: true });
  });
  test('a slip is never the train itself, is from the gears left, and its key is up by then', () => {
    const gear = fc.constantFrom(...new Set(BESS.gears));
    fc.assert(
      fc.property(gear, gear, gear, gear, (a, b, c, d) => {
        const train = { drivers: [a, c], driven: [b, d], gearbox: '1' };
        const { spindle, leadscrew, countable, slip } = turnsProof({ ...BESS, train });
        const lead = numberOf(leadOfTrain(train, BESS.leadscrew, BESS.fixedRatio));
        if (Math.abs((spindle * lead) / 3.175 - leadscrew) > 1e-9) return false;
        if (countable !== spindle <= MOST_TURNS) return false;
        if (!slip) return true;
        const wrong =
          slip.role === 'driver'
            ? { ...train, drivers: train.drivers.with(train.drivers.indexOf(slip.planned), slip.on) }
            : { ...train, driven: train.driven.with(train.driven.indexOf(slip.planned), slip.on) };
        const made = (spindle * numberOf(leadOfTrain(wrong, BESS.leadscrew, BESS.fixedRatio))) / 3.175;
        return slip.on !== slip.planned && Math.abs(made - slip.leadscrew) < 1e-9 && slip.leadscrew !== leadscrew;
      }),
    );
  });
});

describe('trains worth showing', () => {
  test('one at 400,000 ppm does not stand beside an exact one; where nothing is near the nearest stands by itself', () => {
    const of = (...ppm: number[]) => worthShowing(ppm.map((errorPpm) => ({ errorPpm }))).map((t) => t.errorPpm);
    expect(of(0, -157, 400_000)).toEqual([0, -157]);
    expect(of(400_000, -30_000, 50_000)).toEqual([-30_000]);
    expect(of()).toEqual([]);
    expect([hopeless(10_000), hopeless(-10_001)]).toEqual([false, true]);
  });
});
