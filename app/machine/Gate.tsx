import { useNavigate } from 'react-router';
import type { StationId } from '../../core/job/stations.ts';
import { becauseText, STATION_NAMES } from '../../words/stations.ts';
import { useJobView } from '../job/jobContext.tsx';
import { useSystem } from '../store/store.ts';
import { neighbour } from '../job/settle.ts';
import { useBack } from '../stations/cut/useBack.ts';
import { Bar, MainAct } from './Bar.tsx';
import { MachineFrame } from './MachineFrame.tsx';

/** A station at the machine that waits for something: what for, and the way there. */
export function Gate({ station }: { readonly station: StationId }) {
  const { job, states } = useJobView();
  const system = useSystem();
  const navigate = useNavigate();
  const back = useBack();
  const state = states[station];
  const text = 'because' in state ? becauseText(state.because, system) : 'The thread has no name yet.';
  const to = neighbour(job, station, -1) ?? 'name';
  return (
    <MachineFrame
      station={station}
      region={STATION_NAMES[station]}
      back={back}
      say={text}
      head={<p className="text-[clamp(1.75rem,5cqi,2.25rem)] font-bold leading-tight">{text}</p>}
      bar={
        <Bar
          main={
            <MainAct onward onClick={() => void navigate(`/jobs/${job.id}/${job.name ? to : 'name'}`)}>
              To {STATION_NAMES[job.name ? to : 'name']}
            </MainAct>
          }
        />
      }
    />
  );
}
