import { Check } from 'lucide-react';
import { DRESSED } from '../../../core/job/events.ts';
import { dressedNow } from '../../../core/job/formCheck.ts';
import { DRESS_NAMES } from '../../../words/prove.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';

/** What is done to the thread before its verdict, in order, at a standstill. */
export function Finish() {
  const { job, machine } = useJobView();
  const done = dressedNow(job);
  return (
    <div className="grid gap-2">
      <p className="text-ink2">
        The lathe stands still. A burr makes a right thread feel tight: finish it, then try it again. A cut after this
        raises burrs anew.
      </p>
      <ol className="grid">
        {DRESSED.map((d) => (
          <li key={d} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3 border-t border-line py-2">
            <span>
              <b>{DRESS_NAMES[d].todo}</b>
              <span className="block text-ink2">{DRESS_NAMES[d].how}</span>
            </span>
            {done.has(d) ? (
              <span className="flex min-h-12 items-center gap-1 font-semibold text-go">
                <Check aria-hidden size={20} /> done
              </span>
            ) : (
              <Button
                aria-label={`${DRESS_NAMES[d].todo}: done`}
                onClick={() => act({ do: 'dress', what: d, after: machine.card.after })}
              >
                Done
              </Button>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
