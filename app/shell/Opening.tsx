import { useEffect, useSyncExternalStore, type ReactNode } from 'react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { storageText } from '../../words/storage.ts';
import { routes } from '../routes.tsx';
import { DropSaid } from './DropSaid.tsx';
import { SeenNote } from './SeenNote.tsx';
import { PlainAddress } from './PlainAddress.tsx';
import { listenForDrops } from './drops.ts';
import { db, loadAll } from '../storage/db.ts';
import { emptyShop } from '../../core/job/create.ts';
import { fetchDemo } from '../storage/demo.ts';
import { EXPORT_RAW, exportRaw, exportShop } from '../storage/files.ts';
import { jobsHere, openRecord, type Opened } from '../storage/opening.ts';
import { openShop, useAppSelector } from '../store/store.ts';
import { Button } from '../ui/controls.tsx';
import { ExportButton } from '../ui/ExportButton.tsx';

type State =
  | { readonly kind: 'opening' }
  | { readonly kind: 'blocked' }
  | { readonly kind: 'superseded' }
  | { readonly kind: 'failed'; readonly because: string }
  | { readonly kind: 'elsewhere'; readonly jobs: number | null }
  | Opened;

/** The one address of a record: under another name of this machine the browser keeps another one. */
const HOME = '127.0.0.1';
const OTHER_NAMES = new Set(['localhost', '[::1]', '0.0.0.0']);

let last: State = { kind: 'opening' };
const listeners = new Set<() => void>();
const listen = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => void listeners.delete(f);
};
const say = (s: State): void => {
  last = s;
  for (const f of listeners) f();
};

/** The view of this address is fetched while the record is opened: neither waits for the other. */
const fetchView = (): Promise<unknown> => {
  if (/^\/(jobs)?$/.test(location.pathname)) return import('../shop/Jobs.tsx');
  return location.pathname.startsWith('/jobs/') ? import('../job/JobPage.tsx') : Promise.resolve();
};

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
let router: ReturnType<typeof createBrowserRouter> | null = null;

/** Opens the record, and says in a sentence where that does not go on. */
export function Opening() {
  const state = useSyncExternalStore(listen, () => last);
  const theme = useAppSelector((s) => s.work.shop?.present.settings.theme ?? 'auto');
  useTheme(theme);
  useEffect(beginOpening, []);
  useEffect(() => listenForDrops((path) => void router?.navigate(path)), []);
  switch (state.kind) {
    case 'opening':
      return (
        <main id="view" className="p-6">
          Opening the shop&hellip;
        </main>
      );
    case 'blocked':
      return (
        <Said title="Another window holds the record">
          <p>
            The record has to be brought up to date, and an older window of Gelvin still has it open. Close the other
            windows of Gelvin; this one goes on by itself.
          </p>
        </Said>
      );
    case 'superseded':
      return (
        <Said title="A newer Gelvin was opened in another window">
          <p>It brought the record up to date. Nothing is lost: load this page again.</p>
          <Button tone="main" onClick={() => location.reload()}>
            Load again
          </Button>
        </Said>
      );
    case 'failed':
      return (
        <Said title="The record could not be opened">
          <p>Gelvin keeps its data in the browser&rsquo;s storage, and {state.because}. Then load the page again.</p>
          <ExportButton label={EXPORT_RAW} run={exportRaw} />
        </Said>
      );
    case 'newer':
      return (
        <Said title="This record was made by a newer Gelvin">
          <p>
            Its {state.what === 'shop' ? 'shop' : 'record'} has version {state.version}, which this Gelvin does not
            know. Nothing is opened half and nothing is written: start the newer Gelvin, or export what is there.
          </p>
          <ExportButton label={EXPORT_RAW} run={exportRaw} />
        </Said>
      );
    case 'elsewhere': {
      const home = `http://${HOME}:${location.port}/`;
      return (
        <Said title={`Gelvin is at ${HOME}`}>
          <p>
            A browser keeps one record for each name of a machine. Yours is at {home}; under this name there{' '}
            {state.jobs === null
              ? 'is none.'
              : `is another, with ${state.jobs} job${state.jobs === 1 ? '' : 's'}: export it, and bring it in there.`}
          </p>
          {state.jobs !== null && <ExportButton label="Export the shop found here" run={exportHere} />}
          <a
            className="inline-flex min-h-12 items-center justify-self-start rounded-md bg-blue px-4 font-semibold text-onblue"
            href={home}
          >
            Go to {HOME}
          </a>
        </Said>
      );
    }
    case 'ready':
      router ??= createBrowserRouter(routes);
      return (
        <>
          {state.madeAnew && (
            <SeenNote>
              {state.madeAnew.includes('')
                ? 'The record of the shop itself (lathes, instruments, settings) was missing and has been made anew. All jobs are where they were; bring the lathes in from a backup, or enter them again.'
                : `The record of the shop was damaged. What did not hold was let go and is set aside: ${state.madeAnew.join(', ')}. All jobs are where they were.`}
            </SeenNote>
          )}
          <PlainAddress />
          <RouterProvider router={router} />
          <DropSaid />
        </>
      );
  }
}

function Said({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <main id="view" className="mx-auto grid max-w-3xl content-start gap-4 p-6">
      <h1 className="text-2xl">{title}</h1>
      {children}
    </main>
  );
}

/** The shop found under another name, as a backup that the right address takes in. */
async function exportHere(): Promise<void> {
  const opened = await openRecord(() => Promise.resolve({ shop: emptyShop(), jobs: [], rows: [] }));
  if (opened.kind !== 'ready') return exportRaw();
  const { jobs, others } = await loadAll();
  exportShop(opened.shop, jobs, others);
}

function useTheme(theme: 'light' | 'dark' | 'auto'): void {
  useEffect(() => {
    const media = window.matchMedia('(prefers-color-scheme: dark)');
    const apply = (): void => {
      document.documentElement.dataset['theme'] = theme === 'auto' ? (media.matches ? 'dark' : 'light') : theme;
    };
    apply();
    media.addEventListener('change', apply);
    return () => media.removeEventListener('change', apply);
  }, [theme]);
}
