import { Link } from 'react-router';
import { latheOf } from '../../../core/job/derive.ts';
import { electronicView } from '../../../core/job/electronic.ts';
import { LEADS_BEFORE } from '../../../core/motion/motion.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { numberOf } from '../../../core/quantity/rational.ts';
import { leadOf, type ThreadSpec } from '../../../core/standards/thread.ts';
import { electronicRows } from '../../../words/electronic.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';
import { Panel } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';

/** A lathe that is told the lead: what to type, what it rounds to, where to start and stop. */
export function Electronic({ thread }: { readonly thread: ThreadSpec }) {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const lathe = latheOf(job, shop);
  const view = electronicView(job, shop);
  if (!lathe) return null;
  if (view)
    return (
      <Panel title="Electronic leadscrew">
        <div className="grid gap-3 sm:grid-cols-2">
          {electronicRows(view, leadOf(thread), lathe.typed, system).map((r) => (
            <Figure key={r.name} label={r.name} value={r.value} other={r.how} />
          ))}
        </div>
        {lathe.typed === null && (
          <p className="mt-3">
            <Link to={`/lathes/${lathe.id}`} className="underline underline-offset-4">
              Say how this lathe takes a lead
            </Link>
          </p>
        )}
      </Panel>
    );
  return (
    <Panel title="The control">
      <div className="grid grid-cols-2 gap-3">
        <Figure
          label="Lead to key in"
          value={pitchText(leadOf(thread), 'mm')}
          other={pitchText(leadOf(thread), 'in')}
        />
        <Figure
          label="Start before the work"
          value={lengthText(LEADS_BEFORE * numberOf(leadOf(thread)), system)}
          other="three leads: a whole number, so that the phase is kept"
        />
      </div>
      <p className="mt-3">
        <Link to={`/jobs/${job.id}/setup?show=program`} className="underline underline-offset-4">
          All that it is told, and the program
        </Link>
      </p>
    </Panel>
  );
}
