import FFT from 'fft.js';
import { cosDeg, sinDeg } from '../quantity/units.ts';
import { rangeOf, robustLine } from './line.ts';
import { median } from '../numeric/sorted.ts';

// in the innermost loops a look-up of the global would take longer than the sum
const { SQRT2, abs, ceil, floor, hypot, log2, max, min } = Math;

/** One edge of the part laid level: along it, and out of the part, px. */
export interface Laid {
  readonly z: Float64Array;
  readonly h: Float64Array;
  /** The edge's own angle: it falls to the right, degrees. */
  readonly deg: number;
}

/** An edge with its teeth, above the part (-1) or below it. */
export interface Edge {
  readonly side: 1 | -1;
  readonly laid: Laid;
  readonly fold: Folded;
}

/** How sharp the heights lie where the points are turned level by an angle: flats and crests then fall into few bins. */
function sharpness(x: Float64Array, y: Float64Array, deg: number): number {
  const [c, s] = [cosDeg(deg), sinDeg(deg)];
  const count = new Map<number, number>();
  for (let i = 0; i < x.length; i += 1) {
    const v = -(x[i] ?? 0) * s + (y[i] ?? 0) * c;
    const k = floor(v * 2);
    const f = v * 2 - k;
    count.set(k, (count.get(k) ?? 0) + 1 - f);
    count.set(k + 1, (count.get(k + 1) ?? 0) + f);
  }
  let sum = 0;
  for (const n of count.values()) sum += n * n;
  return sum;
}

/**
 * The angle at which an edge lies level, about a first guess. @returns degrees, + it falls to the right
 * @example angleOf(drawnEdge(-1).laid.z, drawnEdge(-1).laid.h, 1) // 0.00
 */
export function angleOf(x: Float64Array, y: Float64Array, about: number): number {
  let best = about;
  for (const [reach, step] of [
    [6, 0.5],
    [0.6, 0.1],
    [0.12, 0.02],
  ] as const) {
    const centre = best;
    let most = -1;
    for (let d = -reach; d <= reach + 1e-9; d += step) {
      const s = sharpness(x, y, centre + d);
      if (s > most) [most, best] = [s, centre + d];
    }
  }
  return best;
}

/**
 * Turned level. @param outward +1 where out of the part is down in the picture
 * @example [...laid(Float64Array.from([3]), Float64Array.from([4]), 90, 1).z] // [4]; turned a quarter
 */
export function laid(x: Float64Array, y: Float64Array, deg: number, outward: 1 | -1): Laid {
  const [c, s] = [cosDeg(deg), sinDeg(deg)];
  const z = new Float64Array(x.length);
  const h = new Float64Array(x.length);
  for (let i = 0; i < x.length; i += 1) {
    z[i] = (x[i] ?? 0) * c + (y[i] ?? 0) * s;
    h[i] = outward * (-(x[i] ?? 0) * s + (y[i] ?? 0) * c);
  }
  return { z, h, deg };
}

/**
 * The period of an edge; null where nothing repeats. @returns px, and how well it repeats, 0 to 1
 * @example periodOf(drawnEdge(-1).laid).px // 20.00
 */
