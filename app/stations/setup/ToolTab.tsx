import { Camera } from 'lucide-react';
import { Link } from 'react-router';
import { fitOfJob, threadOfJob } from '../../../core/job/derive.ts';
import { toolViewOf } from '../../../core/job/toolView.ts';
import { parseAngle } from '../../../core/quantity/angle.ts';
import { degreesText, FINE, lengthText } from '../../../core/quantity/format.ts';
import { TOOL_KINDS } from '../../../core/job/schema.ts';
import { BLOCK_NAMES } from '../../../words/toolSheet.ts';
import { TOOL_KIND_NAMES, toolKindText, trailingSideText } from '../../../words/tool.ts';
import { ToolPlate } from '../../drawing/ToolPlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { ProblemText } from '../../ui/ProblemText.tsx';
import { ToolMistakes } from './ToolMistakes.tsx';
import { ToolSheets } from './ToolSheets.tsx';

/** The tool drawn true, what to measure on it, and the sheets to check it by. */
export function ToolTab() {
  const { job } = useJobView();
  const system = useSystem();
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  const found = toolViewOf(job);
  if (!thread || !fit || !found) return null;
  if (!found.ok)
    return (
      <Note tone="wrong">
        <ProblemText problem={found.problem} />
      </Note>
    );
  const view = found.value;
  const { sheet, tipFlatMm } = view;
  const { tip } = view.tool;
  const internal = fit.make === 'internal';
  const bare = (mm: number): string => lengthText(mm, system, { ...FINE, bare: true });
  const leans = trailingSideText(sheet.trailingReliefDeg);
  return (
    <div className="grid gap-3">
      <ToolPlate view={view} internal={internal} system={system} />
      <div className="grid gap-3 sm:grid-cols-2">
        <LengthField
          label={'flatMm' in tip ? 'Tip flat, as ground' : 'Tip radius, as ground'}
          mm={'flatMm' in tip ? tip.flatMm : tip.radiusMm}
          system={system}
          rule={{ allowZero: true, maxMm: 100 }}
          onClear={() => act({ do: 'setFit', tip: null })}
          onCommit={(mm) => act({ do: 'setFit', tip: 'flatMm' in tip ? { flatMm: mm } : { radiusMm: mm } })}
          hint={
            tipFlatMm
              ? `grind ${bare(tipFlatMm.least)} to ${bare(tipFlatMm.most)}; wider than ${bare(fit.widestTipMm)} leaves the root high`
              : 'a round tip is tangent to both flanks'
          }
        />
        <TypedField
          label="Clearance under the edges"
          shown={degreesText(job.setup.clearanceDeg)}
          parse={(t) => parseAngle(t, 'angle', 30)}
          onCommit={(a) => act({ do: 'setUp', clearanceDeg: a.deg })}
          hint="3 to 5 in steel, less in hard, more in soft metal (common practice)"
        />
      </div>
      <Link
        className="key inline-flex min-h-12 items-center gap-2 justify-self-start rounded-[4px] px-4"
        to={`/jobs/${job.id}/read?picture=new&for=tool`}
      >
        <Camera aria-hidden size={18} /> Read the tool from a picture
      </Link>
      {leans && <Note tone="caution">{leans}</Note>}
      <Choice
        label="What cuts"
        value={job.setup.toolKind}
        options={TOOL_KINDS.map((value) => ({ value, label: TOOL_KIND_NAMES[value] }))}
        onChange={(v) => act({ do: 'setUp', toolKind: v })}
      />
      <Note tone="say">{toolKindText(job.setup.toolKind, fit.form.name, internal, system)}</Note>
      {internal && view.endReliefDeg !== null && (
        <p>End relief {degreesText(view.endReliefDeg)}, so that the heel keeps off the bore behind its edge.</p>
      )}
      <table className="w-full text-left tabular-nums">
        <caption className="mb-1 text-left font-semibold">Blocks under a sine bar</caption>
        <thead>
          <tr className="text-sm text-ink2">
            <th className="py-1 font-normal">angle</th>
            <th className="text-right font-normal">bar of 100 mm</th>
            <th className="text-right font-normal">bar of 5 in</th>
          </tr>
        </thead>
        <tbody>
          {view.blocks.map((b) => (
            <tr key={b.of} className="border-t border-line">
              <th className="py-1.5 font-normal">
                {BLOCK_NAMES[b.of]} <span className="num">{degreesText(b.deg, 0.01)}</span>
              </th>
              <td className="num text-right text-lg">{b.bar100.toFixed(3)} mm</td>
              <td className="num text-right text-lg">{lengthText(b.bar127, 'in', FINE)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ToolSheets />
      <ToolMistakes />
    </div>
  );
}
