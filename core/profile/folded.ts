import type { Edge } from './teeth.ts';
import type { Points } from './shadow.ts';

/** Points of each edge that are kept: more say nothing new. */
const MOST = 900;

/**
 * All teeth used, of both edges, on one ridge: place from the ridge's middle with what its own flank lies off taken out, and
 * height over the axis. @param outer radius of the crest, px
 * @example foldedPoints([drawnEdge(-1)], 106).h.length // 800
 */
export function foldedPoints(edges: readonly Edge[], outer: number): Points {
  const u: number[] = [];
  const h: number[] = [];
  for (const { fold: f } of edges) {
    const off = new Map(f.teeth.map((t) => [t.k, t]));
    const every = Math.max(1, f.u.length / MOST);
    for (let j = 0; j < f.u.length; j += every) {
      const i = Math.floor(j);
      const at = f.u[i] ?? 0;
      const tooth = off.get(f.tooth[i] ?? NaN);
      const d = (at < 0 ? tooth?.left : tooth?.right) ?? 0;
      u.push(at - (Number.isNaN(d) ? 0 : d));
      h.push(outer - f.crest + (f.h[i] ?? 0));
    }
  }
  return { u: Float64Array.from(u), h: Float64Array.from(h) };
}
