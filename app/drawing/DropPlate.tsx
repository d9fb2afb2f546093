import type { ReactNode } from 'react';
import { scaleLinear } from 'd3-scale';
import type { ToolOutline } from '../../core/cutting/tip.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Compass } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';
import { outlinePoints, toolStanding } from './toolPath.ts';

interface Props {
  readonly tool: ToolOutline;
  readonly leftHand: boolean;
  readonly internal: boolean;
  readonly depthMm: number;
  readonly pitchMm: number;
  readonly leadMm: number;
  /** Z of the tool in the groove, and of the start; minus towards the headstock; null: not known yet. */
  readonly grooveMm: number | null;
  readonly startMm: number | null;
  readonly leads: number;
  readonly unit: UnitSystem;
}

/** From the face inwards, to scale: the tool in the old groove with the spindle at its mark, and whole leads out to the start. */
export function DropPlate(p: Props) {
  const z = (mm: number | null): string => (mm === null ? 'not read yet' : lengthText(mm, p.unit, FINE));
  return (
    <Plate
      label={`Tool in the groove at Z ${z(p.grooveMm)}; start at Z ${z(p.startMm)}, ${p.leads} whole leads out`}
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing(p: Props & Size) {
  const { tool, leftHand, internal, depthMm, pitchMm, leadMm, grooveMm, startMm, leads, unit, w, h } = p;
  const g = grooveMm ?? -4.5 * pitchMm;
  const s = startMm ?? 3 * leadMm;
  const z = scaleLinear([Math.min(g, s) - 2 * pitchMm, Math.max(0, s, g) + 1.6 * pitchMm], [30, w - 30]);
  const scale = z(1) - z(0);
  const up = internal ? 1 : -1;
  const surface = internal ? h * 0.5 : h * 0.44;
  const y = (depth: number): number => surface + up * Math.min(depth * scale, h * 0.24);
  const face = z(0);
  const phase = ((g % pitchMm) + pitchMm) % pitchMm;
  const count = Math.ceil((face - 0) / (pitchMm * scale)) + 1;
  const grooves = Array.from({ length: count }, (_, i) => z(phase - (i + 1) * pitchMm)).filter(
    (x) => x > -pitchMm * scale,
  );
  const outline = outlinePoints(tool, leftHand, depthMm);
  const cut = grooves
    .toReversed()
    .map((gx) => outline.map((q) => `L${Math.min(face, gx + q.x * scale).toFixed(1)} ${y(q.y).toFixed(1)}`).join(''))
    .join('');
  const wall = `M-20 ${surface}${cut}L${face} ${surface}V${internal ? h + 20 : -20}H-20Z`;
  const long = Math.min(h * 0.2, pitchMm * 2.4 * scale);
  const toolAt = (x: number, tipY: number): string => toolStanding(tool, leftHand, { x, tipY, up, long, scale });
  const arc = surface - up * (long + 46);
  const step = (startMm ?? s) > g ? leadMm * scale : -leadMm * scale;
  const arcs = Array.from({ length: leads }, () => `q${step / 2} ${up * 18} ${step} 0`).join('');
  const place = (mm: number, fill: string): ReactNode => (
    <text
      x={z(mm)}
      y={arc - up * 30 + 7}
      textAnchor="middle"
      fontSize="22"
      fontWeight="700"
      fill={fill}
      fontFamily="var(--font-mono)"
    >
      {`${mm >= 0 ? '+' : ''}${lengthText(mm, unit, { ...FINE, bare: true })}`}
    </text>
  );
  const numbers = grooveMm === null ? [] : grooves.map((x, i) => ({ x, n: i + 1 })).filter(({ x }) => x >= z(g) - 1);
  return (
    <>
      <path d={wall} fill="url(#hatch)" />
      <path d={wall} fill="none" stroke="var(--scribe)" strokeWidth="3" />
      {numbers.map(({ x, n }) => (
        <text
          key={n}
          x={x}
          y={y(depthMm) + up * 26 + 7}
          textAnchor="middle"
          fontSize={x < z(g) + 1 ? 26 : 18}
          fontWeight="700"
          fill="var(--scribe)"
        >
          {n}
        </text>
      ))}
      {grooveMm !== null && (
        <>
          <path d={toolAt(z(g), y(depthMm * 0.97))} fill="url(#steel)" stroke="var(--deep)" strokeWidth="1.5" />
          <path d={`M${z(g)} ${surface - up * (long * 0.5)}V${arc}`} stroke="var(--straw)" strokeWidth="2" />
          {place(g, 'var(--scribe)')}
        </>
      )}
      {grooveMm !== null && startMm !== null && (
        <>
          <path
            d={toolAt(z(s), surface - up * 26)}
            fill="none"
            stroke="var(--straw)"
            strokeWidth="2.5"
            strokeDasharray="8 6"
          />
          <path d={`M${z(g)} ${arc}${arcs}`} fill="none" stroke="var(--straw)" strokeWidth="3" />
          {place(s, 'var(--straw)')}
          <text
            x={(z(g) + z(s)) / 2}
            y={arc - up * 62 + 7}
            textAnchor="middle"
            fontSize="19"
            fontWeight="700"
            fill="var(--scribe)"
          >
            {leads} whole leads
          </text>
        </>
      )}
      <text
        x={face}
        y={internal ? surface - 14 : 64}
        textAnchor="middle"
        fontSize="18"
        fontWeight="700"
        fill="var(--scribe)"
      >
        face, Z 0
      </text>
      <text x={w - 24} y={h - 22} textAnchor="end" fontSize="18" fill="var(--scribe2)">
        spindle at its mark
      </text>
      <Compass w={w} y={34} />
    </>
  );
}
