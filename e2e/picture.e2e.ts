import sharp from 'sharp';
import { lookAt, type Scene } from '../core/profile/scenes.ts';
import { axeClean, expect, test, written } from './fixtures.ts';
import type { Page } from '@playwright/test';

/** A picture of a simulated part as a file. */
async function fileOf(scene: Scene, kind: 'png' | 'jpeg' | 'webp', w = 1200): Promise<Buffer> {
  const g = lookAt(scene, w, 5);
  const bytes = Buffer.from(Uint8Array.from(g.data, (v) => v * 255));
  return sharp(bytes, { raw: { width: g.w, height: g.h, channels: 1 } })
    .toFormat(kind)
    .toBuffer();
}
const readFrom = (page: Page) =>
  expect(page.getByRole('heading', { name: /sound teeth/ })).toBeVisible({ timeout: 30_000 });
const row = (page: Page, name: RegExp) =>
  page.getByRole('list', { name: 'What was read' }).getByRole('listitem').filter({ hasText: name });

test('a press screw through the camera, by keyboard: saw-tooth and no buttress, its hidden flank asked, its wear mapped, named', async ({
  page,
}) => {
  await page.goto('/jobs/demo-press/read');
  await page.getByRole('button', { name: 'Read it from a picture' }).focus();
  await page.keyboard.press('Enter');
  const sees = page.getByRole('list', { name: 'What the camera sees' });
  await expect(sees.getByRole('listitem').first()).toContainText('Both edges in view', { timeout: 20_000 });
  await expect(page.getByRole('heading', { name: /take it/ })).toBeVisible();
  await axeClean(page);
  await page.keyboard.press('Space');
  await readFrom(page);
  // what is laid over: the form that it is, and how far off the one that it might have been taken for is
  const forms = page.getByRole('group', { name: 'Forms laid over it' });
  await expect(forms.getByRole('button').first()).toContainText('saw-tooth');
  const off = async (name: RegExp) =>
    Number(/([\d.]+) px/.exec(await forms.getByRole('button', { name }).innerText())?.[1]);
  expect(await off(/saw-tooth/)).toBeLessThan(0.5);
  expect(await off(/buttress/)).toBeGreaterThan(3);
  // the load flank is not told; nothing is taken before it is said which end is which
  await expect(page.getByText(/Its own crest hides this flank. Anything from 0 to 4/)).toBeVisible();
  const take = page.getByRole('button', { name: /^Take the/ });
  await expect(take).toBeDisabled();
  await page.getByRole('radio', { name: 'left' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press(' ');
  await expect(page.getByRole('radio', { name: 'right' })).toBeChecked();
  await expect(row(page, /Flank facing the free end/)).toContainText('30.0');
  await expect(row(page, /Flank facing the head/)).toContainText('asks');
  await expect(row(page, /Worn, towards the head/)).toContainText('0.62');
  await axeClean(page);
  await page.getByRole('radio', { name: 'right' }).blur();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/read$/);
  await page.getByRole('tab', { name: 'Wear' }).click();
  await expect(page.getByText(/The travel really used: 5\d mm to 7\d mm/)).toBeVisible();
  // every later station hears it
  await page.goto('/jobs/demo-press/name');
  await expect(page.getByRole('heading', { name: 'Name', exact: true })).toBeVisible();
  await expect(page.getByText('S 50x8').first()).toBeVisible();
  await page.goto('/jobs/demo-press/read');
  await page.getByRole('tab', { name: /^Readings/ }).click();
  const readings = await page.getByRole('row').count();
  expect(readings).toBeGreaterThan(12);
  // one step back takes all of it back, and forward again
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('row')).toHaveCount(5);
  await page.keyboard.press('Control+y');
  await expect(page.getByRole('row')).toHaveCount(readings);
});

test('the picture stays with the job: opened again after a reload, read as it was, and away with its readings', async ({
  page,
}) => {
  await page.goto('/jobs/demo-press/read?picture=new');
  await expect(page.getByRole('list', { name: 'What the camera sees' })).toBeVisible({ timeout: 20_000 });
  await page.getByLabel('Camera', { exact: true }).selectOption('vice');
  await expect(page.getByRole('heading', { name: /take it/ })).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: /Take it/ }).click();
  await readFrom(page);
  await page.getByRole('radio', { name: 'right' }).check();
  // the outside as it was read of another part: typed over, and read again
  await page.getByText('Scale', { exact: true }).click();
  await page.getByLabel('Outside diameter of the part').fill('29.9');
  await page.keyboard.press('Enter');
  await expect(row(page, /^Pitch\d/)).toContainText(/6\.00\d|5\.99\d/, { timeout: 20_000 });
  await expect(row(page, /Worn, towards the free end/)).toContainText('0.34');
  await page.getByRole('button', { name: /^Take the/ }).click();
  await expect(page).toHaveURL(/\/read$/);
  await written(page);
  await page.reload();
  await page.getByRole('tab', { name: /^Readings/ }).click();
  await page.getByRole('button', { name: /^Open the picture Simulated/ }).click();
  await readFrom(page);
  await expect(page.getByRole('radio', { name: 'right' })).toBeChecked();
  await expect(row(page, /^Pitch\d/)).toContainText(/6\.00\d|5\.99\d/);
  await page.getByRole('button', { name: 'To the readings' }).click();
  await page.getByRole('tab', { name: /^Readings/ }).click();
  await page.getByRole('button', { name: /^Remove the picture/ }).click();
  await expect(page.getByRole('row')).toHaveCount(5);
});

