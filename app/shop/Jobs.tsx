import { lazy, Suspense, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Plus } from 'lucide-react';
import { useNavigate } from 'react-router';
import { SIFT_WORDS } from '../../words/sift.ts';
import { storageText } from '../../words/storage.ts';
import { loadRows, removedJobs, type Removed } from '../storage/db.ts';
import type { JobRow as Row } from '../storage/rows.ts';
import { allSaved, channel, useShop } from '../store/store.ts';
import { Button, Note, Panel } from '../ui/controls.tsx';
import { inputClass } from '../ui/inputClass.ts';
import { useKeys } from '../ui/keys.ts';
import { firstVisit } from './first.ts';
import { JobRow } from './JobRow.tsx';
import { Page } from './Page.tsx';
import { SiftBar } from './SiftBar.tsx';
import { useFound } from './useFound.ts';
import { isSifted, sifted, UNSIFTED } from './sifting.ts';

/** Fetched only by who comes for the first time. */
const FirstVisit = lazy(async () => ({ default: (await import('./FirstVisit.tsx')).FirstVisit }));
/** Fetched only where there are none. */
const Bench = lazy(async () => ({ default: (await import('./Bench.tsx')).Bench }));
/** Fetched only where there are many. */
const LongList = lazy(async () => ({ default: (await import('./LongList.tsx')).LongList }));

/** Fetched only where something was removed. */
const RemovedJobs = lazy(async () => ({ default: (await import('./RemovedJobs.tsx')).RemovedJobs }));

/** Below so many a plain list costs nothing, and the browser's own search finds every row. */
const PLAIN = 40;

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

interface ListProps {
  readonly rows: readonly Row[];
  readonly all: number;
  /** Everything stands there as it was last touched: the one in hand is shown large. */
  readonly plain: boolean;
  /** Why a row was found, by its identity. */
  readonly why: ReadonlyMap<string, string>;
  readonly onChanged: () => void;
}

/** Few rows are a plain list; of many only those in sight are drawn. */
function List({ rows, all, plain, why, onChanged }: ListProps) {
  if (rows.length > PLAIN)
    return (
      <Suspense fallback={<p>Reading the jobs&hellip;</p>}>
        <LongList rows={rows} all={all} why={why} onChanged={onChanged} />
      </Suspense>
    );
  const hand = plain ? rows.find((r) => r.state === 'good' && !r.done) : undefined;
  const shelves = (
    plain
      ? [
          { name: hand ? 'Besides it' : null, rows: rows.filter((r) => r !== hand && !r.done) },
          { name: 'Finished', rows: rows.filter((r) => r.done) },
        ]
      : [{ name: null, rows }]
  ).filter((s) => s.rows.length > 0);
  return (
    <>
      {hand && (
        <section aria-label="In hand">
          <JobRow row={hand} why={null} onChanged={onChanged} inHand />
        </section>
      )}
      {shelves.map((shelf) => (
        <section key={shelf.name} className="grid gap-2">
          {shelf.name !== null && <h2 className="mt-2 text-lg">{shelf.name}</h2>}
          <ul className="grid gap-2">
            {shelf.rows.map((r) => (
              <li key={r.id}>
                <JobRow row={r} why={why.get(r.id) ?? null} onChanged={onChanged} />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
