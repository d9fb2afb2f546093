import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { changedBy, readingOf } from '../../app/testing/bench.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { readDocument, writeBackup, writeJob } from '../formats/documents.ts';
import { parseDesignation } from '../standards/designation.ts';
import { type Basis, basisOf, changes, stationStates } from './chain.ts';
import { becauseText } from '../../words/stations.ts';
import { conclusion } from '../../words/conclusions.ts';
import { newJob } from './create.ts';
import { suitFit } from './defaults.ts';
import { cutPlan, planRequest } from './cutPlan.ts';
import { gearState, threadOfJob } from './derive.ts';
import { measurePlan } from './measure.ts';
import { metalOf } from './metal.ts';
import { applyEdit } from './edits/index.ts';
import { readEntry } from '../reading/kinds.ts';
import { nextQuantity } from './entry.ts';
import type { Job } from './schema.ts';
import { BACKUP_VERSION, JOB_VERSION, SHOP_VERSION } from './stations.ts';

const at = new Date('2026-11-23T10:00:00Z');
const shop = demoShop();
const thread = (text: string) => {
  const r = parseDesignation(text);
  if (!r.ok) throw new Error(r.problem.code);
  return r.value.thread;
};

/** A job named, geared and settled throughout, on the inch lathe. */
function workedJob(): Job {
  const count = readingOf('crestCount', 7, { span: { text: '1 in', mm: 25.4 } });
  const { designation, family, majorMm, pitch, starts, leftHand, form } = thread('1 1/4-7 BSW');
  const named = {
    ...newJob('j', 'test', at),
    readings: [{ id: 'a', at: at.toISOString(), ...count }],
    name: {
      thread: { designation, family, majorMm, pitch, starts, leftHand, form },
      probability: 0.9,
      overruled: false,
      reason: '',
    },
  };
  let job: Job = {
    ...suitFit(named),
    gears: { lathe: 'lathe-bess', train: { drivers: [40], driven: [35], gearbox: '1' } },
  };
  let now = shop;
  for (const e of [
    { do: 'mountGears' },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 31.67 },
    { do: 'touchOff' },
    ...Array.from({ length: 60 }, () => ({ do: 'passDone' }) as const),
    { do: 'springDone' },
    { do: 'springDone' },
    { do: 'overWires', mm: 32.5 },
  ] as const) {
    const done = applyEdit(job, now, e, { id: 'w', at: at.toISOString() });
    if (done.ok) ({ job, shop: now } = done.value);
    else if (e.do !== 'passDone') throw new Error(done.problem.code);
  }
  const worked = ['intake', 'read', 'name', 'fit', 'gears', 'setup', 'cut', 'prove'] as const;
  const settled = worked.map((s) => [
    s,
    { basis: { ...basisOf(s, job, shop, thread('1 1/4-7 BSW')) }, at: at.toISOString() },
  ]);
  return { ...job, settled: Object.fromEntries(settled) as Job['settled'] };
}

