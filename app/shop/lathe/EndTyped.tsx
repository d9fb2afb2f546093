import { lengthText } from '../../../core/quantity/format.ts';
import { parseLength } from '../../../core/quantity/length.ts';
import { useSystem } from '../../store/store.ts';
import { TypedField } from '../../ui/TypedField.tsx';
import type { Whole } from './measures.ts';

/** What is typed on the plate itself; of several slots the first. */
const TYPED = [
  ['centresMm', 'Centres'],
  ['fromMm', 'Slot, nearest'],
  ['toMm', 'Slot, furthest'],
  ['bossRadiusMm', 'Nut radius'],
  ['shaftRadiusMm', 'End radius'],
] as const;

/** What stands on the drawing of the headstock end as figures, to be typed as well. */
export function EndTyped({
  valueOf,
  onType,
}: {
  readonly valueOf: (key: keyof Whole) => number | null;
  readonly onType: (key: keyof Whole, mm: number) => void;
}) {
  const system = useSystem();
  return (
    <div
      className="relative grid grid-cols-2 gap-2 px-4 sm:grid-cols-5"
      role="group"
      aria-label="Measured on the drawing"
    >
      {TYPED.map(([key, label]) => {
        const mm = valueOf(key);
        return (
          <TypedField
            key={key}
            label={label}
            patch
            shown={mm === null ? '' : lengthText(mm, system, { stepMm: 0.1, stepIn: 0.005 })}
            placeholder={'\u2013'}
            parse={(t) => parseLength(t, { system, field: label, allowZero: true, maxMm: 2000 })}
            onCommit={(v) => onType(key, v.mm)}
          />
        );
      })}
    </div>
  );
}
