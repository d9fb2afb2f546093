import clsx from 'clsx';
import type { DeeperAnswer } from '../../../core/job/deeper.ts';
import { deeperSetting } from '../../../core/job/deeperSetting.ts';
import { plain } from '../../../core/quantity/working.ts';
import { deeperText } from '../../../words/deeper.ts';
import { byText, cardText, dialText, dialUnitText } from '../../../words/machine.ts';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { useStepsOn } from './StepsOn.tsx';

/** What the last trial says: by how much deeper, in one number, or that it is at size. */
export function TryAnswer({ answer }: { readonly answer: DeeperAnswer | null }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const on = useStepsOn() ?? 'radius';
  if (!answer)
    return (
      <p className="text-[clamp(1.75rem,5cqi,2.25rem)] font-bold leading-tight">
        {machine.card.do === 'set' ? 'Stop the lathe, and try it.' : cardText(machine, job.intake.make, u)}
      </p>
    );
  const set = answer.code === 'deeper' ? deeperSetting(job, shop, machine, answer.byMm) : null;
  return (
    <div className="grid gap-2">
      {set && (
        <>
          <BigNumber
            what={byText(set.to)}
            unit={dialUnitText(set.to)}
            figure={set.shown}
            label={`${byText(set.to)} ${set.shown}`}
          />
          <p className="text-xl text-ink2">
            {set.divisions !== null && (
              <>
                <b className="num text-ink">{plain(set.divisions)}</b> division{set.divisions === 1 ? '' : 's'},{' '}
              </>
            )}
            from <b className="num text-ink">{dialText(set.from, ' + ')}</b> to{' '}
            <b className="num text-ink">{dialText(set.to, ' + ')}</b>
          </p>
        </>
      )}
      <p
        role="status"
        className={clsx(
          'text-2xl font-bold leading-snug',
          answer.code === 'fits' ? 'text-go' : answer.code === 'past' || answer.code === 'lead' ? 'text-stop' : '',
        )}
      >
        {deeperText(answer, u, on)}
      </p>
    </div>
  );
}
