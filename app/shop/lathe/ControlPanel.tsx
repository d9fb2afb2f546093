import type { Lathe } from '../../../core/lathe/schema.ts';
import { Panel } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import type { LathePanel } from './edit.ts';

type Control = NonNullable<Lathe['control']>;

/** How the control of this lathe counts, and its word for a thread: nothing is assumed of it. */
export function ControlPanel({ lathe, edit }: LathePanel) {
  const { control } = lathe;
  const set = (change: Partial<Control>): void =>
    void edit(
      'describe the control',
      (l) => void (l.control = { word: 'G33', diameterProgramming: true, unit: 'mm', ...l.control, ...change }),
    );
  return (
    <Panel title="The control">
      <div className="grid gap-3">
        <Choice
          label="It is described"
          value={control ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'not yet' },
            { value: 'yes', label: 'as below' },
          ]}
          onChange={(v) => (v === 'yes' ? set({}) : edit('forget the control', (l) => void (l.control = null)))}
        />
        {control && (
          <>
            <Choice
              label="One threading move is"
              value={control.word}
              options={[
                { value: 'G33', label: 'G33' },
                { value: 'G32', label: 'G32' },
              ]}
              onChange={(word) => set({ word })}
            />
            <Choice
              label="X counts"
              value={control.diameterProgramming ? 'diameter' : 'radius'}
              options={[
                { value: 'diameter', label: 'diameter' },
                { value: 'radius', label: 'radius' },
              ]}
              onChange={(v) => set({ diameterProgramming: v === 'diameter' })}
            />
            <Choice
              label="It reckons in"
              value={control.unit}
              options={[
                { value: 'mm', label: 'millimetres' },
                { value: 'in', label: 'inches' },
              ]}
              onChange={(unit) => set({ unit })}
            />
          </>
        )}
      </div>
    </Panel>
  );
}
