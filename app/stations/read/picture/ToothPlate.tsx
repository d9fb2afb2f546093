import { useMemo } from 'react';
import { laidOver, type Line } from '../../../../core/profile/laidOver.ts';
import type { FormLaid } from '../../../../core/profile/forms.ts';
import type { ProfileRead } from '../../../../core/profile/types.ts';
import { degreesText, FINE, lengthText } from '../../../../core/quantity/format.ts';
import { Plate, type Size } from '../../../drawing/Plate.tsx';
import { useSystem } from '../../../store/store.ts';

/** Of the points measured so many are drawn. */
const DOTS = 520;

/** All teeth on one, larger: what was measured as dots, the shadow of what was found (or of a published form) as a line, its section dashed. */
export function ToothPlate({ read, form }: { readonly read: ProfileRead; readonly form: FormLaid | null }) {
  const system = useSystem();
  const laid = useMemo(() => laidOver(read, form), [read, form]);
  const { seen, pitchPx, pxPerMm } = read;
  if (!seen || !pitchPx) return null;
  const outer = read.ends?.ridge.outer ?? seen.outerPx;
  const depth = read.ends?.ridge.depth ?? read.depthPx ?? 1;
  const width = 1.3 * pitchPx.value;
  const draw = ({ w, h }: Size) => {
    const scale = Math.min((w - 24) / width, (h - 150) / (depth * 1.05));
    const [cx, top] = [w / 2, 74];
    const x = (u: number): number => cx + u * scale;
    const y = (r: number): number => top + (outer - r) * scale;
    const path = (line: Line): string =>
      line.map(([u, r], i) => `${i ? 'L' : 'M'}${x(u).toFixed(1)} ${y(r).toFixed(1)}`).join('');
    const every = Math.max(1, Math.floor(seen.folded.u.length / DOTS));
    const floor = y(outer - depth) + 22;
    const hidden = [read.hidden.left, read.hidden.right];
    const flat = read.ends?.crest;
    const label = (side: 'left' | 'right'): string => {
      const range = side === 'left' ? hidden[0] : hidden[1];
      const f = read[side];
      return range
        ? `hidden: ${range.fromDeg} to ${degreesText(range.toDeg)}`
        : f?.axialDeg == null
          ? ''
          : degreesText(f.axialDeg);
    };
    return (
      <>
        <clipPath id="tooth-frame">
          <rect x={x(-width / 2)} y="44" width={width * scale} height={floor - 44} />
        </clipPath>
        <text x="14" y="28" fill="var(--scribe)" fontSize="16" fontWeight="600">
          {`${read.teeth} teeth folded on one`}
        </text>
        <g clipPath="url(#tooth-frame)">
          {laid && (
            <path d={`${path(laid.shadow)}L${x(width / 2)} ${floor}L${x(-width / 2)} ${floor}Z`} fill="url(#hatch)" />
          )}
          {Array.from({ length: Math.floor(seen.folded.u.length / every) }, (_, i) => i * every).map((i) => {
            const u = seen.folded.u[i] ?? 0;
            return <circle key={i} cx={x(u)} cy={y(seen.folded.h[i] ?? 0)} r="1.6" fill="var(--scribe2)" />;
          })}
          {laid && (hidden[0] ?? hidden[1]) && !form && (
            <path d={path(laid.section)} fill="none" stroke="var(--scribe2)" strokeWidth="1.6" strokeDasharray="5 4" />
          )}
          {laid && (
            <path
              d={path(laid.shadow)}
              fill="none"
              stroke={form ? 'var(--straw)' : 'var(--scribe)'}
              strokeWidth="2.4"
            />
          )}
        </g>
        {!form && (
          <g fill="var(--scribe)" fontSize="16" className="num">
            {flat?.kind === 'flat' && pxPerMm && (
              <text x={cx} y={top - 12} textAnchor="middle">
                {lengthText(flat.wide / pxPerMm.value, system, { ...FINE, stepMm: 0.01, bare: true })}
              </text>
            )}
            <text x="14" y={floor + 20} fontSize="15">
              {label('left')}
            </text>
            <text x={w - 14} y={floor + 20} textAnchor="end" fontSize="15">
              {label('right')}
            </text>
          </g>
        )}
        <text x="14" y={h - 14} fill="var(--scribe2)" fontSize="14">
          dots: measured &middot; line: {form ? 'this form' : 'found'}
        </text>
      </>
    );
  };
  return (
    <Plate
      label={`${read.teeth} teeth laid on one, with the line found over them`}
      className="min-h-88 desk:h-full desk:min-h-72"
      draw={draw}
    />
  );
}
