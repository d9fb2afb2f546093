import { lazy, Suspense, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Plus } from 'lucide-react';
import { useNavigate } from 'react-router';
import { storageText } from '../../words/storage.ts';
import { loadRows } from '../storage/db.ts';
import type { JobRow as Row } from '../storage/rows.ts';
import { allSaved, channel, useShop } from '../store/store.ts';
import { Button, Note, Panel } from '../ui/controls.tsx';
import { inputClass } from '../ui/inputClass.ts';
import { useKeys } from '../ui/keys.ts';
import { firstVisit } from './first.ts';
import { JobRow } from './JobRow.tsx';
import { Page } from './Page.tsx';

/** Fetched only by who comes for the first time. */
const FirstVisit = lazy(async () => ({ default: (await import('./FirstVisit.tsx')).FirstVisit }));
/** Fetched only where there are none. */
const Bench = lazy(async () => ({ default: (await import('./Bench.tsx')).Bench }));
/** Fetched only where there are many. */
const LongList = lazy(async () => ({ default: (await import('./LongList.tsx')).LongList }));

/** Below so many a plain list costs nothing, and the browser's own search finds every row. */
const PLAIN = 40;

export function Jobs() {
  const [rows, setRows] = useState<Row[] | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [sought, setSought] = useState('');
  const navigate = useNavigate();
  const first = firstVisit(useShop().name);
  const refresh = useCallback(() => {
    allSaved()
      .then(loadRows)
      .then(
        (r) => {
          setRows(r);
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
  const keys = useMemo(() => ({ n: create }), [create]);
  useKeys(keys);
  const wanted = useDeferredValue(sought);
  const found = useMemo(() => {
    const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
    return rows?.filter((r) => words.every((w) => r.find.includes(w)));
  }, [rows, wanted]);
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
      <input
        type="search"
        aria-label="Find a job"
        placeholder="Find: title, customer, thread, note"
        value={sought}
        onChange={(e) => setSought(e.target.value)}
        className={`${inputClass} max-w-md font-sans tracking-normal`}
      />
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
            <p>No job has all of these words.</p>
          </Panel>
        )
      )}
      {found && found.length > 0 && <List rows={found} all={rows?.length ?? 0} onChanged={refresh} />}
    </Page>
  );
}

interface ListProps {
  readonly rows: readonly Row[];
  readonly all: number;
  readonly onChanged: () => void;
}

/** Few rows are a plain list; of many only those in sight are drawn. */
function List({ rows, all, onChanged }: ListProps) {
  if (rows.length > PLAIN)
    return (
      <Suspense fallback={<p>Reading the jobs&hellip;</p>}>
        <LongList rows={rows} all={all} onChanged={onChanged} />
      </Suspense>
    );
  const hand = rows.length === all ? rows.find((r) => r.state === 'good' && !r.done) : undefined;
  const shelves = [
    { name: hand ? 'Besides it' : null, rows: rows.filter((r) => r !== hand && !r.done) },
    { name: 'Finished', rows: rows.filter((r) => r.done) },
  ].filter((s) => s.rows.length > 0);
  return (
    <>
      {hand && (
        <section aria-label="In hand">
          <JobRow row={hand} onChanged={onChanged} inHand />
        </section>
      )}
      {shelves.map((shelf) => (
        <section key={shelf.name} className="grid gap-2">
          {shelf.name !== null && <h2 className="mt-2 text-lg">{shelf.name}</h2>}
          <ul className="grid gap-2">
            {shelf.rows.map((r) => (
              <li key={r.id}>
                <JobRow row={r} onChanged={onChanged} />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
