import clsx from 'clsx';
import { useId, useState, type ReactNode } from 'react';
import { isProblem, type Outcome, type Problem } from '../../core/quantity/outcome.ts';
import { useDraft } from './drafts.ts';
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

interface TypedProps<T> {
  readonly label: string;
  /** Text shown when the field is not being typed in. */
  readonly shown: string;
  readonly parse: (text: string) => Outcome<T>;
  /** Takes the value; a problem that it answers is said here, and what was typed stays. */
  readonly onCommit: (value: T, text: string) => unknown;
  /** Called when the field is emptied; without it an empty field goes back to what it was. */
  readonly onClear?: () => unknown;
  readonly hint?: ReactNode;
  readonly placeholder?: string;
  /** A reading that an instrument sends lands here. */
  readonly armed?: boolean;
  /** At the machine: read and typed from where one stands. */
  readonly huge?: boolean;
  /** The label stands beside it already. */
  readonly hideLabel?: boolean;
  /** The unit that a bare number means here; it stands in the field until another is typed. */
  readonly unit?: string;
  /** While it is typed: the same in the other system, and whether the number is bare. */
  readonly live?: (value: T) => { readonly other: string; readonly bare: boolean };
  /** What is asked about before it is taken; Enter once more takes it all the same. */
  readonly asks?: (value: T) => Problem | null;
  /** On a drawing: a patch of bright metal where the figure stands, dashed until there is one. */
  readonly patch?: boolean;
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
  const [draft, setDraft] = useDraft(label);
  // a draft that was kept says at once what is wrong with it
  const [problem, setProblem] = useState<Problem | null>(() => {
    const read = draft === null || draft.trim() === '' ? null : parse(draft);
    return read && !read.ok ? read.problem : null;
  });
  // asked about once: the same text, entered again, is meant
  const [asked, setAsked] = useState<string | null>(null);
  const read = draft === null || !live ? null : parse(draft);
  const meaning = read?.ok ? (live?.(read.value) ?? null) : null;
  const bare = (draft !== null || shown === '') && (meaning === null || meaning.bare);
  const commit = (entered: boolean): void => {
    if (entered && armed && shown === '' && (draft ?? '').trim() === '') {
      setProblem({ code: 'nothing-typed', field: label, figures: {} });
      return;
    }
    if (draft === null) return;
    if (draft.trim() === '') {
      if (onClear) onClear();
      setDraft(null);
      setProblem(null);
      return;
    }
    if (draft === shown) {
      setDraft(null);
      setProblem(null);
      return;
    }
    const outcome = parse(draft);
    if (!outcome.ok) {
      setProblem(outcome.problem);
      return;
    }
    const question = entered && asked === draft ? null : (asks?.(outcome.value) ?? null);
    if (question) {
      // leaving the field does not insist
      setAsked(entered ? draft : null);
      setProblem(question);
      return;
    }
    const answer = onCommit(outcome.value, draft);
    const refused = isProblem(answer) ? answer : null;
    setProblem(refused);
    if (refused === null) setDraft(null);
  };
  return (
    <div
      className={clsx(
        patch
          ? [
              'relative min-h-12 min-w-0 rounded-[3px] border px-2 pt-0.5 leading-tight focus-within:z-10 focus-within:bg-panel focus-within:text-ink focus-within:outline-3 focus-within:outline-straw',
              shown === '' && draft === null
                ? 'border-dashed border-scribe2 bg-deep text-scribe'
                : 'border-edge bg-panel text-ink',
            ]
          : 'grid content-start gap-1',
      )}
    >
      <label
        htmlFor={id}
        className={
          patch
            ? 'block truncate text-[13px] opacity-90'
            : clsx(hideLabel && 'sr-only', huge ? 'text-2xl font-bold leading-tight' : 'text-sm text-ink2')
        }
      >
        {label}
      </label>
      <div className={clsx(!patch && 'relative')}>
        <input
          id={id}
          data-numeric
          data-drafting={draft === null ? 'no' : 'yes'}
          {...(armed ? { 'data-armed': 'reading' } : {})}
          className={clsx(
            patch
              ? 'num block w-full min-w-0 bg-transparent text-[17px] font-semibold outline-none placeholder:text-current'
              : inputClass,
            armed && 'border-2 border-strawink text-xl outline-3 outline-straw',
            huge && 'field-huge font-bold',
          )}
          value={draft ?? shown}
          placeholder={placeholder}
          aria-invalid={problem !== null}
          aria-describedby={`${id}-p`}
          autoComplete="off"
          spellCheck={false}
          onChange={(e) => setDraft(e.target.value)}
          onBlur={() => commit(false)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') commit(true);
            if (e.key === 'Escape') {
              setDraft(null);
              setProblem(null);
            }
          }}
        />
        {unit !== undefined && !patch && bare && (
          <span
            aria-hidden
            className={clsx(
              'num pointer-events-none absolute right-3 top-1/2 -translate-y-1/2 text-ink2',
              huge ? 'text-3xl' : 'text-base',
            )}
          >
            {unit}
          </span>
        )}
      </div>
      {!problem && !patch && (meaning !== null || hint !== undefined) && (
        <span className={clsx('text-ink2', huge ? 'text-lg' : 'text-sm')}>
          {meaning === null ? hint : <span className="num">{meaning.other}</span>}
        </span>
      )}
      <div className={clsx(patch && problem && 'absolute left-0 top-full z-20 w-56 rounded-[3px] bg-panel p-2')}>
        <Problems id={`${id}-p`} problem={problem} huge={huge} />
      </div>
    </div>
  );
}
