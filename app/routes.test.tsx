/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, screen, waitFor } from '@testing-library/react';
import { stationsOf } from '../core/job/chain.ts';
import { STATION_NAMES } from '../words/stations.ts';
import { demoJobs, demoShop } from '../demo/index.ts';
import { openAt, withWorker } from './testing/open.tsx';

beforeAll(withWorker);
afterEach(cleanup);

/** What no reader should ever meet. */
const NONSENSE = /\b(NaN|undefined|null|Infinity)\b|\[object/;

const shown = (): string => document.body.textContent ?? '';

/** Reads the view in both systems of units, or in one of them. */
async function readBothWays(systems: readonly ('mm' | 'in')[] = ['mm', 'in']): Promise<void> {
  const { editShop } = await import('./store/store.ts');
  for (const system of systems) {
    act(() => void editShop('change the system', (d) => void (d.settings.system = system)));
    await waitFor(() => expect(shown()).not.toMatch(/weighing|Searching/));
    expect(shown()).not.toMatch(NONSENSE);
  }
}

describe('every station of every demo job', () => {
  // each in one system, turn about: what a station says in both is held text by text by words/units.test.ts
  test.each(demoJobs().map((job, i) => [job.id, stationsOf(job), i % 2 ? 'in' : 'mm'] as const))(
    '%s',
    async (id, stations, system) => {
      const { goTo } = await openAt(`/jobs/${id}`);
      for (const station of stations) {
        await goTo(`/jobs/${id}/${station}`);
        await screen.findByRole('heading', { level: 1, name: STATION_NAMES[station] });
        await readBothWays([system]);
        expect(screen.getAllByRole('heading', { level: 1 })).toHaveLength(1);
      }
    },
  );
});

describe('every view of the shop', () => {
  const lathes = demoShop().lathes.map((l) => [`/lathes/${l.id}`, l.name] as const);
  test.each([
    ['/jobs', 'Jobs'],
    ['/lathes', 'Lathes'],
    ...lathes,
    ['/tables', 'Tables'],
    ['/gauges', 'Gauges'],
    ['/settings', 'Settings & backup'],
  ])('%s', async (path, title) => {
    await openAt(path);
    await screen.findByRole('heading', { level: 1, name: title });
    await readBothWays();
  });
});

describe('an empty shop', () => {
  test.each([
    ['/jobs', /No job|first job|New job/],
    ['/lathes', /No lathe yet/],
  ])('%s says what to do first', async (path, words) => {
    const { emptyShop } = await import('../core/job/create.ts');
    await openAt(path, emptyShop(), []);
    await waitFor(() => expect(shown()).toMatch(words));
    expect(shown()).not.toMatch(NONSENSE);
  });
  test('a new job with nothing read is led from station to station without a figure made up', async () => {
    const { emptyShop, newJob } = await import('../core/job/create.ts');
    const job = newJob('first', 'First job', new Date('2026-01-05T08:00:00Z'));
    for (const station of stationsOf(job)) {
      await openAt(`/jobs/first/${station}`, emptyShop(), [job]);
      await screen.findByRole('heading', { level: 1, name: STATION_NAMES[station] });
      expect(shown()).not.toMatch(NONSENSE);
      cleanup();
    }
  });
});

test('a job that is not there says so', async () => {
  await openAt('/jobs/nowhere/read');
  expect(await screen.findByText('This job is not here')).toBeTruthy();
});

test('who set out for another job and came back before it was there finds his own again', async () => {
  const { openJob, store } = await import('./store/store.ts');
  await openAt('/jobs/demo-pump/read');
  const press = demoJobs().find((j) => j.id === 'demo-press');
  if (!press) throw new Error('no press');
  act(() => openJob(press, [], 1));
  expect(await screen.findByRole('heading', { level: 1, name: STATION_NAMES.read })).toBeTruthy();
  await waitFor(() => expect(store.getState().work.job?.present.id).toBe('demo-pump'));
});

test('an address that means nothing leads to the jobs', async () => {
  await openAt('/workbench');
  expect(await screen.findByRole('heading', { name: 'Jobs' })).toBeTruthy();
});
