import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { besides, comingOf, sameDocument, shopMerged } from './merge.ts';
import { checkJob } from './check.ts';
import { listsOf } from './lists.ts';

const jobs = demoJobs();
const shop = demoShop();
const [first, second] = jobs;
if (!first || !second) throw new Error('the demo has jobs');

describe('a file against what is here', () => {
  test('new, same, newer and older, and what is proposed loses nothing', () => {
    const later = { ...first, title: 'Changed there', changed: '2027-01-01T00:00:00.000Z' };
    const earlier = { ...second, title: 'Changed here since', changed: '2020-01-01T00:00:00.000Z' };
    const stranger = { ...first, id: 'stranger' };
    expect(comingOf(jobs, [later, earlier, stranger]).map((c) => [c.standing, c.proposed])).toEqual([
      ['newer', 'both'],
      ['older', 'leave'],
      ['new', 'bring'],
    ]);
    expect(comingOf(jobs, jobs).every((c) => c.standing === 'same' && c.proposed === 'leave')).toBe(true);
  });
  test('the order of names does not matter, any value does', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        const value: unknown = JSON.parse(text);
        const turned = (v: unknown): unknown =>
          Array.isArray(v)
            ? v.map(turned)
            : typeof v === 'object' && v !== null
              ? Object.fromEntries(
                  Object.entries(v)
                    .reverse()
                    .map(([k, x]) => [k, turned(x)]),
                )
              : v;
        expect(sameDocument(value, turned(value))).toBe(true);
        expect(sameDocument({ a: value }, { a: value, b: 1 })).toBe(false);
        expect(sameDocument([value, 1], [value, 2])).toBe(false);
      }),
    );
  });
  test('one beside the other has its own identity and pictures, and holds', () => {
    const pictured = {
      ...first,
      pictures: [{ id: 'p1', name: 'shadow', type: 'image/png', at: first.created, place: '' }],
      readings: first.readings.map((r) => ({ ...r, picture: 'p1' })),
    };
    let n = 0;
    const { job, pictures } = besides(pictured, 'Beside', () => `made-${(n += 1)}`);
    expect(job.id).not.toBe(pictured.id);
    expect([...pictures.keys()]).toEqual(['p1']);
    expect(job.readings.every((r) => r.picture === pictures.get('p1'))).toBe(true);
    expect(checkJob(job).state).toBe('good');
  });
  test('a shop takes lathes that it lacks, and keeps its own as they are', () => {
    const [lathe, ...others] = shop.lathes;
    if (!lathe) throw new Error('the demo has lathes');
    const mine = { ...shop, lathes: [{ ...lathe, name: 'As I have it' }] };
    const merged = shopMerged(mine, shop);
    expect(merged.shop.lathes.map((l) => l.name)).toEqual(['As I have it', ...others.map((l) => l.name)]);
    expect(merged.differ).toEqual([lathe.name]);
    expect(shopMerged(shop, shop)).toMatchObject({ added: 0, differ: [] });
  });
});

test('lists for a spreadsheet: a row for each reading, pass and train, as wide as its head', () => {
  const lists = listsOf(shop, jobs);
  for (const l of lists) for (const r of l.rows) expect(r).toHaveLength(l.columns.length);
  const count = (name: string): number => lists.find((l) => l.name === name)?.rows.length ?? -1;
  expect(count('readings')).toBe(jobs.reduce((n, j) => n + j.readings.length, 0));
  expect(count('passes')).toBe(
    jobs.reduce((n, j) => n + j.events.filter((e) => e.kind === 'cut' || e.kind === 'sprung').length, 0),
  );
  expect(count('trains')).toBeGreaterThan(0);
});
