import { lazy, Suspense, useSyncExternalStore } from 'react';
import { Download } from 'lucide-react';
import { offlineState, onOffline, takeNewer } from '../offline/register.ts';
import { exportJob } from '../storage/files.ts';
import { putAwayOverlap, recorder, useAppSelector } from '../store/store.ts';
import { Button, Note } from '../ui/controls.tsx';

/** All the words of refusals come with the first one. */
const ProblemText = lazy(async () => ({ default: (await import('../ui/ProblemText.tsx')).ProblemText }));

/** What stands between memory and record, in plain words and with what to do: nothing to see while all is written. */
export function SaveBar() {
  const offline = useSyncExternalStore(onOffline, offlineState);
  const { saving, saveFailed, overlap } = useAppSelector((s) => s.work);
  const job = useAppSelector((s) => s.work.job?.present ?? null);
  if (saving !== 'gone' && saveFailed === null && !overlap && offline !== 'newer') return null;
  return (
    <div className="no-print grid gap-2 border-b border-line bg-panel px-4 py-2">
      {saving === 'gone' && (
        <Note tone="wrong">
          <p>
            <strong>This job was removed in another window.</strong> What is on the screen is not in the record any
            more.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button tone="main" onClick={() => recorder.keep()}>
              Keep it all the same
            </Button>
            {job && (
              <Button onClick={() => exportJob(job)}>
                <Download aria-hidden size={18} /> Export it
              </Button>
            )}
            <Button tone="stop" onClick={() => recorder.drop()}>
              Let it go
            </Button>
          </div>
        </Note>
      )}
      {saveFailed !== null && (
        <Note tone="wrong">
          <p>
            <strong>Not written yet:</strong> {saveFailed}. It stays here and is tried again; do not close this window.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button tone="main" onClick={() => recorder.retry()}>
              Try again now
            </Button>
            {job && (
              <Button onClick={() => exportJob(job)}>
                <Download aria-hidden size={18} /> Export the job
              </Button>
            )}
          </div>
        </Note>
      )}
      {offline === 'newer' && (
        <Note tone="say">
          A newer Gelvin is here. This one goes on as it is until you change over; nothing that is typed is lost.
          <Button className="ml-3" onClick={takeNewer}>
            Change over
          </Button>
        </Note>
      )}
      {overlap && (
        <Note tone="caution">
          {overlap.places.length > 0 && (
            <p>
              Another window changed the same: <span className="num">{overlap.places.slice(0, 6).join(', ')}</span>.
              What stands now was typed here; undo brings the other back.
            </p>
          )}
          {overlap.refused && (
            <p>
              Another window was first:{' '}
              <Suspense>
                <ProblemText problem={overlap.refused} />
              </Suspense>{' '}
              What was done here for the same is not counted twice.
            </p>
          )}
          <Button className="mt-2" onClick={putAwayOverlap}>
            Seen
          </Button>
        </Note>
      )}
    </div>
  );
}
