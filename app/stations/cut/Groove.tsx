import { tanDeg } from '../../../core/quantity/units.ts';

interface GrooveProps {
  readonly depths: readonly number[];
  readonly done: number;
  readonly slope: readonly [number, number];
  readonly flat: number;
  readonly angle: number | null;
}

/** The groove filling up: cut passes grey, the coming one lit. Fed at an angle, the tip drifts along with the slide. */
export function Groove({ depths, done, slope, flat, angle }: GrooveProps) {
  const full = depths.at(-1) ?? 1;
  const drift = angle === null ? (slope[0] - slope[1]) / 2 : tanDeg(angle);
  const span = Math.max(flat + full * (slope[0] + slope[1]), full) * 1.25;
  const scale = 200 / span;
  const shape = (d: number): string => {
    // the tip's centre for this depth: the trailing flank stays where the slide runs along it
    const c = drift * (full - d) * scale;
    const y = d * scale;
    const half = (flat / 2) * scale;
    const mid = 110 + c - (drift * full * scale) / 2;
    return `M${mid - half - y * slope[1]} 14 L${mid - half} ${14 + y} L${mid + half} ${14 + y} L${mid + half + y * slope[0]} 14 Z`;
  };
  const height = full * scale + 40;
  return (
    <svg
      viewBox={`0 0 220 ${height}`}
      className="max-h-56 w-full"
      role="img"
      aria-label={`Groove after ${done} of ${depths.length} passes`}
    >
      <rect x="0" y="14" width="220" height={height - 14} fill="var(--inset)" />
      {depths
        .map((d, i) => ({ d, i }))
        .toReversed()
        .map(({ d, i }) => (
          <path
            key={i}
            d={shape(d)}
            fill={i < done ? 'var(--panel)' : i === done ? 'var(--blue)' : 'var(--line)'}
            stroke="var(--panel)"
            strokeWidth="0.8"
          />
        ))}
      <path d="M0 14H220" stroke="var(--ink2)" strokeWidth="1.5" />
    </svg>
  );
}
