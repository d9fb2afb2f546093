import { equalFlanks } from '../../form/flanks.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exact, numberOf, textOf } from '../../quantity/rational.ts';
import { parseGearCsv, writeGearCsv } from '../../lathe/gearCsv.ts';
import { auditTrain, crestsToMeasure, nearestPitches } from './audit.ts';
import { parseChart } from '../gearbox/chartText.ts';
import { readChart, type ChartRow } from '../gearbox/chart.ts';
import { explainScratch, type Scratch } from './diagnose.ts';
import { gearboxRatios } from '../gearbox/ratios.ts';
import { ratioOf, type Levers } from '../gearbox/levers.ts';
import { meritOf, USUAL_WEIGHTS } from '../search/merit.ts';
import { findTrains } from '../search/findTrains.ts';
import { gearsToChange, leadOfTrain } from '../train.ts';
import { oneGearShort } from '../search/oneGearShort.ts';

const SCREW = exact('127/40');
const ONE = exact(1);
const SET = [20, 20, 25, 30, 35, 40, 45, 50, 55, 60, 63, 65, 127];

describe('audit', () => {
  test('40/35 on 8 tpi is 7 tpi; 7 turns of the screw for ... lowest terms', () => {
    expect(auditTrain(SCREW, ONE, [40], [35], '1')).toEqual({
      leadMm: '127/35',
      tpi: '7',
      turns: { spindle: 7, leadscrew: 8 },
    });
  });
  test('nearest standard pitches', () => {
    expect(nearestPitches(exact('8001/4000'), 1)[0]).toMatchObject({ pitch: '2' });
    expect(crestsToMeasure(exact(2), exact('2.1'), 0.02)).toBe(2);
    expect(crestsToMeasure(exact(2), exact(2), 0.02)).toBeNull();
  });
});

// Known results: arithmetic of exact fractions; the trains are common practice, no source.
describe('known targets on an 8 tpi leadscrew', () => {
  test.each([
    ['4 1/2 tpi', '254/45'],
    ['7 1/2 tpi', '254/75'],
    ['11 1/2 tpi', '254/115'],
    ['0.5 mm', '1/2'],
    ['1.25 mm', '5/4'],
    ['1.75 mm', '7/4'],
    ['2.5 mm', '5/2'],
    ['7 mm', '7'],
  ])('%s is exact with a 127 and a 46', (_, lead) => {
    const best = findTrains({
      leadscrew: SCREW,
      target: exact(lead),
      gears: [...SET, 46, 70],
      fixedRatio: ONE,
      gearbox: [ONE],
      maxPairs: 3,
      most: 1,
    }).trains[0];
    expect(best?.errorPpm).toBe(0);
  });
  test('52 tpi', () => {
    const best = findTrains({
      leadscrew: SCREW,
      target: exact('127/260'),
      gears: SET,
      fixedRatio: ONE,
      gearbox: [ONE],
      maxPairs: 3,
      most: 1,
    }).trains[0];
    expect(best?.errorPpm).toBe(0);
  });
  test('worms need pi: module 1 and 16 DP within 100 ppm from a common set', () => {
    for (const target of ['3.14159265358979', '4.98727833757']) {
      const best = findTrains({
        leadscrew: SCREW,
        target: exact(target),
        gears: SET,
        fixedRatio: ONE,
        gearbox: [ONE],
        maxPairs: 3,
        most: 1,
      }).trains[0];
      expect(Math.abs(best?.errorPpm ?? 1e9)).toBeLessThan(100);
    }
    // 22/7 is over pi by 402 ppm (arithmetic)
    expect((22 / 7 / Math.PI - 1) * 1e6).toBeCloseTo(402.5, 1);
  });
  test('a 127 is the gear most worth having for 1.75 mm', () => {
    const short = oneGearShort(
      {
        leadscrew: SCREW,
        target: exact('7/4'),
        gears: SET.filter((g) => g !== 127),
        fixedRatio: ONE,
        gearbox: [ONE],
        maxPairs: 2,
        most: 1,
      },
      2,
    );
    expect(short[0]).toMatchObject({ teeth: 127, train: { errorPpm: 0 } });
  });
});

