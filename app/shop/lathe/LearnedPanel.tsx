import { useMemo } from 'react';
import { learnedFor, type Lesson } from '../../../core/job/lesson.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { FINE, lengthText, roundText } from '../../../core/quantity/format.ts';
import { LEARNED_WORDS } from '../../../words/learned.ts';
import { LessonsPlot } from '../../drawing/LessonsPlot.tsx';
import { lessonsOf, useJobRows } from '../../storage/taught.ts';
import { Panel } from '../../ui/controls.tsx';

/** What finished jobs showed on this lathe, by material, and job by job in two plots. */
export function LearnedPanel({ lathe }: { readonly lathe: Lathe }) {
  const rows = useJobRows();
  const lessons = useMemo(
    () => (rows === null ? null : lessonsOf(rows, '').filter((l) => l.lathe === lathe.id)),
    [rows, lathe.id],
  );
  const u = lathe.crossSlide.unit;
  return (
    <Panel title={LEARNED_WORDS.title}>
      {lessons?.length === 0 ? (
        <p className="text-ink2">{LEARNED_WORDS.none}</p>
      ) : (
        lessons && (
          <div className="grid gap-4">
            <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={LEARNED_WORDS.title}>
              <table className="w-full text-left">
                <thead className="text-sm text-ink2">
                  <tr>
                    {(['material', 'jobs', 'passes', 'springs', 'beyond', 'tries'] as const).map((h) => (
                      <th key={h} scope="col" className="pr-3 font-normal">
                        {LEARNED_WORDS[h]}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody className="num">
                  {byMaterial(lessons, lathe.id).map(({ material, l }) => (
                    <tr key={material} className="border-t border-line">
                      <td className="py-1.5 pr-3 font-sans">{material || LEARNED_WORDS.anyMaterial}</td>
                      <td>{l.jobs}</td>
                      <td>{roundText(l.passes, 0.01)}</td>
                      <td>{l.springs}</td>
                      <td>{lengthText(l.beyondMm, u, FINE)}</td>
                      <td>{l.tries}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <LessonsPlot lessons={lessons} unit={u} />
          </div>
        )
      )}
    </Panel>
  );
}

function byMaterial(lessons: readonly Lesson[], lathe: string) {
  return [...new Set(lessons.map((l) => l.material))].sort().flatMap((material) => {
    const own = lessons.filter((l) => l.material === material);
    const l = learnedFor(own, lathe, material);
    return l ? [{ material, l }] : [];
  });
}
