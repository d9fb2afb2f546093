/** Index of the first of a rising list whose key is at least so much; the list's length when none is. */
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
