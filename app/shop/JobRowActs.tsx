import { lazy, useState, Suspense } from 'react';
import { putJobAway, removeJob } from '../storage/db.ts';
import { channel, recorder, useAppDispatch, jobClosed } from '../store/store.ts';
import { storageText } from '../../words/storage.ts';
import { Button } from '../ui/controls.tsx';
import { ArchiveRestore, Archive, Trash2 } from 'lucide-react';

/** Fetched when it is first asked for. */
const RemoveDialog = lazy(async () => ({ default: (await import('./RemoveDialog.tsx')).RemoveDialog }));

/** Out of the way, and back: what is put away is still found when it is sought. */
export function PutAway({
  id,
  title,
  archived,
  onDone,
}: {
  readonly id: string;
  readonly title: string;
  readonly archived: boolean;
  readonly onDone: () => void;
}) {
  const [failed, setFailed] = useState<string | null>(null);
  const go = (): void => {
    putJobAway(id, !archived).then(
      (rev) => {
        channel.say({ what: 'job', id, rev });
        // this window may hold it open
        recorder.follow().catch(() => undefined);
        onDone();
      },
      (e: unknown) => setFailed(storageText(e)),
    );
  };
  return (
    <>
      {failed !== null && <span className="text-stop">Not put away: {failed}.</span>}
      <Button tone="quiet" aria-label={`${archived ? 'Take out again' : 'Put away'}: ${title}`} onClick={go}>
        {archived ? <ArchiveRestore aria-hidden size={18} /> : <Archive aria-hidden size={18} />}
      </Button>
    </>
  );
}

export function Remove({
  id,
  title,
  onRemoved,
}: {
  readonly id: string;
  readonly title: string;
  readonly onRemoved: () => void;
}) {
  const dispatch = useAppDispatch();
  const [failed, setFailed] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  const remove = (): void => {
    removeJob(id, title, new Date().toISOString()).then(
      () => {
        recorder.openedJob(null, null);
        dispatch(jobClosed());
        channel.say({ what: 'removed', id });
        onRemoved();
      },
      (e: unknown) => setFailed(storageText(e)),
    );
  };
  return (
    <>
      {failed !== null && <span className="text-stop">Not removed: {failed}.</span>}
      <Button tone="quiet" aria-label={`Remove ${title}`} className="mr-2" onClick={() => setAsking(true)}>
        <Trash2 aria-hidden size={18} />
      </Button>
      {asking && (
        <Suspense>
          <RemoveDialog title={title} onRemove={remove} onClose={() => setAsking(false)} />
        </Suspense>
      )}
    </>
  );
}
