import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';

/** Every test fails on a console error or warning, a page error or a policy violation. */
export const test = base.extend<{ page: Page }>({
  page: async ({ page }, use) => {
    const wrong: string[] = [];
    page.on('console', (m) => {
      // the copy for working without the server is kept out of all tests but its own
      if (m.text().includes('Service Worker registration blocked')) return;
      if (m.type() === 'error' || m.type() === 'warning') wrong.push(`${m.type()}: ${m.text()}`);
    });
    page.on('pageerror', (e) => wrong.push(`page: ${e.message}`));
    const go = page.goto.bind(page);
    // a reader leaves a page when it is written down; a test would be faster
    page.goto = async (...to) => {
      await written(page);
      return go(...to);
    };
    await use(page);
    expect(wrong).toEqual([]);
  },
});
export { expect };

/** Waits until every change on the page has reached the record. */
export const written = (page: Page): Promise<unknown> =>
  page.waitForFunction(() => document.documentElement.dataset['written'] !== 'no');

/**
 * Nothing that axe finds wrong. Contrast takes it longer than all else together: it is looked at once in each view and scheme
 * (views.e2e.ts), and of the palette itself by app/palette.test.ts.
 */
export async function axeClean(page: Page, { contrast = false } = {}): Promise<void> {
  // every page comes from one server and holds no frame: no second page is opened to gather what was found
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'], rules: { 'color-contrast': { enabled: contrast } } })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)).toEqual([]);
}

/** Types with the keyboard into whatever has the focus. */
export async function type(page: Page, text: string): Promise<void> {
  await page.keyboard.type(text);
}

/** Moves the focus with Tab until it is on the control with this accessible name. */
export async function tabTo(page: Page, name: RegExp, most = 80): Promise<void> {
  for (let i = 0; i < most; i += 1) {
    await page.keyboard.press('Tab');
    const label = await page.evaluate(() => {
      const e = document.activeElement;
      if (!(e instanceof HTMLElement)) return '';
      const labelled = e.id ? document.querySelector(`label[for="${CSS.escape(e.id)}"]`)?.textContent : null;
      return e.getAttribute('aria-label') ?? labelled ?? e.textContent ?? '';
    });
    if (name.test(label.trim())) return;
  }
  throw new Error(`Tab never reached ${String(name)}`);
}
