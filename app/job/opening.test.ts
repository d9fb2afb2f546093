import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { db, replaceAll } from '../storage/db.ts';
import { act, allSaved, openShop, recorder, store } from '../store/store.ts';
import { known } from '../testing/known.ts';
import { openingOf } from './opening.ts';

const named = (id: string) => known(demoJobs().find((j) => j.id === id));
const PUMP = named('demo-pump');
const PRESS = named('demo-press');

beforeEach(async () => {
  await allSaved();
  openShop(demoShop(), await replaceAll(demoShop(), [PUMP, PRESS]));
});
afterEach(() => void jest.restoreAllMocks());

const yes = (): boolean => true;
const inStore = () => store.getState().work.job;

test('a job is opened as it lies in the record, with the road back that was walked', async () => {
  expect(await openingOf('demo-pump', yes)).toEqual({ kind: 'open' });
  expect(inStore()?.present).toEqual(PUMP);
  act({ do: 'setRecord', note: 'the first note' });
  await allSaved();
  expect(await openingOf('demo-press', yes)).toEqual({ kind: 'open' });
  expect(inStore()?.present.id).toBe('demo-press');
  expect(await openingOf('demo-pump', yes)).toEqual({ kind: 'open' });
  expect(inStore()?.present.record.note).toBe('the first note');
  expect(inStore()?.past).toHaveLength(1);
});

test('one that is not there, or does not hold, is said and leaves the open job alone', async () => {
  await openingOf('demo-pump', yes);
  expect(await openingOf('nowhere', yes)).toEqual({ kind: 'missing' });
  const stored = known(await db.jobs.get('demo-press'));
  await db.jobs.put({ ...stored, doc: { ...PRESS, readings: 'none' } });
  const harmed = await openingOf('demo-press', yes);
  expect(harmed).toMatchObject({ kind: 'other', found: { checked: { state: 'damaged' } } });
  expect(inStore()?.present.id).toBe('demo-pump');
});

test('who has gone on to another job meanwhile keeps that one', async () => {
  let gone = false;
  const late = openingOf('demo-press', () => !gone);
  gone = true;
  await openingOf('demo-pump', yes);
  await late;
  expect(inStore()?.present.id).toBe('demo-pump');
});

test('what cannot be written stays in memory: another job waits for it, the same is shown as it is', async () => {
  await openingOf('demo-pump', yes);
  const full = jest.spyOn(db, 'transaction').mockImplementation((() => {
    throw new DOMException('no room', 'QuotaExceededError');
  }) as never);
  act({ do: 'setRecord', note: 'not written yet' });
  await allSaved();
  expect(recorder.unwritten).toBe(true);
  expect(await openingOf('demo-press', yes)).toEqual({ kind: 'waits' });
  expect(await openingOf('demo-pump', yes)).toEqual({ kind: 'open' });
  expect(inStore()?.present.record.note).toBe('not written yet');
  full.mockRestore();
  recorder.retry();
  await allSaved();
  expect(await openingOf('demo-press', yes)).toEqual({ kind: 'open' });
  await openingOf('demo-pump', yes);
  expect(inStore()?.present.record.note).toBe('not written yet');
});

test('a record that cannot be read says why', async () => {
  jest.spyOn(db.jobs, 'get').mockImplementation((() => Promise.reject(new Error('the disk is gone'))) as never);
  const opening = await openingOf('demo-pump', yes);
  expect(opening).toMatchObject({ kind: 'failed', because: expect.stringMatching(/disk is gone/) });
});
