import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyEdit, type Edit } from '../core/job/edits/index.ts';
import type { Job, Shop } from '../core/job/schema.ts';
import { STATIONS } from '../core/job/stations.ts';
import { demoJobs, demoShop } from '../demo/index.ts';
import { SHORT, shortConclusion } from './short.ts';

const all = (job: Job, shop: Shop): (string | null)[] =>
  STATIONS.flatMap((s) => (['mm', 'in'] as const).map((u) => shortConclusion(s, job, shop, u)));

test('every conclusion of every demo job fits its cell whole, in both systems', () => {
  const shop = demoShop();
  let said = 0;
  for (const job of demoJobs())
    for (const text of all(job, shop)) {
      if (text === null) continue;
      said += 1;
      expect([text, text.length <= SHORT && text !== '']).toEqual([text, true]);
      expect(text).not.toMatch(/NaN|undefined|Infinity/);
    }
  expect(said).toBeGreaterThan(100);
});

test('whatever is done at the machine, it still fits', () => {
  const edit = fc.oneof<fc.Arbitrary<Edit>[]>(
    fc.constant({ do: 'passDone' }),
    fc.constant({ do: 'springDone' }),
    fc.double({ min: -0.5, max: 3, noNaN: true }).map((byMm) => ({ do: 'deeper' as const, byMm })),
    fc.double({ min: 10, max: 90, noNaN: true }).map((mm) => ({ do: 'overWires' as const, mm, text: String(mm) })),
    fc.constantFrom('no-start', 'starts', 'binds', 'tight', 'runs', 'shakes').map((result) => ({
      do: 'tryMate' as const,
      result: result as 'runs',
      mate: '',
    })),
    fc
      .integer({ min: 1, max: 500 })
      .map((passes) => ({ do: 'setSchedule' as const, passes, firstMaxMm: null, lastMinMm: null })),
    fc.double({ min: -300, max: 300, noNaN: true }).map((mm) => ({ do: 'offset' as const, mm, text: String(mm) })),
  );
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 8 }), fc.constantFrom(...demoJobs()), (edits, from) => {
      let [job, shop] = [from, demoShop()];
      for (const e of edits) {
        const done = applyEdit(job, shop, e, { id: 'x', at: '2026-11-26T08:00:00.000Z' });
        if (done.ok) ({ job, shop } = done.value);
      }
      return all(job, shop).every((t) => t === null || (t !== '' && t.length <= SHORT));
    }),
    { numRuns: 40 },
  );
});
