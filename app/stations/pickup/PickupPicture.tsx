import { cutPlan, planRequest, toolOfJob } from '../../../core/job/cutPlan.ts';
import { fitOfJob } from '../../../core/job/derive.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { GroovesPlate } from '../../drawing/GroovesPlate.tsx';
import { SlipPlate } from './SlipPlate.tsx';
import { TurnPlate } from './TurnPlate.tsx';

/** The way that was chosen, drawn as it is: along, at the slide's angle, in the jaws, or in the gears. */
export function PickupPicture() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { move } = machine.pickup;
  if (move?.way === 'turn') return <TurnPlate deg={move.deg} direction={move.direction} />;
  if (move?.way === 'slip') return <SlipPlate gear={move.gear} teeth={move.teeth} />;
  const made = toolOfJob(job);
  if (!made) return null;
  const request = planRequest(job, shop, machine.metal);
  const plan = cutPlan(job, request);
  const depthMm = Math.max(
    machine.metal.depthMm,
    request?.grooveMm ?? 0,
    (plan?.ok ? plan.value.depthMm : fitOfJob(job)?.depthMm) ?? 0,
    0.05,
  );
  return (
    <GroovesPlate
      {...made}
      internal={job.intake.make === 'internal'}
      offsetMm={machine.metal.offset?.mm ?? null}
      move={move}
      depthMm={depthMm}
    />
  );
}
