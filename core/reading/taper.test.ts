import { describe, expect, test } from '@jest/globals';
import { parseTaper } from './taper.ts';

const ratio = (text: string, system: 'mm' | 'in' = 'mm'): number | string => {
  const read = parseTaper(text, system);
  return read.ok ? read.value : read.problem.code;
};

describe('a taper as the trade writes it, on diameter', () => {
  test.each([
    ['1:16', 1 / 16],
    ['1 in 6', 1 / 6],
    ['2 in 12', 1 / 6],
    ['1 in 32 a side', 1 / 16],
    ['1:12 on diameter', 1 / 12],
    ['3/4 in/ft', 1 / 16],
    ['3/4" per foot', 1 / 16],
    ['1 1/2 in/ft', 1 / 8],
    ['3/8 in/ft a side', 1 / 16],
    ['62.5 mm/m', 1 / 16],
    ['0.0625', 1 / 16],
    ['0', 0],
    ['none', 0],
    ['parallel', 0],
    ['33.2 to 31.8 over 22.4', 1.4 / 22.4],
    ['31.8 to 33.2 in 22.4', 1.4 / 22.4],
    ['1.31 in to 1.25 in over 0.96 in', 0.0625],
  ])('%s', (text, expected) => {
    expect(ratio(text)).toBeCloseTo(expected, 9);
  });
  test('in a shop of inches bare diameters are inches, and the ratio is the same', () => {
    expect(ratio('1.31 to 1.25 over 0.96', 'in')).toBeCloseTo(0.0625, 9);
  });
  test('degrees: 1 in 16 is 1 degree 47 minutes a side (ASME B1.20.1, 2.1.2), 3 34 the whole', () => {
    expect(ratio("1\u00b047' a side")).toBeCloseTo(1 / 16, 3);
    expect(ratio('1.7899 degrees a side')).toBeCloseTo(1 / 16, 5);
    expect(ratio('3.5798 deg included')).toBeCloseTo(1 / 16, 5);
    expect(ratio('1.79\u00b0 half')).toBeCloseTo(1 / 16, 4);
  });
  test('degrees that do not say which are asked about; nothing is guessed', () => {
    expect(ratio('1.79 degrees')).toBe('taper-whole-or-half');
    expect(ratio('1 in 0')).toBe('taper-in-zero');
    expect(ratio('steep')).toBe('taper-unreadable');
    expect(ratio('3')).toBe('taper-is-ratio');
    expect(ratio('31.8 to cat over 3')).toBe('not-a-number');
  });
});
