import type { Locator, Page } from '@playwright/test';
import { besides, bringIn, jobOf, M30, station } from './bench.ts';
import { axeClean, expect, test } from './fixtures.ts';

/** A job at each station, as the demo has it. */
const STATIONS = [
  '/jobs/demo-windlass/intake',
  '/jobs/demo-windlass/read',
  '/jobs/demo-press/name',
  '/jobs/demo-gland/fit',
  '/jobs/demo-pump/gears',
  '/jobs/demo-sluice/setup',
  '/jobs/demo-pump/pickup',
  '/jobs/demo-sluice/cut',
  '/jobs/demo-sluice/prove',
  '/jobs/demo-brass/record',
];
const MACHINE = [
  '/jobs/demo-sluice/cut',
  '/jobs/demo-auger/cut',
  '/jobs/demo-sluice/prove',
  '/jobs/demo-pump/pickup',
  '/jobs/demo-sluice/setup/machine',
  '/jobs/demo-pump/gears/machine',
];
/** The view itself: what stands there while it is on its way has a heading too, which takes no focus and hears no key. */
const opened = (page: Page): Promise<unknown> =>
  page.locator('main h1[tabindex]').first().waitFor({ state: 'attached' });
const px = (l: Locator): Promise<number> => l.first().evaluate((e) => parseFloat(getComputedStyle(e).fontSize));

/** Whether the whole of it is on the screen, and nothing lies over its middle. */
const inSight = (l: Locator): Promise<boolean> =>
  l.evaluate((e) => {
    const r = e.getBoundingClientRect();
    const top = document.elementFromPoint(r.left + r.width / 2, r.top + r.height / 2);
    const whole = r.top >= 0 && r.left >= 0 && r.bottom <= innerHeight + 1 && r.right <= innerWidth + 1;
    return whole && (top === e || e.contains(top));
  });

test('no page scrolls at 1280x800: the act that goes on and the answer are in sight', async ({ page }) => {
  test.slow();
  for (const path of [...STATIONS, ...MACHINE]) {
    await page.goto(path);
    await opened(page);
    const over = await page.evaluate(() => document.documentElement.scrollHeight - innerHeight);
    expect(over, path).toBeLessThanOrEqual(1);
    for (const l of await page.locator('main [data-answer]').all()) expect(await inSight(l), path).toBe(true);
    const acts = page.locator('main .bar-main, main section > [data-main-act]');
    for (const l of await acts.all()) expect(await inSight(l), path).toBe(true);
  }
});

/** Looks at a view in every size without loading it again; the second frame after a resize is laid out. */
async function inSizes<T extends readonly [number, number, ...unknown[]]>(
  page: Page,
  path: string,
  sizes: readonly T[],
  look: (size: T) => Promise<void>,
): Promise<void> {
  await page.goto(path);
  await opened(page);
  for (const size of sizes) {
    await page.setViewportSize({ width: size[0], height: size[1] });
    await page.evaluate(() => new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r))));
    await look(size);
  }
}

test('the next number, slide, unit and step have the size that is read from where one stands', async ({ page }) => {
  const sizes = [
    [1024, 768, 120],
    [1280, 800, 120],
    [1920, 1080, 120],
    [820, 1180, 96],
    [390, 844, 60],
    [320, 720, 50],
  ] as const;
  for (const path of ['/jobs/demo-sluice/cut', '/jobs/demo-sluice/prove', '/jobs/demo-sluice/setup/machine'])
    await inSizes(page, path, sizes, async ([width, , least]) => {
      const at = `${path} at ${width}`;
      await page.locator('.dial-number').waitFor();
      expect(await px(page.locator('.dial-number')), at).toBeGreaterThanOrEqual(least);
      if (width < 820) return;
      for (const part of ['.dial-what', '.dial-unit'])
        expect(await px(page.locator(part)), at).toBeGreaterThanOrEqual(40);
      const whole = await page.locator('.dial-number').evaluate((e) => {
        const box = e.closest('.machine-head')?.getBoundingClientRect();
        return box ? e.getBoundingClientRect().right <= box.right + 1 : false;
      });
      expect(whole, at).toBe(true);
      if (path.endsWith('/cut'))
        expect(await px(page.locator('.machine-step p.font-bold')), at).toBeGreaterThanOrEqual(28);
    });
});

