import Dexie from 'dexie';
import { checkShop } from '../../core/formats/check.ts';
import { repairShop } from '../../core/formats/repair.ts';
import { emptyShop } from '../../core/job/create.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { db, DB_NAME, DB_VERSION } from './db.ts';

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

/** What a first visit finds in place. */
export interface Demo {
  readonly shop: Shop;
  readonly jobs: readonly Job[];
}

/**
 * Opens the record. The demo is put in only where there is nothing at all; a shop that is missing or damaged is made anew
 * beside the jobs, which stay.
 * @param demo what a first visit finds in place
 */
export async function openRecord(demo: () => Promise<Demo>): Promise<Opened> {
  await db.open();
  const there = installed(db);
  if (there > DB_VERSION) {
    // nothing in this window may write to it by mistake
    db.close({ disableAutoOpen: true });
    return { kind: 'newer', what: 'database', version: String(there) };
  }
  // fetched only where it is wanted, and before the transaction: that waits for nothing else
  const isEmpty = async (): Promise<boolean> =>
    (await Promise.all(db.tables.map((t) => t.count()))).every((n) => n === 0);
  const given = (await isEmpty()) ? await demo() : null;
  return db.transaction('rw', db.tables, async (): Promise<Opened> => {
    const stored = await db.shop.get('shop');
    const checked = stored && stored.doc !== null ? checkShop(stored.doc) : null;
    if (checked?.state === 'newer') return { kind: 'newer', what: 'shop', version: checked.version };
    if (stored && checked?.state === 'good')
      return { kind: 'ready', shop: checked.doc, rev: stored.rev, madeAnew: null };
    if (given && (await isEmpty())) {
      const { shop, jobs } = given;
      await db.shop.put({ id: 'shop', rev: 1, doc: shop });
      const order = jobs.toSorted((a, b) => (a.changed < b.changed ? -1 : 1));
      await db.jobs.bulkPut(order.map((doc, i) => ({ id: doc.id, rev: 1, touched: i + 1, doc })));
      return { kind: 'ready', shop, rev: 1, madeAnew: null };
    }
    const repaired = stored ? repairShop(stored.doc) : null;
    if (stored) await db.aside.add({ what: 'shop', at: new Date().toISOString(), doc: stored.doc });
    const shop = repaired?.doc ?? emptyShop();
    const rev = (stored?.rev ?? 0) + 1;
    await db.shop.put({ id: 'shop', rev, doc: shop });
    return { kind: 'ready', shop, rev, madeAnew: repaired?.lost ?? [''] };
  });
}

/** Opened without saying which version is wanted: whatever is there is only read. */
async function asItIs<T>(read: (raw: Dexie) => Promise<T>): Promise<T> {
  const raw = new Dexie(DB_NAME);
  try {
    await raw.open();
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
