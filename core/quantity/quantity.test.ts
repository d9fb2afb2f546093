import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseAngle } from './angle.ts';
import { bothText, fractionText, lengthText, percentText, ppmText, roundText } from './format.ts';
import { problemLine, problemText } from '../../words/problems.ts';
import { parseLength } from './length.ts';
import { parsePitch, pitchText, tpiOf } from './pitch.ts';
import { errorPpm, exact, lcm, numberOf, rationalOf, shortText, textOf } from './rational.ts';

const mm = (text: string, system: 'mm' | 'in' = 'mm'): number => {
  const r = parseLength(text, { system, field: 'x' });
  if (!r.ok) throw new Error(r.problem.code);
  return r.value.mm;
};
const refused = (text: string, system: 'mm' | 'in' = 'mm'): string => {
  const r = parseLength(text, { system, field: 'x' });
  if (r.ok) throw new Error(`took ${text} as ${r.value.mm}`);
  return problemLine(r.problem, 'mm');
};

describe('lengths as people write them', () => {
  // 1 in = 25.4 mm exactly (international yard and pound agreement, 1959)
  test.each([
    ['1 3/16', 30.1625],
    ['1-3/16', 30.1625],
    ['1 - 3/16"', 30.1625],
    ['3/4"', 19.05],
    ['3/4 in', 19.05],
    ['.750 in', 19.05],
    ['19.05', 19.05],
    ['19,05 mm', 19.05],
    ['19,05', 19.05],
    ['0,750', 0.75],
    ['25 thou', 0.635],
    ['12 um', 0.012],
    ['12 \u00b5m', 0.012],
    ['2 cm', 20],
    ["1'", 304.8],
    ['5 tenths', 0.0127],
    ['1\u204416 in', 1.5875],
  ])('%s', (text, expected) => {
    expect(mm(text)).toBeCloseTo(expected, 9);
  });

  test('a bare decimal follows the shop, a bare fraction is always inches', () => {
    expect(mm('.750', 'in')).toBeCloseTo(19.05, 9);
    expect(mm('.750', 'mm')).toBeCloseTo(0.75, 9);
    expect(mm('3/4', 'mm')).toBeCloseTo(19.05, 9);
    const r = parseLength('1.5', { system: 'in', field: 'x' });
    expect(r.ok && r.value.assumed).toBe(true);
  });

  test('fractions and decimals are exact', () => {
    const r = parseLength('1 3/16', { system: 'mm', field: 'x' });
    expect(r.ok && textOf(r.value.exactMm)).toBe('2413/80');
    const d = parseLength('0.1 mm', { system: 'mm', field: 'x' });
    expect(d.ok && textOf(d.value.exactMm)).toBe('1/10');
  });

  test('half of the last digit written is kept as the reading\u2019s own fineness', () => {
    const r = parseLength('.750 in', { system: 'mm', field: 'x' });
    expect(r.ok && r.value.halfDigitMm).toBeCloseTo(0.0127, 9);
  });

  test.each([
    ['', 'Nothing typed'],
    ['abc', 'does not begin with a number'],
    ['1,250', '1.250 or 1250'],
    ['1.2.3', 'two decimal marks'],
    ['3/0', '0 below the line'],
    ['1 5/4', 'more than one whole'],
    ['8 tpi', 'the pitch has its own place'],
    ['12 furlongs', 'not a unit of length'],
    ['-3', 'cannot be negative'],
    ['0', 'cannot be zero'],
  ])('refuses "%s" and says what would be right', (text, part) => {
    expect(refused(text)).toContain(part);
  });

  test('no text at all makes the parser throw', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const r = parseLength(text, { system: 'mm', field: 'x' });
        return r.ok ? Number.isFinite(r.value.mm) : problemLine(r.problem, 'mm').length > 0;
      }),
    );
  });

  test('what is shown in either system reads back within the rounding shown', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 300_000 }), fc.constantFrom('mm' as const, 'in' as const), (um, system) => {
        const back = mm(lengthText(um / 1000, system, { stepMm: 0.001, stepIn: 0.0001 }));
        expect(Math.abs(back - um / 1000)).toBeLessThanOrEqual(system === 'mm' ? 1e-9 : 0.00128);
      }),
    );
  });
});

