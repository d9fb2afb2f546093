import type { SizeBand } from '../../core/job/sizeBand.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Punched } from './marks.tsx';
import { Plate } from './Plate.tsx';

const HEAD = 58;
const FOOT = 34;
/** Two standard deviations either way. */
const WHISKER = 2;

/** One scale of pitch diameter: where it is right, where it is believed to be, and where each gauge stands. */
export function SizeBandPlate({ band, unit }: { readonly band: SizeBand; readonly unit: UnitSystem }) {
  const { right, aimMm, believed, gauges } = band;
  const bare = (mm: number): string => lengthText(mm, unit, { ...FINE, bare: true });
  const label = `Pitch diameter${right ? `: right from ${bare(right.min)} to ${bare(right.max)}` : ''}${
    believed ? `, believed ${bare(believed.value)}` : ''
  }`;
  return (
    <Plate
      label={label}
      draw={({ w, h }) => {
        const all = [
          aimMm,
          ...(right ? [right.min, right.max] : []),
          ...gauges.map((g) => g.mm),
          ...(believed
            ? [believed.value - WHISKER * believed.uncertainty, believed.value + WHISKER * believed.uncertainty]
            : []),
        ];
        const spread = Math.max(Math.max(...all) - Math.min(...all), 0.02);
        const [low, high] = [Math.min(...all) - spread * 0.15, Math.max(...all) + spread * 0.15];
        const y = (mm: number): number => h - FOOT - ((mm - low) / (high - low)) * (h - HEAD - FOOT);
        const bar = { x: w * 0.36, width: Math.min(110, w * 0.2) };
        const dot = bar.x + bar.width / 2;
        return (
          <g fill="var(--scribe)" fontFamily="var(--font-mono)">
            <text x="22" y="34" fontFamily="var(--font-sans)" fontSize="20" fontWeight="700">
              Pitch diameter
            </text>
            <rect
              x={bar.x}
              y={HEAD}
              width={bar.width}
              height={h - HEAD - FOOT}
              fill="var(--deep)"
              stroke="var(--scribe2)"
            />
            {right && (
              <rect
                x={bar.x}
                y={y(right.max)}
                width={bar.width}
                height={Math.max(3, y(right.min) - y(right.max))}
                fill="#fff"
              />
            )}
            <path d={`M${bar.x - 8} ${y(aimMm)}h${bar.width + 16}`} stroke="var(--straw)" strokeWidth="5" />
            {gauges.length === 0 && (
              <text x={bar.x - 16} y={y(aimMm) + 6} fontSize="18" textAnchor="end" fill="var(--straw)">
                {bare(aimMm)}
              </text>
            )}
            {gauges.map((g) => (
              <g key={g.which}>
                <path d={`M${bar.x - 46} ${y(g.mm)}h${bar.width + 46}`} stroke="var(--scribe)" strokeWidth="3" />
                <text
                  x={bar.x - 54}
                  y={y(g.mm) - 6}
                  fontSize="18"
                  textAnchor="end"
                  fontFamily="var(--font-sans)"
                  fontWeight="700"
                >
                  {g.which === 'go' ? 'go' : 'not-go'}
                </text>
                <text x={bar.x - 54} y={y(g.mm) + 16} fontSize="17" textAnchor="end">
                  {bare(g.mm)}
                </text>
                {g.said && (
                  <text
                    x={bar.x + bar.width + 18}
                    y={y(g.mm) + 6}
                    fontSize="18"
                    fontWeight="700"
                    fontFamily="var(--font-sans)"
                    fill={(g.said === 'goes') === (g.which === 'go') ? 'var(--goplate)' : 'var(--stopplate)'}
                  >
                    {g.said}
                  </text>
                )}
              </g>
            ))}
            {believed && (
              <g>
                {(['#ffffff', '#17130a'] as const).map((stroke, k) => (
                  <path
                    key={stroke}
                    d={`M${dot} ${y(believed.value - WHISKER * believed.uncertainty)}V${y(believed.value + WHISKER * believed.uncertainty)}`}
                    stroke={stroke}
                    strokeWidth={k === 0 ? 6 : 2.5}
                  />
                ))}
                <Punched x={dot} y={y(believed.value)} r={9} />
                <text
                  x={bar.x + bar.width + 18}
                  y={Math.max(HEAD + 16, y(believed.value) - 22)}
                  fontSize="20"
                  fontWeight="700"
                >
                  {bare(believed.value)}
                </text>
              </g>
            )}
          </g>
        );
      }}
    />
  );
}
