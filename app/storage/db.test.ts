import { expect, jest, test } from '@jest/globals';
import Dexie from 'dexie';
import { readFileSync } from 'node:fs';
import { emptyShop } from '../../core/job/create.ts';
import { JOB_VERSION, SHOP_VERSION } from '../../core/job/stations.ts';

interface Old {
  readonly shop: { readonly lathes: readonly Record<string, unknown>[] };
  readonly jobs: readonly { readonly id: string; readonly changed: string; readonly readings: unknown }[];
}

test('a record kept by version 1 is opened: shop, jobs and the road back are brought up to date', async () => {
  const old = JSON.parse(readFileSync(new URL('../../core/formats/backup-v1.json', import.meta.url), 'utf8')) as Old;
  const [job] = old.jobs;
  if (!job) throw new Error('fixture');
  const before = new Dexie('gelvin');
  before.version(1).stores({ jobs: 'id, changed', shop: 'id', revisions: '++seq, jobId' });
  await before.table('shop').put({ id: 'shop', doc: old.shop });
  await before.table('jobs').put({ id: job.id, changed: job.changed, doc: job });
  await before.table('revisions').add({ jobId: job.id, label: 'take a reading', doc: { ...job, readings: [] } });
  before.close();

  const { loadJob, loadRows } = await import('./db.ts');
  const { openRecord } = await import('./opening.ts');
  const found = await openRecord(() => Promise.resolve({ shop: emptyShop(), jobs: [], rows: [] }));
  const shop = found.kind === 'ready' ? found.shop : null;
  expect(shop?.version).toBe(SHOP_VERSION);
  expect(shop?.lathes).toHaveLength(old.shop.lathes.length);
  const { drive, ...kept } = old.shop.lathes[0] ?? {};
  expect(shop?.lathes[0]).toMatchObject({
    ...kept,
    kind: drive === 'electronic' ? 'electronic' : 'change-gears',
    pressureAngleDeg: 20,
    rightHandMeshes: null,
    arm: { studs: 2, pivot: null, cover: null },
  });
  const opened = await loadJob(job.id);
  expect(opened?.checked).toMatchObject({
    state: 'good',
    doc: { id: job.id, version: JOB_VERSION, readings: job.readings },
  });
  // what was counted in passes is a ledger now
  const now = opened?.checked.state === 'good' ? opened.checked.doc : null;
  expect(now?.events.map((e) => e.kind)).toContain('cut');
  expect(opened?.past).toMatchObject([
    { label: 'take a reading', events: [], value: { id: job.id, readings: [], version: JOB_VERSION } },
  ]);
  expect(await loadRows()).toMatchObject([{ id: job.id, state: 'good' }]);
});

test('a store that the browser still holds shut after it was killed is asked again; what refuses for good is said', async () => {
  const { db } = await import('./db.ts');
  const { openRecord } = await import('./opening.ts');
  const nothing = () => Promise.resolve({ shop: emptyShop(), jobs: [], rows: [] });
  const shut = Object.assign(new Error('Internal error opening backing store for indexedDB.open.'), {
    name: 'UnknownError',
  });
  const open = db.open.bind(db);
  let refused = 0;
  const asked = jest.spyOn(db, 'open').mockImplementation(() => {
    refused += 1;
    return refused <= 2 ? (Promise.reject(shut) as never) : open();
  });
  expect((await openRecord(nothing)).kind).toBe('ready');
  expect(refused).toBe(3);
  asked.mockImplementation(() => Promise.reject(Object.assign(new Error('none'), { name: 'SecurityError' })) as never);
  await expect(openRecord(nothing)).rejects.toThrow('none');
  asked.mockRestore();
});
