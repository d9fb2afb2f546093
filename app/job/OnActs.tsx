import type { StationId } from '../../core/job/schema.ts';
import { useJobView } from './jobContext.tsx';
import { useShop } from '../store/store.ts';
import { useNavigate } from 'react-router';
import { neighbour, settle } from './settle.ts';
import { notYet, believedThread } from '../../core/job/chain.ts';
import { Button } from '../ui/controls.tsx';
import { justOnText, onText } from '../../words/stations.ts';
import { ArrowRight, Check } from 'lucide-react';

/** The act that goes on, by what it does. */
export function OnActs({
  station,
  canSettle,
  big = false,
}: {
  readonly station: StationId;
  readonly canSettle: boolean;
  readonly big?: boolean;
}) {
  const { job, states, top } = useJobView();
  const shop = useShop();
  const navigate = useNavigate();
  const state = states[station];
  const next = neighbour(job, station, 1);
  const why = notYet(station, job, shop);
  const go = (): void => {
    if (next) void navigate(`/jobs/${job.id}/${next}`);
  };
  const can = canSettle && why === null && state.kind !== 'blocked' && state.kind !== 'settled';
  if (!can)
    return next ? (
      <Button
        tone={state.kind === 'settled' ? 'main' : 'plain'}
        className={big ? 'bar-main w-full text-2xl' : 'w-full'}
        onClick={go}
      >
        {justOnText(next)} <ArrowRight aria-hidden size={20} />
      </Button>
    ) : null;
  return (
    <Button
      tone="main"
      className={big ? 'bar-main w-full text-3xl' : 'min-h-14 w-full text-lg'}
      onClick={() => {
        if (settle(station, believedThread(job, top)) === null) go();
      }}
    >
      <Check aria-hidden size={20} /> {onText(station, next, state.kind === 'stale')}
    </Button>
  );
}
