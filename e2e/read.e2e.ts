import { axeClean, expect, test } from './fixtures.ts';

test('readings from the simulated cable land in the armed field and arm the next', async ({ page }) => {
  await page.goto('/jobs/demo-windlass/read');
  await page.getByRole('button', { name: /^Root diameter: / }).click();
  await expect(page.getByLabel(/^Root diameter \(/)).toBeFocused();
  const before = await page.getByRole('row').count();
  await page.getByLabel('Simulated caliper: the true size is').fill('25.2');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Send a reading' }).click();
  await expect(page.getByRole('row')).toHaveCount(before + 1);
  await expect(page.getByRole('row', { name: /Root diameter 25\.\d\d mm/ })).toBeVisible();
  // the next reading is armed; undo takes the last one back
  await expect(page.locator('input[data-armed=reading]')).toBeFocused();
  await expect(page.getByLabel(/^Root diameter \(/)).toBeHidden();
  await page.keyboard.press('Alt+Backspace');
  await expect(page.getByRole('row')).toHaveCount(before);
});

test('a slip is told as it is typed, and one key takes what was meant', async ({ page }) => {
  await page.goto('/jobs/demo-windlass/read');
  await expect(page.getByRole('heading', { name: 'Read', exact: true })).toBeVisible();
  await page.keyboard.press('Alt+1');
  await page.keyboard.type('1.253');
  await expect(page.getByText(/Taken as inches it would be 31\.826 mm/)).toBeVisible();
  await axeClean(page);
  await page.keyboard.press('Alt+Enter');
  await expect(page.getByRole('row', { name: /1\.253 \(meant/ })).toContainText('31.826');
});

test('a place is pointed at, readings there draw the wear, and the unworn stretch can be moved', async ({ page }) => {
  await page.goto('/jobs/demo-windlass/read');
  await page.getByLabel('Length of the thread').fill('200');
  await page.keyboard.press('Enter');
  const place = page.getByLabel(/^Place pointed at/);
  for (const [at, size] of [
    ['20', '31.85'],
    ['60', '31.84'],
    ['120', '31.6'],
  ] as const) {
    await place.fill(at);
    await page.keyboard.press('Alt+1');
    await page.keyboard.type(size);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('row', { name: new RegExp(`${size} .*at ${at}`) })).toBeVisible();
  }
  await expect(page.getByText(/worst 0\.2\d\d mm gone/)).toBeVisible();
  await expect(page.getByText(/the travel really used/)).toBeVisible();
  await page.getByLabel('Unworn to').fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByText('moved by hand').first()).toBeVisible();
});

test('the next reading is named with the numbers to expect, and armed at a touch', async ({ page }) => {
  await page.goto('/jobs');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('link', { name: /^Read/ }).click();
  await page.getByRole('button', { name: /^Outside diameter: / }).click();
  await page.keyboard.type('9.4 mm');
  await page.keyboard.press('Enter');
  await page.keyboard.type('16');
  await page.keyboard.press('Enter');
  const next = page.getByRole('region', { name: 'What to read next' });
  await expect(next).toContainText(/60° if 3\/8-16 UNC, 55° if 3\/8-16 BSW/);
  await next
    .getByRole('listitem')
    .filter({ hasText: 'Included angle' })
    .getByRole('button', { name: 'Read it' })
    .click();
  await expect(page.getByLabel(/^Included angle \(/)).toBeFocused();
  await page.keyboard.type('55');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Likeliest so far:')).toContainText('3/8-16 BSW');
  await page.getByRole('link', { name: /^Name/ }).click();
  await expect(page.getByRole('img', { name: /with the diameters read/ })).toBeVisible();
  await axeClean(page);
});

test('neighbours stay open on a short piece, the leaf is asked for, crest radius and hand go into the name', async ({
  page,
}) => {
  await page.goto('/jobs/demo-latch/read');
  const next = page.getByRole('region', { name: 'What to read next' });
  // the part has 10 mm of thread: no longer count is asked for
  await expect(next.getByRole('listitem').first()).toContainText(
    /Crest to crest over 7 crests: 8\.750 mm if M8, 8\.890 mm if 5\/16-20 UN/,
  );
  await expect(next).toContainText(/Pitch leaf of .*dead right/);
  await expect(next).not.toContainText('Crests over a length');
  await expect(page.getByText('Likeliest so far:')).toContainText(/M8, 6\d %/);
  await page.getByRole('button', { name: 'Radius of the crest' }).click();
  await page.keyboard.type('0');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Hand', exact: true }).click();
  await page.keyboard.type('both');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/A thread is right or left hand/)).toBeVisible();
  await page.getByLabel(/^Hand \(/).fill('left');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Likeliest so far:')).toContainText('M8 LH');
  // read with the caliper, it decides
  await page.getByRole('button', { name: 'Crests over a length', exact: true }).click();
  await page.getByLabel('With', { exact: true }).selectOption({ label: 'Vernier or dial caliper, crest to crest' });
  await page.getByLabel('in a length of').fill('8.9 mm');
  await page.getByLabel(/^Crests over a length \(/).fill('7');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Likeliest so far:')).toContainText('5/16-20 UN LH');
});
