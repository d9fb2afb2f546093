import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newLathe, parseGears } from './create.ts';
import { confirm, missingFacts } from './unconfirmed.ts';
import { dialReading, slideScaleDeg, type SlideDial } from './dials.ts';

const inch: SlideDial = { unit: 'in', division: 0.001, perTurn: 100, reads: 'radius' };
const diameter: SlideDial = { unit: 'mm', division: 0.05, perTurn: 100, reads: 'diameter' };

describe('dials', () => {
  test('counts turns and shows what the dial reads', () => {
    expect(dialReading(25.4 * 0.0425, inch)).toMatchObject({ turns: 0, text: '0.0425' });
    expect(dialReading(25.4 * 0.247, inch)).toMatchObject({ turns: 2, text: '2 turns + 0.0470' });
  });
  test('a diameter dial shows twice the travel', () => {
    expect(dialReading(1, diameter)).toMatchObject({ turns: 0, text: '2.000', setMm: 1 });
  });
  test('what is set is never further off than a quarter of a division', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 12, noNaN: true }), fc.constantFrom(inch, diameter), (mm, dial) => {
        const travel = (dial.unit === 'in' ? 25.4 : 1) * dial.division * (dial.reads === 'diameter' ? 0.5 : 1);
        expect(Math.abs(dialReading(mm, dial).setMm - mm)).toBeLessThanOrEqual(travel / 4 + 1e-9);
      }),
    );
  });
  test('a scale that reads 0 along the bed shows the complement', () => {
    expect(slideScaleDeg(29.5, 'bed')).toBe(60.5);
    expect(slideScaleDeg(29.5, 'cross-slide')).toBe(29.5);
  });
});

describe('gear lists', () => {
  test.each([
    ['20 25 30', [20, 25, 30]],
    ['20-65 by 5', [20, 25, 30, 35, 40, 45, 50, 55, 60, 65]],
    ['20 to 35 by fives, 127', [20, 25, 30, 35, 127]],
    ['2x20, 63', [20, 20, 63]],
  ])('%s', (text, gears) => {
    const r = parseGears(text);
    expect(r.ok && r.value).toEqual(gears);
  });
  test.each(['twenty', '3', '500', '300x20'])('refuses %s', (t) => {
    expect(parseGears(t).ok).toBe(false);
  });
  test('a new lathe owns nothing', () => {
    expect(newLathe('x').gears).toEqual([]);
  });
});

describe('what nobody has said of a lathe is no fact', () => {
  test('a new lathe cuts nothing by its placeholders; said, they are facts, even where nothing else changes', () => {
    const lathe = newLathe('x');
    expect(missingFacts(lathe)).toEqual(['leadscrew', 'crossSlide', 'topSlide']);
    confirm(lathe, 'leadscrew');
    confirm(lathe, 'crossSlide');
    expect(missingFacts(lathe)).toEqual(['topSlide']);
  });
  test('each kind of lathe is asked for what a cut on it rests on', () => {
    expect(missingFacts({ ...newLathe('x'), kind: 'control' })).toEqual([]);
    expect(missingFacts({ ...newLathe('x'), kind: 'electronic' })).toEqual(['crossSlide', 'topSlide']);
  });
});
