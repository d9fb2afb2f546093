import clsx from 'clsx';
import { useId, useState, type ReactNode } from 'react';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import { parseLength, type LengthRule } from '../../core/quantity/length.ts';
import { parsePitch, pitchText } from '../../core/quantity/pitch.ts';
import { exact, textOf } from '../../core/quantity/rational.ts';
import { isProblem, type Problem } from '../../core/quantity/outcome.ts';
import { unitSlip } from '../../core/quantity/unitSlip.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { useDraft } from './drafts.ts';
import { inputClass } from './inputClass.ts';
import { Problems, TypedField } from './TypedField.tsx';

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
  /** About what is expected, mm: what is 10 or 25.4 times off it is asked about. */
  readonly expectedMm?: number | null;
}

const slipAsked = (field: string, mm: number, expectedMm: number | null): Problem | null => {
  const slip = expectedMm === null ? null : unitSlip(mm, expectedMm);
  return slip && expectedMm !== null ? { code: 'unit-slip', field, figures: { typedMm: mm, expectedMm, slip } } : null;
};

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
  expectedMm = null,
}: LengthProps) {
  const other = system === 'mm' ? 'in' : 'mm';
  return (
    <TypedField
      label={label}
      shown={mm === null ? '' : lengthText(mm, system, FINE)}
      parse={(t) => parseLength(t, { system, field: label, ...rule })}
      onCommit={(v, text) => onCommit(v.mm, text)}
      unit={system}
      live={(v) => ({ other: lengthText(v.mm, v.system === 'mm' ? 'in' : 'mm', FINE), bare: v.assumed })}
      asks={(v) => slipAsked(label, v.mm, expectedMm)}
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
