import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bracketedMinimum, valleyFrom } from './minimum.ts';
import { normalCdf } from './normal.ts';
import { bracketAbout, bracketedRoot } from './root.ts';

describe('a zero between two signs', () => {
  test.each([
    ['x^3 - 2x - 5 (Wallis)', (x: number) => x ** 3 - 2 * x - 5, 2, 3, 2.0945514815423265],
    ['cos x - x', (x: number) => Math.cos(x) - x, 0, 1, 0.7390851332151607],
    ['a steep step', (x: number) => Math.atan(1e6 * (x - 0.3)), -1, 1, 0.3],
    ['flat at its zero', (x: number) => (x - 1) ** 3, 0, 3, 1],
  ])('%s', (_, f, a, b, zero) => {
    const found = bracketedRoot(f, a, b, 1e-12);
    expect(found?.closed).toBe(true);
    expect(Math.abs((found?.x ?? NaN) - zero)).toBeLessThanOrEqual(Math.max(found?.bound ?? 0, 1e-12));
  });
  test('like signs are refused; a bracket is found about a guess, or not', () => {
    expect(bracketedRoot((x) => x * x + 1, -1, 1, 1e-9)).toBeNull();
    expect(bracketAbout((x) => x - 7, 0, 0.5)).toEqual([3.5, 7.5]);
    expect(bracketAbout(() => 1, 0, 1)).toBeNull();
  });
  test('wherever the zero of a line lies, the bound holds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: 0.01, max: 9, noNaN: true }),
        (z, k) => {
          const found = bracketedRoot((x) => k * (x - z), -6, 6, 1e-9);
          return found !== null && Math.abs(found.x - z) <= found.bound + 1e-12;
        },
      ),
    );
  });
});

describe('the lowest place between two limits', () => {
  test.each([
    ['a parabola', (x: number) => (x - 1.25) ** 2 + 3, 0, 9, 1.25],
    ['x^x', (x: number) => x ** x, 0.05, 1, 1 / Math.E],
    ['a kink', (x: number) => Math.abs(x - 0.7), 0, 2, 0.7],
    ['cosh, off the middle', (x: number) => Math.cosh(x + 0.4), -3, 1, -0.4],
  ])('%s', (_, f, a, b, lowest) => {
    const found = bracketedMinimum(f, a, b, 1e-6);
    expect(found.closed).toBe(true);
    expect(Math.abs(found.x - lowest)).toBeLessThan(2e-6);
  });
  test('a valley is found downhill, either way, and a slope without end is none', () => {
    const f = (x: number): number => (x - 3.2) ** 2;
    for (const start of [0, 3.1, 8]) {
      const [a, b] = valleyFrom(f, start, 0.25) ?? [NaN, NaN];
      expect(a).toBeLessThan(3.2);
      expect(b).toBeGreaterThan(3.2);
    }
    expect(valleyFrom((x) => x, 0, 1)).toBeNull();
  });
});

describe('the normal distribution', () => {
  test.each([
    // Abramowitz and Stegun, Handbook of Mathematical Functions (1964), table 26.1, fifteen places
    [0, 0.5],
    [0.5, 0.691462461274013],
    [1, 0.841344746068543],
    [2, 0.977249868051821],
    [3, 0.99865010196837],
    [-1.5, 1 - 0.933192798731142],
  ])('at %s', (z, p) => expect(Math.abs(normalCdf(z) - p)).toBeLessThan(2e-15));
  test('its slope is the density everywhere, and its two sides make one', () => {
    fc.assert(
      fc.property(fc.double({ min: -8, max: 8, noNaN: true }), (z) => {
        const h = 1e-4;
        const slope = (normalCdf(z + h) - normalCdf(z - h)) / (2 * h);
        const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
        return Math.abs(slope - density) < 1e-8 && Math.abs(normalCdf(z) + normalCdf(-z) - 1) < 1e-15;
      }),
    );
  });
  test('far out it is small and not nothing: erfc(6) is 2.15197367124989e-17 (NBS tables of the error function)', () => {
    expect(2 * normalCdf(-6 * Math.SQRT2)).toBeCloseTo(2.1519736712498913e-17, 30);
    expect(normalCdf(-40)).toBe(0);
    expect(normalCdf(40)).toBe(1);
  });
});
