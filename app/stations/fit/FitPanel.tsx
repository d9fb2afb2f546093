import { type FitView, FITS_TO, DUTIES } from '../../../core/job/fitView.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import type { FitPlan } from '../../../core/fit/fit.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem, act } from '../../store/store.ts';
import { recutting } from '../../../core/job/recut.ts';
import { classesOf } from '../../../core/standards/limits.ts';
import { classMemberOf } from '../../../core/job/made.ts';
import { copiedFrom } from '../../../core/job/places.ts';
import { Note } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { FIT_TO_NAMES, COPY_AS_WORN, DUTY_NAMES } from '../../../words/fit.ts';
import { ProblemText } from '../../ui/ProblemText.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { lengthText, FINE } from '../../../core/quantity/format.ts';
import { GaugeChoices } from './GaugeChoices.tsx';

interface Props {
  readonly plan: FitPlan;
  readonly thread: ThreadSpec;
  readonly view: FitView;
}

/** To what it is made, how closely, and over what length. */
export function FitPanel({ plan, thread, view }: Props) {
  const { job } = useJobView();
  const system = useSystem();
  const external = plan.make === 'external';
  const recut = recutting(job);
  const classes = classesOf(thread)[classMemberOf(job.intake)];
  const gauging = job.intake.wanted === 'gauge';
  const copied = job.fit.to === 'copy' && job.fit.class === null ? copiedFrom(job, thread) : null;
  const { playMm } = view;
  return (
    <section aria-label="The fit" className="border-t border-line pt-3">
      <div className="grid gap-3">
        <Choice
          label="To be cut"
          value={job.intake.make}
          options={[
            { value: 'external', label: 'External (screw)' },
            { value: 'internal', label: 'Internal (nut)' },
          ]}
          onChange={(v) => act({ do: 'setIntake', make: v })}
        />
        <Choice
          label={gauging ? `Gauges a ${external ? 'nut' : 'screw'} of` : 'Made to'}
          value={job.fit.class ?? (gauging ? '' : job.fit.to)}
          options={[
            ...(gauging
              ? [{ value: '', label: 'no class yet' }]
              : FITS_TO.map((to) => ({ value: to, label: FIT_TO_NAMES[to] }))),
            ...classes.map((c) => ({ value: c, label: `class ${c}` })),
          ]}
          onChange={(v) => {
            const to = FITS_TO.find((x) => x === v);
            act({ do: 'setFit', class: v === '' || to ? null : v, ...(to ? { to } : {}) });
          }}
        />
        {plan.problem && (
          <Note tone="wrong">
            <ProblemText problem={plan.problem} />
          </Note>
        )}
        {gauging && <GaugeChoices plan={plan} />}
        {plan.limits && (
          <p className="text-sm text-ink2">
            {plan.limits.source}, class {plan.limits.class}; aimed at the middle until it is dragged or typed.
          </p>
        )}
        {plan.limits || gauging ? null : (
          <>
            {copied && !copied.unworn && <Note tone="caution">{COPY_AS_WORN}</Note>}
            {!copied && (
              <>
                <Choice
                  label="What it has to do (common practice)"
                  value={job.fit.duty ?? ''}
                  options={[
                    { value: '', label: 'not said' },
                    ...DUTIES.map((d) => ({ value: d.id, label: DUTY_NAMES[d.id] })),
                  ]}
                  onChange={(v) => act({ do: 'setFit', duty: v === '' ? null : v })}
                />
                <LengthField
                  label="Clearance on the pitch diameter"
                  mm={job.fit.pitchClearanceMm}
                  system={system}
                  rule={{ allowZero: true, maxMm: 5 }}
                  onCommit={(mm) => act({ do: 'setFit', pitchClearanceMm: mm })}
                  hint={`play ${lengthText(playMm, system, FINE)} along the axis`}
                />
              </>
            )}
            {copied?.startMm == null && !recut && (
              <LengthField
                label={external ? 'Blank under the nominal by (on diameter)' : 'Bore over the minor diameter by'}
                mm={job.fit.crestReliefMm}
                system={system}
                rule={{ allowZero: true, maxMm: 10 }}
                onCommit={(mm) => act({ do: 'setFit', crestReliefMm: mm })}
              />
            )}
          </>
        )}
        <LengthField
          label="Engaged length"
          mm={job.fit.engagementMm}
          system={system}
          rule={{ maxMm: 5000 }}
          placeholder="the standard’s own"
          onClear={() => act({ do: 'setFit', engagementMm: null })}
          onCommit={(mm) => act({ do: 'setFit', engagementMm: mm })}
          hint="length of nut on screw: a pitch error adds up over it"
        />
      </div>
    </section>
  );
}