export function periodOf(e: Laid): { readonly px: number; readonly strength: number } | null {
  if (e.z.length < 60) return null;
  const [from, to] = rangeOf(e.z);
  const n = floor(to - from);
  if (n < 30) return null;
  const sum = new Float64Array(n);
  const count = new Float64Array(n);
  for (let i = 0; i < e.z.length; i += 1) {
    const k = floor((e.z[i] ?? 0) - from);
    if (k >= 0 && k < n) {
      sum[k] = (sum[k] ?? 0) + (e.h[i] ?? 0);
      count[k] = (count[k] ?? 0) + 1;
    }
  }
  const heights = [...e.h].sort((a, b) => a - b);
  const low = heights[floor(heights.length * 0.04)] ?? 0;
  const high = heights[floor(heights.length * 0.96)] ?? 0;
  const p: number[] = [];
  let last = (low + high) / 2;
  for (let k = 0; k < n; k += 1) {
    if ((count[k] ?? 0) > 0) last = max(low, min(high, (sum[k] ?? 0) / (count[k] ?? 1)));
    p.push(last);
  }
  const mean = p.reduce((s, v) => s + v, 0) / n;
  const level = p.map((v) => v - mean);
  const slope = level.map((v, i) => (level[i + 2] ?? v) - (level[i - 2] ?? v));
  const ofSlope = correlated(slope);
  const r = correlated(level).map((v, i) => (v + (ofSlope[i] ?? 0)) / 2);
  let top = 0;
  const peaks: [number, number][] = [];
  for (let k = 5; k < min(r.length - 1, n / 2); k += 1) {
    const v = r[k] ?? 0;
    if (v > (r[k - 1] ?? 0) && v >= (r[k + 1] ?? 0)) {
      peaks.push([k, v]);
      top = max(top, v);
    }
  }
  const first = peaks.find(([, v]) => v > 0.8 * top);
  if (!first || top < LEAST_CORRELATION) return null;
  const [k, v] = first;
  const [a, c] = [r[k - 1] ?? 0, r[k + 1] ?? 0];
  const bend = a - 2 * v + c;
  return { px: k + (bend === 0 ? 0 : (0.5 * (a - c)) / bend), strength: v };
}
/** Under this nothing repeats. */
const LEAST_CORRELATION = 0.3;

/** Correlation with itself at each shift, counted by how much still overlaps. */
function correlated(x: readonly number[]): number[] {
  const n = x.length;
  const size = 2 ** ceil(log2(2 * n));
  const fft = new FFT(size);
  const input = fft.createComplexArray();
  for (let i = 0; i < n; i += 1) input[2 * i] = x[i] ?? 0;
  const out = fft.createComplexArray();
  fft.transform(out, input);
  for (let i = 0; i < size; i += 1) {
    const [re, im] = [out[2 * i] ?? 0, out[2 * i + 1] ?? 0];
    out[2 * i] = re * re + im * im;
    out[2 * i + 1] = 0;
  }
  const back = fft.createComplexArray();
  fft.inverseTransform(back, out);
  const zero = (back[0] ?? 0) / n || 1;
  return Array.from({ length: floor(n / 2) + 1 }, (_, k) => (back[2 * k] ?? 0) / (n - k) / zero);
}

/** All teeth of an edge on one folded profile. */
export interface Folded {
  /** Pitch along the edge, px, and its standard uncertainty. */
  readonly pitchPx: number;
  readonly pitchSigma: number;
  /** Place of a ridge's middle, px along the edge, from which the others are whole pitches. */
  readonly ridgePx: number;
  readonly crest: number;
  readonly root: number;
  /** Thickness of a ridge at mid height, px, and how the single flanks scatter. */
  readonly widePx: number;
  readonly scatterPx: number;
  /** Numbers of the teeth that were used. */
  readonly used: readonly number[];
  /** Every tooth in view with how far its two flanks lie off the common ones, + to the right, px; NaN: not seen. */
  readonly teeth: readonly {
    readonly k: number;
    readonly left: number;
    readonly right: number;
    readonly crest: number;
  }[];
  /** Points of the teeth used: from the ridge's middle, and height. */
  readonly u: Float64Array;
  readonly h: Float64Array;
  readonly tooth: Int32Array;
}

/**
 * Crest of every tooth that is used, by the tooth's number.
 * @example crestsOf(drawnEdge(-1).fold).map((c) => c.h)[0] // 106
 */
export const crestsOf = (f: Folded): readonly { readonly k: number; readonly h: number }[] =>
  f.teeth.filter((t) => f.used.includes(t.k) && !Number.isNaN(t.crest)).map((t) => ({ k: t.k, h: t.crest }));

