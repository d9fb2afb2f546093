import type { StandardThread } from '../../core/standards/catalogue.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { memo, useRef, useEffect } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { lengthText, FINE } from '../../core/quantity/format.ts';
import { pitchText, storedPitch } from '../../core/quantity/pitch.ts';

export const optionId = (r: StandardThread): string => `t-${r.designation.replace(/[^a-z0-9]+/gi, '_')}`;

const ROW_PX = 48;

interface RowsProps {
  readonly rows: readonly StandardThread[];
  readonly shown: StandardThread | null;
  readonly sought: string;
  readonly system: UnitSystem;
  readonly onChoose: (row: StandardThread) => void;
}

/** The threads found, as many as fit in sight; drawn again only when other ones are found or another is chosen. */
export const Rows = memo(function Rows({ rows, shown, sought, system, onChoose }: RowsProps) {
  const list = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW_PX,
    overscan: 4,
  });
  const index = shown ? Math.max(0, rows.indexOf(shown)) : 0;
  useEffect(() => {
    // what is found stands at the top, where the list mostly is already: asking the page where it is would have it laid out
    if (index > 0 || (virtual.scrollOffset ?? 0) > 0) virtual.scrollToIndex(index);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [index, sought]);
  return (
    <div
      ref={list}
      id="thread-list"
      role="listbox"
      aria-label="Threads"
      tabIndex={0}
      className="h-[30vh] overflow-y-auto rounded-lg border border-line bg-panel lg:h-[34rem]"
    >
      <div role="presentation" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map((item) => {
          const row = rows[item.index];
          if (!row) return null;
          const isIt = row === shown;
          return (
            <div
              key={item.key}
              id={optionId(row)}
              role="option"
              aria-selected={isIt}
              aria-setsize={rows.length}
              aria-posinset={item.index + 1}
              onClick={() => onChoose(row)}
              className={`absolute inset-x-0 flex cursor-pointer items-center justify-between gap-3 border-b border-line px-3 ${isIt ? 'bg-bluesoft font-semibold' : 'hover:bg-inset'}`}
              style={{ height: ROW_PX, transform: `translateY(${item.start}px)` }}
            >
              <span className="num">{row.designation}</span>
              <span className="num text-sm text-ink2">
                {lengthText(row.majorMm, system, FINE)} &middot; {pitchText(storedPitch(row.pitch), system)}
              </span>
            </div>
          );
        })}
      </div>
    </div>
  );
});
