/** One line of working: how a number that can be acted on came about. */
export interface Step {
  /** The quantity, in the trade's words: "Pitch diameter". */
  readonly name: string;
  readonly symbol: string;
  /** The formula in symbols: "d \u2212 0.649519 P". */
  readonly formula: string;
  /** The formula with its values put in: "10 \u2212 0.649519 \u00d7 1.5". */
  readonly values: string;
  readonly result: number;
  readonly unit: 'mm' | 'deg' | 'ratio' | 'count' | 's' | 'rpm' | 'ppm' | 'mm/s';
  /** Published source, or "common practice". */
  readonly source: string;
}

/**
 * Plain number for a line of working: up to six places, no trailing noughts.
 * @example plain(1.20000) // '1.2'
 */
export const plain = (x: number): string => String(Number(x.toFixed(6)));
