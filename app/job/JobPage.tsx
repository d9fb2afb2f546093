import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { Link, Outlet, useLoaderData, useNavigation, useParams } from 'react-router';
import { useAppSelector } from '../store/store.ts';
import { TopBar } from '../shell/TopBar.tsx';
import { Button } from '../ui/controls.tsx';
import { WorkingProvider } from '../ui/Working.tsx';
import { Damaged } from './Damaged.tsx';
import { JobProvider } from './jobContext.tsx';
import { openingOf, type Opening } from './opening.ts';

/** How often it is looked whether the job before is written. */
const LOOK_AGAIN_MS = 1000;

/** The job of the address, opened, around whichever of its views is shown; or why it is not open. */
export function JobPage() {
  const { jobId = '' } = useParams();
  const inMemory = useAppSelector((s) => s.work.job?.present.id === jobId);
  const going = useNavigation();
  const first = useLoaderData<Opening>();
  const [later, setLater] = useState<{ readonly after: Opening; readonly now: Opening } | null>(null);
  // what was found when it was looked again holds until another job is opened
  const opening = later?.after === first ? later.now : first;
  const shown = useRef('');
  useEffect(() => {
    shown.current = jobId;
    return () => void (shown.current = '');
  }, [jobId]);
  const again = useCallback(
    () => void openingOf(jobId, () => shown.current === jobId).then((now) => setLater({ after: first, now })),
    [jobId, first],
  );
  // who set out for another job and came back before it was there finds that one in memory
  const astray = opening.kind === 'open' && !inMemory && going.state === 'idle';
  useEffect(() => {
    if (opening.kind !== 'waits' && !astray) return undefined;
    const timer = setTimeout(again, astray ? 0 : LOOK_AGAIN_MS);
    return () => clearTimeout(timer);
  }, [opening, astray, again]);
  switch (opening.kind) {
    case 'other':
      return <Damaged id={jobId} found={opening.found} onRepaired={again} />;
    case 'missing':
      return (
        <Said title="This job is not here">
          <p className="my-3">It may have been removed, or belong to another browser.</p>
          <Link className="text-blue underline" to="/jobs">
            To the jobs
          </Link>
        </Said>
      );
    case 'failed':
    case 'waits':
      return (
        <Said title="This job is not opened yet">
          <p className="my-3">
            {opening.kind === 'waits'
              ? 'The job before it is not written: see above.'
              : `The record could not be read: ${opening.because}.`}
          </p>
          <Button onClick={again}>Try again</Button>
        </Said>
      );
    case 'open':
      return inMemory ? (
        <JobProvider>
          <WorkingProvider>
            <Outlet />
          </WorkingProvider>
        </JobProvider>
      ) : (
        <Said title="Opening the job">{null}</Said>
      );
  }
}

function Said({ title, children }: { readonly title: string; readonly children: ReactNode }) {
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
