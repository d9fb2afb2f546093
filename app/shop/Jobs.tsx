import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { Plus, Trash2 } from 'lucide-react';
import { AlertDialog } from 'radix-ui';
import { Link, useNavigate } from 'react-router';
import { newJob } from '../../core/job/create.ts';
import { storageText } from '../../words/storage.ts';
import { STATION_NAMES } from '../../words/stations.ts';
import { deleteJob, freshLine, loadRows, putJobs } from '../storage/db.ts';
import type { JobRow as Row, RowLine } from '../storage/rows.ts';
import {
  allSaved,
  channel,
  jobClosed,
  recorder,
  useAppDispatch,
  useAppSelector,
  useShop,
  useSystem,
} from '../store/store.ts';
import { Boundary } from '../ui/Boundary.tsx';
import { Button, Note, Panel } from '../ui/controls.tsx';
import { inputClass } from '../ui/fields.tsx';
import { useKeys } from '../ui/keys.ts';
import { Page } from './Page.tsx';

/** A row as it usually is; measured when it is drawn. */
const ROW_PX = 92;
/** Below so many a plain list costs nothing, and the browser's own search finds every row. */
const PLAIN = 40;

export function Jobs() {
  const [rows, setRows] = useState<Row[] | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [sought, setSought] = useState('');
  const navigate = useNavigate();
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
    const job = newJob(
      crypto.randomUUID(),
      `Job of ${new Date().toLocaleDateString(undefined, { dateStyle: 'medium' })}`,
      new Date(),
    );
    putJobs([job]).then(
      () => {
        channel.say({ what: 'job', id: job.id, rev: 1 });
        return navigate(`/jobs/${job.id}/intake`);
      },
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
        <Note tone="wrong">
          <p>{failed}</p>
          <Button className="mt-2" onClick={refresh}>
            Try again
          </Button>
        </Note>
      )}
      {found === undefined && failed === null && <p>Reading the jobs&hellip;</p>}
      {found?.length === 0 && (
        <Panel>
          <p>
            {rows?.length === 0
              ? 'No jobs yet. Start one with New job, or bring a backup in under Settings & backup.'
              : 'No job has all of these words.'}
          </p>
        </Panel>
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

/** Only the rows in sight are drawn, however many there are. */
function List({ rows, all, onChanged }: ListProps) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  useEffect(() => setTop(list.current?.offsetTop ?? 0), []);

  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => ROW_PX,
    overscan: 6,
    scrollMargin: top,
    gap: 8,
    getItemKey: (i) => rows[i]?.id ?? i,
  });
  if (rows.length <= PLAIN)
    return (
      <ul className="grid gap-2">
        {rows.map((r) => (
          <li key={r.id}>
            <JobRow row={r} onChanged={onChanged} />
          </li>
        ))}
      </ul>
    );
  return (
    <>
      <p className="text-sm text-ink2" role="status">
        {rows.length === all ? `${all} jobs` : `${rows.length} of ${all} jobs`}
      </p>
      <ul ref={list} className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map((item) => {
          const row = rows[item.index];
          return (
            row && (
              <li
                key={item.key}
                ref={virtual.measureElement}
                data-index={item.index}
                aria-setsize={rows.length}
                aria-posinset={item.index + 1}
                className="absolute inset-x-0 top-0"
                style={{ transform: `translateY(${item.start - top}px)` }}
              >
                <JobRow row={row} onChanged={onChanged} />
              </li>
            )
          );
        })}
      </ul>
    </>
  );
}

/** One row; where one breaks, the others stand. */
function JobRow({ row, onChanged }: { readonly row: Row; readonly onChanged: () => void }) {
  const title = row.title || 'A job without a title';
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3 rounded-lg border border-line bg-panel">
      <Boundary fallback={<p className="p-4">{title}: this row could not be shown.</p>}>
        {row.state === 'good' ? <GoodRow row={row} title={title} /> : <OtherRow row={row} title={title} />}
      </Boundary>
      <Remove id={row.id} title={title} onRemoved={onChanged} />
    </div>
  );
}

