import { useMemo, useState } from 'react';
import { partOf } from '../../../core/job/evidence.ts';
import { evidenceOfJob } from '../../../core/job/evidence.ts';
import { reasonsFor } from '../../../core/identify/reasons.ts';
import { parseDesignation } from '../../../core/standards/designation.ts';
import { FINE, lengthText, percentText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { pitchOf, threadFormOf, type ThreadSpec } from '../../../core/standards/thread.ts';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { specialOf, useJobView } from '../../shell/jobContext.tsx';
import { acceptName } from '../../shell/settle.ts';
import { useSystem } from '../../store/store.ts';
import { Button, Note, Panel } from '../../ui/controls.tsx';
import { TextField, TypedField } from '../../ui/fields.tsx';
import { useKeys } from '../../ui/keys.ts';

const SHOWN = 5;

export function Name() {
  const { job, ranking, rankingPending, rankingFailed, top } = useJobView();
  const system = useSystem();
  const part = partOf(job);
  const evidence = useMemo(() => evidenceOfJob(job), [job]);
  const list = useMemo(() => ranking?.candidates.slice(0, SHOWN) ?? [], [ranking]);
  const best = list[0];
  const keys = useMemo(
    () => Object.fromEntries(list.map((c, i) => [String(i + 1), () => acceptName(c.thread, c.probability, i > 0, '')])),
    [list],
  );
  useKeys(keys);
  const accepted = job.name?.thread as ThreadSpec | undefined;
  return (
    <StationFrame station="name" lead="Which thread it is, how sure that is, and why." canSettle={false}>
      {rankingFailed !== null && (
        <Note tone="wrong">The weighing failed: {rankingFailed}. Change a reading to try again.</Note>
      )}
      {(accepted ?? top) && (
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
          {list.map((c, i) => {
            const why = reasonsFor(c.expectation, c.starts, evidence, part, system);
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
                  <Why for={why.for} against={why.against} />
                </div>
                <div className="flex items-start">
                  {isIt ? (
                    <span className="flex min-h-12 items-center font-semibold text-go">accepted</span>
                  ) : (
                    <Button
                      tone={i === 0 ? 'main' : 'plain'}
                      onClick={() => acceptName(c.thread, c.probability, i > 0, '')}
                    >
                      Accept <span className="num text-sm opacity-80">{i + 1}</span>
                    </Button>
                  )}
                </div>
              </li>
            );
          })}
          {ranking && (
            <li className="flex flex-wrap items-center justify-between gap-3 rounded-md border border-dashed border-ink2 p-3">
              <div>
                <span className="num text-xl font-semibold">Special: {specialOf(ranking).designation}</span>{' '}
                <span>{percentText(ranking.special.probability)}</span>
                <p className="text-sm text-ink2">
                  In no table.{' '}
                  {ranking.special.nominal
                    ? 'Round sizes in a usual form: a maker\u2019s own combination.'
                    : 'The sizes to copy are those measured.'}
                </p>
              </div>
              <Button
                tone={best && best.probability < ranking.special.probability ? 'main' : 'plain'}
                onClick={() => acceptName(specialOf(ranking), ranking.special.probability, false, '')}
              >
                Accept as special
              </Button>
            </li>
          )}
        </ol>
        {job.readings.length === 0 && <p className="text-ink2">Take a diameter and a pitch in Read first.</p>}
      </Panel>
      <Overrule />
    </StationFrame>
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

/** The person knows better: any designation, with the reason, kept in the record. */
function Overrule() {
  const { job, ranking } = useJobView();
  const [reason, setReason] = useState('');
  return (
    <Panel title="I know what it is">
      <div className="grid gap-3 md:grid-cols-2">
        <TextField
          label="Why"
          value={reason}
          onCommit={setReason}
          placeholder="stamped on the part, maker's list\u2026"
        />
        <TypedField
          label="Designation, then Enter"
          shown=""
          placeholder="1 1/4-7 BSW, M42.5x2, 3/4 in x 4.5 TPI 29"
          parse={parseDesignation}
          onCommit={(d) => {
            const found = ranking?.candidates.find((c) => c.thread.designation === d.thread.designation);
            acceptName(d.thread, found?.probability ?? 0, true, reason);
          }}
        />
      </div>
      {job.name?.overruled && (
        <Note tone="say">
          Chosen by hand: <span className="num">{job.name.thread.designation}</span>
          {job.name.reason ? `, because: ${job.name.reason}` : ''}. The readings gave it{' '}
          {percentText(job.name.probability)}.
        </Note>
      )}
    </Panel>
  );
}
