import type { Game } from '../../core/practice/rounds.ts';
import { GAME_NAMES } from '../../words/practice.ts';
import { Plate } from '../drawing/Plate.tsx';

/** What a practice is about, in one small drawing. */
export function GamePicture({ game }: { readonly game: Game }) {
  return (
    <Plate
      className="min-h-36"
      label={`${GAME_NAMES[game].name}, drawn`}
      draw={({ w, h }) => {
        const c = { x: w / 2, y: h / 2 };
        switch (game) {
          case 'half-nuts': {
            const r = Math.min(w, h) * 0.34;
            return (
              <g stroke="var(--scribe)" fill="none" strokeWidth="3">
                <circle cx={c.x} cy={c.y} r={r} />
                {Array.from({ length: 8 }, (_, i) => (
                  <path
                    key={i}
                    d={`M${c.x} ${c.y - r}v${r * 0.28}`}
                    transform={`rotate(${i * 45 + 12} ${c.x} ${c.y})`}
                  />
                ))}
                <path d={`M${c.x} ${c.y - r - 2}l-8 -14h16z`} fill="var(--scribe)" />
              </g>
            );
          }
          case 'groove':
            return (
              <g strokeWidth="3">
                <path
                  d={`M0 ${c.y}L${c.x - 44} ${c.y}L${c.x - 16} ${c.y - 44}h12L${c.x + 24} ${c.y}H${w}`}
                  fill="none"
                  stroke="var(--scribe)"
                />
                <path d={`M${c.x + 4} ${c.y + 10}h12l30 50h-72z`} fill="url(#steel)" />
              </g>
            );
          case 'slip':
            return (
              <g>
                {Array.from({ length: 9 }, (_, i) => (
                  <path
                    key={i}
                    d={`M${16 + i * ((w - 32) / 8)} ${c.y - 30}l6 34`}
                    stroke="var(--scribe)"
                    strokeWidth="3"
                  />
                ))}
                <rect x="12" y={c.y + 6} width={w - 24} height="34" fill="url(#steel)" />
                {Array.from({ length: 13 }, (_, i) => (
                  <path
                    key={i}
                    d={`M${18 + i * ((w - 36) / 12)} ${c.y + 6}v${i % 3 === 0 ? 18 : 10}`}
                    stroke="#12161a"
                    strokeWidth="2"
                  />
                ))}
              </g>
            );
          case 'place':
            return (
              <g>
                {[0, 1, 2].flatMap((row) =>
                  Array.from({ length: 6 }, (_, i) => {
                    const done = row * 6 + i < 9;
                    const [x, y] = [20 + i * ((w - 40) / 5), c.y - 34 + row * 34];
                    return (
                      <circle
                        key={`${row} ${i}`}
                        cx={x}
                        cy={y}
                        r={done ? 8 : 7}
                        fill={done ? 'var(--scribe)' : 'none'}
                        stroke={row * 6 + i === 9 ? 'var(--straw)' : 'var(--scribe)'}
                        strokeWidth={row * 6 + i === 9 ? 4 : 2}
                      />
                    );
                  }),
                )}
              </g>
            );
        }
      }}
    />
  );
}
