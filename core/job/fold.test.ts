import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { m30 } from '../../app/testing/bench.ts';
import { demoJobs } from '../../demo/index.ts';
import type { Edit } from './edits/index.ts';
import type { LedgerEvent } from './events.ts';
import { metalOf, standing } from './metal.ts';
import { sizingAfter } from '../sizing/after.ts';
import { Sizing, type SizeEvent, type SizeModel } from '../sizing/model.ts';

/** The same ledger as other objects: nothing that was counted before is found again. */
const anew = <T>(x: T): T => structuredClone(x);

const acts: fc.Arbitrary<Edit> = fc.oneof(
  { weight: 8, arbitrary: fc.constant<Edit>({ do: 'passDone' }) },
  fc.constant<Edit>({ do: 'springDone' }),
  fc.constantFrom('surface', 'groove').map((on): Edit => ({ do: 'touchOff', on })),
  fc.constant<Edit>({ do: 'inGroove', way: 'by-eye' }),
  fc.constant<Edit>({ do: 'slipped' }),
  fc.constant<Edit>({ do: 'rezero' }),
  fc.double({ min: 0.005, max: 0.2, noNaN: true }).map((byMm): Edit => ({ do: 'deeper', byMm })),
  fc.integer({ min: 1, max: 40 }).map((of): Edit => ({ do: 'void', of })),
);

test('a ledger counted on from what was counted before gives what one counted from its beginning gives, strikes and all', () => {
  fc.assert(
    fc.property(fc.array(acts, { minLength: 3, maxLength: 30 }), (list) => {
      const b = m30();
      for (const e of list) {
        b.try(e);
        const { job } = b;
        const before = JSON.stringify(metalOf(job));
        // an earlier place of the ledger is asked for in between, and the last again
        metalOf(job, job.events.length >> 1);
        if (JSON.stringify(metalOf(anew(job))) !== before || JSON.stringify(metalOf(job)) !== before) return false;
      }
      return true;
    }),
    { numRuns: 40 },
  );
});

test('a ledger that only ends like another is not taken for it', () => {
  const job = demoJobs().find((j) => j.id === 'demo-sluice')!;
  const last = job.events.slice(-3);
  const cuts = metalOf(job).cuts;
  expect(metalOf({ ...job, events: last }).cuts).toBe(last.filter((e) => e.kind === 'cut').length);
  expect(metalOf(job).cuts).toBe(cuts);
});

test('what is struck is left out, and a strike that is struck counts for nothing', () => {
  const job = demoJobs().find((j) => j.id === 'demo-sluice')!;
  const n = job.events.at(-1)!.n;
  const strike = (of: number, at: number): LedgerEvent => ({ ...job.events.at(-1)!, kind: 'voided', of, n: at });
  const once = [...job.events, strike(n, n + 1)];
  expect(standing(once).map((e) => e.n)).toEqual(job.events.slice(0, -1).map((e) => e.n));
  const twice = [...once, strike(n + 1, n + 2)];
  expect(standing(twice).map((e) => e.n)).toEqual(job.events.map((e) => e.n));
});

test('a belief carried on event by event is the one worked out whole', () => {
  const model: SizeModel = {
    ...{ member: 'external', pitchMm: 1.5, leadingDeg: 30, trailingDeg: 30, surfaceMm: 9.97, tip: { flatMm: 0.19 } },
    ...{ dialUncertaintyMm: 0.02, settingMm: 0.003, wiresSharedMm: 0.002, basicMm: null, special: false },
  };
  const history: SizeEvent[] = [
    ...[0.3, 0.5, 0.7, 0.8].map((depthMm): SizeEvent => ({ kind: 'cut', depthMm })),
    { kind: 'measured', pitchDiameterMm: 9.1, uncertaintyMm: 0.006 },
    { kind: 'spring' },
    { kind: 'gauge', which: 'go', passes: false, pitchDiameterMm: 8.994 },
    { kind: 'cut', depthMm: 0.85 },
  ];
  for (let n = 0; n <= history.length; n += 1) {
    const some = history.slice(0, n);
    const [on, whole] = [sizingAfter(model, some), new Sizing(model, some)];
    expect([...on.cloud.x]).toEqual([...whole.cloud.x]);
    expect([...on.cloud.w]).toEqual([...whole.cloud.w]);
    // who got it may write to it: the next one is none the worse
    on.cloud.x.fill(0);
  }
});
