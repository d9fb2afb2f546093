import type { Page } from '@playwright/test';
import { besides, bringIn, demo, jobOf, M30, oldJob, station, times } from './bench.ts';
import { axeClean, expect, test } from './fixtures.ts';

const card = (page: Page) => page.getByRole('region', { name: 'Pass card' });
const reading = (page: Page) => page.getByRole('button', { name: /^Next reading/ });
const touched = [{ do: 'measureBlank', diameterMm: 29.93 }, { do: 'touchOff' }] as const;
/** Done is shut for 800 ms after each press; a hand waits for it. */
async function done(page: Page, how: 'tap' | 'd'): Promise<void> {
  await expect(page.locator('[data-shut=no]')).toBeVisible();
  if (how === 'd') await page.keyboard.press('d');
  else
    await card(page)
      .getByRole('button', { name: /^(Done|Spring pass done)$/ })
      .tap();
}

test.describe('by touch', () => {
  test.use({ hasTouch: true });

  test('ten more passes after sixteen of twenty-two are ten passes, smaller ones', async ({ page }) => {
    const job = jobOf('Sixteen of twenty-two', [
      ...M30,
      ...touched,
      { do: 'setSchedule', passes: 22, firstMaxMm: null, lastMinMm: null },
      ...times(16, { do: 'passDone' }),
    ]);
    await bringIn(page, job, 'cut');
    await expect(card(page)).toContainText('Pass 17 of 22');
    await besides(page, 'The plan');
    await page.getByLabel('Passes still to come (empty: suggested)').fill('10');
    await page.keyboard.press('Enter');
    await expect(card(page)).toContainText('Pass 17 of 26');
    await expect(
      page.getByText(/^The plan changed: next .*0\.\d+ → .*0\.\d+, 10 passes left instead of 6\.$/),
    ).toBeVisible();
    await expect(card(page)).not.toContainText('Spring pass 1');
    await axeClean(page);
    for (let n = 17; n <= 26; n += 1) {
      await expect(card(page)).toContainText(`Pass ${n} of 26`);
      await done(page, 'tap');
    }
    await expect(card(page)).toContainText('Spring pass 1 of 2');
    await expect(page.getByText('Pass 26 done')).toBeVisible();
  });

  test('tight after the last pass: sprung where that closes, else cut deeper, each by one large key', async ({
    page,
  }) => {
    const job = jobOf('Try, go a little deeper, try', [
      ...M30,
      ...touched,
      { do: 'setSchedule', passes: 6, firstMaxMm: null, lastMinMm: null, springs: 0 },
      ...times(6, { do: 'passDone' }),
    ]);
    await bringIn(page, job, 'cut');
    await expect(card(page)).toContainText('Every pass is cut');
    const deeper = card(page).getByRole('button', { name: /^Deeper by / });
    const spring = card(page).getByRole('button', { name: 'Sprung once more' });
    const tight = card(page).getByRole('button', { name: 'goes on, tight' });
    const doubt = card(page).getByText(/does not go with what was known/);
    let cuts = 0;
    for (let i = 0; i < 10 && cuts < 2; i += 1) {
      if (!(await tight.isVisible())) await card(page).getByRole('button', { name: 'Try the nut' }).tap();
      await tight.tap();
      await expect(deeper.or(spring).or(doubt).first()).toBeVisible();
      if (await doubt.first().isVisible()) continue;
      if (await spring.isVisible()) {
        await spring.tap();
        await expect(card(page)).toContainText('Look once more before going deeper.');
        continue;
      }
      await deeper.tap();
      cuts += 1;
      await expect(card(page)).toContainText(`Pass ${6 + cuts} of ${6 + cuts}`);
      await done(page, 'tap');
    }
    expect(cuts).toBe(2);
    await card(page).getByRole('button', { name: 'Try the nut' }).tap();
    await card(page).getByRole('button', { name: 'runs freely' }).tap();
    await expect(card(page)).toContainText('It is at size.');
    await axeClean(page);
  });

  test('a double tap on Done marks one pass', async ({ page }) => {
    await bringIn(page, jobOf('Knuckle', [...M30, ...touched]), 'cut');
    const button = card(page).getByRole('button', { name: 'Done' });
    await button.dblclick();
    await expect(page.getByText('Pass 1 done')).toBeVisible();
    await expect(card(page)).toContainText('Pass 2 of');
  });
});

