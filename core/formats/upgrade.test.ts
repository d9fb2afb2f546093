import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { readingOf } from '../../app/testing/bench.ts';
import { answersOf } from '../../ops/answers.ts';
import { cardOf } from '../job/card.ts';
import { stationStates } from '../job/chain.ts';
import { threadOfJob } from '../job/derive.ts';
import { applyEdit, type Edit } from '../job/edits/index.ts';
import { emptyShop, newJob } from '../job/create.ts';
import { metalOf } from '../job/metal.ts';
import type { Job, Shop } from '../job/schema.ts';
import { stoppedText } from '../../words/machine.ts';
import { JOB_VERSION } from '../job/stations.ts';
import { exact } from '../quantity/rational.ts';
import { specialThread } from '../standards/thread.ts';
import { readDocument } from './documents.ts';
import { upgradeShop } from './upgradeShop.ts';

interface Opened {
  readonly shop: Shop;
  readonly jobs: readonly Job[];
}
const open = (version: 1 | 2): Opened => {
  const back = readDocument(readFileSync(new URL(`./backup-v${version}.json`, import.meta.url), 'utf8'));
  if (!back.ok || back.kind !== 'backup') throw new Error(JSON.stringify(back));
  return back.backup;
};
const jobOf = ({ jobs }: Opened, id: string): Job => {
  const job = jobs.find((j) => j.id === id);
  if (!job) throw new Error(id);
  return job;
};
const act = (job: Job, shop: Shop, e: Edit): { job: Job; shop: Shop } => {
  const done = applyEdit(job, shop, e, { id: 'u', at: '2026-11-26T08:00:00Z' });
  if (!done.ok) throw new Error(`${e.do}: ${done.problem.code}`);
  return done.value;
};

test('up to version 9 the flanks of a special had a name of their own, wherever its thread stood', () => {
  const thread = specialThread({
    majorMm: 50,
    sizeSystem: 'mm',
    pitch: exact(8),
    flanks: { leadingDeg: 45, trailingDeg: 5 },
    measured: { depthMm: 5 },
  });
  const today = {
    ...newJob('j', 'Saw-tooth', new Date('2026-11-26T08:00:00Z')),
    name: { thread, probability: 1, overruled: false, reason: '' },
  };
  const asOfOld = JSON.parse(
    JSON.stringify({ ...today, version: 9 })
      .replaceAll('"leadingDeg"', '"leadingFlankDeg"')
      .replaceAll('"trailingDeg"', '"trailingFlankDeg"'),
  ) as object;
  expect(asOfOld).toMatchObject({ name: { thread: { special: { leadingFlankDeg: 45, trailingFlankDeg: 5 } } } });
  const back = readDocument(JSON.stringify(asOfOld));
  expect(back).toMatchObject({ ok: true, job: { version: JOB_VERSION, name: { thread } } });
});

test('version 4 knew nothing of a part beside its thread; a shop of version 3 wrote inches as decimals', () => {
  const { part, ...rest } = newJob('j', 'Of version 4', new Date('2026-11-26T08:00:00Z'));
  expect(Object.values(part)).toEqual([null, null, null, null, null]);
  expect(readDocument(JSON.stringify({ ...rest, version: 4 }))).toMatchObject({
    ok: true,
    job: { version: JOB_VERSION, part },
  });
  const shop = emptyShop();
  const { inches, decimal, ...settings } = shop.settings;
  expect(upgradeShop({ ...shop, version: 3, settings })).toEqual(shop);
  expect([inches, decimal]).toEqual(['decimal', 'auto']);
});

test('version 3 said "made to its mate" with yes or no', () => {
  const { version, fit, cut, ...rest } = newJob('j', 'Of version 3', new Date('2026-11-26T08:00:00Z'));
  const { to, wornMate, travel, clean, ...oldFit } = fit;
  const { deeperStepMm, ...oldCut } = cut;
  expect([version, to, wornMate, travel, clean, deeperStepMm]).toEqual([
    JOB_VERSION,
    'clearance',
    'thickest',
    null,
    null,
    null,
  ]);
  const old = { ...rest, version: 3, fit: { ...oldFit, toMate: true }, cut: oldCut };
  const back = readDocument(JSON.stringify(old));
  expect(back).toMatchObject({ ok: true, job: { version: JOB_VERSION, fit: { to: 'mate', wornMate: 'thickest' } } });
});

