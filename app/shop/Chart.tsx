import { ProblemText } from '../ui/ProblemText.tsx';
import { useState } from 'react';
import {
  readChart,
  tiedLevers,
  type ChartReading,
  type ChartRow,
  parseChart,
} from '../../core/gearing/gearbox/index.ts';
import type { Lathe } from '../../core/lathe/schema.ts';
import { lengthText } from '../../core/quantity/format.ts';
import type { Problem } from '../../core/quantity/outcome.ts';
import { exact } from '../../core/quantity/rational.ts';
import { openPositionText } from '../../words/gears.ts';
import { useSystem } from '../store/store.ts';
import { Button, Note, Panel } from '../ui/controls.tsx';
import { useDraft } from '../ui/drafts.ts';
import { inputClass } from '../ui/inputClass.ts';

const EXAMPLE = 'cone 1, range A, 24/48, 8 tpi\ncone 2, range A, 24/48, 9 tpi\ncone 1, range B, 24/48, 16 tpi';

/** The gearbox from its chart: a few rows of lever positions, train and pitch are enough; a misprint is named. */
export function Chart({
  lathe,
  onKeep,
  onTake,
}: {
  readonly lathe: Lathe;
  /** Keeps the rows as they were typed: they are what the ratios rest on. */
  readonly onKeep: (rows: string) => void;
  readonly onTake: (levers: Lathe['levers']) => void;
}) {
  const system = useSystem();
  const [typed, setText] = useDraft('chart');
  const text = typed ?? lathe.chart;
  const [problem, setProblem] = useState<Problem | null>(null);
  const [read, setRead] = useState<{ reading: ChartReading; rows: readonly ChartRow[] } | null>(null);
  const infer = (): void => {
    const rows = parseChart(text);
    setProblem(rows.ok ? null : rows.problem);
    setRead(
      rows.ok
        ? {
            rows: rows.value,
            reading: readChart(exact(lathe.leadscrew), exact(lathe.fixedRatio), rows.value, rows.value),
          }
        : null,
    );
  };
  return (
    <Panel title="Gearbox from its chart">
      <div className="grid gap-3">
        <label className="grid gap-1">
          <span className="text-sm text-ink2">Rows of the chart: levers, train, pitch</span>
          <textarea
            rows={5}
            value={text}
            placeholder={EXAMPLE}
            onChange={(e) => setText(e.target.value)}
            onBlur={() => {
              if (typed === null || typed === lathe.chart) return;
              onKeep(typed);
              setText(null);
            }}
            className={`${inputClass} py-2 text-base`}
            aria-invalid={problem !== null}
          />
        </label>
        {problem && (
          <Note tone="wrong">
            <ProblemText problem={problem} />
          </Note>
        )}
        <div>
          <Button onClick={infer} disabled={text.trim() === ''}>
            Infer the ratios
          </Button>
        </div>
        {read && (
          <>
            <ul>
              {Object.entries(read.reading.levers).map(([lever, positions]) => (
                <li key={lever}>
                  <strong>{lever}</strong>{' '}
                  <span className="num">
                    {Object.entries(positions)
                      .map(([p, r]) => {
                        const open = read.reading.open.find((o) => o.lever === lever && o.position === p);
                        return open?.why === 'untied' ? `${p} not known` : `${p} ${open ? '\u2248' : '='} ${r}`;
                      })
                      .join(', ')}
                  </span>
                </li>
              ))}
            </ul>
            {read.reading.conflicts.map((c) => (
              <Note key={c.row} tone="wrong">
                Row {c.row + 1} does not go with the others: it says{' '}
                {lengthText(c.printedMm, system, { stepMm: 0.0001, stepIn: 0.00001 })}, they say{' '}
                {lengthText(c.expectedMm, system, { stepMm: 0.0001, stepIn: 0.00001 })}. Probably a misprint, or read
                one row or column off.
              </Note>
            ))}
            {read.reading.conflicts.length === 0 && <Note tone="right">All {read.rows.length} rows agree.</Note>}
            {read.reading.open.map((o) => (
              <Note key={`${o.lever} ${o.position}`} tone="caution">
                {openPositionText(o)}
              </Note>
            ))}
            <div>
              <Button tone="main" onClick={() => onTake(tiedLevers(read.reading))}>
                Take these ratios
              </Button>
            </div>
          </>
        )}
      </div>
    </Panel>
  );
}
