import { outline } from '../../core/form/outline.ts';
import { threadFormOf, pitchMmOf, threadSizes, type ThreadSpec } from '../../core/standards/thread.ts';
import { STROKES } from './FormOverlay.tsx';

export interface ReadLine {
  readonly label: string;
  readonly diameterMm: number;
}

const W = 720;
const LEFT = 110;
const PITCHES = 3;
const PAD = 22;

/** The leading candidates laid over each other at their true sizes, with the diameters that were read as lines across. */
export function CandidateOverlay({
  threads,
  side,
  lines,
}: {
  readonly threads: readonly ThreadSpec[];
  readonly side: 'external' | 'internal';
  readonly lines: readonly ReadLine[];
}) {
  const first = threads[0];
  if (!first) return null;
  const span = PITCHES * pitchMmOf(first);
  const drawn = threads.map((t) => {
    const p = pitchMmOf(t);
    return outline(
      { ...threadFormOf(t), taper: 0 },
      side,
      p,
      threadSizes(t).pitchDiameterMm,
      Math.max(1, Math.ceil(span / p)),
    ).filter((q) => q.x <= span);
  });
  const ys = [...drawn.flat().map((q) => q.y), ...lines.map((l) => l.diameterMm / 2)];
  const [top, bottom] = [Math.max(...ys), Math.min(...ys)];
  const scale = (W - LEFT) / span;
  const height = Math.min(420, (top - bottom) * scale + 2 * PAD);
  const sy = (height - 2 * PAD) / Math.max(1e-6, top - bottom);
  const y = (r: number): number => PAD + (top - r) * sy;
  return (
    <figure>
      <svg
        viewBox={`0 0 ${W} ${height}`}
        className="plate w-full"
        role="img"
        aria-label={`${threads.map((t) => t.designation).join(' over ')}, with the diameters read`}
      >
        {lines.map((l, i) => (
          <g key={i}>
            <path d={`M${LEFT} ${y(l.diameterMm / 2)}H${W}`} stroke="var(--scribe2)" strokeWidth="1.2" />
            <text
              x={LEFT - 6}
              y={y(l.diameterMm / 2) + (i === 0 ? -3 : 12)}
              textAnchor="end"
              fontSize="11.5"
              fill="var(--scribe2)"
            >
              {l.label}
            </text>
          </g>
        ))}
        {drawn.map((pts, i) => {
          const stroke = STROKES[i % STROKES.length] ?? STROKES[0];
          return (
            <path
              key={threads[i]?.designation}
              d={pts
                .map((q, k) => `${k === 0 ? 'M' : 'L'}${(LEFT + q.x * scale).toFixed(1)} ${y(q.y).toFixed(1)}`)
                .join(' ')}
              fill="none"
              stroke={stroke.colour}
              strokeWidth="2.6"
              strokeDasharray={stroke.dash}
            />
          );
        })}
      </svg>
      <figcaption className="text-sm text-ink2">
        {threads.map((t, i) => `${t.designation} (${STROKES[i % STROKES.length]?.word ?? ''})`).join(', ')}; lines
        across: the diameters read. True sizes.
      </figcaption>
    </figure>
  );
}
