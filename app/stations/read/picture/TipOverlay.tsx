import type { TipRead } from '../../../../core/profile/tip.ts';

/** An edge by the places where it was found. */
export const EdgeDots = ({
  of,
  stroke,
  unit,
}: {
  readonly of: { readonly x: Float32Array; readonly y: Float32Array };
  readonly stroke: string;
  readonly unit: number;
}) => (
  <path
    d={Array.from(of.x, (x, i) => `M${x.toFixed(1)} ${(of.y[i] ?? 0).toFixed(1)}h0`).join('')}
    stroke={stroke}
    strokeWidth={1.8 * unit}
    strokeLinecap="round"
  />
);

/** Edge of a tool and the lines of its two flanks. */
export function TipFound({ seen, unit }: { readonly seen: NonNullable<TipRead['seen']>; readonly unit: number }) {
  return (
    <>
      <EdgeDots of={seen} stroke="var(--scribe)" unit={unit} />
      {seen.flanks.map(([x0, y0, x1, y1]) => (
        <line
          key={x1}
          x1={x0}
          y1={y0}
          x2={x1}
          y2={y1}
          stroke="var(--straw)"
          strokeWidth={2 * unit}
          strokeDasharray={`${10 * unit} ${6 * unit}`}
        />
      ))}
    </>
  );
}
