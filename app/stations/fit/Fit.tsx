import { fitViewOf } from '../../../core/job/fitView.ts';
import { ToolAndBlank } from './ToolAndBlank.tsx';
import { FitDrawn } from './FitDrawn.tsx';
import { FitPanel } from './FitPanel.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { threadOfJob, fitOfJob } from '../../../core/job/derive.ts';
import { StationFrame } from '../../job/StationFrame.tsx';
import { recutting } from '../../../core/job/recut.ts';
import { matePlaces } from '../../../core/job/places.ts';
import { Note } from '../../ui/controls.tsx';
import { engagedText, boundText } from '../../../words/fit.ts';
import { AsRead } from './AsRead.tsx';
import { WornMate } from './WornMate.tsx';
import { CleanUp } from './CleanUp.tsx';

export function Fit() {
  const { job } = useJobView();
  const system = useSystem();
  const thread = threadOfJob(job);
  const plan = fitOfJob(job);
  if (!thread || !plan)
    return (
      <StationFrame station="fit" lead="What to turn or bore, and how deep to cut." canSettle={false}>
        {null}
      </StationFrame>
    );
  const external = plan.make === 'external';
  const recut = recutting(job);
  const places = matePlaces(job, thread);
  const view = fitViewOf(job, thread, plan);
  return (
    <StationFrame
      station="fit"
      lead={
        recut
          ? 'No blank is turned: the passes begin at the old groove, and go on until it is at size or its mate fits.'
          : external
            ? 'What to turn the blank to, and how deep to cut.'
            : 'What to bore to, and how deep to cut. The bore is the nut\u2019s own minor diameter.'
      }
      drawnFirst
      acts={<FitPanel plan={plan} thread={thread} view={view} />}
    >
      <FitDrawn plan={plan} thread={thread} view={view} />
      {(plan.bounds.length > 0 || engagedText(plan)) && (
        <Note tone="say">
          {plan.bounds.map((b) => (
            <p key={b.code}>{boundText(b, system)}</p>
          ))}
          <p>{engagedText(plan)}</p>
        </Note>
      )}
      {thread.family === 'Special' && <AsRead thread={thread} />}
      {places.length > 0 && <WornMate plan={plan} thread={thread} places={places} />}
      {recut && <CleanUp />}
      <ToolAndBlank plan={plan} view={view} />
    </StationFrame>
  );
}
