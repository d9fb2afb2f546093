import { axeClean, expect, test } from './fixtures.ts';

const VIEWS = [
  '/jobs',
  '/lathes',
  '/lathes/lathe-dreyl',
  '/gauges',
  '/tables',
  '/settings',
  '/practice',
  '/practice/half-nuts',
  '/practice/groove',
  '/practice/slip',
  '/practice/place',
  '/jobs/demo-sluice/intake',
  '/jobs/demo-sluice/read',
  '/jobs/demo-press/name',
  '/jobs/demo-gland/fit',
  '/jobs/demo-pump/gears',
  '/jobs/demo-sluice/setup',
  '/jobs/demo-pump/pickup',
  '/jobs/demo-sluice/cut',
  '/jobs/demo-sluice/prove',
  '/jobs/demo-gland/prove',
  '/jobs/demo-brass/record',
  '/jobs/demo-sluice/paper',
];

for (const [size, scheme] of [
  [{ width: 1280, height: 800 }, 'light'],
  [{ width: 820, height: 1180 }, 'dark'],
] as const) {
  test.describe(`${size.width} px, ${scheme}`, () => {
    test.use({ viewport: size, colorScheme: scheme });
    test('every view is axe clean, fits its width and has a heading', async ({ page }) => {
      test.slow();
      for (const path of VIEWS) {
        await test.step(path, async () => {
          await page.goto(path);
          await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
          if (path.includes('/name')) await expect(page.getByRole('button', { name: /Accept/ }).first()).toBeVisible();
          await axeClean(page, { contrast: true });
          const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
          expect(wide).toBeLessThanOrEqual(0);
        });
      }
    });

    test('targets at the machine are at least 48 px', async ({ page }) => {
      for (const path of [
        '/jobs/demo-sluice/cut',
        '/jobs/demo-sluice/setup',
        '/jobs/demo-pump/pickup',
        '/jobs/demo-sluice/prove',
      ]) {
        await page.goto(path);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        const small = await page
          .getByRole('main')
          .locator('button, a, input:not([type=checkbox]), select, label:has(input[type=checkbox])')
          .evaluateAll((els) =>
            els
              .filter((e) => e.getBoundingClientRect().height > 0 && e.getBoundingClientRect().height < 47.5)
              .map((e) => `${e.tagName} ${e.textContent ?? ''}`),
          );
        expect(small, path).toEqual([]);
      }
    });
  });
}

test('unknown addresses fall to the application; the server sends its headers', async ({ page, request }) => {
  await page.goto('/no/such/place');
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await page.goto('/jobs/nobody/read');
  await expect(page.getByRole('heading', { name: 'This job is not here' })).toBeVisible();
  const home = await request.get('/');
  expect(home.headers()['content-security-policy']).toContain("script-src 'self'");
  expect(home.headers()['content-security-policy']).not.toContain('unsafe-eval');
  const script = /src="(\/assets\/[^"]+)"/.exec(await home.text())?.[1] ?? '';
  expect((await request.get(script)).headers()['cache-control']).toContain('immutable');
  expect((await request.get('/api/nothing')).status()).toBe(404);
});

test('the key list opens with a key and closes with Escape', async ({ page }) => {
  await page.goto('/jobs');
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await axeClean(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});

test('a number opens to its working: formula, values, source', async ({ page }) => {
  await page.goto('/jobs/demo-gland/fit');
  await page.getByRole('button', { name: /^Bore to/ }).click();
  const working = page.getByRole('complementary', { name: 'Working' });
  await expect(working).toContainText('d − 1.1328 P');
  await expect(working).toContainText('BS 84');
});

test('both unit systems, at one touch', async ({ page }) => {
  await page.goto('/jobs/demo-gland/fit');
  const bore = page.getByRole('button', { name: /^Bore to/ });
  await expect(bore).toHaveAccessibleName(/mm, .*in:/);
  await page.getByRole('button', { name: /change to inches/ }).click();
  await expect(bore).toHaveAccessibleName(/in, .*mm:/);
});

test('tables: found by typing, walked by keyboard, laid over each other', async ({ page }) => {
  await page.goto('/tables');
  const find = page.getByRole('combobox', { name: 'Find a thread' });
  await find.fill('1 1/4 7 tpi');
  await expect(page.getByRole('option').first()).toContainText('1 1/4-7');
  await page.keyboard.press('ArrowDown');
  const detail = page.getByRole('main');
  await expect(detail.getByRole('heading', { name: '1 1/4-7 BSW, British Standard Whitworth' })).toBeVisible();
  await expect(detail).toContainText('29.426 mm');
  await expect(detail).toContainText('BS 84');
  await detail.getByRole('button', { name: 'Lay over others' }).click();
  await find.focus();
  await page.keyboard.press('ArrowUp');
  await detail.getByRole('button', { name: 'Lay over others' }).click();
  await expect(detail.getByRole('img', { name: /1 1\/4-7 BSW, 1 1\/4-7 UNC/ })).toBeVisible();
  await expect(detail.getByRole('cell', { name: '0.6403' })).toBeVisible();
  await axeClean(page);
  await find.fill('m10');
  await expect(detail.getByRole('row', { name: /Screw/ })).toContainText('9.968');
  await detail.getByRole('radio', { name: '6H', exact: true }).click();
  await expect(detail.getByRole('row', { name: /Nut/ })).toContainText('9.206');
});

test('a nut to a class: the bore is the nut\u2019s own, and one bored to the screw\u2019s root is flagged', async ({
  page,
}) => {
  await page.goto('/jobs/demo-gland/name');
  await page.getByLabel('Designation, then Enter').fill('M42.5x2');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Chosen by hand:')).toBeVisible();
  await page.getByRole('link', { name: /^Fit/ }).click();
  await page.getByRole('radio', { name: 'class 6H' }).click();
  await expect(page.getByRole('slider', { name: 'Aim for the bore' })).toHaveAttribute('aria-valuemax', '40.71');
  await page.getByLabel(/^Bore as measured/).fill('40.05');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/root diameter of the screw/)).toBeVisible();
  await page.getByRole('radio', { name: 'Screw and nut together' }).check();
  await expect(page.getByText(/times as large|true to scale/)).toBeVisible();
  await axeClean(page);
});
