import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { QUANTITY_NAMES } from '../../../words/readings.ts';
import { wearSeen, wearSeries } from '../../../core/job/known.ts';
import { partOf } from '../../../core/job/evidence.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Button, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { PLOT, WearPlot } from './WearPlot.tsx';

const RULER_H = 44;
/** Until the thread's length is measured. */
const USUAL_LENGTH_MM = 100;

interface Props {
  readonly positionMm: number | null;
  readonly onPoint: (mm: number | null) => void;
}

/** The part along its axis: where readings are pointed at, and what they show of its wear. */
export function WearMap({ positionMm, onPoint }: Props) {
  const { job } = useJobView();
  const system = useSystem();
  const id = useId();
  const part = partOf(job);
  const series = wearSeries(job);
  const profiles = wearSeen(job).map(({ series: s, profile }) => ({
    title: `${QUANTITY_NAMES[s.quantity][part]}${s.wire === null ? '' : `, ${s.wire}`}`,
    profile,
  }));
  const profile = profiles[0]?.profile ?? null;
  const furthest = Math.max(0, ...series.flatMap((s) => s.spots.map((p) => p.positionMm)));
  const length = job.wearMap.lengthMm ?? Math.max(USUAL_LENGTH_MM, furthest);
  const x = scaleLinear([0, length], [PLOT.left, PLOT.width - PLOT.right]);
  const far = (mm: number): string => lengthText(mm, system, { stepMm: 1, stepIn: 0.05 });
  const point = (e: React.MouseEvent<SVGSVGElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    const mm = x.invert(((e.clientX - box.left) / box.width) * PLOT.width);
    onPoint(Math.round(Math.min(length, Math.max(0, mm))));
  };
  return (
    <Panel
      title="Along the part"
      aside={
        <span className="text-sm text-ink2">
          {profile ? '' : 'point at a place, then read there; two places make a map'}
        </span>
      }
    >
      <div className="grid gap-2">
        {profiles.map((p) => (
          <WearPlot key={p.title} {...p} x={x} positionMm={positionMm} onPoint={point} />
        ))}
        <svg
          viewBox={`0 0 ${PLOT.width} ${RULER_H}`}
          className="w-full cursor-crosshair rounded-md bg-inset"
          onClick={point}
          role="img"
          aria-label="The part along its axis"
        >
          <path d={`M${PLOT.left} 12H${PLOT.width - PLOT.right}`} stroke="var(--ink2)" />
          {x.ticks(6).map((t) => (
            <g key={t}>
              <path d={`M${x(t)} 6V18`} stroke="var(--ink2)" />
              <text x={x(t)} y={RULER_H - 8} textAnchor="middle" fontSize="12" fill="var(--ink2)">
                {lengthText(t, system, { stepMm: 1, stepIn: 0.01, bare: true })}
              </text>
            </g>
          ))}
          {positionMm !== null && <path d={`M${x(positionMm)} 2V24`} stroke="var(--stop)" strokeWidth="2" />}
        </svg>
      </div>
      {profile && (
        <p className="mt-1 text-sm text-ink2">
          Green: taken as unworn.{' '}
          {profile.used
            ? `Brass: the travel really used, ${far(profile.used.fromMm)} to ${far(profile.used.toMm)} from the end.`
            : 'No wear beyond the scatter of the readings.'}
        </p>
      )}
      <div className="mt-3 grid gap-3 sm:grid-cols-3">
        <div className="grid gap-1 sm:col-span-3">
          <label htmlFor={`${id}-at`} className="text-sm text-ink2">
            Place pointed at: {positionMm === null ? 'none' : `${far(positionMm)} from the end`}
          </label>
          <div className="flex items-center gap-2">
            <input
              id={`${id}-at`}
              type="range"
              min={0}
              max={Math.round(length)}
              step={1}
              value={positionMm ?? 0}
              onChange={(e) => onPoint(Number(e.target.value))}
              className="h-12 grow accent-(--blue)"
            />
            <Button onClick={() => onPoint(null)} disabled={positionMm === null}>
              None
            </Button>
          </div>
        </div>
        <LengthField
          label="Length of the thread"
          mm={job.wearMap.lengthMm}
          system={system}
          onCommit={(mm) => act({ do: 'setUnworn', lengthMm: mm })}
          onClear={() => act({ do: 'setUnworn', lengthMm: null })}
        />
        {profile && (
          <>
            <LengthField
              label="Unworn from"
              mm={profile.unworn.fromMm}
              system={system}
              rule={{ allowZero: true }}
              onCommit={(mm) =>
                act({ do: 'setUnworn', unworn: { fromMm: mm, toMm: Math.max(mm, profile.unworn.toMm) } })
              }
              hint={job.wearMap.unworn ? 'moved by hand' : 'as proposed'}
            />
            <LengthField
              label="Unworn to"
              mm={profile.unworn.toMm}
              system={system}
              rule={{ allowZero: true }}
              onCommit={(mm) =>
                act({ do: 'setUnworn', unworn: { fromMm: Math.min(mm, profile.unworn.fromMm), toMm: mm } })
              }
              onClear={() => act({ do: 'setUnworn', unworn: null })}
            />
          </>
        )}
      </div>
    </Panel>
  );
}
