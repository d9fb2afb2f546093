import clsx from 'clsx';
import { RotateCw, TriangleAlert } from 'lucide-react';
import type { ButtonHTMLAttributes, ReactNode } from 'react';

type Tone = 'main' | 'plain' | 'quiet' | 'stop';

const TONES: Record<Tone, string> = {
  main: 'straw hover:brightness-105',
  plain: 'key hover:brightness-105',
  quiet: 'text-blue underline-offset-4 hover:underline px-2',
  stop: 'bg-stopsoft text-stop border-3 border-stop font-semibold hover:brightness-105',
};

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly tone?: Tone;
  /** At the machine: tall enough for a knuckle. */
  readonly big?: boolean;
}

export function Button({ tone = 'plain', big = false, className, ...rest }: ButtonProps) {
  return (
    <button
      type="button"
      {...(tone === 'main' ? { 'data-main-act': '' } : {})}
      className={clsx(
        'inline-flex items-center justify-center gap-2 rounded-[4px] px-4 disabled:cursor-not-allowed disabled:opacity-55',
        big ? 'min-h-16 text-xl' : 'min-h-12',
        TONES[tone],
        className,
      )}
      {...rest}
    />
  );
}

export function Panel({
  title,
  children,
  aside,
  className,
}: {
  readonly title?: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
  readonly className?: string;
}) {
  return (
    <section className={clsx('rounded-[4px] border border-line bg-panel p-4', className)}>
      {title !== undefined && (
        <header className="mb-3 flex flex-wrap items-baseline justify-between gap-2">
          <h2 className="text-lg">{title}</h2>
          {aside}
        </header>
      )}
      {children}
    </section>
  );
}

type NoteTone = 'caution' | 'wrong' | 'right' | 'say' | 'again';

const NOTES: Record<NoteTone, string> = {
  caution: 'border-stop bg-panel text-ink',
  wrong: 'border-stop bg-stopsoft text-ink',
  right: 'border-go bg-gosoft text-ink',
  say: 'border-edge bg-inset text-ink',
  again: 'border-look again text-ink',
};

export function Note({ tone, children }: { readonly tone: NoteTone; readonly children: ReactNode }) {
  return (
    <div
      role={tone === 'wrong' ? 'alert' : undefined}
      className={clsx('flex gap-2 rounded-r-[4px] border-l-6 px-3 py-2', NOTES[tone])}
    >
      {(tone === 'caution' || tone === 'wrong') && (
        <TriangleAlert aria-hidden size={20} className="mt-0.5 shrink-0 text-stop" />
      )}
      {tone === 'again' && <RotateCw aria-hidden size={20} className="mt-0.5 shrink-0 text-look" />}
      <div className="min-w-0">{children}</div>
    </div>
  );
}
