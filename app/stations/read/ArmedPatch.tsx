import type { Quantity } from '../../../core/evidence/evidence.ts';
import type { ReadingEntry } from './useEntry.ts';
import type { RefObject, CSSProperties } from 'react';
import { useSystem } from '../../store/store.ts';
import { QUANTITY_NAMES, patchName } from '../../../words/readings.ts';
import { actOf } from '../../ui/bindings.ts';
import { nameOfKey } from '../../ui/keys.ts';
import clsx from 'clsx';
import { Problems } from '../../ui/TypedField.tsx';
import { LENGTHS } from './kinds.ts';
import { lengthText, FINE } from '../../../core/quantity/format.ts';
import { Note, Button } from '../../ui/controls.tsx';
import { slipText } from '../../../words/slips.ts';

export const BASE = 'block min-h-12 rounded-[3px] border px-2 py-0.5 text-left leading-tight';

export type Side = 'external' | 'internal';

const SPAN: Partial<Record<Quantity, { readonly label: string; readonly placeholder: string }>> = {
  crestCount: { label: 'in a length of', placeholder: '1 in' },
  pitchLeaf: { label: 'leaf is long', placeholder: '10 mm' },
  overWires: { label: 'wires of', placeholder: '2.05' },
};

/** The dimension that is read now, typed where it stands; what is wrong with it is said under it. */
export function ArmedPatch({
  entry,
  side,
  form,
  inputRef,
  style,
}: {
  readonly entry: ReadingEntry;
  readonly side: Side;
  /** The form that takes it: with what, where, and in what state the metal is. */
  readonly form: string;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly style: CSSProperties | undefined;
}) {
  const system = useSystem();
  const { quantity, problem, slip } = entry;
  const names = QUANTITY_NAMES[quantity];
  const span = SPAN[quantity];
  const field = 'num min-w-0 w-full bg-transparent text-[17px] font-semibold outline-none placeholder:text-ink2';
  const onKeyDown = (e: React.KeyboardEvent): void => {
    const meant = actOf({ takeMeant: slip?.instead == null ? undefined : () => entry.take(true) }, nameOfKey(e));
    if (!meant) return;
    e.preventDefault();
    meant();
  };
  return (
    <div style={style} className={clsx('z-20 grid gap-1', style ? 'absolute' : 'col-span-full')}>
      <div
        className={clsx(
          BASE,
          'flex w-full flex-wrap gap-x-2 gap-y-1 border-2 border-strawink bg-panel text-ink outline-3 outline-straw forced-colors:outline-[Highlight]',
        )}
      >
        <label className="min-w-24 grow basis-24">
          <span className="block truncate text-[13px]">
            {patchName(quantity, side)}
            <span className="sr-only"> {`: ${names[side]} (${names.hint})`}</span>
          </span>
          <input
            form={form}
            data-armed="reading"
            data-numeric
            ref={inputRef}
            value={entry.text}
            onChange={(e) => entry.setText(e.target.value)}
            onKeyDown={onKeyDown}
            className={field}
            autoComplete="off"
            spellCheck={false}
            aria-label={`${names[side]} (${names.hint})`}
            aria-invalid={problem?.field === 'value'}
            aria-describedby={`${form}-p`}
          />
        </label>
        {span && (
          <label className="min-w-20 grow basis-20">
            <span className="block truncate text-[13px]">{span.label}</span>
            <input
              form={form}
              data-numeric
              value={entry.span}
              placeholder={span.placeholder}
              onChange={(e) => entry.setSpan(e.target.value)}
              onKeyDown={onKeyDown}
              className={field}
              autoComplete="off"
              aria-invalid={problem?.field === 'span'}
              aria-describedby={`${form}-p`}
            />
          </label>
        )}
      </div>
      <div
        className={clsx(
          style ? 'w-72' : 'w-full',
          'grid gap-1 rounded-[3px] bg-panel text-ink empty:hidden [&:not(:has(*:not(.sr-only)))]:hidden',
        )}
        aria-live="polite"
      >
        <Problems id={`${form}-p`} problem={problem} />
        {entry.entry?.ok && LENGTHS.includes(quantity) && !problem && (
          <span className="num px-2 text-sm text-ink2">
            {lengthText(entry.entry.value.value, 'mm', FINE)} &middot; {lengthText(entry.entry.value.value, 'in', FINE)}
          </span>
        )}
        {slip && (
          <Note tone="caution">
            {slipText(slip, side, system)}{' '}
            {slip.instead !== null && (
              <Button onClick={() => entry.take(true)} className="mt-1">
                Take it so <span className="text-sm text-ink2">Alt Enter</span>
              </Button>
            )}
          </Note>
        )}
      </div>
    </div>
  );
}
