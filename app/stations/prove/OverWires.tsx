import { fitOfJob, type WirePlan } from '../../../core/job/derive.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { unitName } from '../../../words/machine.ts';
import { leftText } from '../../../words/conclusions.ts';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { ProblemText } from '../../ui/ProblemText.tsx';

/** What it should measure over the wires, the field for what it does, and what that leaves. */
export function OverWires({ wires, onWorking }: { readonly wires: WirePlan; readonly onWorking: () => void }) {
  const { job } = useJobView();
  const system = useSystem();
  const other = system === 'mm' ? 'in' : 'mm';
  const bare = { ...FINE, bare: true };
  const m = lengthText(wires.targetMm, system, FINE);
  const last = wires.measured.at(-1);
  return (
    <div className="grid gap-2">
      {!wires.check.ok && (
        <Note tone="wrong">
          <ProblemText problem={wires.check.problem} />
        </Note>
      )}
      <BigNumber
        what={`Over ${lengthText(wires.wireMm, system, FINE)}`}
        unit={unitName(system)}
        figure={lengthText(wires.targetMm, system, bare)}
        label={`M ${m}; show the working`}
        onWorking={onWorking}
      />
      <p className="text-xl">
        {wires.limitsMm && (
          <>
            <span className="num">
              {lengthText(wires.limitsMm.min, system, bare)}&ndash;{lengthText(wires.limitsMm.max, system, FINE)}
            </span>{' '}
            <span className="text-ink2">is inside class {fitOfJob(job)?.limits?.class}</span> &middot;{' '}
          </>
        )}
        <span className="num text-ink2">{lengthText(wires.targetMm, other, FINE)}</span>
      </p>
      <LengthField
        armed
        huge
        label="Over wires, then Enter"
        mm={null}
        system={system}
        onCommit={(mm, text) => act({ do: 'overWires', mm, text })}
      />
      {last && (
        <p role="status" className="text-xl font-semibold">
          <span className="num">{last.text}</span>: {leftText(last, system)}
        </p>
      )}
    </div>
  );
}
