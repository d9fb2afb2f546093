import { useJobView } from '../../job/jobContext.tsx';
import { useSystem, act } from '../../store/store.ts';
import { USUAL_STAGES } from '../../../core/job/schoolsView.ts';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { wholeNumber } from '../../../core/lathe/typed.ts';
import { Choice } from '../../ui/choices.tsx';
import { stagesText } from '../../../words/setup.ts';
import { feedsAtAngle } from '../../../core/job/feed.ts';

export function Stages() {
  const { job } = useJobView();
  const system = useSystem();
  const { stages, straightLastMm } = job.cut;
  const now = stages ?? USUAL_STAGES;
  const set = (more: Partial<typeof now>) => act({ do: 'setSchedule', stages: { ...now, ...more } });
  const springs = (label: string, key: 'roughSprings' | 'semiSprings') => (
    <TypedField
      label={label}
      shown={String(now[key])}
      parse={wholeNumber('springs', 0, 10)}
      onCommit={(v) => set({ [key]: v })}
    />
  );
  const cap = (label: string, key: 'roughCapMm' | 'semiCapMm' | 'finishCapMm') => (
    <LengthField
      label={label}
      mm={now[key]}
      system={system}
      rule={{ maxMm: 5 }}
      placeholder="as the schedule"
      onClear={() => set({ [key]: null })}
      onCommit={(mm) => set({ [key]: mm })}
    />
  );
  return (
    <section aria-label="Stages" className="grid gap-3 border-t border-line pt-3">
      <Choice
        label="Stages"
        value={stages ? 'three' : 'one'}
        options={[
          { value: 'one', label: 'one rule throughout' },
          { value: 'three', label: 'rough, semi-finish, finish' },
        ]}
        onChange={(v) => act({ do: 'setSchedule', stages: v === 'three' ? USUAL_STAGES : null })}
      />
      {stages && (
        <>
          <p className="text-sm text-ink2">{stagesText(system)}</p>
          <div className="grid grid-cols-2 gap-3 md:grid-cols-3">
            {cap('Rough: no pass over', 'roughCapMm')}
            {cap('Semi-finish: no pass over', 'semiCapMm')}
            {cap('Finish: no pass over', 'finishCapMm')}
            {springs('Springs after roughing', 'roughSprings')}
            {springs('Springs after semi-finishing', 'semiSprings')}
          </div>
        </>
      )}
      {feedsAtAngle(job.setup.infeed) && (
        <LengthField
          label="The last, fed straight in"
          mm={straightLastMm}
          system={system}
          rule={{ allowZero: true, maxMm: 1 }}
          onCommit={(mm) => act({ do: 'setSchedule', straightLastMm: mm })}
          hint="a few hundredths clean both flanks and form the root; 0 for none"
        />
      )}
    </section>
  );
}
