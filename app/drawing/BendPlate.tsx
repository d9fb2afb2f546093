import { scaleLinear } from 'd3-scale';
import type { Holding, Rest } from '../../core/cutting/holding.ts';
import type { Answer } from '../../core/job/holdingView.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
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
  const nearer = rest !== 'steady';
  const crests = Math.min(90, Math.max(6, Math.round((right - from) / 9)));
  return (
    <>
      <text x="22" y="34" fontSize="20" fontWeight="700" fill="var(--scribe)">
        {'\u25c2 headstock'}
      </text>
      <text x={w - 22} y="34" textAnchor="end" fontSize="16" fill="var(--scribe2)">
        from above
      </text>
      {by === 'centres' ? (
        <path
          d={`M20 ${axis - 22}L${LEFT} ${axis}L20 ${axis + 22}Z`}
          fill="none"
          stroke="var(--scribe)"
          strokeWidth="2.5"
        />
      ) : (
        <g fill="url(#hatch)" stroke="var(--scribe)" strokeWidth="2.5">
          <path d={`M20 ${axis - 52}H${LEFT - 22}V${axis + 52}H20`} />
          <rect x={LEFT - 46} y={axis - half - 18} width="46" height="18" fill="var(--deep)" />
          <rect x={LEFT - 46} y={axis + half} width="46" height="18" fill="var(--deep)" />
        </g>
      )}
      <path
        d={`M${LEFT} ${axis - half}H${right}V${axis + half}H${LEFT}Z`}
        fill="none"
        stroke="var(--scribe)"
        strokeWidth="2.5"
      />
      <path
        d={Array.from({ length: crests }, (_, i) => {
          const at = from + ((right - from) * i) / crests;
          return `M${at} ${axis + half}l4 ${-2 * half}`;
        }).join('')}
        stroke="var(--scribe2)"
        strokeWidth="1.2"
      />
      <path d={`M${LEFT - 30} ${axis}H${w - 14}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      {(by === 'chuck-centre' || by === 'centres') && (
        <path d={`M${right} ${axis}l26 -15h16v30h-16Z`} fill="var(--deep)" stroke="var(--scribe)" strokeWidth="2.5" />
      )}
      {rest === 'follow' && (
        <text x={(from + right) / 2} y={axis - half - 12} textAnchor="middle" fontSize="17" fill="var(--scribe)">
          follow rest goes with the tool
        </text>
      )}
      {steady !== null && (
        <g strokeDasharray={nearer ? '5 4' : undefined}>
          <rect
            x={x(steady) - 8}
            y={axis - half - 28}
            width="16"
            height="28"
            fill="url(#steel)"
            stroke="var(--scribe)"
            strokeWidth="2"
          />
          <rect
            x={x(steady) - 8}
            y={axis + half}
            width="16"
            height="28"
            fill="url(#steel)"
            stroke="var(--scribe)"
            strokeWidth="2"
          />
        </g>
      )}
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

/** Whether the chuck holds: what it gives as a bracket, what the hardest pass asks as a mark. */
export function GripBar({
  least,
  most,
  needs,
  w,
}: {
  readonly least: number;
  readonly most: number;
  readonly needs: number;
  readonly w: number;
}) {
  const end = Math.max(most, needs) * 1.15;
  const x = scaleLinear([0, end], [16, w - 16]);
  return (
    <svg
      viewBox={`0 0 ${w} 74`}
      className="w-full"
      role="img"
      aria-label={`The chuck gives ${(least / 1000).toFixed(1)} to ${(most / 1000).toFixed(1)} kN, the hardest pass asks ${(needs / 1000).toFixed(1)} kN with twice over`}
    >
      <path d={`M${x(0)} 48H${x(end)}`} stroke="currentColor" />
      {x.ticks(6).map((t) => (
        <g key={t}>
          <path d={`M${x(t)} 44v8`} stroke="currentColor" />
          <text x={x(t)} y="68" textAnchor="middle" fontSize="14" fill="currentColor" fontFamily="var(--font-mono)">
            {t / 1000}
          </text>
        </g>
      ))}
      <rect
        x={x(least)}
        y="22"
        width={x(most) - x(least)}
        height="26"
        fill="var(--inset)"
        stroke="currentColor"
        strokeWidth="2"
      />
      <rect x={x(needs) - 4} y="8" width="8" height="46" fill="var(--straw)" stroke="#17130a" strokeWidth="2" />
    </svg>
  );
}
