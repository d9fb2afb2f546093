import type { Quantity } from '../../../core/evidence/evidence.ts';
import { leastWorn } from '../../../core/job/special.ts';
import type { Job } from '../../../core/job/schema.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';

const ROWS = [
  ['majorMm', 'majorDiameter', 'Outside diameter'],
  ['depthMm', 'depth', 'Depth of thread'],
  ['crestFlatMm', 'crestFlat', 'Crest flat'],
  ['rootFlatMm', 'rootFlat', 'Root flat'],
  ['rootRadiusMm', 'rootRadius', 'Root radius'],
] as const satisfies readonly (readonly [string, Quantity, string])[];

/** Whether a depth is half of what lies between the crest and the root as they were read. */
function fromDiameters(job: Job, mm: number): boolean {
  const [crest, root] = [leastWorn(job, 'majorDiameter'), leastWorn(job, 'minorDiameter')];
  return crest !== null && root !== null && Math.abs((crest.value - root.value) / 2 - mm) < 1e-3;
}

/** A special is what was read: each dimension with where it came from, to be changed here; what is not known says so. */
export function AsRead({ thread }: { readonly thread: ThreadSpec }) {
  const { job } = useJobView();
  const system = useSystem();
  return (
    <Panel title="The special, as read">
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {ROWS.map(([key, quantity, label]) => {
          const mm = key === 'majorMm' ? thread.majorMm : (thread.special?.[key] ?? null);
          const reading = leastWorn(job, quantity);
          const from =
            mm === null
              ? 'not known yet: the form stands in for it'
              : reading && Math.abs(reading.value - mm) < 1e-3
                ? `read: ${reading.text}`
                : reading
                  ? `changed by hand; read ${reading.text}`
                  : key === 'depthMm' && fromDiameters(job, mm)
                    ? 'half of what lies between crest and root'
                    : 'given by hand or by its name';
          return (
            <LengthField
              key={key}
              label={label}
              mm={mm}
              system={system}
              placeholder="not known"
              onCommit={(value) => act({ do: 'setSpecial', [key]: value })}
              {...(key === 'majorMm' ? {} : { onClear: () => act({ do: 'setSpecial', [key]: null }) })}
              hint={from}
            />
          );
        })}
      </div>
    </Panel>
  );
}
