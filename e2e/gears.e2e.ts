import { axeClean, expect, test } from './fixtures.ts';

test('a metric spindle on the inch lathe, from pitch to printed train', async ({ page }) => {
  await page.goto('/jobs/demo-pump/gears');
  await expect(page.getByText(/with a 127 you would get exact/)).toBeVisible();
  await page
    .getByRole('row', { name: /30\/50 × 63\/60/ })
    .getByRole('button', { name: /Take/ })
    .click();
  await expect(page.getByRole('heading', { name: 'The train: 30/50 × 63/60' })).toBeVisible();
  await expect(page.getByRole('img', { name: /Train on the arm/ })).toBeVisible();
  await expect(page.getByText(/Isolate at the plug\. Wipe/)).toBeVisible();
  await axeClean(page);
  // what goes to the printer is the card alone
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('img', { name: /Train on the arm/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Gears', exact: true })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'It cut right: remember it' }).click();
  await expect(page.getByText(/cut 2 mm on: Pump shaft/)).toBeVisible();
});

test('a wrong gear put on, the scratch read, the mistake named', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/gears');
  await expect(page.getByRole('heading', { name: /The train: 40\/30/ })).toBeVisible();
  // planned 40/30 x 60/35; the 65 went on in place of the 60: 7.862 mm a thread
  await page.getByLabel('Scratch read over, crests').fill('10');
  await page.keyboard.press('Enter');
  await page.getByLabel('measured', { exact: true }).fill('78.62 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').getByRole('listitem').first()).toContainText('65 on in place of the 60');
  await axeClean(page);
  await page.getByLabel('measured', { exact: true }).fill('72.57 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Right: /)).toBeVisible();
});

test('audit says what any train cuts', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/gears');
  await page.getByLabel('Any train, driver/driven').fill('50/63 x 80');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/is not driver\/driven/)).toBeVisible();
  await page.getByLabel('Any train, driver/driven').fill('40/35');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/127\/35 mm exactly; 7 threads per inch/)).toBeVisible();
});
