import type { Flanks } from '../../../core/form/flanks.ts';
import { engagedOf, fitOfJob } from '../../../core/job/derive.ts';
import { effectSteps, pitchErrorEffect, shareEaten } from '../../../core/gearing/proof/index.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { Figure } from '../../ui/Figure.tsx';

/** What the lead error does to this fit over this engagement. */
export function EffectFigure({ errorPpm, flanks }: { readonly errorPpm: number; readonly flanks: Flanks }) {
  const { job } = useJobView();
  const system = useSystem();
  const effect = pitchErrorEffect(errorPpm, engagedOf(job), flanks);
  const limits = fitOfJob(job)?.limits?.pitch;
  const band = limits?.min != null && limits.max !== null ? limits.max - limits.min : null;
  const share = shareEaten(effect, job.fit.pitchClearanceMm) ?? 0;
  return (
    <Figure
      label="What the error does"
      value={
        errorPpm === 0
          ? 'nothing: exact'
          : lengthText(effect.clearanceEatenMm, system, { stepMm: 0.0001, stepIn: 0.00001 })
      }
      other={
        errorPpm === 0
          ? undefined
          : `of the pitch-diameter clearance, ${Math.round(share * 100)} % of what is given${band === null ? '' : `, ${Math.round((effect.clearanceEatenMm / band) * 100)} % of the class tolerance`}`
      }
      working={{ title: 'What the lead error does', steps: effectSteps(errorPpm, engagedOf(job), flanks) }}
    />
  );
}
