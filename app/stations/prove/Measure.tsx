import { useState } from 'react';
import { fitOfJob } from '../../../core/job/derive.ts';
import type { MeasurePlan } from '../../../core/job/measure.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { unitName } from '../../../words/machine.ts';
import { leftText } from '../../../words/conclusions.ts';
import { layText } from '../../../words/prove.ts';
import { LAY_NAMES } from '../../../words/try.ts';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { ProblemText } from '../../ui/ProblemText.tsx';

interface Props {
  readonly plan: MeasurePlan;
  readonly onWorking: () => void;
}

/** What it should measure over wires, or between balls: the number before anything was read. */
export function MeasureNumber({ plan, onWorking }: Props) {
  const system = useSystem();
  return (
    <div className="grid gap-2">
      {!plan.check.ok && (
        <Note tone="wrong">
          <ProblemText problem={plan.check.problem} />
        </Note>
      )}
      <BigNumber
        what={layText(plan, system)}
        unit={unitName(system)}
        figure={lengthText(plan.targetMm, system, { ...FINE, bare: true })}
        label={`M ${lengthText(plan.targetMm, system, FINE)}; show the working`}
        onWorking={onWorking}
      />
    </div>
  );
}

/** The same in a line, once something was read and the next setting is the number. */
export function MeasureLine({ plan, onWorking }: Props) {
  const system = useSystem();
  const m = lengthText(plan.targetMm, system, FINE);
  return (
    <button
      type="button"
      className="flex min-h-12 items-baseline justify-between gap-3 text-left text-xl"
      aria-label={`M ${m}; show the working`}
      onClick={onWorking}
    >
      <span>{layText(plan, system)}</span>
      <b className="num">{m}</b>
    </button>
  );
}

/** Its limits, the field for what it measures, and what the last reading leaves. */
export function MeasureField({ plan }: Pick<Props, 'plan'>) {
  const { job, machine } = useJobView();
  const system = useSystem();
  const [atMm, setAt] = useState<number | null>(null);
  const other = system === 'mm' ? 'in' : 'mm';
  const bare = { ...FINE, bare: true };
  const last = plan.measured.at(-1);
  const balls = plan.by === 'balls';
  const take = (mm: number, text: string): unknown =>
    act({ do: balls ? 'betweenBalls' : 'overWires', mm, text, atMm, after: machine.card.after });
  return (
    <div className="grid gap-2">
      <p className="text-xl">
        {plan.limitsMm && (
          <>
            <span className="num">
              {lengthText(plan.limitsMm.min, system, bare)}&ndash;{lengthText(plan.limitsMm.max, system, FINE)}
            </span>{' '}
            <span className="text-ink2">is inside class {fitOfJob(job)?.limits?.class}</span> &middot;{' '}
          </>
        )}
        <span className="num text-ink2">{lengthText(plan.targetMm, other, FINE)}</span>
        {Math.abs(plan.targetMm - plan.flatMm) >= 0.0005 && (
          <span className="text-ink2">
            {' '}
            &middot; flat formula{' '}
            <span className="num">
              {plan.flatMm < plan.targetMm ? '\u2212' : '+'}
              {lengthText(Math.abs(plan.flatMm - plan.targetMm), system, FINE)}
            </span>
          </span>
        )}
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(7rem,9rem)] items-start gap-2">
        <LengthField
          armed
          huge
          label={`${LAY_NAMES[plan.by]}, then Enter`}
          mm={null}
          expectedMm={plan.targetMm}
          system={system}
          onCommit={take}
        />
        <LengthField
          label="at, from the end"
          mm={atMm}
          system={system}
          rule={{ maxMm: 20_000, allowZero: true }}
          onClear={() => setAt(null)}
          onCommit={(mm) => setAt(mm)}
        />
      </div>
      {last && (
        <p role="status" className="text-xl font-semibold">
          <span className="num">{last.text}</span>: {leftText(last, system)}
          <span className="font-normal text-ink2">
            , pitch diameter <span className="num">{lengthText(last.pitchDiameterMm, system, bare)}</span> &plusmn;{' '}
            <span className="num">{lengthText(last.uncertaintyMm, system, FINE)}</span>
          </span>
        </p>
      )}
    </div>
  );
}
