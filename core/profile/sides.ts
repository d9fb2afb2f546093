import { cosDeg, degrees, sinDeg } from '../quantity/units.ts';
import type { EdgePoints } from './edges.ts';
import { rangeOf, robustLine } from './line.ts';
import type { Shown } from './types.ts';

/** Places of one side of the part, px of the picture. */
export interface Side {
  readonly x: Float64Array;
  readonly y: Float64Array;
}

/**
 * How the part leans, from its pixels: the middle of each column. Degrees, + it falls to the right.
 * @example leaning(Int32Array.from([0, 5, 10, 15]), 4) // 45; one pixel down in each column
 */
export function leaning(pixels: Int32Array, w: number): number {
  const low = new Map<number, [number, number]>();
  for (const p of pixels) {
    const [x, y] = [p % w, Math.floor(p / w)];
    const [a, b] = low.get(x) ?? [Infinity, -Infinity];
    low.set(x, [Math.min(a, y), Math.max(b, y)]);
  }
  const all = [...low].sort((a, b) => a[0] - b[0]);
  const xs = all.map(([x]) => x);
  return degrees(
    Math.atan(
      robustLine(
        xs,
        all.map(([, [a, b]]) => (a + b) / 2),
        0.2,
      ).b,
    ),
  );
}

/**
 * Points whose way out lies above or below the part's own line; those that face along it are its ends.
 * @example sidesOf({ x: Float64Array.from([0, 1, 0, 1]), y: Float64Array.from([0, 0, 9, 9]), nx: new Float64Array(4), ny: Float64Array.from([-1, -1, 1, 1]) }, 0, {}).lower.y.length // 2
 */
export function sidesOf(
  p: EdgePoints,
  about: number,
  shown: Pick<Shown, 'axis' | 'stretch'>,
): { readonly upper: Side; readonly lower: Side } {
  const [c, s] = [cosDeg(about), sinDeg(about)];
  const across = Array.from(p.x, (x, i) => -x * s + (p.y[i] ?? 0) * c);
  const [low, high] = rangeOf(across);
  const middle = shown.axis
    ? -((shown.axis[0] + shown.axis[2]) / 2) * s + ((shown.axis[1] + shown.axis[3]) / 2) * c
    : (low + high) / 2;
  const [from, to] = shown.stretch ?? [-Infinity, Infinity];
  const of = (side: 1 | -1): Side => {
    const xs: number[] = [];
    const ys: number[] = [];
    for (let i = 0; i < p.x.length; i += 1) {
      const out = -(p.nx[i] ?? 0) * s + (p.ny[i] ?? 0) * c;
      // flanks of a fast thread overhang a little once they are turned
      if (side * ((across[i] ?? 0) - middle) <= 0 || side * out < -0.3) continue;
      const along = (p.x[i] ?? 0) * c + (p.y[i] ?? 0) * s;
      if (along < from || along > to) continue;
      xs.push(p.x[i] ?? 0);
      ys.push(p.y[i] ?? 0);
    }
    return { x: Float64Array.from(xs), y: Float64Array.from(ys) };
  };
  return { upper: of(-1), lower: of(1) };
}

/**
 * How a line through two places leans, degrees, + it falls to the right.
 * @example slant([0, 0, 10, 10]) // 45
 */
export function slant([x0, y0, x1, y1]: readonly [number, number, number, number]): number {
  const d = degrees(Math.atan2(y1 - y0, x1 - x0));
  return d > 90 ? d - 180 : d < -90 ? d + 180 : d;
}
