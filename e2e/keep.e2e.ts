import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import type { Edit } from '../core/job/edits/index.ts';
import { besides, bringIn, jobOf } from './bench.ts';
import { axeClean, expect, test, written } from './fixtures.ts';

test('the list is sifted by state, lathe and family, put in order, and a job put away is found when it is sought', async ({
  page,
}) => {
  await page.goto('/jobs');
  await expect(page.getByRole('link', { name: /Go plug/ })).toBeVisible();
  await page.getByLabel('Family of thread').selectOption('M');
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(2);
  await page.getByLabel('In order of').selectOption('title');
  await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('Go plug');
  await page.getByRole('button', { name: 'Put away: Go plug for the valve nuts' }).click();
  await expect(page.getByRole('link', { name: /Go plug/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(page.getByRole('link', { name: /Go plug/ })).toHaveCount(0);
  // it is found all the same, also after reload, and comes back
  await page.reload();
  await page.getByLabel('Find a job').fill('go plug');
  await expect(page.getByRole('link', { name: /Go plug/ })).toBeVisible();
  await page.getByLabel('Find a job').fill('');
  await page.getByLabel('State').selectOption('archived');
  await axeClean(page);
  await page.getByRole('button', { name: 'Take out again: Go plug for the valve nuts' }).click();
  await page.getByLabel('State').selectOption('all');
  await expect(page.getByRole('link', { name: /Go plug/ })).toBeVisible();
});

test('a removed lathe comes back as it was, also after reload', async ({ page }) => {
  await page.goto('/lathes/lathe-els');
  await page.getByRole('button', { name: 'Remove this lathe' }).click();
  await expect(page.getByRole('heading', { name: 'Lathes', level: 1 })).toBeVisible();
  await expect(page.getByRole('link', { name: /Finch/ })).toHaveCount(0);
  await written(page);
  await page.reload();
  await page.getByText('Removed (1)').click();
  await page.getByRole('button', { name: /Bring back Finch/ }).click();
  await expect(page.getByRole('link', { name: /Finch/ })).toBeVisible();
  await expect(page.getByText(/^Removed/)).toHaveCount(0);
});

/** Files let go over the window, as a hand does it. */
async function dropped(page: Page, files: readonly { name: string; type: string; base64: string }[]): Promise<void> {
  await page.evaluate((given) => {
    const data = new DataTransfer();
    for (const { name, type, base64 } of given)
      data.items.add(new File([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))], name, { type }));
    const at = { bubbles: true, cancelable: true, dataTransfer: data };
    document.querySelector('main')?.dispatchEvent(new DragEvent('dragover', at));
    document.querySelector('main')?.dispatchEvent(new DragEvent('drop', at));
  }, files);
}
const photo = async (colour: string, w = 3200): Promise<string> =>
  (
    await sharp({ create: { width: w, height: w / 2, channels: 3, background: colour } })
      .jpeg()
      .toBuffer()
  ).toString('base64');

test('the same readings again: the thread is offered with the gears that cut it, and the springs with where they come from', async ({
  page,
}) => {
  const reading = (
    quantity: 'majorDiameter' | 'crestCount',
    text: string,
    value: number,
    spanMm: number | null,
  ): Edit => ({
    do: 'takeReading',
    reading: {
      quantity,
      text,
      value,
      span: spanMm === null ? null : { text: '12 in', mm: spanMm },
      leaf: null,
      instrument: 'caliper',
      uncertainty: 0.02,
      member: 'part',
      place: '',
      positionMm: null,
      wear: 'unknown',
    },
  });
  const job = jobOf('Gate spindle, the fifth', [
    { do: 'setIntake', material: 'tough steel' },
    reading('majorDiameter', '37.88', 37.88, null),
    reading('crestCount', '42', 42, 304.8),
  ]);
  await bringIn(page, job, 'name');
  const before = page.getByRole('region', { name: 'Made before' });
  await expect(before).toContainText('for Osier Lock, gate 4 with 60/30 \u00d7 40/35 on Bess, the long bed');
  await axeClean(page);
  await before.getByRole('button', { name: 'Take its thread, lathe and gears' }).first().click();
  await expect(page.getByText('Chosen by hand:')).toContainText('1 1/2 in x 3.5 TPI 29');
  await written(page);
  await page.goto('/jobs/bench/gears');
  await expect(page.getByRole('heading', { name: /The train: 60\/30/ })).toBeVisible();
  await page.goto('/jobs/bench/cut');
  await besides(page, 'The plan');
  await expect(
    page.getByText(/^3 finished jobs on Bess, the long bed in tough steel: 1\.\d\d times the passes/),
  ).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Spring passes' })).toHaveValue('3');
  // the springs, and the deepest pass
  const from = page.getByText('as 3 finished jobs on Bess, the long bed in tough steel had it');
  await expect(from).toHaveCount(2);
  await expect(from.last()).toBeVisible();
  // what a lathe has taught stands on its page, in two plots
  await page.goto('/lathes/lathe-bess');
  await expect(page.getByRole('img', { name: /\d+ planned, 24 cut/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Deeper than planned/ })).toBeVisible();
});

test('photos are dropped on the station that they show, kept small, seen large, in the pack; and taken away, which is undone', async ({
  page,
}) => {
  await page.goto('/jobs/demo-pump/intake');
  await expect(page.getByRole('region', { name: 'Photos of the part' })).toBeVisible();
  await dropped(page, [{ name: 'stub.jpg', type: 'image/jpeg', base64: await photo('#884422') }]);
  await expect(page.getByText('Kept 1 photo of the part with this job.')).toBeVisible();
  await page.getByRole('button', { name: 'Seen' }).click();
  await page.getByLabel('A photo of the part').setInputFiles({
    name: 'end.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from(await photo('#224488', 400), 'base64'),
  });
  const shown = page
    .getByRole('region', { name: 'Photos of the part' })
    .getByRole('button', { name: /^Open the photo/ });
  await expect(shown).toHaveCount(2);
  await axeClean(page);
  await written(page);
  await page.reload();
  await shown.first().click();
  const large = page.getByRole('dialog').getByRole('img', { name: 'stub.jpg' });
  // no larger than a screen shows it
  await expect.poll(() => large.evaluate((e) => (e as HTMLImageElement).naturalWidth)).toBe(2400);
  await page.getByRole('dialog').getByRole('button', { name: 'Remove it' }).click();
  await expect(shown).toHaveCount(1);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(shown).toHaveCount(2);
  await page.goto('/jobs/demo-pump/record');
  await expect(
    page.getByRole('region', { name: 'Photos' }).getByRole('button', { name: /^Open the photo/ }),
  ).toHaveCount(2);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Export this job with its pictures/ }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('pump-shaft-stub-welded.gelvin.zip');
  const names = Object.keys(unzipSync(new Uint8Array(readFileSync(await file.path()))));
  expect(names.filter((n) => n.startsWith('pictures/'))).toHaveLength(2);
});

