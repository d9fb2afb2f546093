import { useState } from 'react';
import { FOUND_BY } from '../../../core/job/schema.ts';
import { FOUND_BY_NAMES, TAKE_OUT_ASKS, TRUE_WITH_NAMES } from '../../../words/blank.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { Choice, Toggles } from '../../ui/choices.tsx';

/** Before the work is taken out: whether all that runs true with the thread is done, and how it will be found again. */
export function TakeOut({ close }: { readonly close: () => void }) {
  const { job, machine } = useJobView();
  const [asks, ask] = useState(false);
  const { trueWith, foundBy } = job.setup;
  const undone = trueWith.filter((t) => !t.done);
  const out = (): void => {
    if (act({ do: 'takeOut', after: machine.card.after }) === null) close();
  };
  if (!asks)
    return (
      <Button big onClick={() => (undone.length === 0 && foundBy !== null ? out() : ask(true))}>
        Work taken out
      </Button>
    );
  return (
    <section aria-label="Before it is taken out" className="grid gap-3 border-2 border-edge bg-panel p-3">
      <p className="text-xl font-bold">{TAKE_OUT_ASKS}</p>
      {trueWith.length > 0 && (
        <Toggles
          label={undone.length > 0 ? 'Done in this setting' : 'Done, all of it'}
          options={trueWith.map((t) => ({ value: t.what, label: TRUE_WITH_NAMES[t.what] }))}
          chosen={trueWith.filter((t) => t.done).map((t) => t.what)}
          onChange={(done) =>
            act({ do: 'setUp', trueWith: trueWith.map((t) => ({ ...t, done: done.includes(t.what) })) })
          }
        />
      )}
      <Choice
        label="How it is found again"
        value={foundBy ?? ''}
        options={[
          { value: '', label: 'not said' },
          ...FOUND_BY.map((value) => ({ value, label: FOUND_BY_NAMES[value] })),
        ]}
        onChange={(v) => act({ do: 'setUp', foundBy: FOUND_BY.find((f) => f === v) ?? null })}
      />
      <div className="flex flex-wrap gap-2">
        <Button big onClick={out}>
          Take it out
        </Button>
        <Button big tone="quiet" onClick={() => ask(false)}>
          Leave it in
        </Button>
      </div>
    </section>
  );
}
