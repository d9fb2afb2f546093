import clsx from 'clsx';
import { useEffect, useRef, type ReactNode } from 'react';
import { X } from 'lucide-react';
import { Button } from './controls.tsx';

interface Props {
  /** What it is, for those who do not see it; also the name of the region. */
  readonly label: string;
  readonly title: ReactNode;
  readonly onClose: () => void;
  /** It lies over another drawer that may be open: where one goes to is asked for last. */
  readonly over?: boolean;
  readonly children: ReactNode;
}

/**
 * Beside what it belongs to, never over the act: what it shows follows, and the view behind it goes on. Escape closes it, and the
 * focus goes back to where it was opened from.
 */
export function Drawer({ label, title, onClose, over = false, children }: Props) {
  const heading = useRef<HTMLHeadingElement>(null);
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    const from = document.activeElement;
    heading.current?.focus({ preventScroll: true });
    const listen = (e: KeyboardEvent): void => {
      // in a field Escape belongs to what is being typed; a dialogue over it closes first
      const typing = e.target instanceof HTMLInputElement && e.target.dataset['drafting'] === 'yes';
      if (e.key !== 'Escape' || e.defaultPrevented || typing || document.querySelector('[role=dialog]')) return;
      e.preventDefault();
      close.current();
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
      if (from instanceof HTMLElement && from.isConnected) from.focus({ preventScroll: true });
    };
  }, []);
  return (
    <aside
      aria-label={label}
      className={clsx(
        over ? 'z-40' : 'z-30',
        'drawer no-print fixed bottom-0 right-0 top-[var(--drawer-top,7rem)] grid w-[min(29.5rem,100vw)] content-start gap-3 overflow-y-auto border-l-6 border-blue bg-panel p-5 text-ink shadow-xl max-lg:top-0',
      )}
    >
      <header className="flex items-start justify-between gap-3">
        <h2 ref={heading} tabIndex={-1} className="min-w-0 text-xl outline-none">
          {title}
        </h2>
        <Button onClick={onClose} aria-keyshortcuts="Escape" className="shrink-0">
          <X aria-hidden size={18} /> Close
        </Button>
      </header>
      {children}
    </aside>
  );
}
