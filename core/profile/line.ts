import { median } from '../numeric/sorted.ts';
// in the innermost loops a look-up of the global would take longer than the sum
const { abs, max, sqrt } = Math;

/** y = a + b x, without what lies far off. */
export interface Line {
  readonly a: number;
  readonly b: number;
  /** Standard uncertainty of b from the scatter, and the scatter itself. */
  readonly bSigma: number;
  readonly sigma: number;
}

const ROUNDS = 12;
/** Beyond so many scatters a point counts for nothing. @see Beaton and Tukey, Technometrics 16 (1974) 147: the biweight */
const FAR = 4.685;

/**
 * Scatter of a list about its own middle, as a standard deviation would be without what lies far off: 1.4826 times the median distance.
 * @example scatterOf([1, 2, 3, 4, 100]) // 1.4826; 1.4826 times the median distance from the median, as of a normal scatter
 */
export function scatterOf(list: readonly number[], about = median(list)): number {
  return MAD * median(list.map((v) => abs(v - about)));
}
/** Of a normal scatter the median distance is 0.6745 of its standard deviation. */
const MAD = 1.4826;

/**
 * Least and greatest of a list, however long: a call takes only so many at once.
 * @example rangeOf([3, 1, 2]) // [1, 3]
 */
export function rangeOf(list: ArrayLike<number>): readonly [number, number] {
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < list.length; i += 1) {
    const v = list[i] ?? NaN;
    if (v < least) least = v;
    if (v > most) most = v;
  }
  return [least, most];
}

/** Up to so many points the first line is the one of the median slopes between all pairs. */
const FEW = 48;
/** Weights of a first line that up to three in ten points cannot turn. @see Sen, J. Am. Stat. Assoc. 63 (1968) 1379 */
function bySlopes(x: readonly number[], y: readonly number[], least: number): number[] {
  const slopes: number[] = [];
  for (let i = 0; i < x.length; i += 1)
    for (let j = i + 1; j < x.length; j += 1) {
      const dx = (x[j] ?? 0) - (x[i] ?? 0);
      if (dx !== 0) slopes.push(((y[j] ?? 0) - (y[i] ?? 0)) / dx);
    }
  if (slopes.length === 0) return x.map(() => 1);
  const b = median(slopes);
  const a = median(x.map((v, i) => (y[i] ?? 0) - b * v));
  return weightsOf(
    x.map((v, i) => (y[i] ?? 0) - a - b * v),
    least,
  ).w;
}
function weightsOf(off: readonly number[], least: number): { readonly w: number[]; readonly mad: number } {
  const mad = max(least, scatterOf(off, 0));
  return {
    mad,
    w: off.map((r) => {
      const u = r / (FAR * mad);
      return abs(u) < 1 ? (1 - u * u) ** 2 : 0;
    }),
  };
}

/**
 * Robust straight line by reweighted least squares. @throws RangeError under two points
 * @example robustLine([0, 1, 2, 3, 4, 5, 6, 7], [1, 3, 5, 7, 9, 11, 13, 60]).b // 2; one point that is far off turns it by nothing
 */
export function robustLine(x: readonly number[], y: readonly number[], least = 1e-9): Line {
  if (x.length < 2) throw new RangeError('a line wants two points');
  let w = x.length <= FEW ? bySlopes(x, y, least) : x.map(() => 1);
  let [a, b, sigma, spread] = [0, 0, 0, 0];
  for (let round = 0; round < ROUNDS; round += 1) {
    let [sw, sx, sy, sxx, sxy] = [0, 0, 0, 0, 0];
    for (let i = 0; i < x.length; i += 1) {
      const [wi, xi, yi] = [w[i] ?? 0, x[i] ?? 0, y[i] ?? 0];
      sw += wi;
      sx += wi * xi;
      sy += wi * yi;
      sxx += wi * xi * xi;
      sxy += wi * xi * yi;
    }
    spread = sxx - (sx * sx) / sw;
    b = spread > 0 ? (sxy - (sx * sy) / sw) / spread : 0;
    a = (sy - b * sx) / sw;
    const off = x.map((xi, i) => (y[i] ?? 0) - a - b * xi);
    const next = weightsOf(off, least);
    w = next.w;
    sigma = next.mad;
  }
  return { a, b, sigma, bSigma: spread > 0 ? sigma / sqrt(spread) : Infinity };
}