test('a maker’s own thread off a scanner is copied to the fit', async ({ page }) => {
  await page.goto('/jobs');
  await page
    .getByRole('button', { name: /New job/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/jobs\/.+\/(intake|read)/);
  const job = /\/jobs\/([^/]+)\//.exec(page.url())?.[1] ?? '';
  await page.goto(`/jobs/${job}/read?picture=new`);
  await expect(page.getByRole('heading', { name: /light|take it/ })).toBeVisible();
  await page
    .getByLabel('Picture file')
    .setInputFiles({ name: 'scan.png', mimeType: 'image/png', buffer: await fileOf('special', 'png') });
  await readFrom(page);
  // no scale yet: angles alone
  await expect(row(page, /Included angle/)).toContainText('40.0');
  await expect(row(page, /^Pitch\d/)).toHaveCount(0);
  await page.getByLabel('Outside diameter of the part').fill('31.2');
  await page.keyboard.press('Enter');
  await expect(row(page, /^Pitch\d/)).toContainText(/4\.50\d|4\.49\d/, { timeout: 20_000 });
  // how the light went is not said: the flat holds for both ways, and no finer
  await expect(row(page, /^Crest flat/)).toContainText(/1\.4\d\d\s*\u00b1 0\.0[3-9]/);
  await page.getByText('square to the axis', { exact: true }).click();
  await expect(row(page, /^Crest flat/)).toContainText(/1\.(40|39)/, { timeout: 20_000 });
  await row(page, /Outside diameter/)
    .getByRole('checkbox')
    .check();
  await page.getByRole('button', { name: /^Take the/ }).click();
  await expect(page).toHaveURL(/\/read$/);
  await page.goto(`/jobs/${job}/name`);
  await page.getByRole('button', { name: 'Accept as special' }).click();
  // every later station hears its own dimensions
  await page.goto(`/jobs/${job}/fit`);
  await expect(page.getByRole('heading', { name: 'Fit', exact: true })).toBeVisible();
  await expect(page.locator('header').getByText(/31\.2 mm x 4\.5 mm 40/)).toBeVisible();
  await expect(page.getByLabel(/Crest flat/).first()).toHaveValue(/1\.(39|40)/);
  await page.goto(`/jobs/${job}/setup?show=tool`);
  await expect(page.getByText('40.0\u00b0').first()).toBeVisible();
});

test('what is no picture, or too soft, or half hidden is said; the edge that is the thread is chosen by its number', async ({
  page,
}) => {
  await page.goto('/jobs/demo-press/read?picture=new');
  await expect(page.getByRole('heading', { name: /light|take it/ })).toBeVisible();
  const file = page.getByLabel('Picture file');
  await file.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/This is no picture that can be opened here/)).toBeVisible();
  await file.setInputFiles({ name: 'soft.webp', mimeType: 'image/webp', buffer: await fileOf('soft', 'webp') });
  await expect(page.getByText(/spread over more than a quarter of the depth/)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText('Nothing has been taken from this picture yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Put this picture aside' }).click();
  await file.setInputFiles({ name: 'half.jpg', mimeType: 'image/jpeg', buffer: await fileOf('half', 'jpeg') });
  await expect(page.getByRole('heading', { name: 'Which edge is the thread?' })).toBeVisible({ timeout: 20_000 });
  await axeClean(page);
  await page.keyboard.press('1');
  await readFrom(page);
  // one edge has no diameters
  await expect(row(page, /Root diameter/)).toHaveCount(0);
  // shown by hand, by keyboard: what is moved is what is read
  await page.getByRole('button', { name: /Show axis, stretch and tooth/ }).click();
  const from = page.getByRole('slider', { name: /^Stretch, from/ });
  const before = Number(await from.getAttribute('aria-valuenow'));
  await from.focus();
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('Shift+ArrowRight');
  expect(Number(await from.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 50);
  const teeth = async () =>
    Number(/from (\d+)/.exec(await page.getByRole('heading', { name: /sound teeth/ }).innerText())?.[1]);
  const all = await teeth();
  await page.getByRole('button', { name: 'Read it so' }).click();
  await expect.poll(teeth, { timeout: 20_000 }).toBeLessThan(all);
});

