import { describe, expect, test } from '@jest/globals';
import { SIZE_ASKED } from '../../app/testing/sizeAsked.ts';
import { shop } from '../../cli/sizing/shop.ts';
import type { SizeAsked } from './asked.ts';
import { effectsOf, sizeOf } from './decide.ts';
import { feelMm, Sizing, type MateResult, type SizeEvent, type SizeModel } from './model.ts';
import { dice } from './random.ts';

const MODEL: SizeModel = SIZE_ASKED.model;
const ask = (over: Partial<SizeAsked>): ReturnType<typeof sizeOf> =>
  sizeOf({
    ...SIZE_ASKED,
    ...over,
  });

/** Enough to see it break; 200 of each are gone through by `npm run bench -- sizing`. */
const JOBS = 5;
describe('jobs on a simulated lathe', () => {
  test.each(['wires', 'gauge'] as const)(
    'by %s all end inside, none is scrapped, and what is said is honest',
    (kind) => {
      const r = shop(kind, JOBS);
      expect(r.inside).toBe(JOBS);
      expect(r.past).toBe(0);
      // nineteen of twenty within two standard deviations; so few jobs scatter about that
      if (kind === 'wires') expect(r.within2 / r.answers).toBeGreaterThan(0.85);
    },
  );
  test('by a nut alone, its window 3 to 4.5 units of feel: most inside, none past', () => {
    const r = shop('nut', JOBS);
    expect(r.inside).toBeGreaterThanOrEqual(JOBS - 2);
    expect(r.past).toBe(0);
    expect(r.steps / JOBS).toBeLessThan(36);
  });
});

