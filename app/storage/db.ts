import Dexie, { type EntityTable, type Transaction } from 'dexie';
import type { Checked } from '../../core/formats/checkWith.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { JOB_VERSION } from '../../core/job/stations.ts';
import { HISTORY_LIMIT, type StepTaken } from './history.ts';
import { fetchKnowing, knowing } from './knowing.ts';
import type { JobRow, RowLine } from './rows.ts';
import { ROW_VERSION } from './rowVersion.ts';

export interface StoredJob {
  readonly id: string;
  /** Counts the times it was written: who writes has to have seen the one before. */
  readonly rev: number;
  readonly touched: number;
  /** As it lies there: checked when it is read. */
  readonly doc: unknown;
}
export interface StoredShop {
  readonly id: 'shop';
  readonly rev: number;
  readonly doc: unknown;
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
/** What did not hold and was replaced, as it was found. */
interface SetAside {
  readonly seq?: number;
  readonly what: string;
  readonly at: string;
  readonly doc: unknown;
}

/** A picture of a job, as it was taken; what is said of it stands in the job. */
export interface StoredPicture {
  readonly id: string;
  readonly jobId: string;
  readonly blob: Blob;
}

/** A job that was removed, as it lay there: until it is emptied it can be brought back. */
export interface Removed {
  readonly id: string;
  readonly title: string;
  readonly at: string;
  readonly rev: number;
  readonly doc: unknown;
}

export const DB_NAME = 'gelvin';
export const DB_VERSION = 5;

/** The record. A document is put whole in one transaction that checks whether it is still the one that was read. */
class GelvinDb extends Dexie {
  jobs!: EntityTable<StoredJob, 'id'>;
  rows!: EntityTable<JobRow, 'id'>;
  shop!: EntityTable<StoredShop, 'id'>;
  revisions!: EntityTable<Revision, 'seq'>;
  aside!: EntityTable<SetAside, 'seq'>;
  pictures!: EntityTable<StoredPicture, 'id'>;
  removed!: EntityTable<Removed, 'id'>;

  constructor(name: string) {
    // written means on the disk, not in a buffer that dies with the browser
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ jobs: 'id, changed', shop: 'id', revisions: '++seq, jobId' });
    for (const version of [2, 3]) this.version(version).upgrade(bringUpToDate);
    this.version(4)
      .stores({ jobs: 'id, touched', rows: 'id', aside: '++seq' })
      .upgrade(async (tx) => {
        await bringUpToDate(tx);
        await countFromHere(tx);
      });
    this.version(DB_VERSION).stores({ pictures: 'id, jobId', removed: 'id, at' }).upgrade(bringUpToDate);
  }
}

/** Every document of the record in today's shape, as far as it can be read; one that cannot stays as it is. What knows the shapes is here by then. */
async function bringUpToDate(tx: Transaction): Promise<void> {
  const { upgradeJob, upgradeShop } = knowing();
  const steps = { shop: upgradeShop, jobs: upgradeJob, revisions: upgradeJob };
  for (const [table, step] of Object.entries(steps))
    await tx
      .table<{ doc: unknown }>(table)
      .toCollection()
      .modify((s) => {
        try {
          s.doc = step(s.doc);
        } catch {
          // said where it is opened
        }
      });
}
/** Revisions and order of change, where there were none. */
async function countFromHere(tx: Transaction): Promise<void> {
  const jobs = tx.table<Record<string, unknown>>('jobs');
  const ids = (await jobs.toArray())
    .map((j) => [typeof j['changed'] === 'string' ? j['changed'] : '', j['id']] as const)
    .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
    .map(([, id]) => id);
  const place = new Map(ids.map((id, i) => [id, i + 1]));
  await jobs.toCollection().modify((j) => {
    j['rev'] = 1;
    j['touched'] = place.get(j['id']) ?? 0;
    delete j['changed'];
  });
  await tx
    .table<Record<string, unknown>>('shop')
    .toCollection()
    .modify((s) => void (s['rev'] = 1));
}

export const db = new GelvinDb(DB_NAME);

/** What stands after the last change, of everything. */
const nextTouched = async (): Promise<number> => {
  // the key alone: the document beside it may be large
  const [last] = await db.jobs.orderBy('touched').reverse().limit(1).keys();
  return (typeof last === 'number' ? last : 0) + 1;
};

