import { matesTried } from '../../core/job/matesTried.ts';
import { lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { triedShort } from '../../words/prove.ts';
import { useJobView } from '../job/jobContext.tsx';
import { Plate } from './Plate.tsx';

const ROW = 34;

/** Each mate as a bar as long as it is, with how far it went and what it did last; nothing where none was tried. */
export function MatesPlate({ unit }: { readonly unit: UnitSystem }) {
  const { job } = useJobView();
  const tried = matesTried(job);
  if (tried.length === 0) return null;
  const longest = Math.max(...tried.map((t) => t.lengthMm ?? 0), 1);
  return (
    <div style={{ height: ROW * tried.length + 24 }}>
      <Plate
        className="h-full"
        label={`Mates tried: ${tried.map((t) => `${t.name || 'mate'} ${triedShort(t, unit)}`).join('; ')}`}
        draw={({ w }) => {
          const room = w * 0.34;
          return (
            <g fontSize="16" fill="var(--scribe)">
              {tried.map((t, i) => {
                const y = 12 + i * ROW;
                const long = t.lengthMm === null ? room * 0.5 : Math.max(14, (t.lengthMm / longest) * room);
                const went = t.wentShare === null ? long : long * t.wentShare;
                return (
                  <g key={t.name}>
                    <rect x="16" y={y + 4} width={long} height={ROW - 12} fill="var(--deep)" stroke="var(--scribe2)" />
                    <rect x="16" y={y + 4} width={went} height={ROW - 12} fill="url(#steel)" />
                    {t.stopped ? (
                      <rect x={16 + went - 3} y={y} width="6" height={ROW - 4} fill="var(--stopplate)" />
                    ) : (
                      <path
                        d={`M${16 + long + 3} ${y + 5}l12 ${(ROW - 14) / 2}l-12 ${(ROW - 14) / 2}Z`}
                        fill="var(--goplate)"
                      />
                    )}
                    <text x={room + 44} y={y + ROW / 2 + 5} fontWeight="700">
                      {t.name || 'mate'}
                      {t.lengthMm !== null && (
                        <tspan fontWeight="400" dx="8">
                          {lengthText(t.lengthMm, unit)}
                        </tspan>
                      )}
                    </text>
                    <text
                      x={w - 16}
                      y={y + ROW / 2 + 5}
                      textAnchor="end"
                      fill={t.stopped ? 'var(--stopplate)' : 'var(--goplate)'}
                    >
                      {triedShort(t, unit)}
                    </text>
                  </g>
                );
              })}
            </g>
          );
        }}
      />
    </div>
  );
}