const BINS = 120;
const ROUNDS_FOLD = 9;

/**
 * Where a folded profile rises through a height and falls again, in bins from the first: the widest ridge, gaps of a few bins in
 * it closed, for teeth that wore stand beside those that did not. Null: it never crosses.
 */
function widest(m: readonly number[], mid: number): readonly [number, number] | null {
  const n = m.length;
  const runs: [number, number][] = [];
  for (let i = 0; i < n; i += 1) {
    const [a, b] = [m[i] ?? 0, m[(i + 1) % n] ?? 0];
    const at = i + 0.5 + (mid - a) / (b - a);
    if (a < mid && b >= mid) runs.push([at, NaN]);
    const open = runs.at(-1);
    if (a >= mid && b < mid && open) open[1] = at;
  }
  const [first] = runs;
  if (!first) return null;
  // a ridge that lies over the end of the list falls after its beginning
  for (let i = 0; Number.isNaN(runs.at(-1)?.[1]) && i < n; i += 1)
    if ((m[i] ?? 0) >= mid && (m[(i + 1) % n] ?? 0) < mid) {
      const last = runs.at(-1);
      if (last) last[1] = n + i + 0.5 + (mid - (m[i] ?? 0)) / ((m[(i + 1) % n] ?? 0) - (m[i] ?? 0));
    }
  const whole = runs.filter(([, down]) => !Number.isNaN(down));
  const joined: [number, number][] = [];
  for (const run of [...whole, ...whole.map(([u, d]): [number, number] => [u + n, d + n])]) {
    const last = joined.at(-1);
    if (last && run[0] - last[1] < CLOSED * n && run[1] - last[0] < n) last[1] = run[1];
    else joined.push([...run]);
  }
  return joined.reduce<[number, number] | null>((w, r) => (!w || r[1] - r[0] > w[1] - w[0] ? r : w), null);
}
/** Gaps in a ridge under this share of the pitch are none. */
const CLOSED = 0.05;

/**
 * Folds an edge over its period and makes the period, the ridge and the teeth agree. Null: fewer than two whole teeth.
 * @example [foldOf(drawnEdge(-1).laid, 20).crest, foldOf(drawnEdge(-1).laid, 20).root, foldOf(drawnEdge(-1).laid, 20).widePx] // [106, 100, 10]
 */