describe('a wrong scratch', () => {
  const base: Scratch = {
    leadscrew: SCREW,
    fixedRatio: ONE,
    gears: [24, 30, 36, 48, 50, 52, 60],
    levers: { cone: { 1: '1', 2: '8/9', 3: '4/5' }, range: { A: '2', B: '1' } },
    planned: { drivers: [24], driven: [48], levers: { cone: '2', range: 'B' } },
    measuredMm: 0,
    uncertaintyMm: 0.005,
  };
  const kinds = (measuredMm: number) =>
    explainScratch({ ...base, measuredMm }).map((e) => Object.values(e.mistake).join(' '));
  const planned = 3.175 * (8 / 9) * 0.5;
  test('a lever one place off', () => {
    expect(kinds(planned * 2)[0]).toBe('lever range A B');
    expect(kinds(3.175 * 0.5)).toContain('lever cone 1 2');
  });
  test('a gear mistaken for its neighbour', () => {
    expect(kinds(planned * (48 / 50))[0]).toBe('gear 50 48 driven');
  });
  test('turned end for end', () => {
    expect(kinds(planned * 4).some((k) => k.startsWith('reversed'))).toBe(true);
  });
  test('right is no mistake, nonsense has no single one', () => {
    expect(kinds(planned)).toEqual([]);
    expect(kinds(planned * 1.0713)).toEqual([]);
  });
  test('every single change that lies within the uncertainty is found, and no other', () => {
    fc.assert(
      fc.property(fc.constantFrom(...[30, 36, 50, 52, 60]), fc.boolean(), (teeth, driver) => {
        const lead = leadOfTrain(
          { drivers: [driver ? teeth : 24], driven: [driver ? 48 : teeth], gearbox: '8/9' },
          SCREW,
          ONE,
        );
        const found = explainScratch({ ...base, measuredMm: numberOf(lead) });
        expect(found.some((e) => e.mistake.kind === 'gear' && e.leadMm === textOf(lead))).toBe(true);
        for (const e of found)
          expect(Math.abs(numberOf(exact(e.leadMm)) - numberOf(lead))).toBeLessThanOrEqual(2 * base.uncertaintyMm);
      }),
    );
  });
});

describe('a chart', () => {
  const levers: Levers = { cone: { 1: '1', 2: '8/9', 3: '4/5' }, range: { A: '2', B: '1', C: '1/2' } };
  const row = (cone: string, range: string, drivers = [24], driven = [48]): ChartRow => {
    const setting = { cone, range };
    return {
      levers: setting,
      drivers,
      driven,
      lead: leadOfTrain({ drivers, driven, gearbox: textOf(ratioOf(levers, setting) ?? ONE) }, SCREW, ONE),
    };
  };
  const minimal = [row('1', 'A'), row('2', 'A'), row('3', 'A'), row('1', 'B'), row('1', 'C')];
  const all = ['1', '2', '3'].flatMap((c) => ['A', 'B', 'C'].map((r) => row(c, r, [30], [40])));
  test('a minimal set of rows gives the whole of it', () => {
    const read = readChart(SCREW, ONE, minimal, all);
    expect(read.conflicts).toEqual([]);
    expect(read.answers.map((a) => a && textOf(a))).toEqual(all.map((r) => textOf(r.lead)));
    expect(read.levers['cone']).toEqual(levers['cone']);
  });
  test('what the rows do not determine is left open', () => {
    const read = readChart(SCREW, ONE, minimal.slice(0, 4), [row('2', 'C')]);
    expect(read.answers).toEqual([null]);
  });
  test('a misprint is named with what it should say', () => {
    const rows = [...minimal, row('2', 'B'), { ...row('3', 'C'), lead: exact('0.7') }, row('2', 'C')];
    const read = readChart(SCREW, ONE, rows, []);
    expect(read.conflicts).toHaveLength(1);
    expect(read.conflicts[0]).toMatchObject({
      row: 6,
      printedMm: 0.7,
      expectedMm: expect.closeTo(0.635, 6) as unknown,
    });
  });
  test('rounded pitches of the other system do not spoil the ratios', () => {
    const metric = { ...row('2', 'B', [50], [63]), lead: exact('2.24') }; // really 2.2399
    const read = readChart(SCREW, ONE, [metric, ...minimal], [row('2', 'B')]);
    expect(read.conflicts).toEqual([]);
    expect(read.answers[0] && textOf(read.answers[0])).toBe(textOf(row('2', 'B').lead));
  });
  test('an inch pitch printed as a rounded decimal is that pitch; a metric pitch is taken as it stands', () => {
    const rounded = { ...row('2', 'A'), lead: exact('2.82') }; // 9 tpi: 2.8222 mm
    const read = readChart(SCREW, ONE, [row('1', 'A'), rounded], [row('2', 'A')]);
    expect(read.answers[0] && textOf(read.answers[0])).toBe('127/45');
    expect(read.levers['cone']).toEqual({ 1: '1', 2: '8/9' });
    const metric = { ...row('2', 'A', [50], [63]), lead: exact('2.25') };
    const kept = readChart(SCREW, ONE, [row('1', 'A'), metric], [row('2', 'A', [50], [63])]);
    expect(kept.answers[0] && textOf(kept.answers[0])).toBe('9/4');
  });
  test('rows as typed', () => {
    const rows = parseChart('cone 1, range A, 24/48, 8 tpi\n\ncone 2, range A, 24/48 x 30/60, 1.5 mm');
    expect(rows.ok && rows.value[1]).toMatchObject({
      levers: { cone: '2', range: 'A' },
      drivers: [24, 30],
      driven: [48, 60],
    });
    for (const wrong of [
      '',
      'cone 1, 24/48',
      'cone, 24/48, 8 tpi',
      'cone 1, 8 tpi',
      '24/48, 8 tpi',
      'cone 1, 24-48, 8 tpi',
      'cone 1, 24/0, 8 tpi',
    ])
      expect(parseChart(wrong).ok).toBe(false);
  });
  test('every distinct ratio of the gearbox is offered once', () => {
    expect(gearboxRatios(levers)).toHaveLength(9);
    expect(gearboxRatios({})).toEqual([{ ratio: '1', name: '' }]);
  });
});