test('the act is pinned at every size, also at 200 %', async ({ page }) => {
  const sizes = [
    [360, 640],
    [320, 568],
    [640, 400],
    [390, 844],
    [820, 1180],
    [1024, 768],
    [1920, 1080],
  ] as const;
  for (const path of MACHINE)
    await inSizes(page, path, sizes, async ([width, height]) => {
      const act = page.locator('main .bar-main').last();
      await act.waitFor();
      expect(await inSight(act), `${path} at ${width}x${height}`).toBe(true);
      const { height: tall } = (await act.boundingBox()) ?? { height: 0 };
      expect(tall).toBeGreaterThanOrEqual(48);
    });
});

/** What WCAG 1.4.12 lets a reader set. */
const SPACED = `* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; }
  p { margin-bottom: 2em !important; }`;
test('nothing makes the page scroll sideways, however narrow and however the text is spaced', async ({ page }) => {
  test.slow();
  const sizes = [
    [1024, 768],
    [820, 1180],
    [390, 844],
    [320, 568],
  ] as const;
  const over = (): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  for (const path of [
    ...STATIONS,
    ...MACHINE,
    '/jobs',
    '/lathes',
    '/lathes/lathe-bess',
    '/gauges',
    '/tables',
    '/settings',
  ]) {
    await inSizes(page, path, sizes, async ([width]) => {
      expect(await over(), `${path} at ${width}`).toBeLessThanOrEqual(0);
    });
    await page.addStyleTag({ content: SPACED });
    await page.setViewportSize({ width: 390, height: 844 });
    expect(await over(), `${path}, text spaced`).toBeLessThanOrEqual(0);
  }
});

test('a station is arrived at: title, focus on its heading, and it is spoken', async ({ page }) => {
  await page.goto('/jobs/demo-gland/fit');
  await opened(page);
  await page.keyboard.press('[');
  await expect(page).toHaveTitle(/^Name \u00b7 Stern-gland nut \u00b7 Gelvin$/);
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  await expect(page.locator('#spoken')).toHaveText('Name, settled');
  await page.keyboard.press('Shift+Tab');
  // the skip link is the first thing a keyboard meets
  await page.goto('/jobs/demo-gland/fit');
  await expect(page.getByRole('heading', { level: 1, name: 'Fit' })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByText('To the view itself')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
});

test('a state is never a button, and the act says what it does', async ({ page }) => {
  await page.goto('/jobs/demo-gland/fit');
  await expect(page.getByRole('button', { name: 'Right: on to Gears' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^(open|settled|look again|waits)$/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Right: on to Gears' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Gears' })).toBeFocused();
  await station(page, 'Fit');
  await expect(page.locator('main').getByText('settled', { exact: true })).toBeVisible();
});

test('the working opens from a number, follows it, gives the focus back, and takes no room', async ({ page }) => {
  await page.goto('/jobs/demo-vice/fit');
  const figure = page.getByRole('button', { name: /^Pitch diameter to reach/ });
  await figure.scrollIntoViewIfNeeded();
  const before = await figure.boundingBox();
  await figure.click();
  const working = page.getByRole('complementary', { name: 'Working' });
  await expect(working.getByRole('heading')).toBeFocused();
  expect(await figure.boundingBox()).toEqual(before);
  await axeClean(page);
  await page.keyboard.press('Escape');
  await expect(working).toHaveCount(0);
  await expect(figure).toBeFocused();
});

test.describe('forced colours', () => {
  test.use({ forcedColors: 'active' });
  test('mark the current station and the main act', async ({ page }) => {
    await page.goto('/jobs/demo-gland/fit');
    for (const l of [
      page.locator('nav [aria-current=page]'),
      page.getByRole('button', { name: 'Right: on to Gears' }),
    ]) {
      await expect(l).toHaveCSS('outline-style', 'solid');
      await expect(l).toHaveCSS('outline-width', '3px');
    }
  });
});

test('how far the tool comes out stands on the card at every size, without asking', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/cut');
  const out = page.getByRole('region', { name: 'Pass card' }).getByText(/^Tool out \d full turns, away from the work$/);
  for (const [width, height] of [
    [1280, 800],
    [1024, 768],
    [820, 1180],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expect(out).toBeInViewport({ ratio: 1 });
  }
});

test('led through each motion: only the last press marks the pass', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/cut');
  const card = page.getByRole('region', { name: 'Pass card' });
  await expect(card).toContainText('Pass 7 of');
  await besides(page, 'The plan');
  await page.getByRole('radio', { name: 'lead me through each motion' }).check();
  await page.keyboard.press('Escape');
  for (const [act, step] of [
    ['Set', /^Cross slide as it was; top slide to the reading/],
    ['Cut', /^Spindle forward: cut/],
    ['Out', /^In the groove: stop, tool out/],
    ['Back', /^Half-nuts stay shut/],
  ] as const) {
    await expect(card.locator('p.font-bold').last()).toHaveText(step);
    await expect(page.locator('[data-shut=no]')).toBeVisible();
    await card.getByRole('button', { name: act, exact: true }).last().click();
    await expect(card).toContainText('Pass 7 of');
  }
  await expect(page.locator('[data-shut=no]')).toBeVisible();
  await card.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(card).toContainText('Pass 8 of');
  // kept by the browser, no part of the record
  await page.reload();
  await expect(card.getByRole('button', { name: 'Set', exact: true })).toBeVisible();
});

