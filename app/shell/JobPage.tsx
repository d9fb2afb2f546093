import { ProblemText } from '../ui/ProblemText.tsx';
import { useEffect, useMemo, useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { believedThread, stationsOf } from '../../core/job/chain.ts';
import { threadLine } from '../../words/conclusions.ts';
import { STATIONS, type StationId } from '../../core/job/stations.ts';
import { loadJob } from '../storage/db.ts';
import { allSaved, jobClosed, jobOpened, useAppDispatch, useAppSelector, useSystem } from '../store/store.ts';
import { Cut } from '../stations/cut/Cut.tsx';
import { Fit } from '../stations/fit/Fit.tsx';
import { Gears } from '../stations/gears/Gears.tsx';
import { Intake } from '../stations/intake/Intake.tsx';
import { Name } from '../stations/name/Name.tsx';
import { Pickup } from '../stations/pickup/Pickup.tsx';
import { Prove } from '../stations/prove/Prove.tsx';
import { Read } from '../stations/read/Read.tsx';
import { Record } from '../stations/record/Record.tsx';
import { Setup } from '../stations/setup/Setup.tsx';
import { useKeys } from '../ui/keys.ts';
import { Note } from '../ui/controls.tsx';
import { WorkingPanel, WorkingProvider } from '../ui/Working.tsx';
import { GaugeCatcher } from './GaugeCatcher.tsx';
import { JobProvider, useJobView } from './jobContext.tsx';
import { neighbour, settle } from './settle.ts';
import { Spine } from './Spine.tsx';
import { TopBar } from './TopBar.tsx';

const VIEWS: Record<StationId, () => React.ReactNode> = {
  intake: Intake,
  read: Read,
  name: Name,
  fit: Fit,
  gears: Gears,
  setup: Setup,
  pickup: Pickup,
  cut: Cut,
  prove: Prove,
  record: Record,
};

/** Opens the job of the address from the record, then shows the station of the address. */
export function JobPage() {
  const { jobId = '', station = '' } = useParams();
  const dispatch = useAppDispatch();
  const open = useAppSelector((s) => s.work.job?.present.id === jobId);
  const [missing, setMissing] = useState(false);
  useEffect(() => {
    let current = true;
    void allSaved()
      .then(() => loadJob(jobId))
      .then((found) => {
        if (!current) return;
        if (found) dispatch(jobOpened(found));
        else setMissing(true);
      });
    return () => {
      current = false;
      dispatch(jobClosed());
    };
  }, [jobId, dispatch]);
  if (missing) {
    return (
      <>
        <TopBar inJob={false} />
        <main className="p-6">
          <h1 className="text-2xl">This job is not here</h1>
          <p className="my-3">It may have been removed, or belong to another browser.</p>
          <Link className="text-blue underline" to="/jobs">
            To the jobs
          </Link>
        </main>
      </>
    );
  }
  if (!open)
    return (
      <>
        <TopBar inJob={false} />
        <main className="p-6">
          <h1 className="text-2xl">Opening the job</h1>
        </main>
      </>
    );
  if (!(STATIONS as readonly string[]).includes(station)) return <Navigate to={`/jobs/${jobId}/read`} replace />;
  return (
    <JobProvider>
      <WorkingProvider>
        <Frame station={station as StationId} />
      </WorkingProvider>
    </JobProvider>
  );
}

function Frame({ station }: { readonly station: StationId }) {
  const { job, states, top } = useJobView();
  const system = useSystem();
  const navigate = useNavigate();
  const keys = useMemo(() => {
    const go = (by: 1 | -1) => () => {
      const to = neighbour(job, station, by);
      if (to) void navigate(`/jobs/${job.id}/${to}`);
    };
    return {
      '[': go(-1),
      ']': go(1),
      'Alt+ArrowUp': go(-1),
      'Alt+ArrowDown': go(1),
      s: () => {
        if (states[station].kind !== 'blocked' && station !== 'name') settle(station, believedThread(job, top));
      },
    };
  }, [job, station, navigate, states, top]);
  useKeys(keys);
  useEffect(() => {
    document.title = `${job.title} \u00b7 Gelvin`;
  }, [job.title]);
  const View = VIEWS[station];
  if (!stationsOf(job).includes(station)) return <Navigate to={`/jobs/${job.id}/gears`} replace />;
  return (
    <div className="flex min-h-dvh flex-col">
      <TopBar inJob />
      <GaugeCatcher />
      <div className="no-print flex flex-wrap items-baseline gap-x-4 border-b border-line bg-panel px-4 py-2">
        <span className="text-lg font-semibold">{job.title}</span>
        <span className="text-ink2">{job.customer}</span>
        <span className="num ml-auto">{threadLine(job) ?? 'thread not named yet'}</span>
      </div>
      <div className="grid grow grid-cols-1 lg:grid-cols-[15.5rem_minmax(0,1fr)] lg:bg-[linear-gradient(90deg,var(--slate)_15.5rem,transparent_15.5rem)]">
        <Spine />
        <div className="grid grid-rows-[auto_1fr] xl:grid-cols-[minmax(0,1fr)_17.5rem] xl:grid-rows-1">
          <main className="min-w-0 p-4">
            <Refusal />
            <View key={job.id + station} />
          </main>
          <WorkingPanel system={system} />
        </div>
      </div>
    </div>
  );
}

/** Why the last act changed nothing. */
function Refusal() {
  const refused = useAppSelector((s) => s.work.refused);
  if (!refused) return null;
  return (
    <div className="mb-4">
      <Note tone="wrong">
        <ProblemText problem={refused} /> Nothing has changed.
      </Note>
    </div>
  );
}
