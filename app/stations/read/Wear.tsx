import { wearSeen } from '../../../core/job/known.ts';
import { partOf } from '../../../core/job/evidence.ts';
import { ALONG, FINE, lengthText } from '../../../core/quantity/format.ts';
import { QUANTITY_NAMES } from '../../../words/readings.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';

/** What the readings at places show of wear, and which stretch is taken as unworn. */
export function Wear() {
  const { job } = useJobView();
  const system = useSystem();
  const part = partOf(job);
  const seen = wearSeen(job);
  const far = (mm: number): string => lengthText(mm, system, ALONG);
  const len = (mm: number): string => lengthText(mm, system, FINE);
  const first = seen[0]?.profile;
  if (!first)
    return <p className="text-ink2">Touch a place on the part, then read there. Two places make a map of its wear.</p>;
  return (
    <div className="grid gap-3">
      <ul className="grid gap-2">
        {seen.map(({ series: s, profile }) => (
          <li key={`${s.quantity} ${s.wire ?? ''}`}>
            <strong>
              {QUANTITY_NAMES[s.quantity][part]}
              {s.wire === null ? '' : `, ${s.wire}`}
            </strong>
            <span className="block text-ink2">
              reference {len(profile.referenceMm)}, worst {len(profile.worstMm)} gone, {profile.spots.length} places
            </span>
          </li>
        ))}
      </ul>
      <p className="text-ink2">
        {first.used
          ? `The travel really used: ${far(first.used.fromMm)} to ${far(first.used.toMm)} from the end.`
          : 'No wear beyond the scatter of the readings.'}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <LengthField
          label="Unworn from"
          mm={first.unworn.fromMm}
          system={system}
          rule={{ allowZero: true }}
          onCommit={(mm) => act({ do: 'setUnworn', unworn: { fromMm: mm, toMm: Math.max(mm, first.unworn.toMm) } })}
          hint={job.wearMap.unworn ? 'moved by hand' : 'as proposed'}
        />
        <LengthField
          label="Unworn to"
          mm={first.unworn.toMm}
          system={system}
          rule={{ allowZero: true }}
          onCommit={(mm) => act({ do: 'setUnworn', unworn: { fromMm: Math.min(mm, first.unworn.fromMm), toMm: mm } })}
          onClear={() => act({ do: 'setUnworn', unworn: null })}
        />
      </div>
    </div>
  );
}
