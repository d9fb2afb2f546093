import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Job } from '../../core/job/schema.ts';
import { CAME_IN } from '../../words/intake.ts';
import { storageText } from '../../words/storage.ts';
import { CameInDrawing } from '../drawing/CameIn.tsx';
import { Note } from '../ui/controls.tsx';
import { beginJob } from './newJob.ts';

type CameIn = Job['intake']['cameIn'];
const SAID: Readonly<Record<CameIn, string>> = {
  screw: 'worn, odd, or nowhere to be bought',
  nut: 'or any thread inside a part',
  both: 'one to keep, one to make',
  'broken-shaft': 'the new thread runs into the old',
};

/** An empty shop: one question, answered by a drawing, and the first job is begun. */
export function Bench() {
  const navigate = useNavigate();
  const [failed, setFailed] = useState<string | null>(null);
  const begin = (cameIn: CameIn): void =>
    void beginJob(cameIn).then(
      (id) => navigate(`/jobs/${id}/read`),
      (e: unknown) => setFailed(`No job was begun: ${storageText(e)}.`),
    );
  return (
    <section aria-label="What is on the bench?" className="grid gap-4">
      <div>
        <h2 className="border-l-[10px] border-straw pl-3 text-4xl font-bold">What is on the bench?</h2>
        <p className="mt-2 max-w-3xl text-lg text-ink2">
          Touch what came in. You read it, once, on its drawing; the name, the gears, every dial setting and the fit
          follow from that, each with its working. All of it stays on this machine.
        </p>
      </div>
      <div className="grid grid-cols-2 gap-3 lg:grid-cols-4">
        {(Object.keys(CAME_IN) as CameIn[]).map((c) => (
          <button
            key={c}
            type="button"
            onClick={() => begin(c)}
            className="rounded-[4px] border-2 border-edge bg-panel text-left hover:brightness-105"
          >
            <span className="plate on-plate block px-2 py-8">
              <CameInDrawing what={c} />
            </span>
            <span className="block p-3">
              <strong className="block text-xl">{CAME_IN[c]}</strong>
              <span className="text-ink2">{SAID[c]}</span>
            </span>
          </button>
        ))}
      </div>
      {failed !== null && <Note tone="wrong">{failed}</Note>}
      <p className="flex flex-wrap gap-x-6 gap-y-1">
        <Link className="inline-flex min-h-12 items-center text-blue underline" to="/lathes">
          Describe your lathe
        </Link>
        <Link className="inline-flex min-h-12 items-center text-blue underline" to="/settings">
          Bring in a backup, or look round the demo shop
        </Link>
      </p>
    </section>
  );
}
