import { useState } from 'react';
import { storageText } from '../../words/storage.ts';
import { bringBack, emptyRemoved, type Removed } from '../storage/db.ts';
import { channel } from '../store/store.ts';
import { Button, Note } from '../ui/controls.tsx';

/** Jobs that were removed: brought back one by one, or emptied for good. */
export function RemovedJobs({
  removed,
  onChanged,
}: {
  readonly removed: readonly Removed[];
  readonly onChanged: () => void;
}) {
  const [asked, setAsked] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const go = (work: Promise<unknown>): void => {
    work.then(
      () => {
        setAsked(false);
        setFailed(null);
        channel.say({ what: 'all' });
        onChanged();
      },
      (e: unknown) => setFailed(`Nothing has changed: ${storageText(e)}.`),
    );
  };
  return (
    <details className="mt-4 border-t border-line pt-1">
      <summary className="flex min-h-12 cursor-pointer items-center font-semibold">Removed ({removed.length})</summary>
      {failed !== null && <Note tone="wrong">{failed}</Note>}
      <ul className="grid gap-1">
        {removed.map((r) => (
          <li key={r.id} className="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1">
            <span>
              {r.title} <span className="text-sm text-ink2">removed {new Date(r.at).toLocaleDateString()}</span>
            </span>
            <Button aria-label={`Bring back ${r.title}`} onClick={() => go(bringBack(r.id))}>
              Bring it back
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        {asked ? (
          <>
            <Button tone="stop" onClick={() => go(emptyRemoved())}>
              Yes: they go for good
            </Button>
            <Button onClick={() => setAsked(false)}>No</Button>
          </>
        ) : (
          <Button onClick={() => setAsked(true)}>Empty them for good</Button>
        )}
      </div>
    </details>
  );
}
