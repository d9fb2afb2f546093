import { suggestDeeper } from '../../../core/job/deeper.ts';
import { measurePlan } from '../../../core/job/measure.ts';
import { LAY_NAMES } from '../../../words/try.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { cardText } from '../../../words/machine.ts';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { Keypad } from '../../machine/Keypad.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import { WiresPlate } from '../../drawing/WiresPlate.tsx';
import type { Beside } from './beside.ts';
import { TryAnswer } from './TryAnswer.tsx';
import { TryBar } from './TryBar.tsx';
import { useBack } from './useBack.ts';
import { useStepSaid } from './useStepSaid.ts';

/** Measured over wires at the machine: one field, large; what it says of the next cut as soon as it is taken. */
export function WiresCard({ beside, due }: { readonly beside: Beside; readonly due: boolean }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const { system } = shop.settings;
  const wires = measurePlan(job, shop);
  const said = useStepSaid();
  const answer = suggestDeeper(job, shop, machine.metal);
  const back = useBack();
  if (!wires) return null;
  return (
    <MachineFrame
      station="cut"
      title={LAY_NAMES[wires.by]}
      region="Pass card"
      back={back}
      say={answer ? said.answer(answer) : due ? cardText(machine, job.intake.make, u) : LAY_NAMES[wires.by]}
      picture={<WiresPlate wires={wires} unit={system} />}
      head={
        <div className="grid gap-2">
          <LengthField
            armed
            huge
            label={`${LAY_NAMES[wires.by]} of ${lengthText(wires.wireMm, system, FINE)}: should be ${lengthText(wires.targetMm, system, FINE)}`}
            mm={null}
            expectedMm={wires.targetMm}
            system={system}
            onCommit={(mm, text) =>
              act({ do: wires.by === 'balls' ? 'betweenBalls' : 'overWires', mm, text, after: machine.card.after })
            }
          />
          <TryAnswer />
        </div>
      }
      step={<Keypad take={answer !== null} />}
      bar={<TryBar beside={beside} due={due} answer={answer} at="wires" />}
    />
  );
}
