import { cosDeg, sinDeg } from '../quantity/units.ts';
import type { Grey } from './grey.ts';
import type { EdgeSeen, Seen } from './types.ts';
import { rangeOf } from './line.ts';
import type { Side } from './sides.ts';
import type { Edge } from './teeth.ts';

/** The points of an edge as they were found. */
export interface RawEdge extends Side {
  readonly side: 1 | -1;
}
/** Points of an edge that a drawing needs. */
const MOST_POINTS = 4000;

/**
 * Edges, teeth and axis in the picture's own pixels.
 * @example drawnOver([drawnEdge(-1)], [], picture()).edges[0].teeth.length // 10
 */
export function drawnOver(
  edges: readonly Edge[],
  raw: readonly RawEdge[],
  g: Grey,
): Pick<Seen, 'edges' | 'axis' | 'alongPx'> {
  const deg = edges.reduce((s, e) => s + e.laid.deg, 0) / Math.max(1, edges.length);
  const [c, s] = [cosDeg(deg), sinDeg(deg)];
  const seen = edges.map((e): EdgeSeen => {
    const points = raw.find((r) => r.side === e.side);
    const n = points?.x.length ?? 0;
    const every = Math.max(1, n / MOST_POINTS);
    const order = Array.from({ length: n }, (_, i) => i)
      .filter((i) => Math.floor(i / every) !== Math.floor((i - 1) / every))
      .sort((a, b) => along(points, a) - along(points, b));
    const [ec, es] = [cosDeg(e.laid.deg), sinDeg(e.laid.deg)];
    return {
      side: e.side,
      x: Float32Array.from(order, (i) => points?.x[i] ?? 0),
      y: Float32Array.from(order, (i) => points?.y[i] ?? 0),
      teeth: e.fold.teeth.map((t) => {
        const z = e.fold.ridgePx + t.k * e.fold.pitchPx;
        const v = e.side * e.fold.crest;
        const [x, y] = [z * ec - v * es, z * es + v * ec];
        return { k: t.k, x, y, along: x * c + y * s, left: t.left, right: t.right, used: e.fold.used.includes(t.k) };
      }),
    };
  });
  function along(p: Side | undefined, i: number): number {
    return (p?.x[i] ?? 0) * c + (p?.y[i] ?? 0) * s;
  }
  const [from, to] = rangeOf(seen.flatMap((e) => e.teeth.map((t) => t.along)));
  const middles = edges.map((e) => e.side * e.fold.crest);
  const across = edges.length === 2 ? ((middles[0] ?? 0) + (middles[1] ?? 0)) / 2 : -(g.w / 2) * s + (g.h / 2) * c;
  const at = (z: number): readonly [number, number] => [z * c - across * s, z * s + across * c];
  const alongPx = rangeOf(raw.flatMap((r) => [...rangeOf(Array.from(r.x, (_, i) => along(r, i)))]));
  return { edges: seen, axis: [...at(from), ...at(to)], alongPx };
}
