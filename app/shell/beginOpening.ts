import { type Opened, jobsHere, openRecord } from '../storage/opening.ts';
import { db } from '../storage/db.ts';
import { fetchDemo } from '../storage/demo.ts';
import { openShop } from '../store/store.ts';
import { storageText } from '../../words/storage.ts';

type State =
  | { readonly kind: 'opening' }
  | { readonly kind: 'blocked' }
  | { readonly kind: 'superseded' }
  | { readonly kind: 'failed'; readonly because: string }
  | { readonly kind: 'elsewhere'; readonly jobs: number | null }
  | Opened;

const OTHER_NAMES = new Set(['localhost', '[::1]', '0.0.0.0']);

export let last: State = { kind: 'opening' };

const listeners = new Set<() => void>();

export const listen = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => void listeners.delete(f);
};

const say = (s: State): void => {
  last = s;
  for (const f of listeners) f();
};

/** The view of this address is fetched while the record is opened: neither waits for the other. */
async function fetchView(): Promise<void> {
  const [, shelf = '', job, station = 'read', mode] = location.pathname.split('/');
  if (job === undefined && ['', 'jobs'].includes(shelf)) await import('../shop/Jobs.tsx');
  if (job === undefined || shelf !== 'jobs') return;
  const page = Promise.all([import('../job/JobPage.tsx'), import('../job/StationPage.tsx')]);
  const { fetchStation } = await import('../job/stationViews.ts');
  await fetchStation(station, mode);
  await page;
}

async function open(): Promise<void> {
  // a view that cannot be fetched is said where it is shown
  fetchView().catch(() => undefined);
  if (OTHER_NAMES.has(location.hostname)) {
    say({ kind: 'elsewhere', jobs: await jobsHere() });
    return;
  }
  db.on('blocked', () => say({ kind: 'blocked' }));
  db.on('versionchange', () => {
    // a newer Gelvin wants to bring the record up to date: it gets it, and this window says so
    db.close();
    say({ kind: 'superseded' });
  });
  const opened = await openRecord(fetchDemo);
  if (opened.kind === 'ready') openShop(opened.shop, opened.rev);
  say(opened);
}

// one opening, however often it is asked for
let begun = false;

/** Begins to open the record: before the first frame is drawn, so that the one waits for nothing of the other. */
export function beginOpening(): void {
  if (begun) return;
  begun = true;
  open().catch((e: unknown) => say({ kind: 'failed', because: storageText(e) }));
}
