import { useJobView } from '../../job/jobContext.tsx';
import { useId } from 'react';
import { DyeCoat } from '../../drawing/Plate.tsx';
import { CAME_IN, WANTED, toMakeText, MADE } from '../../../words/intake.ts';
import clsx from 'clsx';
import { act } from '../../store/store.ts';
import { CameInDrawing } from '../../drawing/CameIn.tsx';
import { Choice } from '../../ui/choices.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { wholeNumber } from '../../../core/lathe/typed.ts';
import type { Job } from '../../../core/job/schema.ts';

export const entries = <K extends string>(names: Readonly<Record<K, string>>) =>
  (Object.keys(names) as K[]).map((value) => ({ value, label: names[value] }));

/** What came in, chosen by its drawing, and what is to be made of it. */
export function OnThePlate() {
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
