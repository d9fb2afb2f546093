import { cardOf } from '../../../core/job/card.ts';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { CONFLICT, planDelta } from '../../../words/machine.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { useAppSelector, useShop } from '../../store/store.ts';
import { Note, Panel } from '../../ui/controls.tsx';
import { ActCard } from './ActCard.tsx';
import { Ledger } from './Ledger.tsx';
import { PartBefore } from './PartBefore.tsx';
import { PassCard } from './PassCard.tsx';
import { PassTable } from './PassTable.tsx';
import { Schedule } from './Schedule.tsx';
import { SideActs } from './SideActs.tsx';

/** What is to be done now, from the metal as it is: one act, one reading. */
export function Cut() {
  const { job, machine } = useJobView();
  const shop = useShop();
  if (!threadOfJob(job))
    return (
      <StationFrame station="cut" lead="One act after another, from the metal as it is.">
        {null}
      </StationFrame>
    );
  const { card } = machine;
  const lathe = latheOf(job, shop);
  return (
    <StationFrame
      station="cut"
      lead="Set the dial, cut, then Done. What is done is kept, and the rest is planned from it."
    >
      <Delta />
      {card.do === 'set' ? <PassCard /> : <ActCard />}
      <PartBefore />
      {card.conflict && <Note tone="caution">{CONFLICT[card.conflict]}</Note>}
      <SideActs />
      <Schedule />
      {machine.plan && machine.plan.passes.length > 0 && lathe && (
        <Panel title="Passes to come">
          <PassTable view={machine} lathe={lathe} internal={job.intake.make === 'internal'} />
        </Panel>
      )}
      <Ledger />
    </StationFrame>
  );
}

/** What the last change of the plan did to what is next. */
function Delta() {
  const { machine } = useJobView();
  const shop = useShop();
  const last = useAppSelector((s) => s.work.job?.past.at(-1));
  const text = last ? planDelta(cardOf(last.value, shop, null), machine) : null;
  return (
    <p aria-live="polite" className={text === null ? 'sr-only' : 'rounded-md bg-bluesoft px-3 py-2 text-lg'}>
      {text === null ? '' : `The plan changed: ${text}.`}
    </p>
  );
}
