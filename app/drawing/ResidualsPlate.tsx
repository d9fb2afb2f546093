import type { Residual } from '../../core/identify/deciding.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { residualName, offText } from '../../words/reasons.ts';

export const ROW = 34;

export const PAD = 26;

/** What was read less what each would have: the full dot is the first, the ring the second. */
export function Residuals({
  rows,
  system,
  w,
  y,
}: {
  readonly rows: readonly Residual[];
  readonly system: UnitSystem;
  readonly w: number;
  readonly y: number;
}) {
  const [left, right] = [PAD + 120, w - PAD - 190];
  const middle = (left + right) / 2;
  return (
    <g fontSize="15" fill="var(--scribe2)">
      <path d={`M${PAD} ${y - 18}H${w - PAD}`} stroke="var(--scribe2)" />
      <text x={PAD} y={y + 2}>
        read, less what it would be
      </text>
      <path d={`M${middle} ${y + 10}V${y + 14 + rows.length * ROW}`} stroke="var(--scribe)" strokeDasharray="6 4" />
      {rows.map((r, i) => {
        const at = y + 10 + (i + 0.5) * ROW;
        const most = Math.max(Math.abs(r.off[0]), Math.abs(r.off[1]));
        const to = (off: number): number => middle + (most === 0 ? 0 : (off / most) * ((right - left) / 2 - 8));
        return (
          <g key={i}>
            <text x={PAD} y={at + 5}>
              {residualName(r.reason)}
            </text>
            <path d={`M${middle} ${at - 4}H${to(r.off[0])}`} stroke="var(--scribe)" strokeWidth="3" />
            <path
              d={`M${middle} ${at + 5}H${to(r.off[1])}`}
              stroke="var(--scribe)"
              strokeWidth="3"
              strokeDasharray="7 4"
            />
            <circle cx={to(r.off[0])} cy={at - 4} r="5.5" fill="var(--scribe)" />
            <circle cx={to(r.off[1])} cy={at + 5} r="5" fill="var(--deep)" stroke="var(--scribe)" strokeWidth="2.5" />
            {r.off.map((off, k) => (
              <text
                key={k}
                x={w - PAD - (1 - k) * 86}
                y={at + 5}
                textAnchor="end"
                fontFamily="var(--font-mono)"
                fill="var(--scribe)"
              >
                {offText(off, r.unit, system)}
              </text>
            ))}
          </g>
        );
      })}
    </g>
  );
}
