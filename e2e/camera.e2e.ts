import { expect, test } from './fixtures.ts';

// a stand-in of the browser's own for a camera in the device: it shows a moving test card
test.use({
  launchOptions: async ({ launchOptions }, use) =>
    use({
      ...launchOptions,
      args: [...(launchOptions.args ?? []), '--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'],
    }),
});

test('what the device’s own camera sees is looked at, taken, and nothing is made of it', async ({ page, context }) => {
  await context.grantPermissions(['camera']);
  await page.goto('/jobs/demo-press/read?picture=new');
  const camera = page.getByLabel('Camera', { exact: true });
  await expect(camera.locator('option').first()).not.toHaveText(/Simulated/, { timeout: 10_000 });
  await camera.selectOption({ index: 0 });
  await expect(page.getByRole('list', { name: 'What the camera sees' })).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: /Take it/ }).click();
  await expect(page.getByText('Nothing has been taken from this picture yet.')).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole('heading', { name: /cannot be read|Which edge/ })).toBeVisible({ timeout: 20_000 });
});
