import { axeClean, expect, test } from './fixtures.ts';

test('a new visitor: a shop of one\u2019s own, a lathe, and the first job is being read', async ({ page }) => {
  await page.goto('/');
  const first = page.getByRole('region', { name: 'First visit' });
  await expect(first).toContainText('A demo shop, invented.');
  await axeClean(page);
  await first.getByRole('button', { name: 'Start my own shop' }).click();
  await first.getByRole('radio', { name: 'inches' }).click();
  await first.getByLabel('What it is called').fill('The old one');
  await first.getByLabel('Its leadscrew, if you know it').fill('eight');
  await first.getByRole('button', { name: 'Begin' }).click();
  await expect(first.getByRole('alert')).toBeVisible();
  await expect(first.getByLabel('Its leadscrew, if you know it')).toHaveValue('eight');
  await first.getByLabel('Its leadscrew, if you know it').fill('8 tpi');
  await first.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'What is on the bench?' })).toBeVisible();
  await axeClean(page);
  await page.getByRole('button', { name: /^Nut/ }).click();
  await expect(page.getByRole('heading', { name: 'Read', exact: true })).toBeVisible();
  await page.keyboard.press('Alt+5');
  await page.keyboard.type('1.07');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Bore: 1\.07\. / })).toBeVisible();
  await page.goto('/lathes');
  await expect(page.getByRole('link', { name: /The old one/ })).toContainText('8 tpi');
  // it is not asked again, and the demo can be put back
  await page.goto('/jobs');
  await expect(page.getByRole('region', { name: 'First visit' })).toHaveCount(0);
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Put the demo shop back' }).click();
  await page.getByRole('button', { name: /^Yes/ }).click();
  await expect(page.getByText('The demo shop is in place again.')).toBeVisible();
});

test('a term of the trade opens to a short card where it stands, and blocks nothing', async ({ page }) => {
  await page.goto('/jobs/demo-pump/gears');
  const term = page.getByRole('button', { name: 'half-nuts', exact: true });
  await term.click();
  await expect(page.getByText('The split nut that couples the carriage to the leadscrew.')).toBeVisible();
  await axeClean(page);
  await page.keyboard.press('Escape');
  await expect(page.getByText('The split nut that couples')).toHaveCount(0);
  await expect(term).toBeFocused();
});

test.describe('a person who writes a decimal comma', () => {
  test.use({ locale: 'de-DE' });
  test('is shown it, and may type it back as it stands', async ({ page }) => {
    await page.goto('/jobs/demo-pump/fit');
    const pitch = page.getByLabel(/^Pitch diameter to reach/).first();
    await expect(pitch).toHaveValue('28,578 mm');
    await pitch.fill('28,560');
    await pitch.press('Enter');
    await expect(page.getByRole('slider', { name: 'Aim for the pitch diameter' })).toHaveAttribute(
      'aria-valuetext',
      '28,560',
    );
    // stations settled by a screen with a point are not looked at again for it
    await expect(
      page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /look again/ }),
    ).toHaveCount(0);
    await page.goto('/settings');
    await page.getByRole('radio', { name: '31.75' }).click();
    await page.goto('/jobs/demo-pump/fit');
    await expect(page.getByLabel(/^Pitch diameter to reach/).first()).toHaveValue('28.560 mm');
  });
});

test('inches off a rule are written as fractions or 64ths by choice', async ({ page }) => {
  await page.goto('/jobs/demo-vice/read');
  await page.getByRole('button', { name: /change to inches/ }).click();
  await page.getByRole('tab', { name: /^Readings/ }).click();
  await expect(page.getByRole('row').filter({ hasText: 'at 0.59 in' })).toHaveCount(3);
  await page.goto('/settings');
  await page.getByRole('radio', { name: '1 3/16' }).click();
  await page.goto('/jobs/demo-vice/read');
  await page.getByRole('tab', { name: /^Readings/ }).click();
  // 15 mm is 37.8 sixty-fourths
  await expect(page.getByRole('row').filter({ hasText: 'at 19/32 in' })).toHaveCount(3);
});

test.describe('taken along', () => {
  test.use({ permissions: ['clipboard-read', 'clipboard-write'] });
  const pasted = (): Promise<string> => navigator.clipboard.readText();
  test('a working is copied, and a table as tabs', async ({ page }) => {
    await page.goto('/jobs/demo-pump/fit');
    await page.getByRole('button', { name: /^Pitch diameter to reach/ }).click();
    await page.getByRole('complementary', { name: 'Working' }).getByRole('button', { name: 'Copy' }).click();
    await expect(page.getByText('Copied')).toBeVisible();
    expect(await page.evaluate(pasted)).toMatch(/^Pitch diameter to reach\td2 = .*28\.578 mm\tISO 965-1/);
    await page.goto('/jobs/demo-pump/read');
    await page.getByRole('tab', { name: /^Readings/ }).click();
    await page.getByRole('button', { name: 'Copy the readings' }).click();
    await expect(page.getByText('Copied')).toBeVisible();
    const rows = (await page.evaluate(pasted)).split('\n');
    expect(rows[0]).toBe('What, where\tAs read\tRemove');
    expect(rows[1]).toMatch(/^Outside diameter surviving length, Micrometer\t29\.86 /);
  });
});

for (const path of [
  '/jobs/demo-vice/fit',
  '/jobs/demo-vice/read',
  '/jobs/demo-brass/record',
  '/tables',
  '/jobs/demo-vice/intake',
])
  test(`${path} prints its sheet: head, light, nothing to press, not empty`, async ({ page }) => {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    // the view itself, not its "Opening"
    await expect(page.getByRole('heading', { level: 1, name: /^Opening/ })).toHaveCount(0);
    await expect(page.locator('main .plate, main table').first()).toBeVisible();
    await page.emulateMedia({ media: 'print' });
    const sheet = await page.evaluate(() => {
      const shown = (e: Element): boolean => {
        const box = e.getBoundingClientRect();
        return box.width > 0 && box.height > 0 && getComputedStyle(e).visibility !== 'hidden';
      };
      return {
        head: document.querySelector('.print-head')?.textContent ?? '',
        headSeen: [...document.querySelectorAll('.print-head')].some(shown),
        pressed: [...document.querySelectorAll('button:not(.print-keep)')].filter(shown).map((b) => b.textContent),
        // figures that open to their working are figures on paper
        figures: [...document.querySelectorAll('.print-keep')].filter(shown).length,
        words: [...document.querySelectorAll('main')].map((m) => m.innerText.trim().length)[0] ?? 0,
        dye: [...document.querySelectorAll('.plate canvas')].some(shown),
        ground: getComputedStyle(document.querySelector('main section, main figure') ?? document.body).backgroundColor,
      };
    });
    expect(sheet.headSeen).toBe(true);
    expect(sheet.head).toMatch(/^Gelvin \u00b7 .* \u00b7 .*\d{4}$/);
    expect(sheet.pressed).toEqual([]);
    expect(sheet.words).toBeGreaterThan(100);
    if (/\/(read|fit)$/.test(path)) expect(sheet.figures).toBeGreaterThan(0);
    expect(sheet.dye).toBe(false);
    // Chromium's own A4 has more than nothing on it
    expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(8000);
  });
