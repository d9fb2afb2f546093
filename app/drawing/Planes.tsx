import { type Fitting, spacersOf } from '../../core/gearing/mounting/index.ts';

const CELL = 46;
const H = 24;

/** The two planes from above: which gear of each shaft is at the back and which in front, and where a spacer goes. */
export function Planes({ mount }: { readonly mount: Fitting }) {
  const shafts = [...new Set(mount.gears.map((g) => g.shaft))];
  const spacers = spacersOf(mount);
  const w = 54 + shafts.length * (CELL + 4);
  return (
    <svg viewBox={`0 0 ${w} 92`} width={w} height="92" className="block max-w-full" aria-hidden>
      <text x="0" y="14" fontSize="15" fontWeight="600" fill="var(--scribe)">
        planes, from above
      </text>
      {([1, 2] as const).map((plane) => {
        const y = plane === 1 ? 26 : 60;
        return (
          <g key={plane} fontSize="14">
            <text x="0" y={y + 17} fill="var(--scribe2)">
              {plane === 1 ? 'back' : 'front'}
            </text>
            {shafts.map((shaft, i) => {
              const g = mount.gears.find((q) => q.shaft === shaft && q.plane === plane);
              const spacer = spacers.some((q) => q.shaft === shaft && q.plane === plane);
              if (!g && !spacer) return null;
              const x = 50 + i * (CELL + 4);
              return (
                <g key={shaft}>
                  <rect
                    x={x}
                    y={y}
                    width={CELL}
                    height={H}
                    fill={!g ? 'none' : plane === 1 ? 'url(#hatch)' : 'var(--steel2)'}
                    stroke="var(--scribe)"
                    {...(g ? {} : { strokeDasharray: '4 3' })}
                  />
                  <text
                    x={x + CELL / 2}
                    y={y + 17}
                    textAnchor="middle"
                    fontFamily={g ? 'var(--font-mono)' : undefined}
                    fontSize={g ? 15 : 12}
                    fontWeight="700"
                    fill={g && plane === 2 ? '#17130a' : 'var(--scribe)'}
                  >
                    {g ? g.teeth : 'spacer'}
                  </text>
                </g>
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}
