import { suggestDeeper } from '../../../core/job/deeper.ts';
import { cardText } from '../../../words/machine.ts';
import { TRY_WITH } from '../../../words/try.ts';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import type { Beside } from './beside.ts';
import { OwnStep } from './OwnStep.tsx';
import { TryAnswer } from './TryAnswer.tsx';
import { TryMore } from './TryMore.tsx';
import { TryBar } from './TryBar.tsx';
import { TryPicks } from './TryPicks.tsx';
import { useBack } from './useBack.ts';
import { useStepSaid } from './useStepSaid.ts';

/** Try the mate: the choices at the left, what they say of the next cut at the right. */
export function TryCard({ beside, due }: { readonly beside: Beside; readonly due: boolean }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const said = useStepSaid();
  const answer = suggestDeeper(job, shop, machine.metal);
  return (
    <MachineFrame
      station="cut"
      title={TRY_WITH[job.intake.make]}
      region="Pass card"
      back={useBack()}
      say={answer ? said.answer(answer) : due ? cardText(machine, job.intake.make, u) : TRY_WITH[job.intake.make]}
      pictureFirst
      picture={<TryPicks />}
      head={<TryMore />}
      step={
        <div className="grid gap-3">
          <TryAnswer />
          <OwnStep />
        </div>
      }
      bar={<TryBar beside={beside} due={due} answer={answer} at="mate" />}
    />
  );
}