describe('staleness', () => {
  test('nothing is stale while nothing changes', () => {
    const states = stationStates(workedJob(), shop, thread('1 1/4-7 BSW'));
    for (const s of ['read', 'name', 'fit', 'gears', 'setup', 'cut', 'prove'] as const)
      expect(states[s].kind).toBe('settled');
  });

  test('a changed pitch in Read makes Name, Gears, Cut and Prove say so', () => {
    const job = changedBy(workedJob(), (d) => void Object.assign(d.readings[0]!, { value: 8, text: '8' }));
    const states = stationStates(job, shop, thread('1 1/4-8 UN'));
    for (const s of ['name', 'fit', 'gears', 'cut', 'prove'] as const) {
      const state = states[s];
      expect(state.kind).toBe('stale');
      expect(state.kind === 'stale' && becauseText(state.because, 'mm').length).toBeGreaterThan(10);
    }
    expect(states.gears.kind === 'stale' && becauseText(states.gears.because, 'mm')).toContain('1 1/4-7 BSW');
    expect(states.read.kind).toBe('settled');
  });

  test('one more reading that agrees asks for a look at Name, not for the gears again', () => {
    const job = changedBy(workedJob(), (d) => void d.readings.push({ ...d.readings[0]!, id: 'b' }));
    const states = stationStates(job, shop, thread('1 1/4-7 BSW'));
    expect(states.name.kind).toBe('stale');
    expect(states.gears.kind).toBe('settled');
  });

  test('a name chosen by hand is not second-guessed, but is no longer believed when the evidence moves', () => {
    const job = changedBy(workedJob(), (d) => void (d.name!.overruled = true));
    expect(stationStates(job, shop, thread('M10')).gears.kind).toBe('settled');
    const moved = changedBy(job, (d) => void (d.readings[0]!.text = '8'));
    expect(stationStates(moved, shop, thread('M10')).gears.kind).toBe('stale');
  });

  test('another leadscrew or depth reaches what rests on it', () => {
    const job = workedJob();
    const other = changedBy(shop, (d) => void (d.lathes[0]!.leadscrew = '127/20'));
    const states = stationStates(job, other, thread('1 1/4-7 BSW'));
    expect(states.gears.kind).toBe('stale');
    expect(states.cut.kind).toBe('stale');
    const looser = changedBy(job, ({ fit }) => {
      fit.class = null;
      fit.pitchClearanceMm += 0.2;
    });
    const deeper = stationStates(looser, shop, thread('1 1/4-7 BSW'));
    expect(deeper.prove.kind).toBe('stale');
    // there is more to cut now: Cut is open again
    expect(deeper.cut.kind).toBe('open');
  });

  test('what is missing blocks, with the reason', () => {
    const states = stationStates(newJob('x', 'x', at), shop, null);
    expect(states.name).toEqual({ kind: 'blocked', because: { code: 'waiting', for: 'nothing-read' } });
    expect(states.cut.kind).toBe('blocked');
  });

  test('changes are told in words', () => {
    const told = (then: Basis, now: Basis): string => becauseText({ code: 'moved', moved: changes(then, now) }, 'mm');
    expect(told({ Pitch: '7' }, { Pitch: '8' })).toBe('Pitch was 7, is now 8.');
    expect(told({}, { 'Reading x 1': '7', b: '2' })).toBe('A reading was added: 7, and 1 more.');
    expect(told({ a: '1' }, {})).toBe('a was taken away: 1.');
  });
});

describe('what follows from a job', () => {
  test('7 tpi on 8 tpi by 40/35 is exact', () => {
    expect(gearState(workedJob(), shop)).toMatchObject({ errorPpm: 0 });
  });
  test('1 1/4-7 BSW over 0.081 in wires', () => {
    const job = changedBy(workedJob(), (d) => {
      d.fit.class = null;
      d.fit.pitchClearanceMm = 0;
      d.prove.wire = { text: '.081 in', mm: 0.081 * 25.4 };
    });
    // 1.2777 in flat (BS 84 effective diameter 1.1585 in), plus under 2 um for the lead angle
    expect((measurePlan(job, shop)?.targetMm ?? 0) / 25.4).toBeCloseTo(1.2778, 4);
  });
  test('the schedule ends at the depth', () => {
    const job = workedJob();
    const first = { ...job, events: job.events.filter((e) => e.kind !== 'cut' && e.kind !== 'sprung') };
    const s = cutPlan(first, planRequest(first, shop, metalOf(first)));
    expect(s?.ok && s.value.passes.at(-1)?.depthMm).toBeGreaterThan(2.2);
    expect(s?.ok && s.value.passes.at(-1)?.depthMm).toBe(s?.ok && s.value.depthMm);
  });
  test('no thread, no consequences', () => {
    const job = newJob('x', 'x', at);
    expect([
      threadOfJob(job),
      cutPlan(job, planRequest(job, shop, metalOf(job))),
      measurePlan(job, shop),
      gearState(job, shop),
    ]).toEqual([null, null, null, null]);
  });
});

describe('typed readings', () => {
  const entry = (quantity: Parameters<typeof readEntry>[0]['quantity'], text: string, spanText = '') =>
    readEntry({ quantity, text, spanText, leaf: 'fits' }, 'mm');
  test('each quantity reads its own way', () => {
    expect(entry('majorDiameter', '1.242 in')).toMatchObject({
      ok: true,
      value: { value: expect.closeTo(31.5468, 6) },
    });
    expect(entry('crestCount', '7', '1 in')).toMatchObject({ ok: true, value: { value: 7, span: { mm: 25.4 } } });
    expect(entry('pitchLeaf', '7 tpi')).toMatchObject({ ok: true, value: { leaf: 'fits' } });
    expect(entry('taper', '1 in 16')).toMatchObject({ ok: true, value: { value: 0.0625 } });
    expect(entry('starts', '2')).toMatchObject({ ok: true, value: { value: 2 } });
  });
  test.each([
    ['crestCount', '7 tpi', ''],
    ['crestCount', '7', 'an inch'],
    ['flankAngle', '400', ''],
    ['starts', '1.5', ''],
    ['taper', '1 in 0', ''],
    ['pitchLeaf', '8', ''],
  ] as const)('refuses %s "%s" "%s"', (q, text, span) => {
    expect(entry(q, text, span).ok).toBe(false);
  });
  test('the next reading is armed', () => {
    expect(nextQuantity('majorDiameter', new Set(['majorDiameter']))).toBe('crestCount');
    expect(
      nextQuantity(
        'depth',
        new Set(['majorDiameter', 'crestCount', 'flankAngle', 'pitchLeaf', 'minorDiameter', 'depth']),
      ),
    ).toBe('depth');
  });
});

