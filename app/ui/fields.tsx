import clsx from 'clsx';
import { useId, useState, type ReactNode } from 'react';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import { parseLength, type LengthRule } from '../../core/quantity/length.ts';
import { parsePitch, pitchText } from '../../core/quantity/pitch.ts';
import { exact, textOf } from '../../core/quantity/rational.ts';
import type { Outcome, Problem } from '../../core/quantity/outcome.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
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

const isProblem = (x: unknown): x is Problem => typeof x === 'object' && x !== null && 'code' in x && 'field' in x;

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

interface LengthProps {
  readonly label: string;
  readonly mm: number | null;
  readonly system: UnitSystem;
  readonly onCommit: (mm: number, text: string) => unknown;
  readonly onClear?: () => unknown;
  readonly rule?: Partial<LengthRule>;
  readonly hint?: ReactNode;
  readonly placeholder?: string;
  readonly armed?: boolean;
  readonly huge?: boolean;
}

/** A length in whatever way it is thought; the other system stands beside it. */
export function LengthField({
  label,
  mm,
  system,
  onCommit,
  onClear,
  rule,
  hint,
  placeholder,
  armed,
  huge,
}: LengthProps) {
  const other = system === 'mm' ? 'in' : 'mm';
  return (
    <TypedField
      label={label}
      shown={mm === null ? '' : lengthText(mm, system, FINE)}
      parse={(t) => parseLength(t, { system, field: label, ...rule })}
      onCommit={(v, text) => onCommit(v.mm, text)}
      {...(onClear ? { onClear } : {})}
      {...(placeholder !== undefined ? { placeholder } : {})}
      {...(armed ? { armed } : {})}
      {...(huge ? { huge } : {})}
      hint={
        <>
          {mm !== null && <span className="num">{lengthText(mm, other, FINE)}</span>}
          {mm !== null && hint !== undefined && ' \u00b7 '}
          {hint}
        </>
      }
    />
  );
}

export function PitchField({
  label,
  pitch,
  system,
  onCommit,
}: {
  readonly label: string;
  /** Exact mm; null: not known yet, and the field is empty. */
  readonly pitch: string | null;
  readonly system: UnitSystem;
  readonly onCommit: (exactMm: string, system: UnitSystem) => unknown;
}) {
  return (
    <TypedField
      label={label}
      shown={pitch === null ? '' : pitchText(exact(pitch), system)}
      {...(pitch === null ? { placeholder: 'not known yet: 8 tpi, 4 mm' } : {})}
      parse={(t) => parsePitch(t, label)}
      onCommit={(v) => onCommit(textOf(v.exactMm), v.system)}
    />
  );
}

export function TextField({
  label,
  value,
  onCommit,
  lines = 1,
  placeholder,
}: {
  readonly label: string;
  readonly value: string;
  /** Takes the text; a problem that it answers is said here, and what was typed stays. */
  readonly onCommit: (text: string) => unknown;
  readonly lines?: number;
  readonly placeholder?: string;
}) {
  const id = useId();
  const [draft, setDraft] = useDraft(label);
  const [problem, setProblem] = useState<Problem | null>(null);
  const props = {
    id,
    className: clsx(inputClass, 'font-sans tracking-normal', lines > 1 && 'py-2'),
    value: draft ?? value,
    placeholder,
    onChange: (e: { target: { value: string } }) => setDraft(e.target.value),
    'aria-invalid': problem !== null,
    'aria-describedby': `${id}-p`,
    onBlur: () => {
      const answer = draft !== null && draft !== value ? onCommit(draft) : null;
      const refused = isProblem(answer) ? answer : null;
      setProblem(refused);
      if (refused === null) setDraft(null);
    },
  };
  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className="text-sm text-ink2">
        {label}
      </label>
      {lines > 1 ? (
        <textarea {...props} rows={lines} />
      ) : (
        <input {...props} onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()} />
      )}
      <Problems id={`${id}-p`} problem={problem} />
    </div>
  );
}
