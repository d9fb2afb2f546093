import { createBrowserRouter, RouterProvider } from 'react-router';
import { useSyncExternalStore, useEffect, type ReactNode } from 'react';
import { useAppSelector } from '../store/store.ts';
import { listenForDrops } from './drops.ts';
import { Button } from '../ui/controls.tsx';
import { ExportButton } from '../ui/ExportButton.tsx';
import { EXPORT_RAW, exportRaw, exportShop } from '../storage/files.ts';
import { routes } from '../routes.tsx';
import { SeenNote } from './SeenNote.tsx';
import { PlainAddress } from './PlainAddress.tsx';
import { DropSaid } from './DropSaid.tsx';
import { openRecord } from '../storage/opening.ts';
import { emptyShop } from '../../core/job/create.ts';
import { loadAll } from '../storage/db.ts';
import { listen, last, beginOpening } from './beginOpening.ts';

/** The one address of a record: under another name of this machine the browser keeps another one. */
const HOME = '127.0.0.1';

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
      // oxlint-disable-next-line react/globals -- made once, when there is a record to show
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
