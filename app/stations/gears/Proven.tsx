import { leadOfTrain } from '../../../core/gearing/train.ts';
import { leversGiving } from '../../../core/job/gearSetting.ts';
import { type ThreadSpec, leadOf } from '../../../core/standards/thread.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { useSystem } from '../../store/store.ts';
import { textOf, exact } from '../../../core/quantity/rational.ts';
import { Panel, Button } from '../../ui/controls.tsx';
import { trainText } from '../../../core/gearing/trainText.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { takeTrain } from './trainQuery.ts';

/** Trains that have cut this lead on this lathe before. */
export function Proven({ thread, lathe }: { readonly thread: ThreadSpec; readonly lathe: Lathe }) {
  const system = useSystem();
  const target = textOf(leadOf(thread));
  const proven = lathe.proven.filter((p) => p.leadMm === target);
  if (proven.length === 0) return null;
  // what it cuts is what it cuts: a train that comes near is not said to be exact
  const cutText = (p: Lathe['proven'][number]): string => {
    const lead = leadOfTrain(p.train, exact(lathe.leadscrew), exact(lathe.fixedRatio));
    const near = lead.equals(exact(p.leadMm)) ? '' : ` for ${pitchText(exact(p.leadMm), system)}`;
    const levers = leversGiving(lathe, p.train.gearbox);
    return `${levers === null ? '' : `(${levers}) `}cut ${pitchText(lead, system)}${near}`;
  };
  return (
    <Panel title="Proven on this lathe">
      <ul className="grid gap-2">
        {proven.map((p) => (
          <li key={p.at} className="flex flex-wrap items-center justify-between gap-2">
            <span>
              <span className="num font-semibold">{trainText(p.train)}</span> {cutText(p)} on: {p.job}
            </span>
            <Button onClick={() => takeTrain(p.train)}>Take it again</Button>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
