import { cautionsAt } from '../../../core/job/cautions.ts';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { pickupWorking } from '../../../core/job/pickupWorking.ts';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { slipGears } from '../../../core/job/pickupMove.ts';
import { moveHead } from '../../../words/pickup.ts';
import { placeText } from '../../../words/gears.ts';
import { CONFLICT, LOST, pickupSteps, PICKUP_PROBLEM, WAY_NAMES } from '../../../words/machine.ts';
import { Bar, MainAct, SideAct } from '../../machine/Bar.tsx';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { Gate } from '../../machine/Gate.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { StepList } from '../../machine/StepList.tsx';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button, Choice, Note } from '../../ui/controls.tsx';
import { useWorking } from '../../ui/Working.tsx';
import { useBack } from '../cut/useBack.ts';
import { Offset } from './Offset.tsx';
import { PickupPicture } from './PickupPicture.tsx';

/** Bringing the tool into a groove that is already there: where it stands, the move, and the act. */
export function Pickup() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const navigate = useNavigate();
  const back = useBack();
  const u = useDialUnit();
  const { metal, pickup, card } = machine;
  const { move } = pickup;
  const leftHand = threadOfJob(job)?.leftHand ?? false;
  const gears = slipGears(job, shop);
  const found = metal.phase === 'kept';
  const show = useWorking('pick-up', 'Pick-up', move ? pickupWorking(move, pickup, leftHand) : []);
  const [at, setAt] = useState(0);
  if (!threadOfJob(job) || !latheOf(job, shop)) return <Gate station="pickup" />;
  const head = move ? moveHead(move, u) : null;
  const lost = metal.lostBy ? LOST[metal.lostBy] : '';
  const say = head
    ? `${head.what} ${head.figure}. ${head.which}`
    : pickup.problem
      ? PICKUP_PROBLEM[pickup.problem]
      : lost;
  const steps = move ? pickupSteps(move, leftHand, u) : [];
  return (
    <MachineFrame
      station="pickup"
      region="Pick up"
      back={back}
      say={found ? 'The tool is in the groove.' : say}
      pictureFirst
      {...(move ? { onWorking: show } : {})}
      picture={
        <div className="relative grid min-h-0">
          <PickupPicture />
          <Offset />
        </div>
      }
      head={
        <div className="grid gap-3">
          <Choice
            even
            label="Bring it in by"
            value={pickup.way}
            options={pickup.ways.map((w) => ({ value: w, label: WAY_NAMES[w] }))}
            onChange={(v) => act({ do: 'setPickup', way: v })}
          />
          {pickup.way === 'slip' && gears.length > 1 && (
            <Choice
              label="Which gear is turned"
              value={String(job.pickup.slipGear ?? gears.length - 1)}
              options={gears.map((g) => ({ value: String(g.index), label: `the ${g.teeth} ${placeText(g.place)}` }))}
              onChange={(v) => act({ do: 'setPickup', slipGear: Number(v) })}
            />
          )}
          {head && (
            <div>
              <BigNumber
                what={head.what}
                unit={head.unit}
                figure={head.figure}
                turns={head.turns}
                label={`${head.what} ${head.figure}; show the working`}
                onWorking={show}
              />
              <p className="text-2xl font-semibold">{head.which}</p>
            </div>
          )}
          {found ? (
            <Note tone="right">The tool is in the groove. Whatever loses it says so, here and on Cut.</Note>
          ) : (
            !move && lost !== '' && <p className="text-2xl font-bold">{lost}</p>
          )}
        </div>
      }
      step={
        <div className="grid gap-3">
          {pickup.problem && (
            <Note tone={pickup.problem === 'slide-square' ? 'wrong' : 'say'}>
              <p className="text-xl">{PICKUP_PROBLEM[pickup.problem]}</p>
              {pickup.problem === 'slide-not-along-bed' && (
                <Button big className="mt-2" onClick={() => act({ do: 'swingSlide', deg: 90 })}>
                  It lies along the bed now
                </Button>
              )}
            </Note>
          )}
          {machine.feed.conflict && <Note tone="caution">{CONFLICT[machine.feed.conflict]}</Note>}
          <MachineCautions codes={cautionsAt('pickup', job, shop)} />
          {steps.length > 0 ? (
            <StepList steps={steps} at={Math.min(at, steps.length - 1)} onAt={setAt} near={1} />
          ) : (
            !found && (
              <p className="text-lg leading-snug">
                Shut the half-nuts and run the spindle forward, by power or by hand; stop without letting it roll back.
                Only then look: white paper and a lamp behind, a loupe. The slack is taken up and the tool stands where
                it would cut.
              </p>
            )
          )}
        </div>
      }
      bar={
        <Bar
          main={
            <MainAct
              disabled={found}
              onClick={() => {
                if (act({ do: 'inGroove', after: card.after }) === null) void navigate(`/jobs/${job.id}/cut`);
              }}
            >
              The tool is in the groove
            </MainAct>
          }
        >
          <SideAct onClick={() => document.querySelector<HTMLElement>('main [data-armed]')?.focus()}>
            Look again
          </SideAct>
          <SideAct onClick={() => void navigate(`/jobs/${job.id}/cut`)}>To the card</SideAct>
        </Bar>
      }
    />
  );
}
