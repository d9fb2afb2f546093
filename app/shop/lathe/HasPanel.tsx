import { LATHE_HAS, type Lathe, type LatheHas } from '../../../core/lathe/schema.ts';
import { parseKilowatts, parseStopAccel } from '../../../core/lathe/typed.ts';
import { LATHE_HAS_NAMES } from '../../../words/lathe.ts';
import { Panel } from '../../ui/controls.tsx';
import { Toggles } from '../../ui/choices.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import type { EditLathe } from './edit.ts';

/** What a lathe has besides, and what is wrong with it: both change how a pass is gone through. */
export function HasPanel({
  lathe,
  edit,
  told,
}: {
  readonly lathe: Lathe;
  readonly edit: EditLathe;
  readonly told: boolean;
}) {
  return (
    <Panel title="What it has besides">
      <div className="grid gap-3">
        <Toggles
          label="It has, or suffers from"
          options={LATHE_HAS.map((value) => ({ value, label: LATHE_HAS_NAMES[value] }))}
          chosen={lathe.has}
          onChange={(next) =>
            edit('change what the lathe has', (l) => void (l.has = LATHE_HAS.filter((h: LatheHas) => next.includes(h))))
          }
        />
        <TypedField
          label="Motor, kW"
          shown={lathe.motorKw === null ? '' : String(lathe.motorKw)}
          placeholder="not known"
          parse={parseKilowatts}
          onCommit={(v) => edit('give the motor', (l) => void (l.motorKw = v))}
          onClear={() => edit('clear the motor', (l) => void (l.motorKw = null))}
          hint="the hardest pass is held against seven tenths of it"
        />
        {told && (
          <TypedField
            label="The carriage slows by, mm/s²"
            shown={lathe.stopAccelMmS2 === null ? '' : String(lathe.stopAccelMmS2)}
            placeholder="not measured"
            parse={parseStopAccel}
            onCommit={(v) => edit('give the slowing', (l) => void (l.stopAccelMmS2 = v))}
            onClear={() => edit('clear the slowing', (l) => void (l.stopAccelMmS2 = null))}
            hint="a parameter of the drive; how far short of a stop it stands follows from it"
          />
        )}
      </div>
    </Panel>
  );
}
