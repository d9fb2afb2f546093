import { bringIn, jobOf, M30, times } from './bench.ts';
import { axeClean, expect, test } from './fixtures.ts';

test('a go plug for the valve nuts: its own limits in Fit, over wires, and a not-go at a touch', async ({ page }) => {
  await page.goto('/jobs/demo-plug/fit');
  await expect(page.getByText(/^Full form, as long as the nut/)).toContainText('scrap it at 22.376 mm');
  await page.getByText('Not-go plug').click();
  await expect(page.getByText(/^Two or three turns/)).toBeVisible();
  await axeClean(page);
  await page.getByRole('link', { name: /^Prove/ }).click();
  await expect(page.getByText('is inside class 6H')).toBeVisible();
});

test('a saw-tooth special is copied as read: depth typed in Fit, heard by the card and by the wires', async ({
  page,
}) => {
  await page.goto('/jobs/demo-press/name');
  await page.getByRole('button', { name: 'Accept as special' }).click();
  await page.getByRole('link', { name: /^Fit/ }).click();
  await expect(page.getByRole('heading', { name: 'The special, as read' })).toBeVisible();
  await expect(page.getByText('read: 49.8')).toBeVisible();
  await page.getByLabel('Depth of thread').fill('5.5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('given by hand or by its name').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Depth to cut/ })).toContainText(/5\.[3-6]\d\d mm/);
  await axeClean(page);
});

test('a part after its test piece is offered what was right on it', async ({ page }) => {
  const job = jobOf('Two after a test piece', [
    { do: 'setQuantity', parts: 2, testPiece: true },
    ...M30,
    { do: 'measureBlank', diameterMm: 29.93 },
    { do: 'touchOff' },
    { do: 'setSchedule', passes: 6, firstMaxMm: null, lastMinMm: null },
    ...times(6, { do: 'passDone' }),
    { do: 'deeper', byMm: 0.06 },
    { do: 'passDone' },
    { do: 'tryMate', mate: 'the yoke', result: 'runs' },
    { do: 'finishPart' },
  ]);
  await bringIn(page, job, 'cut');
  await page.getByRole('button', { name: 'Begin part 2' }).click();
  await expect(
    page.getByText(/^The test piece was right at 1\.\d+ mm deep, 0\.060 mm deeper than planned/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Aim at the same here' }).click();
  await expect(page.getByRole('button', { name: 'Aim at the same here' })).toHaveCount(0);
  await expect(page.getByRole('list', { name: 'Events' })).toContainText(/Deeper|deeper/);
  await axeClean(page);
});
