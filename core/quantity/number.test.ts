import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  numberWithin,
  parseDivision,
  parseModule,
  parseRatio,
  parseSpeeds,
  parseSpindleSpeed,
  parseUncertaintyDeg,
  parseSwing,
  wholeNumber,
} from '../lathe/typed.ts';
import { parseGearCsv } from '../lathe/gearCsv.ts';
import { parseGears } from '../lathe/create.ts';
import { parseAngle } from './angle.ts';
import { parseLength } from './length.ts';
import { readList, readOnly } from './number.ts';
import { numberOf } from './rational.ts';
import type { Outcome } from './outcome.ts';

const value = <T>(r: Outcome<T>): T | string => (r.ok ? r.value : r.problem.code);

describe('one grammar of numbers for every field', () => {
  test.each([
    ['14 1/2', 14.5],
    ['.5', 0.5],
    ['14,5', 14.5],
    ['29/2', 14.5],
  ])('%s is the same everywhere', (text, n) => {
    expect(value(readOnly(text, 'x'))).not.toBe('more-than-a-number');
    expect(value(numberWithin('x', 0, 100)(text))).toBe(n);
    const angle = parseAngle(text, 'x');
    expect(angle.ok && angle.value.deg).toBe(n);
    const length = parseLength(`${text} mm`, { system: 'in', field: 'x' });
    expect(length.ok && length.value.mm).toBeCloseTo(n, 12);
    const ratio = parseRatio(text, 'x');
    expect(
      ratio.ok && numberOf(ratio.value.split('/').length > 1 ? fraction(ratio.value) : fraction(`${ratio.value}/1`)),
    ).toBe(n);
  });
  test.each(['0x14', '1e3', '1_000', '', ' ', '12 34', '1.2.3', 'Infinity', '1/0', '5 apples'])(
    '"%s" is no number in any of them',
    (text) => {
      expect(readOnly(text, 'x').ok).toBe(false);
      expect(numberWithin('x', 0, 1e6)(text).ok).toBe(false);
      expect(wholeNumber('x', 0, 1_000_000)(text).ok).toBe(false);
      expect(parseDivision(text).ok).toBe(false);
      expect(parseRatio(text, 'x').ok).toBe(false);
      expect(parseModule(text).ok).toBe(false);
    },
  );
  test('micrometres by whichever name', () => {
    for (const unit of ['um', '\u00b5m', '\u03bcm', 'microns']) {
      const r = parseLength(`1 1/2 ${unit}`, { system: 'mm', field: 'x' });
      expect(r.ok && r.value.mm).toBeCloseTo(0.0015, 12);
    }
  });
  test('a speed and an uncertainty are whole texts too', () => {
    for (const read of [parseSpindleSpeed, parseUncertaintyDeg]) {
      expect(value(read('12'))).toBe(12);
      expect(value(read('1 1/2'))).toBe(1.5);
      for (const text of ['1e3', '120 or so', '60 apples', '0', '-1']) expect(read(text).ok).toBe(false);
    }
  });
  test('a run that goes nowhere, a comma that could be either, and an empty list are refused, not read as something', () => {
    expect(value(parseGears('65-20 by 5'))).toBe('run-backwards');
    expect(value(parseSpeeds('1,234'))).toBe('comma-ambiguous');
    expect(value(parseSpeeds('40 1,234 90'))).toBe('comma-ambiguous');
    expect(value(readList('40,65,110', 'x', 9))).toEqual([40, 65, 110]);
    expect(value(parseSpeeds('1e3'))).toBe('not-in-a-list');
    expect(value(parseGearCsv(''))).toBe('csv-no-gears');
    expect(value(parseGearCsv('teeth,count\r\n'))).toBe('csv-no-gears');
    expect(value(parseGearCsv('name,price\nvice,12\n'))).toBe('csv-line');
    expect(value(parseGearCsv('teeth,count\r\n20,2\r\n65,1\r\n'))).toEqual([20, 20, 65]);
  });
  test('a run is a run in every list', () => {
    expect(value(readList('50-600 by 50', 'x', 100))).toEqual([
      50, 100, 150, 200, 250, 300, 350, 400, 450, 500, 550, 600,
    ]);
    expect(value(parseSpeeds('40, 65 100 to 200 by fives'))).toHaveLength(23);
    expect(value(parseGears('20-65 by 5, 2x63'))).toEqual([20, 25, 30, 35, 40, 45, 50, 55, 60, 63, 63, 65]);
    expect(value(parseSpeeds('10 to 20 by 0'))).toBe('run-without-step');
    expect(value(parseGears('20.5'))).toBe('not-teeth');
    expect(value(parseSpeeds('10-2000 by 1'))).toBe('list-too-long');
  });
  test('a swing is two numbers', () => {
    expect(value(parseSwing('-60 to 62 1/2'))).toEqual({ fromDeg: -60, toDeg: 62.5 });
    expect(value(parseSwing('0x10 to 60'))).toBe('swing-two-angles');
  });
  test('a row of digits is refused, never a number of another size', () => {
    const long = '9'.repeat(400);
    for (const t of [long, `1/${long}`, `0.${long}`]) expect(value(readOnly(t, 'x'))).toBe('too-many-digits');
  });
  test('whatever is typed, none of them throws, and what is read back is what was written', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        for (const read of [readOnly(text, 'x'), readList(text, 'x', 50), parseSwing(text), parseModule(text)])
          expect(typeof read.ok).toBe('boolean');
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 1, max: 63 }), (whole, n) => {
        const r = readOnly(`${whole} ${n}/64`, 'x');
        expect(r.ok && numberOf(r.value)).toBe(whole + n / 64);
      }),
    );
  });
});

function fraction(text: string) {
  const r = readOnly(text, 'x');
  if (!r.ok) throw new Error(text);
  return r.value;
}
