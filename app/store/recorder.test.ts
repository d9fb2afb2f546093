import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { newJob } from '../../core/job/create.ts';
import type { Edit } from '../../core/job/edits/index.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { readDocument, writeBackup } from '../../core/formats/documents.ts';
import { m30 } from '../testing/bench.ts';
import { demoShop } from '../../demo/index.ts';
import { db, removeJob, loadJob, putJobs, replaceAll } from '../storage/db.ts';
import { begin } from '../storage/history.ts';
import { perform, Recorder, type Act, type Overlap, type Told, type Work } from './recorder.ts';

/** A window: memory of its own, the record shared with the others. */
class Window {
  work: Work = { job: null, shop: null };
  told: Told['state'][] = [];
  overlaps: Overlap[] = [];
  n = 0;
  readonly name: string;
  readonly recorder: Recorder;
  constructor(name: string) {
    this.name = name;
    this.recorder = new Recorder({
      work: () => this.work,
      tell: (t) => void this.told.push(t.state),
      rebased: (w, o) => {
        this.work = w;
        if (o) this.overlaps.push(o);
      },
      channel: { say: () => undefined, hear: () => () => undefined },
    });
  }
  async open(id: string, shopRev: number): Promise<this> {
    const found = await loadJob(id);
    if (found?.checked.state !== 'good') throw new Error('not there');
    const shop = (await db.shop.get('shop'))?.doc as Shop;
    this.work = { job: begin(found.checked.doc, found.past), shop: begin(shop) };
    this.recorder.openedJob(found.checked.doc, found.rev);
    this.recorder.openedShop(shop, shopRev);
    return this;
  }
  private take(act: Act): void {
    const next = perform(this.work, act);
    if ('code' in next) throw new Error(next.code);
    this.work = next;
    this.recorder.done(act);
  }
  do(edit: Edit): this {
    this.n += 1;
    this.take({
      kind: 'edit',
      edit,
      label: edit.do,
      made: { id: `${this.name}${this.n}`, at: '2026-11-26T09:00:00.000Z' },
    });
    return this;
  }
  back(): this {
    this.take({ kind: 'back', made: { id: `${this.name}b`, at: '2026-11-26T09:00:00.000Z' } });
    return this;
  }
  shopDo(name: string): this {
    this.take({ kind: 'shop', label: 'rename', recipe: (d) => void (d.name = name) });
    return this;
  }
  get job(): Job {
    if (!this.work.job) throw new Error('no job');
    return this.work.job.present;
  }
}
const inRecord = async (id: string): Promise<Job> => {
  const found = await loadJob(id);
  if (found?.checked.state !== 'good') throw new Error('not there');
  return found.checked.doc;
};
let rev = 1;
const two = async (id = 'one'): Promise<[Window, Window]> =>
  Promise.all([new Window('a').open(id, rev), new Window('b').open(id, rev)]);

beforeEach(async () => {
  rev = await replaceAll(demoShop(), [newJob('one', 'One', new Date('2026-01-01T00:00:00Z'))]);
});
afterEach(() => void jest.restoreAllMocks());

describe('two windows on one job', () => {
  test('what each did is in the record, and both see it', async () => {
    const [a, b] = await two();
    a.do({ do: 'setIntake', customer: 'A' });
    b.do({ do: 'setIntake', note: 'B' });
    await Promise.all([a.recorder.settled(), b.recorder.settled()]);
    await a.recorder.follow();
    for (const job of [await inRecord('one'), a.job, b.job])
      expect(job).toMatchObject({ customer: 'A', intake: { note: 'B' } });
    expect(b.overlaps).toEqual([]);
  });
  test('the same fact: the later one stands, is told so, and undo brings the other back', async () => {
    const [a, b] = await two();
    a.do({ do: 'setIntake', customer: 'A' });
    await a.recorder.settled();
    b.do({ do: 'setIntake', customer: 'B' });
    await b.recorder.settled();
    expect(await inRecord('one')).toMatchObject({ customer: 'B' });
    expect(b.overlaps).toEqual([{ places: ['customer'], refused: null }]);
    b.back();
    await b.recorder.settled();
    expect(await inRecord('one')).toMatchObject({ customer: 'A' });
  });
  test('the road back is one road: undo in one window takes back what the other did last', async () => {
    const [a, b] = await two();
    a.do({ do: 'setIntake', customer: 'A' });
    await a.recorder.settled();
    await b.recorder.follow();
    b.do({ do: 'setIntake', note: 'B' });
    await b.recorder.settled();
    await a.recorder.follow();
    a.back().back();
    await a.recorder.settled();
    expect(await inRecord('one')).toMatchObject({ customer: '', intake: { note: '' } });
  });
  test('both press Done for one pass: one pass is marked', async () => {
    const bench = m30();
    rev = await replaceAll(bench.shop, [bench.job]);
    const [a, b] = await two('j');
    const after = a.job.events.at(-1)?.n ?? 0;
    a.do({ do: 'passDone', after });
    b.do({ do: 'passDone', after });
    await Promise.all([a.recorder.settled(), b.recorder.settled()]);
    expect((await inRecord('j')).events.filter((e) => e.kind === 'cut')).toHaveLength(1);
    expect([...a.overlaps, ...b.overlaps]).toMatchObject([{ refused: { code: 'stale-after' } }]);
    await Promise.all([a.recorder.follow(), b.recorder.follow()]);
    expect(b.job.events).toEqual(a.job.events);
  });
  test('readings of both are kept, whoever was first', async () => {
    const [a, b] = await two();
    const reading = (text: string): Edit => ({
      do: 'takeReading',
      reading: {
        ...{ quantity: 'majorDiameter', text, value: Number(text), span: null, leaf: null, instrument: null },
        ...{ uncertainty: null, member: 'part', place: '', positionMm: null, wear: 'unknown' },
      },
    });
    for (let i = 1; i <= 10; i += 1) {
      a.do(reading(String(i)));
      b.do(reading(String(100 + i)));
    }
    await Promise.all([a.recorder.settled(), b.recorder.settled()]);
    expect((await inRecord('one')).readings.map((r) => r.value).sort((x, y) => x - y)).toEqual([
      ...Array.from({ length: 10 }, (_, i) => i + 1),
      ...Array.from({ length: 10 }, (_, i) => i + 101),
    ]);
  });
  test('the shop alike: a name from one, a lathe from the other', async () => {
    const [a, b] = await two();
    a.shopDo('Renamed');
    await a.recorder.settled();
    b.do({ do: 'setIntake', customer: 'B' });
    await b.recorder.settled();
    expect(b.work.shop?.present.name).toBe(demoShop().name);
    b.shopDo('Renamed twice');
    await b.recorder.settled();
    expect((await db.shop.get('shop'))?.doc).toMatchObject({ name: 'Renamed twice' });
    expect(b.overlaps).toMatchObject([{ places: ['name'] }]);
  });
  test('removed in one, edited in the other: not raised from the dead unless somebody says so', async () => {
    const [a, b] = await two();
    await removeJob('one', 'one', '2026-11-27T08:00:00.000Z');
    b.do({ do: 'setIntake', customer: 'B' });
    await b.recorder.settled();
    expect(await loadJob('one')).toBeNull();
    expect(b.told.at(-1)).toBe('gone');
    expect(b.recorder.unwritten).toBe(true);
    b.recorder.keep();
    await b.recorder.settled();
    expect(await inRecord('one')).toMatchObject({ customer: 'B' });
    expect(a.recorder.unwritten).toBe(false);
  });
});

