import { useId } from 'react';
import { SIFT_WORDS } from '../../words/sift.ts';
import type { JobRow } from '../storage/rows.ts';
import { useShop } from '../store/store.ts';
import { Button } from '../ui/controls.tsx';
import { inputClass } from '../ui/inputClass.ts';
import { familiesOf, isSifted, UNSIFTED, type Sift } from './sifting.ts';

/** By what the list is sifted and in what order it stands. */
export function SiftBar({
  rows,
  sift,
  onSift,
}: {
  readonly rows: readonly JobRow[];
  readonly sift: Sift;
  readonly onSift: (s: Sift) => void;
}) {
  const { lathes } = useShop();
  const used = new Set(rows.map((r) => r.lathe));
  return (
    <div role="group" aria-label={SIFT_WORDS.group} className="flex flex-wrap items-end gap-3">
      <Pick
        label={SIFT_WORDS.state}
        value={sift.state}
        options={Object.entries(SIFT_WORDS.states)}
        onPick={(v) => onSift({ ...sift, state: v as Sift['state'] })}
      />
      <Pick
        label={SIFT_WORDS.lathe}
        value={sift.lathe}
        options={[['', SIFT_WORDS.any], ...lathes.filter((l) => used.has(l.id)).map((l) => [l.id, l.name] as const)]}
        onPick={(v) => onSift({ ...sift, lathe: v })}
      />
      <Pick
        label={SIFT_WORDS.family}
        value={sift.family}
        options={[['', SIFT_WORDS.any], ...familiesOf(rows).map((f) => [f, f] as const)]}
        onPick={(v) => onSift({ ...sift, family: v })}
      />
      <Pick
        label={SIFT_WORDS.sort}
        value={sift.sort}
        options={Object.entries(SIFT_WORDS.sorts)}
        onPick={(v) => onSift({ ...sift, sort: v as Sift['sort'] })}
      />
      {isSifted(sift) && <Button onClick={() => onSift({ ...UNSIFTED, sort: sift.sort })}>{SIFT_WORDS.clear}</Button>}
    </div>
  );
}

function Pick({
  label,
  value,
  options,
  onPick,
}: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, label: string])[];
  readonly onPick: (value: string) => void;
}) {
  const id = useId();
  return (
    <label htmlFor={id} className="grid gap-1 text-sm text-ink2">
      {label}
      <select
        id={id}
        value={value}
        onChange={(e) => onPick(e.target.value)}
        className={`${inputClass} w-auto max-w-52 font-sans text-base tracking-normal text-ink`}
      >
        {options.map(([v, name]) => (
          <option key={v} value={v}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
