import { useDeferredValue, useMemo } from 'react';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import { nextReadings, type NextReading as Next } from '../../../core/identify/nextReading.ts';
import { rivalsOf } from '../../../core/identify/rivals.ts';
import { leafOutText, seenByText, taperText } from '../../../words/reasons.ts';
import { QUANTITY_NAMES } from '../../../words/readings.ts';
import { evidenceOfJob, partOf } from '../../../core/job/evidence.ts';
import { cutablePitch, lackingToCopy } from '../../../core/job/special.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';

/** Above this the doubt is small enough to stop reading. */
const SETTLED = 0.97;
/** Above this it is clear that no table has the thread. */
const CLEAR = 0.9;

/** The two or three readings that would clear up most of the doubt, with the numbers to expect. */
export function NextReading({
  onArm,
  heading = false,
}: {
  readonly onArm?: (q: Quantity) => void;
  readonly heading?: boolean;
}) {
  const view = useJobView();
  // what is asked for next may come a moment after the reading: the hand on the key does not wait for it
  const job = useDeferredValue(view.job);
  const ranking = useDeferredValue(view.ranking);
  const shop = useShop();
  const system = useSystem();
  const part = partOf(job);
  const next = useMemo(
    () =>
      ranking ? nextReadings(rivalsOf(ranking), evidenceOfJob(job), part, shop.instruments, job.wearMap.lengthMm) : [],
    [ranking, job, part, shop.instruments],
  );
  if (!ranking) return null;
  const top = Math.max(ranking.candidates[0]?.probability ?? 0, ranking.special.probability);
  // what is to be copied is asked for once it is clear that no table has it
  const special = job.name ? job.name.thread.family === 'Special' : ranking.special.probability > CLEAR;
  const lacking = special ? lackingToCopy(job) : [];
  return (
    <section aria-label="What to read next" className="grid gap-2">
      {heading && <h2 className="border-t border-line pt-3 text-lg">What to read next</h2>}
      {lacking.length > 0 && (
        <div className="grid gap-1">
          <p>In no table: to copy it, these are not known yet.</p>
          <ul className="flex flex-wrap gap-2">
            {lacking.map((q) => (
              <li key={q}>
                {onArm ? <Button onClick={() => onArm(q)}>{QUANTITY_NAMES[q][part]}</Button> : QUANTITY_NAMES[q][part]}
              </li>
            ))}
          </ul>
        </div>
      )}
      {next.length === 0 && lacking.length > 0 ? null : next.length === 0 ? (
        <p className="text-ink2">
          {top > SETTLED
            ? 'Nothing more is needed: one thread stands far ahead.'
            : 'Nothing to hand tells the likeliest ones apart. A finer angle (comparator), a longer stretch to count, or the mate would.'}
        </p>
      ) : (
        <ol className="grid gap-2">
          {next.map((n) => (
            <li
              key={`${n.quantity} ${n.leafMm ?? ''} ${n.overCrests ?? ''}`}
              className="flex flex-wrap items-center justify-between gap-2 border-t border-line pt-2 first:border-0 first:pt-0"
            >
              <span className="min-w-0">
                <strong>
                  {n.overCrests === null
                    ? QUANTITY_NAMES[n.quantity][part]
                    : `Crest to crest over ${n.overCrests} crests`}
                  {n.leafMm !== null ? ` of ${pitchText(cutablePitch(n.leafMm, 'in', true), system)}` : ''}
                  {n.spanMm !== null ? ` over ${lengthText(n.spanMm, system, { stepMm: 0.1, stepIn: 0.1 })}` : ''}
                </strong>
                : <span className="num">{shown(n, n.expect.A, system)}</span> if {n.separates[0]},{' '}
                <span className="num">{shown(n, n.expect.B, system)}</span> if {n.separates[1]}
                <span className="block text-sm text-ink2">
                  seen by: {seenByText(n.seenBy)}; clears about {Math.round(n.clears * 100)} % of the doubt
                </span>
              </span>
              {onArm && <Button onClick={() => onArm(n.quantity)}>Read it</Button>}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

function shown(n: Next, value: number, system: UnitSystem): string {
  if (n.quantity === 'crestCount' && n.overCrests === null) return value.toFixed(1);
  if (n.quantity === 'starts') return String(value);
  if (n.quantity === 'pitchLeaf') return leafOutText(value, system);
  if (n.quantity === 'taper') return taperText(value);
  if (n.quantity === 'flankAngle' || n.quantity === 'leadingFlank' || n.quantity === 'trailingFlank')
    return `${value}\u00b0`;
  return lengthText(value, system, FINE);
}
