import { memo, type CSSProperties } from 'react';
import type { Job } from '../../../core/job/schema.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { parseLength } from '../../../core/quantity/length.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { TypedField } from '../../ui/TypedField.tsx';

type Dim = keyof Job['part'] | 'lengthMm';
const SCREW: readonly (readonly [Dim, string])[] = [
  ['headDiameterMm', 'Head dia'],
  ['headLengthMm', 'Head long'],
  ['grooveMm', 'Groove wide'],
  ['lengthMm', 'Length of the thread'],
  ['stubLengthMm', 'Plain end long'],
  ['stubDiameterMm', 'Plain end dia'],
];
const NUT: readonly (readonly [Dim, string])[] = [
  ['stubLengthMm', 'Counterbore deep'],
  ['stubDiameterMm', 'Counterbore dia'],
  ['lengthMm', 'Length of the thread'],
  ['grooveMm', 'Groove wide'],
];

/** The part's own dimensions, each typed under the stretch that it names. */
export const PartFields = memo(function PartFields({
  side,
  style,
}: {
  readonly side: 'external' | 'internal';
  readonly style?: CSSProperties;
}) {
  const { job } = useJobView();
  const system = useSystem();
  const take = (dim: Dim, mm: number | null) =>
    dim === 'lengthMm' ? act({ do: 'setUnworn', lengthMm: mm }) : act({ do: 'describePart', [dim]: mm });
  return (
    <div
      style={style}
      className={`patches grid gap-2 ${style ? 'absolute auto-cols-fr grid-flow-col' : 'grid-cols-2 xs:grid-cols-3'}`}
      role="group"
      aria-label="The part beside its thread"
    >
      {(side === 'external' ? SCREW : NUT).map(([dim, label]) => {
        const mm = dim === 'lengthMm' ? job.wearMap.lengthMm : job.part[dim];
        return (
          <TypedField
            key={dim}
            label={label}
            patch
            shown={mm === null ? '' : lengthText(mm, system, FINE)}
            placeholder={'\u2013'}
            parse={(t) => parseLength(t, { system, field: label, maxMm: 100_000 })}
            onCommit={(v) => take(dim, v.mm)}
            onClear={() => take(dim, null)}
          />
        );
      })}
    </div>
  );
});