describe('documents', () => {
  test('every demo job and the demo shop go out and come back identical', () => {
    const jobs = demoJobs();
    for (const job of jobs) {
      const back = readDocument(writeJob(job));
      expect(back).toEqual({ ok: true, kind: 'job', job });
    }
    expect(readDocument(writeBackup(shop, jobs))).toEqual({
      ok: true,
      kind: 'backup',
      backup: { format: 'gelvin-backup', version: BACKUP_VERSION, shop, jobs },
      left: [],
      shopLost: [],
    });
  });

  test('demo jobs stand in different states and none is stale', () => {
    const nexts = demoJobs().map((j) => {
      const states = stationStates(j, shop, threadOfJob(j));
      expect(Object.values(states).some((s) => s.kind === 'stale')).toBe(false);
      return conclusion('cut', j, shop, 'mm') ?? conclusion('read', j, shop, 'mm');
    });
    expect(new Set(nexts).size).toBeGreaterThan(3);
  });

  test.each<[string, (d: Record<string, unknown>) => void, string]>([
    ['a missing part', (d) => delete d['readings'], 'document'],
    ['a wrong value', (d) => void ((d['intake'] as Record<string, unknown>)['cameIn'] = 'bolt'), 'intake.cameIn'],
    ['an unknown field', (d) => void (d['colour'] = 'red'), 'document.colour'],
    [
      'a pitch that is no number',
      (d) => void (((d['name'] as Record<string, Record<string, unknown>>)['thread'] ?? {})['pitch'] = '0/5'),
      'name.thread.pitch',
    ],
    ['a newer version', (d) => void (d['version'] = JOB_VERSION + 1), 'version'],
    ['another program\u2019s file', (d) => void (d['format'] = 'x'), 'format'],
  ])('%s is refused with its place', (_, spoil, field) => {
    const data = JSON.parse(writeJob(workedJob())) as Record<string, unknown>;
    spoil(data);
    const r = readDocument(JSON.stringify(data));
    expect(!r.ok && r.problems.map((p) => p.field)).toContain(field);
  });

  test('a shop written by version 1 is brought up to date, and nothing in it is lost', () => {
    const text = readFileSync(new URL('../formats/backup-v1.json', import.meta.url), 'utf8');
    const back = readDocument(text);
    if (!back.ok || back.kind !== 'backup') throw new Error(JSON.stringify(back));
    const old = JSON.parse(text) as { shop: Record<string, unknown>; jobs: Record<string, unknown>[] };
    const lathes = (old.shop['lathes'] as Record<string, unknown>[]).map(({ drive: _, ...lathe }) => lathe);
    const { wiresMm, ...shop } = old.shop;
    const pins = (wiresMm as number[]).map((mm) => ({ kind: 'wire', mm, measuredMm: null, roundMm: null }));
    expect(back.backup.shop).toMatchObject({ ...shop, lathes, pins, version: SHOP_VERSION });
    expect(back.backup.shop.lathes.map((l) => l.kind)).toEqual(['change-gears', 'gearbox', 'electronic']);
    // what the older shape kept is all still there; what was done is a ledger now
    for (const [i, was] of old.jobs.entries()) {
      const is = back.backup.jobs[i];
      expect(is).toMatchObject({
        version: JOB_VERSION,
        id: was['id'],
        title: was['title'],
        intake: was['intake'],
        readings: was['readings'],
        name: was['name'],
        record: was['record'],
      });
    }
    expect(back.backup.shop.lathes[0]).toMatchObject({ pressureAngleDeg: 20, arm: { studs: 2, pivot: null } });
  });

  test('text that is not JSON is refused; of a backup with one job twice the second is left out', () => {
    expect(readDocument('{').ok).toBe(false);
    const [job] = demoJobs();
    // the second of two alike is left out, and said
    expect(readDocument(writeBackup(shop, [job!, job!]))).toMatchObject({
      ok: true,
      backup: { jobs: [job] },
      left: [{ problems: [{ code: 'jobs-alike' }] }],
    });
  });
});
