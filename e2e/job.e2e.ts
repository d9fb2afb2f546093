import { readFile } from 'node:fs/promises';
import { chromium, type Page } from '@playwright/test';
import { station } from './bench.ts';
import { axeClean, expect, tabTo, test, type, written } from './fixtures.ts';

/** Adds a lathe with an 8 tpi leadscrew through the interface and goes back to the jobs. */
async function addLathe(page: Page, name: string, gears: string): Promise<void> {
  await page.goto('/lathes');
  await page.getByRole('button', { name: 'Add a lathe' }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Leadscrew pitch').fill('8 tpi');
  await page.getByLabel(/Change gears owned/).fill(gears);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name })).toBeVisible();
  // what nobody has said is asked for, and nothing is cut by it until then
  for (const left of [1, 0]) {
    await page
      .getByRole('button', { name: /^It is 0\.001 in a division/ })
      .first()
      .click();
    await expect(page.getByText(/^Not known yet/)).toHaveCount(left);
  }
}

test('a worn 1 1/4 x 7 from the bench to the record, by keyboard alone, and still there after closing', async ({
  page,
  context,
}) => {
  await page.goto('/settings');
  // the shop thinks in inches for this job
  await page.getByRole('radio', { name: 'inches' }).click();
  await addLathe(page, 'Eight', '20-65 by 5');
  await page.goto('/jobs');
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();

  // from here on, the keyboard alone
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: 'Intake' })).toBeVisible();
  await tabTo(page, /^Title$/);
  await page.keyboard.press('Control+a');
  await type(page, 'Clamp screw');
  await page.keyboard.press('Enter');
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Read', exact: true })).toBeVisible();

  await page.keyboard.press('Alt+1');
  await type(page, '1.242 in');
  await tabTo(page, /^not known$/);
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('radio', { name: 'unworn', exact: true })).toBeChecked();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('radio', { name: 'worn', exact: true })).toBeChecked();
  await page.keyboard.press('Alt+1');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Outside diameter: 1\.242 in\. / })).toBeVisible();
  await page.keyboard.press('Alt+1');
  await expect(page.getByLabel(/^Outside diameter \(/)).toBeFocused();
  await type(page, '1.247');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^Crests over a length \(/)).toBeFocused();
  await type(page, '7');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^Included angle \(/)).toBeFocused();
  await type(page, '55');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Likeliest so far:')).toContainText('1 1/4-7 BSW');

  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByRole('heading', { name: 'Name', exact: true })).toBeVisible();
  const first = page.getByRole('main').getByRole('listitem').filter({ hasText: '1 1/4-7 BSW' }).first();
  await expect(first).toContainText('off the crest at the worn place');
  await expect(first).toContainText('7 crests in 1.0000 in');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(first).toContainText('accepted');
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Fit', exact: true })).toBeVisible();
  await page.keyboard.press('s');
  await page.keyboard.press(']');

  await expect(page.getByRole('heading', { name: 'Gears', exact: true })).toBeVisible();
  await tabTo(page, /^Bess/);
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('radio', { name: 'Eight' })).toBeChecked();
  await expect(page.getByRole('row', { name: /40\/35/ }).first()).toContainText('exact');
  await page.keyboard.press('Escape');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByText('chosen', { exact: true })).toBeVisible();
  await tabTo(page, /^Train$/);
  // the focus moves a moment after the key: a hand is slower than that, a test on a busy machine is not
  for (const tab of ['Put it up', 'Proof']) {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('tab', { name: tab })).toBeFocused();
  }
  await expect(page.getByText(/Turns check/)).toBeVisible();
  await page.keyboard.press('s');
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Set up', exact: true })).toBeVisible();
  await page.keyboard.press('s');
  await page.keyboard.press(']');

  await expect(page.getByRole('heading', { name: 'Cut', exact: true })).toBeVisible();
  // one act after another: put up, train up, measured, touched off
  for (const act of [/^It is put up and runs true/, /^It is put up$/]) {
    await tabTo(page, act);
    await page.keyboard.press('Enter');
  }
  await tabTo(page, /^The blank measures/);
  await type(page, '1.243');
  await page.keyboard.press('Enter');
  await tabTo(page, /^Touched off, dials at zero/);
  await page.keyboard.press('Enter');
  // the pitch before any depth: a count that is ten times off is asked about, the right one goes on
  await tabTo(page, /^Scratched/);
  await page.keyboard.press('Enter');
  await tabTo(page, /grooves span$/);
  await type(page, '14.29');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/does the point stand right\?/)).toBeVisible();
  await page.keyboard.press('Control+a');
  await type(page, '1.429');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Pass 1 of/).first()).toBeVisible();
  const reading = page.getByRole('button', { name: /Next reading/ });
  const before = await reading.textContent();
  await page.keyboard.press('d');
  await expect(page.getByText(/Pass 2 of/).first()).toBeVisible();
  expect(await reading.textContent()).not.toBe(before);
  await page.keyboard.press('b');
  await expect(page.getByText(/Pass 1 of/).first()).toBeVisible();
  await expect(page.locator('[data-shut=no]')).toBeVisible();
  await page.keyboard.press('d');
  await expect(page.getByText('Pass 1 done')).toBeVisible();
  await page.keyboard.press(']');

  await expect(page.getByRole('heading', { name: 'Prove', exact: true })).toBeVisible();
  await tabTo(page, /^Measured$/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Size$/);
  await page.keyboard.press('ArrowRight');
  await tabTo(page, /^Another wire or pin/);
  await type(page, '.081');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  // effective diameter 1.1585 in (BS 84) less the clearance of 0.0028 in, over 0.081 in wires
  const m = await page.getByRole('button', { name: /^M / }).textContent();
  expect(Number(m)).toBeGreaterThan(1.2735);
  expect(Number(m)).toBeLessThan(1.2765);
  await tabTo(page, /^Over wires, then Enter/);
  await type(page, '1.280');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/to go on diameter/).first()).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Record', exact: true })).toBeVisible();
  await tabTo(page, /^It fits$/);
  await page.keyboard.press('Space');
  await expect(page.getByRole('radio', { name: 'It fits', exact: true })).toBeChecked();

  // closed and opened again
  const address = page.url();
  await written(page);
  const again = await context.newPage();
  await page.close();
  await again.goto(address);
  await expect(again.getByRole('radio', { name: 'It fits', exact: true })).toBeChecked();
  await expect(again.getByText('1 1/4-7 BSW').first()).toBeVisible();
  await again.getByRole('button', { name: /^Undo/ }).click();
  await expect(again.getByRole('radio', { name: 'It fits', exact: true })).not.toBeChecked();
});