describe.each([1, 2] as const)('a job of version %s, closed in mid-cut', (version) => {
  const opened = open(version);
  const job = jobOf(opened, 'demo-sluice');

  test('the pass count becomes one cut, marked as assumed, and Cut opens stopped', () => {
    const cut = job.events.find((e) => e.kind === 'cut');
    expect(cut).toMatchObject({ assumedPasses: version === 1 ? 6 : 7 });
    // version 2's own plan: seven of 22 passes were 1.4857 mm deep, read off the application as it was
    if (version === 2) expect(cut?.kind === 'cut' && cut.depthMm).toBeCloseTo(1.485699, 6);
    const { card } = cardOf(job, opened.shop, null);
    expect(card).toMatchObject({ do: 'check', settings: [], writes: null, stopped: { code: 'assumed' } });
    expect(card.stopped && stoppedText(card.stopped, 'mm').what).toMatch(
      /^An older record: \d\.\d+ mm from [67] passes\.$/,
    );
  });

  test('it goes on only from the depth that the person confirms or types', () => {
    const refused = applyEdit(job, opened.shop, { do: 'passDone' }, { id: 'u', at: '2026-11-26T08:00:00Z' });
    expect(refused.ok).toBe(false);
    let { job: now, shop } = act(job, opened.shop, { do: 'confirmDepth', depthMm: 1.4, text: '1.40' });
    expect(metalOf(now)).toMatchObject({ depthMm: 1.4, assumed: null });
    // what it was cut from was never kept: it is asked for, not made up
    if (metalOf(now).surfaceMm === null) {
      expect(cardOf(now, shop, null).card).toMatchObject({ do: 'measure', what: 'blank' });
      ({ job: now, shop } = act(now, shop, { do: 'measureBlank', diameterMm: 37.77 }));
    }
    const { card } = cardOf(now, shop, null);
    expect(card.do).toBe('set');
    expect(card.depthMm).toBeGreaterThan(1.4);
    expect(card.takesMm).toBeLessThanOrEqual(0.25 + 0.007);
  });

  test('the desk stations stay as they were settled', () => {
    const states = stationStates(job, opened.shop, threadOfJob(job));
    for (const s of ['intake', 'read', 'name', 'fit', 'gears'] as const)
      expect([s, states[s].kind]).toEqual([s, 'settled']);
  });
});

test('trials and readings over wires become events in order of time; the blank that was checked is the surface', () => {
  const { jobs } = open(2);
  const job = jobs.find((j) => j.id === 'demo-sluice');
  expect(job?.events.map((e) => e.kind)).toEqual(['blankMeasured', 'cut', 'tried', 'overWires']);
  expect(job?.events.map((e) => e.n)).toEqual([1, 2, 3, 4]);
  expect(job?.events.at(-1)).toMatchObject({ text: '1.560 in', mm: 39.624 });
  // 22 passes typed with seven cut: fifteen still to come
  expect(job?.cut.passes).toEqual({ count: 15, after: 4 });
});

test('a job that was finished stays finished, and is not stopped', () => {
  const opened = open(2);
  const job = jobOf(opened, 'demo-brass');
  const a = answersOf(job, opened.shop, null);
  expect(a.card).toMatchObject({ do: 'finished', stopped: null });
  expect(a.stations.record?.state).toBe('settled');
});

test('a pick-up that was under way is still under way', () => {
  const opened = open(2);
  const job = jobOf(opened, 'demo-pump');
  expect(job.pickup).toEqual({ way: 'parallel', slipGear: null, leadsOut: null, overMm: null });
  expect(metalOf(job)).toMatchObject({ phase: 'lost', lostBy: 'existing', offset: { mm: 0.7 } });
});

test('a damaged older document is named by its check, never thrown at', () => {
  const text = readFileSync(new URL('./backup-v2.json', import.meta.url), 'utf8');
  const data = JSON.parse(text) as { jobs: Record<string, unknown>[] };
  for (const spoil of [
    (j: Record<string, unknown>) => void (j['cut'] = 7),
    (j: Record<string, unknown>) => void (j['name'] = { thread: { form: 'no such form', pitch: '0/0' } }),
    (j: Record<string, unknown>) => void delete j['prove'],
    (j: Record<string, unknown>) => void (j['settled'] = 'all'),
  ]) {
    const copy = structuredClone(data);
    const [first] = copy.jobs;
    if (first) spoil(first);
    const read = readDocument(JSON.stringify(copy));
    if (!read.ok || read.kind !== 'backup') throw new Error('refused as a whole');
    expect(read.left).toHaveLength(1);
    expect(read.left[0]?.problems.length).toBeGreaterThan(0);
    expect(read.backup.jobs).toHaveLength(copy.jobs.length - 1);
  }
});

describe('what a thread is made of is checked at the border', () => {
  const withThread = (over: object) => {
    const job = newJob('j', 'Of an unknown form', new Date('2026-11-26T08:00:00Z'));
    const thread = {
      designation: 'M10',
      family: 'M',
      majorMm: 10,
      pitch: '3/2',
      starts: 1,
      leftHand: false,
      form: 'iso60',
    };
    return readDocument(
      JSON.stringify({
        ...job,
        name: { thread: { ...thread, ...over }, probability: 1, overruled: false, reason: '' },
      }),
    );
  };
  test('a published form is taken', () => expect(withThread({}).ok).toBe(true));
  test.each([
    ['a form that is any word', { form: 'wobbly' }, 'form'],
    ['a family that is any word', { family: 'Wobbly' }, 'family'],
    ['a special without its dimensions', { family: 'Special', form: 'special' }, 'thread'],
  ])('%s is refused where it stands', (_, over, where) => {
    const back = withThread(over);
    expect(back.ok ? '' : back.problems.map((p) => p.field).join(' ')).toContain(where);
    expect(back.ok).toBe(false);
  });
  test('a measurement over wires without its wire is no reading, in a file or typed', () => {
    const reading = readingOf('overWires', 32.1);
    const job = newJob('j', 'Without a wire', new Date('2026-11-26T08:00:00Z'));
    const at = '2026-11-26T08:00:00.000Z';
    const back = readDocument(JSON.stringify({ ...job, readings: [{ ...reading, id: 'r', at }] }));
    expect(back.ok ? [] : back.problems.map((p) => p.field)).toContain('readings.0.span');
    const typed = applyEdit(job, emptyShop(), { do: 'takeReading', reading }, { id: 'r', at });
    expect(typed).toMatchObject({ ok: false, problem: { code: 'reading-without-span' } });
  });
});