test('a picture is dropped and pasted; it is zoomed and moved by keyboard, and shown as taken', async ({ page }) => {
  await page.goto('/jobs/demo-press/read?picture=new');
  await expect(page.getByRole('heading', { name: /light|take it/ })).toBeVisible();
  const bytes = (await fileOf('press', 'png', 900)).toString('base64');
  await page.evaluate((b64) => {
    const blob = new Blob([Uint8Array.from(atob(b64), (c) => c.charCodeAt(0))]);
    const data = new DataTransfer();
    data.items.add(new File([blob], 'dropped.png', { type: 'image/png' }));
    document
      .querySelector('main .plate')
      ?.dispatchEvent(new DragEvent('drop', { bubbles: true, cancelable: true, dataTransfer: data }));
  }, bytes);
  await expect(page.getByRole('heading', { name: 'dropped.png' })).toBeVisible({ timeout: 20_000 });
  await readFrom(page);
  await page.evaluate((b64) => {
    const blob = new Blob([Uint8Array.from(atob(b64), (c) => c.charCodeAt(0))]);
    const data = new DataTransfer();
    data.items.add(new File([blob], 'pasted.png', { type: 'image/png' }));
    window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, cancelable: true }));
  }, bytes);
  await expect(page.getByRole('heading', { name: 'pasted.png' })).toBeVisible({ timeout: 20_000 });
  await readFrom(page);
  const shown = page.getByRole('group', { name: /^The picture with what was found/ });
  const box = () => shown.evaluate((el) => el.getAttribute('viewBox')?.split(' ').map(Number) ?? []);
  await shown.focus();
  const [, , whole = 0] = await box();
  await page.keyboard.press('+');
  const [, , nearer = 0] = await box();
  expect(nearer).toBeLessThan(whole);
  const [at = 0] = await box();
  await page.keyboard.press('ArrowRight');
  expect((await box())[0]).toBeGreaterThan(at);
  await page.keyboard.press('0');
  expect((await box())[2]).toBe(whole);
  await page.getByRole('tab', { name: 'as taken' }).click();
  await expect(page.getByRole('tab', { name: 'as taken' })).toHaveAttribute('aria-selected', 'true');
});

for (const [w, h] of [
  [820, 1180],
  [320, 740],
] as const)
  test(`at ${w} wide nothing runs out at the side, and all of it is reached`, async ({ page }) => {
    await page.setViewportSize({ width: w, height: h });
    await page.goto('/jobs/demo-press/read?picture=new');
    await expect(page.getByRole('list', { name: 'What the camera sees' })).toBeVisible({ timeout: 20_000 });
    const fits = () => page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth);
    expect(await fits()).toBe(true);
    await page.getByRole('button', { name: /Take it/ }).click();
    await readFrom(page);
    expect(await fits()).toBe(true);
    await axeClean(page);
  });

test('the tool in the holder is read for Set up, the finished thread for Prove', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/setup?show=tool');
  await page.getByRole('link', { name: 'Read the tool from a picture' }).click();
  await expect(page.getByAltText('What the simulated camera sees')).toBeVisible({ timeout: 20_000 });
  await axeClean(page);
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'The tool has 60.0\u00b0.' })).toBeVisible({ timeout: 20_000 });
  // a 29-degree thread is cut with another one, and it says so
  await expect(page.getByText(/29\.0\u00b0 is wanted: grind it sharper by 31\.0\u00b0/)).toBeVisible();
  const take = page.getByRole('button', { name: /This is the tip in the holder/ });
  await expect(take).toBeDisabled();
  await page.getByLabel('Diameter of the pin').fill('2');
  await page.keyboard.press('Enter');
  await expect(take).toBeEnabled({ timeout: 20_000 });
  await axeClean(page);
  await take.click();
  await expect(page.getByLabel('Tip flat, as ground')).toHaveValue(/^0\.3[67]\d mm/);
  await page.goto('/jobs/demo-sluice/prove?by=form');
  await page.getByRole('link', { name: 'Read it from a picture' }).click();
  await expect(page.getByRole('heading', { name: /take it/ })).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('Space');
  await readFrom(page);
  await page.getByLabel('Diameter of the pin').fill('2.5');
  await page.keyboard.press('Enter');
  await expect(row(page, /^Pitch\d/)).toContainText(/3\.00\d|2\.99\d/, { timeout: 20_000 });
  await page.getByRole('button', { name: /^Take the/ }).click();
  await expect(page).toHaveURL(/prove\?by=form/);
  await expect(page.getByLabel('Leading flank', { exact: true })).toHaveValue(/^(30\.|29\.9)/);
  await expect(page.getByLabel(/^Lead over/)).toHaveValue(/ mm$/);
});
