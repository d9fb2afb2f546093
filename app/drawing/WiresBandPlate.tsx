import type { UnitSystem } from '../../core/quantity/units.ts';
import type { MeasurePlan } from '../../core/job/measure.ts';
import type { Size } from './Plate.tsx';
import { lengthText, FINE } from '../../core/quantity/format.ts';
import { Arrow, Punched } from './marks.tsx';

export interface WiresProps {
  readonly wires: MeasurePlan;
  readonly unit: UnitSystem;
}

const HEAD = 58;

const FOOT = 28;

/** Readings that have room beside one another. */
const SHOWN = 8;

/** The band of what it should say, with everything it said in order, each as wide as it is sure, and what the unworn part had. */
export function Band({ wires, unit, x, w, h }: WiresProps & Size & { readonly x: number }) {
  const { min, max } = wires.rightMm;
  const said = wires.measured.slice(-SHOWN);
  const unworn = wires.unwornMm;
  const near = unworn !== null && Math.abs(unworn - wires.targetMm) < FAR_MM ? unworn : null;
  const all = [min, max, wires.targetMm, ...said.map((m) => m.shownMm), ...(near === null ? [] : [near])];
  const spread = Math.max(...all) - Math.min(...all);
  const [low, high] = [Math.min(...all) - spread * 0.18, Math.max(...all) + spread * 0.18];
  const y = (mm: number): number => h - FOOT - ((mm - low) / (high - low)) * (h - HEAD - FOOT);
  const bar = { x: x + Math.min(120, w * 0.3), width: Math.min(110, w * 0.24) };
  const text = bar.x + bar.width + 16;
  const bare = (mm: number): string => lengthText(mm, unit, { ...FINE, bare: true });
  const last = said.at(-1);
  const big = Math.min(27, w / 13);
  const spot = (i: number): number => bar.x + (bar.width * (i + 1)) / (said.length + 1);
  // figures keep clear of one another
  const limits = [max, min].filter((m) => Math.abs(y(m) - y(wires.targetMm)) > 26);
  return (
    <g fontFamily="var(--font-mono)" fill="var(--scribe)">
      <text x={x + 22} y="34" fontFamily="var(--font-sans)" fontSize={Math.min(20, w / 16)} fontWeight="700">
        {wires.by === 'balls' ? 'What is between the balls' : 'What the micrometer should say'}
      </text>
      <rect x={bar.x} y={HEAD} width={bar.width} height={h - HEAD - FOOT} fill="var(--deep)" stroke="var(--scribe2)" />
      <rect x={bar.x} y={y(max)} width={bar.width} height={Math.max(3, y(min) - y(max))} fill="#fff" />
      {limits.map((m) => (
        <g key={m}>
          <path d={`M${bar.x - 8} ${y(m)}h8`} stroke="var(--scribe)" />
          <text x={bar.x - 12} y={y(m) + 5} fontSize="16" textAnchor="end">
            {bare(m)}
          </text>
        </g>
      ))}
      {last && last.verdict !== 'at-size' && said.length === 1 && (
        <Arrow
          from={{ x: bar.x + bar.width / 2, y: y(last.shownMm) }}
          to={{ x: bar.x + bar.width / 2, y: y(wires.targetMm) }}
        />
      )}
      <rect
        x={bar.x - 8}
        y={y(wires.targetMm) - 4}
        width={bar.width + 16}
        height="8"
        fill="var(--straw)"
        stroke="#17130a"
      />
      <text x={text} y={y(wires.targetMm) + 9} fontSize={big} fontWeight="700" fill="var(--straw)">
        {bare(wires.targetMm)}
      </text>
      {near !== null && (
        <g>
          <path d={`M${bar.x} ${y(near)}h${bar.width}`} stroke="var(--scribe2)" strokeWidth="3" strokeDasharray="8 5" />
          {Math.abs(y(near) - y(wires.targetMm)) > 30 && (
            <text x={text} y={y(near) + 5} fontSize="16">
              {bare(near)}
              <tspan x={text} dy="18" fontFamily="var(--font-sans)">
                unworn, as read
              </tspan>
            </text>
          )}
        </g>
      )}
      {said.length > 1 && (
        <path
          d={said.map((m, i) => `${i === 0 ? 'M' : 'L'}${spot(i)} ${y(m.shownMm)}`).join('')}
          fill="none"
          stroke="#7186b8"
          strokeWidth="2"
        />
      )}
      {said.map((m, i) => {
        const close = Math.abs(y(m.shownMm) - y(wires.targetMm)) < 30;
        const u = y(m.shownMm - 2 * m.uncertaintyMm) - y(m.shownMm);
        return (
          <g key={m.n}>
            {/* seen on the white of the band and on the dark beside it */}
            {(['#ffffff', '#17130a'] as const).map((stroke, k) => (
              <path
                key={stroke}
                d={`M${spot(i)} ${y(m.shownMm) - u}V${y(m.shownMm) + u}m-5 0h10m-10 ${-2 * u}h10`}
                stroke={stroke}
                strokeWidth={k === 0 ? 5 : 2}
                fill="none"
              />
            ))}
            <Punched x={spot(i)} y={y(m.shownMm)} r={8} />
            {m === last && (
              <text
                x={text}
                y={y(m.shownMm) + (close ? (m.shownMm > wires.targetMm ? -22 : 38) : 6)}
                fontSize="19"
                fontWeight="700"
              >
                {m.text}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** What the unworn part had is shown beside a size near it, mm; further off it would make the band a line. */
const FAR_MM = 0.4;
