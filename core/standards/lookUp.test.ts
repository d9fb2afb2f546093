import { expect, test } from '@jest/globals';
import { readQuery, searchTables } from './lookUp.ts';
import { CATALOGUE } from './catalogue.ts';

const top = (text: string, n = 4, system: 'mm' | 'in' = 'mm'): string[] =>
  searchTables(readQuery(text, system))
    .slice(0, n)
    .map((r) => r.designation);

test('sorted by nearness to a typed diameter and pitch', () => {
  expect(top('1/2-13', 1)).toEqual(['1/2-13 UNC']);
  expect(top('10 x 1.5', 1)).toEqual(['M10']);
  expect(top('m10', 1)).toEqual(['M10']);
  expect(top('bsw 1 1/4', 1)).toEqual(['1 1/4-7 BSW']);
  expect(top('unf 1/2', 1)).toEqual(['1/2-20 UNF']);
  expect(top('#8', 2).sort()).toEqual(['#8-32 UNC', '#8-36 UNF']);
  expect(top('g 1/2', 1)).toEqual(['G 1/2']);
  expect(top('1.25 in 7 tpi', 2).sort()).toEqual(['1 1/4-7 BSW', '1 1/4-7 UNC']);
  expect(top('trapezoidal 40', 1)).toEqual(['Tr 40x7']);
});

test('7 tpi alone brings threads of 7 tpi; 31.7 brings what is about that size', () => {
  for (const d of top('7 tpi', 6)) expect(d).toMatch(/-7 /);
  const near = searchTables(readQuery('31.7', 'mm')).slice(0, 8);
  for (const r of near) expect(Math.abs(r.majorMm - 31.7)).toBeLessThan(0.5);
  expect(searchTables(readQuery('1.25', 'in'))[0]?.majorMm).toBeCloseTo(31.75, 6);
});

test('a family alone lists that family, nonsense lists nothing, nothing lists all', () => {
  expect(searchTables(readQuery('ba', 'mm')).every((r) => r.family === 'BA')).toBe(true);
  expect(searchTables(readQuery('zzz', 'mm'))).toEqual([]);
  expect(searchTables(readQuery('', 'mm'))).toBe(CATALOGUE);
});
