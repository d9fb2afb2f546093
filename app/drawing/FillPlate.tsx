import { scaleLinear } from 'd3-scale';
import type { LoadedPass } from '../../core/job/loads.ts';
import type { ToolOutline } from '../../core/cutting/tip.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { forceText } from '../../words/holding.ts';
import { Plate, type Size } from './Plate.tsx';
import { outlinePoints, pathOf } from './toolPath.ts';

interface Props {
  readonly tool: ToolOutline;
  readonly leftHand: boolean;
  readonly internal: boolean;
  readonly pitchMm: number;
  readonly passes: readonly LoadedPass[];
  /** The pass that is shown, from 0; before the first -1. */
  readonly at: number;
  readonly onAt: (i: number) => void;
  readonly system: UnitSystem;
}

/** The groove as it fills pass by pass, and under it what each pass asks: the bars may be touched. */
export function FillPlate(p: Props) {
  const now = p.passes[p.at];
  const mm = (x: number): string => lengthText(x, p.system, FINE);
  return (
    <Plate
      role="group"
      label={
        now
          ? `Pass ${p.at + 1} of ${p.passes.length}: ${mm(now.depthMm)} deep, ${forceText(now.mainN)}`
          : `Before the first of ${p.passes.length} passes`
      }
      className="min-h-112"
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing({ tool, leftHand, internal, pitchMm, passes, at, onAt, system, w, h }: Props & Size) {
  const deepest = Math.max(...passes.map((p) => p.depthMm), 1e-6);
  const bars = Math.min(150, h * 0.32);
  const top = 70;
  const room = h - bars - top - 40;
  const scale = Math.min(room / (deepest * 1.25), (w - 80) / (pitchMm * 1.7));
  const cx = w / 2;
  const surface = internal ? top + room : top + 12;
  const y = (depth: number): number => (internal ? surface - depth * scale : surface + depth * scale);
  const shape = (p: LoadedPass): string =>
    pathOf(outlinePoints(tool, leftHand, p.depthMm).map((q) => ({ x: cx + (q.x - p.axialMm) * scale, y: y(q.y) })));
  const most = Math.max(...passes.map((p) => p.mainN), 1);
  const x = scaleLinear([0, passes.length], [30, w - 30]);
  const bar = scaleLinear([0, most], [0, bars - 36]);
  const foot = h - 26;
  const now = passes[at];
  const done = passes.slice(0, at + 1).toReversed();
  return (
    <>
      <text x="22" y="34" fontSize="20" fontWeight="700" fill="var(--scribe)">
        {'\u25c2 headstock'}
      </text>
      <text x={w - 22} y="34" textAnchor="end" fontSize="16" fill="var(--scribe2)">
        {internal ? 'the wall of the bore, from above' : 'the work, from above'}
      </text>
      {/* uncut metal, then each pass from the deepest up: what a pass took is what is left visible of it */}
      <rect x="24" y={internal ? top - 6 : surface} width={w - 48} height={room + 6} fill="url(#hatch)" />
      <path d={`M24 ${surface}H${w - 24}`} stroke="var(--scribe)" strokeWidth="2.5" />
      {done.map((p, i) => (
        <path
          key={passes.length - i}
          d={shape(p)}
          fill={i === 0 && !p.spring ? 'var(--straw)' : 'var(--deep)'}
          stroke={i === 0 ? '#17130a' : 'var(--scribe2)'}
          strokeWidth={i === 0 ? 2 : 1}
        />
      ))}
      {now && done[1] && <path d={shape(done[1])} fill="var(--deep)" stroke="var(--scribe)" strokeWidth="1.5" />}
      {now && (
        <g fontFamily="var(--font-mono)" fontWeight="700" fill="var(--scribe)">
          <path d={`M${w - 150} ${y(now.depthMm)}H${w - 40}`} stroke="var(--scribe)" strokeDasharray="6 4" />
          <text x={w - 40} y={y(now.depthMm) + (internal ? -8 : 22)} textAnchor="end" fontSize="22">
            {lengthText(now.depthMm, system, { ...FINE, bare: true })}
          </text>
        </g>
      )}
      {passes.map((p, i) => {
        const tall = Math.max(3, bar(p.mainN));
        return (
          <rect
            key={i}
            x={x(i) + 1.5}
            width={Math.max(2, x(i + 1) - x(i) - 3)}
            y={foot - tall}
            height={tall}
            fill={i === at ? 'var(--straw)' : p.spring ? 'none' : i < at ? 'var(--scribe)' : 'var(--scribe2)'}
            opacity={i <= at ? 1 : 0.5}
            stroke={p.spring || i === at ? 'var(--scribe)' : 'none'}
          />
        );
      })}
      {passes.map((_, i) => (
        <rect
          key={i}
          x={x(i)}
          width={x(i + 1) - x(i)}
          y={foot - bars + 20}
          height={bars}
          fill="transparent"
          onClick={() => onAt(i)}
          style={{ cursor: 'pointer' }}
        />
      ))}
      <text x="30" y={foot - bars + 34} fontSize="15" fill="var(--scribe2)">
        force of each pass, {forceText(most)} at most
      </text>
      <text x={x(0)} y={h - 8} fontSize="14" fill="var(--scribe2)" fontFamily="var(--font-mono)">
        1
      </text>
      <text
        x={x(passes.length)}
        y={h - 8}
        textAnchor="end"
        fontSize="14"
        fill="var(--scribe2)"
        fontFamily="var(--font-mono)"
      >
        {passes.length}
      </text>
    </>
  );
}
