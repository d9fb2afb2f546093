import { describe, expect, test } from '@jest/globals';
import { problemText } from '../../words/problems.ts';
import type { Quantity } from '../evidence/evidence.ts';
import type { Outcome } from '../quantity/outcome.ts';
import type { UnitSystem } from '../quantity/units.ts';
import type { Entry } from '../reading/kind.ts';
import { readEntry } from '../reading/kinds.ts';
import { nextQuantity, READING_ORDER } from './entry.ts';
import { QUANTITY_NAMES } from '../../words/readings.ts';

const read = (quantity: Quantity, text: string, spanText = '', system: UnitSystem = 'mm'): Outcome<Entry> =>
  readEntry({ quantity, text, spanText, leaf: 'fits' }, system);
const valueOf = (o: Outcome<Entry>): number => (o.ok ? o.value.value : NaN);

describe('what is typed for a reading', () => {
  test.each<[Quantity, string, string, number]>([
    ['majorDiameter', '1.242 in', '', 31.5468],
    ['majorDiameter', '1 1/4', '', 31.75],
    ['minorDiameter', '27,1', '', 27.1],
    ['pitchLeaf', '7 tpi', '', 25.4 / 7],
    ['pitchLeaf', '3.5 mm', '20', 3.5],
    ['crestCount', '40.5', '2 in', 40.5],
    ['flankAngle', "47\u00b030'", '', 47.5],
    ['leadingFlank', '3', '', 3],
    ['overWires', '32.45', '2.05', 32.45],
    ['crestFlat', '0', '', 0],
    ['crestRadius', '0', '', 0],
    ['rootRadius', '0.5', '', 0.5],
    ['taper', '1 in 16', '', 0.0625],
    ['taper', '0', '', 0],
    ['starts', '2', '', 2],
    ['hand', 'LH', '', -1],
    ['hand', 'right', '', 1],
    ['hand', ' left hand ', '', -1],
  ])('%s %s', (quantity, text, span, right) => {
    expect(valueOf(read(quantity, text, span))).toBeCloseTo(right, 6);
  });

  test('a bare decimal is in the system on show, a bare fraction is inches', () => {
    expect(valueOf(read('majorDiameter', '1.25', '', 'in'))).toBeCloseTo(31.75, 9);
    expect(valueOf(read('majorDiameter', '1.25', '', 'mm'))).toBe(1.25);
    expect(valueOf(read('majorDiameter', '3/4', '', 'mm'))).toBeCloseTo(19.05, 9);
  });

  test('a count with no span is over an inch; a leaf with none is the usual leaf', () => {
    expect(read('crestCount', '7')).toMatchObject({ value: { span: { mm: 25.4, text: '1 in' } } });
    expect(read('pitchLeaf', '1.5 mm')).toMatchObject({ value: { span: null, leaf: 'fits' } });
  });

  test.each<[Quantity, string, string, string]>([
    ['majorDiameter', '0', '', 'value'],
    ['majorDiameter', 'thick', '', 'value'],
    ['crestCount', '7 tpi', '', 'value'],
    ['crestCount', '0', '', 'value'],
    ['crestCount', '7', 'an inch', 'span'],
    ['overWires', '32.45', '', 'span'],
    ['flankAngle', '200', '', 'value'],
    ['leadingFlank', '80', '', 'value'],
    ['taper', '1 in 0', '', 'value'],
    ['taper', '16', '', 'value'],
    ['starts', '1.5', '', 'value'],
    ['starts', '13', '', 'value'],
    ['hand', 'both', '', 'value'],
    ['crestRadius', '-1', '', 'value'],
  ])('%s "%s" is refused where it was typed, with what would be right', (quantity, text, span, field) => {
    const r = read(quantity, text, span);
    expect(!r.ok && r.problem.field).toBe(field);
    expect(!r.ok && problemText(r.problem, 'mm').right).toBeTruthy();
  });
});

describe('order of reading', () => {
  test('every quantity has a name and a place in the order', () => {
    expect(READING_ORDER.toSorted()).toEqual((Object.keys(QUANTITY_NAMES) as Quantity[]).toSorted());
    expect(new Set(READING_ORDER).size).toBe(READING_ORDER.length);
  });
  test('the next of the usual ones that has not been read is armed, and the same again when all have', () => {
    expect(nextQuantity('majorDiameter', new Set(['majorDiameter']))).toBe('crestCount');
    expect(nextQuantity('crestCount', new Set(['majorDiameter', 'crestCount', 'flankAngle']))).toBe('pitchLeaf');
    expect(nextQuantity('depth', new Set(READING_ORDER))).toBe('depth');
  });
});
