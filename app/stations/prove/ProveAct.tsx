import type { DeeperAnswer } from '../../../core/job/deeper.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useNavigate } from 'react-router';
import { useStepSaid } from '../cut/useStepSaid.ts';
import { MainAct } from '../../machine/Bar.tsx';
import { act } from '../../store/store.ts';
import { dressedNow } from '../../../core/job/formCheck.ts';
import { DRESSED } from '../../../core/job/events.ts';
import { AGAIN_ACT } from '../../../words/prove.ts';
import { OnActs } from '../../job/OnActs.tsx';

/** The one act that follows: cut it, spring it, look at the train, finish it, or go on. */
export function ProveAct({
  answer,
  again,
  onFinish,
  onAgain,
}: {
  readonly answer: DeeperAnswer | null;
  /** Finished since it was tried. */
  readonly again: boolean;
  readonly onFinish: () => void;
  readonly onAgain: () => void;
}) {
  const { job, machine } = useJobView();
  const navigate = useNavigate();
  const said = useStepSaid();
  const { after } = machine.card;
  const to = (station: string): void => void navigate(`/jobs/${job.id}/${station}`);
  // a part that is done, or accepted, is not asked for more
  if (machine.metal.finished !== null) return <OnActs station="prove" canSettle big />;
  switch (answer?.code) {
    case 'deeper':
      return (
        <MainAct onward onClick={() => act({ do: 'deeper', byMm: answer.byMm, after }) === null && to('cut')}>
          Cut it {said.short(answer.byMm)} deeper
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
      if (dressedNow(job).size < DRESSED.length && machine.metal.finished === null)
        return (
          <MainAct onward onClick={onFinish}>
            Finish it, then the verdict
          </MainAct>
        );
      return again ? (
        <MainAct onward onClick={onAgain}>
          {AGAIN_ACT}
        </MainAct>
      ) : (
        <OnActs station="prove" canSettle big />
      );
    case 'start':
      return (
        <MainAct onward onClick={() => to('cut')}>
          To start {answer.start}
        </MainAct>
      );
    case 'measure':
    case 'doubt':
    case 'enough':
    case 'past':
    case 'bruise':
      // what is next stands beside its picture: nothing is proved yet
      return undefined;
    case undefined:
      return <OnActs station="prove" canSettle big />;
  }
}
