import { useMemo } from 'react';
import { partOf } from '../../../core/job/evidence.ts';
import { evidenceOfJob } from '../../../core/job/evidence.ts';
import { reasonsFor } from '../../../core/identify/reasons.ts';
import { FINE, lengthText, percentText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { pitchOf, threadFormOf, type ThreadSpec } from '../../../core/standards/thread.ts';
import type { Reading } from '../../../core/job/schema.ts';
import { specialOf } from '../../../core/job/special.ts';
import { CandidateOverlay, type ReadLine } from '../../drawing/CandidateOverlay.tsx';
import { NextReading } from '../read/NextReading.tsx';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { acceptName } from '../../shell/settle.ts';
import { reasonText } from '../../../words/reasons.ts';
import { useSystem } from '../../store/store.ts';
import { Button, Note, Panel } from '../../ui/controls.tsx';
import { useRows } from '../../ui/keys.ts';
import { Overrule } from './Overrule.tsx';
import { SpecialRow } from './SpecialRow.tsx';

const SHOWN = 5;
const WORTH_A_LOOK = 0.004;

export function Name() {
  const { job, ranking, rankingPending, rankingFailed, top } = useJobView();
  const system = useSystem();
  const part = partOf(job);
  const evidence = useMemo(() => evidenceOfJob(job), [job]);
  // the first two always, others while they are worth a look
  const list = useMemo(
    () => ranking?.candidates.filter((c, i) => i < 2 || c.probability >= WORTH_A_LOOK).slice(0, SHOWN) ?? [],
    [ranking],
  );
  const special = ranking && ranking.special.majorMm > 0 ? specialOf(ranking, job) : null;
  const specialLeads = ranking !== null && ranking.special.probability > (list[0]?.probability ?? 0);
  useRows();
  const accepted = job.name?.thread as ThreadSpec | undefined;
  return (
    <StationFrame station="name" lead="Which thread it is, how sure that is, and why." canSettle={false}>
      {rankingFailed !== null && (
        <Note tone="wrong">The weighing failed: {rankingFailed}. Change a reading to try again.</Note>
      )}
      {list.length > 0 && (
        <Panel title="The likeliest over what was read">
          <CandidateOverlay
            threads={(ranking && top && list[0]?.thread !== top
              ? [top, ...list.map((c) => c.thread)]
              : list.map((c) => c.thread)
            )
              .filter((t) => t.starts === 1 || t === top)
              .slice(0, 2)}
            side={part}
            lines={extremes(job.readings.filter((r) => r.member === 'part'))}
          />
        </Panel>
      )}
      {list.length === 0 && (accepted ?? top) && (
        <ThreadDrawing thread={accepted ?? top} tentative={!accepted} side={part} readings={[]} system={system} />
      )}
      <Panel
        title="Likeliest first"
        aside={
          <span className="text-sm text-ink2">
            {rankingPending ? 'weighing\u2026' : `${job.readings.length} readings weighed`}
          </span>
        }
      >
        <ol className="grid gap-3">
          {special && specialLeads && <SpecialRow thread={special} leads />}
          {list.map((c, i) => {
            const why = reasonsFor(c.expectation, c.starts, evidence, part);
            const isIt = accepted?.designation === c.thread.designation;
            return (
              <li
                key={c.thread.designation}
                className={`grid gap-2 rounded-md border p-3 sm:grid-cols-[minmax(0,1fr)_auto] ${isIt ? 'border-go bg-gosoft' : 'border-line'}`}
              >
                <div className="min-w-0">
                  <div className="flex flex-wrap items-baseline gap-x-3">
                    <span className="num text-xl font-semibold">{c.thread.designation}</span>
                    <span>{percentText(c.probability)}</span>
                    <span className="text-sm text-ink2">
                      {threadFormOf(c.thread).name}, {lengthText(c.thread.majorMm, system, FINE)},{' '}
                      {pitchText(pitchOf(c.thread), system)}
                    </span>
                  </div>
                  <div aria-hidden className="my-1 h-2 rounded bg-inset">
                    <div className="h-2 rounded bg-blue" style={{ width: `${Math.max(0.5, c.probability * 100)}%` }} />
                  </div>
                  <Why
                    for={why.for.map((r) => reasonText(r, system))}
                    against={why.against.map((r) => reasonText(r, system))}
                  />
                </div>
                <div className="flex items-start">
                  {isIt ? (
                    <span className="flex min-h-12 items-center font-semibold text-go">accepted</span>
                  ) : (
                    <Button
                      data-row
                      aria-label={`Accept ${c.thread.designation}`}
                      tone={i === 0 && !specialLeads ? 'main' : 'plain'}
                      onClick={() => acceptName(c.thread, c.probability, i > 0, '')}
                    >
                      Accept
                    </Button>
                  )}
                </div>
              </li>
            );
          })}
          {special && !specialLeads && <SpecialRow thread={special} leads={false} />}
        </ol>
        {job.readings.length === 0 && <p className="text-ink2">Take a diameter and a pitch in Read first.</p>}
      </Panel>
      <NextReading />
      <Overrule />
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

function Why({ for: pro, against }: { readonly for: readonly string[]; readonly against: readonly string[] }) {
  return (
    <ul className="text-sm">
      {pro.map((t) => (
        <li key={t}>
          <span className="font-semibold text-go">for</span> {t}
        </li>
      ))}
      {against.map((t) => (
        <li key={t}>
          <span className="font-semibold text-stop">against</span> {t}
        </li>
      ))}
    </ul>
  );
}
