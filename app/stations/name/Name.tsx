import { useMemo } from 'react';
import { candidatesOf, residualsOf, sameSection } from '../../../core/job/candidates.ts';
import { partOf } from '../../../core/job/evidence.ts';
import type { Reading } from '../../../core/job/schema.ts';
import { RivalsPlate, type ReadLine } from '../../drawing/RivalsPlate.tsx';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { StationFrame } from '../../job/StationFrame.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { useRows } from '../../ui/keys.ts';
import { NextReading } from '../read/NextReading.tsx';
import { MadeBefore } from './MadeBefore.tsx';
import { CandidateRow } from './CandidateRow.tsx';
import { Overrule } from './Overrule.tsx';
import { ToCopy } from './ToCopy.tsx';

export function Name() {
  const { job, ranking, rankingPending, rankingFailed } = useJobView();
  const system = useSystem();
  const part = partOf(job);
  const list = useMemo(() => (ranking ? candidatesOf(ranking, job) : []), [ranking, job]);
  const first = list[0];
  // of another section: more starts of the same lie under the first line
  const second = first && list.slice(1).find((c) => !sameSection(first.thread, c.thread));
  const residuals = useMemo(() => (first && second ? residualsOf(first, second, job) : []), [first, second, job]);
  useRows();
  const accepted = job.name?.thread;
  const special = list.find((c) => c.special && (c === first || c.thread.designation === accepted?.designation));
  return (
    <StationFrame
      station="name"
      lead="Which thread it is, how sure that is, and why."
      canSettle={false}
      fill={!special}
      toRead={special !== undefined}
      drawnFirst
      acts={
        <>
          {rankingFailed !== null && (
            <Note tone="wrong">The weighing failed: {rankingFailed}. Change a reading to try again.</Note>
          )}
          {!job.name && <MadeBefore />}
          <section aria-label="Likeliest first" aria-busy={rankingPending} className="border-t border-line pt-2">
            <p className="flex justify-between text-sm text-ink2" role="status">
              <span className="font-semibold">Likeliest first</span>
              <span>{rankingPending ? 'weighing\u2026' : `${job.readings.length} readings weighed`}</span>
            </p>
            <ol className={rankingPending ? 'opacity-50' : ''}>
              {list.map((c) => (
                <CandidateRow
                  key={`${c.special} ${c.thread.designation}`}
                  c={c}
                  first={c === first}
                  onlyStarts={first !== undefined && c !== first && sameSection(first.thread, c.thread)}
                  accepted={accepted?.designation === c.thread.designation}
                  weighing={rankingPending}
                />
              ))}
            </ol>
            {job.readings.length === 0 && <p className="text-ink2">Take a diameter and a pitch in Read first.</p>}
          </section>
          {job.name && <MadeBefore />}
          <NextReading heading />
          <Overrule />
        </>
      }
    >
      {first ? (
        <RivalsPlate
          threads={second ? [first.thread, second.thread] : [first.thread]}
          side={part}
          lines={extremes(job.readings.filter((r) => r.member === 'part'))}
          residuals={residuals}
          system={system}
        />
      ) : (
        <ThreadDrawing thread={accepted ?? null} tentative={!accepted} side={part} readings={[]} system={system} />
      )}
      {special && <ToCopy thread={special.thread} />}
    </StationFrame>
  );
}

/** The largest and the smallest outside diameter and the root: more lines would only cover each other. */
function extremes(readings: readonly Reading[]): ReadLine[] {
  const of = (q: Reading['quantity']): Reading[] =>
    readings.filter((r) => r.quantity === q).sort((x, y) => y.value - x.value);
  const majors = of('majorDiameter');
  const picked = [majors[0], majors.length > 1 ? majors.at(-1) : undefined, of('minorDiameter')[0]];
  return picked.flatMap((r) =>
    r ? [{ label: `${r.text}${r.wear === 'unknown' ? '' : ` ${r.wear}`}`, diameterMm: r.value }] : [],
  );
}
