import { axeClean, expect, test } from './fixtures.ts';

test('a metric spindle on the inch lathe, from pitch to printed train', async ({ page }) => {
  await page.goto('/jobs/demo-pump/gears');
  await expect(page.getByText(/with a 127 you would get exact/)).toBeVisible();
  await page
    .getByRole('row', { name: /63\/50 × 30\/60/ })
    .getByRole('button', { name: /Take/ })
    .click();
  await expect(page.getByRole('heading', { name: 'The train: 63/50 × 30/60' })).toBeVisible();
  await expect(page.getByRole('img', { name: /Train on the arm/ })).toBeVisible();
  await page.getByRole('tab', { name: 'Put it up' }).click();
  await expect(page.getByText(/Isolate at the plug\. Wipe/).first()).toBeVisible();
  await page.getByRole('tab', { name: 'Train', exact: true }).click();
  await axeClean(page);
  await expect(page.getByRole('link', { name: 'On paper', exact: true })).toHaveAttribute(
    'href',
    /paper\?sheets=gears$/,
  );
  await page.getByRole('button', { name: 'It cut right: remember it' }).click();
  await expect(page.getByText(/cut 2\.000\d+ mm for 2 mm on: Pump shaft/)).toBeVisible();
});

test('a wrong gear put on, the scratch read, the mistake named', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/gears');
  await expect(page.getByRole('heading', { name: /The train: 60\/30/ })).toBeVisible();
  // planned 60/30 x 40/35; the 65 went on in place of the 60: 7.862 mm a thread
  await page.getByRole('tab', { name: 'Proof' }).click();
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

test('a gearbox from its chart: ratios inferred, a misprint named, taken into the lathe', async ({ page }) => {
  await page.goto('/lathes/lathe-bess');
  const rows = [
    'cone 1, range A, 24/48, 8 tpi',
    'cone 2, range A, 24/48, 9 tpi',
    'cone 1, range B, 24/48, 16 tpi',
    'cone 2, range B, 24/48, 17 tpi',
    'cone 3, range A, 24/48, 10 tpi',
    'cone 3, range B, 24/48, 20 tpi',
  ];
  await page.getByLabel('Rows of the chart: levers, train, pitch').fill(rows.join('\n'));
  await page.getByRole('button', { name: 'Infer the ratios' }).click();
  await expect(page.getByText(/Row \d does not go with the others/)).toHaveCount(1);
  await expect(page.getByText(/Row 4 does not go with the others/)).toBeVisible();
  await page.getByRole('button', { name: 'Take these ratios' }).click();
  await expect(page.getByLabel(/^Gearbox levers/)).toHaveValue(/cone 1=1 2=8\/9 3=4\/5; range A=2 B=1/);
  await axeClean(page);
});

test('a lathe without tumbler: an idler turns the screw the right way, named in table, drawing and steps', async ({
  page,
}) => {
  await page.goto('/lathes/lathe-bess');
  const between = page.getByRole('group', { name: 'Between spindle and stud' });
  await between.getByText('none', { exact: true }).click();
  await page.getByText('one or three meshes').click();
  await page.goto('/jobs/demo-pump/gears');
  const row = page.getByRole('row', { name: /fits, idler \d+.*Take/ }).first();
  await row.getByRole('button', { name: /Take/ }).click();
  await expect(
    page.getByText(/3 meshes: the leadscrew turns against the stud; that cuts a right-hand thread/),
  ).toBeVisible();
  await expect(page.getByRole('img', { name: /as idler/ })).toBeVisible();
  await page.getByRole('tab', { name: 'Put it up' }).click();
  await expect(page.getByText(/Fit the \d+ as idler on stud \d/).first()).toBeVisible();
  await axeClean(page);
});

test('a search can be stopped and taken up again', async ({ page }) => {
  let held: (() => void) | null = null;
  const free = new Promise<void>((resolve) => (held = resolve));
  await page.route(/calc\.worker/, async (route) => {
    await free;
    await route.continue();
  });
  await page.goto('/jobs/demo-pump/gears');
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText(/stopped before every train was tried/)).toBeVisible();
  held!();
  await page.getByRole('button', { name: 'Search again' }).click();
  await expect(page.getByText(/every train of this set within these pairs,? .*was tried/)).toBeVisible();
});

test('a lathe described by dragging, then a train mounted on it', async ({ page }) => {
  await page.goto('/lathes/lathe-dreyl');
  await expect(page.getByText(/^Not measured: a general form/)).toBeVisible();
  const drag = async (name: RegExp, dx: number, dy: number): Promise<void> => {
    const point = page.getByRole('slider', { name });
    await point.scrollIntoViewIfNeeded();
    const box = await point.boundingBox();
    if (!box) throw new Error(String(name));
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx, y + dy, { steps: 5 });
    await page.mouse.up();
  };
  // where it is: the gearbox input further off, the slot longer
  await drag(/centres$/, 60, 0);
  await drag(/^Point: Slot 1, furthest/, -60, 32);
  await drag(/^Point: Slot 1, nearest/, 6, -3);
  await expect(page.getByLabel('Centres', { exact: true })).not.toHaveValue('');
  // the rest typed on the plate; until then there is no arm
  await page.getByLabel('Nut radius').fill('9');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: '1 still to be measured' })).toBeDisabled();
  await page.getByLabel('End radius').fill('11');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'That is the arm' }).click();
  await expect(page.getByText(/^Drag a punched point/)).toBeVisible();
  // by keyboard too, and taken back
  const centres = page.getByLabel('Centres', { exact: true });
  const before = await centres.inputValue();
  await page.getByRole('slider', { name: /centres$/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(centres).not.toHaveValue(before);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(centres).toHaveValue(before);
  await axeClean(page);
  await page.goto('/jobs/demo-pump/gears');
  await page.getByRole('radio', { name: /^Dreyl/ }).click();
  const row = page.getByRole('row', { name: /fits.*Take/ }).first();
  await row.getByRole('button', { name: /Take/ }).click();
  await expect(page.getByRole('img', { name: /^Train on the arm: [^]*fits|^Train on the arm/ })).toBeVisible();
});

test('of a lathe only what its kind has is asked', async ({ page }) => {
  await page.goto('/lathes/lathe-els');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByLabel(/^Change gears owned/)).toHaveCount(0);
  await expect(page.getByText('Chasing dial')).toHaveCount(0);
  await page.getByRole('radio', { name: 'A control' }).click();
  await page.getByRole('radio', { name: 'as below' }).click();
  await page.getByRole('radio', { name: 'G32' }).click();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'G32' })).toBeChecked();
  await page.getByRole('radio', { name: 'Gearbox' }).click();
  await expect(page.getByLabel(/^Change gears owned/)).toBeVisible();
});
