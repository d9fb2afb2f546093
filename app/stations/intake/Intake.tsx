import clsx from 'clsx';
import { useId } from 'react';
import { MATERIALS } from '../../../core/job/setupView.ts';
import { wholeNumber } from '../../../core/lathe/typed.ts';
import type { Job } from '../../../core/job/schema.ts';
import { CAME_IN, HAZARDS, MADE, ORIGINS, toMakeText, USES, WANTED } from '../../../words/intake.ts';
import { CameInDrawing } from '../../drawing/CameIn.tsx';
import { DyeCoat } from '../../drawing/Plate.tsx';
import { Photos } from '../../photos/Photos.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { StationFrame } from '../../job/StationFrame.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Choice, Panel, Toggles } from '../../ui/controls.tsx';
import { TextField, TypedField } from '../../ui/fields.tsx';

const entries = <K extends string>(names: Readonly<Record<K, string>>) =>
  (Object.keys(names) as K[]).map((value) => ({ value, label: names[value] }));

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

/** What came in, chosen by its drawing, and what is to be made of it. */
function OnThePlate() {
  const { job } = useJobView();
  const { intake, quantity } = job;
  const name = useId();
  return (
    <div className="plate on-plate relative overflow-hidden">
      <DyeCoat />
      <div className="relative grid gap-4 p-4 lg:grid-cols-[minmax(0,3.6fr)_minmax(0,1.6fr)]">
        <fieldset className="min-w-0">
          <legend className="mb-2 text-lg font-semibold">What came in</legend>
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
            {entries(CAME_IN).map(({ value, label }) => (
              <label
                key={value}
                className={clsx(
                  'relative block cursor-pointer rounded-[4px] border-2 border-scribe2/40 p-1 text-center has-checked:border-straw has-checked:bg-deep has-checked:font-bold has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-straw forced-colors:has-checked:border-[Highlight]',
                )}
              >
                <input
                  type="radio"
                  name={name}
                  value={value}
                  aria-label={label}
                  checked={intake.cameIn === value}
                  onChange={() => act({ do: 'setIntake', cameIn: value })}
                  className="absolute inset-0 size-full cursor-pointer opacity-0"
                />
                <CameInDrawing what={value} />
                {label}
              </label>
            ))}
          </div>
          <div className="mt-3 flex flex-wrap items-start gap-x-6 gap-y-3 text-ink [&_legend]:text-scribe2">
            <Choice
              label="Wanted"
              value={intake.wanted}
              options={entries(WANTED)}
              onChange={(v) => act({ do: 'setIntake', wanted: v })}
            />
            <div className="grid grid-cols-[7rem_9rem] items-start gap-2">
              <div className="[&_label]:text-scribe2">
                <TypedField
                  label="How many"
                  shown={String(quantity.parts)}
                  parse={wholeNumber('parts', 1, 10_000)}
                  onCommit={(parts) => act({ do: 'setQuantity', parts })}
                />
              </div>
              <Choice
                label="A test piece first"
                even
                value={quantity.testPiece ? 'yes' : 'no'}
                options={[
                  { value: 'no', label: 'no' },
                  { value: 'yes', label: 'yes' },
                ]}
                onChange={(v) => act({ do: 'setQuantity', testPiece: v === 'yes' })}
              />
            </div>
          </div>
        </fieldset>
        <fieldset className="min-w-0">
          <legend className="mb-2 text-lg font-semibold">To make</legend>
          <div className="rounded-[4px] border-2 border-dashed border-scribe2/40 p-1 text-center">
            <div className="mx-auto max-w-60">
              <CameInDrawing what={intake.make} planned />
            </div>
            <p>{toMakeText(intake, quantity)}</p>
          </div>
          <MakeChoice make={intake.make} />
        </fieldset>
      </div>
    </div>
  );
}

const MakeChoice = ({ make }: { readonly make: Job['intake']['make'] }) => (
  <div className="mt-2 text-ink [&_legend]:text-scribe2">
    <Choice
      label="To be cut"
      even
      value={make}
      options={entries(MADE)}
      onChange={(v) => act({ do: 'setIntake', make: v })}
    />
  </div>
);
