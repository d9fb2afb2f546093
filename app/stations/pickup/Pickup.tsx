import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { cautionsAt } from '../../../core/job/cautions.ts';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { pickupActs } from '../../../core/job/pickupAct.ts';
import { pickupWorking } from '../../../core/job/pickupWorking.ts';
import { cardText, CONFLICT, LOST } from '../../../words/machine.ts';
import { FIRST_UP, moveHead, pickupSteps, PICKUP_PROBLEM, slackText } from '../../../words/pickup.ts';
import { Bar, SideAct } from '../../machine/Bar.tsx';
import { Gate } from '../../machine/Gate.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { StepList } from '../../machine/StepList.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { useWorking } from '../../ui/Working.tsx';
import { useBack } from '../cut/useBack.ts';
import { JudgePanel } from './JudgePanel.tsx';
import { DropPanel, KeyPanel } from './KeyPanel.tsx';
import { LookPanel, type Look } from './LookPanel.tsx';
import { OldPart } from './OldPart.tsx';
import { PickupHead } from './PickupHead.tsx';
import { PickupMain } from './PickupMain.tsx';
import { PickupPicture } from './PickupPicture.tsx';

/** Gears that are put up afterwards lose the groove again. */
function GearsNotUp() {
  const { job, machine } = useJobView();
  const u = useDialUnit();
  return (
    machine.card.do === 'mount' && <Note tone="caution">{`${FIRST_UP} ${cardText(machine, job.intake.make, u)}`}</Note>
  );
}

/** Bringing the tool into a groove that is already there: one act at a time, with its picture. */
export function Pickup() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const navigate = useNavigate();
  const back = useBack();
  const lathe = latheOf(job, shop);
  const dialUnit = useDialUnit();
  const u = lathe?.kind === 'control' ? (lathe.control?.unit ?? dialUnit) : dialUnit;
  const [params, setParams] = useSearchParams();
  const { metal, pickup, card } = machine;
  const { move } = pickup;
  const thread = threadOfJob(job);
  const leftHand = thread?.leftHand ?? false;
  const show = useWorking('pick-up', 'Pick-up', move ? pickupWorking(move, pickup, leftHand) : []);
  const [ready, setReady] = useState(false);
  const [since, setSince] = useState(0);
  const [look, setLook] = useState<Look>('eye');
  const [eye, setEye] = useState<number | null>(null);
  const [step, setStep] = useState(0);
  if (!thread || !lathe) return <Gate station="pickup" />;
  const { acts, at } = pickupActs(job, shop, metal, pickup, ready, since);
  const head = move && (at === 'move' || at === 'key') ? moveHead(move, u, job.intake.make === 'internal') : null;
  const slack = slackText(lathe.kind, leftHand);
  const lost = metal.lostBy ? LOST[metal.lostBy] : '';
  const drawer = params.get('show') === 'old';
  const open = (on: boolean): void => setParams(on ? { show: 'old' } : {}, { replace: true });
  const toCut = (): void => void navigate(`/jobs/${job.id}/cut`);
  const again = (): void => {
    setReady(false);
    setEye(null);
    setStep(0);
  };
  const steps = move && at === 'move' ? pickupSteps(move, leftHand, u, lathe.kind, job.intake.make === 'internal') : [];
  const says = {
    swing: PICKUP_PROBLEM['slide-not-along-bed'],
    slack: slack.act,
    look: 'Look where the groove lies from the tool.',
    face: 'Touch the tool off at the face: Z 0 there.',
    drop: PICKUP_PROBLEM['not-dropped'],
    move: head ? `${head.what} ${head.figure}. ${head.which}` : pickup.problem ? PICKUP_PROBLEM[pickup.problem] : '',
    key: head ? `${head.what} ${head.figure}. ${head.which}` : pickup.problem ? PICKUP_PROBLEM[pickup.problem] : '',
    judge: 'Slack up again; run along the old thread in the air, tool just clear, and judge it at three places.',
    found: 'The tool is in the groove.',
  }[at];
  return (
    <MachineFrame
      station="pickup"
      region="Pick up"
      back={back}
      say={says}
      pictureFirst
      {...(head ? { onWorking: show } : {})}
      picture={<PickupPicture at={at} look={look} eye={eye} onEye={setEye} unit={u} />}
      head={<PickupHead {...{ lathe, leftHand, acts, at, head, says }} onWorking={show} onWay={() => setStep(0)} />}
      step={
        <div className="grid gap-3">
          {(at === 'slack' || at === 'face') && lost !== '' && metal.lostBy !== 'existing' && (
            <p className="text-xl">{lost}</p>
          )}
          <GearsNotUp />
          {machine.feed.conflict && <Note tone="caution">{CONFLICT[machine.feed.conflict]}</Note>}
          {at === 'look' && <LookPanel look={look} onLook={setLook} at={eye} onAt={setEye} />}
          {at === 'key' && move?.way === 'z' && <KeyPanel move={move} unit={u} />}
          {(at === 'drop' || at === 'key') && <DropPanel unit={u} huge={at === 'drop'} />}
          {at === 'judge' && <JudgePanel />}
          <MachineCautions codes={cautionsAt('pickup', job, shop)} />
          {steps.length > 0 && <StepList steps={steps} at={Math.min(step, steps.length - 1)} onAt={setStep} near={1} />}
        </div>
      }
      bar={
        <Bar main={<PickupMain at={at} look={look} eye={eye} onReady={() => setReady(true)} onDone={again} />}>
          {!['swing', 'slack', 'face', 'found'].includes(at) && (
            <SideAct
              onClick={() => {
                again();
                setSince(card.after);
                if (metal.phase === 'kept') act({ do: 'airPass', result: 'off', after: card.after });
              }}
            >
              Look again
            </SideAct>
          )}
          <SideAct pressed={drawer} onClick={() => open(!drawer)}>
            The old part
          </SideAct>
          {at !== 'judge' && at !== 'found' && (
            <SideAct onClick={() => act({ do: 'inGroove', way: 'by-eye', after: card.after })}>Already in</SideAct>
          )}
          {at !== 'found' && <SideAct onClick={toCut}>To the card</SideAct>}
        </Bar>
      }
    >
      {drawer && <OldPart unit={u} onClose={() => open(false)} />}
    </MachineFrame>
  );
}
