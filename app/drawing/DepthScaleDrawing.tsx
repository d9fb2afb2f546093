import { type UnitSystem, inches } from '../../core/quantity/units.ts';
import { lengthText } from '../../core/quantity/format.ts';

/** Steps of a scale that a hand reads, finest first, in the unit of the dial. */
const STEPS = { mm: [0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10], in: [0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5] } as const;

const NEAREST_PX = 16;

export function DepthScale({
  x,
  y,
  full,
  unit,
  at,
  scale,
}: {
  readonly x: number;
  readonly y: (mm: number) => number;
  readonly full: number;
  readonly unit: UnitSystem;
  readonly at: number;
  readonly scale: number;
}) {
  const mm = (n: number): number => (unit === 'mm' ? n : inches(n));
  const step = STEPS[unit].find((s) => mm(s) * scale >= NEAREST_PX) ?? STEPS[unit][STEPS[unit].length - 1] ?? 1;
  const count = Math.floor(full / mm(step) + 1e-9);
  const named = Math.max(1, Math.ceil(count / 5));
  return (
    <g stroke="var(--scribe)" strokeWidth="2" fill="var(--scribe)" fontSize="16" fontFamily="var(--font-mono)">
      <path d={`M${x} ${y(0)}V${y(full)}`} />
      {Array.from({ length: count + 1 }, (_, i) => (
        <g key={i}>
          <path d={`M${x} ${y(mm(i * step))}h${i % named === 0 ? -14 : -8}`} strokeWidth="1.5" />
          {i > 0 && i % named === 0 && (
            <text x={x - 18} y={y(mm(i * step)) + 5} textAnchor="end" stroke="none">
              {lengthText(mm(i * step), unit, { bare: true, stepMm: Math.min(step, 1), stepIn: Math.min(step, 0.1) })}
            </text>
          )}
        </g>
      ))}
      <path d={`M${x + 3} ${y(at)}l15 -9v18z`} fill="var(--straw)" stroke="#17130a" />
    </g>
  );
}
