import { degrees } from '../quantity/units.ts';
import { blurOf, components, edgeOf } from './edges.ts';
import { radiusWithin, type End } from './ends.ts';
import { reduced, type Grey } from './grey.ts';
import { levelsOf } from './levels.ts';
import { robustLine, type Line } from './line.ts';
import { median } from '../numeric/sorted.ts';
import { scaleByPin } from './pin.ts';
import type { Told } from './types.ts';

const { abs, atan, cos, floor, hypot, max, min, sin, sqrt, tan, PI, SQRT2 } = Math;

/** What reading a tool cannot decide by itself. */
export type TipAsk = 'no-part' | 'no-shank' | 'no-tip';
/** What is said of the picture of a tool. */
export interface TipAskedFor {
  readonly pxPerMm: number | null;
  readonly pinMm: number | null;
}
/** A tool's end as its shadow shows it, seen square to its face. */
export interface TipRead {
  readonly asks: readonly TipAsk[];
  /** Between its two flanks; null: not read. */
  readonly includedDeg: Told | null;
  /** Flat or radius, px; null: alike at this size and softness. */
  readonly tip: End | null;
  readonly tipUncertaintyPx: number;
  readonly pxPerMm: Told | null;
  readonly blurPx: number;
  /** Edge of the tool, flanks as found and where they would meet, px of the picture. */
  readonly seen: {
    readonly x: Float32Array;
    readonly y: Float32Array;
    readonly flanks: readonly (readonly [number, number, number, number])[];
  } | null;
}

const MOST_SMALL = 400;
/** Along a flank, from the tip: less than this may be the tip's own end, px over two sigmas of blur. */
const BINS = 60;
/** A flank goes on as long as it leans within so much of where it began, degrees. */
const STRAIGHT_DEG = 4;
const TOLD = 1.6;

const none = (asks: readonly TipAsk[], blurPx = 0): TipRead => ({
  asks,
  includedDeg: null,
  tip: null,
  tipUncertaintyPx: 0,
  pxPerMm: null,
  blurPx,
  seen: null,
});

/**
 * Reads a threading tool's end from a picture against the light: its shank leaves the picture at one side, its tip is what lies
 * farthest from there. Flanks are robust lines from near the tip to where they bend into the shank; the tip is flat or round, whichever lies closer.
 * @example readTip(toolPicture({ includedDeg: 60, tip: { kind: 'flat', wide: 0.4 }, shankMm: 12, turnDeg: 0, pxPerMm: 20, w: 400, h: 300, blurPx: 0.8, noise: 0, seed: 1 }), { pxPerMm: 20, pinMm: null }).includedDeg.value // 60.0
 */
export function readTip(g: Grey, ask: TipAskedFor): TipRead {
  const { small, by } = reduced(g, MOST_SMALL);
  const levels = levelsOf(small, by);
  if (!levels) return none(['no-part']);
  const [pixels, ...others] = components(levels.small, small.w, small.h);
  if (!pixels || pixels.length < 0.005 * small.w * small.h) return none(['no-part']);
  // where it leaves the picture
  let [bx, by0, n] = [0, 0, 0];
  for (const p of pixels) {
    const [x, y] = [p % small.w, floor(p / small.w)];
    if (x > 0 && y > 0 && x < small.w - 1 && y < small.h - 1) continue;
    bx += x;
    by0 += y;
    n += 1;
  }
  if (n < 4) return none(['no-shank']);
  const root = { x: (bx / n) * by, y: (by0 / n) * by };
  const e = edgeOf(g, levels, pixels, small.w, small.h, by);
  if (e.x.length < 120) return none(['no-part']);
  const blurPx = blurOf(e);
  // the way it points: refined until the two flanks lie evenly about it
  let turn = Math.atan2(-root.y + farthest(e.x, e.y, root).y, farthest(e.x, e.y, root).x - root.x);
  let flanks: readonly [Line, Line] | null = null;
  let [end, first] = [0, 0];
  for (let round = 0; round < 4; round += 1) {
    const [c, s] = [cos(turn), sin(turn)];
    const t = Array.from(e.x, (x, i) => x * c + (e.y[i] ?? 0) * s);
    const v = Array.from(e.x, (x, i) => -x * s + (e.y[i] ?? 0) * c);
    end = t.reduce((a, b) => max(a, b), -Infinity);
    const atTip = v.filter((_, i) => end - (t[i] ?? 0) < 2 + blurPx);
    const middle = median(atTip);
    const found = flanksOf(t, v, end, middle, 2 * blurPx + 3);
    if (!found) return none(['no-tip'], blurPx);
    flanks = found.lines;
    first = middle;
    const lean = (atan(flanks[0].b) + atan(flanks[1].b)) / 2;
    if (abs(lean) < 1e-5) break;
    turn += lean;
  }
  if (!flanks) return none(['no-tip'], blurPx);
  const [low, high] = flanks;
  const included = degrees(atan(low.b) - atan(high.b));
  // flanks go apart away from the tip: against the way it points
  if (!(abs(included) > 4 && abs(included) < 120)) return none(['no-tip'], blurPx);
  const [c, s] = [cos(turn), sin(turn)];
  const wide = abs(high.a + high.b * end - low.a - low.b * end);
  const half = abs(included) / 2;
  const near = Array.from(e.x, (x, i) => [x * c + (e.y[i] ?? 0) * s, -x * s + (e.y[i] ?? 0) * c] as const).filter(
    ([t, v]) => end - t < max(4, wide) && abs(v - first) < max(6, wide),
  );
  const tipEnd = endOf(near, end, (high.a + high.b * end + low.a + low.b * end) / 2, wide, half, blurPx);
  const sigma = hypot(low.bSigma, high.bSigma, 0.0008);
  const scale: Told | null =
    ask.pxPerMm !== null
      ? { value: ask.pxPerMm, uncertainty: 0 }
      : ask.pinMm !== null
        ? scaleByPin(
            others.map((o) => edgeOf(g, levels, o, small.w, small.h, by)),
            ask.pinMm,
          )
        : null;
  const every = max(1, floor(e.x.length / 4000));
  const back = (t: number, v: number): readonly [number, number] => [t * c - v * s, t * s + v * c];
  const long = 0.25 * hypot(g.w, g.h);
  return {
    asks: [],
    includedDeg: { value: abs(included), uncertainty: degrees(sigma) },
    tip: tipEnd,
    tipUncertaintyPx: hypot(0.2, 0.2 * blurPx) * SQRT2,
    pxPerMm: scale,
    blurPx,
    seen: {
      x: Float32Array.from(e.x.filter((_, i) => i % every === 0)),
      y: Float32Array.from(e.y.filter((_, i) => i % every === 0)),
      flanks: [low, high].map(
        (l) => [...back(end, l.a + l.b * end), ...back(end - long, l.a + l.b * (end - long))] as const,
      ),
    },
  };
}