/** Documents that are to be written, each with the revision that was read; null: it is new. */
export interface Writing {
  readonly job: { readonly doc: Job; readonly rev: number | null } | null;
  readonly shop: { readonly doc: Shop; readonly rev: number | null } | null;
}
export type Written =
  | { readonly done: true; readonly jobRev: number | null; readonly shopRev: number | null }
  /** Somebody else wrote first, or took the job away. */
  | { readonly done: false; readonly gone: boolean };

/** Writes documents in one strict transaction, or nothing where one of them is not any more what was read. */
export function writeDocuments({ job, shop }: Writing): Promise<Written> {
  return db.transaction('rw', db.jobs, db.shop, async (): Promise<Written> => {
    // asked together: each answer waits for the page to be free
    const [storedJob, storedShop, touched] = await Promise.all([
      job ? db.jobs.get(job.doc.id) : undefined,
      shop ? db.shop.get('shop') : undefined,
      job ? nextTouched() : 0,
    ]);
    if (job && job.rev !== null && !storedJob) return { done: false, gone: true };
    if (job && storedJob && storedJob.rev !== job.rev) return { done: false, gone: false };
    if (shop && storedShop && storedShop.rev !== shop.rev) return { done: false, gone: false };
    const jobRev = job ? (job.rev ?? 0) + 1 : null;
    const shopRev = shop ? (shop.rev ?? 0) + 1 : null;
    await Promise.all([
      job && jobRev !== null ? db.jobs.put({ id: job.doc.id, rev: jobRev, touched, doc: job.doc }) : undefined,
      shop && shopRev !== null ? db.shop.put({ id: 'shop', rev: shopRev, doc: shop.doc }) : undefined,
    ]);
    return { done: true, jobRev, shopRev };
  });
}

const revisionOf = (jobId: string, step: StepTaken<Job>): Revision => ({
  jobId,
  label: step.label,
  events: step.events,
  doc: step.value,
});

/** What may follow a written job in its own time: the road back, and its row in the list. */
export async function writeRoad(
  doc: Job,
  past: readonly StepTaken<Job>[],
  shop: { readonly doc: Shop; readonly rev: number } | null,
): Promise<void> {
  const { lineOf, rowOf } = await fetchKnowing();
  await db.transaction('rw', db.jobs, db.rows, db.revisions, async () => {
    const stored = await db.jobs.get(doc.id);
    if (!stored) return;
    await db.rows.put(
      rowOf(doc.id, doc, { state: 'good', doc }, stored.touched, shop && lineOf(doc, shop.doc, shop.rev)),
    );
    const kept = await db.revisions.where('jobId').equals(doc.id).primaryKeys();
    const wanted = Math.min(past.length, HISTORY_LIMIT);
    // an edit adds one step and an undo takes one away; only the difference is written
    if (kept.length > wanted) await db.revisions.bulkDelete(kept.slice(wanted));
    const have = Math.min(kept.length, wanted);
    if (past.length >= HISTORY_LIMIT && kept.length === HISTORY_LIMIT && kept[0] !== undefined) {
      await db.revisions.delete(kept[0]);
      const last = past.at(-1);
      if (last) await db.revisions.add(revisionOf(doc.id, last));
      return;
    }
    await db.revisions.bulkAdd(past.slice(have).map((p) => revisionOf(doc.id, p)));
  });
}

/** A job as it lies there, checked, with its road back. */
export interface Found {
  readonly raw: unknown;
  readonly rev: number;
  readonly checked: Checked<Job>;
  readonly past: readonly StepTaken<Job>[];
}
export async function loadJob(id: string): Promise<Found | null> {
  const { checkJob } = await fetchKnowing();
  const [stored, revisions] = await db.transaction('r', db.jobs, db.revisions, () =>
    Promise.all([db.jobs.get(id), db.revisions.where('jobId').equals(id).sortBy('seq')]),
  );
  if (!stored) return null;
  // a step held when it was made; one that could not be brought up to date is no step any more
  const past = revisions
    .filter((r) => r.doc.version === JOB_VERSION)
    .map((r) => ({ value: r.doc, label: r.label, events: r.events ?? [] }));
  return { raw: stored.doc, rev: stored.rev, checked: checkJob(stored.doc), past };
}

