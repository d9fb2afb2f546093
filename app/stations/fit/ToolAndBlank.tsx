import type { FitView } from '../../../core/job/fitView.ts';
import type { FitPlan } from '../../../core/fit/fit.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem, act } from '../../store/store.ts';
import { recutting } from '../../../core/job/recut.ts';
import { Note, Panel } from '../../ui/controls.tsx';
import { readyText } from '../../../words/fit.ts';
import { LengthField } from '../../ui/fields.tsx';
import { lengthText, FINE, degreesText } from '../../../core/quantity/format.ts';
import { Figure } from '../../ui/Figure.tsx';

interface Props {
  readonly plan: FitPlan;
  readonly view: FitView;
}

/** With what it is cut and from what: tip, blank as measured, and the depth that follows. */
export function ToolAndBlank({ plan, view }: Props) {
  const { job } = useJobView();
  const system = useSystem();
  const external = plan.make === 'external';
  const recut = recutting(job);
  const { full, measured, ready, relief } = view;
  const other = system === 'mm' ? 'in' : 'mm';
  const flatMm = job.fit.tip && 'flatMm' in job.fit.tip ? job.fit.tip.flatMm : null;
  return (
    <Panel title="The tool and the blank">
      <div className="grid items-start gap-3 md:grid-cols-2">
        <LengthField
          label="Tip flat of the tool (empty: ground to the form)"
          mm={flatMm}
          system={system}
          rule={{ allowZero: true, maxMm: 50 }}
          onClear={() => act({ do: 'setFit', tip: null })}
          onCommit={(mm) => act({ do: 'setFit', tip: { flatMm: mm } })}
          hint={`widest that clears the root: ${lengthText(plan.widestTipMm, system, FINE)}`}
        />
        {job.fit.tip !== null &&
          (plan.tip.clearsRoot ? (
            <Note tone="say">
              With this tip the depth is {lengthText(plan.depthMm, system, FINE)}
              {plan.tip.beyondMm > 0.005
                ? `, ${lengthText(plan.tip.beyondMm, system, FINE)} deeper than the form: a narrow tip must go further to bring the flanks to size.`
                : '.'}
            </Note>
          ) : (
            <Note tone="wrong">
              This tip is too wide. The flanks are at size at {lengthText(plan.depthMm, system, FINE)}, but the root
              needs {lengthText(full.depthMm, system, FINE)}: the thread can never be finished with it. Grind the flat
              to {lengthText(plan.widestTipMm, system, FINE)} or less.
            </Note>
          ))}
        <LengthField
          label={recut ? 'Crest as measured' : external ? 'Blank as measured' : 'Bore as measured'}
          mm={measured?.diameterMm ?? null}
          system={system}
          {...(measured ? { onClear: () => act({ do: 'void', of: measured.n }) } : {})}
          onCommit={(mm, text) => act({ do: 'measureBlank', diameterMm: mm, text })}
          hint="every depth is counted from it"
        />
        <Figure
          label={recut ? 'Depth from the crest' : 'Depth to cut'}
          value={lengthText(plan.depthMm, system, FINE)}
          other={lengthText(plan.depthMm, other, FINE)}
          working={{ title: 'Depth to cut', steps: [plan.working.depth] }}
        />
        {ready && !recut && <Note tone={ready.ok ? 'right' : 'wrong'}>{readyText(ready, system)}</Note>}
        <Figure
          label="Side relief: add on the leading side"
          value={degreesText(relief[0].result)}
          other="lead angle at the minor diameter; take as much off the trailing side"
          working={{ title: 'Side relief', steps: relief }}
        />
      </div>
    </Panel>
  );
}
