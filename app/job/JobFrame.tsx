import { useEffect, useMemo, useRef } from 'react';
import { Navigate, useNavigate } from 'react-router';
import { believedThread, stationsOf } from '../../core/job/chain.ts';
import { latheOf } from '../../core/job/derive.ts';
import type { StationId } from '../../core/job/stations.ts';
import { STATE_WORDS, STATION_NAMES } from '../../words/stations.ts';
import { threadLine } from '../../words/threadLine.ts';
import { useShop, useSystem } from '../store/store.ts';
import { announce } from '../ui/announce.ts';
import { useKeys } from '../ui/keys.ts';
import { PrintHead } from '../ui/PrintHead.tsx';
import { Refusal } from '../ui/Refusal.tsx';
import { WorkingDrawer } from '../ui/Working.tsx';
import { GaugeCatcher } from './GaugeCatcher.tsx';
import { useJobView } from './jobContext.tsx';
import { Rule } from './Rule.tsx';
import { neighbour, settle } from './settle.ts';
import { fetchOthers, viewOf, type Mode } from './stationViews.ts';
import { TopBar } from '../shell/TopBar.tsx';

/** Stations at which the person stands at the machine: the whole screen is theirs. */
const AT_MACHINE: readonly StationId[] = ['pickup', 'cut', 'prove'];

/** One station of the open job, with what is around it: at the desk header and band, at the machine nothing but the work. */
export function JobFrame({ station, mode }: { readonly station: StationId; readonly mode: Mode }) {
  const { job } = useJobView();
  const system = useSystem();
  const shop = useShop();
  useStationKeys(station);
  useArrival(station);
  useEffect(fetchOthers, []);
  const { View, machine } = viewOf(station, mode);
  if (!stationsOf(job).includes(station)) return <Navigate to={`/jobs/${job.id}/gears`} replace />;
  const atMachine = machine || AT_MACHINE.includes(station);
  const view = <View key={job.id + station} />;
  const head = (
    <PrintHead
      parts={[STATION_NAMES[station], job.title, job.customer, threadLine(job), latheOf(job, shop)?.name ?? null]}
    />
  );
  if (atMachine)
    return (
      <>
        <GaugeCatcher />
        {head}
        {view}
        <WorkingDrawer system={system} />
      </>
    );
  return (
    <div className="flex min-h-dvh flex-col desk:h-dvh desk:overflow-hidden">
      <TopBar job={job} />
      <GaugeCatcher />
      <Rule station={station} />
      <main id="view" className="min-h-0 min-w-0 grow p-3">
        {head}
        <Refusal />
        {view}
      </main>
      <WorkingDrawer system={system} />
    </div>
  );
}

function useStationKeys(station: StationId): void {
  const { job, states, top } = useJobView();
  const navigate = useNavigate();
  const keys = useMemo(() => {
    const go = (by: 1 | -1) => () => {
      const to = neighbour(job, station, by);
      if (to) void navigate(`/jobs/${job.id}/${to}`);
    };
    return {
      stationBefore: go(-1),
      nextStation: go(1),
      settle: () => {
        if (states[station].kind !== 'blocked' && station !== 'name') settle(station, believedThread(job, top));
      },
    };
  }, [job, station, navigate, states, top]);
  useKeys(keys);
}

/** Where one has come to: the title names it, the focus goes to its heading, and it is spoken. */
function useArrival(station: StationId): void {
  const { job, states } = useJobView();
  useEffect(() => {
    document.title = `${STATION_NAMES[station]} \u00b7 ${job.title} \u00b7 Gelvin`;
  }, [job.title, station]);
  const came = useRef(station);
  const state = states[station].kind;
  useEffect(() => {
    if (came.current === station) return undefined;
    came.current = station;
    announce(`${STATION_NAMES[station]}, ${STATE_WORDS[state]}`);
    // the view may still be on its way
    let tries = 20;
    const focus = (): void => {
      const heading = document.querySelector<HTMLElement>('main h1[tabindex]');
      // whoever has begun to type is not interrupted
      if (document.activeElement !== document.body && document.activeElement?.tagName !== 'A') return;
      if (heading) heading.focus({ preventScroll: true });
      else if ((tries -= 1) > 0) timer = setTimeout(focus, 50);
    };
    let timer = setTimeout(focus, 0);
    return () => clearTimeout(timer);
    // only where one has come to matters, not how its state changes afterwards
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [station]);
}