/** Rows that are made at a time while the list waits. */
const AT_ONCE = 500;
/** All rows of the list, last changed first; jobs that have none yet get theirs. */
export async function loadRows(): Promise<JobRow[]> {
  const [rows, ids] = await Promise.all([db.rows.toArray(), db.jobs.toCollection().primaryKeys()]);
  const have = new Set(rows.filter((r) => r.v === ROW_VERSION).map((r) => r.id));
  const there = new Set(ids);
  const missing = ids.filter((id) => !have.has(id));
  const made: JobRow[] = [];
  for (let i = 0; i < missing.length; i += AT_ONCE) {
    const stored = await db.jobs.bulkGet(missing.slice(i, i + AT_ONCE));
    const { checkJob, rowOf } = await fetchKnowing();
    for (const s of stored) if (s) made.push(rowOf(s.id, s.doc, checkJob(s.doc), s.touched, null));
  }
  if (made.length > 0) await db.rows.bulkPut(made);
  const orphans = rows.filter((r) => !there.has(r.id)).map((r) => r.id);
  if (orphans.length > 0) await db.rows.bulkDelete(orphans);
  return [...rows.filter((r) => there.has(r.id) && have.has(r.id)), ...made].sort((a, b) => b.touched - a.touched);
}

/** The line of a row as it is now, kept for the next time. */
export async function freshLine(id: string, shop: Shop, shopRev: number): Promise<RowLine | null> {
  const [{ checkJob, lineOf }, stored] = await Promise.all([fetchKnowing(), db.jobs.get(id)]);
  const checked = stored && checkJob(stored.doc);
  if (checked?.state !== 'good') return null;
  const line = lineOf(checked.doc, shop, shopRev);
  await db.rows.update(id, { line });
  return line;
}

/** A job out of the list; it and its pictures stay until they are emptied. */
export const removeJob = (id: string, title: string, at: string): Promise<void> =>
  db.transaction('rw', db.jobs, db.rows, db.revisions, db.removed, async () => {
    const stored = await db.jobs.get(id);
    if (stored) await db.removed.put({ id, title, at, rev: stored.rev, doc: stored.doc });
    await Promise.all([db.jobs.delete(id), db.rows.delete(id), db.revisions.where('jobId').equals(id).delete()]);
  });
/** A job put away, or taken out again: it stays where it is and keeps its place in the order of change. @returns its revision */
export async function putJobAway(id: string, archived: boolean): Promise<number> {
  const { checkJob, putAway, rowOf } = await fetchKnowing();
  return db.transaction('rw', db.jobs, db.rows, async () => {
    const stored = await db.jobs.get(id);
    const checked = stored && checkJob(stored.doc);
    if (!stored || checked?.state !== 'good') throw new Error('this job cannot be read');
    const rev = stored.rev + 1;
    const doc = putAway(checked.doc, archived);
    const row = await db.rows.get(id);
    await db.jobs.put({ ...stored, rev, doc });
    await db.rows.put(rowOf(id, doc, { state: 'good', doc }, stored.touched, row?.line ?? null));
    return rev;
  });
}
/** What was removed and is not there again, the last first. */
export async function removedJobs(): Promise<Removed[]> {
  const removed = await db.removed.orderBy('at').reverse().toArray();
  const there = await db.jobs.bulkGet(removed.map((r) => r.id));
  return removed.filter((_, i) => !there[i]);
}
/** A removed job back in the list, changed last; a job that came in its place meanwhile stays. @returns whether it is back */
export const bringBack = (id: string): Promise<boolean> =>
  db.transaction('rw', db.jobs, db.removed, async () => {
    const removed = await db.removed.get(id);
    if (!removed || (await db.jobs.get(id))) return false;
    // its row is made when the list is read; a window that still holds the old one sees that this is another
    await db.jobs.put({ id, rev: removed.rev + 1, touched: await nextTouched(), doc: removed.doc });
    await db.removed.delete(id);
    return true;
  });
/** What was removed goes for good, with its pictures. */
export const emptyRemoved = (): Promise<void> =>
  db.transaction('rw', db.removed, db.pictures, db.jobs, async () => {
    const gone = (await db.removed.toCollection().primaryKeys()).map(String);
    const there = new Set((await db.jobs.toCollection().primaryKeys()).map(String));
    await db.pictures
      .where('jobId')
      .anyOf(gone.filter((id) => !there.has(id)))
      .delete();
    await db.removed.clear();
  });

