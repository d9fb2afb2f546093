import { Matrix, solve } from 'ml-matrix';
import type { Grey } from './grey.ts';

/** How light and dark lie over a picture. */
export interface Levels {
  /** Bright part on a dark ground. */
  readonly scan: boolean;
  /** Share of the part at a place of the full picture from its grey: 0 ground, 1 part. */
  readonly share: (grey: number, x: number, y: number) => number;
  /** Brightest of the ground against its darkest, at the corners and in the middle. */
  readonly unevenness: number;
  /** The same of the small picture, all of it. */
  readonly small: Float32Array;
}

/** The grey that parts two classes best. @see Otsu, IEEE Trans. SMC 9 (1979) 62 */
function parting(data: Float32Array): number {
  const bins = new Float64Array(256);
  for (const v of data) bins[Math.max(0, Math.min(255, Math.round(v * 255)))] = (bins[Math.round(v * 255)] ?? 0) + 1;
  let sum = 0;
  bins.forEach((n, i) => (sum += i * n));
  let [w, s, best, from, to] = [0, 0, -1, 0, 0];
  for (let i = 0; i < 255; i += 1) {
    w += bins[i] ?? 0;
    s += i * (bins[i] ?? 0);
    if (w === 0 || w === data.length) continue;
    const between = (sum * (w / data.length) - s) ** 2 / (w * (data.length - w));
    // between two classes far apart it is flat: the middle of that
    if (between > best * (1 + 1e-9)) [best, from, to] = [between, i, i];
    else if (between >= best * (1 - 1e-9)) to = i;
  }
  return ((from + to) / 2 + 0.5) / 255;
}

const TERMS = (x: number, y: number): number[] => [1, x, y, x * x, x * y, y * y];

/**
 * Ground as a quadratic over the picture, fitted without what stands out of it; the part as its median. Null: there are no two
 * levels. @param by side of the small picture's blocks in the full one
 * @example levelsOf({ w: 4, h: 4, data: new Float32Array(16) }, 1) // null; all of one grey
 */
export function levelsOf(small: Grey, by: number): Levels | null {
  const { w, h, data } = small;
  const at = parting(data);
  const dark = (x: number, y: number): boolean => (data[y * w + x] ?? 0) < at;
  const shareDark = (y: number): number => {
    let n = 0;
    for (let x = 0; x < w; x += 1) n += dark(x, y) ? 1 : 0;
    return n / w;
  };
  const scan = shareDark(0) > 0.5 && shareDark(h - 1) > 0.5;
  const ground: [number, number, number][] = [];
  const part: number[] = [];
  for (let y = 0; y < h; y += 2)
    for (let x = 0; x < w; x += 2) {
      const v = data[y * w + x] ?? 0;
      if (dark(x, y) === scan) ground.push([x / w, y / h, v]);
      else part.push(v);
    }
  if (ground.length < 40 || part.length < 40) return null;
  part.sort((a, b) => a - b);
  const f = part[Math.floor(part.length / 2)] ?? 0;
  let kept = ground;
  let c = [1, 0, 0, 0, 0, 0];
  for (let round = 0; round < 3; round += 1) {
    const every = Math.max(1, Math.floor(kept.length / 1500));
    const used = kept.filter((_, i) => i % every === 0);
    const a = new Matrix(used.map(([x, y]) => TERMS(x, y)));
    c = solve(a, Matrix.columnVector(used.map(([, , v]) => v)), true).to1DArray();
    const off = kept.map(([x, y, v]) => v - TERMS(x, y).reduce((s, t, i) => s + t * (c[i] ?? 0), 0));
    const spread = [...off.map(Math.abs)].sort((p, q) => p - q)[Math.floor(off.length / 2)] ?? 0;
    kept = kept.filter((_, i) => Math.abs(off[i] ?? 0) <= 4 * spread + 1e-4);
  }
  const [c0 = 0, c1 = 0, c2 = 0, c3 = 0, c4 = 0, c5 = 0] = c;
  const groundAt = (x: number, y: number): number => c0 + c1 * x + c2 * y + c3 * x * x + c4 * x * y + c5 * y * y;
  const share = (grey: number, x: number, y: number): number => {
    const b = groundAt(x / (w * by), y / (h * by));
    return (b - grey) / (b - f);
  };
  if (Math.abs(groundAt(0.5, 0.5) - f) < 0.04) return null;
  const out = new Float32Array(w * h);
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) out[y * w + x] = share(data[y * w + x] ?? 0, (x + 0.5) * by, (y + 0.5) * by);
  const spots = [0.05, 0.5, 0.95].flatMap((x) => [0.05, 0.5, 0.95].map((y) => Math.max(0.02, groundAt(x, y))));
  return { scan, share, unevenness: Math.max(...spots) / Math.min(...spots), small: out };
}
