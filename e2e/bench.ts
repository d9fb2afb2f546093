import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { AT, Bench } from '../app/testing/bench.ts';
import { demoJobs } from '../demo/index.ts';
import { newJob } from '../core/job/create.ts';
import type { Edit } from '../core/job/edits/index.ts';
import { parseDesignation } from '../core/standards/designation.ts';
import type { Job } from '../core/job/schema.ts';
import { expect } from './fixtures.ts';

/** A job carried so far by named edits, as a file: what comes before the part that a test drives by hand. */
export function jobOf(title: string, edits: readonly Edit[], from: Job | null = null): Job {
  const begun = from ?? newJob('bench', title, new Date(AT));
  return { ...new Bench(begun).do(...edits).job, title };
}
export const times = (n: number, e: Edit): Edit[] => Array.from({ length: n }, () => e);

export const named = (designation: string): Edit => {
  const parsed = parseDesignation(designation);
  if (!parsed.ok) throw new Error(designation);
  const { special, ...plain } = parsed.value.thread;
  const thread = special ? { ...plain, special: { ...special } } : plain;
  return { do: 'acceptName', thread, probability: 1, overruled: true, reason: '' };
};
/** M30x2 on the lathe with an electronic leadscrew, up to the touch-off. */
export const M30: readonly Edit[] = [named('M30x2'), { do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'mount' }];
export const demo = (id: string): Job => {
  const job = demoJobs().find((j) => j.id === id);
  if (!job) throw new Error(id);
  return job;
};

/** Brings a file in through Settings, and opens its job at a station. */
export async function bringIn(page: Page, data: unknown, station: string, id = 'bench'): Promise<void> {
  await page.goto('/settings');
  await page.getByLabel('File to bring in').setInputFiles({
    name: 'job.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(data)),
  });
  // what is here by its identity is replaced, whichever is newer
  await expect(page.getByText(/not here yet|the same as here|the one here/).first()).toBeVisible();
  const what = page.getByLabel(/^What is done with/);
  if (await what.isVisible()) await what.selectOption('bring');
  await page.getByRole('button', { name: 'Bring the job in' }).click();
  await expect(page.getByText('Brought in the job')).toBeVisible();
  await page.goto(`/jobs/${id}/${station}`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}

/** Scratches, and says that it spans what it should; in a nut that the carriage went so far. */
export async function provePitch(page: Page): Promise<void> {
  const scratched = page.getByRole('button', { name: /^Scratched/ });
  const right = page.getByRole('button', { name: /: right$/ });
  await expect(scratched.or(right).first()).toBeVisible();
  if (await scratched.isVisible()) await scratched.click();
  await right.click();
}

/** Goes to a station as a hand does: by the band, or at the machine by the list of stations. */
export async function station(page: Page, name: string): Promise<void> {
  const link = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: new RegExp(`^${name}`) });
  const list = page.getByRole('button', { name: 'Stations' });
  await expect(link.or(list).first()).toBeVisible();
  // the list may go between the look and the click, when the station left is still the one drawn
  await expect(async () => {
    if (!(await link.isVisible())) await list.click({ timeout: 2000 });
    await link.click({ timeout: 2000 });
  }).toPass();
}
/** Opens what is at hand besides the card, at one of its tabs. */
export async function besides(page: Page, tab: string): Promise<void> {
  if (!(await page.getByRole('complementary', { name: 'Besides the card' }).isVisible()))
    await page.getByRole('button', { name: /^More/ }).click();
  await page.getByRole('button', { name: tab, exact: true }).click();
}

/** A job out of a backup that an older version wrote. */
export function oldJob(version: 1 | 2, id: string): unknown {
  const text = readFileSync(new URL(`../core/formats/backup-v${version}.json`, import.meta.url), 'utf8');
  return (JSON.parse(text) as { jobs: { id: string }[] }).jobs.find((j) => j.id === id);
}