/** Keeps a picture; it is there before the job speaks of it. */
export const putPicture = (picture: StoredPicture): Promise<unknown> => db.pictures.put(picture);
/** Keeps the pictures that jobs speak of, out of those that came with them. */
export async function putPictures(jobs: readonly Job[], pictures: ReadonlyMap<string, Blob>): Promise<void> {
  const stored = jobs.flatMap((j) =>
    j.pictures.flatMap((p) => {
      const blob = pictures.get(p.id);
      return blob ? [{ id: p.id, jobId: j.id, blob }] : [];
    }),
  );
  if (stored.length > 0) await db.pictures.bulkPut(stored);
}
/** A picture of a job; null: it is not in this browser. */
export const loadPicture = async (id: string): Promise<Blob | null> => (await db.pictures.get(id))?.blob ?? null;

/** Adds or replaces jobs; each counts as changed after everything else, in the order given. */
export async function putJobs(jobs: readonly Job[]): Promise<void> {
  const { rowOf } = await fetchKnowing();
  await db.transaction('rw', db.jobs, db.rows, db.revisions, async () => {
    const first = await nextTouched();
    const there = await db.jobs.bulkGet(jobs.map((j) => j.id));
    await db.jobs.bulkPut(
      jobs.map((doc, i) => ({ id: doc.id, rev: (there[i]?.rev ?? 0) + 1, touched: first + i, doc })),
    );
    await db.rows.bulkPut(jobs.map((doc, i) => rowOf(doc.id, doc, { state: 'good', doc }, first + i, null)));
    await db.revisions
      .where('jobId')
      .anyOf(jobs.map((j) => j.id))
      .delete();
  });
}

/** Replaces everything with a backup, or nothing at all. @returns the shop's revision */
export async function replaceAll(shop: Shop, jobs: readonly Job[]): Promise<number> {
  const { rowOf } = await fetchKnowing();
  return db.transaction('rw', [db.jobs, db.rows, db.shop, db.revisions, db.pictures, db.removed], async () => {
    const rev = ((await db.shop.get('shop'))?.rev ?? 0) + 1;
    // revisions go on counting: a window that still holds the old job has to see that this is another
    const before = new Map((await db.jobs.bulkGet(jobs.map((j) => j.id))).map((s) => [s?.id, s?.rev ?? 0]));
    await Promise.all([db.jobs.clear(), db.rows.clear(), db.revisions.clear()]);
    await db.pictures
      .where('jobId')
      .noneOf(jobs.map((j) => j.id))
      .delete();
    await db.shop.put({ id: 'shop', rev, doc: shop });
    // the last changed stands first, whatever the order in the file
    const order = jobs.toSorted((a, b) => (a.changed < b.changed ? -1 : a.changed > b.changed ? 1 : 0));
    await db.jobs.bulkPut(
      order.map((doc, i) => ({ id: doc.id, rev: (before.get(doc.id) ?? 0) + 1, touched: i + 1, doc })),
    );
    await db.rows.bulkPut(order.map((doc, i) => rowOf(doc.id, doc, { state: 'good', doc }, i + 1, null)));
    return rev;
  });
}

/** Every job as it lies there: those that hold; the others raw, with what repairs have set aside. */
export async function loadAll(): Promise<{ readonly jobs: Job[]; readonly others: unknown[] }> {
  const jobs: Job[] = [];
  const others: unknown[] = [];
  const { checkJob } = await fetchKnowing();
  for (const { doc } of await db.jobs.orderBy('touched').reverse().toArray()) {
    const checked = checkJob(doc);
    if (checked.state === 'good') jobs.push(checked.doc);
    else others.push(doc);
  }
  others.push(...(await db.aside.toArray()));
  return { jobs, others };
}

/** Puts a repaired job in the damaged one's place, which is set aside as it was. */
export async function putRepaired(id: string, raw: unknown, doc: Job, at: string): Promise<void> {
  const { rowOf } = await fetchKnowing();
  await db.transaction('rw', db.jobs, db.rows, db.aside, async () => {
    await db.aside.add({ what: `job ${id}`, at, doc: raw });
    const stored = await db.jobs.get(id);
    const touched = await nextTouched();
    await db.jobs.put({ id, rev: (stored?.rev ?? 0) + 1, touched, doc });
    await db.rows.put(rowOf(id, doc, { state: 'good', doc }, touched, null));
  });
}