test('a blank 0.15 under is cut 0.075 less deep, and says so in the working', async ({ page }) => {
  const toGo = async (mm: number, id: string): Promise<number> => {
    const job = { ...jobOf('Blank', [...M30, { do: 'measureBlank', diameterMm: mm }, { do: 'touchOff' }]), id };
    await bringIn(page, job, 'cut', id);
    const text = await card(page).textContent();
    return Number(/([\d.]+) mm to go/.exec(text ?? '')?.[1]);
  };
  const right = await toGo(29.93, 'right');
  const under = await toGo(29.78, 'under');
  expect(right - under).toBeCloseTo(0.075, 2);
  await reading(page).click();
  await expect(page.getByRole('complementary', { name: 'Working' })).toContainText('surface as measured');
});

test.describe('the pump shaft is picked up by each way, then cut', () => {
  for (const [way, words] of [
    ['Top slide parallel', 'Top slide towards the headstock'],
    ['Angled top slide', /cross slide goes .* out of the work/i],
    ['Turning the work', /top coming away from you/],
    ['Slipping a gear', /on the leadscrew by \d+ teeth, the way it turns/],
  ] as const)
    test(way, async ({ page }) => {
      await page.goto('/jobs/demo-pump/cut');
      await card(page).getByRole('button', { name: 'It is put up' }).click();
      await expect(card(page)).toContainText('A thread is there already');
      await expect(page.getByRole('button', { name: 'Done', exact: true })).toHaveCount(0);
      await card(page).getByRole('link', { name: 'Pick it up' }).click();
      await page.getByRole('radio', { name: way, exact: true }).check();
      if (way === 'Top slide parallel') await page.getByRole('button', { name: 'It lies along the bed' }).click();
      // the gears were put up since anybody looked: the slack is taken up, and the groove looked at anew
      await page.getByRole('button', { name: /^The slack is taken up/ }).click();
      await page.getByRole('radio', { name: 'As a figure' }).check();
      await page.getByLabel(/^Groove is this far/).fill('0.7 mm');
      await page.keyboard.press('Enter');
      if (way === 'Angled top slide') {
        // the shaft is fed straight in: the slide has to be swung before it can move anything along
        await expect(page.getByRole('alert')).toContainText('square across');
        await station(page, 'Set up');
        await page.getByRole('tab', { name: 'Top slide' }).click();
        await page.getByRole('radio', { name: 'Top slide at an angle' }).check();
        await station(page, 'Pick up');
      }
      await expect(page.getByText(words).first()).toBeVisible();
      await axeClean(page);
      const slipped = page.getByRole('button', { name: /^Slipped/ });
      if (way === 'Slipping a gear' && (await slipped.isVisible())) {
        await slipped.click();
        await page.getByRole('radio', { name: 'Turning the work', exact: true }).check();
      }
      await page.getByRole('button', { name: /^(It is moved|Turned, it runs true)/ }).click();
      await page.getByRole('button', { name: 'To the card' }).click();
      await expect(page.getByRole('heading', { name: 'Cut', exact: true })).toBeVisible();
      await page.getByLabel(/^The blank measures/).fill('29.9');
      await page.keyboard.press('Enter');
      await card(page).getByRole('button', { name: 'Touched off, dials at zero' }).click();
      await card(page).getByRole('button', { name: 'In the groove all along' }).click();
      await expect(card(page)).toContainText('Pass 1 of');
      // however it was found, the old groove is followed straight in: at an angle the tool would land beside it
      await expect(card(page)).toContainText('Cross slide, in to');
      if (way === 'Angled top slide') await expect(card(page)).toContainText('The old groove was found with the tool');
      await done(page, 'd');
      await expect(page.getByText('Pass 1 done')).toBeVisible();
    });
});

