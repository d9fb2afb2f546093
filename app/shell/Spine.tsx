import { becauseText } from '../../words/stations.ts';
import clsx from 'clsx';
import { Ban, Check, Circle, RotateCcw } from 'lucide-react';
import { NavLink } from 'react-router';
import { stationsOf, type StationState } from '../../core/job/chain.ts';
import { STATION_NAMES } from '../../words/stations.ts';
import { conclusion } from '../../words/conclusions.ts';
import { percentText } from '../../core/quantity/format.ts';
import { useShop, useSystem } from '../store/store.ts';
import { useJobView } from './jobContext.tsx';

const MARK: Record<StationState['kind'], { readonly icon: typeof Check; readonly word: string; readonly cls: string }> =
  {
    open: { icon: Circle, word: 'open', cls: 'text-chalk2' },
    settled: { icon: Check, word: 'settled', cls: 'text-[#8fe0b0]' },
    stale: { icon: RotateCcw, word: 'look again', cls: 'text-[#ffd27a]' },
    blocked: { icon: Ban, word: 'waiting', cls: 'text-chalk2' },
  };

/** The stations in the order of the work, each with its one-line conclusion and its state: the job read off at a glance. */
export function Spine() {
  const { job, states, ranking, top } = useJobView();
  const shop = useShop();
  const system = useSystem();
  return (
    <nav aria-label="Stations" className="on-slate bg-slate text-chalk no-print">
      <ol className="grid grid-cols-5 lg:block">
        {stationsOf(job).map((s) => {
          const state = states[s];
          const { icon: Icon, word, cls } = MARK[state.kind];
          let line = conclusion(s, job, shop, system);
          if (s === 'name' && ranking && top && (line === null || state.kind === 'stale')) {
            const best = ranking.candidates[0];
            const p = best && best.thread === top ? best.probability : ranking.special.probability;
            line = `Likeliest: ${top.designation}, ${percentText(p)}`;
          }
          return (
            <li key={s} className="min-w-0">
              <NavLink
                to={`/jobs/${job.id}/${s}`}
                className={({ isActive }) =>
                  clsx(
                    'flex min-h-14 items-start gap-2 border-l-4 px-2 py-1.5 lg:min-h-[3.9rem] lg:px-3 lg:py-2',
                    isActive ? 'border-[#8fb1ff] bg-slate2' : 'border-transparent hover:bg-slate2',
                  )
                }
              >
                <Icon aria-hidden size={18} className={clsx('mt-0.5 shrink-0', cls)} />
                <span className="min-w-0">
                  <span className="flex items-baseline gap-2">
                    <span className="font-semibold">{STATION_NAMES[s]}</span>
                    <span className={clsx('text-sm max-lg:sr-only', cls)}>{word}</span>
                  </span>
                  <span className="block text-sm leading-snug text-chalk2 max-lg:truncate">
                    {'because' in state ? becauseText(state.because) : (line ?? '\u2013')}
                  </span>
                </span>
              </NavLink>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
