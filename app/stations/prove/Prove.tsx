import { useState } from 'react';
import { useNavigate } from 'react-router';
import { suggestDeeper } from '../../../core/job/deeper.ts';
import { fitOfJob, threadOfJob, wirePlan } from '../../../core/job/derive.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { deeperText, stepText } from '../../../words/deeper.ts';
import { TRY_WITH } from '../../../words/try.ts';
import { Bar, MainAct, SideAct } from '../../machine/Bar.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { Gate } from '../../machine/Gate.tsx';
import { OnActs } from '../../shell/StationFrame.tsx';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { useWorking } from '../../ui/Working.tsx';
import { TryAnswer } from '../cut/TryAnswer.tsx';
import { TryPicks } from '../cut/TryPicks.tsx';
import { useStepsOn } from '../cut/StepsOn.tsx';
import { useBack } from '../cut/useBack.ts';
import { ByMate } from './ByMate.tsx';
import { OverWires } from './OverWires.tsx';
import { ProveDrawer, type ProveTab } from './ProveDrawer.tsx';
import { WiresPlate } from '../../drawing/WiresPlate.tsx';

/** Is it the size it should be: over wires, or by its mate; what that says of the next cut. */
export function Prove() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const u = useDialUnit();
  const on = useStepsOn() ?? 'radius';
  const navigate = useNavigate();
  const back = useBack();
  const [how, setHow] = useState<'wires' | 'mate' | null>(null);
  const [tab, setTab] = useState<ProveTab | null>(null);
  const wires = wirePlan(job, shop);
  const showM = useWorking('over-wires', 'Measurement over wires', wires?.working ?? []);
  const answer = suggestDeeper(job, shop, machine.metal);
  if (!threadOfJob(job) || !fitOfJob(job)) return <Gate station="prove" />;
  const byWires = wires !== null && how !== 'mate';
  const say = answer
    ? deeperText(answer, u, on)
    : byWires
      ? `Over wires it should measure ${lengthText(wires.targetMm, system, FINE)}`
      : TRY_WITH[job.intake.make];
  return (
    <MachineFrame
      station="prove"
      region="Prove"
      back={back}
      say={say}
      pictureFirst
      {...(byWires ? { onWorking: showM } : {})}
      picture={byWires ? <WiresPlate wires={wires} unit={system} /> : <TryPicks />}
      head={byWires ? <OverWires wires={wires} onWorking={showM} /> : <ByMate />}
      step={<TryAnswer answer={answer} />}
      bar={
        <Bar
          main={
            answer?.code === 'deeper' ? (
              <MainAct
                onward
                onClick={() => {
                  if (act({ do: 'deeper', byMm: answer.byMm, after: machine.card.after }) === null)
                    void navigate(`/jobs/${job.id}/cut`);
                }}
              >
                Cut it: deeper by {stepText(answer.byMm, u, on)}
              </MainAct>
            ) : (
              <OnActs station="prove" canSettle big />
            )
          }
        >
          {wires && (
            <SideAct onClick={() => setHow(byWires ? 'mate' : 'wires')}>
              {byWires ? TRY_WITH[job.intake.make] : 'Over wires'}
            </SideAct>
          )}
          {wires && (
            <SideAct pressed={tab === 'wires'} onClick={() => setTab(tab === 'wires' ? null : 'wires')}>
              Wires
            </SideAct>
          )}
          <SideAct pressed={tab === 'said'} onClick={() => setTab(tab === 'said' ? null : 'said')}>
            Measured
          </SideAct>
          <SideAct onClick={() => void navigate(`/jobs/${job.id}/cut`)}>To the card</SideAct>
        </Bar>
      }
    >
      {tab !== null && <ProveDrawer tab={tab} wires={wires} onClose={() => setTab(null)} />}
    </MachineFrame>
  );
}
