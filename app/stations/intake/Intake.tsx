import { entries, OnThePlate } from './OnThePlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem, act } from '../../store/store.ts';
import { StationFrame } from '../../job/StationFrame.tsx';
import { TextField } from '../../ui/fields.tsx';
import { Photos } from '../../photos/Photos.tsx';
import { Panel } from '../../ui/controls.tsx';
import { Toggles, Choice } from '../../ui/choices.tsx';
import { HAZARDS, ORIGINS, USES } from '../../../words/intake.ts';
import { MATERIALS } from '../../../core/job/setupView.ts';

export function Intake() {
  const { job } = useJobView();
  const system = useSystem();
  const { intake } = job;
  return (
    <StationFrame
      station="intake"
      drawnFirst
      lead="What came in, what is wanted, and what it has to carry."
      acts={
        <div className="grid gap-3 border-t border-line pt-3">
          <TextField
            label="Title"
            value={job.title}
            onCommit={(t) => (t.trim() === '' ? null : act({ do: 'setIntake', title: t.trim() }))}
          />
          <TextField label="Customer" value={job.customer} onCommit={(t) => act({ do: 'setIntake', customer: t })} />
          <TextField label="Note" lines={3} value={intake.note} onCommit={(t) => act({ do: 'setIntake', note: t })} />
          <Photos of="the part" />
        </div>
      }
    >
      <OnThePlate />
      <div className="grid gap-3 md:grid-cols-2">
        <Panel>
          <Toggles
            label="Duties with rules of their own: what does it carry?"
            options={HAZARDS.map((h) => ({ value: h, label: h }))}
            chosen={intake.hazards}
            onChange={(hazards) => act({ do: 'setIntake', hazards: [...hazards] })}
          />
        </Panel>
        <Panel>
          <Choice
            label="Material of the new part"
            value={intake.material}
            options={MATERIALS.map((m) => ({ value: m, label: m }))}
            onChange={(v) => act({ do: 'setIntake', material: v })}
          />
        </Panel>
        <Panel>
          <Choice
            label="Made where"
            value={intake.origin ?? 'unknown'}
            options={entries(ORIGINS)}
            onChange={(v) => act({ do: 'setIntake', origin: v === 'unknown' ? null : v })}
          />
        </Panel>
        <Panel>
          <Choice
            label="Used as"
            value={intake.use ?? 'unknown'}
            options={entries(USES)}
            onChange={(v) => act({ do: 'setIntake', use: v === 'unknown' ? null : v })}
          />
        </Panel>
      </div>
      <p className="text-sm text-ink2">
        Where it was made and what it is used as shift what is likely when the thread is named. Lengths without a unit
        are taken as {system === 'mm' ? 'millimetres' : 'inches'}.
      </p>
    </StationFrame>
  );
}
