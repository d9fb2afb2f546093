import { expect, test } from '@jest/globals';
import { demoJobs } from '../../demo/index.ts';
import { rowOf } from '../storage/rows.ts';
import { newId } from '../ui/newId.ts';
import { familiesOf, isSifted, sifted, UNSIFTED } from './sifting.ts';

const rows = demoJobs().map((doc, i) => rowOf(doc.id, doc, { state: 'good', doc }, i, null));
const ids = (s: Partial<typeof UNSIFTED>, sought = false): string[] =>
  sifted(rows, { ...UNSIFTED, ...s }, sought).map((r) => r.id);

test('what is put away is out of the way, and found when it is sought', () => {
  expect(ids({})).not.toContain('demo-gate-1');
  expect(ids({}, true)).toContain('demo-gate-1');
  expect(ids({ state: 'archived' })).toEqual(['demo-gate-1', 'demo-gate-3', 'demo-gate-4']);
  expect(ids({ state: 'finished' })).toEqual(['demo-brass']);
  expect(ids({ state: 'open' })).not.toContain('demo-brass');
});
test('by lathe and by family of thread, and both at once', () => {
  expect(ids({ lathe: 'lathe-bess' }).sort()).toEqual(['demo-pump', 'demo-sluice']);
  expect(ids({ family: 'M' }).sort()).toEqual(['demo-plug', 'demo-pump']);
  expect(ids({ lathe: 'lathe-bess', family: 'M' })).toEqual(['demo-pump']);
  expect(familiesOf(rows)).toEqual(['Acme', 'BSF', 'M', 'Special', 'Tr', 'UNC']);
  expect(isSifted(UNSIFTED)).toBe(false);
  expect(isSifted({ ...UNSIFTED, family: 'M' })).toBe(true);
});
test('in order of title, of customer, of thread by its numbers; what has none stands last', () => {
  const titles = sifted(rows, { ...UNSIFTED, sort: 'title' }, false).map((r) => r.title);
  expect(titles[0]).toBe('Bench-vice nut, for the worn screw');
  expect(titles.at(-1)).toBe('Windlass brake screw');
  const threads = sifted(rows, { ...UNSIFTED, sort: 'thread' }, false).map((r) => r.thread);
  expect(threads.indexOf('M24x2.5')).toBeLessThan(threads.indexOf('M30x2'));
  expect(threads.at(-1)).toBeNull();
});
test('identities are those of RFC 9562, version 4, each another', () => {
  const made = Array.from({ length: 200 }, newId);
  expect(new Set(made).size).toBe(200);
  for (const id of made) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
});
