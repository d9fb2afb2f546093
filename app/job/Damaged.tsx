import { useState } from 'react';
import { Download, Wrench } from 'lucide-react';
import { Link } from 'react-router';
import { titleOf } from '../../core/formats/documents.ts';
import { repairJob } from '../../core/formats/repair.ts';
import { problemLine } from '../../words/problems.ts';
import { downloadText } from '../storage/files.ts';
import { putRepaired, type Found } from '../storage/db.ts';
import { storageText } from '../../words/storage.ts';
import { Button, Note, Panel } from '../ui/controls.tsx';
import { TopBar } from '../shell/TopBar.tsx';

/** A job that does not hold, or that a newer Gelvin made: kept as it is, exported as it is, repaired only when asked. */
export function Damaged({
  id,
  found,
  onRepaired,
}: {
  readonly id: string;
  readonly found: Found;
  readonly onRepaired: () => void;
}) {
  const [failed, setFailed] = useState<string | null>(null);
  const { checked, raw, past } = found;
  const [now] = useState(() => new Date());
  const title = titleOf(raw) || 'A job without a title';
  const repaired = checked.state === 'damaged' ? repairJob(raw, id, past.map((p) => p.value).toReversed(), now) : null;
  return (
    <div className="flex min-h-dvh flex-col">
      <TopBar />
      <main id="view" className="mx-auto grid w-full max-w-3xl content-start gap-4 p-4">
        <h1 className="text-2xl">{title}</h1>
        {checked.state === 'newer' && (
          <Note tone="caution">
            This job was made by a newer Gelvin (version {checked.version} of its form). It is kept as it is, and is not
            opened here: half of it might be missed. Open it with that Gelvin, or export it.
          </Note>
        )}
        {checked.state === 'damaged' && (
          <Note tone="wrong">
            <p className="font-semibold">This job does not hold; it is kept as it was found. What is wrong with it:</p>
            <ul className="list-disc pl-5">
              {checked.problems.map((p) => (
                <li key={`${p.field} ${p.code} ${JSON.stringify(p.figures)}`}>
                  <span className="num">{p.field}</span>: {problemLine(p, 'mm')}
                </li>
              ))}
            </ul>
          </Note>
        )}
        <Panel title="What can be done">
          {repaired && (
            <p className="mb-3">
              Repaired, it opens without: <span className="num">{repaired.lost.join(', ') || 'nothing'}</span>. The
              damaged one is set aside, and goes out in a file of its own with every export of the whole shop.
              {repaired.lost.some((l) => l.startsWith('events')) &&
                ' What was done at the lathe is not all there: Cut stops until somebody has read the slide.'}
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => downloadText('job-as-found.json', `${JSON.stringify(raw, null, 2)}\n`)}>
              <Download aria-hidden size={18} /> Export it as it is
            </Button>
            {repaired && (
              <Button
                tone="main"
                onClick={() =>
                  void putRepaired(id, raw, repaired.doc, new Date().toISOString()).then(onRepaired, (e: unknown) =>
                    setFailed(storageText(e)),
                  )
                }
              >
                <Wrench aria-hidden size={18} /> Repair and open it
              </Button>
            )}
            <Link className="inline-flex min-h-12 items-center px-3 text-blue underline" to="/jobs">
              To the jobs
            </Link>
          </div>
          {failed !== null && <Note tone="wrong">Not repaired: {failed}.</Note>}
          {checked.state === 'damaged' && !repaired && (
            <p className="mt-3 text-ink2">Too little of it holds for a repair: export it, and begin the job anew.</p>
          )}
        </Panel>
      </main>
    </div>
  );
}
