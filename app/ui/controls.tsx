import clsx from 'clsx';
import { RadioGroup } from 'radix-ui';
import type { ButtonHTMLAttributes, ReactNode } from 'react';

type Tone = 'main' | 'plain' | 'quiet' | 'stop';
const TONES: Record<Tone, string> = {
  main: 'bg-blue text-onblue font-semibold hover:brightness-110',
  plain: 'bg-panel text-ink border border-line hover:bg-inset',
  quiet: 'text-blue underline-offset-4 hover:underline px-2',
  stop: 'bg-stopsoft text-stop border border-stop hover:brightness-105',
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
      className={clsx(
        'inline-flex items-center justify-center gap-2 rounded-md px-4 disabled:cursor-not-allowed disabled:opacity-55',
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
  /** Hide the label from sight; it is still spoken. */
  readonly bare?: boolean;
}

/** One of a few: a row of keys, moved along with the arrow keys. */
export function Choice<T extends string>({ label, value, options, onChange, bare = false }: ChoiceProps<T>) {
  return (
    <div className="grid gap-1">
      <span className={bare ? 'sr-only' : 'text-sm text-ink2'}>{label}</span>
      <RadioGroup.Root
        aria-label={label}
        value={value}
        onValueChange={(v) => onChange(v as T)}
        className="flex flex-wrap gap-1"
      >
        {options.map((o) => (
          <RadioGroup.Item
            key={o.value}
            value={o.value}
            className="min-h-12 rounded-md border border-line bg-panel px-3 text-ink hover:bg-inset data-[state=checked]:border-blue data-[state=checked]:bg-bluesoft data-[state=checked]:font-semibold"
          >
            {o.label}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
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
    <section className={clsx('rounded-lg border border-line bg-panel p-4', className)}>
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

type NoteTone = 'caution' | 'wrong' | 'right' | 'say';
const NOTES: Record<NoteTone, string> = {
  caution: 'border-brass bg-brasssoft text-ink',
  wrong: 'border-stop bg-stopsoft text-ink',
  right: 'border-go bg-gosoft text-ink',
  say: 'border-blue bg-bluesoft text-ink',
};

export function Note({ tone, children }: { readonly tone: NoteTone; readonly children: ReactNode }) {
  return (
    <div role={tone === 'wrong' ? 'alert' : undefined} className={clsx('rounded-md border-l-4 px-3 py-2', NOTES[tone])}>
      {children}
    </div>
  );
}

/** A number to act on: label, figure, and the same in the other system. */
export function Figure({
  label,
  value,
  other,
  onShow,
}: {
  readonly label: string;
  readonly value: string;
  readonly other?: string | undefined;
  readonly onShow?: (() => void) | undefined;
}) {
  const body = (
    <>
      <span className="block text-sm text-ink2">{label}</span>
      <span className="num block text-2xl font-semibold">{value}</span>
      {other !== undefined && <span className="num block text-sm text-ink2">{other}</span>}
    </>
  );
  if (!onShow) return <div className="rounded-md bg-inset px-3 py-2">{body}</div>;
  return (
    <button
      type="button"
      onClick={onShow}
      className="rounded-md bg-inset px-3 py-2 text-left hover:bg-bluesoft"
      title="Show how this came about"
    >
      {body}
    </button>
  );
}
