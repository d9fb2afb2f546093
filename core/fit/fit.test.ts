import { describe, expect, test } from '@jest/globals';
import { parseDesignation } from '../standards/designation.ts';
import { checkReady, fitPlan, usualCrestReliefMm } from './fit.ts';

const thread = (t: string) => {
  const r = parseDesignation(t);
  if (!r.ok) throw new Error(r.problem.code);
  return r.value.thread;
};
const choice = { pitchClearanceMm: 0, crestReliefMm: 0, tip: null } as const;

test('a nut is bored to its own minor diameter: M42.5x2 to 40.335, never to the screw\u2019s root of 40.05', () => {
  const t = thread('M42.5x2');
  const plan = fitPlan(t, { ...choice, make: 'internal' });
  expect(plan.startDiameterMm).toBeCloseTo(40.335, 3); // ISO 724: D1 = D - 1.082532 P
  const wrong = checkReady(plan, t, 40.05);
  expect(wrong.ok).toBe(false);
  expect(wrong).toMatchObject({ code: 'bore-is-root', mm: expect.closeTo(0.285, 3) as unknown });
  expect(checkReady(plan, t, 40.5).ok).toBe(true);
});

test('a screw of full form: blank d, depth 0.613435 P, root d3', () => {
  const plan = fitPlan(thread('M10'), { ...choice, make: 'external' });
  expect(plan.depthMm).toBeCloseTo(0.613435 * 1.5, 4);
  expect(plan.rootDiameterMm).toBeCloseTo(8.16, 3); // ISO 724 d3
});

test('clearance moves the pitch diameter the right way and relief the blank', () => {
  const t = thread('M10');
  const screw = fitPlan(t, { ...choice, make: 'external', pitchClearanceMm: 0.05, crestReliefMm: 0.1 });
  const nut = fitPlan(t, { ...choice, make: 'internal', pitchClearanceMm: 0.05, crestReliefMm: 0.1 });
  expect(nut.pitchDiameterMm - screw.pitchDiameterMm).toBeCloseTo(0.1, 9);
  expect(screw.startDiameterMm).toBeCloseTo(9.9, 9);
  expect(nut.startDiameterMm).toBeCloseTo(8.376 + 0.1, 3);
});

test('a tip too wide can never finish, and says so', () => {
  const plan = fitPlan(thread('1-5 Acme'), { ...choice, make: 'external', tip: { flatMm: 2.2 } });
  expect(plan.tip.clearsRoot).toBe(false);
  expect(plan.widestTipMm).toBeCloseTo(0.3707 * 5.08 - 0.2586 * 0.508, 3); // ASME B1.5
});

test('blank over the nominal is flagged', () => {
  const t = thread('1/2-12 BSW');
  expect(checkReady(fitPlan(t, { ...choice, make: 'external' }), t, 12.8).ok).toBe(false);
  expect(usualCrestReliefMm(0.2)).toBe(0.05);
});

describe('what the surviving screw and the tool decide', () => {
  test('a nut is never bored below the root of the screw that it has to pass', () => {
    // 42.5 x 2: the screw's own root at 40.6 lies above the table's bore
    const nut = (mateRootMm: number | null) => fitPlan(thread('M42.5x2'), { ...choice, make: 'internal', mateRootMm });
    expect(nut(null).startDiameterMm).toBeCloseTo(40.335, 2);
    expect(nut(40.6)).toMatchObject({ startDiameterMm: expect.closeTo(40.9, 9), bounds: [{ code: 'screw-root' }] });
    expect(nut(40.6).engagedShare).toBeLessThan(nut(null).engagedShare);
    // a smaller root decides nothing
    expect(nut(39.8)).toMatchObject({ bounds: [], startDiameterMm: expect.closeTo(40.335, 2) });
  });
  test('a square-crested Whitworth nut aims no lower than d - 1.1328 P (BS 84 figures)', () => {
    const nut = fitPlan(thread('2 1/4-6 BSF'), { ...choice, make: 'internal', class: 'medium' });
    expect(nut.startDiameterMm).toBeCloseTo(57.15 - (1.1328 * 25.4) / 6, 6);
    expect(nut.startDiameterMm).toBeLessThan(nut.limits?.start.max ?? 0);
    expect(nut.bounds).toMatchObject([{ code: 'square-crest' }]);
  });
  test('Acme tip by B1.5: 0.3707P - 0.2586 (clearance - allowance); 3/4-10 2G is 0.0337 in', () => {
    const plan = fitPlan(thread('3/4-10 Acme'), { ...choice, make: 'external', class: '2G' });
    expect(plan.widestTipMm / 25.4).toBeCloseTo(0.3707 * 0.1 - 0.2586 * (0.02 - 0.008 * Math.sqrt(0.75)), 4);
    expect(plan.widestTipMm / 25.4).toBeCloseTo(0.0337, 4);
  });
  test('an over-flat tip finishes while the root stays inside the mate\u2019s crest: P/4 on a metric screw lands on D1', () => {
    const plan = (flatMm: number) => fitPlan(thread('M30x2'), { ...choice, make: 'external', tip: { flatMm } });
    expect(plan(0.5).tip.clearsRoot).toBe(true);
    expect(plan(0.5).rootDiameterMm).toBeCloseTo(27.835, 2);
    expect(plan(0.56).tip.clearsRoot).toBe(false);
  });
});

test('a taper pipe thread is turned at its small end to what its pitch diameter there asks for, not to the pipe\u2019s outside', () => {
  // ASME B1.20.1, 1/2-14 NPT: E0 0.75843 in, outside of the pipe 0.840 in; height of the truncated form 0.8 P
  const plan = fitPlan(thread('1/2-14 NPT'), { ...choice, make: 'external' });
  expect(plan.pitchDiameterMm).toBeCloseTo(0.75843 * 25.4, 2);
  expect(plan.startDiameterMm).toBeCloseTo((0.75843 + 0.8 / 14) * 25.4, 1);
  expect(plan.depthMm).toBeCloseTo((0.8 / 14) * 25.4, 1);
});
