import { expect, test } from '@jest/globals';
import { parseDesignation } from './designation.ts';

test.each([
  ['2-4 1/2 UNC', '2-4.5 UNC'],
  ['2 1/4-4 1/2 UNC', '2 1/4-4.5 UNC'],
  ['3-3 1/2 BSW', '3-3.5 BSW'],
  ['2-4\u00bd BSW', '2-4.5 BSW'],
  ['2-4 1/2', '2-4.5 UNC'],
  ['2-4\u00bd', '2-4.5 UNC'],
  ['1\u00bc-7 BSW', '1 1/4-7 BSW'],
  ['1 1/4-7 BSW', '1 1/4-7 BSW'],
  ['1-1/4-7 BSW', '1 1/4-7 BSW'],
  ['M1.7', 'M1.7'],
  ['M2.3x0.4', 'M2.3'],
  ['M2.6', 'M2.6'],
])('%s is %s of the tables', (typed, named) => {
  const read = parseDesignation(typed);
  expect(read).toMatchObject({ ok: true, value: { listed: true } });
  expect(read.ok && read.value.thread.designation).toBe(named);
});

test('halves of a thread where no table has the size: 3/4-4 1/2 Acme', () => {
  const read = parseDesignation('3/4-4 1/2 Acme');
  expect(read).toMatchObject({ ok: true, value: { listed: false, thread: { family: 'Acme', pitch: '254/45' } } });
});
