import { Minus, Plus } from 'lucide-react';
import type { Move } from '../../../core/job/pickupMove.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { readWhole } from '../../../core/quantity/number.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { countedText } from '../../../words/pickup.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { Button, Note } from '../../ui/controls.tsx';
import { Keypad } from '../../machine/Keypad.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** The tool let into the groove at a control: Z it stands at, and the threads counted from the face. */
export function DropPanel({ unit, huge }: { readonly unit: UnitSystem; readonly huge: boolean }) {
  const { machine } = useJobView();
  const { dropped } = machine.metal;
  return (
    <div className={huge ? 'grid gap-3' : 'grid grid-cols-2 gap-3 max-xs:grid-cols-1'}>
      <LengthField
        armed={huge}
        huge={huge}
        label="Z in the groove"
        hint="face 0, minus towards the headstock"
        mm={dropped?.zMm ?? null}
        system={unit}
        rule={{ allowNegative: true, allowZero: true, maxMm: 5000 }}
        onCommit={(zMm, text) => act({ do: 'dropIn', zMm, threads: dropped?.threads ?? null, text })}
      />
      {huge && <Keypad signed take />}
      <TypedField
        label="Grooves counted from the face"
        hint="those that the tool drops into"
        shown={dropped?.threads?.toString() ?? ''}
        parse={(t) => readWhole(t, 'threads', 1, 10_000, '6')}
        onClear={() => dropped && act({ do: 'dropIn', zMm: dropped.zMm, threads: null, text: dropped.text })}
        onCommit={(threads) => dropped && act({ do: 'dropIn', zMm: dropped.zMm, threads, text: dropped.text })}
      />
    </div>
  );
}

/** Whole leads out of the groove, and what else the control is told of a recut. */
export function KeyPanel({ move, unit }: { readonly move: Extract<Move, { way: 'z' }>; readonly unit: UnitSystem }) {
  const mm = (x: number): string => lengthText(x, unit, FINE);
  const counted = countedText(move);
  const set = (leadsOut: number): unknown => act({ do: 'setPickup', leadsOut });
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-center gap-4">
        <div role="group" aria-label="Whole leads out of the groove" className="flex">
          <Button
            big
            aria-label="One lead less"
            disabled={move.leads <= move.leastLeads}
            onClick={() => set(move.leads - 1)}
          >
            <Minus aria-hidden size={24} />
          </Button>
          <output className="num grid min-w-20 place-items-center border-y-2 border-edge bg-panel text-3xl font-bold">
            {move.leads}
          </output>
          <Button big aria-label="One lead more" onClick={() => set(move.leads + 1)}>
            <Plus aria-hidden size={24} />
          </Button>
        </div>
        <p className="text-xl">
          whole leads out of the groove, <span className="num font-bold">{move.clearLeads.toFixed(2)}</span> clear of
          the face
        </p>
      </div>
      {counted !== null && <Note tone="wrong">{counted}</Note>}
      <table className="w-full text-left text-lg">
        <caption className="sr-only">For the control</caption>
        <tbody>
          {[
            [
              'Z in the groove',
              mm(move.grooveMm),
              move.counted ? `${move.counted.threads} counted` : 'spindle at its mark',
            ],
            ['Lead', mm(move.leadMm), 'as the job has it'],
            ['Plunge angle', '0', 'recut: straight in'],
          ].map(([name, value, how]) => (
            <tr key={name} className="border-t border-line">
              <th scope="row" className="py-1 font-normal">
                {name}
              </th>
              <td className="num text-right text-xl font-bold">{value}</td>
              <td className="pl-4 text-ink2">{how}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
