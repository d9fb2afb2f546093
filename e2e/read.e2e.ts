import { axeClean, expect, test } from './fixtures.ts';

test('readings from the simulated cable land in the armed field and arm the next', async ({ page }) => {
  await page.goto('/jobs/demo-windlass/read');
  await page.getByRole('tab', { name: /^Readings/ }).click();
  await expect(page.getByRole('row').nth(1)).toBeVisible();
  const before = await page.getByRole('row').count();
  await page.getByRole('tab', { name: 'Cable' }).click();
  await page.getByRole('button', { name: /^Root diameter: / }).click();
  await expect(page.getByLabel(/^Root diameter \(/)).toBeFocused();
  await page.getByLabel('Simulated caliper: the true size is').fill('25.2');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Send a reading' }).click();
  await expect(page.getByRole('button', { name: /^Root diameter: 25\.\d\d mm/ })).toBeVisible();
  // the next reading is armed; undo takes the last one back
  await expect(page.locator('input[data-armed=reading]')).toBeFocused();
  await expect(page.getByLabel(/^Root diameter \(/)).toBeHidden();
  await page.getByRole('tab', { name: /^Readings/ }).click();
  await expect(page.getByRole('row')).toHaveCount(before + 1);
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
  await page.getByRole('tab', { name: /^Readings/ }).click();
  await expect(page.getByRole('row').filter({ hasText: '31.826 mm' })).toBeVisible();
  // typed over where it stands, and taken back
  const figure = page.getByLabel('Outside diameter, as read').last();
  await expect(figure).toHaveValue(/1\.253 \(meant/);
  await figure.fill('31.9');
  await figure.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: '31.900 mm' })).toBeVisible();
  await figure.fill('wide');
  await figure.press('Enter');
  await expect(page.getByRole('row').last()).toContainText(/not a length|no number|number/i);
  await expect(figure).toHaveValue('wide');
  await figure.press('Escape');
  await expect(figure).toHaveValue('31.9');
});

test('a place is pointed at, readings there draw the wear, and the unworn stretch can be moved', async ({ page }) => {
  await page.goto('/jobs/demo-windlass/read');
  await page.getByLabel('Length of the thread').fill('200');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Outside diameter: / }).click();
  const place = page.getByLabel('Where, from the end');
  for (const [at, size] of [
    ['20', '31.85'],
    ['60', '31.84'],
    ['120', '31.6'],
  ] as const) {
    await place.fill(at);
    await place.press('Enter');
    await page.keyboard.press('Alt+1');
    await page.keyboard.type(size);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel(/^Outside diameter \(/)).toHaveValue('');
  }
  await page.getByRole('tab', { name: /^Readings/ }).click();
  for (const at of ['20', '60', '120'])
    await expect(page.getByRole('row').filter({ hasText: `at ${at} mm` })).toBeVisible();
  await page.getByRole('tab', { name: 'Wear' }).click();
  await expect(page.getByText(/worst 0\.2\d\d mm gone/)).toBeVisible();
  await expect(page.getByText(/The travel really used/)).toBeVisible();
  await page.getByLabel('Unworn to').fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByText('moved by hand').first()).toBeVisible();
});

test('the next reading is named with the numbers to expect, and armed at a touch', async ({ page }) => {
  await page.goto('/jobs');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('link', { name: /^Read/ }).click();
  await page.getByLabel(/^Outside diameter \(/).click();
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
  await page.getByRole('button', { name: /^Crest radius: / }).click();
  await page.keyboard.type('0');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Hand: / }).click();
  await page.keyboard.type('both');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/A thread is right or left hand/)).toBeVisible();
  await page.getByLabel(/^Hand \(/).fill('left');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Likeliest so far:')).toContainText('M8 LH');
  // read with the caliper, it decides
  await page.getByRole('button', { name: /^Crests over a length: / }).click();
  await page.getByLabel('With', { exact: true }).selectOption({ label: 'Vernier or dial caliper, crest to crest' });
  await page.getByLabel('in a length of').fill('8.9 mm');
  await page.getByLabel(/^Crests over a length \(/).fill('7');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Likeliest so far:')).toContainText('5/16-20 UN LH');
});

