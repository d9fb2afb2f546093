import type { FitPlan } from '../../../core/fit/fit.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem, act } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { gaugeName, GAUGE_LIKE } from '../../../words/fit.ts';
import { lengthText, FINE } from '../../../core/quantity/format.ts';

/** Which end of the gauge, by which school, and when it is worn out. */
export function GaugeChoices({ plan }: { readonly plan: FitPlan }) {
  const { job } = useJobView();
  const system = useSystem();
  const { gauge } = job.fit;
  return (
    <>
      <Choice
        label="Which end"
        value={gauge.end}
        options={[
          { value: 'go', label: gaugeName(plan.make, 'go') },
          { value: 'not-go', label: gaugeName(plan.make, 'not-go') },
        ]}
        onChange={(end) => act({ do: 'setFit', gauge: { ...gauge, end } })}
      />
      {gauge.end === 'not-go' && (
        <Choice
          label="Where the not-go lies"
          value={gauge.school}
          options={[
            { value: 'inside', label: 'inside the work\u2019s limit by a tenth (shops)' },
            { value: 'centred', label: 'on the limit itself (gauge standards)' },
          ]}
          onChange={(school) => act({ do: 'setFit', gauge: { ...gauge, school } })}
        />
      )}
      <Note tone="say">
        {GAUGE_LIKE[gauge.end]}
        {plan.gauge?.scrapAtMm != null && (
          <>
            {' '}
            It wears {plan.make === 'external' ? 'small' : 'large'}: scrap it at{' '}
            <strong className="num">{lengthText(plan.gauge.scrapAtMm, system, FINE)}</strong> pitch diameter.
          </>
        )}
      </Note>
    </>
  );
}
