import { slopeBetween } from '../form/flanks.ts';
import { cosDeg, sinDeg } from '../quantity/units.ts';
import type { Grey } from './grey.ts';
import type { Edge, Folded } from './teeth.ts';

/**
 * Crests of one edge against the other: half a pitch apart an odd number of starts, in step an even one. Null: neither.
 * @example parity([drawnEdge(-1), drawnEdge(1)], 20) // 'even'; ridges stand opposite one another
 */
export function parity([a, b]: readonly [Edge, Edge], pitch: number): 'odd' | 'even' | null {
  const along = (e: Edge): number => {
    // a ridge's middle at its crest, back in the picture, then along the mean axis
    const [x, y] = spot(e, e.fold.ridgePx, (e.fold.crest + e.fold.root) / 2);
    const mean = (a.laid.deg + b.laid.deg) / 2;
    return x * cosDeg(mean) + y * sinDeg(mean);
  };
  const off = ((((along(a) - along(b)) / pitch) % 1) + 1) % 1;
  const half = Math.abs(off - 0.5);
  return half < 0.15 ? 'odd' : half > 0.35 ? 'even' : null;
}

/** A place of an edge in the picture. */
function spot(e: Edge, z: number, h: number): readonly [number, number] {
  const [c, s] = [cosDeg(e.laid.deg), sinDeg(e.laid.deg)];
  const v = e.side * h;
  return [z * c - v * s, z * s + v * c];
}

/**
 * Crest to crest, or root to root, at the foot of the picture's centre, px.
 * @example between([drawnEdge(-1), drawnEdge(1)], picture(), 'crest') // 212
 */
export function between([a, b]: readonly [Edge, Edge], g: Grey, what: 'crest' | 'root'): number {
  const mean = (a.laid.deg + b.laid.deg) / 2;
  const [c, s] = [cosDeg(mean), sinDeg(mean)];
  const centre = (g.w / 2) * c + (g.h / 2) * s;
  const across = (e: Edge): number => {
    const h = levelAt(e.fold, what);
    const [x0, y0] = spot(e, 0, h);
    const [x1, y1] = spot(e, 1, h);
    const [z0, z1] = [x0 * c + y0 * s, x1 * c + y1 * s];
    const [v0, v1] = [-x0 * s + y0 * c, -x1 * s + y1 * c];
    return v0 + ((centre - z0) / (z1 - z0)) * (v1 - v0);
  };
  return Math.abs(across(a) - across(b));
}

/** Height of the crest or root: the middle of what is level there, or the top of what is round. */
function levelAt(f: Folded, what: 'crest' | 'root'): number {
  const sign = what === 'crest' ? 1 : -1;
  const centre = what === 'crest' ? 0 : f.pitchPx / 2;
  const depth = f.crest - f.root;
  const edge = what === 'crest' ? f.crest : f.root;
  const hs: number[] = [];
  for (let i = 0; i < f.u.length; i += 1) {
    const u = f.u[i] ?? 0;
    const off = what === 'crest' ? u : u >= 0 ? u - centre : u + centre;
    const h = f.h[i] ?? 0;
    if (sign * (edge - h) < 0.08 * depth && Math.abs(off) < 0.25 * f.pitchPx) hs.push(h);
  }
  if (hs.length < 8) return edge;
  const level = hs.sort((a, b) => a - b);
  // of what is nearly level the outermost fifth is edge noise, the innermost begins to turn down
  return level[Math.floor(level.length * (what === 'crest' ? 0.6 : 0.4))] ?? edge;
}

/**
 * Diameter at which the ridge is half a pitch wide, from its width at mid height and both apparent flanks.
 * @example widthsAlike([drawnEdge(-1), drawnEdge(1)], 0, 20, { apparentDeg: 45 }, { apparentDeg: 45 }) // 0; a ridge at half its height is as wide as the groove
 */
export function widthsAlike(
  edges: readonly Edge[],
  middlePx: number,
  pitchPx: number,
  left: { readonly apparentDeg: number },
  right: { readonly apparentDeg: number },
): number | null {
  const slope = slopeBetween(left.apparentDeg, right.apparentDeg);
  if (!(slope > 0.02)) return null;
  const wide = edges.reduce((s, e) => s + e.fold.widePx, 0) / edges.length;
  return middlePx + (2 * (wide - pitchPx / 2)) / slope;
}
