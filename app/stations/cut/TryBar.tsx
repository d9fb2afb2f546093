import { useNavigate } from 'react-router';
import type { DeeperAnswer } from '../../../core/job/deeper.ts';
import { fitOfJob } from '../../../core/job/derive.ts';
import { TRY_GAUGES } from '../../../words/try.ts';
import { Bar, MainAct, SideAct, TakeAct } from '../../machine/Bar.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import type { Beside, Trying } from './beside.ts';
import { CutBar } from './CutBar.tsx';
import { useStepSaid } from './useStepSaid.ts';

/** The acts of a trial: cut it deeper, or the part is done; where a pass waits, back to it. */
export function TryBar({
  beside,
  due,
  answer,
  at,
}: {
  readonly at: Trying;
  readonly beside: Beside;
  readonly due: boolean;
  readonly answer: DeeperAnswer | null;
}) {
  const { job, machine } = useJobView();
  const navigate = useNavigate();
  const said = useStepSaid();
  const { after } = machine.card;
  const leave = (): void => beside.tryIt(null);
  const finish = (): void => {
    if (act({ do: 'finishPart', after }) === null) leave();
  };
  const done = <SideAct onClick={finish}>This part is done</SideAct>;
  if (answer?.code === 'fits')
    return (
      <Bar main={<MainAct onClick={finish}>This part is done</MainAct>}>
        {!due && <SideAct onClick={leave}>Leave</SideAct>}
      </Bar>
    );
  const main =
    answer?.code === 'deeper' ? (
      <MainAct
        onward
        onClick={() => {
          if (act({ do: 'deeper', byMm: answer.byMm, after }) === null) leave();
        }}
      >
        Deeper by {said.text(answer.byMm)}
      </MainAct>
    ) : answer?.code === 'spring' ? (
      <MainAct onClick={() => act({ do: 'springDone', after })}>Sprung once more</MainAct>
    ) : answer?.code === 'lead' ? (
      <MainAct onward onClick={() => void navigate(`/jobs/${job.id}/gears`)}>
        Check the train
      </MainAct>
    ) : answer?.code === 'start' ? (
      <MainAct onward onClick={leave}>
        To the card
      </MainAct>
    ) : at === 'wires' && answer === null ? (
      <TakeAct />
    ) : undefined;
  if (due)
    return (
      <CutBar beside={beside} main={main} at={at}>
        {fitOfJob(job)?.limits && (
          <SideAct onClick={() => void navigate(`/jobs/${job.id}/prove?by=gauge`)}>{TRY_GAUGES}</SideAct>
        )}
        {done}
      </CutBar>
    );
  return (
    <Bar main={main}>
      <SideAct onClick={leave}>Leave</SideAct>
      {done}
    </Bar>
  );
}
