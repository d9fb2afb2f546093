import type { Lathe } from '../../../core/lathe/schema.ts';
import { readWhole } from '../../../core/quantity/number.ts';
import { Panel } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import type { LathePanel } from './edit.ts';

type Typed = NonNullable<Lathe['typed']>;

/** How the lead is typed in: what it rounds to is what is cut. */
export function TypedPanel({ lathe, edit }: LathePanel) {
  const { typed } = lathe;
  const set = (change: Partial<Typed>): void =>
    void edit('say how the lead is typed', (l) => void (l.typed = { unit: 'mm', decimals: 3, ...l.typed, ...change }));
  return (
    <Panel title="The lead is typed in">
      <div className="grid gap-3">
        <Choice
          label="As"
          value={typed?.unit ?? 'none'}
          options={[
            { value: 'none', label: 'not said' },
            { value: 'mm', label: 'mm a turn' },
            { value: 'in', label: 'inches a turn' },
            { value: 'tpi', label: 'turns an inch' },
          ]}
          onChange={(v) =>
            v === 'none' ? edit('forget how the lead is typed', (l) => void (l.typed = null)) : set({ unit: v })
          }
        />
        {typed && (
          <TypedField
            label="Decimals it takes"
            shown={String(typed.decimals)}
            parse={(t) => readWhole(t, 'decimals', 0, 8, '3')}
            onCommit={(decimals) => set({ decimals })}
          />
        )}
      </div>
    </Panel>
  );
}
