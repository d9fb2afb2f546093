import { useDraft } from '../../ui/drafts.ts';
import { probabilityOf } from '../../../core/job/candidates.ts';
import { percentText } from '../../../core/quantity/format.ts';
import { parseDesignation } from '../../../core/standards/designation.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { acceptName } from '../../job/settle.ts';
import { Note } from '../../ui/controls.tsx';
import { TextField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** The person knows better: any designation, with the reason, kept in the record. */
export function Overrule() {
  const { job, ranking } = useJobView();
  const [typed, setReason] = useDraft('why this thread');
  const reason = typed ?? '';
  return (
    <section aria-label="I know what it is" className="grid gap-3 border-t border-line pt-3">
      <h2 className="text-lg">I know what it is</h2>
      <div className="grid gap-3">
        <TextField label="Why" value={reason} onCommit={setReason} placeholder="stamped on the part, maker's list…" />
        <TypedField
          label="Designation, then Enter"
          shown=""
          placeholder="1 1/4-7 BSW, M42.5x2, 3/4 in x 4.5 TPI 29"
          parse={parseDesignation}
          onCommit={(d) => {
            acceptName(d.thread, ranking ? probabilityOf(d.thread, ranking, job) : 0, true, reason);
            setReason(null);
          }}
        />
      </div>
      {job.name?.overruled && (
        <Note tone="say">
          Chosen by hand: <span className="num">{job.name.thread.designation}</span>
          {job.name.reason ? `, because: ${job.name.reason}` : ''}. The readings gave it{' '}
          {percentText(job.name.probability)}.
        </Note>
      )}
    </section>
  );
}
