import { useNavigate } from 'react-router';
import { threadOfJob } from '../../../core/job/derive.ts';
import type { PickupAct } from '../../../core/job/pickupAct.ts';
import { judgedOf } from '../../../core/job/pickupJudged.ts';
import { restOf } from '../../../core/job/pickupMove.ts';
import { pitchMmOf } from '../../../core/standards/thread.ts';
import { countedText, ofPitchText } from '../../../words/pickup.ts';
import { MainAct, TakeAct } from '../../machine/Bar.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import type { Look } from './LookPanel.tsx';

interface Props {
  readonly at: PickupAct;
  readonly look: Look;
  readonly eye: number | null;
  /** The slack is up, or the face is touched: said, not written down. */
  readonly onReady: () => void;
  /** The tool was moved: what was looked at no longer counts. */
  readonly onDone: () => void;
}

/** The one act that goes on from each act of picking up. */
export function PickupMain({ at, look, eye, onReady, onDone }: Props) {
  const { job, machine } = useJobView();
  const navigate = useNavigate();
  const { metal, pickup, card } = machine;
  const { move } = pickup;
  const thread = threadOfJob(job);
  if (!thread) return null;
  const judged = judgedOf(job, metal);
  const toCut = (): void => void navigate(`/jobs/${job.id}/cut`);
  const inGroove = (): void => {
    if (act({ do: 'inGroove', after: card.after }) === null) onDone();
  };
  return {
    swing: <MainAct onClick={() => act({ do: 'swingSlide', deg: 90 })}>It lies along the bed</MainAct>,
    slack: (
      <MainAct onClick={() => onReady()} then="look">
        The slack is taken up
      </MainAct>
    ),
    face: (
      <MainAct onClick={() => onReady()} then="let it into the groove">
        The face is Z 0
      </MainAct>
    ),
    look:
      look === 'eye' ? (
        <MainAct
          disabled={eye === null}
          onClick={() => {
            if (eye !== null)
              act({
                do: 'offset',
                mm: Number((-eye * pitchMmOf(thread)).toFixed(4)),
                by: 'eye',
                text: ofPitchText(eye),
              });
          }}
        >
          It stands there
        </MainAct>
      ) : (
        <TakeAct />
      ),
    drop: <TakeAct>Take the Z it stands at</TakeAct>,
    move:
      move && restOf(move) !== 0 ? (
        <MainAct then="take up the rest" onClick={() => act({ do: 'nearer', after: card.after })}>
          Slipped
        </MainAct>
      ) : (
        <MainAct disabled={!move} then="run along in the air" onClick={inGroove}>
          {move?.way === 'turn' ? 'Turned, it runs true' : 'It is moved'}
        </MainAct>
      ),
    key: (
      <MainAct disabled={move?.way !== 'z' || countedText(move) !== null} then="one pass in the air" onClick={inGroove}>
        It is keyed in
      </MainAct>
    ),
    judge:
      judged && ['offset', 'lead'].includes(judged.verdict) ? (
        <MainAct
          onClick={() => {
            if (act({ do: 'judgedOff', after: card.after }) === null) onDone();
          }}
        >
          {judged.verdict === 'lead' ? 'Split it in the middle' : 'Take that as the offset'}
        </MainAct>
      ) : (
        <MainAct
          disabled={judged?.verdict !== 'in'}
          then="touch off"
          onClick={() => act({ do: 'airPass', result: 'in', after: card.after }) === null && toCut()}
        >
          In the groove all along
        </MainAct>
      ),
    found: (
      <MainAct onward onClick={toCut}>
        To the card
      </MainAct>
    ),
  }[at];
}