export function foldOf(e: Laid, periodPx: number): Folded | null {
  let [p, z0] = [periodPx, 0];
  let teeth: { k: number; left: number; right: number; crest: number }[] = [];
  let used = new Set<number>();
  let [crest, root, pitchSigma, widePx, scatterPx] = [0, 0, Infinity, 0, 0];
  for (let round = 0; round < ROUNDS_FOLD; round += 1) {
    const bins: number[][] = Array.from({ length: BINS }, () => []);
    for (let i = 0; i < e.z.length; i += 1) {
      // a ridge's middle lies at half a turn
      const turns = ((e.z[i] ?? 0) - z0) / p + 0.5;
      const k = floor(turns);
      if (used.size > 0 && !used.has(k)) continue;
      bins[min(BINS - 1, floor((turns - k) * BINS))]?.push(e.h[i] ?? 0);
    }
    if (bins.filter((b) => b.length > 0).length < BINS / 4) return null;
    const m = bins.map((b) => median(b));
    for (let pass = 0; pass < BINS && m.some(Number.isNaN); pass += 1)
      m.forEach((v, i) => {
        if (Number.isNaN(v)) m[i] = m[(i + BINS - 1) % BINS] ?? NaN;
      });
    const sorted = [...m].sort((a, b) => a - b);
    crest = sorted[floor(BINS * 0.97)] ?? 0;
    root = sorted[floor(BINS * 0.03)] ?? 0;
    // the ridge's middle: half-way between the crossings at mid height
    const mid = (crest + root) / 2;
    const ridge = widest(m, mid);
    if (!ridge) return null;
    const [up, down] = ridge;
    z0 += ((up + down) / 2 / BINS - 0.5) * p;
    const wide = ((down - up) / BINS) * p;
    // each tooth's flanks by their crossing of mid height, from points near it
    const near = max(2, (crest - root) * 0.32);
    const sums = new Map<number, { l: number[]; lh: number[]; r: number[]; rh: number[]; c: number[]; n: number }>();
    for (let i = 0; i < e.z.length; i += 1) {
      const [z, h] = [e.z[i] ?? 0, e.h[i] ?? 0];
      const k = floor((z - z0) / p + 0.5);
      const u = z - z0 - k * p;
      const s = sums.get(k) ?? { l: [], lh: [], r: [], rh: [], c: [], n: 0 };
      sums.set(k, s);
      s.n += 1;
      if (abs(h - mid) < near) (u < 0 ? (s.l.push(u), s.lh) : (s.r.push(u), s.rh)).push(h);
      if (abs(u) < wide * 0.3 && h > mid) s.c.push(h);
    }
    const at = (us: readonly number[], hs: readonly number[]): number => {
      if (us.length < 4) return NaN;
      const line = robustLine(hs, us, 0.01);
      return line.a + line.b * mid;
    };
    teeth = [...sums]
      .map(([k, s]) => ({
        k,
        left: at(s.l, s.lh) + wide / 2,
        right: at(s.r, s.rh) - wide / 2,
        crest: s.c.length > 0 ? median(s.c) : NaN,
      }))
      .filter((t) => !Number.isNaN(t.left) || !Number.isNaN(t.right))
      .sort((a, b) => a.k - b.k);
    const whole = teeth.filter((t) => !Number.isNaN(t.left) && !Number.isNaN(t.right) && !Number.isNaN(t.crest));
    if (whole.length < 2) return null;
    const l = robustLine(
      whole.map((t) => t.k),
      whole.map((t) => t.left),
      0.02,
    );
    const r = robustLine(
      whole.map((t) => t.k),
      whole.map((t) => t.right),
      0.02,
    );
    const step = (l.b + r.b) / 2;
    scatterPx = (l.sigma + r.sigma) / 2;
    widePx = wide + r.a - l.a;
    p += step;
    z0 += (l.a + r.a) / 2;
    const within = max(1, 4 * max(l.sigma, r.sigma));
    const crests = median(whole.map((t) => t.crest));
    used = new Set(
      whole
        .filter(
          (t) =>
            abs(t.left - l.a - l.b * t.k) < within &&
            abs(t.right - r.a - r.b * t.k) < within &&
            abs(t.crest - crests) < max(2, 0.12 * (crest - root)),
        )
        .map((t) => t.k),
    );
    if (used.size < 2) return null;
    teeth = teeth.map((t) => ({ ...t, left: t.left - l.a - l.b * t.k, right: t.right - r.a - r.b * t.k }));
    // both flanks tell the pitch by themselves; where they do not agree, that is its uncertainty too
    pitchSigma = max(hypot(l.bSigma, r.bSigma) / 2, abs(l.b - r.b) / 2 / SQRT2, 0.0005);
    if (round > 3 && abs(step) < 1e-5) break;
  }
  const us: number[] = [];
  const hs: number[] = [];
  const ks: number[] = [];
  for (let i = 0; i < e.z.length; i += 1) {
    const k = floor(((e.z[i] ?? 0) - z0) / p + 0.5);
    if (!used.has(k)) continue;
    us.push((e.z[i] ?? 0) - z0 - k * p);
    hs.push(e.h[i] ?? 0);
    ks.push(k);
  }
  return {
    pitchPx: p,
    pitchSigma,
    ridgePx: z0,
    crest,
    root,
    widePx,
    scatterPx,
    used: [...used].sort((a, b) => a - b),
    teeth,
    u: Float64Array.from(us),
    h: Float64Array.from(hs),
    tooth: Int32Array.from(ks),
  };
}
