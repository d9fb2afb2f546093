import type { Mount, PlacedGear } from '../../../core/gearing/mount.ts';

type Fitting = Extract<Mount, { fits: true }>;

const PAD = 14;

/** Teeth drawn round a gear, as one path: enough to see that it is one, true in number. */
function teethPath(g: PlacedGear, moduleMm: number): string {
  const tip = (moduleMm * (g.teeth + 2)) / 2;
  const root = (moduleMm * (g.teeth - 2.5)) / 2;
  const points: string[] = [];
  for (let i = 0; i < g.teeth; i += 1) {
    const a = (2 * Math.PI) / g.teeth;
    for (const [share, r] of [
      [0, root],
      [0.25, root],
      [0.38, tip],
      [0.62, tip],
      [0.75, root],
    ] as const) {
      const t = a * (i + share);
      points.push(`${(g.at.x + r * Math.cos(t)).toFixed(2)} ${(g.at.y + r * Math.sin(t)).toFixed(2)}`);
    }
  }
  return `M${points.join('L')}Z`;
}

/**
 * The train as it goes on the arm, seen from the end of the lathe and true to scale: teeth, pitch circles (dash-dot),
 * front plane filled, back plane hatched, each gear named.
 */
export function TrainDrawing({ mount, moduleMm }: { readonly mount: Fitting; readonly moduleMm: number }) {
  const tips = mount.gears.map((g) => ({ g, r: (moduleMm * (g.teeth + 2)) / 2 }));
  const minX = Math.min(...tips.map(({ g, r }) => g.at.x - r)) - PAD;
  const maxX = Math.max(...tips.map(({ g, r }) => g.at.x + r)) + PAD;
  const minY = Math.min(...tips.map(({ g, r }) => g.at.y - r)) - PAD;
  const maxY = Math.max(...tips.map(({ g, r }) => g.at.y + r)) + PAD;
  const pivot = mount.gears.find(
    (g) => g.role === 'driven' && mount.gears.every((o) => o === g || o.at.x <= g.at.x + 1e-9 || o.role !== 'driven'),
  );
  return (
    <svg
      viewBox={`${minX} ${minY} ${maxX - minX} ${maxY - minY}`}
      className="max-h-[26rem] w-full rounded-md bg-inset"
      role="img"
      aria-label={`Train on the arm: ${mount.reason}`}
    >
      <defs>
        <pattern id="back" width="4" height="4" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <path d="M0 0V4" stroke="var(--blue)" strokeWidth="0.9" opacity="0.55" />
        </pattern>
      </defs>
      {/* the back plane first, the front over it */}
      {mount.gears
        .toSorted((a, b) => a.plane - b.plane)
        .map((g, i) => (
          <g key={i}>
            <path
              d={teethPath(g, moduleMm)}
              fill={g.plane === 1 ? 'url(#back)' : 'var(--bluesoft)'}
              fillOpacity={g.plane === 1 ? 1 : 0.82}
              stroke="var(--blue)"
              strokeWidth="0.5"
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
          </text>
        );
      })}
      {pivot && (
        <text x={pivot.at.x} y={maxY - 3} textAnchor="middle" fontSize="7" fill="var(--ink2)">
          leadscrew
        </text>
      )}
      <text x={0} y={maxY - 3} textAnchor="middle" fontSize="7" fill="var(--ink2)">
        spindle stud
      </text>
    </svg>
  );
}

/** The order of fitting, in words. */
export function fittingSteps(mount: Fitting, spacer: string): string[] {
  const at = (i: number): PlacedGear | undefined => mount.gears[i];
  const steps = ['Isolate at the plug. Wipe and oil the studs.'];
  const lean = `${Math.abs(mount.armDeg).toFixed(0)}\u00b0 ${mount.armDeg >= 0 ? 'down' : 'up'} from the line of centres`;
  if (mount.drivers.length === 1) {
    steps.push(
      `Fit the ${mount.drivers[0]} on the spindle stud and the ${mount.driven[0]} on the leadscrew, both in the back plane; spacers in front.`,
    );
    const idler = mount.gears.find((g) => g.role === 'idler');
    if (idler)
      steps.push(
        `Fit the ${idler.teeth} as idler on the arm's stud, arm about ${lean}.`,
        `Mesh the idler with the ${mount.driven[0]} first, then swing the arm until it meshes with the ${mount.drivers[0]}.`,
      );
  } else {
    steps.push(`Fit the ${mount.drivers[0]} on the spindle stud, back plane; a spacer${spacer} in front of it.`);
    for (let k = 0; k + 1 < mount.drivers.length; k += 1) {
      const [back, front] = [
        at(2 * k + 1)?.plane === 1 ? mount.driven[k] : mount.drivers[k + 1],
        at(2 * k + 1)?.plane === 1 ? mount.drivers[k + 1] : mount.driven[k],
      ];
      steps.push(
        `Key the ${mount.driven[k]} and the ${mount.drivers[k + 1]} together on stud ${k + 1}: the ${back} behind, the ${front} in front.`,
      );
    }
    const last = mount.gears.at(-1);
    steps.push(
      `Fit the ${mount.driven.at(-1)} on the leadscrew, ${last?.plane === 1 ? 'back plane; a spacer in front of it' : 'front plane; a spacer behind it'}.`,
      `Mesh the ${mount.drivers.at(-1)} with the ${mount.driven.at(-1)} by sliding the stud, then swing the arm to about ${lean} until the ${mount.driven[0]} meshes with the ${mount.drivers[0]}.`,
    );
  }
  steps.push(
    'A strip of paper in each mesh while tightening (0.1 to 0.2 mm backlash, common practice).',
    'Turn by hand through a whole round of the largest gear and feel for tight spots. Cover back on before power.',
  );
  return steps;
}
