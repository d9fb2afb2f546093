import Dexie, { type EntityTable, type Transaction } from 'dexie';
import { upgradeJob, upgradeShop } from '../../core/formats/upgrade.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { HISTORY_LIMIT, type StepTaken } from '../store/history.ts';

interface StoredJob {
  readonly id: string;
  readonly changed: string;
  readonly doc: Job;
}
interface StoredShop {
  readonly id: 'shop';
  readonly doc: Shop;
}
/** A job as it was before an edit: the road back survives closing the lid. */
interface Revision {
  readonly seq?: number;
  readonly jobId: string;
  readonly label: string;
  /** Events that the edit wrote to the ledger; older revisions wrote none. */
  readonly events?: readonly number[];
  readonly doc: Job;
}

/** The record. Every edit is one transaction, so a job is never half saved. */
class GelvinDb extends Dexie {
  jobs!: EntityTable<StoredJob, 'id'>;
  shop!: EntityTable<StoredShop, 'id'>;
  revisions!: EntityTable<Revision, 'seq'>;

  constructor(name: string) {
    super(name);
    this.version(1).stores({ jobs: 'id, changed', shop: 'id', revisions: '++seq, jobId' });
    for (const version of [2, 3]) this.version(version).upgrade(bringUpToDate);
  }
}

/** Every document of the record, shop, jobs and the road back of each, in today's shape. */
async function bringUpToDate(tx: Transaction): Promise<void> {
  await tx
    .table<StoredShop>('shop')
    .toCollection()
    .modify((s) => void Object.assign(s, { doc: upgradeShop(s.doc) }));
  for (const table of ['jobs', 'revisions'])
    await tx
      .table<StoredJob>(table)
      .toCollection()
      .modify((s) => void Object.assign(s, { doc: upgradeJob(s.doc) }));
}

export const db = new GelvinDb('gelvin');

export const loadShop = async (): Promise<Shop | null> => (await db.shop.get('shop'))?.doc ?? null;
export const saveShop = (doc: Shop): Promise<unknown> => db.shop.put({ id: 'shop', doc });

/** All jobs, last changed first. */
export const loadJobs = async (): Promise<Job[]> =>
  (await db.jobs.orderBy('changed').reverse().toArray()).map((j) => j.doc);

export async function loadJob(id: string): Promise<{ job: Job; past: StepTaken<Job>[] } | null> {
  return db.transaction('r', db.jobs, db.revisions, async () => {
    const stored = await db.jobs.get(id);
    if (!stored) return null;
    const revisions = await db.revisions.where('jobId').equals(id).sortBy('seq');
    return { job: stored.doc, past: revisions.map((r) => ({ value: r.doc, label: r.label, events: r.events ?? [] })) };
  });
}

const revisionOf = (jobId: string, step: StepTaken<Job>): Revision => ({
  jobId,
  label: step.label,
  events: step.events,
  doc: step.value,
});

/** Saves a job after an edit, an undo or a redo: the document and the exact road back, in one transaction. */
export async function saveJob(doc: Job, past: readonly StepTaken<Job>[]): Promise<void> {
  await db.transaction('rw', db.jobs, db.revisions, async () => {
    await db.jobs.put({ id: doc.id, changed: doc.changed, doc });
    const kept = await db.revisions.where('jobId').equals(doc.id).primaryKeys();
    const wanted = Math.min(past.length, HISTORY_LIMIT);
    // an edit adds one step and an undo takes one away; only the difference is written
    if (kept.length > wanted) await db.revisions.bulkDelete(kept.slice(wanted));
    const have = Math.min(kept.length, wanted);
    if (past.length >= HISTORY_LIMIT && kept.length === HISTORY_LIMIT && kept[0] !== undefined) {
      const oldest = kept[0];
      await db.revisions.delete(oldest);
      const last = past.at(-1);
      if (last) await db.revisions.add(revisionOf(doc.id, last));
      return;
    }
    await db.revisions.bulkAdd(past.slice(have).map((p) => revisionOf(doc.id, p)));
  });
}

export async function deleteJob(id: string): Promise<void> {
  await db.transaction('rw', db.jobs, db.revisions, async () => {
    await db.jobs.delete(id);
    await db.revisions.where('jobId').equals(id).delete();
  });
}

export const putJobs = (jobs: readonly Job[]): Promise<unknown> =>
  db.jobs.bulkPut(jobs.map((doc) => ({ id: doc.id, changed: doc.changed, doc })));

/** Replaces everything with a backup, or nothing at all. */
export async function replaceAll(shop: Shop, jobs: readonly Job[]): Promise<void> {
  await db.transaction('rw', db.jobs, db.shop, db.revisions, async () => {
    await Promise.all([db.jobs.clear(), db.revisions.clear(), db.shop.clear()]);
    await db.shop.put({ id: 'shop', doc: shop });
    await db.jobs.bulkPut(jobs.map((doc) => ({ id: doc.id, changed: doc.changed, doc })));
  });
}
