import { useState } from 'react';
import { voidedOf } from '../../../core/job/metal.ts';
import { eventText } from '../../../words/ledger.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { Button, Panel } from '../../ui/controls.tsx';
import { TextField } from '../../ui/fields.tsx';

const SHOWN = 8;

/** What was done, newest first. What was taken back stays, struck through. */
export function Ledger({ readOnly = false }: { readonly readOnly?: boolean }) {
  const { job } = useJobView();
  const [all, setAll] = useState(false);
  const u = useDialUnit();
  const gone = voidedOf(job.events);
  const events = job.events.filter((e) => e.kind !== 'voided').toReversed();
  const shown = all || readOnly ? events : events.slice(0, SHOWN);
  return (
    <Panel {...(readOnly ? { title: 'What was done' } : {})} className={readOnly ? '' : 'border-0 p-0'}>
      {!readOnly && (
        <TextField
          label="Note of a trial fit (kept with its place)"
          value=""
          placeholder="nut starts two turns, then tight"
          onCommit={(note) => (note.trim() === '' ? null : act({ do: 'tryMate', result: 'note', note: note.trim() }))}
        />
      )}
      {events.length === 0 ? (
        <p className="mt-2 text-ink2">Nothing yet.</p>
      ) : (
        <ol className="mt-2 grid gap-1" aria-label="Events">
          {shown.map((e) => (
            <li key={e.n} className="flex items-center justify-between gap-3 border-t border-line pt-1">
              <span className={gone.has(e.n) ? 'text-ink2 line-through' : ''}>
                <span className="num mr-2 text-ink2">{e.n}</span>
                {eventText(e, u)}
                {gone.has(e.n) && <span className="sr-only"> (taken back)</span>}
              </span>
              {!readOnly && !gone.has(e.n) && (
                <Button tone="quiet" aria-label={`Take back event ${e.n}`} onClick={() => act({ do: 'void', of: e.n })}>
                  Take back
                </Button>
              )}
            </li>
          ))}
        </ol>
      )}
      {!all && !readOnly && events.length > SHOWN && (
        <Button tone="quiet" onClick={() => setAll(true)}>
          All {events.length}
        </Button>
      )}
    </Panel>
  );
}
