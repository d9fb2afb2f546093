import { lazy, Suspense } from 'react';
import type { JobRow as Row } from '../storage/rows.ts';
import { JobRow } from './JobRow.tsx';

/** Fetched only where there are many. */
const LongList = lazy(async () => ({ default: (await import('./LongList.tsx')).LongList }));

/** Below so many a plain list costs nothing, and the browser's own search finds every row. */
const PLAIN = 40;

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
export function List({ rows, all, plain, why, onChanged }: ListProps) {
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
