import { describe, expect, test } from '@jest/globals';
import AjvModule from 'ajv';
import { OPS } from '../core/ops/index.ts';
import { answerer, findOp, help } from './answer.ts';

const Ajv = (AjvModule as unknown as { default?: typeof AjvModule }).default ?? AjvModule;
const ask = (name: string, request: unknown) => {
  const op = findOp(name);
  if (!op) throw new Error(name);
  return answerer(op)(typeof request === 'string' ? request : JSON.stringify(request));
};

/** A good request for every operation: the examples of its documentation. */
const GOOD: Record<string, unknown> = {
  thread: { designation: '1/2-13 UNC' },
  wires: {
    leadingHalfAngleDeg: 30,
    trailingHalfAngleDeg: 30,
    pitchMm: 1.5,
    starts: 1,
    pitchDiameterMm: 9.026,
    wireMm: 0.866,
    method: 'flat',
  },
  trains: {
    leadscrewMm: '127/40',
    targetLeadMm: '7/4',
    gears: [20, 20, 25, 30, 35, 40, 63],
    fixedRatio: '1',
    gearbox: ['1'],
    maxPairs: 2,
    most: 20,
  },
  dial: { leadscrewMm: '127/40', leadMm: '127/65', dialTeeth: 16, marks: 8 },
  audit: { leadscrewMm: '127/40', drivers: [40], driven: [35], gearbox: '1', fixedRatio: '1' },
  diagnose: {
    leadscrewMm: '127/40',
    fixedRatio: '1',
    gears: [24, 48, 50, 60, 63],
    levers: { cone: { 1: '1', 2: '8/9' }, range: { A: '2', B: '1' } },
    planned: { drivers: [24], driven: [48], levers: { cone: '2', range: 'B' } },
    measuredPitchMm: 2.82,
    uncertaintyMm: 0.02,
  },
  chart: {
    leadscrewMm: '127/40',
    fixedRatio: '1',
    rows: [{ levers: { cone: '1', range: 'A' }, drivers: [24], driven: [48], leadMm: '127/40' }],
    ask: [{ levers: { cone: '1', range: 'A' }, drivers: [48], driven: [48] }],
  },
  identify: {
    part: 'external',
    evidence: [
      { quantity: 'majorDiameter', valueMm: 31.6, uncertaintyMm: 0.02, wear: 'worn' },
      { quantity: 'crestCount', crests: 7, spanMm: 25.4 },
      { quantity: 'pitchLeaf', pitchMm: 3.6286, overMm: 20, fit: 'fits' },
      { quantity: 'flankAngle', valueDeg: 56, uncertaintyDeg: 2 },
      { quantity: 'taper', ratio: 0 },
      { quantity: 'starts', count: 1 },
    ],
    context: { origin: null, use: null },
    most: 5,
  },
  limits: { designation: 'M10x1.5', class: '6g', engagementMm: null },
  outline: { designation: 'M10x1.5', side: 'external', pitches: 3 },
  passes: { depthMm: 1.227, passes: 12, rule: 'constant-area', slideAngleDeg: 29.5, firstMaxMm: null, lastMinMm: null },
};

test.each(OPS.map((o) => [o.name] as const))(
  '%s answers its example, and the reply is what its schema says',
  (name) => {
    const { ok, reply } = ask(name, GOOD[name]);
    expect(ok).toBe(true);
    const validate = new Ajv({ strict: false }).compile(JSON.parse(JSON.stringify(findOp(name)?.reply)) as object);
    expect(validate(reply) ? null : validate.errors).toBeNull();
  },
);

