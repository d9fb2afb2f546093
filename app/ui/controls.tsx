import clsx from 'clsx';
import { RotateCw, TriangleAlert } from 'lucide-react';
import { useId, type ButtonHTMLAttributes, type ReactNode } from 'react';

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

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  /** All of one width in one row, their words broken: for a narrow place. */
  readonly even?: boolean;
}

/**
 * One of a few: a row of keys, moved along with the arrow keys. Native radio buttons: they answer an arrow at once, also
 * from a device that types faster than a hand (the primitive library waits for a focus event in between).
 */
export function Choice<T extends string>({ label, value, options, onChange, even = false }: ChoiceProps<T>) {
  const name = useId();
  return (
    <fieldset className="grid min-w-0 gap-1">
      <legend className="mb-1 text-sm text-ink2">{label}</legend>
      <div className={even ? 'grid auto-cols-fr grid-flow-col max-xs:grid-flow-row' : 'flex flex-wrap'}>
        {options.map((o) => (
          <label
            key={o.value}
            className={clsx(
              even && 'justify-center text-center leading-tight',
              'relative -ml-px -mt-px flex min-h-12 items-center border border-edge bg-panel px-3 text-ink first:rounded-l-[4px] last:rounded-r-[4px] hover:bg-inset has-checked:bg-ink has-checked:font-semibold has-checked:text-onink has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue',
            )}
          >
            <input
              type="radio"
              name={name}
              value={o.value}
              aria-label={o.label}
              checked={o.value === value}
              onChange={() => onChange(o.value)}
              className="absolute -inset-px h-[calc(100%+2px)] w-[calc(100%+2px)] cursor-pointer opacity-0"
            />
            {o.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

interface TogglesProps {
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
}

/** Any of a few: keys that stay down, each a native check box. */
export function Toggles({ label, options, chosen, onChange }: TogglesProps) {
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 text-sm text-ink2">{label}</legend>
      <div className="flex flex-wrap gap-1.5">
        {options.map((o) => (
          <label
            key={o.value}
            className="relative flex min-h-12 items-center rounded-[4px] border border-edge bg-panel px-3 hover:bg-inset has-checked:bg-ink has-checked:font-semibold has-checked:text-onink has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue"
          >
            <input
              type="checkbox"
              className="absolute inset-0 size-full cursor-pointer opacity-0"
              aria-label={o.label}
              checked={chosen.includes(o.value)}
              onChange={(e) => onChange(e.target.checked ? [...chosen, o.value] : chosen.filter((x) => x !== o.value))}
            />
            {o.label}
          </label>
        ))}
      </div>
    </fieldset>
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
