import { readFileSync } from 'node:fs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { cardOf } from '../core/job/card.ts';
import { demoShop } from '../demo/index.ts';
import { demo } from './bench.ts';
import { expect, test } from './fixtures.ts';

const opened = async (bytes: Uint8Array) => {
  const doc = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const pages = await Promise.all(Array.from({ length: doc.numPages }, (_, i) => doc.getPage(i + 1)));
  return Promise.all(
    pages.map(async (p) => {
      const [, , w = 0, h = 0] = p.view;
      const text = (await p.getTextContent()).items.map((i) => ('str' in i ? i.str : '')).join(' ');
      return { w: (w * 25.4) / 72, h: (h * 25.4) / 72, text };
    }),
  );
};

test('what the printer gets: a page for each sheet, of the paper\u2019s own size, light, and nothing to press', async ({
  page,
}) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/jobs/demo-sluice/paper?sheets=traveller,gears,tool');
  await expect(page.getByText('3 sheets on 3 pages.')).toBeVisible();
  for (const [name, w, h] of [
    ['A4', 210, 297],
    ['Letter', 215.9, 279.4],
  ] as const) {
    await page.getByRole('radio', { name }).check();
    const pages = await opened(await page.pdf({ preferCSSPageSize: true }));
    expect(pages).toHaveLength(3);
    for (const [i, p] of pages.entries()) {
      expect(Math.abs(p.w - w)).toBeLessThan(0.5);
      expect(Math.abs(p.h - h)).toBeLessThan(0.5);
      expect(p.text).toContain(`sheet ${i + 1} of 3`);
      expect(p.text).toContain('Sluice-gate spindle');
      expect(p.text).not.toContain('Print ');
      expect(p.text).not.toContain('Letter');
    }
  }
  // whatever the theme, paper is white and what is drawn on it black
  const sheet = page.locator('main .sheet-picture').first();
  await expect(sheet).toHaveCSS('background-color', 'rgb(255, 255, 255)');
  await expect(sheet.locator('path[stroke]').first()).toHaveCSS('stroke', 'rgb(0, 0, 0)');
});

test('sheets are chosen by keyboard, and written as one PDF', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/paper?sheets=traveller');
  await expect(page.getByText('1 sheet on 1 page.')).toBeVisible();
  const passes = page.getByRole('checkbox', { name: /Pass card/ });
  await passes.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('2 sheets on 2 pages.')).toBeVisible();
  // one that has no sense on a geared lathe says why
  await expect(page.getByRole('checkbox', { name: /Parameter sheet/ })).toBeDisabled();
  await expect(page.getByText('This lathe is geared, nothing is typed in: see the gear card.')).toBeVisible();
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF' }).click()]);
  expect(file.suggestedFilename()).toBe('sluice-gate-spindle.pdf');
  const pages = await opened(readFileSync(await file.path()));
  expect(pages).toHaveLength(2);
  // six passes are cut and ticked; the seventh is what the card at the machine says
  expect(pages[1]?.text).toContain(cardOf(demo('demo-sluice'), demoShop(), null).card.settings[0]?.shown ?? 'none');
  expect(pages[1]?.text).toContain('sheet 2 of 2');
  await page.goto('/jobs/demo-sluice/cut');
  await expect(
    page.getByText(cardOf(demo('demo-sluice'), demoShop(), null).card.settings[0]?.shown ?? 'none').first(),
  ).toBeVisible();
});

test('the gear card is a touch from the train, the pass card from the plan; the code on them is the job\u2019s address', async ({
  page,
}) => {
  await page.goto('/jobs/demo-sluice/gears');
  await page.getByRole('link', { name: 'On paper', exact: true }).last().click();
  await expect(page).toHaveURL(/\/jobs\/demo-sluice\/paper\?sheets=gears$/);
  const card = page.getByRole('img', { name: 'Gear card' }).first();
  await expect(card).toContainText('Proof by hand, power off');
  await expect(card).toContainText('opens this job');
});
