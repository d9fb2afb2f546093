import { lazy, useState, useCallback, useEffect, useMemo, useDeferredValue, Suspense } from 'react';
import type { JobRow as Row } from '../storage/rows.ts';
import { type Removed, loadRows, removedJobs } from '../storage/db.ts';
import { useNavigate } from 'react-router';
import { firstVisit } from './first.ts';
import { useShop, allSaved, channel } from '../store/store.ts';
import { storageText } from '../../words/storage.ts';
import { useKeys } from '../ui/keys.ts';
import { useFound } from './useFound.ts';
import { UNSIFTED, sifted, isSifted } from './sifting.ts';
import { Page } from './Page.tsx';
import { Button, Note, Panel } from '../ui/controls.tsx';
import { Plus } from 'lucide-react';
import { inputClass } from '../ui/inputClass.ts';
import { SiftBar } from './SiftBar.tsx';
import { SIFT_WORDS } from '../../words/sift.ts';
import { List } from './JobList.tsx';

/** Fetched only by who comes for the first time. */
const FirstVisit = lazy(async () => ({ default: (await import('./FirstVisit.tsx')).FirstVisit }));

/** Fetched only where there are none. */
const Bench = lazy(async () => ({ default: (await import('./Bench.tsx')).Bench }));

/** Fetched only where something was removed. */
const RemovedJobs = lazy(async () => ({ default: (await import('./RemovedJobs.tsx')).RemovedJobs }));

export function Jobs() {
  const [rows, setRows] = useState<Row[] | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [removed, setRemoved] = useState<readonly Removed[]>([]);
  const [sought, setSought] = useState('');
  const navigate = useNavigate();
  const first = firstVisit(useShop().name);
  const refresh = useCallback(() => {
    allSaved()
      .then(() => Promise.all([loadRows(), removedJobs()]))
      .then(
        ([r, gone]) => {
          setRows(r);
          setRemoved(gone);
          setFailed(null);
        },
        (e: unknown) => setFailed(`The jobs could not be read: ${storageText(e)}.`),
      );
  }, []);
  useEffect(refresh, [refresh]);
  // what another window writes is seen here
  useEffect(() => channel.hear(refresh), [refresh]);
  const create = useCallback(() => {
    // fetched with the first job that is begun
    import('./newJob.ts')
      .then((m) => m.beginJob())
      .then(
        (id) => navigate(`/jobs/${id}/intake`),
        (e: unknown) => setFailed(`No job was begun: ${storageText(e)}.`),
      );
  }, [navigate]);
  const keys = useMemo(() => ({ newJob: create }), [create]);
  useKeys(keys);
  const wanted = useDeferredValue(sought);
  const { found: ranked, why, prepare } = useFound(rows, wanted);
  const [sift, setSift] = useState(UNSIFTED);
  const seeking = wanted.trim() !== '';
  const found = useMemo(() => ranked && sifted(ranked, sift, seeking), [ranked, sift, seeking]);
  return (
    <Page
      title="Jobs"
      lead="One job is one thread to reproduce. The last one touched stands first."
      actions={
        <Button tone={rows?.some((r) => !r.done) ? 'plain' : 'main'} onClick={create}>
          <Plus aria-hidden size={18} /> New job
        </Button>
      }
    >
      {first && (
        <Suspense>
          <FirstVisit onDone={refresh} />
        </Suspense>
      )}
      <div className="flex flex-wrap items-end justify-between gap-3">
        <input
          type="search"
          aria-label="Find a job"
          placeholder="Find: a customer, 1.492, buttress, the long bed"
          value={sought}
          onFocus={() => void prepare().catch(() => undefined)}
          onChange={(e) => setSought(e.target.value)}
          className={`${inputClass} min-w-64 max-w-md flex-1 font-sans tracking-normal`}
        />
        {rows && rows.length > 0 && <SiftBar rows={rows} sift={sift} onSift={setSift} />}
      </div>
      {failed !== null && (
        <Note tone="wrong">
          <p>{failed}</p>
          <Button className="mt-2" onClick={refresh}>
            Try again
          </Button>
        </Note>
      )}
      {found === undefined && failed === null && <p>Reading the jobs&hellip;</p>}
      {rows?.length === 0 ? (
        <Suspense>
          <Bench />
        </Suspense>
      ) : (
        found?.length === 0 && (
          <Panel>
            <p>{isSifted(sift) || !seeking ? SIFT_WORDS.none : 'No job has all of these words, nor any near them.'}</p>
          </Panel>
        )
      )}
      {found && found.length > 0 && (
        <List
          rows={found}
          all={rows?.length ?? 0}
          plain={!seeking && !isSifted(sift) && sift.sort === 'touched'}
          why={why}
          onChanged={refresh}
        />
      )}
      {removed.length > 0 && (
        <Suspense>
          <RemovedJobs removed={removed} onChanged={refresh} />
        </Suspense>
      )}
    </Page>
  );
}
