import { LEADS_BEFORE } from '../../../core/motion/motion.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { numberOf } from '../../../core/quantity/rational.ts';
import { leadOf, type ThreadSpec } from '../../../core/standards/thread.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { Panel } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';

/** A lathe that is told the lead: what to type, where to start and stop. */
export function Electronic({ thread }: { readonly thread: ThreadSpec }) {
  const { job } = useJobView();
  const system = useSystem();
  return (
    <Panel title="Electronic leadscrew">
      <div className="grid grid-cols-2 gap-3">
        <Figure
          label="Type in the lead"
          value={pitchText(leadOf(thread), 'mm')}
          other={pitchText(leadOf(thread), 'in')}
        />
        <Figure
          label="Start before the work"
          value={lengthText(LEADS_BEFORE * numberOf(leadOf(thread)), system)}
          other="three leads: a whole number, so that the phase is kept"
        />
        <Figure
          label="Stop after the thread"
          value={job.setup.reliefMm === null ? 'not measured' : lengthText(job.setup.reliefMm, system)}
          other="within the relief groove, clear of jaws and centre; overshoot on the way back takes up the backlash"
        />
      </div>
    </Panel>
  );
}
