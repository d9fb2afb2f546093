import { useState, type ReactNode } from 'react';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { parseDivision, wholeNumber } from '../../../core/lathe/typed.ts';
import { SlideDial } from '../../drawing/SlideDial.tsx';
import { Note, Panel } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** A slide's dial: graduation, divisions a turn, and whether it shows travel or diameter. */
export function SlidePanel({
  title,
  dial,
  onChange,
  children,
}: {
  readonly title: string;
  readonly dial: Lathe['crossSlide'];
  readonly onChange: (change: Partial<Lathe['crossSlide']>) => void;
  readonly children?: ReactNode;
}) {
  const [asked, setAsked] = useState<Lathe['crossSlide']['unit'] | null>(null);
  return (
    <Panel title={title}>
      <div className="grid gap-3">
        <SlideDial dial={dial} name={title} />
        <Choice
          label="Dial is in"
          value={asked ?? dial.unit}
          options={[
            { value: 'mm', label: 'millimetres' },
            { value: 'in', label: 'inches' },
          ]}
          onChange={(v) => setAsked(v === dial.unit ? null : v)}
        />
        {asked === null ? (
          <>
            <TypedField
              label={`One division reads, ${dial.unit}`}
              shown={String(dial.division)}
              parse={parseDivision}
              onCommit={(v) => onChange({ division: v })}
            />
            <TypedField
              label="Divisions in one turn"
              shown={String(dial.perTurn)}
              parse={wholeNumber('divisions', 4, 1000)}
              onCommit={(v) => onChange({ perTurn: v })}
            />
          </>
        ) : (
          <OtherUnit
            key={asked}
            unit={asked}
            onTake={(graduation) => {
              onChange({ unit: asked, ...graduation });
              setAsked(null);
            }}
          />
        )}
        <Choice
          label="The dial shows"
          value={dial.reads}
          options={[
            { value: 'radius', label: 'how far the slide moves' },
            { value: 'diameter', label: 'change of diameter' },
          ]}
          onChange={(v) => onChange({ reads: v })}
        />
        {children}
      </div>
    </Panel>
  );
}

type Graduation = Pick<Lathe['crossSlide'], 'division' | 'perTurn'>;

/** A dial in the other system is graduated otherwise: both figures are read off it before anything changes. */
function OtherUnit({
  unit,
  onTake,
}: {
  readonly unit: Lathe['crossSlide']['unit'];
  readonly onTake: (g: Graduation) => void;
}) {
  const [read, setRead] = useState<Partial<Graduation>>({});
  const take = (more: Partial<Graduation>): void => {
    const { division, perTurn } = { ...read, ...more };
    if (division !== undefined && perTurn !== undefined) onTake({ division, perTurn });
    else setRead({ ...read, ...more });
  };
  return (
    <>
      <Note tone="say">Read both off the dial: until then it stays as it was.</Note>
      <TypedField
        label={`One division reads, ${unit}`}
        shown={read.division === undefined ? '' : String(read.division)}
        placeholder={unit === 'mm' ? '0.02' : '.001'}
        parse={parseDivision}
        onCommit={(division) => take({ division })}
      />
      <TypedField
        label="Divisions in one turn"
        shown={read.perTurn === undefined ? '' : String(read.perTurn)}
        placeholder="100"
        parse={wholeNumber('divisions', 4, 1000)}
        onCommit={(perTurn) => take({ perTurn })}
      />
    </>
  );
}
