import type { Grey } from './grey.ts';
import { median } from '../numeric/sorted.ts';
import type { Levels } from './levels.ts';

// in the innermost loops a look-up of the global would take longer than the sum
const { PI, abs, floor, hypot, max, min, sqrt } = Math;

/** Places where the part's edge crosses, px from the upper left corner of the picture, each with the way out of the part. */
export interface EdgePoints {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly nx: Float64Array;
  readonly ny: Float64Array;
  /** Steepness of the share there, a px; what blur leaves of it. */
  readonly steep: Float64Array;
}

/**
 * One sigma of the blur at an edge, px, smoothing taken out again.
 * @example blurOf({ steep: new Float64Array([0.2, 0.2, 0.2]) }) // 1.726; px
 */
export function blurOf(p: EdgePoints): number {
  const all = 1 / (sqrt(2 * PI) * median(Array.from(p.steep)));
  return sqrt(max(0, all * all - 1));
}

/**
 * Components of what is more than half part, the largest first, by their pixels in the small picture.
 * @example components(new Float32Array([0, 1, 0, 1]), 4, 1).length // 2
 */
export function components(share: Float32Array, w: number, h: number): Int32Array[] {
  const of = new Int32Array(w * h).fill(-1);
  const found: number[][] = [];
  for (let start = 0; start < share.length; start += 1) {
    if ((share[start] ?? 0) < 0.5 || of[start] !== -1) continue;
    const id = found.length;
    const pixels: number[] = [];
    const stack = [start];
    of[start] = id;
    while (stack.length > 0) {
      const p = stack.pop() ?? 0;
      pixels.push(p);
      const [x, y] = [p % w, floor(p / w)];
      for (const q of [x > 0 ? p - 1 : -1, x < w - 1 ? p + 1 : -1, y > 0 ? p - w : -1, y < h - 1 ? p + w : -1])
        if (q >= 0 && of[q] === -1 && (share[q] ?? 0) >= 0.5) {
          of[q] = id;
          stack.push(q);
        }
    }
    found.push(pixels);
  }
  return found.map((p) => Int32Array.from(p)).sort((a, b) => b.length - a.length);
}

/** Weights of a smoothing with a sigma of one px. */
const SMOOTH = [0.0545, 0.2442, 0.4026, 0.2442, 0.0545];

/**
 * The edge of one component, sub-pixel: found on the small picture, then crossed in the full one where the share is half, upright
 * or across as its slope lies. Only blocks that hold the edge are looked at, so a large picture costs as its edge is long.
 * @example pictureRead().seen.edges.map((e) => e.side) // [-1, 1]
 */
export function edgeOf(g: Grey, levels: Levels, pixels: Int32Array, sw: number, sh: number, by: number): EdgePoints {
  const inside = new Uint8Array(sw * sh);
  for (const p of pixels) inside[p] = 1;
  const near = new Set<number>();
  for (const p of pixels) {
    const [x, y] = [p % sw, floor(p / sw)];
    let edge = false;
    for (let j = -1; j <= 1; j += 1)
      for (let i = -1; i <= 1; i += 1) {
        const [u, v] = [x + i, y + j];
        if (u < 0 || v < 0 || u >= sw || v >= sh || inside[v * sw + u] === 0)
          edge = edge || (u >= 0 && v >= 0 && u < sw && v < sh);
      }
    if (!edge) continue;
    for (let j = -1; j <= 1; j += 1)
      for (let i = -1; i <= 1; i += 1) {
        const [u, v] = [x + i, y + j];
        if (u >= 0 && v >= 0 && u < sw && v < sh) near.add(v * sw + u);
      }
  }
  const out: number[][] = [[], [], [], [], []];
  const side = by + 6;
  const raw = new Float64Array((side + 4) * (side + 4));
  const half = new Float64Array((side + 4) * (side + 4));
  const t = new Float64Array(side * side);
  for (const p of near) {
    const [x0, y0] = [(p % sw) * by - 2, floor(p / sw) * by - 2];
    const n = side + 4;
    for (let j = 0; j < n; j += 1)
      for (let i = 0; i < n; i += 1) {
        const x = max(0, min(g.w - 1, x0 + i - 2));
        const y = max(0, min(g.h - 1, y0 + j - 2));
        raw[j * n + i] = levels.share(g.data[y * g.w + x] ?? 0, x + 0.5, y + 0.5);
      }
    for (let j = 0; j < n; j += 1)
      for (let i = 2; i < n - 2; i += 1) {
        let s = 0;
        for (let k = 0; k < 5; k += 1) s += (SMOOTH[k] ?? 0) * (raw[j * n + i + k - 2] ?? 0);
        half[j * n + i] = s;
      }
    for (let j = 0; j < side; j += 1)
      for (let i = 0; i < side; i += 1) {
        let s = 0;
        for (let k = 0; k < 5; k += 1) s += (SMOOTH[k] ?? 0) * (half[(j + k) * n + i + 2] ?? 0);
        t[j * side + i] = s;
      }
    const at = (i: number, j: number): number => t[j * side + i] ?? 0;
    for (let j = 2; j < by + 2; j += 1)
      for (let i = 2; i < by + 2; i += 1) {
        const here = at(i, j);
        const gx = (at(i + 1, j) - at(i - 1, j)) / 2;
        const gy = (at(i, j + 1) - at(i, j - 1)) / 2;
        const upright = abs(gy) >= abs(gx);
        const next = upright ? at(i, j + 1) : at(i + 1, j);
        if (here >= 0.5 === next >= 0.5) continue;
        const f = (0.5 - here) / (next - here);
        const x = x0 + i + 0.5 + (upright ? 0 : f);
        const y = y0 + j + 0.5 + (upright ? f : 0);
        if (x < 1 || y < 1 || x > g.w - 1 || y > g.h - 1) continue;
        const steep = hypot(gx, gy);
        if (steep < 1e-3) continue;
        [x, y, -gx / steep, -gy / steep, steep].forEach((v, k) => out[k]?.push(v));
      }
  }
  const [x = [], y = [], nx = [], ny = [], steep = []] = out;
  return {
    x: Float64Array.from(x),
    y: Float64Array.from(y),
    nx: Float64Array.from(nx),
    ny: Float64Array.from(ny),
    steep: Float64Array.from(steep),
  };
}
