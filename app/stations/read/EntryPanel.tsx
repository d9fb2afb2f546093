import { useId } from 'react';
import { partOf } from '../../../core/job/evidence.ts';
import { FINE_ENOUGH_MM } from '../../../core/reading/pitch.ts';
import { QUANTITY_NAMES } from '../../../words/readings.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { inputClass } from '../../ui/inputClass.ts';
import { WORN } from './kinds.ts';
import type { ReadingEntry } from './useEntry.ts';

interface Props {
  readonly entry: ReadingEntry;
  readonly form: string;
  readonly positionMm: number | null;
  readonly onPoint: (mm: number | null) => void;
}

/** What belongs to the reading that is armed: with what it is taken, where, and in what state the metal is there. */
export function EntryPanel({ entry, form, positionMm, onPoint }: Props) {
  const { job } = useJobView();
  const system = useSystem();
  const id = useId();
  const side = partOf(job);
  const { quantity } = entry;
  const names = QUANTITY_NAMES[quantity];
  const worn = WORN.includes(quantity);
  return (
    <form
      id={form}
      className="grid gap-2 rounded-[4px] border border-l-[10px] border-edge border-l-straw p-3"
      aria-label={`Reading: ${names[side]}`}
      onSubmit={(e) => {
        e.preventDefault();
        entry.take(false);
      }}
    >
      <p className="leading-tight">
        <strong className="text-lg">{names[side]}</strong> <span className="text-sm text-ink2">{names.hint}</span>
      </p>
      {entry.suits.length > 0 && (
        <div className="flex items-center gap-2">
          <label htmlFor={`${id}-i`} className="text-sm text-ink2">
            With
          </label>
          <select
            id={`${id}-i`}
            value={entry.instrument ?? ''}
            onChange={(e) => entry.setInstrument(e.target.value || null)}
            className="min-h-12 min-w-0 grow rounded-md border border-line bg-panel px-2"
          >
            {entry.suits.map((i) => (
              <option key={i.id} value={i.id}>
                {quantity === 'crestCount' && i.uncertainty <= FINE_ENOUGH_MM ? `${i.name}, crest to crest` : i.name}
              </option>
            ))}
          </select>
        </div>
      )}
      {quantity === 'template' && (
        <Choice
          label="Held to"
          value={entry.flank ?? 'whole'}
          options={[
            { value: 'whole', label: 'the whole form' },
            { value: 'leading', label: QUANTITY_NAMES.leadingFlank[side] },
            { value: 'trailing', label: QUANTITY_NAMES.trailingFlank[side] },
          ]}
          onChange={(f) => entry.setFlank(f === 'whole' ? null : f)}
        />
      )}
      {(quantity === 'pitchLeaf' || quantity === 'template') && (
        <Choice
          label={quantity === 'template' ? 'The template' : 'The leaf'}
          even
          value={entry.leaf}
          options={[
            { value: 'fits', label: 'fits' },
            { value: 'nearly', label: 'nearly' },
            { value: 'no', label: 'does not' },
          ]}
          onChange={entry.setLeaf}
        />
      )}
      {worn && (
        <>
          <Choice
            label="The metal there is"
            even
            value={entry.wear}
            options={[
              { value: 'worn', label: 'worn' },
              { value: 'unworn', label: 'unworn' },
              { value: 'unknown', label: 'not known' },
            ]}
            onChange={entry.setWear}
          />
          <Choice
            label="Taken on"
            even
            value={entry.member}
            options={[
              { value: 'part', label: side === 'external' ? 'the screw' : 'the nut' },
              { value: 'mate', label: side === 'external' ? 'its nut' : 'its screw' },
            ]}
            onChange={entry.setMember}
          />
          <div className="grid grid-cols-2 gap-2">
            <LengthField
              label="Where, from the end"
              mm={positionMm}
              system={system}
              rule={{ allowZero: true }}
              placeholder="touch the part"
              onCommit={onPoint}
              onClear={() => onPoint(null)}
            />
            <div className="grid content-start gap-1">
              <label htmlFor={`${id}-w`} className="text-sm text-ink2">
                in words
              </label>
              <input
                id={`${id}-w`}
                value={entry.place}
                onChange={(e) => entry.setPlace(e.target.value)}
                placeholder="under the collar"
                className={`${inputClass} font-sans text-base tracking-normal`}
                autoComplete="off"
              />
            </div>
          </div>
        </>
      )}
      <Button tone={entry.text.trim() === '' ? 'plain' : 'main'} type="submit" className="w-full">
        Take it
      </Button>
    </form>
  );
}
