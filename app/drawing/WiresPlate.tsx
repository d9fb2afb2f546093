import { useMemo } from 'react';
import { fitOfJob, threadOfJob } from '../../core/job/derive.ts';
import { AT_SIZE_MM, type MeasurePlan } from '../../core/job/measure.ts';
import { outline } from '../../core/form/outline.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { pitchMmOf, threadFormOf } from '../../core/standards/thread.ts';
import { LAY_NAMES } from '../../words/try.ts';
import { Arrow, Punched } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';
import { pathOf } from './toolPath.ts';
import { useJobView } from '../job/jobContext.tsx';

interface Props {
  readonly wires: MeasurePlan;
  readonly unit: UnitSystem;
}

/** Wires in the grooves between the anvils, or balls in those of a nut, to scale; beside them what it should say with all that it said. */
export function WiresPlate({ wires, unit }: Props) {
  const said = wires.measured.at(-1);
  const label = `${LAY_NAMES[wires.by]}: should be ${lengthText(wires.targetMm, unit, FINE)}${said ? `, is ${lengthText(said.overMm, unit, FINE)}` : ''}`;
  return (
    <Plate
      label={label}
      draw={({ w, h }) => {
        const side = w > 520 ? Math.min(w * 0.42, 300) : 0;
        return (
          <>
            {side > 0 &&
              (wires.by === 'balls' ? (
                <NutSection plan={wires} unit={unit} w={side} h={h} />
              ) : (
                <Section wires={wires} unit={unit} w={side} h={h} />
              ))}
            <Band wires={wires} unit={unit} x={side} w={w - side} h={h} />
          </>
        );
      }}
    />
  );
}

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
function Section({ wires, unit, w, h }: Props & Size) {
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

const HEAD = 58;
const FOOT = 28;
/** Readings that have room beside one another. */
const SHOWN = 8;

/** The band of what it should say, with everything it said in order, each as wide as it is sure, and what the unworn part had. */
function Band({ wires, unit, x, w, h }: Props & Size & { readonly x: number }) {
  const min = wires.limitsMm?.min ?? wires.targetMm - AT_SIZE_MM;
  const max = wires.limitsMm?.max ?? wires.targetMm + AT_SIZE_MM;
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

/** A nut cut through, two balls in its grooves and the block between them; its pitch diameter along it where it was read there. */
function NutSection({ plan, unit, w, h }: { readonly plan: MeasurePlan; readonly unit: UnitSystem } & Size) {
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
