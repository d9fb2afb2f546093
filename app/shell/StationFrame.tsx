import { Cautions } from '../ui/Cautions.tsx';
import { becauseText } from '../../words/stations.ts';
import type { ReactNode } from 'react';
import { ArrowRight, Check } from 'lucide-react';
import { useNavigate } from 'react-router';
import { believedThread, notYet } from '../../core/job/chain.ts';
import { STATION_NAMES } from '../../words/stations.ts';
import type { StationId } from '../../core/job/schema.ts';
import { useShop } from '../store/store.ts';
import { Button, Note } from '../ui/controls.tsx';
import { useJobView } from './jobContext.tsx';
import { neighbour, settle } from './settle.ts';

interface Props {
  readonly station: StationId;
  /** What this station decides, one plain sentence. */
  readonly lead: string;
  readonly children: ReactNode;
  /** Settling is done by the station's own act (accepting a name), or cannot be done yet. */
  readonly canSettle?: boolean;
  readonly settleLabel?: string;
}

/** The frame of every station: its heading, why it is stale or blocked, and the way on. */
export function StationFrame({ station, lead, children, canSettle = true, settleLabel = 'Settled' }: Props) {
  const { job, states, top } = useJobView();
  const shop = useShop();
  const why = notYet(station, job, shop);
  const navigate = useNavigate();
  const state = states[station];
  const next = neighbour(job, station, 1);
  const go = (): void => {
    if (next) void navigate(`/jobs/${job.id}/${next}`);
  };
  return (
    <div className="grid content-start gap-4">
      <header className="flex items-end justify-between gap-3">
        <div className="min-w-0">
          <h1 className="text-2xl">{STATION_NAMES[station]}</h1>
          <p className="text-ink2">{lead}</p>
        </div>
        <div className="flex shrink-0 gap-2">
          {canSettle && why === null && state.kind !== 'blocked' && (
            <Button
              tone={state.kind === 'settled' ? 'plain' : 'main'}
              onClick={() => {
                if (settle(station, believedThread(job, top)) === null) go();
              }}
            >
              <Check aria-hidden size={18} />
              {state.kind === 'stale' ? 'Looked at: still right' : state.kind === 'settled' ? 'Settled' : settleLabel}
            </Button>
          )}
          {next && (
            <Button onClick={go}>
              {STATION_NAMES[next]} <ArrowRight aria-hidden size={18} />
            </Button>
          )}
        </div>
      </header>
      {state.kind === 'stale' && (
        <Note tone="caution">
          <strong>Look at this again.</strong> {becauseText(state.because)}
        </Note>
      )}
      {state.kind === 'blocked' && (
        <Note tone="say">
          <strong>Waiting.</strong> {becauseText(state.because)}
        </Note>
      )}
      {station === 'gears' && <Cautions station={station} />}
      {children}
      {station !== 'gears' && <Cautions station={station} />}
    </div>
  );
}
