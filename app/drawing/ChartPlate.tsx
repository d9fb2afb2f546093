import { bandMm, CHART_SIGNS, chartLines, type Chart, type ChartTurn } from '../../core/sheet/chart.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Plate } from './Plate.tsx';
import { pathOf } from './toolPath.ts';

/** A CSS pixel is so many mm by its definition; a screen's own are told by a rule laid on it. */
export const CSS_PX_PER_MM = 96 / 25.4;
const RULE_MM = 50;

/** The form with its band as large as chosen, to lay a shadow on: the screen as the comparator's glass. */
export function ChartPlate({
  chart,
  scale,
  turn,
  pxPerMm,
  unit,
}: {
  readonly chart: Chart;
  readonly scale: number;
  readonly turn: ChartTurn;
  readonly pxPerMm: number;
  readonly unit: UnitSystem;
}) {
  const [fx, fy] = CHART_SIGNS[turn];
  const k = scale * pxPerMm;
  return (
    <Plate
      className="chart-plate"
      label={`Comparator chart, one groove, ${scale} times: pitch diameter ${lengthText(chart.minMm, unit, FINE)} to ${lengthText(chart.maxMm, unit, FINE)}`}
      draw={({ w, h }) => {
        const lines = chartLines(chart, w / k);
        const ys = lines.aim.map((p) => p.y);
        const lift = (Math.max(...ys) + Math.min(...ys)) / 2;
        const at = (p: { readonly x: number; readonly y: number }) => ({
          x: w / 2 + fx * p.x * k,
          y: (h - FOOT) / 2 + 12 - fy * (p.y - lift) * k,
        });
        const out = lines.out.map(at);
        const inner = lines.in.map(at);
        const pitchY = at({ x: 0, y: 0 }).y;
        return (
          <g>
            <path d={`${pathOf([...out, ...inner.toReversed()], true)}`} fill="var(--scribe)" opacity="0.9" />
            <path
              d={pathOf(lines.aim.map(at), false)}
              fill="none"
              stroke={bandMm(chart) * k < SEEN_PX ? 'var(--scribe)' : '#17130a'}
              strokeWidth="1.5"
              strokeDasharray="10 4 2 4"
            />
            <path
              d={`M${w / 2} 56V${h - FOOT}M8 ${pitchY}H${w - 8}`}
              stroke="var(--scribe2)"
              strokeDasharray="14 4 3 4"
            />
            <text x="22" y="34" fontSize="20" fontWeight="700" fill="var(--scribe)">
              Comparator chart
              <tspan fontWeight="400" fontSize="16" dx="12">
                one groove, &times; {scale}
              </tspan>
            </text>
            <text x="22" y={pitchY - 8} fontSize="16" fill="var(--scribe)" fontFamily="var(--font-mono)">
              {lengthText(chart.minMm, unit, { ...FINE, bare: true })} to {lengthText(chart.maxMm, unit, FINE)}
            </text>
            <g stroke="var(--scribe)" strokeWidth="1.5">
              {Array.from({ length: RULE_MM + 1 }, (_, i) => (
                <path key={i} d={`M${24 + i * pxPerMm} ${h - 30}v${i % 10 === 0 ? -20 : i % 5 === 0 ? -14 : -8}`} />
              ))}
              <path d={`M24 ${h - 30}h${RULE_MM * pxPerMm}`} />
            </g>
            <text x={24 + RULE_MM * pxPerMm + 12} y={h - 32} fontSize="16" fill="var(--scribe)">
              {RULE_MM} mm
            </text>
          </g>
        );
      }}
    />
  );
}
const FOOT = 64;
/** A band narrower than this is drawn as one line. */
const SEEN_PX = 4;
