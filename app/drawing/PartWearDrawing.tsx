import type { WearProfile } from '../../core/evidence/wearMap.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Punched } from './marks.tsx';
import { lengthText } from '../../core/quantity/format.ts';

export function Block({ x, w, axis, r, known }: { x: number; w: number; axis: number; r: number; known: boolean }) {
  return (
    <rect
      x={x}
      y={axis - r}
      width={w}
      height={2 * r}
      fill="url(#hatch)"
      stroke="var(--scribe)"
      strokeWidth="2"
      {...(known ? {} : { strokeDasharray: '8 5' })}
    />
  );
}

/** One side of the thread as a toothed line; plain where its pitch is not known or too fine to draw. */
export function toothed(
  free: number,
  far: number,
  axis: number,
  s: number,
  outer: number,
  inner: number,
  grow: number,
  crests: number,
): string {
  const at = (t: number, deep: boolean): string =>
    `${(free + (far - free) * t).toFixed(1)} ${(axis + s * ((deep ? inner : outer) + grow * t)).toFixed(1)}`;
  if (crests === 0) return `M${at(0, false)}L${at(1, false)}M${at(0, true)}L${at(1, true)}`;
  const parts = [`M${at(0, true)}`];
  for (let i = 0; i < crests; i += 1) {
    parts.push(`L${at((i + 0.3) / crests, false)}L${at((i + 0.7) / crests, false)}L${at((i + 1) / crests, true)}`);
  }
  return parts.join('');
}

/** What is worn off along the part, enlarged. */
export function Worn({
  wear,
  x,
  top,
  system,
  end,
}: {
  readonly wear: WearProfile;
  readonly x: (mm: number) => number;
  readonly top: number;
  readonly system: UnitSystem;
  readonly end: number;
}) {
  const H = 26;
  const most = Math.max(wear.worstMm, 0.05);
  const y = (d: number): number => top + (Math.abs(wear.referenceMm - d) / most) * H;
  const line = wear.spots.map((s, i) => `${i === 0 ? 'M' : 'L'}${x(s.positionMm)} ${y(s.diameterMm)}`).join('');
  const [a, b] = [wear.spots[0], wear.spots.at(-1)];
  return (
    <g>
      <path
        d={`${line}L${x(b?.positionMm ?? 0)} ${top}L${x(a?.positionMm ?? 0)} ${top}Z`}
        fill="var(--scribe2)"
        fillOpacity="0.25"
      />
      <path d={line} fill="none" stroke="var(--scribe)" strokeWidth="2" />
      {wear.spots.map((s, i) => (
        <Punched key={i} x={x(s.positionMm)} y={y(s.diameterMm)} r={5} />
      ))}
      <text
        x={end - 6}
        y={top + H + 14}
        textAnchor="end"
        fontSize="15"
        fill="var(--scribe2)"
        style={{ paintOrder: 'stroke' }}
      >
        worn off: up to {lengthText(wear.worstMm, system, { stepMm: 0.01, stepIn: 0.0005 })}
      </text>
    </g>
  );
}