describe('replies', () => {
  test('thread', () => {
    expect(ask('thread', GOOD['thread']).reply).toMatchObject({
      family: 'UNC',
      pitch: '127/65',
      lead: '127/65',
      majorMm: 12.7,
      leadingHalfAngleDeg: 30,
      pitchDiameterMm: expect.closeTo(11.431, 3),
    });
  });
  test('wires and back', () => {
    const there = ask('wires', GOOD['wires']).reply as { overWiresMm: number };
    const back = ask('wires', {
      leadingHalfAngleDeg: 30,
      trailingHalfAngleDeg: 30,
      pitchMm: 1.5,
      overWiresMm: there.overWiresMm,
      wireMm: 0.866,
    }).reply;
    expect(back).toMatchObject({ pitchDiameterMm: expect.closeTo(9.026, 6), bestWireMm: expect.closeTo(0.866025, 6) });
  });
  test('exact wires: Tr 40x7 is 24 um over the flat formula, and back', () => {
    const base = { leadingHalfAngleDeg: 15, trailingHalfAngleDeg: 15, pitchMm: 7, starts: 1, wireMm: 3.6235 };
    const m = (method: string) =>
      (ask('wires', { ...base, pitchDiameterMm: 36.5, method }).reply as { overWiresMm: number }).overWiresMm;
    expect(m('exact') - m('flat')).toBeCloseTo(0.024, 3);
    const back = ask('wires', { ...base, overWiresMm: m('exact'), method: 'exact' }).reply as {
      pitchDiameterMm: number;
    };
    expect(back.pitchDiameterMm).toBeCloseTo(36.5, 4);
    expect(ask('wires', { ...base, trailingHalfAngleDeg: 3, pitchDiameterMm: 36.5, method: 'exact' }).ok).toBe(false);
  });
  test('dial and passes', () => {
    expect(ask('dial', GOOD['dial']).reply).toMatchObject({
      safeMarks: [0, 4],
      travelMm: '127/5',
      sameMarkAfterTurns: 1,
    });
    expect((ask('passes', GOOD['passes']).reply as { passes: unknown[] }).passes).toHaveLength(12);
  });
});

test('of several dial gears the best answers', () => {
  // 2.5 mm on a 6 mm leadscrew: 30 mm of travel, so 15 teeth (90 mm) is right where 14 and 16 are not
  const { reply } = ask('dial', { leadscrewMm: '6', leadMm: '5/2', dialTeeth: [14, 15, 16], marks: 3 });
  expect(reply).toMatchObject({
    dialTeeth: 15,
    safeMarks: [0, 1, 2],
    gears: [{ dialTeeth: 14, safeMarks: [] }, { dialTeeth: 15 }, { dialTeeth: 16, safeMarks: [] }],
  });
});

describe('wrong requests are answered on their own line', () => {
  test.each([
    ['thread', 'nonsense', 'line'],
    ['thread', {}, 'designation'],
    ['thread', { designation: 'M50' }, 'designation'],
    ['wires', { leadingHalfAngleDeg: 30, trailingHalfAngleDeg: 30, pitchMm: 1.5 }, 'pitchDiameterMm'],
    [
      'wires',
      { leadingHalfAngleDeg: 0, trailingHalfAngleDeg: 0, pitchMm: 1.5, pitchDiameterMm: 9 },
      'leadingHalfAngleDeg',
    ],
    [
      'wires',
      { leadingHalfAngleDeg: 30, trailingHalfAngleDeg: 30, pitchMm: 1.5, pitchDiameterMm: 9, wireMm: 5 },
      'wireMm',
    ],
    ['trains', { leadscrewMm: '0', targetLeadMm: '7/4', gears: [20, 30] }, 'leadscrewMm'],
    ['trains', { leadscrewMm: '127/40', targetLeadMm: '7/4', gears: [20, 'x'] }, 'gears.1'],
    ['dial', { leadscrewMm: '127/40', leadMm: '1/0', dialTeeth: 16, marks: 8 }, 'leadMm'],
    ['passes', { depthMm: -1, passes: 3, rule: 'constant-area' }, 'depthMm'],
    ['passes', { depthMm: 1, passes: 3, rule: 'by-eye' }, 'rule'],
  ])('%s %j', (name, request, field) => {
    const { ok, reply } = ask(name, request);
    expect(ok).toBe(false);
    expect((reply as { problem: { field: string; message: string } }).problem.field).toBe(field);
  });
});

test('help names every operation', () => {
  for (const o of OPS) expect(help()).toContain(o.name);
});
