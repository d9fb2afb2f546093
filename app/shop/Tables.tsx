import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import { pitchText, storedPitch } from '../../core/quantity/pitch.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { CATALOGUE, FAMILIES, type StandardThread } from '../../core/standards/catalogue.ts';
import { readQuery, searchTables } from '../../core/standards/lookUp.ts';
import { useSystem } from '../store/store.ts';
import { inputClass } from '../ui/inputClass.ts';
import { useRested } from '../ui/useRested.ts';
import { Page } from './Page.tsx';
import { Compare } from './tables/Compare.tsx';
import { Detail } from './tables/Detail.tsx';

const ROW_PX = 48;
const MOST_COMPARED = 3;

export function Tables() {
  return (
    <Page
      title="Tables"
      lead={`${CATALOGUE.length} threads of ${FAMILIES.length} families, each with its source. Type a diameter, a pitch, a family, or all three.`}
    >
      <Finder />
    </Page>
  );
}

/** The field, what it finds, and the row in hand: apart from the page, which a key does not change. */
function Finder() {
  const system = useSystem();
  const [text, setText] = useState('');
  const sought = useDeferredValue(text);
  const rows = useMemo(() => searchTables(readQuery(sought, system)), [sought, system]);
  const [chosen, setChosen] = useState<StandardThread | null>(null);
  const [compared, setCompared] = useState<readonly StandardThread[]>([]);
  const at = chosen ? rows.indexOf(chosen) : -1;
  const shown = at >= 0 ? chosen : (rows[0] ?? null);
  const detailed = useRested(shown);
  const onCompare = useCallback(
    () => detailed && setCompared((c) => (c.includes(detailed) ? c.filter((r) => r !== detailed) : [...c, detailed])),
    [detailed],
  );
  const index = Math.max(0, at);
  const move = (by: number): void => {
    const next = rows[Math.min(rows.length - 1, Math.max(0, index + by))];
    if (next) setChosen(next);
  };
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[24rem_minmax(0,1fr)]">
      <div className="grid gap-2">
        <input
          type="search"
          role="combobox"
          aria-label="Find a thread"
          aria-expanded="true"
          aria-controls="thread-list"
          aria-activedescendant={shown ? optionId(shown) : undefined}
          placeholder="7 tpi, 31.7, 1/2, G, m10 x 1"
          value={text}
          onChange={(e) => {
            setText(e.target.value);
            setChosen(null);
          }}
          onKeyDown={(e) => {
            const by = { ArrowDown: 1, ArrowUp: -1, PageDown: 8, PageUp: -8 }[e.key];
            if (by === undefined) return;
            e.preventDefault();
            move(by);
          }}
          className={inputClass}
          autoComplete="off"
          spellCheck={false}
        />
        <p role="status" className="text-sm text-ink2">
          {rows.length === 0
            ? 'Nothing of that name.'
            : sought.trim() === ''
              ? 'All, in the order of the books.'
              : `${rows.length} rows, nearest first.`}
        </p>
        <Rows rows={rows} shown={shown} sought={sought} system={system} onChoose={setChosen} />
      </div>
      <div className="grid min-w-0 gap-4">
        {compared.length > 0 && <Compare rows={compared} system={system} onClear={() => setCompared([])} />}
        {detailed && (
          <Detail
            key={detailed.designation}
            row={detailed}
            system={system}
            comparing={compared.includes(detailed)}
            canCompare={compared.length < MOST_COMPARED}
            onCompare={onCompare}
          />
        )}
      </div>
    </div>
  );
}

interface RowsProps {
  readonly rows: readonly StandardThread[];
  readonly shown: StandardThread | null;
  readonly sought: string;
  readonly system: UnitSystem;
  readonly onChoose: (row: StandardThread) => void;
}

/** The threads found, as many as fit in sight; drawn again only when other ones are found or another is chosen. */
const Rows = memo(function Rows({ rows, shown, sought, system, onChoose }: RowsProps) {
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

const optionId = (r: StandardThread): string => `t-${r.designation.replace(/[^a-z0-9]+/gi, '_')}`;
