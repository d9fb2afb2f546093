import { parseGears } from '../../../core/lathe/create.ts';
import { wholeNumber } from '../../../core/lathe/typed.ts';
import { ChaserDial } from '../../drawing/ChaserDial.tsx';
import { Panel } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import type { LathePanel } from './edit.ts';

export function DialPanel({ lathe, edit }: LathePanel) {
  return (
    <Panel title="Chasing dial">
      <div className="grid gap-3">
        <Choice
          label="This lathe has"
          value={lathe.dial ? 'dial' : 'none'}
          options={[
            { value: 'dial', label: 'a chasing dial' },
            { value: 'none', label: 'none' },
          ]}
          onChange={(v) =>
            edit(
              'change the chasing dial',
              (l) => void (l.dial = v === 'dial' ? { teeth: 16, marks: 8, otherTeeth: [] } : null),
            )
          }
        />
        {lathe.dial && (
          <>
            <div className="grid justify-items-center">
              <ChaserDial
                marks={lathe.dial.marks}
                safe={[]}
                label={`Chasing dial: ${lathe.dial.marks} marks, gear of ${lathe.dial.teeth} teeth`}
              />
            </div>
            <TypedField
              label="Teeth of the dial gear"
              shown={String(lathe.dial.teeth)}
              parse={wholeNumber('teeth', 8, 400)}
              onCommit={(v) =>
                edit(
                  'change the dial gear',
                  (l) => void (l.dial = { teeth: v, marks: l.dial?.marks ?? 8, otherTeeth: l.dial?.otherTeeth ?? [] }),
                )
              }
            />
            <TypedField
              label="Marks on the dial"
              shown={String(lathe.dial.marks)}
              parse={wholeNumber('marks', 1, 64)}
              onCommit={(v) =>
                edit(
                  'change the dial marks',
                  (l) => void (l.dial = { teeth: l.dial?.teeth ?? 16, marks: v, otherTeeth: l.dial?.otherTeeth ?? [] }),
                )
              }
            />
            <TypedField
              label="Other gears for the dial’s shaft"
              shown={lathe.dial.otherTeeth.join(' ')}
              placeholder="none"
              parse={(t) => parseGears(t)}
              onCommit={(v) => edit('change the dial gears', (l) => void (l.dial!.otherTeeth = v))}
              onClear={() => edit('no other dial gears', (l) => void (l.dial!.otherTeeth = []))}
            />
          </>
        )}
      </div>
    </Panel>
  );
}
