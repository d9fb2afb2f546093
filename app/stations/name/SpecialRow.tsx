import { DEFAULT_SIGMA } from '../../../core/evidence/evidence.ts';
import { QUANTITY_NAMES } from '../../../core/job/entry.ts';
import { partOf } from '../../../core/job/evidence.ts';
import type { Reading } from '../../../core/job/schema.ts';
import { leastWorn } from '../../../core/job/special.ts';
import { FINE, lengthText, percentText } from '../../../core/quantity/format.ts';
import { inches, type UnitSystem } from '../../../core/quantity/units.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { acceptName } from '../../shell/settle.ts';
import { useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';

/** What is known of a special, each with how sure the reading is; the rest said to be unknown, never filled in. */
function ToCopy() {
  const { job } = useJobView();
  const system = useSystem();
  const part = partOf(job);
  return (
    <dl className="mt-2 grid gap-x-4 text-sm sm:grid-cols-[12rem_1fr]">
      {TO_COPY.map((q) => {
        const best = leastWorn(job, q);
        return (
          <div key={q} className="contents">
            <dt className="text-ink2">{QUANTITY_NAMES[q][part]}</dt>
            <dd className="num">
              {best
                ? `${best.text}${best.span ? ` in ${best.span.text}` : ''}: ${sureText(best, system)}`
                : 'not known yet'}
            </dd>
          </div>
        );
      })}
    </dl>
  );
}
const TO_COPY = [
  'majorDiameter',
  'minorDiameter',
  'crestCount',
  'flankAngle',
  'depth',
  'crestFlat',
  'rootRadius',
  'starts',
  'hand',
] as const;

function sureText(r: Reading, system: UnitSystem): string {
  if (r.quantity === 'starts') return 'counted';
  if (r.quantity === 'hand') return 'seen';
  if (r.quantity === 'crestFlat' || r.quantity === 'rootRadius')
    return `${lengthText(r.value, system, FINE)} \u00b1 ${lengthText(DEFAULT_SIGMA.radiusMm, system, FINE)}`;
  if (r.quantity === 'flankAngle') return `${r.value}\u00b0 \u00b1 ${r.uncertainty ?? DEFAULT_SIGMA.angleDeg}\u00b0`;
  if (r.quantity === 'crestCount') {
    const pitch = (r.span?.mm ?? inches(1)) / r.value;
    return `pitch ${lengthText(pitch, system, FINE)} \u00b1 ${lengthText((pitch * DEFAULT_SIGMA.crests) / r.value, system, FINE)}`;
  }
  return `${lengthText(r.value, system, FINE)} \u00b1 ${lengthText(r.uncertainty ?? DEFAULT_SIGMA.diameterMm, system, FINE)}`;
}

/** The special among the candidates; when it leads, with the dimensions to copy. */
export function SpecialRow({ thread, leads }: { readonly thread: ThreadSpec; readonly leads: boolean }) {
  const { job, ranking } = useJobView();
  if (!ranking) return null;
  const { special } = ranking;
  const accepted = job.name?.thread.designation === thread.designation;
  return (
    <li
      className={`flex flex-wrap items-center justify-between gap-3 rounded-md border border-dashed p-3 ${accepted ? 'border-go bg-gosoft' : 'border-ink2'}`}
    >
      <div>
        <span className="num text-xl font-semibold">{thread.designation}</span>{' '}
        <span>special, {percentText(special.probability)}</span>
        <p className="text-sm text-ink2">
          In no table.{' '}
          {special.nominal
            ? 'Round sizes in a usual form: a maker\u2019s own combination.'
            : 'The sizes to copy are those measured, each as sure as its reading; what was not read is not known.'}
        </p>
        {leads && <ToCopy />}
      </div>
      {accepted ? (
        <span className="flex min-h-12 items-center font-semibold text-go">accepted</span>
      ) : (
        <Button tone={leads ? 'main' : 'plain'} onClick={() => acceptName(thread, special.probability, false, '')}>
          Accept as special
        </Button>
      )}
    </li>
  );
}
