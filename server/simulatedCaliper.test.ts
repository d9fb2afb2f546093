import { expect, test } from '@jest/globals';
import { simulatedReading } from './simulatedCaliper.ts';

/** A small seeded generator (mulberry32), so that the scatter is the same at every run. */
const seeded = (seed: number) => () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

test('readings scatter about the true size by about a hundredth', () => {
  const random = seeded(3);
  const values = Array.from({ length: 2000 }, () => Number(simulatedReading(31.6, 'mm', random).replace(' mm', '')));
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const sd = Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
  expect(mean).toBeCloseTo(31.6, 2);
  expect(sd).toBeGreaterThan(0.009);
  expect(sd).toBeLessThan(0.016);
});

test('inches come in half thousandths', () => {
  expect(simulatedReading(25.4, 'in', () => 0.25)).toMatch(/^\d\.\d{3}[05] in$/);
});
