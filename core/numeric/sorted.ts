/**
 * Index of the first of a rising list whose key is at least so much; the list's length when none is.
 * @example lowerBound([1, 3, 5], 3, (x) => x) // 1
 */
export function lowerBound<T>(sorted: readonly T[], least: number, keyOf: (x: T) => number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const at = sorted[middle];
    if (at !== undefined && keyOf(at) < least) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * The middle of a list, of an even one the mean of the middle two; NaN of none.
 * @example median([3, 1, 2]) // 2
 */
export function median(list: readonly number[]): number {
  const s = Float64Array.from(list).sort();
  const m = s.length >> 1;
  return s.length === 0 ? NaN : s.length % 2 ? (s[m] ?? NaN) : ((s[m - 1] ?? 0) + (s[m] ?? 0)) / 2;
}