test('a reading is spoken only where that was asked for, and always announced', async ({ page }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(globalThis, { said });
    speechSynthesis.speak = (u) => void said.push(u.text);
  });
  await page.goto('/jobs/demo-sluice/cut');
  await expect(page.locator('main > [role=status]')).toHaveText(/^Top slide, in to .* Pass 7 of/);
  const said = (): Promise<string[]> => page.evaluate(() => (globalThis as unknown as { said: string[] }).said);
  expect(await said()).toEqual([]);
  await page.getByRole('button', { name: 'Speak each reading' }).click();
  await page.keyboard.press('d');
  await expect(page.locator('main > [role=status]')).toHaveText(/Pass 8 of/);
  expect((await said()).at(-1)).toMatch(/^Top slide, in to .* Pass 8 of/);
});

test('settings at the machine: each with its number and its act, until all is set', async ({ page }) => {
  await bringIn(page, jobOf('Settings', [...M30]), 'setup');
  await page.getByRole('link', { name: /^At the machine/ }).click();
  const settings = page.getByRole('region', { name: 'Settings' });
  await expect(settings).toContainText('The work runs true');
  await axeClean(page);
  for (const act of ['It runs true', 'Ground so 60.0\u00b0', 'On centre', 'Set so 29.5\u00b0', 'It is square'])
    await settings.getByRole('button', { name: act, exact: true }).click();
  await expect(settings).toContainText('Room to stop');
  await expect(
    page.getByRole('img', { name: /^From above: the top slide swung 29.5 degrees, its handle towards the tailstock/ }),
  ).toBeVisible();
  for (const act of [/^The room is there/, /^Speed set/, 'It clears', 'Dials at zero'])
    await settings.getByRole('button', { name: act, exact: typeof act === 'string' }).click();
  await settings.getByRole('button', { name: /^Set: on to/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Cut' })).toBeAttached();
});

test('a train is put up act by act, and is then on the lathe', async ({ page }) => {
  await page.goto('/jobs/demo-pump/gears/machine');
  const put = page.getByRole('region', { name: 'Put it up' });
  await expect(put).toContainText('Isolate at the plug');
  await axeClean(page);
  const last = put.getByRole('button', { name: 'It is put up, cover on' });
  for (let i = 0; i < 12 && !(await last.isVisible()); i += 1) await put.locator('.bar-main').click();
  await last.click();
  await expect(page).toHaveURL(/\/gears$/);
  await expect(page.getByRole('heading', { level: 1, name: 'Gears' })).toBeVisible();
  await station(page, 'Cut');
  // the gears are up: what is next is the groove that is there already
  await expect(page.getByRole('region', { name: 'Pass card' })).toContainText('A thread is there already');
});
