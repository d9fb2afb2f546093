import { lazy, memo, Suspense, useEffect, useState } from 'react';
import clsx from 'clsx';
import { Archive, ArchiveRestore, ArrowRight, Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { storageText } from '../../words/storage.ts';
import { STATION_NAMES } from '../../words/stations.ts';
import { freshLine, putJobAway, removeJob } from '../storage/db.ts';
import type { JobRow as Row, RowLine } from '../storage/rows.ts';
import { channel, jobClosed, recorder, useAppDispatch, useAppSelector, useShop, useSystem } from '../store/store.ts';
import { Boundary } from '../ui/Boundary.tsx';
import { ChainBar } from './ChainBar.tsx';
import { Button } from '../ui/controls.tsx';

/** Fetched when it is first asked for. */
const RemoveDialog = lazy(async () => ({ default: (await import('./RemoveDialog.tsx')).RemoveDialog }));

/** One row; where one breaks, the others stand. Drawn anew only when something of it has changed, not with every key of a search. */
export const JobRow = memo(function JobRow({
  row,
  why,
  onChanged,
  inHand = false,
}: {
  readonly row: Row;
  /** Why it was found; null: nothing was sought. */
  readonly why: string | null;
  readonly onChanged: () => void;
  /** The one that was touched last and is not finished: large, with the way back to it. */
  readonly inHand?: boolean;
}) {
  const title = row.title || 'A job without a title';
  return (
    <div
      className={clsx(
        'grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3 rounded-[4px] border bg-panel',
        inHand ? 'border-2 border-edge' : 'border-line',
      )}
    >
      <Boundary fallback={<p className="p-4">{title}: this row could not be shown.</p>}>
        {row.state === 'good' ? (
          <GoodRow row={row} title={title} why={why} inHand={inHand} />
        ) : (
          <OtherRow row={row} title={title} />
        )}
      </Boundary>
      <span className="flex">
        {row.state === 'good' && (
          <PutAway id={row.id} title={title} archived={row.archived === true} onDone={onChanged} />
        )}
        <Remove id={row.id} title={title} onRemoved={onChanged} />
      </span>
    </div>
  );
});

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

function GoodRow({
  row,
  title,
  why,
  inHand,
}: {
  readonly row: Row;
  readonly title: string;
  readonly why: string | null;
  readonly inHand: boolean;
}) {
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
        <span className={clsx('block font-semibold [overflow-wrap:anywhere]', inHand ? 'text-2xl' : 'text-lg')}>
          {title}
        </span>
        <span className="text-ink2 [overflow-wrap:anywhere]">
          {[
            row.customer,
            row.changed && new Date(row.changed).toLocaleDateString(undefined, { day: 'numeric', month: 'short' }),
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
        {row.archived === true && <span className="block text-sm text-ink2">put away</span>}
        {why !== null && <span className="block text-sm">{why}</span>}
        {line?.chain !== undefined && <ChainBar chain={line.chain} />}
      </span>
      <span className="num flex items-center gap-3 self-center">
        {line?.form !== undefined && (
          <svg viewBox="0 0 72 24" className="plate h-9 w-24 shrink-0 border-0! p-1" aria-hidden>
            <path d={line.form} fill="var(--deep)" stroke="var(--scribe)" strokeWidth="1.4" strokeLinejoin="round" />
          </svg>
        )}
        {row.thread ?? 'not named yet'}
      </span>
      <span className="self-center">
        {inHand ? (
          <span className="straw inline-flex min-h-12 items-center gap-2 rounded-[4px] px-4 text-lg">
            Carry on{line ? `: ${STATION_NAMES[next]}` : ''} <ArrowRight aria-hidden size={20} />
          </span>
        ) : (
          <span className="font-semibold">
            {row.done
              ? said
              : line
                ? `${line.chain?.includes('a') === true ? 'Look again' : 'Next'}: ${STATION_NAMES[next]}`
                : ''}
          </span>
        )}
        <span className={clsx('block text-ink2', inHand ? 'mt-1 text-base' : 'text-sm')}>{row.done ? '' : said}</span>
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

/** Out of the way, and back: what is put away is still found when it is sought. */
function PutAway({
  id,
  title,
  archived,
  onDone,
}: {
  readonly id: string;
  readonly title: string;
  readonly archived: boolean;
  readonly onDone: () => void;
}) {
  const [failed, setFailed] = useState<string | null>(null);
  const go = (): void => {
    putJobAway(id, !archived).then(
      (rev) => {
        channel.say({ what: 'job', id, rev });
        // this window may hold it open
        recorder.follow().catch(() => undefined);
        onDone();
      },
      (e: unknown) => setFailed(storageText(e)),
    );
  };
  return (
    <>
      {failed !== null && <span className="text-stop">Not put away: {failed}.</span>}
      <Button tone="quiet" aria-label={`${archived ? 'Take out again' : 'Put away'}: ${title}`} onClick={go}>
        {archived ? <ArchiveRestore aria-hidden size={18} /> : <Archive aria-hidden size={18} />}
      </Button>
    </>
  );
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
  const [asking, setAsking] = useState(false);
  const remove = (): void => {
    removeJob(id, title, new Date().toISOString()).then(
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
    <>
      {failed !== null && <span className="text-stop">Not removed: {failed}.</span>}
      <Button tone="quiet" aria-label={`Remove ${title}`} className="mr-2" onClick={() => setAsking(true)}>
        <Trash2 aria-hidden size={18} />
      </Button>
      {asking && (
        <Suspense>
          <RemoveDialog title={title} onRemove={remove} onClose={() => setAsking(false)} />
        </Suspense>
      )}
    </>
  );
}
