import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newJob } from '../../core/job/create.ts';
import type { Job } from '../../core/job/schema.ts';
import { db, removeJob, loadJob, loadRows, putJobs, replaceAll, writeRoad } from '../storage/db.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { begin, edit, HISTORY_LIMIT, redo, undo, type History } from '../storage/history.ts';
import { act, allSaved, holdUnwritten, openJob, openShop, redoJob, store, undoJob } from './store.ts';

describe('history', () => {
  test('undo and redo walk the same road, whatever the steps', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('edit', 'undo', 'redo'), { maxLength: 60 }), (steps) => {
        let h: History<number> = begin(0);
        let n = 0;
        const road = [0];
        let at = 0;
        for (const s of steps) {
          if (s === 'edit') {
            n += 1;
            h = edit(h, n, `to ${n}`);
            road.splice(at + 1, road.length, n);
            at += 1;
          } else if (s === 'undo') {
            h = undo(h);
            at = Math.max(0, at - 1);
          } else {
            h = redo(h);
            at = Math.min(road.length - 1, at + 1);
          }
          expect(h.present).toBe(road[at]);
        }
      }),
    );
  });
  test('keeps no more than the limit', () => {
    let h: History<number> = begin(0);
    for (let i = 1; i <= HISTORY_LIMIT + 20; i += 1) h = edit(h, i, '');
    expect(h.past.length).toBeLessThanOrEqual(HISTORY_LIMIT);
  });
});

beforeEach(async () => openShop(demoShop(), await replaceAll(demoShop(), [])));
afterEach(allSaved);
const job = () => newJob('one', 'One', new Date('2026-01-01T00:00:00Z'));

const docOf = (found: Awaited<ReturnType<typeof loadJob>>): Job | null =>
  found?.checked.state === 'good' ? found.checked.doc : null;

describe('the record', () => {
  test('every edit is written down with the road back, and found again', async () => {
    await putJobs([job()]);
    openJob(job(), [], 1);
    act({ do: 'setIntake', customer: 'A' });
    act({ do: 'setIntake', customer: 'B' });
    undoJob();
    await allSaved();
    expect(await loadJob('one')).toMatchObject({
      checked: { doc: { customer: 'A' } },
      past: [{ label: 'change the customer', value: { customer: '' } }],
    });
    redoJob();
    await allSaved();
    const found = await loadJob('one');
    expect(docOf(found)?.customer).toBe('B');
    expect(found?.past.map((p) => p.value.customer)).toEqual(['', 'A']);
  });

  test('the page asks before it is left while a change is not written down, and no longer than that', async () => {
    const asks = (): boolean => {
      let asked = false;
      holdUnwritten({ preventDefault: () => void (asked = true) });
      return asked;
    };
    await putJobs([job()]);
    openJob(job(), [], 1);
    expect(asks()).toBe(false);
    act({ do: 'setIntake', customer: 'A' });
    expect(asks()).toBe(true);
    await allSaved();
    expect(asks()).toBe(false);
  });

  test('a new road after undo replaces the old one', async () => {
    await putJobs([job()]);
    openJob(job(), [], 1);
    act({ do: 'setIntake', customer: 'A' });
    act({ do: 'setIntake', customer: 'B' });
    undoJob();
    act({ do: 'setIntake', customer: 'C' });
    await allSaved();
    const found = await loadJob('one');
    expect(docOf(found)?.customer).toBe('C');
    expect(found?.past.map((p) => p.value.customer)).toEqual(['', 'A']);
  });

  test('undo of what was done at the lathe strikes it through, and so does redo; closing the lid changes nothing', async () => {
    await putJobs([job()]);
    openJob(job(), [], 1);
    act({ do: 'runOut', fullMm: 0.1 });
    act({ do: 'setIntake', customer: 'A' });
    undoJob();
    undoJob();
    const kinds = (): string[] => store.getState().work.job?.present.events.map((e) => e.kind) ?? [];
    expect(kinds()).toEqual(['runOutRead', 'voided']);
    await allSaved();
    redoJob();
    expect(kinds()).toEqual(['runOutRead', 'voided', 'voided']);
    await allSaved();
    const found = await loadJob('one');
    expect(found?.past.map((p) => p.events)).toEqual([[3]]);
    openJob(docOf(found) ?? job(), found?.past ?? [], found?.rev ?? null);
    undoJob();
    expect(kinds()).toEqual(['runOutRead', 'voided', 'voided', 'voided']);
  });

  test('what is refused changes nothing, and is said until something is done', () => {
    openJob(job(), [], 1);
    expect(act({ do: 'passDone' })?.field).toBe('pass');
    expect(store.getState().work).toMatchObject({ refused: { field: 'pass' }, job: { past: [] } });
    act({ do: 'setIntake', customer: 'B' });
    expect(store.getState().work.refused).toBeNull();
  });

  test('the road in storage is bounded', async () => {
    await putJobs([job()]);
    let h = begin(job());
    for (let i = 0; i < HISTORY_LIMIT + 5; i += 1) {
      h = edit(h, { ...h.present, customer: String(i) }, `step ${i}`);
      await writeRoad(h.present, h.past, null);
    }
    const found = await loadJob('one');
    expect(found?.past).toHaveLength(h.past.length);
    expect(found?.past.at(-1)?.label).toBe(`step ${HISTORY_LIMIT + 4}`);
    expect(await db.revisions.count()).toBeLessThanOrEqual(HISTORY_LIMIT);
  });

  test('a backup replaces everything; a removed job is gone with its road', async () => {
    await putJobs([job()]);
    await writeRoad(job(), [{ value: job(), label: 'x', events: [] }], null);
    await replaceAll(demoShop(), demoJobs());
    expect((await loadRows()).map((j) => j.id)).not.toContain('one');
    await removeJob('demo-brass', 'demo-brass', '2026-11-27T08:00:00.000Z');
    expect(await loadJob('demo-brass')).toBeNull();
  });
});