test('a file dropped anywhere is shown with what it would change; a picture without a job, or what nobody reads, is said', async ({
  page,
}) => {
  const base64 = Buffer.from(JSON.stringify(jobOf('Dropped in', []))).toString('base64');
  await page.goto('/tables');
  await expect(page.getByRole('heading', { name: 'Tables', level: 1 })).toBeVisible();
  await dropped(page, [{ name: 'job.json', type: 'application/json', base64 }]);
  await expect(page).toHaveURL(/\/settings$/);
  await expect(page.getByText(/Dropped in/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Bring the job in' }).click();
  await expect(page.getByText('Brought in the job')).toBeVisible();
  await page.goto('/lathes');
  await expect(page.getByRole('heading', { name: 'Lathes', level: 1 })).toBeVisible();
  await dropped(page, [{ name: 'a.jpg', type: 'image/jpeg', base64: await photo('#000000', 100) }]);
  await expect(page.getByText(/open the job first/)).toBeVisible();
  await page.getByRole('button', { name: 'Seen' }).click();
  await dropped(page, [{ name: 'notes.docx', type: 'application/octet-stream', base64 }]);
  await expect(page.getByText(/^notes\.docx is nothing that Gelvin reads: right would be/)).toBeVisible();
  await expect(page).toHaveURL(/\/lathes$/);
});

test('a job goes over to another device by its row of codes, read off the screen', async ({ page, browser }) => {
  await page.goto('/jobs/demo-pump/record');
  await page.getByRole('button', { name: 'Hand it over' }).click();
  const hold = page.getByRole('button', { name: 'Hold this one' });
  if (await hold.isVisible()) await hold.click();
  await axeClean(page);
  const code = page.getByRole('dialog').getByRole('img', { name: /^Code \d+ of \d+/ });
  const of = Number(/of (\d+)/.exec((await code.getAttribute('aria-label')) ?? '')?.[1]);
  const photos: Buffer[] = [];
  for (let i = 0; i < of; i += 1) {
    photos.push(await code.screenshot());
    await page.getByRole('button', { name: 'The next' }).click();
  }
  // another device: a browser with a shop of its own, in which this job is not
  const other = await (await browser.newContext()).newPage();
  await other.goto('/jobs');
  await other.getByRole('button', { name: 'Remove Pump shaft, stub welded' }).click();
  await other.getByRole('button', { name: 'Remove', exact: true }).click();
  await other.goto('/settings');
  await other.getByRole('button', { name: 'Take a job over from a screen' }).click();
  const files = photos.map((buffer, i) => ({ name: `${i}.png`, mimeType: 'image/png', buffer }));
  await other.getByLabel('Photos of the codes').setInputFiles(files.slice(1));
  await expect(other.getByText(`${of - 1} of ${of} codes seen.`)).toBeVisible();
  await other.getByLabel('Photos of the codes').setInputFiles(files.slice(0, 1));
  await other.getByRole('button', { name: 'Bring the job in' }).click();
  await expect(other.getByText('Brought in the job')).toBeVisible();
  await other.goto('/jobs/demo-pump/record');
  await expect(other.getByRole('heading', { name: 'Pump shaft, stub welded' })).toBeVisible();
  await other.context().close();
});
