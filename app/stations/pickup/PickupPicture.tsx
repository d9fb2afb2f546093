import { cutPlan, planRequest, toolOfJob } from '../../../core/job/cutPlan.ts';
import { fitOfJob, latheOf, threadOfJob } from '../../../core/job/derive.ts';
import type { PickupAct } from '../../../core/job/pickupAct.ts';
import { judgedOf, judgedSigmaMm } from '../../../core/job/pickupJudged.ts';
import { exact, numberOf } from '../../../core/quantity/rational.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { leadOf, pitchMmOf } from '../../../core/standards/thread.ts';
import { DropPlate } from '../../drawing/DropPlate.tsx';
import { EyePlate } from '../../drawing/EyePlate.tsx';
import { GroovesPlate } from '../../drawing/GroovesPlate.tsx';
import { RunPlate } from '../../drawing/RunPlate.tsx';
import { SlackPlate } from '../../drawing/SlackPlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import type { Look } from './LookPanel.tsx';
import { SlipPlate } from './SlipPlate.tsx';
import { TurnPlate } from './TurnPlate.tsx';

interface Props {
  readonly at: PickupAct;
  readonly look: Look;
  readonly eye: number | null;
  readonly onEye: (at: number) => void;
  readonly unit: UnitSystem;
}

/** The act at hand, drawn as it is: the slack, the pitch that is looked into, the move by its way, the run along. */
export function PickupPicture({ at, look, eye, onEye, unit }: Props) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { metal } = machine;
  const { move } = machine.pickup;
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  const made = toolOfJob(job);
  if (!thread || !lathe || !made) return null;
  const pitchMm = pitchMmOf(thread);
  if (at === 'slack')
    return <SlackPlate kind={lathe.kind} leftHand={thread.leftHand} slackMm={lathe.slack.carriageMm} unit={unit} />;
  if (at === 'judge')
    return (
      <RunPlate
        places={metal.judged.map((p) => ({ alongMm: p.atMm, offMm: p.offMm, sigmaMm: judgedSigmaMm(p.by, pitchMm) }))}
        judged={judgedOf(job, metal)}
        lengthMm={job.wearMap.lengthMm ?? job.setup.lengthMm}
        pitchMm={pitchMm}
        unit={unit}
      />
    );
  if (at === 'move' && move?.way === 'turn') return <TurnPlate deg={move.deg} direction={move.direction} />;
  if (at === 'move' && move?.way === 'slip') return <SlipPlate gear={move.gear} teeth={move.teeth} />;
  const request = planRequest(job, shop, metal);
  const plan = cutPlan(job, request);
  const depthMm = Math.max(
    metal.depthMm,
    request?.grooveMm ?? 0,
    (plan?.ok ? plan.value.depthMm : fitOfJob(job)?.depthMm) ?? 0,
    0.05,
  );
  const internal = job.intake.make === 'internal';
  if (at === 'look' && look === 'eye')
    return (
      <EyePlate
        {...made}
        internal={internal}
        depthMm={depthMm}
        at={eye}
        onAt={onEye}
        label="One pitch of the old thread from above: touch where the tool's point stands in it"
      />
    );
  if (at === 'face' || at === 'drop' || at === 'key')
    return (
      <DropPlate
        tool={made.tool}
        leftHand={thread.leftHand}
        internal={internal}
        depthMm={depthMm}
        pitchMm={pitchMm}
        leadMm={numberOf(leadOf(thread))}
        grooveMm={metal.dropped?.zMm ?? null}
        startMm={move?.way === 'z' ? numberOf(exact(move.startMm)) : null}
        leads={move?.way === 'z' ? move.leads : 0}
        unit={unit}
      />
    );
  return (
    <GroovesPlate
      {...made}
      internal={internal}
      offsetMm={at === 'found' ? 0 : (metal.offset?.mm ?? null)}
      move={move}
      depthMm={depthMm}
    />
  );
}
