import { ROW, PAD, Residuals } from './ResidualsPlate.tsx';
import { type ThreadSpec, pitchMmOf, threadFormOf, threadSizes } from '../../core/standards/thread.ts';
import type { Residual } from '../../core/identify/deciding.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Plate, type Size } from './Plate.tsx';
import { residualName, offText } from '../../words/reasons.ts';
import { outline } from '../../core/form/outline.ts';
import { Punched } from './marks.tsx';

export interface ReadLine {
  readonly label: string;
  readonly diameterMm: number;
}

const PITCHES = 2;

/** Below this width the two names stand under one another. */
const NARROW = 520;

interface Props {
  readonly threads: readonly [ThreadSpec] | readonly [ThreadSpec, ThreadSpec];
  readonly side: 'external' | 'internal';
  readonly lines: readonly ReadLine[];
  readonly residuals: readonly Residual[];
  readonly system: UnitSystem;
}

/** The two that are left, over what was read; below, what was read less what each would have, each row to its own scale. */
export function RivalsPlate(p: Props) {
  const [a, b] = p.threads;
  return (
    <Plate
      className="min-h-[26rem]"
      label={
        b
          ? `${a.designation} over ${b.designation}, with the diameters read; ${p.residuals.map((r) => `${residualName(r.reason)}: off by ${r.off.map((o) => offText(o, r.unit, p.system)).join(' and ')}`).join('; ')}`
          : `${a.designation}, with the diameters read`
      }
      draw={(size) => <Drawn {...p} {...size} />}
    />
  );
}

function Drawn({ threads, side, lines, residuals, system, w, h }: Props & Size) {
  const narrow = w < NARROW;
  const TOP = narrow ? 100 : 76;
  const first = threads[0];
  const span = PITCHES * pitchMmOf(first);
  const foot = residuals.length === 0 ? 20 : residuals.length * ROW + 58;
  const curves = threads.map((t) => {
    const p = pitchMmOf(t);
    const n = Math.max(2, 2 * Math.ceil(span / p / 2));
    // a groove of each lies on the middle of the plate
    return outline({ ...threadFormOf(t), taper: 0 }, side, p, threadSizes(t).pitchDiameterMm, n)
      .map((q) => ({ x: q.x - (n / 2) * p, y: q.y }))
      .filter((q) => Math.abs(q.x) <= span / 2 + p);
  });
  const ys = [...curves.flat().map((q) => q.y), ...lines.map((l) => l.diameterMm / 2)];
  const [top, bottom] = [Math.max(...ys), Math.min(...ys)];
  const room = Math.max(80, h - TOP - foot - PAD);
  const scale = Math.min((w - 2 * PAD) / span, room / Math.max(top - bottom, 1e-6));
  const x = (mm: number): number => w / 2 + mm * scale;
  const y = (r: number): number => TOP + PAD / 2 + (room - (top - bottom) * scale) / 2 + (top - r) * scale;
  const path = (pts: readonly { x: number; y: number }[]): string =>
    pts.map((q) => `${x(q.x).toFixed(1)} ${y(q.y).toFixed(1)}`).join('L');
  const [ca, cb] = curves;
  const angle = threads.map((t) => threadFormOf(t).leadingDeg + threadFormOf(t).trailingDeg);
  const differ = angle[1] !== undefined && Math.abs((angle[0] ?? 0) - angle[1]) > 0.2;
  return (
    <>
      <defs>
        <clipPath id="rivals">
          <rect x={PAD} y={TOP - 10} width={w - 2 * PAD} height={room + PAD + 20} />
        </clipPath>
      </defs>
      <text x={PAD} y="36" fontSize={narrow ? 15 : 20} fontWeight="700" fill="var(--scribe)">
        {threads.length === 2 ? 'The two likeliest, over what was read' : 'The likeliest, over what was read'}
      </text>
      {threads.map((t, i) => (
        <g
          key={t.designation}
          transform={`translate(${narrow ? PAD : PAD + i * Math.min(330, w / 2 - PAD)} ${narrow ? 60 + i * 24 : 60})`}
        >
          <path d="M0 0H34" stroke="var(--scribe)" strokeWidth="3.5" {...(i ? { strokeDasharray: '9 5' } : {})} />
          <text x="44" y="6" fontSize="17" fontFamily="var(--font-mono)" fill="var(--scribe)">
            {t.designation}
          </text>
        </g>
      ))}
      <g clipPath="url(#rivals)">
        {ca && (
          <path
            d={`M${path(ca)}V${side === 'external' ? h - foot : TOP - 10}H${x(ca[0]?.x ?? 0)}Z`}
            fill="url(#hatch)"
          />
        )}
        {ca && cb && (
          <path
            d={`M${path(ca)}L${path(cb.toReversed())}Z`}
            fill="var(--scribe2)"
            fillOpacity="0.45"
            fillRule="evenodd"
          />
        )}
        {curves.map((c, i) => (
          <path
            key={i}
            d={`M${path(c)}`}
            fill="none"
            stroke="var(--scribe)"
            strokeWidth="3.2"
            strokeLinejoin="round"
            {...(i ? { strokeDasharray: '11 6' } : {})}
          />
        ))}
      </g>
      {lines.map((l, i) => (
        <g key={i}>
          <path d={`M${PAD} ${y(l.diameterMm / 2)}H${w - PAD}`} stroke="var(--scribe)" strokeWidth="1.4" />
          <Punched x={w - PAD - 20 - i * 22} y={y(l.diameterMm / 2)} />
          <text
            x={PAD + 6}
            y={y(l.diameterMm / 2) + (i % 2 === 0 ? -6 : 18)}
            fontSize="15"
            fontFamily="var(--font-mono)"
            fill="var(--scribe)"
            stroke="var(--plate)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            read {l.label}
          </text>
        </g>
      ))}
      {differ && (
        <text
          x={w / 2}
          y={side === 'external' ? y(top) + 30 : y(bottom) - 14}
          textAnchor="middle"
          fontSize={narrow ? 22 : 34}
          fontWeight="700"
          fontFamily="var(--font-mono)"
          fill="var(--straw)"
          stroke="var(--plate)"
          strokeWidth="6"
          paintOrder="stroke"
        >
          {angle.map((d) => `${Number(d.toFixed(1))}\u00b0`).join(' or ')}
        </text>
      )}
      {residuals.length > 0 && <Residuals rows={residuals} system={system} w={w} y={h - foot + 26} />}
    </>
  );
}
