/** White round a code, in modules. @see ISO/IEC 18004, 5.3.8: four on every side */
const QUIET = 4;
/** A run of dark modules in one row, its place counted with the white round the code. */
interface Bar {
  readonly x: number;
  readonly y: number;
  readonly w: number;
}

/**
 * A code as bars, each as long as its run is: fewer than modules, and no hair lines between them.
 * @example barsOf([[true, true, false]]) // [{ x: 4, y: 4, w: 2 }]; behind a quiet edge of four
 */
export function barsOf(modules: readonly (readonly boolean[])[]): Bar[] {
  return modules.flatMap((row, y) => {
    const bars: Bar[] = [];
    let from = -1;
    [...row, false].forEach((dark, x) => {
      if (dark && from < 0) from = x;
      if (!dark && from >= 0) {
        bars.push({ x: from + QUIET, y: y + QUIET, w: x - from });
        from = -1;
      }
    });
    return bars;
  });
}
/**
 * How many modules a code is wide with the white round it.
 * @example sideOf(new Array(21)) // 29; four modules stay white on either side
 */
export const sideOf = (modules: readonly unknown[]): number => modules.length + 2 * QUIET;
