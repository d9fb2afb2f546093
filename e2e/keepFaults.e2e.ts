import { readFile } from 'node:fs/promises';
import { test as plain, type Page } from '@playwright/test';
import sharp from 'sharp';
import { expect, test, written } from './fixtures.ts';
import { cutOff, figure, inRecord, MANY, Profile } from './faultBox.ts';

// what the fault box promises of jobs holds of pictures, packs and paper too
const photo = async (w = 1200): Promise<Buffer> =>
  sharp({
    create: {
      width: w,
      height: w,
      channels: 3,
      background: '#446688',
      noise: { type: 'gaussian', mean: 128, sigma: 60 },
    },
  })
    .jpeg({ quality: 80 })
    .toBuffer();
const filesOf = (buffer: Buffer, n: number) =>
  Array.from({ length: n }, (_, i) => ({ name: `p${i}.jpg`, mimeType: 'image/jpeg', buffer }));
interface Kept {
  readonly doc: { readonly pictures: readonly { readonly id: string }[] };
}
const picturesOf = async (page: Page): Promise<{ spoken: string[]; stored: string[] }> => {
  const job = await inRecord<Kept>(page, 'get', { table: 'jobs', key: 'demo-pump' });
  const stored = await inRecord<string[]>(page, 'keys', { table: 'pictures' });
  return { spoken: job.doc.pictures.map((p) => p.id), stored };
};
const intake = async (page: Page, base: string): Promise<void> => {
  await page.goto(`${base}/jobs/demo-pump/intake`);
  await expect(page.getByRole('heading', { level: 1, name: 'Intake' })).toBeVisible();
};

test.use({ serviceWorkers: 'allow' });

plain('killed while photos are added: the job speaks of no picture that is not there', async ({ baseURL }, info) => {
  plain.setTimeout(MANY ? 900_000 : 180_000);
  const kills = MANY ? 40 : 3;
  const profile = new Profile();
  const path = info.project.use.launchOptions?.executablePath;
  const buffer = await photo();
  let spoken = 0;
  try {
    let page = await profile.open(path);
    await intake(page, baseURL ?? '');
    for (let i = 0; i < kills; i += 1) {
      await page.getByLabel('A photo of the part').setInputFiles(filesOf(buffer, 6));
      await page.waitForTimeout(40 + ((i * 97) % 500));
      profile.kill();
      page = await profile.open(path);
      await intake(page, baseURL ?? '');
      const here = await picturesOf(page);
      expect(here.spoken.filter((id) => !here.stored.includes(id))).toEqual([]);
      spoken = here.spoken.length;
    }
  } finally {
    await profile.close();
  }
  figure('killed while photos are added', `${kills} times, none spoken of that is not there, ${spoken} kept`);
});

test('a full disk: a photo that is not kept is said, and the job does not speak of it', async ({ page, baseURL }) => {
  await intake(page, baseURL ?? '');
  await page.evaluate(() => {
    const w = window as unknown as { put: typeof IDBObjectStore.prototype.put };
    // eslint-disable-next-line @typescript-eslint/unbound-method
    w.put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function () {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await page.getByLabel('A photo of the part').setInputFiles(filesOf(await photo(300), 1));
  await expect(page.getByText(/^The photo was not kept: .*full\. Free some room/)).toBeVisible();
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = (window as unknown as { put: typeof IDBObjectStore.prototype.put }).put;
  });
  expect((await picturesOf(page)).spoken).toEqual([]);
  // with room again it is kept
  await page.getByLabel('A photo of the part').setInputFiles(filesOf(await photo(300), 1));
  await expect(page.getByRole('button', { name: /^Open the photo/ })).toHaveCount(1);
  await written(page);
  const here = await picturesOf(page);
  expect(here.spoken).toHaveLength(1);
  expect(here.stored).toContain(here.spoken[0]);
});

test('with the server stopped and the network off: a photo, paper, codes and a pack', async ({ page }) => {
  const at = await cutOff(page, 8);
  await intake(page, at);
  await page.getByLabel('A photo of the part').setInputFiles(filesOf(await photo(300), 1));
  await expect(page.getByRole('button', { name: /^Open the photo/ })).toHaveCount(1);
  await written(page);
  await page.goto(`${at}/jobs/demo-pump/paper?sheets=traveller`);
  const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF' }).click()]);
  expect((await readFile(await pdf.path())).subarray(0, 5).toString()).toBe('%PDF-');
  await page.goto(`${at}/jobs/demo-pump/record`);
  await page.getByRole('button', { name: 'Hand it over' }).click();
  await expect(page.getByRole('img', { name: /^Code 1 of/ })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  const [pack] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Export this job with its pictures/ }).click(),
  ]);
  await page.goto(`${at}/settings`);
  await page.getByLabel('File to bring in').setInputFiles(await pack.path());
  await expect(page.getByText(/the same as here/).first()).toBeVisible();
});

test('packs that came to harm: cut off, or a byte changed anywhere; refused with why, and nothing has changed', async ({
  page,
  baseURL,
}) => {
  test.setTimeout(MANY ? 900_000 : 180_000);
  const files = MANY ? 200 : 8;
  await intake(page, baseURL ?? '');
  await page.getByLabel('A photo of the part').setInputFiles(filesOf(await photo(300), 1));
  await expect(page.getByRole('button', { name: /^Open the photo/ })).toHaveCount(1);
  await written(page);
  await page.goto('/jobs/demo-pump/record');
  const [pack] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Export this job with its pictures/ }).click(),
  ]);
  const whole = await readFile(await pack.path());
  const before = await inRecord(page, 'get', { table: 'jobs', key: 'demo-pump' });
  let seed = 20261127;
  const next = (below: number): number => {
    seed = (Math.imul(seed, 1_103_515_245) + 12_345) & 0x7fffffff;
    return seed % below;
  };
  await page.goto('/settings');
  let offered = 0;
  for (let i = 0; i < files; i += 1) {
    const harmed = Buffer.from(whole);
    const cutAt = next(whole.length);
    if (i % 2 === 0) for (let k = 0; k < 3; k += 1) harmed[next(harmed.length)] = next(256);
    await page.getByLabel('File to bring in').setInputFiles({
      name: 'harm.zip',
      mimeType: 'application/zip',
      buffer: i % 2 === 0 ? harmed : harmed.subarray(0, cutAt),
    });
    const good = page.getByRole('button', { name: 'Bring the job in' });
    const refused = page.getByText(/^This file was not taken in|^The file could not be read/);
    await expect(good.or(refused).first()).toBeVisible();
    // harm that hits a picture alone leaves the job readable: it is offered, and left
    if (await good.isVisible()) {
      offered += 1;
      await page.getByRole('button', { name: 'Leave it' }).click();
    }
  }
  expect(await inRecord(page, 'get', { table: 'jobs', key: 'demo-pump' })).toEqual(before);
  figure('harmed packs', `${files}: ${offered} offered for the job that is whole in them, the others refused with why`);
});
