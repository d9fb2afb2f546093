import clsx from 'clsx';
import { useId, useState, type ReactNode } from 'react';
import { isProblem, type Outcome, type Problem } from '../../core/quantity/outcome.ts';
import { useDraft } from './drafts.ts';
import { inputClass } from './inputClass.ts';
import { ProblemText } from './ProblemText.tsx';

export function Problems({ problem, id }: { readonly problem: Problem | null; readonly id: string }) {
  return (
    <p id={id} aria-live="polite" className={clsx('text-sm', problem ? 'text-stop' : 'sr-only')}>
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
}: TypedProps<T>) {
  const id = useId();
  const [draft, setDraft] = useDraft(label);
  // a draft that was kept says at once what is wrong with it
  const [problem, setProblem] = useState<Problem | null>(() => {
    const read = draft === null || draft.trim() === '' ? null : parse(draft);
    return read && !read.ok ? read.problem : null;
  });
  const commit = (): void => {
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
        onBlur={commit}
        onKeyDown={(e) => {
          if (e.key === 'Enter') commit();
          if (e.key === 'Escape') {
            setDraft(null);
            setProblem(null);
          }
        }}
      />
      {hint !== undefined && !problem && !patch && <span className="text-sm text-ink2">{hint}</span>}
      <div className={clsx(patch && problem && 'absolute left-0 top-full z-20 w-56 rounded-[3px] bg-panel p-2')}>
        <Problems id={`${id}-p`} problem={problem} />
      </div>
    </div>
  );
}
