import { scaleLinear } from 'd3-scale';
import type { Judged, JudgedPlace } from '../../core/pickup/judge.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Compass, Punched } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';

interface Props {
  readonly places: readonly JudgedPlace[];
  readonly judged: Judged | null;
  readonly lengthMm: number | null;
  readonly pitchMm: number;
  readonly unit: UnitSystem;
}

/** The old thread with the places where the tool was judged in the air, what was off drawn many times larger than the length. */
export function RunPlate(p: Props) {
  const said = p.places.map((q) => `${lengthText(q.offMm, p.unit, FINE)} at ${lengthText(q.alongMm, p.unit, FINE)}`);
  return (
    <Plate
      label={`Run along in the air: ${said.length > 0 ? said.join(', ') : 'no place judged yet'}`}
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing({ places, judged, lengthMm, pitchMm, unit, w, h }: Props & Size) {
  const far = lengthMm ?? Math.max(10 * pitchMm, ...places.map((q) => q.alongMm * 1.2));
  // the free end is at the right, the headstock at the left
  const x = scaleLinear([0, far], [w - 60, 46]);
  const top = h * 0.16;
  const part = h * 0.2;
  const zero = h * 0.68;
  const most = Math.max(pitchMm * 0.12, ...places.map((q) => Math.abs(q.offMm) + 2 * q.sigmaMm)) * 1.15;
  const off = scaleLinear([-most, most], [zero + h * 0.2, zero - h * 0.2]);
  const crests = Math.max(4, Math.min(48, Math.round(far / pitchMm)));
  const step = (x(0) - x(far)) / crests;
  const saw = Array.from({ length: crests }, () => `l${step / 2} ${step * 0.6}l${step / 2} ${-step * 0.6}`).join('');
  const line = judged && places.length > 1;
  const fitted = (a: number): number => (judged ? judged.offsetMm + judged.perMm * (a - judged.middleMm) : 0);
  return (
    <>
      <path
        d={`M${x(far)} ${top}${saw}V${top + part}H${x(far)}Z`}
        fill="url(#hatch)"
        stroke="var(--scribe)"
        strokeWidth="2"
      />
      <path d={`M${x(far)} ${zero}H${x(0)}`} stroke="var(--scribe2)" strokeWidth="2" strokeDasharray="14 4 3 4" />
      <text x={x(0)} y={off(most) - 6} textAnchor="end" fontSize="16" fill="var(--scribe2)">
        groove towards the headstock
      </text>
      <text x={x(0)} y={off(-most) + 20} textAnchor="end" fontSize="16" fill="var(--scribe2)">
        towards the tailstock
      </text>
      {line && (
        <path d={`M${x(far)} ${off(fitted(far))}L${x(0)} ${off(fitted(0))}`} stroke="var(--straw)" strokeWidth="3" />
      )}
      {places.map((q) => (
        <g key={q.alongMm}>
          <path d={`M${x(q.alongMm)} ${top + part}V${off(q.offMm)}`} stroke="var(--scribe2)" strokeWidth="1.5" />
          <path
            d={`M${x(q.alongMm)} ${off(q.offMm - 2 * q.sigmaMm)}V${off(q.offMm + 2 * q.sigmaMm)}m-9 0h18`}
            stroke="var(--scribe)"
            strokeWidth="2"
          />
          <Punched x={x(q.alongMm)} y={off(q.offMm)} r={9} />
          <text
            x={x(q.alongMm) + 16}
            y={off(q.offMm) + (q.offMm > 0 ? -10 : 26)}
            fontSize="19"
            fontWeight="700"
            fill="var(--scribe)"
            fontFamily="var(--font-mono)"
          >
            {lengthText(q.offMm, unit, { ...FINE, bare: true })}
          </text>
        </g>
      ))}
      <Compass w={w} y={34} right="what is off drawn larger" />
    </>
  );
}
