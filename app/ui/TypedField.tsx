import clsx from 'clsx';
import { useId, type ReactNode } from 'react';
import type { Problem } from '../../core/quantity/outcome.ts';
import { useTyped, type TypedQuestion } from './useTyped.ts';
import { inputClass } from './inputClass.ts';
import { ProblemText } from './ProblemText.tsx';

export function Problems({
  problem,
  id,
  huge = false,
}: {
  readonly problem: Problem | null;
  readonly id: string;
  readonly huge?: boolean;
}) {
  return (
    <p
      id={id}
      aria-live="polite"
      className={clsx(huge ? 'text-xl font-semibold' : 'text-sm', problem ? 'text-stop' : 'sr-only')}
    >
      {problem && <ProblemText problem={problem} />}
    </p>
  );
}

interface TypedProps<T> extends TypedQuestion<T> {
  readonly hint?: ReactNode;
  readonly placeholder?: string;
  /** At the machine: read and typed from where one stands. */
  readonly huge?: boolean;
  /** The label stands beside it already. */
  readonly hideLabel?: boolean;
  /** The unit that a bare number means here; it stands in the field until another is typed. */
  readonly unit?: string;
  /** While it is typed: the same in the other system, and whether the number is bare. */
  readonly live?: (value: T) => Meaning;
  /** On a drawing: a patch of bright metal where the figure stands, dashed until there is one. */
  readonly patch?: boolean;
}

const boxClass = (patch: boolean, empty: boolean): string =>
  clsx(
    patch
      ? [
          'relative min-h-12 min-w-0 rounded-[3px] border px-2 pt-0.5 leading-tight focus-within:z-10 focus-within:bg-panel focus-within:text-ink focus-within:outline-3 focus-within:outline-straw',
          empty ? 'border-dashed border-scribe2 bg-deep text-scribe' : 'border-edge bg-panel text-ink',
        ]
      : 'grid content-start gap-1',
  );
const labelClass = (patch: boolean, huge: boolean, hidden: boolean): string =>
  patch
    ? 'block truncate text-[13px] opacity-90'
    : clsx(hidden && 'sr-only', huge ? 'text-2xl font-bold leading-tight' : 'text-sm text-ink2');
const fieldClass = (patch: boolean, armed: boolean, huge: boolean): string =>
  clsx(
    patch
      ? 'num block w-full min-w-0 bg-transparent text-[17px] font-semibold outline-none placeholder:text-current'
      : inputClass,
    armed && 'border-2 border-strawink text-xl outline-3 outline-straw',
    huge && 'field-huge font-bold',
  );

/** What is typed, in the other system; and whether its number is bare. */
interface Meaning {
  readonly other: string;
  readonly bare: boolean;
}
/** The unit that a bare number means, while there is one or none yet; null: the text has its own. */
const bareUnit = (f: {
  readonly unit: string | undefined;
  readonly draft: string | null;
  readonly shown: string;
  readonly meaning: Meaning | null;
}): string | null =>
  (f.draft !== null || f.shown === '') && (f.meaning === null || f.meaning.bare) ? (f.unit ?? null) : null;

function Unit({ unit, huge }: { readonly unit: string | null; readonly huge: boolean }) {
  return (
    unit !== null && (
      <span
        aria-hidden
        className={clsx(
          'num pointer-events-none absolute right-3 top-1/2 -translate-y-1/2 text-ink2',
          huge ? 'text-3xl' : 'text-base',
        )}
      >
        {unit}
      </span>
    )
  );
}

function Hint(p: { readonly hint: ReactNode; readonly meaning: Meaning | null; readonly huge: boolean }) {
  const said = p.meaning === null ? p.hint : <span className="num">{p.meaning.other}</span>;
  return said !== undefined && <span className={clsx('text-ink2', p.huge ? 'text-lg' : 'text-sm')}>{said}</span>;
}

/**
 * A field that keeps what is typed until it means something: it commits on Enter or on leaving, says what is wrong where
 * it was typed, keeps the text as it was, and Escape brings the old value back.
 */
export function TypedField<T>({
  label,
  shown,
  parse,
  onCommit,
  onClear,
  hint,
  placeholder,
  armed = false,
  huge = false,
  hideLabel = false,
  patch = false,
  unit,
  live,
  asks,
}: TypedProps<T>) {
  const id = useId();
  const { draft, type, leave, commit, problem } = useTyped({ label, shown, parse, onCommit, onClear, asks, armed });
  const read = draft === null || !live ? null : parse(draft);
  const meaning = read?.ok ? (live?.(read.value) ?? null) : null;
  return (
    <div className={boxClass(patch, shown === '' && draft === null)}>
      <label htmlFor={id} className={labelClass(patch, huge, hideLabel)}>
        {label}
      </label>
      <div className={clsx(!patch && 'relative')}>
        <input
          id={id}
          data-numeric
          data-drafting={draft === null ? 'no' : 'yes'}
          {...(armed ? { 'data-armed': 'reading' } : {})}
          className={fieldClass(patch, armed, huge)}
          value={draft ?? shown}
          placeholder={placeholder}
          aria-invalid={problem !== null}
          aria-describedby={`${id}-p`}
          autoComplete="off"
          spellCheck={false}
          onChange={(e) => type(e.target.value)}
          onBlur={() => commit(false)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') commit(true);
            if (e.key === 'Escape') leave();
          }}
        />
        {!patch && <Unit unit={bareUnit({ unit, draft, shown, meaning })} huge={huge} />}
      </div>
      {!problem && !patch && <Hint hint={hint} meaning={meaning} huge={huge} />}
      <div className={clsx(patch && problem && 'absolute left-0 top-full z-20 w-56 rounded-[3px] bg-panel p-2')}>
        <Problems id={`${id}-p`} problem={problem} huge={huge} />
      </div>
    </div>
  );
}
