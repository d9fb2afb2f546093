import { useEffect, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { STATIONS, type StationId } from '../../core/job/stations.ts';
import { storageText } from '../../words/storage.ts';
import { loadJob, type Found } from '../storage/db.ts';
import { Damaged } from './Damaged.tsx';
import { allSaved, openJob, recorder, store, useAppSelector } from '../store/store.ts';
import { Button } from '../ui/controls.tsx';
import { WorkingProvider } from '../ui/Working.tsx';
import { JobFrame } from './JobFrame.tsx';
import { PaperFrame } from './PaperFrame.tsx';
import { JobProvider } from './jobContext.tsx';
import { TopBar } from '../shell/TopBar.tsx';

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
  const { jobId = '', station = '', mode } = useParams();
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
  if (station === 'paper')
    return (
      <JobProvider>
        <PaperFrame />
      </JobProvider>
    );
  if (!(STATIONS as readonly string[]).includes(station)) return <Navigate to={`/jobs/${jobId}/read`} replace />;
  return (
    <JobProvider>
      <WorkingProvider>
        <JobFrame station={station as StationId} mode={mode === 'machine' ? 'machine' : null} />
      </WorkingProvider>
    </JobProvider>
  );
}

function Said({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <>
      <TopBar />
      <main id="view" className="p-6">
        <h1 className="text-2xl">{title}</h1>
        {children}
      </main>
    </>
  );
}
