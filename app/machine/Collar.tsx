import { useRef } from 'react';
import { useSize } from '../ui/useSize.ts';

/** Distance of two divisions, px: far enough for half of one to be seen. */
const STEP = 41;
const HEIGHT = 80;

/**
 * The collar as the operator sees it, unrolled: the index in straw at what it has to show, an arrow where it is wound
 * back. Division numbers as they are struck on it: every tenth large, every fifth small.
 */
export function Collar({
  division,
  perTurn,
  back,
}: {
  readonly division: number;
  readonly perTurn: number;
  readonly back: boolean;
}) {
  const box = useRef<HTMLDivElement>(null);
  const { w } = useSize(box, { w: 700, h: HEIGHT });
  const middle = w / 2;
  const half = Math.ceil(middle / STEP) + 1;
  const first = Math.round(division) - half;
  const marks = Array.from({ length: 2 * half + 1 }, (_, i) => first + i);
  return (
    <div ref={box} className="collar mt-2 overflow-hidden" aria-hidden>
      <svg width={w} height={HEIGHT + 26} viewBox={`0 0 ${w} ${HEIGHT + 26}`} className="block">
        <defs>
          <linearGradient id="collar" x1="0" x2="1">
            <stop offset="0" stopColor="#9aa4ac" />
            <stop offset="0.3" stopColor="#eef0f2" />
            <stop offset="0.6" stopColor="#ffffff" />
            <stop offset="1" stopColor="#98a2aa" />
          </linearGradient>
        </defs>
        <rect x="0" y="24" width={w} height={HEIGHT} fill="url(#collar)" stroke="#12161a" strokeWidth="2" />
        <g stroke="#12161a" fill="#12161a" fontFamily="var(--font-mono)" textAnchor="middle">
          {marks.map((m) => {
            const x = middle + (m - division) * STEP;
            const n = ((m % perTurn) + perTurn) % perTurn;
            const ten = n % 10 === 0;
            const five = n % 5 === 0;
            return (
              <g key={m}>
                <path d={`M${x} 24v${ten ? 42 : five ? 32 : 24}`} strokeWidth={ten ? 3.5 : 2} />
                {five && (
                  <text x={x} y={HEIGHT + 14} fontSize={ten ? 30 : 24} fontWeight="700" stroke="none">
                    {n}
                  </text>
                )}
              </g>
            );
          })}
        </g>
        <rect x={middle - 4} y="26" width="8" height="38" fill="var(--straw)" stroke="#17130a" strokeWidth="1.5" />
        <path d={`M${middle - 15} 2h30l-15 22z`} fill="var(--straw)" stroke="var(--ink)" strokeWidth="2" />
        {back && (
          <path d={`M${middle - 210} 12h-70m14 -9l-16 9l16 9`} stroke="var(--ink)" strokeWidth="4" fill="none" />
        )}
      </svg>
    </div>
  );
}
