import { useEffect, useRef, useState } from 'react';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import type { JobRow as Row } from '../storage/rows.ts';
import { JobRow } from './JobRow.tsx';

/** A row as it usually is; measured when it is drawn. */
const ROW_PX = 92;

interface Props {
  readonly rows: readonly Row[];
  readonly all: number;
  readonly why: ReadonlyMap<string, string>;
  readonly onChanged: () => void;
}

/** Only the rows in sight are drawn, however many there are. */
export function LongList({ rows, all, why, onChanged }: Props) {
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
                <JobRow row={row} why={why.get(row.id) ?? null} onChanged={onChanged} />
              </li>
            )
          );
        })}
      </ul>
    </>
  );
}
