import { normalCdf } from '../numeric/normal.ts';

/**
 * Density of the normal distribution about 0.
 * @example normalPdf(0, 1) // 0.398942
 */
export const normalPdf = (x: number, sigma: number): number =>
  Math.exp(-0.5 * (x / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI));

/** Distribution function of Gaussian noise plus an exponential of mean `scale`: one-sided wear, read with an instrument. */
function noisyWearCdf(x: number, sigma: number, scale: number): number {
  const ratio = sigma / scale;
  // wear far below the noise: the sum is as good as Gaussian, and the exponential term would overflow
  if (ratio > 5) return normalCdf((x - scale) / Math.hypot(sigma, scale));
  return normalCdf(x / sigma) - Math.exp(ratio * ratio * 0.5 - x / scale) * normalCdf(x / sigma - ratio);
}

/**
 * Density, per mm, of how far a diameter reads short of its limit of size: somewhere in the maker's tolerance (uniform),
 * less wear (exponential), plus instrument noise (Gaussian).
 * @example shortfallDensity(0.1, 0.01, 0.2, 0.01) // 5.000; in the middle of a tolerance of 0.2 mm
 */
export function shortfallDensity(x: number, sigma: number, tolerance: number, wearScale: number): number {
  const d = (noisyWearCdf(x, sigma, wearScale) - noisyWearCdf(x - tolerance, sigma, wearScale)) / tolerance;
  return d > 0 ? d : 0;
}

/**
 * From 0 to 1, a half at 0.
 * @example logistic(0) // 0.5
 */
export const logistic = (z: number): number => 1 / (1 + Math.exp(-z));
