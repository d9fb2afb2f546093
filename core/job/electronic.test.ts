import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Bench } from '../../app/testing/bench.ts';
import { named } from '../../app/testing/bench.ts';
import { conclusion } from '../../words/conclusions.ts';
import { electronicRows } from '../../words/electronic.ts';
import { shortConclusion } from '../../words/short.ts';
import { deeperAt } from '../motion/deeperAt.ts';
import { typedLead, type TypedHow } from '../motion/typedLead.ts';
import { exact, numberOf } from '../quantity/rational.ts';
import { leadOf } from '../standards/thread.ts';
import { gearState, threadOfJob } from './derive.ts';
import { electronicView } from './electronic.ts';

const on = (
  b: Bench,
  how: TypedHow | null,
  more: { accel?: number | null; carriageMm?: number | null } = {},
): Bench => {
  b.shop = {
    ...b.shop,
    lathes: b.shop.lathes.map((l) =>
      l.id === 'lathe-els'
        ? {
            ...l,
            typed: how,
            stopAccelMmS2: more.accel === undefined ? 100 : more.accel,
            slack: { ...l.slack, carriageMm: more.carriageMm === undefined ? 0.12 : more.carriageMm },
          }
        : l,
    ),
  };
  return b;
};
const job = (designation: string): Bench =>
  named(designation).do({ do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'setUp', lengthMm: 40, rpm: 200 });
const MM3 = { unit: 'mm', decimals: 3 } as const;

describe('a lead that is typed in', () => {
  test.each([
    ['11 an inch in mm', '127/55', MM3, '2.309', '2309/1000'],
    ['11 an inch in inches', '127/55', { unit: 'in', decimals: 4 }, '0.0909', '115443/50000'],
    ['11 an inch as turns an inch', '127/55', { unit: 'tpi', decimals: 1 }, '11.0', '127/55'],
    ['two starts of 11 make 5.5 turns an inch', '254/55', { unit: 'tpi', decimals: 1 }, '5.5', '254/55'],
  ] as const)('%s', (_, lead, how, text, is) => {
    const t = typedLead(exact(lead), how);
    expect(t?.text).toBe(text);
    expect(t?.lead.equals(exact(is))).toBe(true);
  });
  test('is the nearest that can be typed, and its error is that of the number typed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 30_000 }), fc.integer({ min: 2, max: 6 }), (lead, decimals) => {
        const exactly = exact(`${lead}/1270`);
        const t = typedLead(exactly, { unit: 'mm', decimals });
        if (!t) return;
        expect(Math.abs(numberOf(t.lead.sub(exactly)))).toBeLessThanOrEqual(0.5 * 10 ** -decimals + 1e-12);
        expect(Number(t.text)).toBeCloseTo(numberOf(t.lead), 12);
        expect(t.errorPpm).toBeCloseTo((numberOf(t.lead) / numberOf(exactly) - 1) * 1e6, 6);
      }),
    );
  });
  test('one that rounds to nothing is none: no lead is cut, and it is said', () => {
    const how = { unit: 'in', decimals: 0 } as const;
    expect(typedLead(exact('2'), how)).toBeNull();
    const b = on(job('M30x2'), how);
    expect(gearState(b.job, b.shop)).toMatchObject({ lead: null, errorPpm: null });
    expect(b.card.do).toBe('check');
    const v = electronicView(b.job, b.shop);
    const thread = threadOfJob(b.job);
    if (!v || !thread) throw new Error('no view');
    expect(electronicRows(v, leadOf(thread), how, 'mm')[0]?.how).toMatch(/rounds to nothing/);
  });
  test('every station cuts what was typed', () => {
    const b = on(job('5/8-11 BSW'), MM3);
    expect(numberOf(gearState(b.job, b.shop)?.lead ?? exact('1'))).toBe(2.309);
    expect(gearState(b.job, b.shop)?.errorPpm).toBeCloseTo((2.309 / (25.4 / 11) - 1) * 1e6, 6);
  });
});

test('the band of stations and the panel of Gears say the same lead', () => {
  const b = on(job('5/8-11 BSW'), MM3);
  const v = electronicView(b.job, b.shop);
  const thread = threadOfJob(b.job);
  if (!v || !thread) throw new Error('no view');
  const said = electronicRows(v, leadOf(thread), MM3, 'in')[0]?.value ?? 'nothing';
  expect(said).toBe('2.309 mm');
  expect(conclusion('gears', b.job, b.shop, 'in')).toContain(said);
  expect(shortConclusion('gears', b.job, b.shop, 'in')).toBe(said);
});
test('at a control no slide is spoken of', () => {
  const b = named('M30x2').do({ do: 'chooseLathe', lathe: 'lathe-teal' }, { do: 'setUp', infeed: 'flank' });
  expect(conclusion('setup', b.job, b.shop, 'mm')).toMatch(/^Infeed at/);
  b.do({ do: 'setUp', infeed: 'plunge' });
  expect(conclusion('setup', b.job, b.shop, 'mm')).toBe('Straight in');
});

