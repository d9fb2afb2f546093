import { ProblemText } from '../../ui/ProblemText.tsx';
import type { Problem } from '../../../core/quantity/outcome.ts';
import { useState } from 'react';
import { gearboxRatios } from '../../../core/gearing/gearbox/index.ts';
import { parseTrain, trainText } from '../../../core/gearing/trainText.ts';
import { parseGears } from '../../../core/lathe/create.ts';
import { parseGearCsv, writeGearCsv } from '../../../core/lathe/gearCsv.ts';
import { leversText, parseLevers, parseRatio } from '../../../core/lathe/typed.ts';
import { downloadText } from '../../storage/files.ts';
import { Button, Note, Panel } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import type { LathePanel } from './edit.ts';

/** Gears in the drawer and what stands between them and the leadscrew. */
export function GearsPanel({ lathe, edit }: LathePanel) {
  const ratios = gearboxRatios(lathe.levers);
  const [csvProblem, setCsvProblem] = useState<Problem | null>(null);
  return (
    <Panel title="Gears">
      <div className="grid gap-3">
        <TypedField
          label="Change gears owned (teeth; one owned twice is listed twice)"
          shown={lathe.gears.join(' ')}
          parse={(t) => parseGears(t)}
          onCommit={(v) => edit('change the gears', (l) => void (l.gears = v))}
          onClear={() => edit('clear the gears', (l) => void (l.gears = []))}
          hint="20 25 30, or a run: 20-65 by 5"
        />
        <TypedField
          label="Fixed ratio, spindle to stud"
          shown={lathe.fixedRatio}
          parse={(t) => parseRatio(t, 'fixed ratio')}
          onCommit={(v) => edit('change the fixed ratio', (l) => void (l.fixedRatio = v))}
          hint="1 when the stud turns as the spindle does; 1/2 when it turns half as fast"
        />
        <TypedField
          label="Gearbox levers (leadscrew turns per input turn)"
          shown={leversText(lathe.levers)}
          parse={parseLevers}
          onCommit={(v) => edit('change the gearbox', (l) => void (l.levers = v))}
          onClear={() => edit('no gearbox', (l) => void (l.levers = {}))}
          placeholder="none"
          hint="cone 1=1 2=8/9 3=3/4; range A=2 B=1"
        />
        <TypedField
          label="Mounted now, driver/driven"
          shown={lathe.mounted ? trainText(lathe.mounted) : ''}
          placeholder="nothing, or not known"
          parse={parseTrain}
          onCommit={(v) =>
            edit(
              'change what is mounted',
              (l) => void (l.mounted = { ...v, gearbox: l.mounted?.gearbox ?? ratios[0]?.ratio ?? '1' }),
            )
          }
          onClear={() => edit('nothing is mounted', (l) => void (l.mounted = null))}
          hint="the least change from it counts when trains are put in order"
        />
        {lathe.mounted && ratios.length > 1 && (
          <Choice
            label="with the levers at"
            value={lathe.mounted.gearbox}
            options={ratios.map((r) => ({ value: r.ratio, label: r.name }))}
            onChange={(v) => edit('change the levers', (l) => void (l.mounted && (l.mounted.gearbox = v)))}
          />
        )}
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => downloadText(`${lathe.name}-gears.csv`, writeGearCsv(lathe.gears), 'text/csv')}>
            Gears as CSV
          </Button>
          <label className="inline-flex min-h-12 cursor-pointer items-center rounded-md border border-line bg-panel px-4 hover:bg-inset has-focus-visible:outline-3 has-focus-visible:outline-blue">
            Bring gears in from CSV
            <input
              type="file"
              accept=".csv,text/csv"
              className="sr-only"
              onChange={(e) => {
                const file = e.target.files?.[0];
                e.target.value = '';
                if (!file) return;
                void file.text().then((t) => {
                  const read = parseGearCsv(t);
                  setCsvProblem(read.ok ? null : read.problem);
                  if (read.ok) edit('bring gears in', (l) => void (l.gears = read.value));
                });
              }}
            />
          </label>
        </div>
        {csvProblem !== null && (
          <Note tone="wrong">
            <ProblemText problem={csvProblem} />
          </Note>
        )}
      </div>
    </Panel>
  );
}
