import clsx from 'clsx';
import { deeperSetting, type DeeperSetting } from '../../../core/job/deeperSetting.ts';
import { latheOf } from '../../../core/job/derive.ts';
import { dialOf } from '../../../core/job/slides.ts';
import { plain } from '../../../core/quantity/working.ts';
import { AGAIN_TEXT, BURRS_FIRST } from '../../../words/prove.ts';
import { againText, byText, cardText, dialText, dialUnitText } from '../../../words/machine.ts';
import { BigNumber, DialNumber } from '../../machine/DialNumber.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { useProof } from '../prove/useProof.ts';
import { Otherwise } from './Otherwise.tsx';
import { useStepSaid } from './useStepSaid.ts';

/** Answers beside which it is said what the last try made of what is known; the others have a figure of their own. */
/** Nothing is cut deeper for these. */
const STOPS_HERE: ReadonlySet<string> = new Set(['past', 'lead', 'bruise', 'start']);
const SAID_SO: ReadonlySet<string> = new Set(['fits', 'past', 'measure', 'spring']);

/** What everything tried says: by how much deeper, in one number, or the same setting again, or that it is at size. */
export function TryAnswer() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const said = useStepSaid();
  const { answer, effect, diagnosis, burrs, again } = useProof();
  if (!answer)
    return (
      <p className="text-[clamp(1.75rem,5cqi,2.25rem)] font-bold leading-tight">
        {machine.card.do === 'set' ? 'Stop the lathe, and try it.' : cardText(machine, job.intake.make, u)}
      </p>
    );
  const moves = answer.code === 'deeper' || answer.code === 'spring';
  const set = moves ? deeperSetting(job, shop, machine, answer.byMm) : null;
  const lathe = latheOf(job, shop);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2 [container-type:inline-size]">
      {set && answer.code === 'spring' && (
        <DialNumber what={againText(set.to)} setting={set.to} dial={lathe && dialOf(set.to, lathe)} />
      )}
      {set && answer.code === 'deeper' && <StepDeeper set={set} />}
      {diagnosis && <p className="text-xl font-semibold">{diagnosis.what}</p>}
      <p
        role="status"
        className={clsx(
          'text-2xl font-bold leading-snug',
          answer.code === 'fits' && 'text-go',
          STOPS_HERE.has(answer.code) && 'text-stop',
        )}
      >
        {diagnosis ? diagnosis.todo : said.answer(answer)}
        {again && ` ${AGAIN_TEXT}`}
      </p>
      {(answer.code === 'doubt' || answer.code === 'enough') && <Otherwise answer={answer} />}
      {effect !== null && SAID_SO.has(answer.code) && (
        <p className="text-lg text-ink2">
          So: <b className="num text-ink">{effect}</b>.
        </p>
      )}
      {burrs && <p className="border-l-6 border-look bg-panel px-3 py-1 text-lg">{BURRS_FIRST}</p>}
    </div>
  );
}

/** A step deeper as the dial shows it: by how much, from where to where. */
function StepDeeper({ set }: { readonly set: DeeperSetting }) {
  return (
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
  );
}
