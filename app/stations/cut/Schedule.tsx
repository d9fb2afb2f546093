import { wholeNumber } from '../../../core/lathe/typed.ts';
import { passesWanted } from '../../../core/job/cutPlan.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { DEPTH_RULES } from '../../../core/job/schema.ts';
import { countedText, RULE_NAMES } from '../../../words/setup.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** What the passes are made from: rule, number, largest and smallest cut. */
export function Schedule() {
  const { job, machine } = useJobView();
  const system = useSystem();
  const wanted = passesWanted(job, machine.metal);
  return (
    <div className="grid gap-3">
      <Choice
        label="Each pass takes"
        value={job.cut.rule}
        options={DEPTH_RULES.map((value) => ({ value, label: RULE_NAMES[value] }))}
        onChange={(v) => act({ do: 'setSchedule', rule: v })}
      />
      <Choice
        label="Coming back"
        value={job.cut.returnBy}
        options={[
          { value: 'reverse', label: 'reverse' },
          { value: 'dial', label: 'chasing dial' },
        ]}
        onChange={(v) => act({ do: 'setSchedule', returnBy: v })}
      />
      {job.cut.rule === 'step' ? (
        <LengthField
          label="Every pass takes"
          mm={job.cut.stepMm}
          system={system}
          onCommit={(mm) => act({ do: 'setSchedule', stepMm: mm })}
        />
      ) : (
        <TypedField
          label="Passes still to come (empty: suggested)"
          shown={wanted === null ? '' : String(wanted)}
          placeholder="suggested"
          parse={wholeNumber('passes', 1, 500)}
          onCommit={(v) => act({ do: 'setSchedule', passes: v })}
          onClear={() => act({ do: 'setSchedule', passes: null })}
          {...(machine.plan?.counted
            ? { hint: countedText(machine.plan.counted, job.cut.stages !== null, system) }
            : {})}
        />
      )}
      <TypedField
        label="Spring passes"
        shown={String(job.cut.springs)}
        parse={wholeNumber('springs', 0, 10)}
        onCommit={(v) => act({ do: 'setSchedule', springs: v })}
        {...(job.cut.springsFrom === undefined ? {} : { hint: `as ${job.cut.springsFrom} had it` })}
      />
      <LengthField
        label="No pass deeper than"
        mm={job.cut.firstMaxMm}
        system={system}
        onCommit={(mm) => act({ do: 'setSchedule', firstMaxMm: mm })}
        onClear={() => act({ do: 'setSchedule', firstMaxMm: null })}
        {...(job.cut.firstMaxFrom === undefined ? {} : { hint: `as ${job.cut.firstMaxFrom} had it` })}
      />
      <LengthField
        label="Nor shallower than"
        mm={job.cut.lastMinMm}
        system={system}
        rule={{ allowZero: true }}
        onCommit={(mm) => act({ do: 'setSchedule', lastMinMm: mm })}
        onClear={() => act({ do: 'setSchedule', lastMinMm: null })}
        hint={`under ${lengthText(0.02, system, FINE)} a tool rubs (common practice)`}
      />
    </div>
  );
}
