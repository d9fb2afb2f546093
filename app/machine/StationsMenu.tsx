import { Link, useLocation } from 'react-router';
import { stationsOf } from '../../core/job/chain.ts';
import { conclusion } from '../../words/conclusions.ts';
import { becauseText, STATION_NAMES } from '../../words/stations.ts';
import { useJobView } from '../job/jobContext.tsx';
import { StateMark } from '../job/StationFrame.tsx';
import { useShop, useSystem } from '../store/store.ts';
import { Drawer } from '../ui/Drawer.tsx';

/** The band of stations, laid out as a list: at the machine it is there when it is asked for. */
export function StationsMenu({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const { job, states } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const { pathname } = useLocation();
  if (!open) return null;
  return (
    <Drawer over label="The stations" title={job.title} onClose={onClose}>
      <nav aria-label="Stations">
        <ol>
          {stationsOf(job).map((s) => {
            const state = states[s];
            const to = `/jobs/${job.id}/${s}`;
            return (
              <li key={s} className="border-t border-line">
                <Link
                  to={to}
                  aria-current={pathname === to ? 'page' : undefined}
                  onClick={onClose}
                  className="grid min-h-14 content-center px-2 py-1 hover:bg-inset aria-[current=page]:bg-ink aria-[current=page]:text-onink"
                >
                  <span className="flex justify-between gap-3 text-lg font-semibold">
                    {STATION_NAMES[s]} {pathname !== to && <StateMark state={state} />}
                  </span>
                  <span className="text-sm opacity-90">
                    {'because' in state
                      ? becauseText(state.because, system)
                      : (conclusion(s, job, shop, system) ?? '\u2013')}
                  </span>
                </Link>
              </li>
            );
          })}
          <li className="border-t border-line">
            <Link to="/jobs" className="flex min-h-14 items-center px-2 text-lg font-semibold">
              All jobs
            </Link>
          </li>
        </ol>
      </nav>
    </Drawer>
  );
}
