/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, beforeAll, expect, jest, test } from '@jest/globals';
import { cleanup, screen, waitFor } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { STATION_NAMES } from '../../words/stations.ts';
import { openAt, show, withWorker } from '../testing/open.tsx';

beforeAll(withWorker);
afterEach(cleanup);

test('the record is read once: neither a tab nor another station of the job asks for it again', async () => {
  const { db } = await import('../storage/db.ts');
  const user = userEvent.setup();
  await openAt('/jobs/demo-sluice/setup');
  const read = jest.spyOn(db.jobs, 'get');
  await user.click(screen.getByRole('tab', { name: 'Passes' }));
  expect(screen.getByRole('tab', { name: 'Passes' }).getAttribute('aria-selected')).toBe('true');
  await user.click(screen.getByRole('link', { name: /^Fit/ }));
  await screen.findByRole('heading', { level: 1, name: STATION_NAMES.fit });
  expect(read).not.toHaveBeenCalled();
  read.mockRestore();
});

test('an address without a station, or with one that there is not, leads to the readings', async () => {
  for (const path of ['/jobs/demo-pump', '/jobs/demo-pump/bench']) {
    await openAt(path);
    expect(await screen.findByRole('heading', { level: 1, name: STATION_NAMES.read })).toBeTruthy();
    cleanup();
  }
});

test('a job that does not hold is shown as it is, with what mends it, and once it is mended it is open', async () => {
  const { db } = await import('../storage/db.ts');
  const user = userEvent.setup();
  await openAt('/jobs');
  const stored = await db.jobs.get('demo-press');
  if (!stored) throw new Error('no press');
  const doc = { ...(stored.doc as object), setup: { ...(stored.doc as { setup: object }).setup, rpm: 'fast' } };
  await db.jobs.put({ ...stored, doc });
  cleanup();
  const { store } = await import('../store/store.ts');
  await show('/jobs/demo-press/read');
  await user.click(await screen.findByRole('button', { name: /Repair/ }));
  await waitFor(() => expect(store.getState().work.job?.present.id).toBe('demo-press'));
  expect(await screen.findByRole('heading', { level: 1, name: STATION_NAMES.read })).toBeTruthy();
});