test('everything is still there after the browser itself is closed', async ({ baseURL }, info) => {
  const profile = info.outputPath('profile');
  const launch = () =>
    chromium.launchPersistentContext(profile, { ...info.project.use.launchOptions, baseURL: baseURL ?? '' });
  const one = await launch();
  const page = await one.newPage();
  await page.goto('/jobs/demo-press/read');
  await page
    .getByLabel(/^Included angle|^Crests|^Outside|^Pitch leaf|^Root|^Depth/)
    .first()
    .waitFor();
  await page.keyboard.press('Alt+6');
  await page.keyboard.type('6.8');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Depth of thread: 6\.8\. / })).toBeVisible();
  await written(page);
  await one.close();
  const two = await launch();
  const later = await two.newPage();
  await later.goto('/jobs/demo-press/read');
  await expect(later.getByRole('button', { name: /^Depth of thread: 6\.8\. / })).toBeVisible();
  await two.close();
});

test('1.75 mm on an 8 tpi lathe: near with a 63, exact with a 127', async ({ page }) => {
  await addLathe(page, 'Inch', '20-65 by 5, 63');
  await page.goto('/jobs');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('link', { name: /^Name/ }).click();
  await page.getByLabel('Designation, then Enter').fill('M12');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Chosen by hand:')).toContainText('M12');
  await page.getByRole('link', { name: /^Gears/ }).click();
  await page.getByRole('radio', { name: 'Inch', exact: true }).click();
  const rows = page.getByRole('main').getByRole('row');
  await expect(rows.nth(1)).toContainText('ppm');
  await expect(rows.nth(1)).toContainText('mm');
  await expect(page.getByRole('columnheader', { name: 'Over 12.00 mm' })).toBeVisible();
  await rows.nth(1).getByRole('button', { name: /Take/ }).click();
  await page.getByRole('tab', { name: 'Chasing dial' }).click();
  await expect(page.getByText(/keep the half-nuts shut/)).toBeVisible();
  const jobUrl = page.url();

  await page.getByRole('button', { name: /^The shop/ }).click();
  await page.getByRole('link', { name: 'Lathes' }).click();
  await page.getByRole('link', { name: /Inch/ }).click();
  await page.getByLabel(/Change gears owned/).fill('20-65 by 5, 63, 127');
  await page.keyboard.press('Enter');
  await page.goto(jobUrl);
  await expect(rows.nth(1)).toContainText('exact');
  await expect(rows.nth(1)).toContainText('127');
});

