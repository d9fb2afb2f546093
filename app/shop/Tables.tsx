import { optionId, Rows } from './TableRows.tsx';
import { Page } from './Page.tsx';
import { CATALOGUE, FAMILIES, type StandardThread } from '../../core/standards/catalogue.ts';
import { useSystem } from '../store/store.ts';
import { useState, useDeferredValue, useMemo, useCallback } from 'react';
import { searchTables, readQuery } from '../../core/standards/lookUp.ts';
import { useRested } from '../ui/useRested.ts';
import { inputClass } from '../ui/inputClass.ts';
import { Compare } from './tables/Compare.tsx';
import { Detail } from './tables/Detail.tsx';

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
