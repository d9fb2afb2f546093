import { memo } from 'react';
import type { JobRow as Row } from '../storage/rows.ts';
import clsx from 'clsx';
import { Boundary } from '../ui/Boundary.tsx';
import { GoodRow } from './GoodRow.tsx';
import { Link } from 'react-router';
import { PutAway, Remove } from './JobRowActs.tsx';

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
