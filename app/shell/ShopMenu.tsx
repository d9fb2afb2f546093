import { useEffect, useRef, useState } from 'react';
import { Menu } from 'lucide-react';
import { NavLink } from 'react-router';
import clsx from 'clsx';

const VIEWS = [
  ['/jobs', 'Jobs'],
  ['/lathes', 'Lathes'],
  ['/gauges', 'Gauges'],
  ['/tables', 'Tables'],
  ['/practice', 'Practice'],
  ['/settings', 'Settings & backup'],
] as const;

/** The shop's views, each by its name. */
export function ShopLinks({ className, onGo }: { readonly className: string; readonly onGo?: () => void }) {
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
export function ShopMenu() {
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
