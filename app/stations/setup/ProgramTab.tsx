import { Link } from 'react-router';
import { FileText } from 'lucide-react';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { electronicView } from '../../../core/job/electronic.ts';
import { programOfJob } from '../../../core/job/program.ts';
import { leadOf } from '../../../core/standards/thread.ts';
import { electronicRows } from '../../../words/electronic.ts';
import { missingText, programComments, programRows } from '../../../words/program.ts';
import type { ParameterRow } from '../../../words/parameterRow.ts';
import { PathPlate } from '../../drawing/PathPlate.tsx';
import { SheetButtons } from '../../sheets/SheetButtons.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { downloadText, fileName } from '../../storage/files.ts';
import { useShop, useSystem } from '../../store/store.ts';
import { Button, Note } from '../../ui/controls.tsx';
import { Copy } from '../../ui/Copy.tsx';
import { ProblemText } from '../../ui/ProblemText.tsx';
import { DeeperAfter } from './DeeperAfter.tsx';

/** What the control is told: the path over the blank, each parameter with how it came, and the program as a proposal. */
export function ProgramTab() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const answer = programOfJob(job, shop);
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  if (!answer || !thread || !lathe) return <p className="text-ink2">Choose a lathe under Gears.</p>;
  const told = electronicView(job, shop);
  const unit = lathe.control?.unit ?? system;
  const own = told ? electronicRows(told, leadOf(thread), lathe.typed, unit) : [];
  if (!answer.ok)
    return (
      <div className="grid gap-3">
        {own.length > 0 && <Rows rows={own} />}
        {answer.problem ? (
          <Note tone="wrong">
            <ProblemText problem={answer.problem} />
          </Note>
        ) : (
          <Note tone="caution">{missingText(answer.missing)}</Note>
        )}
        {!answer.problem && answer.missing.includes('groove') && (
          <Link to={`/jobs/${job.id}/pickup`} className="underline underline-offset-4">
            Find the groove under Pick up
          </Link>
        )}
      </div>
    );
  const { program } = answer;
  const rows = programRows(job, shop, lathe, program, unit);
  const text = program.text(programComments(job.title, thread.designation, program.motion.params));
  return (
    <div className="grid gap-4">
      <PathPlate
        motion={program.motion}
        surfaceMm={program.surfaceMm}
        threadMm={program.threadMm}
        internal={job.intake.make === 'internal'}
        unit={unit}
      />
      <Rows rows={rows} />
      <DeeperAfter finalXMm={program.motion.params.finalXMm} unit={unit} />
      <SheetButtons id="parameters" />
      {text === null ? (
        <p className="text-ink2">
          {lathe.kind === 'control'
            ? 'Describe the control on the page of its lathe, and the program is written in its words.'
            : 'An electronic leadscrew is told these; it takes no program.'}
        </p>
      ) : (
        <section aria-label="Program" className="grid gap-2">
          <Note tone="caution">
            A proposal: read it, run it first in the air with X well off the part, finger on the stop. The manual of the
            control rules.
          </Note>
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => downloadText(`${fileName(job.title)}.nc`, text, 'text/plain')}>
              <FileText aria-hidden size={18} /> Save the program
            </Button>
            <Copy text={() => text} label="Copy it" />
          </div>
          <pre
            tabIndex={0}
            aria-label="The program"
            className="num max-h-96 overflow-auto border border-line bg-inset p-3 text-sm"
          >
            {text}
          </pre>
        </section>
      )}
    </div>
  );
}

/** Each figure with how it came. */
function Rows({ rows }: { readonly rows: readonly ParameterRow[] }) {
  return (
    <table className="w-full text-left">
      <caption className="sr-only">Parameters for a conversational control</caption>
      <thead className="text-sm text-ink2">
        <tr>
          <th className="font-normal">parameter</th>
          <th className="text-right font-normal">value</th>
          <th className="pl-4 font-normal">how it came</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.name} className="border-t border-line">
            <td className="py-1.5">{r.name}</td>
            <td className="num text-right font-semibold">{r.value}</td>
            <td className="pl-4 text-ink2">{r.how}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
