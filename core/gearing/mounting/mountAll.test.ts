import { expect, test } from '@jest/globals';
import { exact } from '../../quantity/rational.ts';
import type { Arm } from './mount.ts';
import { mountAll, TRIED_FOR_EACH } from './mountAll.ts';
import { findTrains } from '../search/findTrains.ts';

const ARM: Arm = { centresMm: 118, moduleMm: 1.5, slots: [{ fromMm: 34, toMm: 112 }], bossRadiusMm: 9 };
const GEARS = [20, 20, 25, 30, 35, 40, 45, 50, 55, 60, 63, 65];
const trainsFor = (target: string) =>
  findTrains({
    leadscrew: exact('127/40'),
    target: exact(target),
    gears: GEARS,
    fixedRatio: exact(1),
    gearbox: [exact(1)],
    maxPairs: 2,
    most: 12,
    perLead: TRIED_FOR_EACH,
  }).trains;

test('of every lead one answer at least; where a train goes on, no other of that lead is shown as refused', () => {
  const trains = trainsFor('2');
  const mounted = mountAll(trains, { gears: GEARS, arm: ARM, turning: null, keep: 2 });
  expect(new Set(mounted.map((t) => t.leadMm))).toEqual(new Set(trains.map((t) => t.leadMm)));
  for (const lead of new Set(mounted.map((t) => t.leadMm))) {
    const of = mounted.filter((t) => t.leadMm === lead);
    const fits = of.filter((t) => t.mount?.fits);
    expect(of.length).toBe(fits.length > 0 ? fits.length : 1);
    expect(fits.length).toBeLessThanOrEqual(2);
  }
  expect(mounted.filter((t) => t.mount?.fits).length).toBeGreaterThan(8);
});

test('a lead whose handiest train does not go on is cut by another that does', () => {
  const of = (drivers: number[], driven: number[]) => ({ drivers, driven, gearbox: '1', leadMm: '2', errorPpm: 0 });
  const small = of([20, 25], [25, 30]); // does not reach by itself
  const room = of([30, 60], [65, 40]);
  const all = { gears: [], arm: ARM, turning: null, keep: 1 }; // no idler is left
  expect(mountAll([small, room], all)).toMatchObject([{ mount: { fits: true, meshes: 2 } }]);
  expect(mountAll([small], all)).toMatchObject([{ drivers: [20, 25], mount: { fits: false } }]);
  expect(mountAll([], all)).toEqual([]);
});

test('progress runs to the end and never back', () => {
  const seen: number[] = [];
  mountAll(trainsFor('2'), { gears: GEARS, arm: ARM, turning: 'odd', keep: 1 }, (d) => seen.push(d));
  expect(seen.at(-1)).toBe(1);
  expect(seen).toEqual(seen.toSorted((a, b) => a - b));
});
