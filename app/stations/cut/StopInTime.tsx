import { useMemo } from 'react';
import { measurePlan } from '../../../core/job/measure.ts';
import { LOOK_FIRST, passRisk } from '../../../core/job/sizing.ts';
import { lookFirstText } from '../../../words/prove.ts';
import { TRY_WITH } from '../../../words/try.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import type { Beside } from './beside.ts';

/** Before a pass that may go past size by all that is known: look first. */
export function StopInTime({ beside }: { readonly beside: Beside }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { pass, depthMm } = machine.card;
  const risk = useMemo(
    () => (pass === null || pass.spring || depthMm === null ? null : passRisk(job, shop, depthMm)),
    [job, shop, pass, depthMm],
  );
  if (risk === null || risk < LOOK_FIRST) return null;
  const wires = measurePlan(job, shop)?.by === 'wires';
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 border-l-6 border-look bg-panel px-3 py-2">
      <p className="min-w-0 grow text-lg font-semibold">{lookFirstText(risk)}</p>
      <Button onClick={() => beside.tryIt(wires ? 'wires' : 'mate')}>
        {wires ? 'Measure first' : `${TRY_WITH[job.intake.make]} first`}
      </Button>
    </div>
  );
}
