import type { ReactNode } from 'react';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { parseDivision, wholeNumber } from '../../../core/lathe/typed.ts';
import { Choice, Panel } from '../../ui/controls.tsx';
import { TypedField } from '../../ui/fields.tsx';

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
  return (
    <Panel title={title}>
      <div className="grid gap-3">
        <Choice
          label="Dial is in"
          value={dial.unit}
          options={[
            { value: 'mm', label: 'millimetres' },
            { value: 'in', label: 'inches' },
          ]}
          onChange={(v) => onChange({ unit: v })}
        />
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
