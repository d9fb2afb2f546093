import Dexie from 'dexie';
import { checkShop } from '../../core/formats/checkShop.ts';
import { emptyShop } from '../../core/job/create.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { db, DB_NAME, DB_VERSION } from './db.ts';
import { fetchKnowing } from './knowing.ts';
import type { JobRow } from './rows.ts';

/** How the record was found. */
export type Opened =
  | {
      readonly kind: 'ready';
      readonly shop: Shop;
      readonly rev: number;
      /** The shop's own record was not there, or did not hold: what was let go of, "" for all of it. */
      readonly madeAnew: readonly string[] | null;
    }
  /** Made by a newer Gelvin: shown and exported, never written. */
  | { readonly kind: 'newer'; readonly what: 'database' | 'shop'; readonly version: string };

/** Dexie keeps ten of the browser's versions for one of its own, and opens a database of a higher one without a word. */
const installed = (raw: Dexie): number => raw.backendDB().version / 10;

/** The version that lies there, without opening it where the browser can say so; 0: there is none. */
async function versionThere(): Promise<number> {
  if (typeof indexedDB.databases === 'function')
    return ((await indexedDB.databases()).find((d) => d.name === DB_NAME)?.version ?? 0) / 10;
  return (await Dexie.exists(DB_NAME)) ? asItIs((raw) => Promise.resolve(installed(raw))) : 0;
}
const isOlder = async (): Promise<boolean> => {
  const there = await versionThere();
  return there > 0 && there < DB_VERSION;
};

/** What a first visit finds in place. */
export interface Demo {
  readonly shop: Shop;
  /** In order of last change. */
  readonly jobs: readonly Job[];
  readonly rows: readonly JobRow[];
}

/**
 * After the browser itself was killed its store may stay shut until the last of its old processes is gone: it is asked again
 * after so long each time, ms. Seen with the browser killed in the middle of writing pictures.
 */
const AGAIN_MS = [150, 300, 600, 1200, 2400];
const isShut = (e: unknown): boolean => e instanceof Error && e.name === 'UnknownError';
/** What a store answers, once it gives it. */
async function onceItGives<T>(ask: () => Promise<T>): Promise<T> {
  for (const ms of AGAIN_MS)
    try {
      return await ask();
    } catch (e) {
      if (!isShut(e)) throw e;
      await new Promise((again) => setTimeout(again, ms));
    }
  return ask();
}

/**
 * Opens the record. The demo is put in only where there is nothing at all; a shop that is missing or damaged is made anew
 * beside the jobs, which stay.
 * @param demo what a first visit finds in place
 */
export async function openRecord(demo: () => Promise<Demo>): Promise<Opened> {
  // an older record is brought up to date while it is opened, and that waits for nothing
  if (await onceItGives(isOlder)) await fetchKnowing();
  await onceItGives(async () => db.open());
  const there = installed(db);
  if (there > DB_VERSION) {
    // nothing in this window may write to it by mistake
    db.close({ disableAutoOpen: true });
    return { kind: 'newer', what: 'database', version: String(there) };
  }
  const lies = await readShop();
  if (lies) return lies;
  const isEmpty = async (): Promise<boolean> =>
    (await Promise.all(db.tables.map((t) => t.count()))).every((n) => n === 0);
  // what may be wanted is fetched before the transaction: that waits for nothing else
  const given = (await isEmpty()) ? await demo() : null;
  const mend = given ? null : (await fetchKnowing()).repairShop;
  return db.transaction('rw', db.tables, async (): Promise<Opened> => {
    // another window may have been first
    const made = await readShop();
    if (made) return made;
    const stored = await db.shop.get('shop');
    if (given && (await isEmpty())) {
      const { shop, jobs, rows } = given;
      await db.shop.put({ id: 'shop', rev: 1, doc: shop });
      await db.jobs.bulkPut(jobs.map((doc, i) => ({ id: doc.id, rev: 1, touched: i + 1, doc })));
      await db.rows.bulkPut(rows);
      return { kind: 'ready', shop, rev: 1, madeAnew: null };
    }
    const repaired = stored && mend ? mend(stored.doc) : null;
    if (stored) await db.aside.add({ what: 'shop', at: new Date().toISOString(), doc: stored.doc });
    const shop = repaired?.doc ?? emptyShop();
    const rev = (stored?.rev ?? 0) + 1;
    await db.shop.put({ id: 'shop', rev, doc: shop });
    return { kind: 'ready', shop, rev, madeAnew: repaired?.lost ?? [''] };
  });
}

/** The shop as it lies there, when it holds or is of a newer Gelvin; null: there is none, or it does not hold. */
async function readShop(): Promise<Opened | null> {
  const stored = await db.shop.get('shop');
  if (!stored || stored.doc === null) return null;
  const checked = checkShop(stored.doc);
  if (checked.state === 'newer') return { kind: 'newer', what: 'shop', version: checked.version };
  return checked.state === 'good' ? { kind: 'ready', shop: checked.doc, rev: stored.rev, madeAnew: null } : null;
}

/** Opened without saying which version is wanted: whatever is there is only read. */
async function asItIs<T>(read: (raw: Dexie) => Promise<T>): Promise<T> {
  const raw = new Dexie(DB_NAME);
  try {
    await onceItGives(async () => raw.open());
    return await read(raw);
  } finally {
    raw.close();
  }
}
/** Everything in the record as it lies there, for a file: also of a newer or a damaged one. */
export const rawRecord = (): Promise<Record<string, unknown[]>> =>
  asItIs(async (raw) =>
    Object.fromEntries(await Promise.all(raw.tables.map(async (t) => [t.name, await t.toArray()] as const))),
  );
/** How many jobs the record of this address holds; null: there is no record. */
export const jobsHere = async (): Promise<number | null> =>
  (await Dexie.exists(DB_NAME)) ? asItIs((raw) => raw.table('jobs').count()) : null;
