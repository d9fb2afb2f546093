import { engagedOf } from '../../../core/job/derive.ts';
import { pitchErrorEffect } from '../../../core/gearing/effect.ts';
import { fitOfJob } from '../../../core/job/derive.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { Figure } from '../../ui/controls.tsx';
import { useWorking } from '../../ui/Working.tsx';

/** What the lead error does to this fit over this engagement. */
export function EffectFigure({
  errorPpm,
  flanks,
}: {
  readonly errorPpm: number;
  readonly flanks: readonly [number, number];
}) {
  const { job } = useJobView();
  const system = useSystem();
  const { show } = useWorking();
  const effect = pitchErrorEffect(errorPpm, engagedOf(job), flanks);
  const limits = fitOfJob(job)?.limits?.pitch;
  const band = limits?.min != null && limits.max !== null ? limits.max - limits.min : null;
  const share = job.fit.pitchClearanceMm > 0 ? effect.clearanceEatenMm / job.fit.pitchClearanceMm : 0;
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
      onShow={() =>
        show('What the lead error does', [
          {
            name: 'Mismatch over the engagement',
            symbol: 'e Le',
            formula: 'error \u00d7 engaged length',
            values: `${errorPpm.toFixed(1)} ppm \u00d7 ${engagedOf(job)} mm`,
            result: effect.mismatchMm,
            unit: 'mm',
            source: 'geometry',
          },
          {
            name: 'Clearance it eats',
            symbol: '\u0394d2',
            formula: '2 e Le / (tan a1 + tan a2)',
            values: `2 \u00d7 ${Math.abs(effect.mismatchMm).toFixed(5)} / (tan ${flanks[0]}\u00b0 + tan ${flanks[1]}\u00b0)`,
            result: effect.clearanceEatenMm,
            unit: 'mm',
            source: 'geometry of the flanks; ASME B1.1 treats lead error alike',
          },
        ])
      }
    />
  );
}
