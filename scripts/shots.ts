import { expect, test, type Page } from '@playwright/test';

const SHOTS = [
  ['jobs', '/jobs'],
  ['intake', '/jobs/demo-vice/intake'],
  ['read', '/jobs/demo-winch-metric/read'],
  ['name', '/jobs/demo-latch/name'],
  ['fit', '/jobs/demo-pump/fit'],
  ['gears', '/jobs/demo-pump/gears'],
  ['setup', '/jobs/demo-sluice/setup'],
  ['practice', '/practice'],
  ['try', '/jobs/demo-auger/cut'],
  ['pickup', '/jobs/demo-pump/pickup'],
  ['prove', '/jobs/demo-sluice/prove'],
  ['prove-form', '/jobs/demo-sluice/prove?by=form'],
  ['record', '/jobs/demo-brass/record'],
  ['tables', '/tables'],
  ['lathe', '/lathes/lathe-bess'],
  ['paper', '/jobs/demo-sluice/paper?sheets=gears,passes,tool,record'],
] as const;

/** A view is fetched piece by piece, and between two of them nothing says so: it is there when it has stayed there. */
async function opened(page: Page): Promise<void> {
  const there = (): Promise<boolean> =>
    page.evaluate(() => document.querySelector('main h1') !== null && !document.body.innerText.includes('Opening'));
  await expect
    .poll(
      async () => {
        for (let i = 0; i < 4; i += 1) {
          if (!(await there())) return false;
          await page.waitForTimeout(250);
        }
        return true;
      },
      { timeout: 30_000 },
    )
    .toBe(true);
}

for (const [name, path] of SHOTS) {
  test(name, async ({ page }) => {
    await page.goto(path);
    await opened(page);
    // the worker's answer belongs in the picture
    await page.waitForTimeout(700);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
  });
}

test('a picture read', async ({ page }) => {
  await page.goto('/jobs/demo-press/read?picture=new');
  await page.getByRole('list', { name: 'What the camera sees' }).waitFor({ timeout: 20_000 });
  await page.getByRole('button', { name: /Take it/ }).click();
  await page.getByRole('heading', { name: /sound teeth/ }).waitFor({ timeout: 30_000 });
  await page.getByRole('radio', { name: 'right' }).check();
  await page.waitForTimeout(700);
  await page.screenshot({ path: 'docs/screenshots/picture.png' });
});

test('cut, wide', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/cut');
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
  await page.screenshot({ path: 'docs/screenshots/cut-wide.png' });
});

test.describe('tablet, dark', () => {
  test.use({ viewport: { width: 820, height: 1180 }, colorScheme: 'dark' });
  test('cut', async ({ page }) => {
    await page.goto('/jobs/demo-sluice/cut');
    await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
    await page.screenshot({ path: 'docs/screenshots/cut.png' });
  });
});