describe('what an electronic leadscrew is told', () => {
  // constant deceleration: 200 rev/min of 2 mm is 6.667 mm/s, which 100 mm/s2 stops in v^2/2a = 0.2222 mm
  test('the stop stands past the end by what it takes to slow, the start so far out that it has its speed', () => {
    const b = on(job('M30x2'), MM3);
    const v = electronicView(b.job, b.shop);
    expect(v?.shortMm).toBeCloseTo(0.2222, 4);
    expect(v?.stopMm).toBeCloseTo(-40.2222, 4);
    expect(v).toMatchObject({ startMm: 6, startLeads: 3, overThreadMm: 0, sync: 'any' });
    expect(v?.overshootMm).toBeCloseTo(0.62, 9);
    // a carriage that is slow to gather speed wants more leads: 6.667^2 / 2 = 22.2 mm
    const slow = on(job('M30x2'), MM3, { accel: 1 });
    expect(electronicView(slow.job, slow.shop)).toMatchObject({ startLeads: 12, startMm: 24 });
  });
  test('a left hand starts on the headstock\u2019s side and stops past the face', () => {
    const b = on(job('M30x2 LH'), MM3);
    const v = electronicView(b.job, b.shop);
    expect(v?.stopMm).toBeCloseTo(0.2222, 4);
    expect(v?.startMm).toBeCloseTo(-46, 9);
  });
  test('where a left hand starts is not said before its length is: counted from the face it would be inside the work', () => {
    const b = on(job('M30x2 LH'), MM3).do({ do: 'setUp', lengthMm: null });
    const v = electronicView(b.job, b.shop);
    const thread = threadOfJob(b.job);
    if (!v || !thread) throw new Error('no view');
    expect(v.startMm).toBeNull();
    expect(electronicRows(v, leadOf(thread), MM3, 'mm').find((r) => r.name === 'Start at')).toMatchObject({
      value: 'not said',
      how: expect.stringMatching(/length of the thread/),
    });
    // a right hand begins at the face, however long it is
    const right = on(job('M30x2'), MM3).do({ do: 'setUp', lengthMm: null });
    expect(electronicView(right.job, right.shop)?.startMm).toBe(6);
  });
  test('what nobody measured is not made up', () => {
    const b = on(job('M30x2'), null, { accel: null, carriageMm: null });
    expect(electronicView(b.job, b.shop)).toMatchObject({
      typed: null,
      shortMm: null,
      runUpMm: null,
      overshootMm: null,
      overThreadMm: null,
      stopMm: -40,
    });
  });
  test('an old thread has its sync point only once it was found', () => {
    const b = on(job('M30x2').do({ do: 'setIntake', wanted: 'recut' }), MM3);
    expect(electronicView(b.job, b.shop)?.sync).toBe('not-found');
    b.do({ do: 'inGroove', way: 'by-eye' }, { do: 'airPass', result: 'in' });
    expect(electronicView(b.job, b.shop)?.sync).toBe('found');
  });
  test('another kind of lathe has none', () => {
    const b = named('M30x2').do({ do: 'chooseLathe', lathe: 'lathe-teal' });
    expect(electronicView(b.job, b.shop)).toBeNull();
  });
});

// a step is halved where it is said on the diameter, and an offset is doubled where X counts diameters
test.each([
  ['diameter', 'diameter', 'external', 0.05, 27.1, -0.1],
  ['diameter', 'radius', 'external', 0.05, 27.1, -0.05],
  ['radius', 'diameter', 'external', 0.1, 27, -0.2],
  ['radius', 'radius', 'internal', 0.1, 27.4, 0.1],
] as const)('0.1 deeper said on the %s at a control of %s, %s', (said, x, member, radialMm, minorMm, offsetMm) => {
  const d = deeperAt(27.2, 0.1, said, x, member);
  expect(d.radialMm).toBeCloseTo(radialMm, 12);
  expect(d.minorMm).toBeCloseTo(minorMm, 12);
  expect(d.offsetMm).toBeCloseTo(offsetMm, 12);
});
