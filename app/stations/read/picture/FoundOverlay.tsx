import type { ProfileRead } from '../../../../core/profile/types.ts';
import { EdgeDots } from './TipOverlay.tsx';

/** Edges, axis, numbers of the teeth, and the stretches that were not used. */
export function Found({
  read,
  unit,
  badges,
  quiet,
}: {
  readonly read: ProfileRead;
  readonly unit: number;
  readonly badges: boolean;
  readonly quiet: boolean;
}) {
  const { seen } = read;
  if (!seen) return null;
  const [ax, ay, bx, by] = seen.axis;
  const long = Math.hypot(bx - ax, by - ay) || 1;
  const [c, s] = [(bx - ax) / long, (by - ay) / long];
  const half = (read.majorPx ?? 0) / 2 + 30 * unit;
  const pitch = read.pitchPx?.value ?? 0;
  const base = ax * c + ay * s;
  const stroke = quiet ? 'var(--straw)' : 'var(--scribe)';
  return (
    <>
      {seen.edges.map((e) => (
        <EdgeDots key={e.side} of={e} stroke={stroke} unit={unit} />
      ))}
      {leftOut(read).map(({ from, to, worn }) => {
        const corner = (along: number, across: number): string => {
          const d = along - base;
          return `${ax + d * c - across * s} ${ay + d * s + across * c}`;
        };
        const m = (from + to) / 2 - base;
        return (
          <g key={from}>
            <path
              d={`M${corner(from - pitch / 2, -half)}L${corner(to + pitch / 2, -half)}L${corner(to + pitch / 2, half)}L${corner(from - pitch / 2, half)}Z`}
              fill="url(#glass)"
            />
            <text
              x={ax + m * c}
              y={ay + m * s - 12 * unit}
              textAnchor="middle"
              fill="#f4f8ff"
              stroke="#0e2257"
              strokeWidth={4 * unit}
              paintOrder="stroke"
              fontSize={15 * unit}
              fontWeight="600"
            >
              {worn ? 'worn, left out' : 'left out'}
            </text>
          </g>
        );
      })}
      {read.confident && (
        <line
          x1={ax}
          y1={ay}
          x2={bx}
          y2={by}
          stroke={stroke}
          strokeWidth={1.4 * unit}
          strokeDasharray={`${16 * unit} ${4 * unit} ${3 * unit} ${4 * unit}`}
        />
      )}
      {read.confident &&
        seen.edges
          .filter((e) => e.side === -1 || seen.edges.length === 1)
          .flatMap((e) =>
            e.teeth.map((t, i) => (
              <text
                key={t.k}
                x={t.x}
                y={t.y + 30 * unit}
                textAnchor="middle"
                fontSize={13 * unit}
                fill={stroke}
                opacity={t.used ? 1 : 0.6}
                className="num"
              >
                {i + 1}
              </text>
            )),
          )}
      {badges &&
        seen.edges.map((e, i) => {
          const t = e.teeth[Math.floor(e.teeth.length / 8)];
          return (
            t && (
              <g key={e.side}>
                <rect
                  x={t.x - 15 * unit}
                  y={t.y + (e.side === -1 ? 44 : -74) * unit}
                  width={30 * unit}
                  height={30 * unit}
                  fill="#fbfaf6"
                  rx={3 * unit}
                />
                <text
                  x={t.x}
                  y={t.y + (e.side === -1 ? 66 : -52) * unit}
                  textAnchor="middle"
                  fontSize={20 * unit}
                  fontWeight="700"
                  fill="#12161a"
                >
                  {i + 1}
                </text>
              </g>
            )
          );
        })}
    </>
  );
}

/** Stretches of teeth that were not used, along the axis; worn where wear was found there. */
function leftOut(read: ProfileRead): readonly { readonly from: number; readonly to: number; readonly worn: boolean }[] {
  const out: { from: number; to: number; worn: boolean }[] = [];
  for (const e of read.seen?.edges.slice(0, 1) ?? [])
    for (const t of e.teeth) {
      const last = out.at(-1);
      if (t.used) continue;
      if (last && t.along - last.to < 1.5 * (read.pitchPx?.value ?? 0)) last.to = t.along;
      else out.push({ from: t.along, to: t.along, worn: false });
    }
  // the teeth at the ends are cut off by the picture: that is no finding
  return out
    .map((o) => ({ ...o, worn: read.wear.some((w) => o.to >= w.fromPx && o.from <= w.toPx) }))
    .filter((o) => o.worn || o.to > o.from);
}