test.describe('a gauge on a cable works no button', () => {
  const burst = async (page: Page, text: string): Promise<void> => {
    // all keys at once, as they come from an instrument: none waits for the one before to be answered
    await Promise.all([...text, 'Enter'].map((key) => page.keyboard.press(key)));
  };
  test('on Read it lands in the armed field', async ({ page }) => {
    await page.goto('/jobs/demo-latch/read');
    await expect(page.getByRole('heading', { name: 'Read', exact: true })).toBeVisible();
    await page.getByRole('button', { name: /^Root diameter: / }).click();
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await burst(page, '6.647');
    await page.getByRole('tab', { name: /^Readings/ }).click();
    await expect(page.getByLabel('Root diameter, as read')).toHaveValue('6.647');
  });
  test('on Name and Gears nothing is accepted, and it asks', async ({ page }) => {
    for (const [path, row] of [
      ['/jobs/demo-latch/name', /^Accept /],
      ['/jobs/demo-pump/gears', /^Take /],
    ] as const) {
      await page.goto(path);
      await page.getByRole('button', { name: row }).first().focus();
      await burst(page, '31.62');
      await expect(page.getByRole('dialog')).toContainText('31.62 came in: what is it?');
      await axeClean(page);
      await page.getByRole('button', { name: 'Nothing: let it go' }).click();
      await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
    }
  });
  test('on Cut no pass is done; where the card waits for the blank it lands there; on Prove over wires', async ({
    page,
  }) => {
    await page.goto('/jobs/demo-sluice/cut');
    await page.getByRole('button', { name: 'Done', exact: true }).focus();
    await burst(page, '39.62');
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByText('Pass 6 done')).toBeVisible();
    await bringIn(page, jobOf('Waits', [...M30]), 'cut');
    await expect(page.getByLabel(/^The blank measures/)).toBeVisible();
    await burst(page, '29.91');
    await expect(card(page).getByRole('button', { name: 'Touched off, dials at zero' })).toBeVisible();
    await page.goto('/jobs/demo-sluice/prove');
    await expect(page.getByLabel('Over wires, then Enter')).toBeVisible();
    await burst(page, '40.31');
    await page.getByRole('button', { name: 'Measured' }).click();
    await expect(page.getByRole('button', { name: /^Take back .*40\.31/ })).toBeVisible();
  });
});

test.describe('an older file, closed in mid-cut', () => {
  for (const version of [1, 2] as const)
    test(`version ${version} opens stopped, and goes on from the depth that is read`, async ({ page }) => {
      await bringIn(page, oldJob(version, 'demo-sluice'), 'cut', 'demo-sluice');
      await expect(card(page).getByRole('alert')).toContainText(/^An older record: .* from \d passes\./);
      await expect(page.getByRole('button', { name: /^(Done|Spring pass done)/ })).toHaveCount(0);
      await axeClean(page);
      await page.getByLabel('It says another depth, radial').fill('1.4 mm');
      await page.keyboard.press('Enter');
      if (version === 1) {
        await page.getByLabel(/^The blank measures/).fill('37.77');
        await page.keyboard.press('Enter');
      }
      await expect(card(page)).toContainText(/Pass \d+ of/);
      await besides(page, 'Done so far');
      await expect(page.getByText('Slide read: 0.0551 in deep')).toBeVisible();
    });
});

test('a change above Cut stops the card, and undo of a pass strikes it through', async ({ page }) => {
  await page.goto('/jobs/demo-sluice/setup');
  await page.getByRole('tab', { name: 'Top slide' }).click();
  await page.getByLabel('Top slide from the cross-slide line').fill('13.5');
  await page.keyboard.press('Enter');
  await station(page, 'Cut');
  await expect(card(page).getByRole('alert')).toContainText('The way of feeding changed: flank 14 is now flank 13.5.');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(card(page)).toContainText('Pass 7 of');
  await done(page, 'd');
  await expect(page.getByText('Pass 7 done')).toBeVisible();
  await page.getByRole('button', { name: /^Undo: pass done/ }).click();
  await expect(card(page)).toContainText('Pass 7 of');
  await besides(page, 'Done so far');
  await expect(page.getByRole('list', { name: 'Events' })).toContainText('(taken back)');
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect(card(page)).toContainText('Pass 8 of');
});

test('the demo opens at the machine as its ledger says', async ({ page }) => {
  expect(demo('demo-sluice').events.length).toBeGreaterThan(8);
  await page.goto('/jobs/demo-sluice/record');
  await expect(page.getByRole('list', { name: 'Events' })).toContainText('Scratch read: 7 crests in 2 in');
});