function OtherRow({ row, title }: { readonly row: Row; readonly title: string }) {
  return (
    <Link to={`/jobs/${encodeURIComponent(row.id)}/read`} className="grid gap-1 rounded-lg p-4 hover:bg-inset">
      <span className="text-lg font-semibold">{title}</span>
      <span className="text-stop">
        {row.state === 'newer'
          ? `Made by a newer Gelvin (version ${row.why ?? '?'}): kept as it is, can be exported.`
          : `Damaged: kept as it was found, can be exported and repaired. ${row.why ?? ''}`}
      </span>
    </Link>
  );
}

function GoodRow({ row, title }: { readonly row: Row; readonly title: string }) {
  const system = useSystem();
  const line = useLine(row);
  const next = line?.next ?? (row.done ? 'record' : 'read');
  const said = line?.[system] ?? '';
  return (
    <Link
      to={`/jobs/${encodeURIComponent(row.id)}/${next}`}
      className="grid gap-x-4 gap-y-1 rounded-lg p-4 hover:bg-inset md:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,1.1fr)]"
    >
      <span className="min-w-0">
        <span className="block text-lg font-semibold [overflow-wrap:anywhere]">{title}</span>
        <span className="text-ink2 [overflow-wrap:anywhere]">{row.customer}</span>
      </span>
      <span className="num self-center">{row.thread ?? 'not named yet'}</span>
      <span className="self-center">
        <span className="font-semibold">{row.done ? said : line ? `Next: ${STATION_NAMES[next]}` : ''}</span>
        <span className="block text-sm text-ink2">{row.done ? '' : said}</span>
      </span>
    </Link>
  );
}

/** What is concluded in a job where it goes on: as kept, or worked out anew when the shop has changed since. */
function useLine(row: Row): RowLine | null {
  const shop = useShop();
  const shopRev = useAppSelector((s) => s.work.shopRev);
  const kept = row.line?.shopRev === shopRev ? row.line : null;
  const [fresh, setFresh] = useState<{ readonly of: Row; readonly line: RowLine | null } | null>(null);
  useEffect(() => {
    if (kept) return;
    let current = true;
    freshLine(row.id, shop, shopRev).then(
      (line) => current && setFresh({ of: row, line }),
      () => undefined, // the row stands without it
    );
    return () => {
      current = false;
    };
  }, [kept, row, shop, shopRev]);
  return kept ?? (fresh?.of === row ? fresh.line : null) ?? row.line;
}

function Remove({
  id,
  title,
  onRemoved,
}: {
  readonly id: string;
  readonly title: string;
  readonly onRemoved: () => void;
}) {
  const dispatch = useAppDispatch();
  const [failed, setFailed] = useState<string | null>(null);
  const remove = (): void => {
    deleteJob(id).then(
      () => {
        recorder.openedJob(null, null);
        dispatch(jobClosed());
        channel.say({ what: 'removed', id });
        onRemoved();
      },
      (e: unknown) => setFailed(storageText(e)),
    );
  };
  return (
    <AlertDialog.Root>
      {failed !== null && <span className="text-stop">Not removed: {failed}.</span>}
      <AlertDialog.Trigger asChild>
        <Button tone="quiet" aria-label={`Remove ${title}`} className="mr-2">
          <Trash2 aria-hidden size={18} />
        </Button>
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 bg-black/50" />
        <AlertDialog.Content className="fixed left-1/2 top-1/2 grid w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 gap-3 rounded-lg border border-line bg-panel p-5 text-ink">
          <AlertDialog.Title className="text-xl font-semibold">Remove this job?</AlertDialog.Title>
          <AlertDialog.Description>
            {title} and all its readings go for good. Export it first if it may be wanted again.
          </AlertDialog.Description>
          <div className="flex justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button>Keep it</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button tone="stop" onClick={remove}>
                Remove
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
