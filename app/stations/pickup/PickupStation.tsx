import { useNavigate } from 'react-router';
import { cardText } from '../../../words/machine.ts';
import { FIRST_UP } from '../../../words/pickup.ts';
import { Bar, MainAct } from '../../machine/Bar.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { PartPlate } from '../cut/PartPlate.tsx';
import { useBack } from '../cut/useBack.ts';
import { Pickup } from './Pickup.tsx';

/** A groove is looked for in what is up: the part comes first, else putting it up loses the groove again. */
export function PickupStation() {
  const { card } = useJobView().machine;
  return card.do === 'mount' && card.what === 'work' ? <PutUpFirst /> : <Pickup />;
}

/** What has to be up before a groove is looked for. */
function PutUpFirst() {
  const { job, machine } = useJobView();
  const navigate = useNavigate();
  const say = cardText(machine, job.intake.make, useDialUnit());
  return (
    <MachineFrame
      station="pickup"
      region="Pick up"
      back={useBack()}
      say={say}
      picture={<PartPlate act="mount" />}
      head={
        <div className="grid gap-3">
          <p className="text-2xl text-ink2">{FIRST_UP}</p>
          <p className="text-[clamp(1.75rem,5cqi,2.25rem)] font-bold leading-tight">{say}</p>
        </div>
      }
      bar={
        <Bar
          main={
            <MainAct onward onClick={() => void navigate(`/jobs/${job.id}/cut`)}>
              Put it up
            </MainAct>
          }
        />
      }
    />
  );
}
