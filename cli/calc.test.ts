import { describe, expect, test } from '@jest/globals';
import { Ajv } from 'ajv';
import { GOOD_REQUESTS as GOOD } from '../app/testing/goodRequests.ts';
import { OPS } from '../ops/index.ts';
import { demoJobs, demoShop } from '../demo/index.ts';
import { loadOp, OP_NAMES } from '../ops/one.ts';
import { answerer, help, MOST_LINE } from './answer.ts';

const findOp = (name: string) => OPS.find((o) => o.name === name);

const ask = (name: string, request: unknown) => {
  const op = findOp(name);
  if (!op) throw new Error(name);
  return answerer(op)(typeof request === 'string' ? request : JSON.stringify(request));
};

// what reads a file first is asked in core/profile/door.test.ts, with files of its own
test.each(OPS.filter((o) => !o.later).map((o) => [o.name] as const))(
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
    const there = ask('wires', GOOD['wires']).reply as { overWiresMm: number; method: string };
    const back = ask('wires', {
      method: there.method,
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
  });
  test('exact wires between unlike flanks, either way round, and back', () => {
    const base = { pitchMm: 3.175, starts: 1, method: 'exact' };
    const at = (leading: number, trailing: number, more: object) =>
      ask('wires', { ...base, leadingHalfAngleDeg: leading, trailingHalfAngleDeg: trailing, ...more }).reply as {
        overWiresMm: number;
        pitchDiameterMm: number;
        usableWireMm: { min: number; max: number };
      };
    const there = at(45, 7, { pitchDiameterMm: 22 });
    expect(there.usableWireMm).toEqual({ min: expect.closeTo(1.499, 3), max: expect.closeTo(2.326, 3) });
    expect(at(7, 45, { pitchDiameterMm: 22 }).overWiresMm).toBeCloseTo(there.overWiresMm, 6);
    expect(at(45, 7, { overWiresMm: there.overWiresMm }).pitchDiameterMm).toBeCloseTo(22, 5);
  });
  test('a pitch is told exactly in both systems, with what is near: 3.5 mm is a thousandth off 7 1/4 tpi', () => {
    type Pitch = { pitch: string; tpi: string; isMetric: boolean; near: { pitch: string; errorPpm: number }[] };
    const asked = (text: string) => ask('pitch', { text }).reply as Pitch;
    expect(asked('7 1/4 tpi')).toMatchObject({ pitch: '508/145', tpi: '7 1/4', isMetric: false });
    expect(asked('7 1/4 tpi').near.map((n) => n.pitch)).toContain('7/2');
    expect(asked('7 1/4 tpi').near.find((n) => n.pitch === '7/2')?.errorPpm).toBeCloseTo(
      (25.4 / 7.25 / 3.5 - 1) * 1e6,
      3,
    );
    expect(asked('1.5 mm')).toMatchObject({
      pitch: '3/2',
      isMetric: true,
      near: [{ pitch: '3/2', errorPpm: 0 }, {}, {}, {}, {}],
    });
    expect(ask('pitch', { text: 'coarse' })).toMatchObject({ ok: false });
  });
  test('trains say where each gear stands, and the centres add up to the meshes', () => {
    const arm = { centresMm: 118, moduleMm: 1.5, slots: [{ fromMm: 34, toMm: 112 }], bossRadiusMm: 9, studs: 2 };
    const { trains } = ask('trains', {
      leadscrewMm: '127/40',
      targetLeadMm: '2',
      gears: [20, 25, 30, 35, 40, 45, 50, 55, 60, 63, 65, 70],
      arm,
      most: 40,
    }).reply as {
      trains: {
        mount: {
          fits: boolean;
          leanDeg?: number;
          gears?: {
            teeth: number;
            stud: number | null;
            slot: number | null;
            radiusMm: number;
            xMm: number;
            yMm: number;
            pair: number;
            role: string;
          }[];
        };
      }[];
    };
    const fitting = trains.filter((t) => t.mount.fits);
    expect(fitting.length).toBeGreaterThan(0);
    for (const { mount } of fitting) {
      const gears = mount.gears ?? [];
      const last = gears.find((g) => g.stud === null);
      expect([last?.xMm, last?.yMm]).toEqual([expect.closeTo(118, 4), expect.closeTo(0, 4)]);
      for (const g of gears.filter((x) => x.stud !== null && x.stud > 0)) {
        expect(g.slot).toBe(0);
        expect(g.radiusMm).toBeGreaterThanOrEqual(34 - 1e-3);
        expect(g.radiusMm).toBeLessThanOrEqual(112 + 1e-3);
      }
      // neighbours of one pair stand half the sum of their teeth apart, times the module
      const pairs = new Set(gears.map((g) => g.pair));
      for (const pair of pairs) {
        const chain = gears.filter((g) => g.pair === pair).sort((a, b) => (a.stud ?? 99) - (b.stud ?? 99));
        chain.slice(1).forEach((b, i) => {
          const a = chain[i];
          if (a) expect(Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm)).toBeCloseTo(0.75 * (a.teeth + b.teeth), 2);
        });
      }
    }
  });
  test('passes of equal chips between unlike flanks with a flat tip', () => {
    const { passes } = ask('passes', {
      depthMm: 2,
      passes: 6,
      rule: 'constant-area',
      tipFlatMm: 0.4,
      leadingHalfAngleDeg: 45,
      trailingHalfAngleDeg: 7,
    }).reply as { passes: { depthMm: number }[] };
    const slope = (Math.tan(Math.PI / 4) + Math.tan((7 * Math.PI) / 180)) / 2;
    const area = (d: number): number => 0.4 * d + d * d * slope;
    passes.forEach((p, i) => expect(area(p.depthMm)).toBeCloseTo((area(2) * (i + 1)) / 6, 4));
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

describe('a job through the door', () => {
  let shop: unknown = demoShop();
  const carried = (edits: unknown[], job: unknown = null) => {
    const done = ask('edit', { job, shop, edits, at: '2026-11-26T08:00:00Z' });
    // an act at the lathe changes the lathe as well: the shop goes on with the job
    if (done.ok) ({ shop } = done.reply as { shop: unknown });
    return done;
  };
  test('from newJob to setRecord as data, and every station hears it', () => {
    const named = demoJobs().find((j) => j.id === 'demo-pump')?.name;
    const begun = carried([
      { do: 'newJob', title: 'Winch spindle' },
      { do: 'setIntake', cameIn: 'screw', wanted: 'copy', make: 'external' },
      { do: 'acceptName', thread: named?.thread, probability: 0.9, overruled: true, reason: 'stamped' },
      { do: 'chooseLathe', lathe: 'lathe-bess' },
      { do: 'takeTrain', train: { drivers: [63, 20], driven: [40, 50], gearbox: '1' } },
      { do: 'mountGears' },
      { do: 'beginPart' },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 29.8 },
      { do: 'touchOff' },
      { do: 'passDone' },
    ]);
    expect(begun.ok).toBe(true);
    let { job } = begun.reply as { job: unknown };
    for (let i = 0; i < 40; i += 1) {
      const { card } = ask('job', { job, shop }).reply as {
        card: { do: string; pass: { spring: boolean } | null; after: number };
      };
      if (card.do !== 'set') break;
      const next = carried([{ do: card.pass?.spring ? 'springDone' : 'passDone', after: card.after }], job);
      ({ job } = next.reply as { job: unknown });
    }
    const done = carried(
      [
        { do: 'settle', station: 'cut' },
        { do: 'overWires', mm: 30.22 },
        { do: 'settle', station: 'prove' },
        { do: 'finishPart' },
        { do: 'setRecord', verdict: 'fits', note: '' },
        { do: 'settle', station: 'record' },
      ],
      job,
    );
    expect(done.ok).toBe(true);
    const { stations, card, metal } = ask('job', { job: (done.reply as { job: unknown }).job, shop }).reply as {
      stations: Record<string, { state: string }>;
      card: { do: string };
      metal: { pitchDiameterMm: { value: number } };
    };
    expect(stations['record']?.state).toBe('settled');
    expect(card.do).toBe('finished');
    // ISO 965-1: M30x2 6g, 28.493 to 28.663
    expect(metal.pitchDiameterMm.value).toBeGreaterThan(28.493);
    expect(metal.pitchDiameterMm.value).toBeLessThan(28.663);
  });
  test('it stops at the first edit that cannot be done and names it', () => {
    const { ok, reply } = carried([{ do: 'newJob' }, { do: 'settle', station: 'record' }]);
    expect(ok).toBe(false);
    expect(reply).toMatchObject({ problem: { field: 'edits.1.station', message: expect.stringMatching(/^settle: /) } });
  });
  test.each([
    [[{ do: 'newJob' }, { do: 'dance' }], /edits\.1/],
    [[{ do: 'passDone' }], /edits\.0/],
    [[{ do: 'newJob' }, { do: 'runOut', fullMm: 0.1, after: 5 }], /edits\.1\.after/],
    [[{ do: 'newJob' }, { do: 'runOut', fullMm: -1 }], /edits\.1\.fullMm/],
  ])('%j is refused', (edits, field) => {
    const { ok, reply } = carried(edits);
    expect(ok).toBe(false);
    expect((reply as { problem: { field: string } }).problem.field).toMatch(field);
  });
  test('a document that is none is refused with its place', () => {
    expect(ask('job', { job: { format: 'gelvin-job', version: 3 }, shop }).reply).toMatchObject({
      problem: { field: expect.stringMatching(/^job\./) },
    });
  });
});

describe('plan and pickup', () => {
  const plan = (over: object) => ask('plan', { ...(GOOD['plan'] as object), ...over });
  test('the depth from the surface touched, and what is left of it', () => {
    const { depthMm, passes, toolOutMm, toolOutTurns } = plan({}).reply as Record<string, number> & {
      passes: unknown[];
    };
    expect(depthMm).toBeCloseTo((29.93 - 28.7) / 2 + 0.75 / (2 * Math.tan(Math.PI / 6)), 8);
    expect(passes).toHaveLength(13);
    expect(toolOutMm).toBeCloseTo((depthMm ?? 0) + 0.5, 8);
    expect(toolOutTurns).toBe(1);
  });
  test.each([
    [{ targetDepthMm: 1 }, 'targetPitchDiameterMm'],
    [{ tip: { flatMm: 1 } }, 'tip.flatMm'],
    [{ taper: 'steep' }, 'taper'],
    [{ rule: null }, 'rule'],
    [{ colour: 'red' }, 'colour'],
  ])('%j is refused', (over, field) => {
    expect(plan(over).reply).toMatchObject({ problem: { field } });
  });
  test('pickup answers exactly, and refuses what a way cannot do', () => {
    const base = GOOD['pickup'] as object;
    expect(ask('pickup', { ...base, offsetMm: '1.9' }).reply).toEqual({ moveMm: '-3/5' });
    expect(ask('pickup', { ...base, way: 'turn' }).reply).toEqual({ turnDeg: '-2232/25' });
    expect(ask('pickup', { ...base, way: 'angled', slideAngleDeg: 0 }).reply).toMatchObject({
      problem: { field: 'slideAngleDeg' },
    });
    expect(ask('pickup', { ...base, way: 'slip' }).reply).toMatchObject({ problem: { field: 'gear' } });
    expect(
      ask('pickup', { ...base, way: 'slip', gear: { teeth: 40, leadscrewTurnsPerTurn: '4/5' }, leadscrewMm: '6' })
        .reply,
    ).toEqual({ teeth: 26, leftMm: '0' });
    expect(ask('pickup', { way: 'standoff', taper: '1/16', standoffMm: '1' }).reply).toEqual({
      onDiameterMm: '1/16',
      radialMm: '1/32',
    });
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

test('each operation is had by itself under its own name', async () => {
  expect(OP_NAMES).toEqual(OPS.map((o) => o.name));
  for (const o of OPS) expect(await loadOp(o.name)).toBe(o);
  expect(await loadOp('toString')).toBeNull();
});
test('help names every operation', () => {
  for (const o of OPS) expect(help(OPS)).toContain(o.name);
});

describe('a door that stays open', () => {
  test('a throw is answered as a problem on its own line, and the next line is answered', () => {
    const op = findOp('thread');
    if (!op) throw new Error('thread');
    let first = true;
    const answer = answerer({
      ...op,
      run: (q) => {
        if (first) {
          first = false;
          throw new Error('our own mistake');
        }
        return op.run(q);
      },
    });
    const line = '{"designation":"1/2-13 UNC"}';
    expect(answer(line)).toMatchObject({ ok: false, reply: { problem: { field: 'request' } } });
    expect(answer(line)).toMatchObject({ ok: true });
  });
  test('a number that is none is a problem with its place, never null', () => {
    const op = findOp('thread');
    if (!op) throw new Error('thread');
    for (const bad of [NaN, Infinity]) {
      const answer = answerer({ ...op, run: () => ({ ok: true, value: { a: [1, { b: bad }] } }) });
      expect(answer('{"designation":"M10"}')).toMatchObject({
        ok: false,
        reply: { problem: { field: 'reply.a.1.b' } },
      });
    }
  });
  test.each(['constructor', '__proto__', 'toString', 'hasOwnProperty'])(
    'what every object inherits is not in a table: %s',
    (word) => {
      for (const designation of [
        '1/2-12 BSW',
        '1/2-13 UNC',
        '1-5 Acme',
        'Tr28x5',
        'M10',
        '2 BA',
        'G 1/2',
        '1/2-14 NPT',
      ]) {
        const { ok, reply } = ask('limits', { designation, class: word });
        if (ok) expect(JSON.stringify((reply as { external?: unknown }).external ?? {})).toMatch(/"pitch":\{"min":\d/);
        else expect(reply).toMatchObject({ problem: { field: expect.any(String) } });
      }
      expect(
        ask('diagnose', {
          ...(GOOD['diagnose'] as object),
          levers: {},
          planned: { drivers: [24], driven: [48], levers: { [word]: word } },
        }),
      ).toMatchObject({ ok: false, reply: { problem: { field: `planned.levers.${word}` } } });
    },
  );
  test('a line over the stated size is refused before it is read', () => {
    expect(ask('thread', `{"designation":"${'9'.repeat(MOST_LINE)}"}`)).toMatchObject({
      ok: false,
      reply: { problem: { field: 'line' } },
    });
  });
  test('a fraction of thirty digits is refused, not computed', () => {
    for (const op of ['thread', 'limits']) {
      const { ok, reply } = ask(op, { designation: `1/1${'0'.repeat(30)} x 7 TPI`, class: '2A' });
      expect(ok).toBe(false);
      expect(reply).toMatchObject({ problem: { message: expect.any(String) } });
    }
  });
});
