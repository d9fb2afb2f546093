import { useMemo } from 'react';
import { AT_SIZE_MM, fitOfJob, threadOfJob, type WirePlan } from '../../core/job/derive.ts';
import { outline } from '../../core/form/outline.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { pitchMmOf, threadFormOf } from '../../core/standards/thread.ts';
import { Arrow, Punched } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';
import { pathOf } from './toolPath.ts';
import { useJobView } from '../shell/jobContext.tsx';

interface Props {
  readonly wires: WirePlan;
  readonly unit: UnitSystem;
}

/** Three wires in the grooves between the anvils, to scale, and beside them what the micrometer should say with what it said. */
export function WiresPlate({ wires, unit }: Props) {
  const said = wires.measured.at(-1);
  const label = `Over wires: should be ${lengthText(wires.targetMm, unit, FINE)}${said ? `, is ${lengthText(said.overMm, unit, FINE)}` : ''}`;
  return (
    <Plate
      label={label}
      draw={({ w, h }) => {
        const side = w > 520 ? Math.min(w * 0.42, 300) : 0;
        return (
          <>
            {side > 0 && <Section wires={wires} unit={unit} w={side} h={h} />}
            <Band wires={wires} unit={unit} x={side} w={w - side} h={h} />
          </>
        );
      }}
    />
  );
}

const PITCHES = 3;
function Section({ wires, unit, w, h }: Props & Size) {
  const { job } = useJobView();
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  const drawn = useMemo(() => {
    if (!thread || !fit) return null;
    const pitch = pitchMmOf(thread);
    return { pitch, points: outline(threadFormOf(thread), 'external', pitch, fit.pitchDiameterMm, PITCHES + 1) };
  }, [thread, fit]);
  if (!drawn || !fit) return null;
  const scale = (w - 50) / (2.6 * drawn.pitch);
  const middle = w / 2 + 8;
  const r = (wires.wireMm / 2) * scale;
  // how far a wire's middle stands off the pitch line
  const off = ((wires.targetMm - wires.wireMm - fit.pitchDiameterMm) / 2) * scale;
  const half = (w - 50) / 2;
  const clipped = { x: middle - half, width: 2 * half };
  const upper = { pitchLine: h * 0.36, out: -1, at: [0], shift: 0.5 };
  const lower = { pitchLine: h * 0.64, out: 1, at: [-0.5, 0.5], shift: 0 };
  return (
    <g>
      <clipPath id="wires-view">
        <rect x={clipped.x} y="0" width={clipped.width} height={h} />
      </clipPath>
      {[upper, lower].map((s) => {
        const x = (mm: number): number => middle + (mm - (PITCHES / 2 + s.shift) * drawn.pitch) * scale;
        const y = (radial: number): number => s.pitchLine + s.out * radial * scale;
        const line = drawn.points.map((p) => ({ x: x(p.x), y: y(p.y - fit.pitchDiameterMm / 2) }));
        const anvil = s.pitchLine + s.out * (off + r);
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

/** The band of what it should say, with what it said punched beside it. */
function Band({ wires, unit, x, w, h }: Props & Size & { readonly x: number }) {
  const min = wires.limitsMm?.min ?? wires.targetMm - AT_SIZE_MM;
  const max = wires.limitsMm?.max ?? wires.targetMm + AT_SIZE_MM;
  const said = wires.measured.slice(-3);
  const all = [min, max, wires.targetMm, ...said.map((m) => m.overMm)];
  const spread = Math.max(...all) - Math.min(...all);
  const [low, high] = [Math.min(...all) - spread * 0.18, Math.max(...all) + spread * 0.18];
  const y = (mm: number): number => h - FOOT - ((mm - low) / (high - low)) * (h - HEAD - FOOT);
  const bar = { x: x + Math.min(120, w * 0.3), width: Math.min(82, w * 0.2) };
  const text = bar.x + bar.width + 16;
  const bare = (mm: number): string => lengthText(mm, unit, { ...FINE, bare: true });
  const last = said.at(-1);
  const big = Math.min(27, w / 13);
  // figures keep clear of one another
  const limits = [max, min].filter((m) => Math.abs(y(m) - y(wires.targetMm)) > 26);
  return (
    <g fontFamily="var(--font-mono)" fill="var(--scribe)">
      <text x={x + 22} y="34" fontFamily="var(--font-sans)" fontSize={Math.min(20, w / 16)} fontWeight="700">
        What the micrometer should say
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
      {last && last.verdict !== 'at-size' && (
        <Arrow
          from={{ x: bar.x + bar.width / 2, y: y(last.overMm) }}
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
      {said.map((m, i) => {
        const near = Math.abs(y(m.overMm) - y(wires.targetMm)) < 30;
        return (
          <g key={m.n}>
            <Punched x={bar.x + (bar.width * (i + 1)) / (said.length + 1)} y={y(m.overMm)} r={8} />
            {m === last && (
              <text
                x={text}
                y={y(m.overMm) + (near ? (m.overMm > wires.targetMm ? -22 : 38) : 6)}
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
