import { useEffect, useMemo, useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { believedThread, stationsOf } from '../../core/job/chain.ts';
import { threadLine } from '../../words/conclusions.ts';
import { STATIONS, type StationId } from '../../core/job/stations.ts';
import { storageText } from '../../words/storage.ts';
import { loadJob, type Found } from '../storage/db.ts';
import { Damaged } from './Damaged.tsx';
import { allSaved, openJob, recorder, store, useAppSelector, useSystem } from '../store/store.ts';
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
import { Button } from '../ui/controls.tsx';
import { Refusal } from '../ui/Refusal.tsx';
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

type Opening =
  | { readonly kind: 'opening' }
  | { readonly kind: 'open' }
  | { readonly kind: 'missing' }
  /** The job before this one is not written yet: it stays in memory until it is. */
  | { readonly kind: 'waits' }
  | { readonly kind: 'failed'; readonly because: string }
  | { readonly kind: 'other'; readonly found: Found };

/** How often it is looked whether the job before is written. */
const LOOK_AGAIN_MS = 1000;

/** Opens the job of the address from the record, then shows the station of the address. */
export function JobPage() {
  const { jobId = '', station = '' } = useParams();
  const inMemory = useAppSelector((s) => s.work.job?.present.id === jobId);
  const [opening, setOpening] = useState<{ id: string; state: Opening }>({ id: jobId, state: { kind: 'opening' } });
  const [again, setAgain] = useState(0);
  useEffect(() => {
    let current = true;
    const set = (state: Opening): void => {
      if (current) setOpening({ id: jobId, state });
    };
    const open = async (): Promise<void> => {
      await allSaved();
      const held = store.getState().work.job?.present.id;
      // what could not be written is in memory alone: it is shown as it is, or waited for
      if (recorder.unwritten && held === jobId) return set({ kind: 'open' });
      while (recorder.unwritten && current) {
        set({ kind: 'waits' });
        await new Promise((again) => setTimeout(again, LOOK_AGAIN_MS));
      }
      const found = await loadJob(jobId);
      if (!current) return;
      if (!found) return set({ kind: 'missing' });
      if (found.checked.state !== 'good') return set({ kind: 'other', found });
      openJob(found.checked.doc, found.past, found.rev);
      set({ kind: 'open' });
    };
    open().catch((e: unknown) => set({ kind: 'failed', because: storageText(e) }));
    return () => {
      current = false;
    };
  }, [jobId, again]);
  const state: Opening = opening.id === jobId ? opening.state : { kind: 'opening' };
  if (state.kind === 'other')
    return <Damaged id={jobId} found={state.found} onRepaired={() => setAgain((n) => n + 1)} />;
  if (state.kind === 'missing')
    return (
      <Said title="This job is not here">
        <p className="my-3">It may have been removed, or belong to another browser.</p>
        <Link className="text-blue underline" to="/jobs">
          To the jobs
        </Link>
      </Said>
    );
  if (state.kind === 'failed' || state.kind === 'waits')
    return (
      <Said title="This job is not opened yet">
        <p className="my-3">
          {state.kind === 'waits'
            ? 'The job before it is not written: see above.'
            : `The record could not be read: ${state.because}.`}
        </p>
        <Button onClick={() => setAgain((n) => n + 1)}>Try again</Button>
      </Said>
    );
  if (state.kind === 'opening' || !inMemory) return <Said title="Opening the job">{null}</Said>;
  if (!(STATIONS as readonly string[]).includes(station)) return <Navigate to={`/jobs/${jobId}/read`} replace />;
  return (
    <JobProvider>
      <WorkingProvider>
        <Frame station={station as StationId} />
      </WorkingProvider>
    </JobProvider>
  );
}

function Said({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <>
      <TopBar inJob={false} />
      <main className="p-6">
        <h1 className="text-2xl">{title}</h1>
        {children}
      </main>
    </>
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
