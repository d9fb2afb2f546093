import { isGeared } from '../../../core/lathe/schema.ts';
import { parseSpeeds } from '../../../core/lathe/typed.ts';
import { Choice } from '../../ui/choices.tsx';
import { Panel } from '../../ui/controls.tsx';
import { PitchField, TextField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import type { LathePanel, SayFact } from './edit.ts';

/** What one knows of a lathe before it is opened: its name, leadscrew, speeds, and how the chuck is held. */
export function NamePanel({ lathe, edit, say }: LathePanel & { readonly say: SayFact }) {
  const geared = isGeared(lathe);
  return (
    <Panel title="The lathe">
      <div className="grid gap-3">
        <TextField
          label="Name"
          value={lathe.name}
          onCommit={(t) => t.trim() && edit('rename the lathe', (l) => void (l.name = t.trim()))}
        />
        {geared && (
          <PitchField
            label="Leadscrew pitch"
            pitch={lathe.unconfirmed.includes('leadscrew') ? null : lathe.leadscrew}
            system={lathe.leadscrewSystem}
            onCommit={(exactMm, system) =>
              say('leadscrew', 'change the leadscrew', (l) => {
                l.leadscrew = exactMm;
                l.leadscrewSystem = system;
              })
            }
          />
        )}
        <TypedField
          label="Spindle speeds, rev/min"
          shown={lathe.speeds.join(' ')}
          parse={parseSpeeds}
          onCommit={(v) => edit('change the speeds', (l) => void (l.speeds = v))}
        />
        <Choice
          label="The chuck"
          value={lathe.unconfirmed.includes('chuck') ? '' : lathe.screwedChuck ? 'screwed' : 'fixed'}
          options={[
            { value: 'screwed', label: 'screws on' },
            { value: 'fixed', label: 'is held on (cam, flange, key)' },
          ]}
          onChange={(v) => say('chuck', 'change the chuck', (l) => void (l.screwedChuck = v === 'screwed'))}
        />
      </div>
    </Panel>
  );
}
