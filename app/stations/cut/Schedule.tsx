import { wholeNumber } from '../../../core/lathe/typed.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { editJob, useSystem } from '../../store/store.ts';
import { Choice, Panel } from '../../ui/controls.tsx';
import { LengthField, TypedField } from '../../ui/fields.tsx';

/** What the passes are made from: rule, number, largest and smallest cut. */
export function Schedule() {
  const { job } = useJobView();
  const system = useSystem();
  return (
    <Panel title="The schedule">
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <Choice
          label="Each pass takes"
          value={job.cut.rule}
          options={[
            { value: 'constant-area', label: 'the same chip' },
            { value: 'constant-depth', label: 'the same depth' },
          ]}
          onChange={(v) => editJob('change the rule', (d) => void (d.cut.rule = v))}
        />
        <Choice
          label="Coming back"
          value={job.cut.returnBy}
          options={[
            { value: 'reverse', label: 'reverse' },
            { value: 'dial', label: 'chasing dial' },
          ]}
          onChange={(v) => editJob('change the way back', (d) => void (d.cut.returnBy = v))}
        />
        <TypedField
          label="Passes (empty: suggested)"
          shown={job.cut.passes === null ? '' : String(job.cut.passes)}
          placeholder="suggested"
          parse={wholeNumber('passes', 1, 500)}
          onCommit={(v) => editJob('change the passes', (d) => void (d.cut.passes = v))}
          onClear={() => editJob('take the suggested passes', (d) => void (d.cut.passes = null))}
        />
        <TypedField
          label="Spring passes"
          shown={String(job.cut.springs)}
          parse={wholeNumber('springs', 0, 10)}
          onCommit={(v) => editJob('change the spring passes', (d) => void (d.cut.springs = v))}
        />
        <LengthField
          label="No pass deeper than"
          mm={job.cut.firstMaxMm}
          system={system}
          onCommit={(mm) => editJob('change the largest cut', (d) => void (d.cut.firstMaxMm = mm))}
          onClear={() => editJob('no largest cut', (d) => void (d.cut.firstMaxMm = null))}
        />
        <LengthField
          label="Nor shallower than"
          mm={job.cut.lastMinMm}
          system={system}
          rule={{ allowZero: true }}
          onCommit={(mm) => editJob('change the smallest cut', (d) => void (d.cut.lastMinMm = mm))}
          onClear={() => editJob('no smallest cut', (d) => void (d.cut.lastMinMm = null))}
          hint="under 0.02 mm a tool rubs"
        />
      </div>
    </Panel>
  );
}
