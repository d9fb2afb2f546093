import { outline } from '../form/outline.ts';
import type { ThreadForm } from '../form/shape.ts';
import type { Solid } from './render.ts';

const { floor, max, min } = Math;

/** A stretch of a screw whose one flank has lost metal along the axis; the screw's free end lies at the right. */
export interface WornStretch {
  readonly flank: 'leading' | 'trailing';
  readonly fromMm: number;
  readonly toMm: number;
  readonly lostMm: number;
}
/** Places of a pitch at which the section is kept. */
const PLACES = 2400;

/**
 * A screw as a solid from its form; z = 0 is the middle of a ridge. @param majorMm over the crests, mm
 * @example solidOf(formAt('iso60', 3), { majorMm: 24, pitchMm: 3 }).radiusAt(0) // 12
 */
export function solidOf(
  form: ThreadForm,
  p: {
    readonly majorMm: number;
    readonly pitchMm: number;
    readonly starts?: number;
    readonly worn?: readonly WornStretch[];
  },
): Solid {
  const { pitchMm, majorMm, worn = [] } = p;
  const line = outline({ ...form, taper: 0 }, 'external', pitchMm, 0, 1);
  const top = line.reduce((y, q) => max(y, q.y), -Infinity);
  let j = 1;
  const table = Float64Array.from({ length: PLACES }, (_, i) => {
    const x = ((i + 0.5) / PLACES) * pitchMm;
    while (j < line.length - 1 && (line[j]?.x ?? 0) < x) j += 1;
    const [a, b] = [line[j - 1], line[j]];
    if (!a || !b) return majorMm / 2;
    const y = b.x === a.x ? b.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
    return majorMm / 2 + y - top;
  });
  const own = (z: number): number => {
    const turns = z / pitchMm + 0.5;
    return table[min(PLACES - 1, floor((turns - floor(turns)) * PLACES))] ?? 0;
  };
  return {
    majorMm,
    leadMm: pitchMm * (p.starts ?? 1),
    // a flank that went back is its ridge's neighbour place: only the side that fell is lower for it
    radiusAt: (z) =>
      worn.reduce(
        (r, w) => (z < w.fromMm || z > w.toMm ? r : min(r, own(z + (w.flank === 'leading' ? w.lostMm : -w.lostMm)))),
        own(z),
      ) + (form.taper === 0 ? 0 : -(form.taper / 2) * z),
  };
}
