import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { answersOf } from '../../ops/answers.ts';
import type { Job, Shop } from '../job/schema.ts';
import { checkJob } from './check.ts';
import { readDocument, writeBackup } from './documents.ts';
import { repairJob } from './repair.ts';

/** `npm run faults` asks for more. */
const RUNS = Number(process.env['FAULTS_IMPORTS'] ?? 80);

type Json = unknown;
const clone = (x: Json): Json => JSON.parse(JSON.stringify(x)) as Json;
/** Every place of a document, as the way to it. */
function places(x: Json, way: (string | number)[] = []): (string | number)[][] {
  if (typeof x !== 'object' || x === null) return [way];
  const inner = Array.isArray(x)
    ? x.flatMap((v: Json, i) => places(v, [...way, i]))
    : Object.entries(x).flatMap(([k, v]) => places(v, [...way, k]));
  return [way, ...inner];
}
const INSTEAD: readonly Json[] = [
  ...[
    null,
    0,
    -1,
    1e308,
    1e-308,
    0.1,
    7,
    true,
    '',
    'x',
    '0/0',
    '1/0',
    '127/40',
    'x'.repeat(5000),
    [],
    {},
    [[]],
    [null],
  ],
  ...['constructor', '__proto__', '2026-02-31T99:99:99Z', 'plunge', 'external', 'nut', 'M10', '\u0000', '\ud800'],
];
const SHOP = demoShop();
const JOBS = demoJobs();
const BACKUP = JSON.parse(writeBackup(SHOP, JOBS)) as Json;
const WAYS = places(BACKUP).filter((w) => w.length > 1);

/** One to three changes anywhere: something else in place of what is there, nothing at all, or twice the same. */
const change = fc.record({
  at: fc.nat(WAYS.length - 1),
  how: fc.constantFrom('replace', 'remove', 'repeat', 'swap'),
  by: fc.nat(INSTEAD.length - 1),
  other: fc.nat(WAYS.length - 1),
});
const mutated = fc.array(change, { minLength: 1, maxLength: 3 });
type Change = typeof change extends fc.Arbitrary<infer T> ? T : never;
const told = (changes: readonly Change[]): string =>
  changes
    .map(
      (c) =>
        `${(WAYS[c.at] ?? []).join('.')} ${c.how} ${c.how === 'swap' ? (WAYS[c.other] ?? []).join('.') : JSON.stringify(INSTEAD[c.by]).slice(0, 30)}`,
    )
    .join('; ');
function harmed(changes: readonly Change[]): Json {
  const doc = clone(BACKUP);
  for (const { at, how, by, other } of changes) {
    const way = WAYS[at] ?? [];
    const holder = way.slice(0, -1).reduce<Json>((o, k) => (o as Record<string, Json> | undefined)?.[k], doc);
    const key = way.at(-1);
    if (typeof holder !== 'object' || holder === null || key === undefined) continue;
    const box = holder as Record<string | number, Json>;
    if (how === 'replace') box[key] = clone(INSTEAD[by] ?? null);
    else if (how === 'remove') {
      if (Array.isArray(holder)) holder.splice(Number(key), 1);
      else Reflect.deleteProperty(holder, key);
    } else if (how === 'repeat' && Array.isArray(holder)) holder.push(clone(box[key]));
    else if (how === 'swap') {
      const source = (WAYS[other] ?? []).reduce<Json>((o, k) => (o as Record<string, Json> | undefined)?.[k], BACKUP);
      box[key] = clone(source ?? null);
    }
  }
  return doc;
}

/** A document that was taken in can be shown: nothing of it kills a view, and what is written of it is taken in again. */
function holds(shop: Shop, job: Job): void {
  answersOf(job, shop, null);
  const back = readDocument(writeBackup(shop, [job]));
  expect(back).toMatchObject({ ok: true, left: [], shopLost: [] });
}

describe('files that came to harm', () => {
  test(`${RUNS} of them: taken in where they hold, else said why; none throws, none kills a view`, () => {
    let whole = 0;
    fc.assert(
      fc.property(mutated, (changes) => {
        const doc = harmed(changes);
        const read = readDocument(JSON.stringify(doc));
        if (!read.ok) {
          expect(read.problems.length).toBeGreaterThan(0);
          return;
        }
        if (read.kind !== 'backup') return;
        try {
          whole += read.left.length === 0 ? 1 : 0;
          expect(read.backup.jobs.length + read.left.length).toBe((doc as { jobs: unknown[] }).jobs.length);
          // what was touched is among the jobs that differ
          for (const [i, job] of read.backup.jobs.entries())
            if (JSON.stringify(job) !== JSON.stringify(JOBS[i])) holds(read.backup.shop, job);
          for (const l of read.left) expect(l.problems.length).toBeGreaterThan(0);
          for (const { raw } of read.left) {
            const mended = repairJob(raw, 'mended', JOBS, new Date('2026-11-26T08:00:00Z'));
            if (!mended) continue;
            expect(checkJob(mended.doc).state).toBe('good');
            holds(SHOP, mended.doc);
          }
        } catch (e) {
          throw new Error(`${told(changes)}: ${e instanceof Error ? e.message : ''}`, { cause: e });
        }
      }),
      { numRuns: RUNS, seed: 7 },
    );
    // the box of harm reaches both sides
    expect(whole).toBeGreaterThan(0);
    expect(whole).toBeLessThan(RUNS);
  });
  test('identities from a file hold in an address, and each reading has its own', () => {
    const [job] = JOBS;
    const [first] = job?.readings ?? [];
    if (!job || !first) throw new Error('demo');
    const odd = { ...job, id: '../../x?y#z', readings: [first, { ...first, text: 'again' }] };
    const back = readDocument(JSON.stringify(odd));
    if (!back.ok || back.kind !== 'job') throw new Error('refused');
    expect(back.job.id).toMatch(/^[A-Za-z0-9][A-Za-z0-9_-]*$/);
    expect(new Set(back.job.readings.map((r) => r.id)).size).toBe(2);
    expect(back.job.readings.map((r) => r.text)).toEqual([first.text, 'again']);
  });
  test('a repair lets go of as little as it can, and stops the machine where the ledger lost something', () => {
    const job = JOBS.find((j) => j.id === 'demo-sluice');
    if (!job) throw new Error('demo');
    const hurt = JSON.parse(JSON.stringify(job)) as {
      readings: { value: unknown }[];
      events: { n: unknown }[];
      odd: 1;
    };
    const [, second] = hurt.readings;
    if (second) second.value = 'wide';
    hurt.odd = 1;
    const mended = repairJob(hurt, job.id, [], new Date('2026-11-26T08:00:00Z'));
    expect(mended?.lost.toSorted()).toEqual(['odd', 'readings.1']);
    expect(mended?.doc.readings).toHaveLength(job.readings.length - 1);
    expect(mended?.doc.events).toEqual(job.events);
    const last = hurt.events.at(-1);
    if (last) last.n = 'last';
    const unsure = repairJob(hurt, job.id, [], new Date('2026-11-26T08:00:00Z'));
    expect(unsure && answersOf(unsure.doc, SHOP, null).card.stopped).toMatchObject({ code: 'assumed' });
  });
});