test('changing the pitch in Read makes Gears, Cut and Prove say so; undo takes it back', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/cut');
  await station(page, 'Read');
  await page.getByRole('tab', { name: /^Readings/ }).click();
  await page.getByRole('button', { name: /Remove Crests/ }).click();
  await page.keyboard.press('Alt+2');
  await page.keyboard.type('48');
  await page.keyboard.press('Tab');
  await page.keyboard.type('12 in');
  await page.keyboard.press('Enter');
  const spine = page.getByRole('navigation', { name: 'Stations' });
  for (const s of ['Name', 'Gears', 'Set up'])
    await expect(spine.getByRole('link', { name: new RegExp(`^${s} look again`) })).toBeVisible();
  await spine.getByRole('link', { name: /^Gears/ }).click();
  await expect(page.getByText('Look at this again.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(spine.getByRole('link', { name: /^Gears settled/ })).toBeVisible();
});

test('a job exported, the database emptied, imported: identical', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/record');
  const exported = async (): Promise<unknown> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: /Export this job/ }).click(),
    ]);
    return JSON.parse(await readFile(await download.path(), 'utf8'));
  };
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /Export this job/ }).click(),
  ]);
  const path = await download.path();
  const before: unknown = JSON.parse(await readFile(path, 'utf8'));

  await page.goto('/settings');
  await page.getByRole('button', { name: 'Start with an empty shop' }).click();
  await page.getByRole('button', { name: /^Yes/ }).click();
  await expect(page.getByText('The shop is empty.')).toBeVisible();
  await page.goto('/jobs');
  await expect(page.getByRole('heading', { name: 'What is on the bench?' })).toBeVisible();
  await axeClean(page);

  await page.goto('/settings');
  await page
    .getByLabel('File to bring in')
    .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: await readFile(path) });
  await page.getByRole('button', { name: 'Bring the job in' }).click();
  await expect(page.getByText('Brought in the job')).toBeVisible();
  await page.goto('/jobs/demo-sluice/record');
  expect(await exported()).toEqual(before);
});

test('a whole shop out and in; a spoilt job is left out with why, and nothing changes until it is said', async ({
  page,
}) => {
  await page.goto('/settings');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'without pictures, as one JSON document' }).click(),
  ]);
  const text = await readFile(await download.path(), 'utf8');
  const spoilt = text.replace('"cameIn": "both"', '"cameIn": "bolt"');
  expect(spoilt).not.toBe(text);
  await page
    .getByLabel('File to bring in')
    .setInputFiles({ name: 's.json', mimeType: 'application/json', buffer: Buffer.from(spoilt) });
  await expect(page.getByText('1 job is not taken in:')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: /cameIn/ })).toContainText(
    'screw, nut, both, broken-shaft',
  );
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('button', { name: 'Start with an empty shop' }).click();
  await page.getByRole('button', { name: /^Yes/ }).click();
  await expect(page.getByText('The shop is empty.')).toBeVisible();
  await page
    .getByLabel('File to bring in')
    .setInputFiles({ name: 's.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await page.getByRole('button', { name: 'Replace everything' }).click();
  await expect(page.getByText(/^Brought in the shop .* with \d+ jobs/)).toBeVisible();
  await page.goto('/jobs');
  await expect(page.getByText('Sluice-gate spindle')).toBeVisible();
});

test('what is typed wrongly is told where it was typed, and kept', async ({ page }) => {
  await page.goto('/jobs/demo-windlass/read');
  await page.getByRole('button', { name: /^Outside diameter: / }).click();
  const field = page.getByLabel(/^Outside diameter \(/);
  await expect(field).toBeFocused();
  await page.keyboard.type('8 tpi');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/not a unit of length/)).toBeVisible();
  await expect(field).toHaveValue('8 tpi');
  await axeClean(page);
});