describe('the belief', () => {
  test('nothing cut: the part is its blank, and the first step is a cut', () => {
    const a = ask({});
    expect(a.next.do).toBe('cut');
    expect(a.why).toBe('far-off');
    expect(a.inside).toBe(0);
  });
  test('a wire reading says the size to its own uncertainty and that of the wires', () => {
    const a = ask({
      history: [
        { kind: 'cut', depthMm: 0.85 },
        { kind: 'cut', depthMm: 0.95 },
        { kind: 'spring' },
        { kind: 'measured', pitchDiameterMm: 9.06, uncertaintyMm: 0.006 },
      ],
    });
    expect(a.pitchDiameterMm.value).toBeCloseTo(9.06, 2);
    expect(a.pitchDiameterMm.uncertainty).toBeLessThan(0.008);
    expect(a.leftOnDiameterMm.least).toBeCloseTo(9.06 - 8.994, 2);
    expect(a.leftOnDiameterMm.most).toBeCloseTo(9.06 - 8.862, 2);
  });
  test('it stops inside, and says scrap past', () => {
    const at = (d2: number) =>
      ask({
        history: [
          { kind: 'cut', depthMm: 0.9 },
          { kind: 'cut', depthMm: 1.02 },
          { kind: 'spring' },
          { kind: 'measured', pitchDiameterMm: d2, uncertaintyMm: 0.003 },
          { kind: 'measured', pitchDiameterMm: d2, uncertaintyMm: 0.003 },
        ],
      }).next.do;
    expect(at(8.92)).toBe('stop');
    expect(at(8.83)).toBe('scrap');
  });
  test('a reading that nothing explains is looked at again; two of them are the metal, and it does not stop on the dial', () => {
    const sprung: SizeEvent[] = [
      { kind: 'cut', depthMm: 0.9 },
      { kind: 'cut', depthMm: 1.02 },
      { kind: 'spring' },
      { kind: 'spring' },
      { kind: 'measured', pitchDiameterMm: 8.93, uncertaintyMm: 0.006 },
    ];
    expect(ask({ history: sprung }).next.do).toBe('stop');
    // it says a quarter of a millimetre more than before: the wire lies on a burr, or the dial slipped
    const off: SizeEvent = { kind: 'measured', pitchDiameterMm: 9.18, uncertaintyMm: 0.006 };
    expect(ask({ history: [...sprung, { kind: 'spring' }, off] })).toMatchObject({ next: { do: 'measure' } });
    const twice = ask({ history: [...sprung, { kind: 'spring' }, off, off] });
    expect(twice.pitchDiameterMm.value).toBeGreaterThan(9.1);
    expect(['stop', 'scrap']).not.toContain(twice.next.do);
  });
  test('a nut that stays tight after it should run lets go of what was taken for granted', () => {
    const mate = (result: MateResult): SizeEvent => ({
      kind: 'mate',
      name: 'nut',
      result,
      turns: null,
      shakeMm: null,
      uncertaintyMm: 0.01,
      bounds: null,
      lengthMm: null,
    });
    const history: SizeEvent[] = [
      { kind: 'cut', depthMm: 0.8 },
      { kind: 'cut', depthMm: 0.95 },
      { kind: 'spring' },
      mate('tight'),
      { kind: 'cut', depthMm: 1.1 },
      { kind: 'spring' },
      mate('tight'),
    ];
    const effects = effectsOf({
      model: MODEL,
      target: { minClearanceMm: 0.02, maxClearanceMm: 0.06 },
      means: [{ kind: 'mate', name: 'nut', bounds: null, lengthMm: null, shakeUncertaintyMm: null }],
      history,
      stepMm: 0.01,
      mostMm: 0.15,
    });
    expect(effects.map((e) => e.surprised)).toEqual([false, false, false, false, false, false, true]);
    expect(effects.at(-1)?.past).toBeLessThan(0.5);
  });
  test('a mate that binds after k turns says how far the lead is off: s = e k P', () => {
    const s = new Sizing(MODEL, [
      { kind: 'cut', depthMm: 0.9 },
      { kind: 'cut', depthMm: 1.02 },
      { kind: 'measured', pitchDiameterMm: 8.92, uncertaintyMm: 0.004 },
      {
        kind: 'mate',
        name: 'nut',
        result: 'binds',
        turns: 6,
        shakeMm: null,
        uncertaintyMm: 0.01,
        bounds: { minMm: 8.99, maxMm: 9.01 },
        lengthMm: 16,
      },
    ]);
    const lead = s.spread((i) => Math.abs(s.cloud.lead[i] ?? 0));
    // clearance 0.08 is play 0.0462 on 60 degrees; over six turns of 1.5
    expect(lead.mean).toBeGreaterThan(0.5 * (0.0462 / 9));
    expect(lead.mean).toBeLessThan(1.2 * (0.0462 / 9));
  });
  test('play along the axis by an indicator is worth a number: c = 2 s / q', () => {
    const mate = { kind: 'mate', name: 'nut', bounds: { minMm: 9.02, maxMm: 9.2 }, lengthMm: 10 } as const;
    const a = ask({
      target: { minClearanceMm: 0.02, maxClearanceMm: 0.065 },
      means: [{ ...mate, shakeUncertaintyMm: 0.004 }],
      history: [
        { kind: 'cut', depthMm: 0.85 },
        { ...mate, result: 'runs', turns: null, shakeMm: 0.02, uncertaintyMm: 0.004 },
      ],
    });
    expect(a.clearanceMm?.value).toBeCloseTo((2 * 0.02) / (2 * Math.tan(Math.PI / 6)), 2);
  });
  test('a side cut by s takes 2 s / q off the pitch diameter', () => {
    const s = new Sizing(MODEL, [{ kind: 'cut', depthMm: 0.8 }]);
    const before = s.spread().mean;
    s.take({ kind: 'side', shiftMm: 0.05 });
    expect(before - s.spread().mean).toBeCloseTo((2 * 0.05) / (2 * Math.tan(Math.PI / 6)), 9);
  });
  test('mates of several lengths tell a lead error: the longer one feels tighter', () => {
    const nut = (name: string, lengthMm: number, result: MateResult): SizeEvent => ({
      kind: 'mate',
      name,
      bounds: { minMm: 9.05, maxMm: 9.06 },
      lengthMm,
      result,
      turns: null,
      shakeMm: null,
      uncertaintyMm: 0.01,
    });
    const history: SizeEvent[] = [
      { kind: 'cut', depthMm: 0.95 },
      { kind: 'spring' },
      nut('short', 5, 'shakes'),
      nut('long', 60, 'tight'),
    ];
    const told = ask({ target: { minMm: 8.8, maxMm: 8.9 }, history });
    expect(told.leadErrorPerMm).not.toBeNull();
    expect(ask({ history: history.slice(0, 1) }).leadErrorPerMm).toBeNull();
    const s = new Sizing(MODEL, history);
    const lead = s.spread((i) => Math.abs(s.cloud.lead[i] ?? 0)).mean;
    const even = new Sizing(MODEL, [...history.slice(0, 2), nut('short', 5, 'shakes'), nut('long', 60, 'shakes')]);
    expect(lead).toBeGreaterThan(even.spread((i) => Math.abs(even.cloud.lead[i] ?? 0)).mean);
  });
  test('the same history gives the same answer', () => {
    const history: SizeEvent[] = [{ kind: 'cut', depthMm: 0.7 }];
    expect(ask({ history })).toEqual(ask({ history }));
    expect(feelMm(2)).toBeCloseTo(0.01414, 5);
  });
});

test('the dice are even', () => {
  const d = dice(1);
  const n = 20_000;
  const all = Array.from({ length: n }, () => d.normal());
  const mean = all.reduce((a, b) => a + b, 0) / n;
  expect(mean).toBeCloseTo(0, 1);
  expect(Math.sqrt(all.reduce((a, b) => a + (b - mean) ** 2, 0) / n)).toBeCloseTo(1, 1);
});
