import type { Motion } from '../../core/motion/motion.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Plate } from './Plate.tsx';

const EDGE = { left: 40, right: 40, top: 64, bottom: 56 };

/** The travel of every pass over the blank, headstock at the left: rapids broken, threads drawn through; the depth is drawn larger than the length. */
export function PathPlate({
  motion,
  surfaceMm,
  threadMm,
  internal,
  unit,
}: {
  readonly motion: Motion;
  readonly surfaceMm: number;
  readonly threadMm: number;
  readonly internal: boolean;
  readonly unit: UnitSystem;
}) {
  const { travels, start, end, params } = motion;
  const zs = travels.flatMap((t) => [t.fromZ, t.toZ]);
  const [far, near] = [Math.min(...zs, -threadMm), Math.max(...zs, 0)];
  const xs = [start.xMm, ...travels.flatMap((t) => [t.fromX, t.toX]), surfaceMm].map((x) => x / 2);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  return (
    <Plate
      className="min-h-80"
      label={`Tool path: ${params.cuts} cuts and ${params.springs} spring passes, from Z ${lengthText(start.zMm, unit, FINE)} to ${lengthText(end.zMm, unit, FINE)}`}
      draw={({ w, h }) => {
        const zx = (z: number): number => EDGE.left + ((z - far) / (near - far)) * (w - EDGE.left - EDGE.right);
        const ry = (x: number): number => {
          const at = (x / 2 - low) / (high - low || 1);
          return h - EDGE.bottom - at * (h - EDGE.top - EDGE.bottom);
        };
        const face = zx(0);
        const metal = internal ? { y: 0, height: ry(surfaceMm) } : { y: ry(surfaceMm), height: h - ry(surfaceMm) };
        return (
          <g>
            <rect x="0" width={face} {...metal} fill="url(#hatch)" stroke="var(--scribe)" strokeWidth="2" />
            {travels.map((t, i) => (
              <g key={i} fill="none">
                <path
                  d={`M${zx(t.fromZ)} ${ry(start.xMm)}V${ry(t.fromX)}M${zx(t.toZ)} ${ry(t.toX)}V${ry(start.xMm)}`}
                  stroke="var(--scribe2)"
                  strokeDasharray="6 5"
                />
                <path
                  d={`M${zx(t.fromZ)} ${ry(t.fromX)}L${zx(t.toZ)} ${ry(t.toX)}`}
                  stroke="var(--straw)"
                  strokeWidth="2"
                />
              </g>
            ))}
            <path
              d={`M${zx(near)} ${ry(start.xMm)}H${zx(far)}`}
              stroke="var(--scribe2)"
              strokeDasharray="6 5"
              fill="none"
            />
            <path d={`M${face} ${EDGE.top - 14}V${h - 30}`} stroke="var(--scribe)" strokeDasharray="14 4 3 4" />
            <g fill="var(--scribe)" fontSize="16">
              <text x="22" y="34" fontSize="20" fontWeight="700">
                Tool path
                <tspan fontSize="16" fontWeight="400" dx="12">
                  depth drawn larger than length
                </tspan>
              </text>
              <text x={face - 10} y={h - 10} textAnchor="end">
                Z 0
              </text>
              <text x={Math.max(70, zx(end.zMm))} y={h - 10} textAnchor="middle" fontFamily="var(--font-mono)">
                {lengthText(end.zMm, unit, { ...FINE, bare: true })}
              </text>
              <text x={Math.min(w - 60, zx(start.zMm))} y={h - 10} textAnchor="middle" fontFamily="var(--font-mono)">
                {lengthText(start.zMm, unit, { ...FINE, bare: true })}
              </text>
            </g>
          </g>
        );
      }}
    />
  );
}