describe('pitches', () => {
  test.each([
    ['8 tpi', '127/40'],
    ['8tpi', '127/40'],
    ['8 TPI', '127/40'],
    ['4 1/2 tpi', '254/45'],
    ['11.5 threads per inch', '254/115'],
    ['1.75p', '7/4'],
    ['1.75 mm', '7/4'],
    ['1,75 mm', '7/4'],
    ['1/8 in', '127/40'],
    ['1/8', '127/40'],
    ['.125"', '127/40'],
  ])('%s', (text, expected) => {
    const r = parsePitch(text);
    expect(r.ok && textOf(r.value.exactMm)).toBe(expected);
  });

  test('a bare number is refused with both readings', () => {
    const r = parsePitch('8');
    expect(!r.ok && problemText(r.problem, 'mm').right).toBe('8 tpi, or 8 mm');
  });

  test.each(['0 tpi', '-8 tpi', '1000 tpi', '0.01 tpi', '300 mm', '8 apples'])('refuses %s', (text) => {
    expect(parsePitch(text).ok).toBe(false);
  });

  test('worm pitches: 16 DP is pi/16 in, module 1.5 is 1.5 pi mm', () => {
    const dp = parsePitch('16 dp');
    expect(dp.ok && dp.value.mm).toBeCloseTo((Math.PI * 25.4) / 16, 9);
    const mod = parsePitch('1.5 mod');
    expect(mod.ok && mod.value.mm).toBeCloseTo(1.5 * Math.PI, 9);
  });

  test('a pitch is written as the trade writes it', () => {
    expect(pitchText(exact('127/40'))).toBe('8 tpi');
    expect(pitchText(exact('254/45'))).toBe('4 1/2 tpi');
    expect(pitchText(exact('7/4'))).toBe('1.75 mm');
    expect(pitchText(exact('127/50'), 'in')).toBe('10 tpi');
    expect(textOf(tpiOf(exact('127/40')))).toBe('8');
  });

  test('every number of threads per inch reads back as itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 80 }), fc.constantFrom(1, 2, 4, 8), (n, d) => {
        const text = pitchText(exact(`127/5`).div(exact(`${n}/${d}`)), 'in');
        const r = parsePitch(text);
        if (n / d < 1) return true;
        return r.ok && r.value.exactMm.equals(exact('127/5').div(exact(`${n}/${d}`)));
      }),
    );
  });
});

describe('exact numbers', () => {
  test('decimals never pass through a float', () => {
    expect(textOf(exact('25.4'))).toBe('127/5');
    expect(rationalOf(' ')).toBeNull();
    expect(rationalOf('1/0')).toBeNull();
    expect(rationalOf('1e3')).toBeNull();
  });
  test('lcm of rationals is the smallest common whole multiple', () => {
    const rational = fc
      .tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }))
      .map(([n, d]) => exact(`${n}/${d}`));
    fc.assert(
      fc.property(rational, rational, (a, b) => {
        const l = lcm(a, b);
        const [x, y] = [l.div(a), l.div(b)];
        // whole multiples of both, and with no factor in common, so nothing smaller will do
        expect(x.d).toBe(1n);
        expect(y.d).toBe(1n);
        const gcd = (p: bigint, q: bigint): bigint => (q === 0n ? p : gcd(q, p % q));
        expect(gcd(x.n, y.n)).toBe(1n);
      }),
    );
  });
  test('error in ppm is signed and exact', () => {
    // 47/37 for 1.27: over by 213 ppm (trade check value; common practice, no source)
    expect(errorPpm(exact('47/37'), exact('1.27'))).toBeCloseTo(212.8, 1);
    expect(errorPpm(exact('7/4'), exact('1.75'))).toBe(0);
  });
  test('short text keeps fractions that do not end', () => {
    expect(shortText(exact('127/65'))).toBe('127/65');
    expect(shortText(exact('7/2'))).toBe('3.5');
    expect(numberOf(exact('1/8'))).toBe(0.125);
  });
});

describe('angles and figures', () => {
  test.each([
    ['55', 55],
    ['27.5\u00b0', 27.5],
    ['27 1/2', 27.5],
    ["27\u00b030'", 27.5],
    ["14 30'", 14.5],
    ['60 deg', 60],
  ])('%s', (text, deg) => {
    const r = parseAngle(text, 'a');
    expect(r.ok && r.value.deg).toBeCloseTo(deg, 9);
  });
  test.each(["27 75'", '200', 'steep', '55 mm'])('refuses %s', (t) => {
    expect(parseAngle(t, 'a').ok).toBe(false);
  });
  test('rounded to what a hand can set', () => {
    expect(lengthText(12.3456, 'mm')).toBe('12.35 mm');
    expect(lengthText(25.4, 'in')).toBe('1.0000 in');
    expect(lengthText(25.4 * 0.12345, 'in')).toBe('0.1235 in');
    expect(roundText(-0.001, 0.01)).toBe('0.00');
    expect(fractionText(30.1625)).toBe('1 3/16');
    expect(fractionText(25.4)).toBe('1');
    expect(fractionText(10, 0.01)).toBeNull();
    expect(bothText(25.4, 'in')).toBe('1.0000 in (25.40 mm)');
  });
  test('nothing is called certain that is not', () => {
    expect(percentText(0.9999)).toBe('over 99 %');
    expect(percentText(0.001)).toBe('under 1 %');
    expect(percentText(1)).toBe('100 %');
    expect(ppmText(0)).toBe('exact');
    expect(ppmText(-125.2)).toBe('\u2212125 ppm');
  });
});
