import type { JobRow as Row, RowLine } from '../storage/rows.ts';
import { useSystem, useShop, useAppSelector } from '../store/store.ts';
import { Link } from 'react-router';
import clsx from 'clsx';
import { ChainBar } from './ChainBar.tsx';
import { STATION_NAMES } from '../../words/stations.ts';
import { ArrowRight } from 'lucide-react';
import { useState, useEffect } from 'react';
import { freshLine } from '../storage/db.ts';

export function GoodRow({
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
