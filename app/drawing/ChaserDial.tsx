import { onCircle } from './circle.ts';

/** The chasing dial as it looks: its marks, those that may be used filled in blue, 0 at the pointer. */
export function ChaserDial({
  marks,
  safe,
  label,
}: {
  readonly marks: number;
  readonly safe: readonly number[];
  /** Where no thread is cut: what the dial is. */
  readonly label?: string;
}) {
  const at = (i: number, r: number): [number, number] => {
    const { x, y } = onCircle({ x: 100, y: 100 }, r, (360 * i) / marks);
    return [x, y];
  };
  return (
    <svg
      viewBox="0 0 200 200"
      className="size-44"
      role="img"
      aria-label={
        label ??
        (safe.length === 0
          ? 'Chasing dial: no mark is right'
          : `Chasing dial: marks ${safe.map((s) => s + 1).join(', ')} are right, counting the one first used as 1`)
      }
    >
      <circle cx="100" cy="100" r="84" fill="var(--inset)" stroke="var(--ink2)" strokeWidth="2" />
      <path d="M100 4l7 13h-14z" fill="var(--ink)" />
      {Array.from({ length: marks }, (_, i) => {
        const [x, y] = at(i, 58);
        const [x1, y1] = at(i, 72);
        const [x2, y2] = at(i, 84);
        const right = safe.includes(i);
        return (
          <g key={i}>
            <path
              d={`M${x1} ${y1}L${x2} ${y2}`}
              stroke={right ? 'var(--blue)' : 'var(--ink2)'}
              strokeWidth={right ? 5 : 2}
            />
            <circle cx={x} cy={y} r="12" fill={right ? 'var(--blue)' : 'none'} />
            <text
              x={x}
              y={y + 5}
              textAnchor="middle"
              fontSize="14"
              fontWeight={right ? 700 : 400}
              fill={right ? 'var(--onblue)' : 'var(--ink2)'}
            >
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
