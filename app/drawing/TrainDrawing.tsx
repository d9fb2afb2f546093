import { useSystem } from '../store/store.ts';
import { mountText } from '../../words/gears.ts';
import {
  type Fitting,
  type PlacedGear,
  armAt,
  type Arm,
  gearOutline,
  spacersOf,
  turnOf,
} from '../../core/gearing/mounting/index.ts';
import { ArmShape } from './ArmShape.tsx';

/** On a plate the train is scribed and its front plane is steel. */
const ON_PLATE = {
  '--blue': 'var(--scribe)',
  '--bluesoft': 'var(--steel2)',
  '--ink': 'var(--scribe)',
  '--ink2': 'var(--scribe2)',
  '--panel': 'var(--deep)',
} as React.CSSProperties;

const PAD = 14;

const teethPath = (g: PlacedGear, moduleMm: number): string =>
  `M${gearOutline(g.teeth, moduleMm, g.at)
    .map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`)
    .join('L')}Z`;

/**
 * The train as it goes on the arm, seen from the end of the lathe and true to scale: teeth, pitch circles (dash-dot),
 * front plane filled, back plane hatched, each gear named.
 */
export function TrainDrawing({
  mount,
  moduleMm,
  arm,
  now,
}: {
  readonly mount: Fitting;
  /** The arm with its slots and studs, drawn under the gears. */
  readonly arm?: Arm | null;
  readonly moduleMm: number;
  /** Shafts that are worked on now: lit; the drawing then lies on a plate. */
  readonly now?: readonly number[];
}) {
  const system = useSystem();
  const tips = mount.gears.map((g) => ({ g, r: (moduleMm * (g.teeth + 2)) / 2 }));
  const onArm = arm ? armAt(arm, mount.armDeg).slots.flatMap((x) => [x.from, x.to]) : [];
  const minX = Math.min(...onArm.map((q) => q.x - PAD), ...tips.map(({ g, r }) => g.at.x - r)) - PAD;
  const maxX = Math.max(...onArm.map((q) => q.x + PAD), ...tips.map(({ g, r }) => g.at.x + r)) + PAD;
  const minY = Math.min(...onArm.map((q) => q.y - PAD), ...tips.map(({ g, r }) => g.at.y - r)) - PAD;
  const maxY = Math.max(...onArm.map((q) => q.y + PAD), ...tips.map(({ g, r }) => g.at.y + r)) + PAD;
  const end = mount.gears.at(-1);
  const spacers = spacersOf(mount);
  return (
    <svg
      viewBox={`${minX} ${minY} ${maxX - minX} ${maxY - minY}`}
      className={now ? 'absolute inset-0 size-full p-4' : 'max-h-[24rem] w-full'}
      style={ON_PLATE}
      role="img"
      aria-label={`Train on the arm: ${mountText(mount, system)}`}
    >
      <defs>
        <pattern id="back" width="4" height="4" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <path d="M0 0V4" stroke="var(--blue)" strokeWidth="0.9" opacity="0.55" />
        </pattern>
      </defs>
      {arm && <ArmShape {...armAt(arm, mount.armDeg)} bossMm={arm.bossRadiusMm ?? 10} />}
      {/* the back plane first, the front over it */}
      {mount.gears
        .toSorted((a, b) => a.plane - b.plane)
        .map((g, i) => (
          <g key={i}>
            <path
              d={teethPath(g, moduleMm)}
              fill={g.plane === 1 ? 'url(#back)' : 'var(--bluesoft)'}
              fillOpacity={g.plane === 1 ? 1 : 0.82}
              stroke={now?.includes(g.shaft) ? 'var(--straw)' : 'var(--blue)'}
              strokeWidth={now?.includes(g.shaft) ? 1.6 : 0.5}
            />
            <circle
              cx={g.at.x}
              cy={g.at.y}
              r={(moduleMm * g.teeth) / 2}
              fill="none"
              stroke="var(--ink2)"
              strokeWidth="0.35"
              strokeDasharray="5 1.5 1 1.5"
            />
            <circle cx={g.at.x} cy={g.at.y} r={5} fill="var(--panel)" stroke="var(--ink)" strokeWidth="0.6" />
          </g>
        ))}
      {mount.gears.map((g, i) => {
        const away = g.plane === 1 ? -1 : 1;
        return (
          <text
            key={i}
            x={g.at.x}
            y={g.at.y + away * Math.max(9, moduleMm * g.teeth * 0.28) + 3}
            textAnchor="middle"
            fontSize="9"
            fontWeight="700"
            fill="var(--ink)"
            stroke="var(--panel)"
            strokeWidth="2.4"
            paintOrder="stroke"
          >
            {g.teeth}
            {g.role === 'idler' ? ' idler' : ''}
            {spacers.some((s) => s.shaft === g.shaft) && (
              <tspan x={g.at.x} dy="8" fontSize="6" fontWeight="400">
                + spacer
              </tspan>
            )}
          </text>
        );
      })}
      {[...new Map(mount.gears.map((g) => [g.shaft, g]))].map(([shaft, g]) => (
        <Turning key={shaft} at={g.at} way={turnOf(shaft)} />
      ))}
      {end && (
        <text x={end.at.x} y={maxY - 3} textAnchor="middle" fontSize="7" fill="var(--ink2)">
          leadscrew
        </text>
      )}
      <text x={0} y={maxY - 3} textAnchor="middle" fontSize="7" fill="var(--ink2)">
        spindle stud
      </text>
    </svg>
  );
}

const ARROW_RADIUS = 8;

/** Which way a shaft turns when the first driver turns clockwise. */
function Turning({ at, way }: { readonly at: PlacedGear['at']; readonly way: 1 | -1 }) {
  const r = ARROW_RADIUS;
  // three quarters of a turn, with a head at its end
  const end = { x: at.x, y: at.y - r };
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth="0.9" aria-hidden>
      <path d={`M${at.x + way * r} ${at.y}A${r} ${r} 0 1 ${way === 1 ? 1 : 0} ${end.x} ${end.y}`} />
      <path d={`M${end.x - way * 3} ${end.y - 2.4}L${end.x} ${end.y}L${end.x - way * 3} ${end.y + 2.4}`} />
    </g>
  );
}
