import { useJobView } from '../job/jobContext.tsx';
import { threadOfJob, fitOfJob } from '../../core/job/derive.ts';
import { useMemo } from 'react';
import { pitchMmOf, threadFormOf } from '../../core/standards/thread.ts';
import { outline } from '../../core/form/outline.ts';
import type { Size } from './Plate.tsx';
import { pathOf } from './toolPath.ts';
import { lengthText, FINE } from '../../core/quantity/format.ts';
import type { MeasurePlan } from '../../core/job/measure.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import type { WiresProps } from './WiresBandPlate.tsx';

const PITCHES = 3;

/** The line of a few pitches about the pitch line, and the pitch; null: no thread yet. */
function useLine(make: 'external' | 'internal') {
  const { job } = useJobView();
  const thread = threadOfJob(job);
  return useMemo(() => {
    if (!thread) return null;
    const pitch = pitchMmOf(thread);
    return { pitch, points: outline(threadFormOf(thread), make, pitch, 0, PITCHES + 1) };
  }, [thread, make]);
}

/** Where the wires below lie, in pitches, by how many there are in all. */
const LOWER: Readonly<Record<number, readonly number[]>> = { 3: [-0.5, 0.5], 2: [0.5], 1: [] };

export function Section({ wires, unit, w, h }: WiresProps & Size) {
  const { job } = useJobView();
  const fit = fitOfJob(job);
  const drawn = useLine('external');
  if (!drawn || !fit) return null;
  const scale = (w - 50) / (2.6 * drawn.pitch);
  const middle = w / 2 + 8;
  const r = (wires.wireMm / 2) * scale;
  // how far a wire's middle stands off the pitch line
  const threeWiresMm = wires.count === 1 ? 2 * wires.targetMm - fit.startDiameterMm : wires.targetMm;
  const off = ((threeWiresMm - wires.wireMm - fit.pitchDiameterMm) / 2) * scale;
  const half = (w - 50) / 2;
  const clipped = { x: middle - half, width: 2 * half };
  const upper = { pitchLine: h * 0.36, out: -1, at: [0], shift: 0.5 };
  const lower = { pitchLine: h * 0.64, out: 1, at: LOWER[wires.count] ?? [], shift: 0 };
  return (
    <g>
      <clipPath id="wires-view">
        <rect x={clipped.x} y="0" width={clipped.width} height={h} />
      </clipPath>
      {[upper, lower].map((s) => {
        const x = (mm: number): number => middle + (mm - (PITCHES / 2 + s.shift) * drawn.pitch) * scale;
        const y = (radial: number): number => s.pitchLine + s.out * radial * scale;
        const line = drawn.points.map((p) => ({ x: x(p.x), y: y(p.y) }));
        // with one wire the other anvil lies on the crests
        const crest = Math.max(...drawn.points.map((p) => p.y));
        const anvil = s.pitchLine + s.out * (s.at.length > 0 ? off + r : crest * scale);
        const long = h * 0.15;
        return (
          <g key={s.out} clipPath="url(#wires-view)">
            <path d={`${pathOf(line, false)}V${h / 2}H${line[0]?.x ?? 0}Z`} fill="url(#hatch)" />
            <path d={pathOf(line, false)} fill="none" stroke="var(--scribe)" strokeWidth="2.5" />
            <rect
              x={middle - (s.out < 0 ? r + 26 : r + 26 + (drawn.pitch * scale) / 2)}
              y={s.out < 0 ? anvil - long : anvil}
              width={2 * (s.out < 0 ? r + 26 : r + 26 + (drawn.pitch * scale) / 2)}
              height={long}
              fill="url(#steel)"
              stroke="var(--deep)"
            />
            {s.at.map((k) => (
              <circle
                key={k}
                cx={middle + k * drawn.pitch * scale}
                cy={s.pitchLine + s.out * off}
                r={r}
                fill="var(--steel)"
                stroke="var(--deep)"
                strokeWidth="1.5"
              />
            ))}
          </g>
        );
      })}
      <path d={`M20 ${h / 2}H${w - 8}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      <text x={middle} y={h / 2 - 10} textAnchor="middle" fontSize="18" fontWeight="700" fill="var(--scribe)">
        over {lengthText(wires.wireMm, unit, FINE)}
      </text>
    </g>
  );
}

/** A nut cut through, two balls in its grooves and the block between them; its pitch diameter along it where it was read there. */
export function NutSection({ plan, unit, w, h }: { readonly plan: MeasurePlan; readonly unit: UnitSystem } & Size) {
  const { job } = useJobView();
  const fit = fitOfJob(job);
  const drawn = useLine('internal');
  if (!drawn || !fit) return null;
  const scale = (w - 50) / (2.6 * drawn.pitch);
  const middle = w / 2 + 8;
  const half = (w - 50) / 2;
  const r = (plan.wireMm / 2) * scale;
  // the ball's middle lies under the pitch line by so much
  const off = ((plan.targetMm + plan.wireMm - fit.pitchDiameterMm) / 2) * scale;
  const ends = drawn.points;
  const low = Math.min(...ends.map((p) => p.y));
  const sides = [
    { pitchLine: h * 0.3, out: -1, shift: 0.5, at: 0 },
    { pitchLine: h * 0.7, out: 1, shift: 0, at: 0.5 },
  ];
  const ballY = (s: { readonly pitchLine: number; readonly out: number }): number => s.pitchLine + s.out * off;
  const [top, bottom] = sides.map((s) => ballY(s) - s.out * r);
  return (
    <g>
      <clipPath id="nut-view">
        <rect x={middle - half} y="0" width={2 * half} height={h} />
      </clipPath>
      {sides.map((s) => {
        const x = (mm: number): number => middle + (mm - (PITCHES / 2 + s.shift) * drawn.pitch) * scale;
        const line = ends.map((p) => ({ x: x(p.x), y: s.pitchLine + s.out * p.y * scale }));
        const back = s.pitchLine + s.out * (Math.abs(low) * scale + h * 0.16);
        return (
          <g key={s.out} clipPath="url(#nut-view)">
            <path d={`${pathOf(line, false)}V${back}H${line[0]?.x ?? 0}Z`} fill="url(#hatch)" />
            <path d={pathOf(line, false)} fill="none" stroke="var(--scribe)" strokeWidth="2.5" />
          </g>
        );
      })}
      <rect
        x={middle - r * 0.8}
        y={top}
        width={1.6 * r + (drawn.pitch * scale) / 2}
        height={(bottom ?? 0) - (top ?? 0)}
        fill="url(#steel)"
        stroke="var(--deep)"
      />
      {sides.map((s) => (
        <circle
          key={s.out}
          cx={middle + s.at * drawn.pitch * scale}
          cy={ballY(s)}
          r={r}
          fill="var(--steel)"
          stroke="var(--deep)"
          strokeWidth="1.5"
        />
      ))}
      <path d={`M20 ${h / 2}H${w - 8}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      <text x={middle} y={h * 0.95} textAnchor="middle" fontSize="18" fontWeight="700" fill="var(--scribe)">
        balls of {lengthText(plan.wireMm, unit, FINE)}
      </text>
    </g>
  );
}