describe('choice among trains', () => {
  const context = {
    engagementMm: 20,
    flanks: equalFlanks(60),
    clearanceMm: 0.05,
    mounted: { drivers: [20], driven: [40], gearbox: '1' },
  };
  const train = (drivers: number[], driven: number[], errorPpm: number) => ({
    drivers,
    driven,
    gearbox: '1',
    leadMm: '1',
    errorPpm,
  });
  test('exact before near, what is mounted before what is not, no small driver', () => {
    const total = (t: ReturnType<typeof train>) => meritOf(t, null, context, USUAL_WEIGHTS).total;
    expect(total(train([40], [35], 0))).toBeLessThan(total(train([40], [35], 500)));
    expect(total(train([20], [40], 0))).toBeLessThan(total(train([30], [60], 0)) + 5);
    expect(total(train([40, 50], [60, 65], 0))).toBeLessThan(total(train([14, 50], [60, 65], 0)));
    expect(gearsToChange(train([20], [40], 0), context.mounted)).toBe(0);
    expect(gearsToChange(train([20], [45], 0), context.mounted)).toBe(1);
  });
  test('a roomy mounting before a tight one, and any before none', () => {
    const mounted = (mount: Parameters<typeof meritOf>[1]) =>
      meritOf(train([40], [35], 0), mount, context, USUAL_WEIGHTS).mounting;
    const fitting = (clearanceMm: number) =>
      ({ fits: true, idlers: [], gears: [], armDeg: 0, drivers: [40], driven: [35], meshes: 2, clearanceMm }) as const;
    expect(mounted(fitting(5))).toBe(0);
    expect(mounted(fitting(0.5))).toBeGreaterThan(mounted(fitting(2)));
    expect(mounted({ fits: false, why: { code: 'no-lean' } })).toBeGreaterThan(mounted(fitting(0)));
    expect(mounted(null)).toBe(0);
  });
  test('a weight of nought takes the matter out', () => {
    expect(meritOf(train([40], [35], 900), null, context, { ...USUAL_WEIGHTS, error: 0 }).error).toBe(0);
  });
});

test('gear sets go out and come back as CSV', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 12, max: 130 }), { minLength: 1, maxLength: 40 }), (gears) => {
      const sorted = gears.toSorted((a, b) => a - b);
      const back = parseGearCsv(writeGearCsv(sorted));
      expect(back.ok && back.value).toEqual(sorted);
    }),
  );
  expect(parseGearCsv('teeth;count\n63;1\n20;2').ok).toBe(true);
  const bad = parseGearCsv('teeth,count\n63,one');
  expect(!bad.ok && bad.problem).toMatchObject({ code: 'csv-line', figures: { line: 2 } });
});
