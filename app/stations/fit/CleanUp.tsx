import { cleaning } from '../../../core/job/recut.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { cleanedText } from '../../../words/fit.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Note, Panel } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { LengthField } from '../../ui/fields.tsx';

const NOTHING = { pitMm: 0, eccentricMm: 0, builtUpMm: null };

/** A recut that has to clean up all over: what depth that takes, and whether there is metal for it. */
export function CleanUp() {
  const { job, machine } = useJobView();
  const system = useSystem();
  const clean = job.fit.clean ?? NOTHING;
  const set = (patch: Partial<typeof clean>): void => {
    const next = { ...clean, ...patch };
    const none = next.pitMm === 0 && next.eccentricMm === 0 && next.builtUpMm === null;
    act({ do: 'setFit', clean: none ? null : next });
  };
  const cleaned = cleaning(job);
  const { runOutMm } = machine.metal;
  const external = job.intake.make === 'external';
  return (
    <Panel title="To be clean all over (weld, bruise, re-seated out of true)">
      <div className="grid gap-3 md:grid-cols-3">
        <LengthField
          label="Deepest pit, square to the flank"
          mm={job.fit.clean ? clean.pitMm : null}
          system={system}
          rule={{ allowZero: true, maxMm: 50 }}
          onClear={() => set({ pitMm: 0 })}
          onCommit={(mm) => set({ pitMm: mm })}
        />
        <LengthField
          label="Old thread out of true by (half the indicator)"
          mm={job.fit.clean ? clean.eccentricMm : null}
          system={system}
          rule={{ allowZero: true, maxMm: 50 }}
          onClear={() => set({ eccentricMm: 0 })}
          onCommit={(mm) => set({ eccentricMm: mm })}
          {...(runOutMm > 0 ? { hint: `indicated at the lathe: ${lengthText(runOutMm, system, FINE)}` } : {})}
        />
        <LengthField
          label={`Built up: its ${external ? 'lowest' : 'widest'} spot, on diameter`}
          mm={clean.builtUpMm}
          system={system}
          placeholder="not built up"
          onClear={() => set({ builtUpMm: null })}
          onCommit={(mm) => set({ builtUpMm: mm })}
        />
      </div>
      {cleaned && (
        <div className="mt-3 grid gap-3 md:grid-cols-[16rem_1fr]">
          {cleaned.deeperMm !== null && (
            <Figure
              label="Deeper than the old groove"
              value={lengthText(cleaned.deeperMm, system, FINE)}
              working={{ title: 'Cleaning up', steps: cleaned.working }}
            />
          )}
          <Note tone={cleaned.enough === false || (cleaned.crestLeftMm ?? 1) <= 0 ? 'wrong' : 'say'}>
            {cleanedText(cleaned, job.intake.make, system).map((t) => (
              <p key={t}>{t}</p>
            ))}
          </Note>
        </div>
      )}
    </Panel>
  );
}
