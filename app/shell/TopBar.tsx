import { lazy, Suspense, useMemo, useState } from 'react';
import { ChevronLeft, Keyboard, Printer } from 'lucide-react';
import { Link } from 'react-router';
import clsx from 'clsx';
import { threadLine } from '../../words/threadLine.ts';
import type { Job } from '../../core/job/schema.ts';
import { editShop, useAppSelector, useShop } from '../store/store.ts';
import { BarButton } from './BarButton.tsx';
import { HistoryButtons } from './HistoryButtons.tsx';
import { Mark } from './Mark.tsx';
import { ShopLinks, ShopMenu } from './ShopMenu.tsx';
import { SaveBar } from './SaveBar.tsx';
import { useHistory } from './useHistoryKeys.ts';

/** Fetched when it is first asked for. */
const KeysDialog = lazy(async () => ({ default: (await import('./KeysDialog.tsx')).KeysDialog }));

/** One row: where one is, undo and redo with what they would undo, the unit system, the key list, the shop's views. */
export function TopBar({ job = null }: { readonly job?: Job | null }) {
  const { system } = useShop().settings;
  const saving = useAppSelector((s) => s.work.saving);
  const [keysOpen, setKeysOpen] = useState(false);
  const history = useHistory(
    job !== null,
    useMemo(() => ({ showKeys: () => setKeysOpen(true) }), []),
  );
  return (
    <>
      <header className="no-print flex h-12 items-center gap-2 border-b border-edge px-2">
        <a
          href="#view"
          className="sr-only focus:not-sr-only focus:absolute focus:left-2 focus:top-2 focus:z-50 focus:bg-panel focus:p-3"
          onClick={(e) => {
            e.preventDefault();
            document.querySelector<HTMLElement>('main h1')?.focus();
          }}
        >
          To the view itself
        </a>
        <span className="max-xs:hidden">
          <Mark />
        </span>
        {job ? (
          <>
            <Link to="/jobs" className="flex min-h-12 items-center gap-1 pr-3 font-semibold max-sm:pr-0">
              <ChevronLeft aria-hidden size={20} /> Jobs
            </Link>
            <span className="relative min-w-0 flex-1 truncate border-l border-edge pl-3 max-sm:pl-2">
              <strong className="text-lg">{job.title}</strong>
              <span className="ml-3 text-ink2 max-lg:sr-only">{job.customer}</span>
            </span>
            <Link
              to={`/jobs/${job.id}/paper`}
              aria-label="The job on paper"
              title="The job on paper"
              className="inline-flex size-12 shrink-0 items-center justify-center rounded-[4px] hover:bg-panel max-sm:hidden"
            >
              <Printer aria-hidden size={22} />
            </Link>
            <span className="num shrink-0 border border-edge bg-panel px-3 py-1 max-md:hidden">
              {threadLine(job) ?? 'thread not named yet'}
            </span>
          </>
        ) : (
          <nav aria-label="Shop" className="flex flex-1 max-md:hidden">
            <ShopLinks className="px-3" />
          </nav>
        )}
        <span className="ml-auto flex shrink-0 items-center">
          <span aria-live="off" className={clsx('px-2 text-sm text-ink2', saving === 'written' && 'max-lg:sr-only')}>
            {saving === 'written' ? 'written' : saving === 'writing' ? 'writing\u2026' : 'not written'}
          </span>
          <span className="max-xs:hidden">
            <BarButton
              label={
                system === 'mm' ? 'Showing millimetres; change to inches' : 'Showing inches; change to millimetres'
              }
              onClick={() =>
                editShop('change the units', (d) => {
                  d.settings.system = system === 'mm' ? 'in' : 'mm';
                })
              }
            >
              <span className="num text-base font-semibold">{system}</span>
            </BarButton>
          </span>
          <HistoryButtons of={history} />
          <span className="max-sm:hidden">
            <BarButton label="Key list" onClick={() => setKeysOpen(true)}>
              <Keyboard aria-hidden size={20} />
            </BarButton>
          </span>
          <span className={job ? '' : 'md:hidden'}>
            <ShopMenu />
          </span>
        </span>
        {keysOpen && (
          <Suspense>
            <KeysDialog open onOpenChange={setKeysOpen} />
          </Suspense>
        )}
      </header>
      <SaveBar />
    </>
  );
}
