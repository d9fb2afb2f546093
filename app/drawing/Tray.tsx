import { useRef } from 'react';
import { useSize } from '../ui/useSize.ts';

/** Largest a gear is drawn, and the least that its number still fits in, px across. */
const MOST = 92;
const LEAST = 30;
const GAP = 6;

/** The gears owned, to one scale, as they lie in the tray: those in use leave a hollow. */
export function Tray({ gears, used }: { readonly gears: readonly number[]; readonly used: readonly number[] }) {
  const box = useRef<HTMLDivElement>(null);
  const { w } = useSize(box, { w: 480, h: 100 });
  const sorted = gears.toSorted((a, b) => a - b);
  const largest = Math.max(1, ...sorted);
  const sum = sorted.reduce((s, t) => s + t, 0);
  const scale = Math.min(
    MOST / largest,
    Math.max(LEAST / (sorted[0] ?? 20), (w - GAP * sorted.length) / Math.max(1, sum)),
  );
  const left = [...used];
  return (
    <div
      ref={box}
      role="img"
      aria-label={`Gears owned: ${sorted.join(', ')}${used.length > 0 ? `; in use: ${used.join(', ')}` : ''}`}
      className="flex flex-wrap items-center gap-1.5 rounded-[4px] border border-line bg-inset p-2"
    >
      {sorted.map((teeth, i) => {
        const at = left.indexOf(teeth);
        if (at >= 0) left.splice(at, 1);
        const out = at >= 0;
        const d = Math.max(LEAST, teeth * scale);
        return (
          <svg key={i} width={d} height={d} viewBox="-50 -50 100 100" aria-hidden>
            <circle
              r="46"
              fill={out ? 'none' : 'var(--page2)'}
              stroke="var(--edge)"
              strokeWidth={out ? 2 : 5}
              strokeDasharray={out ? '8 6' : `${(2 * Math.PI * 46) / teeth / 2}`}
            />
            <text
              y={Math.min(18, 1100 / d) / 2.6}
              textAnchor="middle"
              fontSize={Math.min(42, 1500 / d)}
              fontWeight="700"
              fontFamily="var(--font-mono)"
              fill={out ? 'var(--ink2)' : 'var(--ink)'}
            >
              {teeth}
            </text>
          </svg>
        );
      })}
    </div>
  );
}
