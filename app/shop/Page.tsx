import { useEffect, type ReactNode } from 'react';
import { PrintHead } from '../ui/PrintHead.tsx';
import { Refusal } from '../ui/Refusal.tsx';
import { TopBar } from '../shell/TopBar.tsx';

/** Frame of every shop view. */
export function Page({
  title,
  lead,
  actions,
  children,
}: {
  readonly title: string;
  readonly lead: string;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}) {
  useEffect(() => {
    document.title = `${title} \u00b7 Gelvin`;
  }, [title]);
  return (
    <div className="flex min-h-dvh flex-col">
      <TopBar />
      <main id="view" className="mx-auto grid w-full max-w-6xl content-start gap-4 p-4">
        <header className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 tabIndex={-1} className="text-2xl outline-none">
              {title}
            </h1>
            <p className="text-ink2">{lead}</p>
          </div>
          <div className="flex flex-wrap gap-2">{actions}</div>
        </header>
        <PrintHead parts={[title]} />
        <Refusal />
        {children}
      </main>
    </div>
  );
}
