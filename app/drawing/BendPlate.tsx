import { scaleLinear } from 'd3-scale';
import type { Holding, Rest } from '../../core/cutting/holding.ts';
import type { Answer } from '../../core/job/holdingView.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { HeldWork } from './HeldWork.tsx';
import { Plate, type Size } from './Plate.tsx';
import { pathOf } from './toolPath.ts';

interface Props {
  readonly atMm: readonly number[];
  readonly freeMm: number;
  readonly diameterMm: number;
  readonly by: Holding;
  readonly rest: Rest;
  readonly steadyAtMm: number | null;
  readonly now: Answer;
  /** What is proposed instead; null: as held will do. */
  readonly best: Answer | null;
  readonly allowedMm: number;
  readonly system: UnitSystem;
}

/** The work as it is held, and below it by how much it comes out big along its length. */
export function BendPlate(p: Props) {
  const mm = (x: number): string => lengthText(x, p.system, FINE);
  return (
    <Plate
      label={`How big it comes out along its length: as held ${mm(p.now.along.worstMm)}${p.best ? `, with the answer ${mm(p.best.along.worstMm)}` : ''}; it may be ${mm(p.allowedMm)}`}
      className="min-h-112"
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

/** Under this the curves' foot is kept apart from the figures, px. */
const FOOT = 46;
const LEFT = 84;

function Drawing({ atMm, freeMm, diameterMm, by, rest, steadyAtMm, now, best, allowedMm, system, w, h }: Props & Size) {
  const right = w - 46;
  const x = scaleLinear([0, freeMm], [LEFT, right]);
  const axis = 118;
  const most = Math.max(now.along.worstMm, allowedMm, best?.along.worstMm ?? 0) * 1.12;
  const top = w < 560 ? 232 : 210;
  const y = scaleLinear([0, most], [h - FOOT - 18, top]);
  const bare = (mm: number): string => lengthText(mm, system, { ...FINE, bare: true });
  const half = Math.min(34, Math.max(7, ((diameterMm / 2) * (right - LEFT)) / freeMm));
  const line = (a: Answer): string =>
    pathOf(
      a.along.bigMm.map((big, i) => ({ x: x(atMm[i] ?? 0), y: y(big) })),
      false,
    );
  const from = x(atMm[0] ?? 0);
  const peak = now.along.bigMm.indexOf(now.along.worstMm);
  const peakX = x(atMm[peak] ?? 0);
  const steady = rest === 'steady' ? steadyAtMm : best?.by === 'steady' ? best.figure : null;
  return (
    <>
      <HeldWork {...{ by, rest, axis, half, from, right, w, left: LEFT, steady: steady === null ? null : x(steady) }} />
      <text x="22" y={w < 560 ? top - 28 : top - 22} fontSize="18" fontWeight="700" fill="var(--scribe)">
        big on diameter, {system === 'mm' ? 'mm' : 'in'}
      </text>
      <rect
        x={LEFT}
        y={y(Math.min(allowedMm, most))}
        width={right - LEFT}
        height={Math.max(0, y(0) - y(Math.min(allowedMm, most)))}
        fill="var(--scribe)"
        opacity="0.9"
      />
      {y.ticks(4).map((t) => (
        <g key={t}>
          <path d={`M${LEFT - 6} ${y(t)}H${right}`} stroke="var(--scribe2)" strokeWidth="1" opacity="0.55" />
          <text
            x={LEFT - 12}
            y={y(t) + 5}
            textAnchor="end"
            fontSize="15"
            fontFamily="var(--font-mono)"
            fill="var(--scribe)"
          >
            {bare(t)}
          </text>
        </g>
      ))}
      {x.ticks(Math.max(3, Math.floor((right - LEFT) / 110))).map((t) => (
        <text
          key={t}
          x={x(t)}
          y={h - FOOT + 8}
          textAnchor="middle"
          fontSize="15"
          fontFamily="var(--font-mono)"
          fill="var(--scribe)"
        >
          {lengthText(t, system, { stepMm: 1, stepIn: 0.1, bare: true })}
        </text>
      ))}
      <text x={right} y={h - 14} textAnchor="end" fontSize="15" fill="var(--scribe2)">
        from the {by === 'centres' ? 'driven end' : 'jaws'}
      </text>
      <path d={line(now)} fill="none" stroke="#0e2257" strokeWidth="7" />
      <path d={line(now)} fill="none" stroke="var(--scribe)" strokeWidth="3" />
      {best && (
        <>
          <path d={line(best)} fill="none" stroke="#17130a" strokeWidth="7" />
          <path d={line(best)} fill="none" stroke="var(--straw)" strokeWidth="4" />
        </>
      )}
      <text
        x={Math.min(right - 60, Math.max(LEFT + 70, peakX))}
        y={y(now.along.worstMm) - 10}
        textAnchor="middle"
        fontSize="18"
        fontWeight="700"
        fill="var(--scribe)"
        stroke="#0e2257"
        strokeWidth="5"
        paintOrder="stroke"
      >
        as held {bare(now.along.worstMm)}
      </text>
      <g
        transform={`translate(${w < 560 ? 22 : right - 300} ${w < 560 ? top - 2 : top - 26})`}
        fontSize="16"
        fill="var(--scribe)"
      >
        <rect x="0" y="-9" width="22" height="12" fill="var(--scribe)" />
        <text x="30" y="2">
          may be {bare(allowedMm)}
        </text>
        {best && (
          <>
            <rect x="150" y="-6" width="22" height="6" fill="var(--straw)" stroke="#17130a" />
            <text x="180" y="2">
              so {bare(best.along.worstMm)}
            </text>
          </>
        )}
      </g>
    </>
  );
}