describe('a record that refuses', () => {
  const full = (): void =>
    void jest.spyOn(db.jobs, 'put').mockRejectedValue(new DOMException('no room', 'QuotaExceededError'));
  test('what was done stays in memory, is tried again, and the next act does not drop it', async () => {
    const a = await new Window('a').open('one', rev);
    full();
    a.do({ do: 'setIntake', customer: 'A' });
    await a.recorder.settled();
    expect(a.told.at(-1)).toBe('failed');
    a.do({ do: 'setIntake', note: 'still here' });
    await a.recorder.settled();
    expect(a.recorder.unwritten).toBe(true);
    expect(await inRecord('one')).toMatchObject({ customer: '' });
    jest.restoreAllMocks();
    // by itself, without another act
    await new Promise((r) => setTimeout(r, 2200));
    await a.recorder.settled();
    expect(a.told.at(-1)).toBe('written');
    expect(await inRecord('one')).toMatchObject({ customer: 'A', intake: { note: 'still here' } });
  });
});

test('everything replaced in one window: the other follows, and never writes its old job over the new one', async () => {
  const [a, b] = await two();
  const anew = { ...newJob('one', 'Another of the same identity', new Date('2026-01-01T00:00:00Z')) };
  await replaceAll(demoShop(), [anew]);
  // b has not heard of it yet
  b.do({ do: 'setIntake', customer: 'B' });
  await b.recorder.settled();
  expect(await inRecord('one')).toMatchObject({ title: 'Another of the same identity', customer: 'B' });
  await a.recorder.follow();
  expect(a.job).toMatchObject({ title: 'Another of the same identity', customer: 'B' });
});
test('what another window left cannot be read: said and kept in memory, and nothing is written over it', async () => {
  const a = await new Window('a').open('one', rev);
  const newer = { id: 'one', rev: 9, touched: 9, doc: { format: 'gelvin-job', version: 99 } };
  await db.jobs.put(newer);
  a.do({ do: 'setIntake', customer: 'A' });
  await a.recorder.settled();
  expect(a.told.at(-1)).toBe('failed');
  expect(a.recorder.unwritten).toBe(true);
  expect(a.job).toMatchObject({ customer: 'A' });
  expect(await db.jobs.get('one')).toEqual(newer);
  await a.recorder.follow();
  a.recorder.drop();
});
test('what is done while the record is read again is kept', async () => {
  const [a, b] = await two();
  b.do({ do: 'setIntake', note: 'B' });
  await b.recorder.settled();
  const following = a.recorder.follow();
  a.do({ do: 'setIntake', customer: 'in between' });
  await following;
  await a.recorder.settled();
  for (const job of [a.job, await inRecord('one')])
    expect(job).toMatchObject({ customer: 'in between', intake: { note: 'B' } });
});
test('order of change is a counter: a clock set back does not put the last touched job last', async () => {
  await putJobs([newJob('two', 'Two', new Date('2031-01-01T00:00:00Z'))]);
  const a = await new Window('a').open('one', rev);
  a.do({ do: 'setIntake', customer: 'A', at: '1999-01-01T00:00:00Z' });
  await a.recorder.settled();
  const { loadRows } = await import('../storage/db.ts');
  expect((await loadRows()).map((r) => r.id)).toEqual(['one', 'two']);
  // and what it wrote is taken in again
  expect(readDocument(writeBackup(demoShop(), [await inRecord('one')]))).toMatchObject({ ok: true, left: [] });
});