/** The place of an edge that lies farthest from another. */
function farthest(x: Float64Array, y: Float64Array, from: { readonly x: number; readonly y: number }) {
  let [best, at] = [-1, 0];
  for (let i = 0; i < x.length; i += 1) {
    const d = hypot((x[i] ?? 0) - from.x, (y[i] ?? 0) - from.y);
    if (d > best) [best, at] = [d, i];
  }
  return { x: x[at] ?? 0, y: y[at] ?? 0 };
}

/** Both flanks as v over t, from just behind the tip to where they bend. */
function flanksOf(
  t: readonly number[],
  v: readonly number[],
  end: number,
  middle: number,
  clear: number,
): { readonly lines: readonly [Line, Line] } | null {
  const deep = end - t.reduce((a, b) => min(a, b), Infinity);
  const step = deep / BINS;
  const line = (sign: 1 | -1): Line | null => {
    const own = t.map((at, i) => i).filter((i) => sign * ((v[i] ?? 0) - middle) > 0);
    const inBin = (k: number): number[] =>
      own.filter((i) => end - (t[i] ?? 0) >= k * step && end - (t[i] ?? 0) < (k + 1) * step);
    // outermost of each bin, so that a nick or a shadow inside does not turn it
    const edge = Array.from({ length: BINS }, (_, k) => median(inBin(k).map((i) => v[i] ?? 0)));
    const firstBin = Math.ceil((clear + 1) / step) + 1;
    const lean = (k: number): number => degrees(atan(((edge[k + 2] ?? NaN) - (edge[k] ?? NaN)) / (2 * step)));
    const began = median([0, 1, 2].map((k) => lean(firstBin + k)).filter((x) => !Number.isNaN(x)));
    let last = firstBin + 2;
    while (last + 2 < BINS && abs(lean(last) - began) < STRAIGHT_DEG) last += 1;
    const used = own.filter((i) => {
      const d = end - (t[i] ?? 0);
      return d > firstBin * step && d < last * step;
    });
    return used.length < 12
      ? null
      : robustLine(
          used.map((i) => t[i] ?? 0),
          used.map((i) => v[i] ?? 0),
          0.02,
        );
  };
  const [low, high] = [line(-1), line(1)];
  return low && high ? { lines: [low, high] } : null;
}

/** Flat or arc at the tip: whichever the points lie closer to. */
function endOf(
  near: readonly (readonly [number, number])[],
  end: number,
  middle: number,
  wide: number,
  halfDeg: number,
  blurPx: number,
): End | null {
  if (near.length < 6 || wide < 2 * max(1, blurPx)) return null;
  const radius = radiusWithin(wide, halfDeg, halfDeg);
  const slope = tan((halfDeg * PI) / 180);
  const flat = (v: number): number => max(0, (abs(v) - wide / 2) / max(1e-3, slope));
  const reach = radius * cos((halfDeg * PI) / 180);
  const round = (v: number): number =>
    abs(v) < reach ? radius - sqrt(radius * radius - v * v) : max(0, (abs(v) - wide / 2) / max(1e-3, slope));
  const off = (of: (v: number) => number): number =>
    sqrt(
      median(
        near.map(
          ([t, v]) =>
            ((end - t - of(v - middle)) * cos(abs(v - middle) < wide / 2 ? 0 : PI / 2 - (halfDeg * PI) / 180)) ** 2,
        ),
      ) + 0.01,
    );
  const [a, b] = [off(flat), off(round)];
  if (max(a, b) < TOLD * min(a, b)) return null;
  return a < b ? { kind: 'flat', wide } : { kind: 'round', radius };
}
