import { expect, test } from '@jest/globals';
import { emptyShop, newJob } from './create.ts';
import { fitOfJob } from './derive.ts';
import { applyEdit, type Edit } from './edits/index.ts';
import type { Job } from './schema.ts';
import { parseDesignation } from '../standards/designation.ts';

const act = (job: Job, e: Edit): Job => {
  const done = applyEdit(job, emptyShop(), e, { id: 'a', at: '2026-11-26T08:00:00Z' });
  if (!done.ok) throw new Error(`${e.do}: ${done.problem.code}`);
  return done.value.job;
};
const called = (designation: string): Edit => {
  const parsed = parseDesignation(designation);
  if (!parsed.ok) throw new Error(designation);
  const { special, ...plain } = parsed.value.thread;
  const thread = special ? { ...plain, special: { ...special } } : plain;
  return { do: 'acceptName', thread, probability: 1, overruled: true, reason: '' };
};
const aimed = (designation: string, aim: Job['fit']['aim']): Job =>
  act(act(newJob('j', 'Aimed', new Date('2026-11-26T08:00:00Z')), called(designation)), { do: 'setFit', aim });
const BY_HAND = { pitchMm: 28.55, startMm: 29.8 };

test('an aim by hand is used, and refused outside the class (ISO 965-1, M30x2-6g: 28.493 to 28.663)', () => {
  const job = aimed('M30x2', BY_HAND);
  expect(fitOfJob(job)).toMatchObject({ pitchDiameterMm: 28.55, startDiameterMm: 29.8 });
  const out = applyEdit(
    job,
    emptyShop(),
    { do: 'setFit', aim: { pitchMm: 28.7 } },
    { id: 'a', at: '2026-11-26T08:00:00Z' },
  );
  expect(out).toMatchObject({ ok: false, problem: { code: 'aim-outside-class' } });
});

test.each<readonly [string, Job, Edit]>([
  ['another size of one form and pitch', aimed('M30x2', BY_HAND), called('M36x2')],
  ['the nut instead of the screw', aimed('M30x2', BY_HAND), { do: 'setIntake', make: 'internal' }],
  ['its mate instead of a copy', aimed('M30x2', BY_HAND), { do: 'setIntake', wanted: 'mate' }],
  [
    'a dimension of a special',
    aimed('30 mm x 2.1 mm 60', { pitchMm: 28.4, startMm: 29.9 }),
    { do: 'setSpecial', majorMm: 32 },
  ],
])('an aim for one thread is none for %s', (_what, job, e) => {
  expect(Object.values(job.fit.aim)).not.toContain(null);
  expect(act(job, e).fit.aim).toEqual({ pitchMm: null, startMm: null });
});

test('the same name again, or a note, lets no aim go', () => {
  const job = aimed('M30x2', BY_HAND);
  expect(act(job, called('M30x2')).fit.aim).toEqual(BY_HAND);
  expect(act(job, { do: 'setIntake', note: 'x' }).fit.aim).toEqual(BY_HAND);
});