/** One of each kind, as a hand types it: what stands on the drawing afterwards. */
const EVERY_KIND = [
  ['Outside diameter', '31.85', '31.85'],
  ['Pitch diameter', '29.1', '29.1'],
  ['Root diameter', '25.1', '25.1'],
  ['Over three wires', '33.2', '33.2', '3.2'],
  ['Included angle', '30', '30\u00b0'],
  ['Flank facing the free end', '15', '15\u00b0'],
  ['Flank facing the head', '14.5', '14.5\u00b0'],
  ['Depth of thread', '3.4', '3.4'],
  ['Crests over a length', '8', '8 in 48 mm', '48 mm'],
  ['Pitch leaf', '6 mm', '6 mm'],
  ['Form template', '30', '30\u00b0'],
  ['Lead', '12', '12'],
  ['Crest flat', '2.1', '2.1'],
  ['Crest radius', '0', '0'],
  ['Root flat', '1.9', '1.9'],
  ['Root radius', '0.3', '0.3'],
  ['Starts', '2', '2'],
  ['Hand', 'left', 'left'],
  ['Taper', '0', '0'],
] as const;

for (const by of ['keyboard', 'touch'] as const)
  test.describe(`readings of every kind are entered on the drawing by ${by}`, () => {
    test.use({
      hasTouch: by === 'touch',
      viewport: by === 'touch' ? { width: 820, height: 1180 } : { width: 1280, height: 800 },
    });
    test(`by ${by}`, async ({ page }) => {
      await page.goto('/jobs');
      await page.getByRole('button', { name: 'New job' }).click();
      await page.getByRole('link', { name: /^Read/ }).click();
      await expect(page.getByLabel(/^Outside diameter \(/)).toBeVisible();
      for (const [kind, text, shown, span] of EVERY_KIND) {
        const field = page.getByLabel(new RegExp(`^${kind} \\(`));
        if (!(await field.isVisible())) {
          const patch = page.getByRole('button', { name: new RegExp(`^${kind}: `) });
          if (by === 'touch') await patch.tap();
          else {
            await patch.focus();
            await page.keyboard.press('Enter');
          }
        }
        await field.fill(text);
        if (span !== undefined) await page.getByLabel(/^(in a length of|wires of)/).fill(span);
        await page.keyboard.press('Enter');
        // the last one stays armed: it stands in the list
        const patch = page.getByRole('button', { name: `${kind}: ${shown}. Give a reading` });
        await expect(patch.or(field)).toBeVisible();
      }
      await page.getByRole('tab', { name: `Readings ${EVERY_KIND.length}` }).click();
      for (const [kind, text] of EVERY_KIND) await expect(page.getByLabel(`${kind}, as read`)).toHaveValue(text);
      await axeClean(page);
    });
  });

test('a template held to one flank is kept with its flank; a taper that does not say which is asked about', async ({
  page,
}) => {
  await page.goto('/jobs/demo-windlass/read');
  await page.getByRole('button', { name: /^Form template: / }).click();
  await page.getByRole('radio', { name: 'Flank facing the head' }).click();
  await page.getByRole('radio', { name: 'does not' }).click();
  await page.getByLabel(/^Form template \(/).fill('3');
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Readings 4' }).click();
  await expect(page.getByRole('row', { name: /Form template.*Flank facing the head/ })).toBeVisible();
  await page.getByRole('button', { name: /^Taper: / }).click();
  const field = page.getByLabel(/^Taper \(/);
  await field.fill('1.79 degrees');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/the whole angle, or a side\?/)).toBeVisible();
  await field.fill('1 in 6');
  await expect(page.getByText(/Taken on the diameter/)).toBeVisible();
  await page.keyboard.press('Alt+Enter');
  await expect(page.getByRole('button', { name: /^Taper: 1 in 6 \(meant 0\.333\)/ }).or(field)).toBeVisible();
  await expect(page.getByLabel('Taper, as read')).toHaveValue(/meant 0\.333/);
});

test('a place is touched on the part itself; head, groove and plain end are drawn as they are typed', async ({
  page,
}) => {
  await page.goto('/jobs/demo-windlass/read');
  await page.getByLabel('Length of the thread').fill('200');
  await page.keyboard.press('Enter');
  await page.getByLabel('Head dia').fill('60');
  await page.keyboard.press('Enter');
  await page.getByLabel('Head long').fill('none');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Head long')).toHaveAttribute('aria-invalid', 'true');
  await page.getByLabel('Head long').fill('15');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Outside diameter: / }).click();
  const along = page.locator('[data-along]');
  const box = await along.boundingBox();
  if (!box) throw new Error('no part');
  // the free end is at the right: a tenth of the part from there is a tenth of it
  await along.click({ position: { x: box.width * 0.95, y: box.height / 2 } });
  await expect(page.getByLabel('Where, from the end')).toHaveValue(/^1[01]\.000 mm$/);
  await page.reload();
  await expect(page.getByLabel('Head dia')).toHaveValue('60.000 mm');
});
