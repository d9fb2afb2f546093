import { describe, expect, test } from '@jest/globals';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { rowOf } from '../storage/rows.ts';
import { emptyFinder } from '../workers/finder.ts';
import { docsOf } from './finding.ts';

const shop = demoShop();
const rows = demoJobs().map((doc, i) => rowOf(doc.id, doc, { state: 'good', doc }, i, null));
const { add, find } = emptyFinder();
add(docsOf(rows, (id) => shop.lathes.find((l) => l.id === id)?.name ?? ''));
const titleOf = (id: string): string => rows.find((r) => r.id === id)?.title ?? '';
const titles = (sought: string): string[] => find(sought).map((f) => titleOf(f.id));

describe('one search over jobs, readings, lathes and notes', () => {
  test('by a word of its title or its customer, also mistyped', () => {
    expect(titles('cider')[0]).toBe('Cider-press screw');
    expect(titles('windlas')[0]).toBe('Windlass brake screw');
    expect(titles('boatyrad')).toEqual(expect.arrayContaining(['Windlass brake screw', 'Stern-gland nut']));
  });
  test('by a figure that was read, and it says so', () => {
    const [first] = find('49.8');
    expect(titleOf(first?.id ?? '')).toBe('Cider-press screw');
    expect(first?.why).toContainEqual({ word: '49.8', in: ['read'] });
  });
  test('a figure is never taken for a near one', () => {
    expect(titles('49.7')).toEqual([]);
  });
  test('by the lathe that it was cut on, with a word besides: every word counts', () => {
    const lathe = shop.lathes.find((l) => l.id === 'lathe-bess')?.name ?? '';
    const all = titles(lathe);
    expect(all.length).toBeGreaterThan(0);
    expect(titles(`${lathe} sluice`).toSorted()).toEqual([
      'Sluice-gate spindle',
      'Sluice-gate spindle, the first',
      'Sluice-gate spindle, the fourth',
      'Sluice-gate spindle, the third',
    ]);
    expect(titles('sluice boatyard')).toEqual([]);
  });
  test('by a note for the next time', () => {
    expect(titles('light oil')[0]).toBe('Level screws, brass, six off');
  });
});
