import { readFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import { axeClean, expect, test, written } from './fixtures.ts';
import type { Page } from '@playwright/test';

/** Reads a picture into the press screw's job. */
async function pictured(page: Page): Promise<void> {
  await page.goto('/jobs/demo-press/read?picture=new');
  await expect(page.getByRole('heading', { name: /take it/ })).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: /Take it/ }).click();
  await expect(page.getByRole('heading', { name: /sound teeth/ })).toBeVisible({ timeout: 30_000 });
  await page.getByRole('radio', { name: 'right' }).check();
  await page.getByRole('button', { name: /^Take the/ }).click();
  await expect(page).toHaveURL(/read$/);
  await written(page);
}
async function exportOf(page: Page, name: RegExp): Promise<Buffer> {
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name }).click()]);
  return readFile(await download.path());
}

test('a job with its picture is one pack; brought in elsewhere the picture is there and reads as it did', async ({
  page,
}) => {
  await pictured(page);
  await page.goto('/jobs/demo-press/record');
  const pack = await exportOf(page, /Export this job with its pictures/);
  const files = unzipSync(pack);
  expect(Object.keys(files).sort()).toEqual([
    'job.gelvin.json',
    expect.stringMatching(/^pictures\/.+\.jpg$/),
    'read-me.txt',
  ]);
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Start with an empty shop' }).click();
  await page.getByRole('button', { name: /^Yes/ }).click();
  await expect(page.getByText('The shop is empty.')).toBeVisible();
  await page.getByLabel('File to bring in').setInputFiles({ name: 'p.zip', mimeType: 'application/zip', buffer: pack });
  await page.getByRole('button', { name: 'Bring the job in' }).click();
  await expect(page.getByText('Brought in the job')).toBeVisible();
  await page.goto('/jobs/demo-press/read');
  await page.getByRole('tab', { name: /^Readings/ }).click();
  await page.getByRole('button', { name: /^Open the picture/ }).click();
  await expect(page.getByRole('heading', { name: /from 20 sound teeth/ })).toBeVisible({ timeout: 30_000 });
});

test('the whole shop is one pack with lists; two devices are merged and neither loses anything', async ({ page }) => {
  await page.goto('/settings');
  const pack = await exportOf(page, /^Export the whole shop/);
  const files = unzipSync(pack);
  expect(Object.keys(files).sort()).toEqual([
    'passes.csv',
    'read-me.txt',
    'readings.csv',
    'shop.gelvin.json',
    'trains.csv',
  ]);
  const readings = strFromU8(files['readings.csv'] ?? new Uint8Array());
  expect(readings).toContain('quantity');
  expect(readings).toContain('"Level screws, brass, six off"');
  // here one job goes on, in the file it does too
  const text = strFromU8(files['shop.gelvin.json'] ?? new Uint8Array());
  const there = JSON.parse(text) as { jobs: { id: string; title: string; changed: string }[]; shop: { name: string } };
  const press = there.jobs.find((j) => j.id === 'demo-press');
  if (!press) throw new Error('the demo has a press screw');
  press.title = 'Press screw, from the other bench';
  press.changed = '2027-02-01T08:00:00.000Z';
  there.jobs.push({ ...press, id: 'only-there', title: 'Only on the other bench' });
  await page.getByLabel('File to bring in').setInputFiles({
    name: 'other.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(there)),
  });
  await expect(page.getByText(/1 new here, \d+ the same, 1 changed since, 0 older/)).toBeVisible();
  await expect(page.getByLabel('What is done with Press screw, from the other bench')).toHaveValue('both');
  await axeClean(page);
  await page.getByRole('button', { name: 'Add it to what is here' }).click();
  await expect(page.getByText('Brought in 2 jobs beside what is here.')).toBeVisible();
  await page.goto('/jobs');
  for (const title of [
    'Cider-press screw',
    'Press screw, from the other bench (from a file)',
    'Only on the other bench',
  ])
    await expect(page.getByRole('link', { name: new RegExp(title.replace(/[()]/g, '.')) }).first()).toBeVisible();
});

test('a removed job is brought back after a reload, with its road open; emptied it is gone', async ({ page }) => {
  await page.goto('/jobs');
  const remove = async (title: string) => {
    await page.getByRole('button', { name: `Remove ${title}` }).click();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(page.getByRole('link', { name: new RegExp(title) })).toHaveCount(0);
  };
  await remove('Gate-latch bolt');
  await page.reload();
  await page.getByText('Removed (1)').click();
  await axeClean(page);
  await page.getByRole('button', { name: 'Bring back Gate-latch bolt' }).click();
  await expect(page.getByRole('link', { name: /Gate-latch bolt/ })).toBeVisible();
  await page.getByRole('link', { name: /Gate-latch bolt/ }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  await page.goto('/jobs');
  await remove('Gate-latch bolt');
  await page.getByText('Removed (1)').click();
  await page.getByRole('button', { name: 'Empty them for good' }).click();
  await page.getByRole('button', { name: 'Yes: they go for good' }).click();
  await expect(page.getByText(/^Removed/)).toHaveCount(0);
});

test('one search finds by a figure, a lathe and a mistyped word, and says why', async ({ page }) => {
  await page.goto('/jobs');
  const find = page.getByLabel('Find a job');
  await find.fill('49.8');
  await expect(page.getByText(/\u201c49.8\u201d in its readings/)).toBeVisible();
  await expect(page.getByRole('link', { name: /Cider-press screw/ })).toBeVisible();
  await find.fill('windlas');
  await expect(page.getByRole('link', { name: /Windlass brake screw/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Cider-press screw/ })).toHaveCount(0);
  await find.fill('the long bed sluice');
  await expect(page.getByText(/in its lathe/).first()).toBeVisible();
  await find.fill('nothing of the kind');
  await expect(page.getByText('No job has all of these words, nor any near them.')).toBeVisible();
});

test('a job is begun again from a finished one: its thread and fit, nothing cut, nothing settled', async ({ page }) => {
  await page.goto('/jobs/demo-brass/record');
  await page.getByRole('button', { name: 'Start a new job from it' }).click();
  await expect(page).toHaveURL(/\/intake$/);
  await expect(page.locator('header').getByText(/2\.3 mm x 52 TPI 55/)).toBeVisible();
  const spine = page.getByRole('navigation', { name: 'Stations' });
  await expect(spine.getByRole('link', { name: /settled/ })).toHaveCount(0);
  await page.goto('/jobs');
  await expect(page.getByRole('link', { name: /Level screws, brass, six off, again/ })).toBeVisible();
});
