import { useCallback, useEffect, useMemo, useState } from 'react';
import { Plus, Trash2 } from 'lucide-react';
import { AlertDialog } from 'radix-ui';
import { Link, useNavigate } from 'react-router';
import { newJob } from '../../core/job/create.ts';
import { stationsOf, stationStates } from '../../core/job/chain.ts';
import { STATION_NAMES } from '../../words/stations.ts';
import { conclusion, threadLine } from '../../words/conclusions.ts';
import { threadOfJob } from '../../core/job/derive.ts';
import type { Job } from '../../core/job/schema.ts';
import type { StationId } from '../../core/job/stations.ts';
import { deleteJob, loadJobs, putJobs } from '../storage/db.ts';
import { allSaved, useShop, useSystem } from '../store/store.ts';
import { Button, Panel } from '../ui/controls.tsx';
import { inputClass } from '../ui/fields.tsx';
import { useKeys } from '../ui/keys.ts';
import { Page } from './Page.tsx';

export function Jobs() {
  const [jobs, setJobs] = useState<Job[] | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [sought, setSought] = useState('');
  const navigate = useNavigate();
  const refresh = useCallback(() => {
    allSaved()
      .then(loadJobs)
      .then(setJobs, (e: unknown) => setFailed(e instanceof Error ? e.message : 'storage refused'));
  }, []);
  useEffect(refresh, [refresh]);
  const create = useCallback(() => {
    const job = newJob(
      crypto.randomUUID(),
      `Job of ${new Date().toLocaleDateString(undefined, { dateStyle: 'medium' })}`,
      new Date(),
    );
    void putJobs([job]).then(() => navigate(`/jobs/${job.id}/intake`));
  }, [navigate]);
  const keys = useMemo(() => ({ n: create }), [create]);
  useKeys(keys);
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const found = jobs?.filter((j) =>
    words.every((w) =>
      `${j.title} ${j.customer} ${j.name?.thread.designation ?? ''} ${j.intake.note} ${j.record.note}`
        .toLowerCase()
        .includes(w),
    ),
  );
  return (
    <Page
      title="Jobs"
      lead="One job is one thread to reproduce. The last one touched stands first."
      actions={
        <Button tone="main" onClick={create}>
          <Plus aria-hidden size={18} /> New job
        </Button>
      }
    >
      <input
        type="search"
        aria-label="Find a job"
        placeholder="Find: title, customer, thread, note"
        value={sought}
        onChange={(e) => setSought(e.target.value)}
        className={`${inputClass} max-w-md font-sans tracking-normal`}
      />
      {failed !== null && (
        <Panel>
          <p role="alert">The jobs could not be read: {failed}. Close other windows of Gelvin and try again.</p>
        </Panel>
      )}
      {found === undefined && failed === null && <p>Reading the jobs&hellip;</p>}
      {found?.length === 0 && (
        <Panel>
          <p>
            {jobs?.length === 0
              ? 'No jobs yet. Start one with New job, or bring a backup in under Settings & backup.'
              : 'No job has all of these words.'}
          </p>
        </Panel>
      )}
      <ul className="grid gap-2">
        {found?.map((j) => (
          <JobRow key={j.id} job={j} onRemoved={refresh} />
        ))}
      </ul>
    </Page>
  );
}

/** Where to go on: the first station that is stale or open. */
const nextStation = (job: Job, states: Readonly<Record<StationId, { kind: string }>>): StationId =>
  stationsOf(job).find((s) => states[s].kind !== 'settled') ?? 'record';

function JobRow({ job, onRemoved }: { readonly job: Job; readonly onRemoved: () => void }) {
  const shop = useShop();
  const system = useSystem();
  const states = useMemo(() => stationStates(job, shop, threadOfJob(job)), [job, shop]);
  const next = nextStation(job, states);
  const done = job.record.verdict !== null;
  const line = conclusion(next, job, shop, system);
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3 rounded-lg border border-line bg-panel">
      <Link
        to={`/jobs/${job.id}/${done ? 'record' : next}`}
        className="grid gap-x-4 gap-y-1 rounded-lg p-4 hover:bg-inset md:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,1.1fr)]"
      >
        <span>
          <span className="block text-lg font-semibold">{job.title}</span>
          <span className="text-ink2">{job.customer}</span>
        </span>
        <span className="num self-center">{threadLine(job) ?? 'not named yet'}</span>
        <span className="self-center">
          <span className="font-semibold">
            {done ? (conclusion('record', job, shop, system) ?? '') : `Next: ${STATION_NAMES[next]}`}
          </span>
          <span className="block text-sm text-ink2">{done ? '' : (line ?? '')}</span>
        </span>
      </Link>
      <AlertDialog.Root>
        <AlertDialog.Trigger asChild>
          <Button tone="quiet" aria-label={`Remove ${job.title}`} className="mr-2">
            <Trash2 aria-hidden size={18} />
          </Button>
        </AlertDialog.Trigger>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="fixed inset-0 bg-black/50" />
          <AlertDialog.Content className="fixed left-1/2 top-1/2 grid w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 gap-3 rounded-lg border border-line bg-panel p-5 text-ink">
            <AlertDialog.Title className="text-xl font-semibold">Remove this job?</AlertDialog.Title>
            <AlertDialog.Description>
              {job.title} and all its readings go for good. Export it first if it may be wanted again.
            </AlertDialog.Description>
            <div className="flex justify-end gap-2">
              <AlertDialog.Cancel asChild>
                <Button>Keep it</Button>
              </AlertDialog.Cancel>
              <AlertDialog.Action asChild>
                <Button tone="stop" onClick={() => void deleteJob(job.id).then(onRemoved)}>
                  Remove
                </Button>
              </AlertDialog.Action>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </li>
  );
}
