import { tipDiameterNowMm } from '../../../core/job/recut.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import { StepsOn, useStepsOn } from './StepsOn.tsx';

/** The step by which it goes deeper from trial to trial, as the person has it, and what the dial makes of the minor diameter. */
export function OwnStep() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const on = useStepsOn();
  const each = on === 'diameter' ? 2 : 1;
  const step = job.cut.deeperStepMm;
  const tipMm = tipDiameterNowMm(job, machine.metal);
  const minor = job.intake.make === 'external' ? 'Minor' : 'Major';
  return (
    <div className="grid gap-3 md:grid-cols-2">
      {on === null ? (
        <StepsOn />
      ) : (
        <LengthField
          label={`Own step between trials, on the ${on} (empty: as the trial says)`}
          mm={step === null ? null : step * each}
          system={shop.settings.system}
          rule={{ maxMm: 5 }}
          onClear={() => act({ do: 'setSchedule', deeperStepMm: null })}
          onCommit={(mm) => act({ do: 'setSchedule', deeperStepMm: mm / each })}
        />
      )}
      {tipMm !== null && (
        <LengthField
          label={`${minor} diameter now ${lengthText(tipMm, u, FINE)}, as the dial says: go to`}
          mm={null}
          system={shop.settings.system}
          onCommit={(mm) =>
            act({
              do: 'deeper',
              byMm: (job.intake.make === 'external' ? tipMm - mm : mm - tipMm) / 2,
              after: machine.card.after,
            })
          }
        />
      )}
    </div>
  );
}
