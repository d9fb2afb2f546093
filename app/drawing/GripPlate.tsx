import { scaleLinear } from 'd3-scale';

/** Whether the chuck holds: what it gives as a bracket, what the hardest pass asks as a mark. */
export function GripBar({
  least,
  most,
  needs,
  w,
}: {
  readonly least: number;
  readonly most: number;
  readonly needs: number;
  readonly w: number;
}) {
  const end = Math.max(most, needs) * 1.15;
  const x = scaleLinear([0, end], [16, w - 16]);
  return (
    <svg
      viewBox={`0 0 ${w} 74`}
      className="w-full"
      role="img"
      aria-label={`The chuck gives ${(least / 1000).toFixed(1)} to ${(most / 1000).toFixed(1)} kN, the hardest pass asks ${(needs / 1000).toFixed(1)} kN with twice over`}
    >
      <path d={`M${x(0)} 48H${x(end)}`} stroke="currentColor" />
      {x.ticks(6).map((t) => (
        <g key={t}>
          <path d={`M${x(t)} 44v8`} stroke="currentColor" />
          <text x={x(t)} y="68" textAnchor="middle" fontSize="14" fill="currentColor" fontFamily="var(--font-mono)">
            {t / 1000}
          </text>
        </g>
      ))}
      <rect
        x={x(least)}
        y="22"
        width={x(most) - x(least)}
        height="26"
        fill="var(--inset)"
        stroke="currentColor"
        strokeWidth="2"
      />
      <rect x={x(needs) - 4} y="8" width="8" height="46" fill="var(--straw)" stroke="#17130a" strokeWidth="2" />
    </svg>
  );
}
