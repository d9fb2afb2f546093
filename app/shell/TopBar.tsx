import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { ChevronLeft, Keyboard, Menu } from 'lucide-react';
import { Link, NavLink } from 'react-router';
import clsx from 'clsx';
import { threadLine } from '../../words/threadLine.ts';
import type { Job } from '../../core/job/schema.ts';
import { editShop, useAppSelector, useShop } from '../store/store.ts';
import { BarButton } from './BarButton.tsx';
import { HistoryButtons } from './HistoryButtons.tsx';
import { Mark } from './Mark.tsx';
import { SaveBar } from './SaveBar.tsx';
import { useHistory } from './useHistoryKeys.ts';

/** Fetched when it is first asked for. */
const KeysDialog = lazy(async () => ({ default: (await import('./KeysDialog.tsx')).KeysDialog }));

const VIEWS = [
  ['/jobs', 'Jobs'],
  ['/lathes', 'Lathes'],
  ['/gauges', 'Gauges'],
  ['/tables', 'Tables'],
  ['/settings', 'Settings & backup'],
] as const;

/** One row: where one is, undo and redo with what they would undo, the unit system, the key list, the shop's views. */
export function TopBar({ job = null }: { readonly job?: Job | null }) {
  const { system } = useShop().settings;
  const saving = useAppSelector((s) => s.work.saving);
  const [keysOpen, setKeysOpen] = useState(false);
  const history = useHistory(
    job !== null,
    useMemo(() => ({ '?': () => setKeysOpen(true) }), []),
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
            <span className="min-w-0 flex-1 truncate border-l border-edge pl-3 max-sm:pl-2">
              <strong className="text-lg">{job.title}</strong>
              <span className="ml-3 text-ink2 max-lg:sr-only">{job.customer}</span>
            </span>
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

function ShopLinks({ className, onGo }: { readonly className: string; readonly onGo?: () => void }) {
  return VIEWS.map(([to, name]) => (
    <NavLink
      key={to}
      to={to}
      onClick={onGo}
      className={({ isActive }) =>
        clsx(
          'flex min-h-12 items-center whitespace-nowrap',
          className,
          isActive ? 'font-bold shadow-[inset_0_-4px_0_var(--ink)]' : '',
        )
      }
    >
      {name}
    </NavLink>
  ));
}

/** The shop's views from within a job, or where the header has no room for them: a list that opens and closes. */
function ShopMenu() {
  const [open, setOpen] = useState(false);
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!open) return undefined;
    const away = (e: Event): void => {
      if (!box.current?.contains(e.target as Node)) setOpen(false);
    };
    const key = (e: KeyboardEvent): void => {
      if (e.key !== 'Escape') return;
      e.preventDefault();
      setOpen(false);
      box.current?.querySelector('button')?.focus();
    };
    window.addEventListener('pointerdown', away);
    window.addEventListener('keydown', key);
    return () => {
      window.removeEventListener('pointerdown', away);
      window.removeEventListener('keydown', key);
    };
  }, [open]);
  return (
    <div ref={box} className="relative">
      <button
        type="button"
        aria-expanded={open}
        aria-label="The shop: jobs, lathes, gauges, tables, settings"
        className="inline-flex size-12 items-center justify-center rounded-[4px] hover:bg-panel"
        onClick={() => setOpen(!open)}
      >
        <Menu aria-hidden size={22} />
      </button>
      {open && (
        <nav
          aria-label="Shop"
          className="absolute right-0 top-full z-40 grid min-w-56 rounded-[4px] border-2 border-edge bg-panel p-2 text-ink"
        >
          <ShopLinks className="px-3" onGo={() => setOpen(false)} />
        </nav>
      )}
    </div>
  );
}
