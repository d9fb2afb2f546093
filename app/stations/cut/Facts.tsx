import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { springText, stageName } from '../../../words/stages.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { useTakeBack } from './useCutFrame.ts';

/** What this pass is: its number, what it takes, how deep it goes, what was done last. */
export function Facts() {
  const { job, machine } = useJobView();
  const u = useDialUnit();
  const { card } = machine;
  const back = useTakeBack();
  const len = (mm: number): string => lengthText(mm, u, FINE);
  const spring = card.pass?.spring === true;
  const stage = card.pass ? stageName(job.cut.stages !== null, card.pass.stage) : null;
  const big = 'num font-bold text-ink';
  return (
    <div className="facts mt-2 flex flex-wrap items-baseline gap-x-6 gap-y-1 text-ink2">
      <span>
        {spring ? 'Spring pass' : 'Pass'} <b className={big}>{card.pass?.n}</b> of{' '}
        <b className={big}>{card.pass?.of}</b>
        {stage !== null && <b className="text-ink">, {stage}</b>}
        {spring
          ? springText(job.cut.stages !== null, card.pass?.stage ?? 0)
          : job.cut.springs > 0
            ? ` + ${job.cut.springs} spring`
            : ''}
      </span>
      {!spring && card.expectsMetal && card.takesMm !== null && card.leftMm !== null && (
        <span>
          takes <b className={big}>{lengthText(card.takesMm, u, { ...FINE, bare: true })}</b>,{' '}
          <b className={big}>{len(card.leftMm)}</b> to go
        </span>
      )}
      {back && (
        <span role="status" className="font-semibold text-go">
          {back.text}
        </span>
      )}
    </div>
  );
}
