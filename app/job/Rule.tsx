import clsx from 'clsx';
import { useMemo } from 'react';
import { CircleDot } from 'lucide-react';
import { Link } from 'react-router';
import type { Ranking } from '../../core/identify/rank.ts';
import { stationsOf, type StationState } from '../../core/job/chain.ts';
import type { Job, StationId } from '../../core/job/schema.ts';
import { percentText } from '../../core/quantity/format.ts';
import type { ThreadSpec } from '../../core/standards/thread.ts';
import { shortConclusion } from '../../words/short.ts';
import { STATE_WORDS, STATION_NAMES } from '../../words/stations.ts';
import { useShop, useSystem } from '../store/store.ts';
import { useJobView } from './jobContext.tsx';
import { STATE_ICONS } from './StationFrame.tsx';

/** The stations in the order of the work as one band, dyed as far as the job is settled: each with its state and its conclusion. */
export function Rule({ station }: { readonly station: StationId }) {
  const { job, states, ranking, top } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const list = useMemo(() => stationsOf(job), [job]);
  // going from station to station changes none of them
  const lines = useMemo(
    () => new Map(list.map((s) => [s, shortConclusion(s, job, shop, system)])),
    [list, job, shop, system],
  );
  const here = list.indexOf(station);
  const next = list.find((s) => states[s].kind === 'stale' || states[s].kind === 'open');
  return (
    <nav aria-label="Stations" className="no-print border-b-2 border-edge">
      <ol className="rule-cells grid h-16 auto-cols-fr grid-flow-col max-lg:auto-cols-auto">
        {list.map((s, i) => (
          <Cell
            key={s}
            job={job}
            station={s}
            state={states[s]}
            current={s === station}
            actHere={s === next}
            near={Math.abs(i - here) <= 1}
            line={(s === 'name' ? likeliestText(ranking, top, states[s]) : null) ?? lines.get(s) ?? null}
          />
        ))}
      </ol>
    </nav>
  );
}

/** Before a name is taken the likeliest stands there with how sure it is. */
function likeliestText(ranking: Ranking | null, top: ThreadSpec | null, state: StationState): string | null {
  if (!ranking || !top || state.kind === 'settled') return null;
  const best = ranking.candidates[0];
  const share = percentText(best && best.thread === top ? best.probability : ranking.special.probability);
  // what is nearly sure is longer to say, and the cell is narrow
  return /^\d/.test(share) ? `likely ${share}` : share;
}

interface CellProps {
  readonly job: Job;
  readonly station: StationId;
  readonly state: StationState;
  readonly current: boolean;
  readonly actHere: boolean;
  readonly near: boolean;
  readonly line: string | null;
}
function Cell({ job, station, state, current, actHere, near, line }: CellProps) {
  const Icon = current && state.kind === 'open' ? CircleDot : STATE_ICONS[state.kind];
  const said = state.kind === 'stale' || state.kind === 'blocked' ? STATE_WORDS[state.kind] : (line ?? '\u2013');
  return (
    <li className={clsx('min-w-0', !near && 'max-xs:hidden', current && 'max-lg:min-w-max max-xs:w-full')}>
      <Link
        to={`/jobs/${job.id}/${station}`}
        aria-current={current ? 'page' : undefined}
        className={clsx(
          'flex h-full min-w-12 flex-col justify-center border-r border-line px-2 xl:px-3',
          current
            ? 'bg-panel text-ink'
            : state.kind === 'settled'
              ? 'on-plate bg-plate text-scribe'
              : state.kind === 'stale'
                ? 'again text-look'
                : 'text-ink',
          actHere && 'shadow-[inset_0_6px_0_var(--straw),inset_0_7px_0_#17130a]',
          current && 'outline-2 -outline-offset-2 outline-edge',
        )}
      >
        <span className="flex items-center gap-1.5">
          <Icon aria-hidden size={16} strokeWidth={2.6} className="shrink-0" />
          <span className={clsx('whitespace-nowrap font-semibold', !current && 'max-xs:sr-only')}>
            {STATION_NAMES[station]}
          </span>
          <span className="sr-only">{STATE_WORDS[state.kind]}</span>
        </span>
        <span
          className={clsx(
            'num whitespace-nowrap text-[13px] leading-tight',
            !current && 'max-lg:sr-only',
            state.kind === 'blocked' && 'text-ink2',
          )}
        >
          {said}
        </span>
      </Link>
    </li>
  );
}
