import type { GrooveRound, GrooveState } from '../../core/practice/groove.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import { tanDeg, type UnitSystem } from '../../core/quantity/units.ts';
import { Compass } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';

interface Props {
  readonly r: GrooveRound;
  readonly s: GrooveState;
  /** How far the groove is drawn from the tool, + towards the headstock, mm: as it is seen. */
  readonly seenMm: number;
  /** Answered: drawn as it cuts, with every slack where it is in the cut. */
  readonly shown: boolean;
  readonly unit: UnitSystem;
}

/** Tool and old groove from above, and the drive with its slack below. */
export function GroovePracticePlate(p: Props) {
  return (
    <Plate
      label={`Tool and groove from above: the groove is seen ${lengthText(Math.abs(p.seenMm), p.unit, FINE)} ${p.seenMm >= 0 ? 'towards the headstock' : 'towards the tailstock'}`}
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing({ r, s, seenMm, shown, unit, w, h }: Props & Size) {
  const scale = (w * 0.42) / r.pitchMm;
  const slope = tanDeg(r.flankDeg);
  const depth = Math.min((0.375 * r.pitchMm) / slope, 0.6 * r.pitchMm);
  const deep = Math.min(depth * scale, h * 0.26);
  const surface = h * 0.42;
  const flat = r.pitchMm * 0.5 - depth * slope;
  const half = (y: number): number =>
    (Math.max(flat * 0.5, 0.06 * r.pitchMm) + ((deep - y) / scale / (deep / scale)) * depth * slope) * scale;
  const c = w * 0.5;
  const pitch = r.pitchMm * scale;
  // the headstock is at the left
  const at = c - seenMm * scale;
  const wall = `M-30 ${surface}${[-2, -1, 0, 1, 2]
    .map((i) => {
      const x = at + i * pitch;
      return `L${x - half(0)} ${surface}L${x - half(deep)} ${surface - deep}L${x + half(deep)} ${surface - deep}L${x + half(0)} ${surface}`;
    })
    .join('')}L${w + 30} ${surface}V-20H-30Z`;
  const tip = shown ? surface - deep * 0.94 : surface + 26;
  const long = h * 0.2;
  const body = half(deep) * 0.96;
  const wide = body + long * slope * 0.9;
  const low = h * 0.72;
  const gap = Math.min(16, Math.max(6, r.carriageSlackMm * scale * 0.5));
  const shift = (s.slackTaken ? 1 : -1) * (r.leftHand ? 1 : -1) * gap;
  const tooth = (w * 0.55) / 3;
  const row = (dx: number, top: number, to: number): string =>
    [-1, 0, 1, 2, 3]
      .map((i) => {
        const x = w * 0.4 + i * tooth + dx;
        return `L${x} ${top}L${x + tooth * 0.14} ${to}L${x + tooth * 0.46} ${to}L${x + tooth * 0.6} ${top}`;
      })
      .join('')
      .slice(1);
  return (
    <>
      <path d={wall} fill="url(#hatch)" stroke="var(--scribe)" strokeWidth="3" />
      {!s.over && r.parallaxMm !== 0 && !shown && (
        <>
          <path
            d={`M${c} ${tip}L${c - r.parallaxMm * scale} ${surface - deep}`}
            stroke="var(--scribe)"
            strokeWidth="2"
            strokeDasharray="3 6"
          />
          <text x={c + 14} y={surface - deep * 0.4} fontSize="17" fontWeight="700" fill="var(--scribe)">
            line of sight
          </text>
        </>
      )}
      <path
        d={`M${c - body} ${tip}H${c + body}L${c + wide} ${tip + long}H${c - wide}Z`}
        fill="url(#steel)"
        stroke={shown ? 'var(--straw)' : 'var(--deep)'}
        strokeWidth={shown ? 3 : 1.5}
      />
      <rect x="0" y={low} width={w} height={h - low} fill="var(--deep)" />
      <g fill="var(--scribe)" fontSize="18" fontWeight="700">
        <text x="26" y={low + 36}>
          Slack in the drive
        </text>
        <text x="26" y={low + 72} fontSize="24" fontFamily="var(--font-mono)">
          {lengthText(r.carriageSlackMm, unit, FINE)}
        </text>
        <text x="26" y={low + 100} fontSize="16" fontWeight="500">
          {r.carriageSlackMm === 0 ? 'none' : s.slackTaken ? 'taken up' : 'not taken up'}
        </text>
      </g>
      <g transform={`translate(0 ${low + (h - low) * 0.5})`}>
        <path d={`M${w * 0.4} 70L${row(shift, 22, -18)}L${w} 70Z`} fill="url(#steel)" />
        <path
          d={`M${w * 0.4} -60L${row(tooth * 0.3 + tooth * 0.2, -24, 16)}L${w} -60Z`}
          fill="var(--plate)"
          stroke="var(--scribe)"
          strokeWidth="2.5"
        />
      </g>
      <text x={w - 20} y={h - 16} textAnchor="end" fontSize="16" fontWeight="700" fill="#0e2257">
        leadscrew
      </text>
      <Compass w={w} y={34} right={shown ? 'as it cuts' : 'from above, as you see it'} />
    </>
  );
}
