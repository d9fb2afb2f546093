import { runOutOf } from '../../../core/job/runOut.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { recutting } from '../../../core/job/recut.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';

/** Run-out read at several seatings: the best is marked, half of it is the eccentricity, and what that does is said. */
export function RunOut() {
  const { job } = useJobView();
  const system = useSystem();
  const { readings, best, eccentricMm, crestVariesMm } = runOutOf(job);
  const mm = (x: number): string => lengthText(x, system, FINE);
  return (
    <section aria-label="Run-out" className="grid gap-2 border-t border-line pt-3">
      <LengthField
        label="Run-out: full reading of the indicator at this seating"
        mm={readings.at(-1)?.fullMm ?? null}
        system={system}
        placeholder="not read"
        rule={{ allowZero: true, maxMm: 100 }}
        onCommit={(fullMm, text) => act({ do: 'runOut', fullMm, text })}
        hint="three jaws 0.05 to 0.15 anywhere, 0.01 to 0.03 at the same mark; four jaws 0.01; centres 0.005 (common practice)"
      />
      {readings.length > 0 && (
        <ol className="flex flex-wrap gap-2" aria-label="Seatings">
          {readings.map((r, i) => (
            <li key={r.n} className="rounded-[4px] border border-edge bg-panel px-3 py-2">
              {i + 1}: <span className="num">{mm(r.fullMm)}</span>
              {r === best && readings.length > 1 && <b> best: mark it so</b>}
            </li>
          ))}
        </ol>
      )}
      {eccentricMm !== null && crestVariesMm !== null && (
        <p>
          Off the axis by half of it, {mm(eccentricMm)}.{' '}
          {recutting(job)
            ? 'An old groove is then met on part of the turn only: it is cleaned all round once it is cut so much deeper.'
            : `The thread itself is cut true; its crest comes out ${mm(crestVariesMm)} wider and narrower round the part, and wires across do not show it.`}
        </p>
      )}
    </section>
  );
}
