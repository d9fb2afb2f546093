import { act, useSystem } from '../../store/store.ts';
import { MATERIALS } from '../../../core/job/setupView.ts';
import { Choice, Panel } from '../../ui/controls.tsx';
import { wholeNumber } from '../../../core/lathe/typed.ts';
import { TextField, TypedField } from '../../ui/fields.tsx';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';

const HAZARDS = [
  'carries people',
  'lifting gear',
  'pressure',
  'fuel gas',
  'vehicle steering or brakes',
  'firearm',
  'aircraft',
  'oilfield connection',
];

export function Intake() {
  const { job } = useJobView();
  const system = useSystem();
  const { intake } = job;
  return (
    <StationFrame station="intake" lead="What came in, what is wanted, and what it has to carry.">
      <div className="grid gap-4 md:grid-cols-2">
        <Panel title="The job">
          <div className="grid gap-3">
            <TextField
              label="Title"
              value={job.title}
              onCommit={(t) => (t.trim() === '' ? null : act({ do: 'setIntake', title: t.trim() }))}
            />
            <TextField label="Customer" value={job.customer} onCommit={(t) => act({ do: 'setIntake', customer: t })} />
            <TextField label="Note" lines={3} value={intake.note} onCommit={(t) => act({ do: 'setIntake', note: t })} />
          </div>
        </Panel>
        <Panel title="The part">
          <div className="grid gap-3">
            <Choice
              label="What came in"
              value={intake.cameIn}
              options={[
                { value: 'screw', label: 'Screw' },
                { value: 'nut', label: 'Nut' },
                { value: 'both', label: 'Both' },
                { value: 'broken-shaft', label: 'Broken shaft' },
              ]}
              onChange={(v) => act({ do: 'setIntake', cameIn: v })}
            />
            <Choice
              label="Wanted"
              value={intake.wanted}
              options={[
                { value: 'copy', label: 'Copy' },
                { value: 'mate', label: 'Its mate' },
                { value: 'extend', label: 'Extend the thread' },
                { value: 'recut', label: 'Recut' },
                { value: 'gauge', label: 'Gauge' },
              ]}
              onChange={(v) => act({ do: 'setIntake', wanted: v })}
            />
            <Choice
              label="To be cut"
              value={intake.make}
              options={[
                { value: 'external', label: 'External thread (screw)' },
                { value: 'internal', label: 'Internal thread (nut)' },
              ]}
              onChange={(v) => act({ do: 'setIntake', make: v })}
            />
            <div className="grid gap-3 sm:grid-cols-2">
              <TypedField
                label="How many"
                shown={String(job.quantity.parts)}
                parse={wholeNumber('parts', 1, 10_000)}
                onCommit={(parts) => act({ do: 'setQuantity', parts })}
              />
              <Choice
                label="A test piece first"
                value={job.quantity.testPiece ? 'yes' : 'no'}
                options={[
                  { value: 'no', label: 'no' },
                  { value: 'yes', label: 'yes' },
                ]}
                onChange={(v) => act({ do: 'setQuantity', testPiece: v === 'yes' })}
              />
            </div>
            <Choice
              label="Material"
              value={intake.material}
              options={MATERIALS.map((m) => ({ value: m, label: m }))}
              onChange={(v) => act({ do: 'setIntake', material: v })}
            />
          </div>
        </Panel>
        <Panel title="Where it comes from">
          <div className="grid gap-3">
            <Choice
              label="Made where"
              value={intake.origin ?? 'unknown'}
              options={[
                { value: 'unknown', label: 'Not known' },
                { value: 'metric', label: 'A metric country' },
                { value: 'american', label: 'America' },
                { value: 'british', label: 'Britain' },
              ]}
              onChange={(v) => act({ do: 'setIntake', origin: v === 'unknown' ? null : v })}
            />
            <Choice
              label="Used as"
              value={intake.use ?? 'unknown'}
              options={[
                { value: 'unknown', label: 'Not known' },
                { value: 'fastener', label: 'Fastener' },
                { value: 'pipe', label: 'Pipe fitting' },
                { value: 'instrument', label: 'Instrument' },
                { value: 'power-screw', label: 'Power screw' },
                { value: 'machine-part', label: 'Machine part' },
              ]}
              onChange={(v) => act({ do: 'setIntake', use: v === 'unknown' ? null : v })}
            />
            <p className="text-sm text-ink2">
              Both shift what is likely when the thread is named. Lengths without a unit are taken as{' '}
              {system === 'mm' ? 'millimetres' : 'inches'}.
            </p>
          </div>
        </Panel>
        <Panel title="Duties with rules of their own">
          <div className="flex flex-wrap gap-x-4">
            {HAZARDS.map((h) => (
              <label key={h} className="flex min-h-12 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-(--blue)"
                  checked={intake.hazards.includes(h)}
                  onChange={(e) =>
                    act({
                      do: 'setIntake',
                      hazards: e.target.checked ? [...intake.hazards, h] : intake.hazards.filter((x) => x !== h),
                    })
                  }
                />
                {h}
              </label>
            ))}
          </div>
        </Panel>
      </div>
    </StationFrame>
  );
}
