import { describe, expect, test } from '@jest/globals';
import { problemText } from '../../words/problems.ts';
import fc from 'fast-check';
import type { Outcome } from '../quantity/outcome.ts';
import {
  leversText,
  numberWithin,
  parseDivision,
  parseLevers,
  parseModule,
  parseRatio,
  parseSpeeds,
  parseSwing,
  wholeNumber,
} from './typed.ts';

const value = <T>(o: Outcome<T>): T | null => (o.ok ? o.value : null);

describe('facts of a lathe as they are typed', () => {
  test.each<[string, Outcome<unknown>, unknown]>([
    ['a ratio in lowest terms', parseRatio('24/48', 'r'), '1/2'],
    ['a decimal comma', parseRatio('0,5', 'r'), '1/2'],
    ['speeds in any order', parseSpeeds('180, 40 65'), [40, 65, 180]],
    ['a division without its nought', parseDivision('.001'), 0.001],
    ['a module', parseModule('1,25'), 1.25],
    // 16 DP is module 1.5875 and does not mesh with 1.5: 25.4 / 16, definition of diametral pitch
    ['a diametral pitch', parseModule('16 DP'), 1.5875],
    ['a swing', parseSwing('-60 to 75'), { fromDeg: -60, toDeg: 75 }],
    ['a whole number', wholeNumber('teeth', 8, 400)('63'), 63],
    ['a number', numberWithin('angle', -180, 180)('-12,5'), -12.5],
    ['levers', parseLevers('cone 1=1 2=8/9; range A=2 B=1'), { cone: { 1: '1', 2: '8/9' }, range: { A: '2', B: '1' } }],
    ['no levers', parseLevers(''), {}],
  ])('%s', (_, read, right) => expect(value(read)).toEqual(right));

  test.each<[string, Outcome<unknown>]>([
    ['a ratio of nought', parseRatio('0', 'r')],
    ['a ratio over nought', parseRatio('1/0', 'r')],
    ['a speed that is a word', parseSpeeds('40 fast')],
    ['a speed of nought', parseSpeeds('0 40')],
    ['a division of ten', parseDivision('10')],
    ['no division', parseDivision('x')],
    ['0 DP', parseModule('0 dp')],
    ['a module of 50', parseModule('50')],
    ['a swing the wrong way round', parseSwing('60 to -60')],
    ['a swing beyond half a turn', parseSwing('-200 to 0')],
    ['one angle', parseSwing('60')],
    ['half a tooth', wholeNumber('teeth', 8, 400)('20.5')],
    ['an empty number', numberWithin('angle', -180, 180)('')],
    ['an empty whole number', wholeNumber('studs', 0, 4)(' ')],
    ['positions without a lever', parseLevers('1=1 2=8/9')],
    ['a lever without positions', parseLevers('cone')],
    ['a position without a ratio', parseLevers('cone 1= 2=8/9')],
    ['one lever twice', parseLevers('cone 1=1; cone 2=2')],
  ])('%s is refused with what would be right', (_, read) => {
    expect(!read.ok && problemText(read.problem, 'mm').right).toBeTruthy();
  });

  test('levers come back as they were written', () => {
    const name = fc.stringMatching(/^[a-z]{1,6}$/);
    const ratio = fc
      .tuple(fc.integer({ min: 1, max: 99 }), fc.constantFrom(2, 3, 5, 7))
      .map(([n, d]) => value(parseRatio(`${n}/${d}`, '')) ?? '1');
    fc.assert(
      fc.property(
        fc.dictionary(name, fc.dictionary(name, ratio, { minKeys: 1, maxKeys: 5 }), { maxKeys: 3 }),
        (levers) => {
          expect(value(parseLevers(leversText(levers)))).toEqual({ ...levers });
        },
      ),
    );
  });
});
