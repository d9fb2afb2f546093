/** Spread of a caliper in a steady hand, mm: one standard deviation. */
const SCATTER_MM = 0.012;

/**
 * What a caliper with a data cable would send for a true size: scatter of the hand (normal), then the display's own
 * resolution, 0.01 mm or 0.0005 in. A stand-in for the instrument; `random` gives numbers in [0, 1).
 */
export function simulatedReading(trueMm: number, system: 'mm' | 'in', random: () => number): string {
  const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const read = trueMm + SCATTER_MM * normal;
  if (system === 'mm') return `${(Math.round(read / 0.01) * 0.01).toFixed(2)} mm`;
  return `${(Math.round(read / 25.4 / 0.0005) * 0.0005).toFixed(4)} in`;
}
