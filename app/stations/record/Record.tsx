import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem, act } from '../../store/store.ts';
import { threadOfJob } from '../../../core/job/derive.ts';
import { StationFrame } from '../../job/StationFrame.tsx';
import { Button, Panel } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { OUTCOME_NAMES, conclusion } from '../../../words/conclusions.ts';
import { TextField } from '../../ui/fields.tsx';
import { Link, useNavigate } from 'react-router';
import { Printer, Download, CopyPlus } from 'lucide-react';
import { HandOverButton } from '../../handover/HandOver.tsx';
import { exportJobPack, exportJob } from '../../storage/files.ts';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { stationsOf } from '../../../core/job/chain.ts';
import { STATION_NAMES, becauseText } from '../../../words/stations.ts';
import { Photos } from '../../photos/Photos.tsx';
import { Ledger } from '../cut/Ledger.tsx';
import { useState } from 'react';
import { beginAgain } from '../../shop/newJob.ts';
import { storageText } from '../../../words/storage.ts';
import { ProofSaid } from './ProofSaid.tsx';

export function Record() {
  const { job, states } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const thread = threadOfJob(job);
  const date = (iso: string): string =>
    new Date(iso).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
  return (
    <StationFrame
      station="record"
      toRead
      lead="What was cut, how, with what, and whether it fitted."
      acts={
        <section aria-label="Outcome" className="grid gap-3 border-t border-line pt-3">
          <ProofSaid />
          <Choice
            label="Does it fit?"
            even
            value={job.record.verdict ?? ''}
            options={(['fits', 'fits-with-note', 'scrapped'] as const).map((value) => ({
              value,
              label: OUTCOME_NAMES[value],
            }))}
            onChange={(v) => act({ do: 'setRecord', verdict: v as NonNullable<typeof job.record.verdict> })}
          />
          <TextField
            label="Note for the next time"
            lines={3}
            value={job.record.note}
            onCommit={(t) => act({ do: 'setRecord', note: t })}
          />
          <div className="flex flex-wrap gap-2">
            <Link
              to={`/jobs/${job.id}/paper`}
              className="key inline-flex min-h-12 items-center gap-2 rounded-[4px] px-4"
            >
              <Printer aria-hidden size={18} /> On paper
            </Link>
            <HandOverButton job={job} />
            <Again />
            <Button onClick={() => void exportJobPack(job).catch(() => exportJob(job))}>
              <Download aria-hidden size={18} /> Export this job{' '}
              {job.pictures.length > 0 ? 'with its pictures' : '(JSON)'}
            </Button>
          </div>
        </section>
      }
    >
      {thread && (
        <ThreadDrawing
          thread={thread}
          tentative={false}
          side={job.intake.make}
          readings={[]}
          system={system}
          caption={`${thread.designation}, as it was named; what was cut stands below.`}
        />
      )}
      <Panel
        title={job.title}
        aside={
          <span className="text-sm text-ink2">
            begun {date(job.created)}, last changed {date(job.changed)}
          </span>
        }
      >
        <dl className="grid gap-x-6 gap-y-2 sm:grid-cols-[8rem_1fr]">
          {stationsOf(job)
            .filter((s) => s !== 'record')
            .map((s) => (
              <div key={s} className="contents">
                <dt className="text-ink2">{STATION_NAMES[s]}</dt>
                <dd>
                  {conclusion(s, job, shop, system) ?? 'nothing'}
                  {states[s].kind === 'stale' && (
                    <span className="ml-2 text-look">look again: {becauseText(states[s].because, system)}</span>
                  )}
                </dd>
              </div>
            ))}
        </dl>
      </Panel>
      <Panel>
        <Photos of="what was made" all />
      </Panel>
      <Ledger readOnly />
      {job.intake.hazards.length > 0 && <p>Duties with rules of their own: {job.intake.hazards.join(', ')}.</p>}
    </StationFrame>
  );
}

/** The same thread once more: a new job from this one. */
function Again() {
  const { job } = useJobView();
  const navigate = useNavigate();
  const [failed, setFailed] = useState<string | null>(null);
  return (
    <>
      <Button
        onClick={() =>
          void beginAgain(job).then(
            (id) => navigate(`/jobs/${id}/intake`),
            (e: unknown) => setFailed(storageText(e)),
          )
        }
      >
        <CopyPlus aria-hidden size={18} /> Start a new job from it
      </Button>
      {failed !== null && <p className="text-stop">No job was begun: {failed}.</p>}
    </>
  );
}
