import type { ReactNode } from 'react';
import { Ellipsis, StepBack } from 'lucide-react';
import { LAY_NAMES, TRY_WITH } from '../../../words/try.ts';
import { cutsNow, proofDue } from '../../../core/job/card.ts';
import { measurePlan } from '../../../core/job/measure.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Bar, SideAct } from '../../machine/Bar.tsx';
import type { Beside, Trying } from './beside.ts';
import { useTakeBack } from './useCutFrame.ts';

/** Every card's acts: back, try, over wires, spring, deeper, side cut, more; the one that goes on is the card's own. */
export function CutBar({
  beside,
  main,
  at = null,
  children,
}: {
  readonly beside: Beside;
  readonly main?: ReactNode;
  /** What is being tried on this card: it is not offered again, and what is rarer is under More. */
  readonly at?: Trying | null;
  readonly children?: ReactNode;
}) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const back = useTakeBack(true);
  const { card, metal } = machine;
  // an old groove is tried before anything is cut in it
  const cutting = (metal.cuts > 0 || proofDue(card)) && metal.finished === null;
  const plan = cutting ? measurePlan(job, shop) : null;
  const wires = plan?.atHand === true;
  const { drawer, open, tryIt } = beside;
  return (
    <Bar main={main}>
      {back && (
        <SideAct onClick={back.run}>
          <StepBack aria-hidden size={22} /> Back
        </SideAct>
      )}
      {cutting && at !== 'mate' && <SideAct onClick={() => tryIt('mate')}>{TRY_WITH[job.intake.make]}</SideAct>}
      {wires && at !== 'wires' && <SideAct onClick={() => tryIt('wires')}>{LAY_NAMES[plan.by]}</SideAct>}
      {cutsNow(machine) && at === null && (
        <>
          <SideAct
            label="Spring: once more at the same setting"
            className="max-md:hidden"
            onClick={() => act({ do: 'springDone', after: card.after })}
          >
            Spring
          </SideAct>
          <SideAct className="max-md:hidden" pressed={drawer === 'deeper'} onClick={() => open('deeper')}>
            Deeper
          </SideAct>
          <SideAct className="max-md:hidden" pressed={drawer === 'side'} onClick={() => open('side')}>
            Side cut
          </SideAct>
        </>
      )}
      {children}
      <SideAct
        pressed={drawer === 'happened'}
        label="More: what happened, the plan, the ledger"
        onClick={() => open('happened')}
      >
        <Ellipsis aria-hidden size={24} /> More
      </SideAct>
    </Bar>
  );
}
