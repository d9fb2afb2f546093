import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newJob } from '../../core/job/create.ts';
import type { Edit } from '../../core/job/edits/index.ts';
import { readDocument, writeBackup } from '../../core/formats/documents.ts';
import type { ShopDraft } from '../../core/job/schema.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { replaceAll } from '../storage/db.ts';
import { act, allSaved, editShop, openJob, openShop, store } from './store.ts';

const long = fc.oneof(
  fc.string({ maxLength: 30 }),
  fc.integer({ min: 0, max: 6000 }).map((n) => 'x'.repeat(n)),
);
const size = fc.oneof(fc.double({ noNaN: true }), fc.constantFrom(0, -1, 1e-9, 1_234_567, 100_000, 31.6, Infinity));
const gears = fc.array(fc.integer({ min: 1, max: 500 }), { maxLength: 230 });
const ratio = fc.constantFrom('1', '127/40', `0.${'3'.repeat(61)}`, `1/${'7'.repeat(70)}`, '', '0');

/** Acts of the interface with whatever a hand may have typed into its fields, past their limits too. */
const acts: fc.Arbitrary<Edit | { shop: (d: ShopDraft) => void }> = fc.oneof(
  fc.record({ title: long, customer: long, note: long }).map((f): Edit => ({ do: 'setIntake', ...f })),
  fc.record({ text: long, place: long, value: size }).map(({ text, place, value }): Edit => ({
    do: 'takeReading',
    reading: {
      ...{ quantity: 'majorDiameter', text, value, span: null, leaf: null, instrument: null, uncertainty: null },
      ...{ member: 'part', place, positionMm: null, wear: 'unknown' },
    },
  })),
  fc.record({ lengthMm: size, reliefMm: size, rpm: size }).map((f): Edit => ({ do: 'setUp', ...f })),
  fc.record({ pitchClearanceMm: size, engagementMm: size }).map((f): Edit => ({ do: 'setFit', class: null, ...f })),
  fc.record({ note: long }).map((f): Edit => ({ do: 'setRecord', ...f })),
  long.map((reason): Edit => ({ do: 'sayWhy', reason })),
  fc.record({ mate: long, note: long }).map((f): Edit => ({ do: 'tryMate', result: 'note', ...f })),
  fc
    .record({ drivers: fc.array(fc.integer({ min: 1, max: 500 }), { maxLength: 4 }), gearbox: ratio })
    .map(({ drivers, gearbox }): Edit => ({ do: 'takeTrain', train: { drivers, driven: drivers, gearbox } })),
  fc.constant<Edit>({ do: 'settle', station: 'gears' }),
  fc.constant<Edit>({ do: 'settle', station: 'fit' }),
  fc.record({ name: long, gears, fixedRatio: ratio }).map(({ name, gears: g, fixedRatio }) => ({
    shop: (d: ShopDraft) => {
      d.name = name;
      const lathe = d.lathes.find((l) => l.id === 'lathe-bess');
      if (lathe) Object.assign(lathe, { gears: g, fixedRatio });
    },
  })),
);

test('whatever the interface can store, the import accepts', async () => {
  let refused = 0;
  let done = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(acts, { minLength: 1, maxLength: 12 }), async (list) => {
      await allSaved();
      const job = demoJobs().find((j) => j.id === 'demo-sluice') ?? newJob('x', 'X', new Date());
      openShop(demoShop(), await replaceAll(demoShop(), [job]));
      openJob(job, [], 1);
      for (const a of list) {
        const wrong = 'shop' in a ? editShop('change', a.shop) : act(a);
        if (wrong) refused += 1;
        else done += 1;
      }
      const { job: now, shop } = store.getState().work;
      if (!now || !shop) throw new Error('closed');
      const back = readDocument(writeBackup(shop.present, [now.present]));
      expect(back).toMatchObject({ ok: true, left: [], shopLost: [] });
    }),
    { numRuns: Number(process.env['FAULTS_STORED'] ?? 10) },
  );
  await allSaved();
  expect(refused).toBeGreaterThan(10);
  expect(done).toBeGreaterThan(10);
}, 120_000);
