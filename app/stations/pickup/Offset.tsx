import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { act } from '../../store/store.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { Choice } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';

/** How far the groove is from the tool, on the plate where it is looked at: the figure, then which way. */
export function Offset() {
  const { machine } = useJobView();
  const u = useDialUnit();
  const { offset } = machine.metal;
  const mm = offset?.mm ?? null;
  return (
    <div className="want absolute bottom-3 right-3 grid w-80 max-w-[94%] gap-2 rounded-[3px] border border-edge bg-panel p-3 text-ink">
      <LengthField
        armed
        label="Groove is this far from the tool (+ towards the headstock)"
        mm={mm}
        system={u}
        rule={{ allowNegative: true, allowZero: true, maxMm: 500 }}
        onCommit={(v, text) => act({ do: 'offset', mm: v, text })}
        placeholder={u === 'mm' ? '0.6 mm' : '0.024 in'}
      />
      {mm !== null && mm !== 0 && (
        <Choice
          label="Which way the groove lies"
          value={mm > 0 ? 'head' : 'tail'}
          options={[
            { value: 'head', label: '\u25c2 headstock' },
            { value: 'tail', label: 'tailstock \u25b8' },
          ]}
          onChange={() => act({ do: 'offset', mm: -mm, text: lengthText(-mm, u, FINE) })}
        />
      )}
    </div>
  );
}
