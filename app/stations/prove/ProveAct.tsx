import type { DeeperAnswer } from '../../../core/job/deeper.ts';
import { useJobView, useDialUnit } from '../../job/jobContext.tsx';
import { useNavigate } from 'react-router';
import { useStepsOn } from '../cut/StepsOn.tsx';
import { MainAct } from '../../machine/Bar.tsx';
import { act } from '../../store/store.ts';
import { stepShort } from '../../../words/deeper.ts';
import { dressedNow } from '../../../core/job/formCheck.ts';
import { DRESSED } from '../../../core/job/events.ts';
import { OnActs } from '../../job/OnActs.tsx';

/** The one act that follows: cut it, spring it, look at the train, finish it, or go on. */
export function ProveAct({
  answer,
  onFinish,
}: {
  readonly answer: DeeperAnswer | null;
  readonly onFinish: () => void;
}) {
  const { job, machine } = useJobView();
  const navigate = useNavigate();
  const u = useDialUnit();
  const on = useStepsOn() ?? 'radius';
  const { after } = machine.card;
  const to = (station: string): void => void navigate(`/jobs/${job.id}/${station}`);
  switch (answer?.code) {
    case 'deeper':
      return (
        <MainAct onward onClick={() => act({ do: 'deeper', byMm: answer.byMm, after }) === null && to('cut')}>
          Cut it {stepShort(answer.byMm, u, on)} deeper
        </MainAct>
      );
    case 'spring':
      return <MainAct onClick={() => act({ do: 'springDone', after })}>Sprung once more</MainAct>;
    case 'lead':
      return (
        <MainAct onward onClick={() => to('gears')}>
          Check the train
        </MainAct>
      );
    case 'fits':
    case 'enough':
      if (dressedNow(job).size < DRESSED.length && machine.metal.finished === null)
        return (
          <MainAct onward onClick={onFinish}>
            Finish it, then the verdict
          </MainAct>
        );
      return <OnActs station="prove" canSettle big />;
    default:
      return <OnActs station="prove" canSettle big />;
  }
}
