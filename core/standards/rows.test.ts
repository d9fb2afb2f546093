import { describe, expect, test } from '@jest/globals';
import { numberOf, textOf } from '../quantity/rational.ts';
import { tpiOf } from '../quantity/pitch.ts';
import { CATALOGUE, FAMILIES, familyOf } from './catalogue.ts';
import { FAMILY_IDS, type FamilyId } from './family.ts';
import { parseDesignation } from './designation.ts';
import { series } from './rows.ts';

const sizesOf = (id: FamilyId): Map<string, string> =>
  new Map(
    familyOf(id).rows.map((r) => [r.size, `${textOf(r.diameter)} ${r.pitches.map((p) => textOf(p.pitch)).join(' ')}`]),
  );
/** Every size of the one stands in the other, just so. */
const within = (one: FamilyId, other: FamilyId): void => {
  const all = sizesOf(other);
  for (const [size, row] of sizesOf(one)) expect([size, all.get(size)]).toEqual([size, row]);
};

describe('the tables, as they are typed', () => {
  test('every family that has a name has a table, and no other', () => {
    expect(FAMILIES.map((f) => f.id).toSorted()).toEqual([...FAMILY_IDS].toSorted());
  });
  test('a size with a pitch stands once in its family, and every pitch is under three eighths of the diameter', () => {
    for (const f of FAMILIES) {
      const seen = new Set<string>();
      for (const { size, diameter, pitches } of f.rows)
        for (const { pitch } of pitches) {
          const key = `${size} ${textOf(pitch)}`;
          expect([f.id, key, seen.has(key)]).toEqual([f.id, key, false]);
          seen.add(key);
          expect(numberOf(pitch) / numberOf(diameter)).toBeLessThan(0.375);
        }
    }
  });
  test('a metric size has its coarse pitch first and the others finer, one after another (ISO 261)', () => {
    for (const { pitches } of familyOf('M').rows) {
      const mm = pitches.map((p) => numberOf(p.pitch));
      expect(mm).toEqual(mm.toSorted((a, b) => b - a));
      expect(pitches.slice(1).every((p) => !p.coarse)).toBe(true);
    }
    expect(
      familyOf('M')
        .rows.find((r) => r.size === '40')
        ?.pitches.some((p) => p.coarse),
    ).toBe(false);
  });
  test('sizes of a kind grow down the table', () => {
    for (const id of [
      'UNC',
      'UNF',
      'UNEF',
      'BSW',
      'BSF',
      'G',
      'R',
      'NPT',
      'NPTF',
      'Acme',
      'Tr',
      'S',
      'M',
      'Pg',
    ] as const) {
      const mm = familyOf(id).rows.map((r) => numberOf(r.diameter));
      // what is withdrawn stands at the end of the metric ones
      const own = id === 'M' ? mm.slice(0, -3) : mm;
      expect([id, own]).toEqual([id, own.toSorted((a, b) => a - b)]);
    }
  });
  test('dry-seal pipe has sizes of NPT, taper pipe of 55 degrees those of the parallel one, stub Acme those of Acme', () => {
    within('NPTF', 'NPT');
    within('R', 'G');
    within('StubAcme', 'Acme');
  });
  test('an inch size that is its own label is that diameter', () => {
    for (const f of FAMILIES.filter((x) => x.system === 'in' && !['NPT', 'NPTF', 'Hose'].includes(x.id)))
      for (const { size, diameter } of f.rows)
        if (!size.startsWith('#')) {
          const inches = size.split(' ').reduce((sum, part) => {
            const [n = '', d = '1'] = part.split('/');
            return sum + Number(n) / Number(d);
          }, 0);
          expect([size, numberOf(diameter) / 25.4]).toEqual([size, expect.closeTo(inches, 9)]);
        }
  });
  test('number sizes of ASME B1.1 are 0.060 in and 0.013 in a number', () => {
    const numbers = CATALOGUE.filter((r) => r.size.startsWith('#'));
    expect(numbers.length).toBeGreaterThan(20);
    for (const r of numbers) expect(r.majorMm / 25.4).toBeCloseTo(0.06 + 0.013 * Number(r.size.slice(1)), 9);
  });
  test('the pitch of an inch row comes back as its threads per inch, exactly', () => {
    expect(textOf(tpiOf(familyOf('BSW').rows.find((r) => r.size === '3 1/4')!.pitches[0]!.pitch))).toBe('13/4');
    expect(textOf(tpiOf(familyOf('NPT').rows.find((r) => r.size === '1')!.pitches[0]!.pitch))).toBe('23/2');
  });
  test('constant-pitch series go by sixteenths to two inches, and from there by eighths', () => {
    expect(series('1 7/8', '2 3/8', 12).map(([size]) => size)).toEqual([
      '1 7/8',
      '1 15/16',
      '2',
      '2 1/8',
      '2 1/4',
      '2 3/8',
    ]);
    expect(series('1/4', '6', 20)).toHaveLength(29 + 32);
  });
  test('every row is read back from how it is written, as itself', () => {
    for (const r of CATALOGUE) {
      const read = parseDesignation(r.designation);
      expect([
        r.designation,
        read.ok && [read.value.thread.family, read.value.thread.pitch, read.value.listed],
      ]).toEqual([r.designation, [r.family, r.pitch, true]]);
    }
  });
});
