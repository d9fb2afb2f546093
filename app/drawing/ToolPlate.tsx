import type { ToolView } from '../../core/job/toolView.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { lengthText, FINE, degreesText } from '../../core/quantity/format.ts';
import { Plate, type Size } from './Plate.tsx';
import { sidesOf, pathOf } from './toolPath.ts';
import { EndOn } from './ToolEndDrawing.tsx';

interface Props {
  readonly view: ToolView;
  readonly internal: boolean;
  readonly system: UnitSystem;
}

/** Above the surface the tool is drawn on by this share of the depth. */
const BODY = 0.55;

const POINTS = 12;

const fine = (mm: number, u: UnitSystem): string => lengthText(mm, u, { ...FINE, bare: true });

/** The tool true to scale as it looks from above, its angles and widths, and end on with its side reliefs. */
export function ToolPlate(p: Props) {
  const { sheet } = p.view;
  return (
    <Plate
      label={`The tool: ${degreesText(sheet.includedDeg)} included, tip ${fine(sheet.tipFlatMm, p.system)}, relief ${degreesText(sheet.leadingReliefDeg)} leading and ${degreesText(sheet.trailingReliefDeg)} trailing`}
      className="min-h-112"
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing({ view, internal, system, w, h }: Props & Size) {
  const { tool, depthMm, sheet, leftHand } = view;
  const narrow = w < 560;
  const { toHead, fromHead } = sidesOf(tool, leftHand);
  const body = depthMm * (1 + BODY);
  const across = toHead(body) + fromHead(body);
  const box = { x: 24, w: (narrow ? w : w * 0.6) - 48, top: 96, h: (narrow ? h * 0.62 : h) - 150 };
  const scale = Math.min(box.h / body, (box.w * 0.72) / across);
  // outside the tool points away from the person, in a bore towards them
  const tip = internal ? box.top + body * scale : box.top;
  const y = (height: number): number => (internal ? tip - height * scale : tip + height * scale);
  const cx = box.x + box.w / 2;
  const heights = Array.from({ length: POINTS + 1 }, (_, i) => (body * i) / POINTS);
  const left = heights.map((at) => ({ x: cx - toHead(at) * scale, y: y(at) }));
  const right = heights.map((at) => ({ x: cx + fromHead(at) * scale, y: y(at) }));
  const pitchLine = sheet.widthAtDepth.find((d) => Math.abs(d.widthMm - view.pitchMm / 2) < 1e-6);
  const rows = [
    { at: 0, name: 'tip' },
    ...(pitchLine ? [{ at: pitchLine.depthMm, name: 'pitch line' }] : []),
    { at: depthMm, name: 'surface' },
  ];
  const legend = (at: number): number => toHead(at) + fromHead(at);
  const arc = y(body * 0.86);
  const [aL, aR] = leftHand ? [tool.trailingDeg, tool.leadingDeg] : [tool.leadingDeg, tool.trailingDeg];
  return (
    <>
      <text x="22" y="36" fontSize="20" fontWeight="700" fill="var(--scribe)">
        The tool, from above
      </text>
      <text x="22" y="60" fontSize="16" fill="var(--scribe2)">
        {leftHand ? '\u25c2 headstock; it cuts towards the tailstock' : '\u25c2 headstock; it cuts that way'}
      </text>
      <path d={pathOf([...left.toReversed(), ...right])} fill="url(#steel)" stroke="var(--deep)" strokeWidth="2" />
      <path
        d={`M${cx} ${box.top - 22}V${y(internal ? 0 : body) + (internal ? 22 : 8)}`}
        stroke="var(--scribe2)"
        strokeDasharray="14 4 3 4"
      />
      {rows.map((r) => {
        const [a, b] = [cx - toHead(r.at) * scale, cx + fromHead(r.at) * scale];
        const end = box.x + box.w;
        return (
          <g key={r.name}>
            <path
              d={`M${a} ${y(r.at)}H${b}`}
              stroke="var(--deep)"
              strokeWidth="1.5"
              strokeDasharray={r.at === 0 ? undefined : '7 5'}
            />
            <path d={`M${b + 6} ${y(r.at)}H${end}`} stroke="var(--scribe2)" strokeWidth="1" />
            <text
              x={end}
              y={y(r.at) - 6}
              textAnchor="end"
              fontSize="18"
              fontFamily="var(--font-mono)"
              fontWeight="700"
              fill="var(--scribe)"
            >
              {fine(legend(r.at), system)}
            </text>
            <text x={end} y={y(r.at) + 16} textAnchor="end" fontSize="14" fill="var(--scribe2)">
              {r.name}
            </text>
          </g>
        );
      })}
      <text
        x={cx}
        y={arc}
        textAnchor="middle"
        fontSize="34"
        fontWeight="700"
        fontFamily="var(--font-mono)"
        fill="#0e2257"
      >
        {degreesText(sheet.includedDeg)}
      </text>
      {aL !== aR && (
        <text
          x={cx}
          y={arc + 24}
          textAnchor="middle"
          fontSize="17"
          fontWeight="700"
          fontFamily="var(--font-mono)"
          fill="#0e2257"
        >
          {degreesText(aL)} · {degreesText(aR)}
        </text>
      )}
      <text
        x={box.x}
        y={(y(0) + y(depthMm)) / 2 - 4}
        fontSize="18"
        fontWeight="700"
        fontFamily="var(--font-mono)"
        fill="var(--scribe)"
      >
        {fine(depthMm, system)}
      </text>
      <text x={box.x} y={(y(0) + y(depthMm)) / 2 + 15} fontSize="14" fill="var(--scribe2)">
        deep
      </text>
      <path d={`M${box.x + 70} ${y(0)}h14m-7 0V${y(depthMm)}m-7 0h14`} stroke="var(--scribe2)" fill="none" />
      <EndOn
        view={view}
        box={narrow ? { x: 24, y: h * 0.7, w: w - 48, h: h * 0.26 } : { x: w * 0.64, y: 110, w: w * 0.33, h: h * 0.42 }}
      />
    </>
  );
}
