import { Punched } from './marks.tsx';

const APART = 21;

/** The passes in a row: punched done, straw now, rings to come, spring passes as diamonds. What has no room is counted. */
export function PassDots({
  done,
  toCome,
  springs,
  sprung,
  x,
  y,
  width,
}: {
  readonly done: number;
  readonly toCome: number;
  readonly springs: number;
  readonly sprung: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
}) {
  const all = [
    ...Array.from({ length: done }, () => 'done' as const),
    ...Array.from({ length: toCome }, (_, i) => (i === 0 ? ('now' as const) : ('come' as const))),
    ...Array.from({ length: springs }, (_, i) =>
      i < sprung ? ('sprung' as const) : toCome === 0 && i === sprung ? ('spring-now' as const) : ('spring' as const),
    ),
  ];
  const most = Math.max(4, Math.floor(width / APART) - 1);
  const now = Math.max(
    0,
    all.findIndex((k) => k === 'now' || k === 'spring-now'),
  );
  const begin = Math.max(0, Math.min(all.length - most, now - Math.floor(most / 2)));
  const shown = all.slice(begin, begin + most);
  return (
    <g>
      {begin > 0 && (
        <text x={x - 8} y={y - 14} fontSize="14" fill="var(--scribe2)">
          {begin} before
        </text>
      )}
      {shown.map((kind, i) => {
        const cx = x + i * APART;
        if (kind === 'done') return <Punched key={i} x={cx} y={y} />;
        if (kind === 'now')
          return <circle key={i} cx={cx} cy={y} r="9" fill="var(--straw)" stroke="#17130a" strokeWidth="1.5" />;
        if (kind === 'come')
          return <circle key={i} cx={cx} cy={y} r="5.5" fill="none" stroke="var(--scribe)" strokeWidth="2" />;
        return (
          <path
            key={i}
            d={`M${cx} ${y - 8}l7 8l-7 8l-7 -8z`}
            fill={kind === 'spring-now' ? 'var(--straw)' : kind === 'sprung' ? 'var(--scribe)' : 'none'}
            stroke="var(--scribe)"
            strokeWidth="2"
          />
        );
      })}
      {begin + most < all.length && (
        <text x={x + most * APART - 6} y={y + 5} fontSize="14" fill="var(--scribe2)">
          +{all.length - begin - most}
        </text>
      )}
    </g>
  );
}
