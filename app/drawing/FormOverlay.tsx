import { outline } from '../../core/form/outline.ts';
import type { ThreadForm } from '../../core/form/shape.ts';

export interface Overlaid {
  readonly name: string;
  readonly form: ThreadForm;
  readonly side: 'external' | 'internal';
  /** Moved outwards by this much, in pitches (a clearance made visible). */
  readonly liftP?: number;
}

const W = 720;
const PITCHES = 2;
const SCALE = W / PITCHES;
const PAD = 26;
/** Lines over one another are told apart by their dashes alone. */
export const STROKES = [
  { colour: 'var(--scribe)', dash: undefined, word: 'full line' },
  { colour: 'var(--scribe)', dash: '10 5', word: 'dashed line' },
  { colour: 'var(--scribe)', dash: '2 5', word: 'dotted line' },
] as const;

/** Forms laid over each other at one pitch, pitch lines together: what differs can be seen. Forms are given at a pitch of 1. */
export function FormOverlay({
  forms,
  fill = false,
  label,
}: {
  readonly forms: readonly Overlaid[];
  readonly fill?: boolean;
  readonly label: string;
}) {
  const lines = forms.map((f) =>
    outline({ ...f.form, taper: 0 }, f.side, 1, 0, PITCHES).map((p) => ({ x: p.x, y: p.y + (f.liftP ?? 0) })),
  );
  const ys = lines.flat().map((p) => p.y);
  const top = Math.max(...ys);
  const bottom = Math.min(...ys);
  const height = (top - bottom) * SCALE + 2 * PAD;
  const path = (pts: readonly { x: number; y: number }[]): string =>
    pts
      .map((p, i) => `${i === 0 ? 'M' : 'L'}${(p.x * SCALE).toFixed(1)} ${(PAD + (top - p.y) * SCALE).toFixed(1)}`)
      .join(' ');
  return (
    <svg viewBox={`0 0 ${W} ${height}`} className="plate w-full" role="img" aria-label={label}>
      <path d={`M0 ${PAD + top * SCALE}H${W}`} stroke="var(--scribe2)" strokeWidth="1" strokeDasharray="14 4 3 4" />
      {lines.map((pts, i) => {
        const f = forms[i];
        const stroke = STROKES[i % STROKES.length] ?? STROKES[0];
        const d = path(pts);
        return (
          <g key={f?.name ?? i}>
            {fill && f && (
              <path
                d={`${d} L${W} ${f.side === 'external' ? height : 0} L0 ${f.side === 'external' ? height : 0} Z`}
                fill={stroke.colour}
                opacity="0.13"
              />
            )}
            <path d={d} fill="none" stroke={stroke.colour} strokeWidth="3" strokeDasharray={stroke.dash} />
          </g>
        );
      })}
    </svg>
  );
}
