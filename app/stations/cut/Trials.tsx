import { useJobView } from '../../shell/jobContext.tsx';
import { editJob } from '../../store/store.ts';
import { Panel } from '../../ui/controls.tsx';
import { TextField } from '../../ui/fields.tsx';

/** Trial fits, each kept with the pass after which it was tried. */
export function Trials() {
  const { job } = useJobView();
  return (
    <Panel title="Trial fits">
      <TextField
        label="Note of a trial fit (kept with the pass)"
        value=""
        placeholder="nut starts two turns, then tight"
        onCommit={(note) => {
          if (note.trim())
            editJob('note a trial fit', (d) => {
              d.cut.trials.push({ afterPass: d.cut.done, note: note.trim(), at: new Date().toISOString() });
            });
        }}
      />
      <ul className="mt-2 grid gap-1">
        {job.cut.trials.map((t) => (
          <li key={t.at}>
            <span className="num text-ink2">after pass {t.afterPass}:</span> {t.note}
          </li>
        ))}
      </ul>
    </Panel>
  );
}
