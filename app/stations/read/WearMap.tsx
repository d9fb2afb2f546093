import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { wearProfile } from '../../../core/evidence/wearMap.ts';
import { wearSpots } from '../../../core/job/known.ts';
import { partOf } from '../../../core/job/evidence.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { editJob, useSystem } from '../../store/store.ts';
import { Button, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';

const W = 680;
const H = 150;
const PAD = { left: 70, right: 14, top: 12, bottom: 26 };
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
  const spots = wearSpots(job);
  const profile = wearProfile(spots, part, job.wearMap.unworn);
  const length = job.wearMap.lengthMm ?? Math.max(USUAL_LENGTH_MM, ...spots.map((s) => s.positionMm));
  const x = scaleLinear([0, length], [PAD.left, W - PAD.right]);
  const ds = spots.map((s) => s.diameterMm);
  const spread = Math.max(0.1, Math.max(...ds, 0) - Math.min(...ds, Infinity));
  const y = scaleLinear([Math.min(...ds) - spread * 0.2, Math.max(...ds) + spread * 0.2], [H - PAD.bottom, PAD.top]);
  const len = (mm: number): string => lengthText(mm, system, FINE);
  const point = (e: React.MouseEvent<SVGSVGElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    const mm = x.invert(((e.clientX - box.left) / box.width) * W);
    onPoint(Math.round(Math.min(length, Math.max(0, mm))));
  };
  return (
    <Panel
      title="Along the part"
      aside={
        <span className="text-sm text-ink2">
          {profile
            ? `reference ${len(profile.referenceMm)}, worst ${len(profile.worstMm)} gone`
            : 'point at a place, then read there'}
        </span>
      }
    >
      <svg
        viewBox={`0 0 ${W} ${spots.length > 0 ? H : 44}`}
        className="w-full cursor-crosshair rounded-md bg-inset"
        onClick={point}
        role="img"
        aria-label={
          profile
            ? `Diameter along the part: ${spots.length} places, worst ${len(profile.worstMm)} gone`
            : 'The part along its axis'
        }
      >
        {profile && (
          <rect
            x={x(profile.unworn.fromMm) - 4}
            y={PAD.top}
            width={Math.max(8, x(profile.unworn.toMm) - x(profile.unworn.fromMm) + 8)}
            height={H - PAD.top - PAD.bottom}
            fill="var(--gosoft)"
          />
        )}
        {profile?.used && (
          <rect
            x={x(profile.used.fromMm) - 4}
            y={PAD.top}
            width={Math.max(8, x(profile.used.toMm) - x(profile.used.fromMm) + 8)}
            height={H - PAD.top - PAD.bottom}
            fill="var(--brasssoft)"
          />
        )}
        {profile && (
          <path
            d={`M${PAD.left} ${y(profile.referenceMm)}H${W - PAD.right}`}
            stroke="var(--go)"
            strokeDasharray="6 4"
          />
        )}
        {profile && (
          <path
            d={profile.spots.map((s, i) => `${i === 0 ? 'M' : 'L'}${x(s.positionMm)} ${y(s.diameterMm)}`).join(' ')}
            fill="none"
            stroke="var(--blue)"
            strokeWidth="2"
          />
        )}
        {spots.map((s, i) => (
          <circle key={i} cx={x(s.positionMm)} cy={y(s.diameterMm)} r="5" fill="var(--blue)" />
        ))}
        {spots.length > 0 &&
          y.ticks(3).map((t) => (
            <text key={t} x={PAD.left - 6} y={y(t) + 4} textAnchor="end" fontSize="12" fill="var(--ink2)">
              {lengthText(t, system, { ...FINE, bare: true })}
            </text>
          ))}
        {x.ticks(6).map((t) => (
          <text
            key={t}
            x={x(t)}
            y={(spots.length > 0 ? H : 44) - 8}
            textAnchor="middle"
            fontSize="12"
            fill="var(--ink2)"
          >
            {lengthText(t, system, { stepMm: 1, stepIn: 0.01, bare: true })}
          </text>
        ))}
        {positionMm !== null && (
          <path d={`M${x(positionMm)} 4V${(spots.length > 0 ? H : 44) - 22}`} stroke="var(--stop)" strokeWidth="2" />
        )}
      </svg>
      {profile && (
        <p className="mt-1 text-sm text-ink2">
          Green: taken as unworn.{' '}
          {profile.used
            ? `Brass: the travel really used, ${len(profile.used.fromMm)} to ${len(profile.used.toMm)} from the end.`
            : 'No wear beyond the scatter of the readings.'}
        </p>
      )}
      <div className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <div className="grid gap-1 sm:col-span-2">
          <label htmlFor={`${id}-at`} className="text-sm text-ink2">
            Place pointed at: {positionMm === null ? 'none' : `${len(positionMm)} from the end`}
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
          onCommit={(mm) => editJob('give the length', (d) => void (d.wearMap.lengthMm = mm))}
          onClear={() => editJob('clear the length', (d) => void (d.wearMap.lengthMm = null))}
        />
        {profile && (
          <>
            <LengthField
              label="Unworn from"
              mm={profile.unworn.fromMm}
              system={system}
              rule={{ allowZero: true }}
              onCommit={(mm) =>
                editJob(
                  'move the unworn stretch',
                  (d) => void (d.wearMap.unworn = { fromMm: mm, toMm: Math.max(mm, profile.unworn.toMm) }),
                )
              }
              hint={job.wearMap.unworn ? 'moved by hand' : 'as proposed'}
            />
            <LengthField
              label="Unworn to"
              mm={profile.unworn.toMm}
              system={system}
              rule={{ allowZero: true }}
              onCommit={(mm) =>
                editJob(
                  'move the unworn stretch',
                  (d) => void (d.wearMap.unworn = { fromMm: Math.min(mm, profile.unworn.fromMm), toMm: mm }),
                )
              }
              onClear={() => editJob('take the proposed stretch', (d) => void (d.wearMap.unworn = null))}
            />
          </>
        )}
      </div>
    </Panel>
  );
}
