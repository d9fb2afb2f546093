import type { Page } from '@playwright/test';
import { Bench } from '../app/testing/bench.ts';
import type { Edit } from '../core/job/edits/index.ts';
import type { Job } from '../core/job/schema.ts';
import { bringIn, demo, jobOf, named, station } from './bench.ts';
import { axeClean, expect, test } from './fixtures.ts';

const FEW: Edit = { do: 'setSchedule', passes: 4, firstMaxMm: null, lastMinMm: null, springs: 0 };
/** A job cut as deep as its card asks. */
function cutOut(job: Job, diameterMm: number): Job {
  const b = new Bench(job);
  for (let i = 0; i < 60; i += 1) {
    const { card } = b;
    if (card.do === 'try' || (card.do === 'measure' && card.what === 'thread')) return b.job;
    if (card.do === 'mount') b.do({ do: card.what === 'gears' ? 'mountGears' : 'mount' });
    else if (card.do === 'measure') b.do({ do: 'measureBlank', diameterMm });
    else if (card.do === 'touch') b.do({ do: 'touchOff' });
    else if (card.pitch) b.do({ do: 'provePitch', by: card.pitch.by });
    else b.do({ do: card.pass?.spring ? 'springDone' : 'passDone' });
  }
  throw new Error(`stays at ${b.card.do}`);
}
const ELS: Edit = { do: 'chooseLathe', lathe: 'lathe-els' };
const acme = (title: string, make: 'external' | 'internal', ...edits: Edit[]): Job =>
  cutOut(
    jobOf(title, [
      { do: 'setIntake', make, material: make === 'internal' ? 'bronze' : 'mild steel' },
      named('1-5 ACME'),
      ELS,
      FEW,
      ...edits,
    ]),
    make === 'internal' ? 20.9 : 25.3,
  );
const tried = (page: Page, what: string): Promise<void> =>
  page.getByRole('button', { name: what, exact: true }).click();
const give = async (page: Page, label: string | RegExp, text: string): Promise<void> => {
  await page.getByLabel(label).fill(text);
  await page.keyboard.press('Enter');
};
/** Presses Done until nothing is left to set. */
async function cutOn(page: Page): Promise<void> {
  for (let i = 0; i < 12; i += 1) {
    const done = page.getByRole('button', { name: /^(Done|Spring pass done)$/ });
    await expect(page.locator('main h1[tabindex]')).toBeVisible();
    if (!(await done.isVisible())) return;
    await expect(page.locator('[data-shut=no]')).toBeVisible();
    await done.click();
    await expect(page.locator('[data-shut=yes]')).toHaveCount(0, { timeout: 3000 });
  }
}

test('a feed nut whose shake decides: too little is cut deeper, enough is finished, tried again, and right', async ({
  page,
}) => {
  const job = acme(
    'Feed nut',
    'internal',
    { do: 'setFit', class: null, duty: 'feed' },
    { do: 'setSchedule', passes: 10, springs: 2 },
  );
  await bringIn(page, job, 'prove?by=mate');
  await tried(page, 'goes on, tight');
  await expect(page.getByText(/(about 0\.\d+ mm on the radius|nothing) is left\.$/).last()).toBeVisible();
  await axeClean(page);
  await page.getByRole('button', { name: /^Cut it 0\.\d+ mm deeper$/ }).click();
  await expect(page.getByRole('region', { name: 'Pass card' })).toBeVisible();
  await cutOn(page);
  await station(page, 'Prove');
  await page.getByRole('button', { name: 'Try the screw' }).click();
  // a hair of play, and less than a feed screw wants: on, by a figure now
  await tried(page, 'shakes');
  await give(page, /^Play along the axis by the indicator/, '0.025');
  await page.getByRole('button', { name: /^Cut it 0\.\d+ mm deeper$/ }).click();
  await expect(page.getByRole('region', { name: 'Pass card' })).toBeVisible();
  await cutOn(page);
  await station(page, 'Prove');
  await page.getByRole('button', { name: 'Try the screw' }).click();
  await tried(page, 'shakes');
  await give(page, /^Play along the axis by the indicator/, '0.06');
  await expect(page.getByText('It is at size.').last()).toBeVisible();
  await page.getByRole('button', { name: 'Finish it, then the verdict' }).click();
  for (const d of [
    'Wire edge off',
    'Crests broken',
    'First half thread taken back',
    'Ends chamfered',
    'Clean and oiled',
  ])
    await page.getByRole('button', { name: `${d}: done` }).click();
  await page.getByRole('tab', { name: 'Verdict' }).click();
  await expect(page.getByText(/Finished since it was tried/).last()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Try it once more' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await tried(page, 'shakes');
  await give(page, /^Play along the axis by the indicator/, '0.06');
  await page.getByRole('button', { name: 'Measured', exact: true }).click();
  await page.getByRole('tab', { name: 'Verdict' }).click();
  await expect(page.getByText('It is right.')).toBeVisible();
  await axeClean(page);
  await page.getByRole('link', { name: 'On paper', exact: true }).click();
  const sheet = page.getByRole('img', { name: 'Proof' }).first();
  await expect(sheet).toContainText('This is not a certificate.');
  await expect(sheet).toContainText('play 0.060 mm');
  await page.goBack();
  // every later station heard it
  await page.getByRole('button', { name: 'Close' }).click();
  await page
    .getByRole('button', { name: /Record/ })
    .last()
    .click();
  await expect(page.getByText(/^Its mate: shakes/)).toBeVisible();
});

test('an Acme screw by wires: each reading stands in the band, and the belief grows narrower; a nut confirms it', async ({
  page,
}) => {
  await bringIn(
    page,
    acme('Acme screw', 'external', { do: 'setFit', class: '2G' }, { do: 'setSchedule', passes: 8, springs: 2 }),
    'prove',
  );
  const target = Number(
    /M (\d+\.\d+) mm/.exec((await page.getByRole('button', { name: /^M / }).getAttribute('aria-label')) ?? '')?.[1],
  );
  expect(target).toBeGreaterThan(20);
  await give(page, 'Over wires, then Enter', String((target + 0.3).toFixed(3)));
  await expect(page.getByText(/to go on diameter/)).toBeVisible();
  // far from what the dial says: it is read once more before anything is made of it
  await expect(page.getByText(/^Look once more before going deeper, over wires\.$/).last()).toBeVisible();
  await give(page, 'Over wires, then Enter', String((target + 0.3).toFixed(3)));
  const deeper = page.getByRole('button', { name: /^Cut it 0\.\d+ mm deeper$/ });
  await expect(deeper).toBeVisible();
  await page.getByRole('button', { name: 'Measured', exact: true }).click();
  await expect(page.getByText(/^Pitch diameter \d+\.\d+ ± 0\.0/)).toBeVisible();
  await page.getByRole('tab', { name: 'Wires' }).click();
  await expect(page.getByText('Owned and usable, best first')).toBeVisible();
  await expect(page.getByRole('row', { name: /^Half-angle/ })).toBeVisible();
  // one that is lying there and is warm
  await give(page, 'The part is warmer than 20 °C by, K', '20');
  await expect(page.getByText(/^grown by 0\.00/)).toBeVisible();
  await axeClean(page);
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: /^Cut it 0\.\d+ mm deeper$/ }).click();
  await cutOn(page);
  await station(page, 'Prove');
  await give(page, 'Over wires, then Enter', String(target.toFixed(3)));
  await give(page, 'Over wires, then Enter', String(target.toFixed(3)));
  await page.getByRole('button', { name: 'Try the nut' }).click();
  await tried(page, 'runs freely');
  await page.getByRole('button', { name: 'Measured', exact: true }).click();
  await expect(page.getByText(/Over wires .*\(wire /).first()).toBeVisible();
});

test('a plug gauge tried in three nuts of several lengths says how far the lead is off', async ({ page }) => {
  const plug = cutOut(
    jobOf('Plug', [
      { do: 'setIntake', wanted: 'gauge', make: 'external' },
      named('M20'),
      ELS,
      FEW,
      { do: 'setFit', class: '6H', gauge: { end: 'go', school: 'inside' } },
    ]),
    20,
  );
  await bringIn(page, plug, 'prove?by=mate');
  await page.getByRole('button', { name: 'Which mate, how long?' }).click();
  for (const [i, length] of ['5', '16', '40'].entries()) {
    await page.getByRole('button', { name: 'Add a nut' }).click();
    const mate = page.getByRole('region', { name: `Nut ${i + 1}` });
    await mate.getByLabel('Length engaged').fill(length);
    await page.keyboard.press('Enter');
  }
  await axeClean(page);
  await page.getByRole('button', { name: 'Close' }).click();
  for (const [i, play] of ['0.11', '0.088', '0.04'].entries()) {
    await page.getByRole('radio', { name: new RegExp(`^Nut ${i + 1},`) }).check();
    await tried(page, 'shakes');
    await give(page, /^Play along the axis by the indicator/, play);
  }
  await expect(page.getByRole('img', { name: /^Mates tried: Nut 1 runs, play 0\.110 mm; Nut 2/ })).toBeVisible();
  await page.getByRole('button', { name: 'Form', exact: true }).click();
  await expect(page.getByText(/^The form costs 0\.0\d+ mm of pitch diameter \(lead/)).toBeVisible();
  await give(page, 'Leading flank', '30.2');
  await expect(page.getByText(/flanks 0\.0/)).toBeVisible();
  await axeClean(page);
  const [chart] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'DXF', exact: true }).click(),
  ]);
  expect(chart.suggestedFilename()).toBe('plug-chart.dxf');
});

test('a nut that binds in the middle of a worn screw is told from one whose lead is off', async ({ page }) => {
  await bringIn(page, cutOut(demo('demo-vice'), 23.4), 'prove?by=mate', 'demo-vice');
  await tried(page, 'runs, then binds');
  await expect(page.getByText(/Say where/).last()).toBeVisible();
  await page.getByRole('radio', { name: 'always at one place' }).check();
  await give(page, /^Where on the screw/, '130');
  await expect(page.getByText(/a bruise or a burr, not its size/)).toBeVisible();
  await give(page, /^Where on the screw/, '20');
  await expect(page.getByText(/as thick there as anywhere/)).toBeVisible();
  await page.getByRole('radio', { name: 'wherever it starts, after as many turns' }).check();
  await page.getByRole('radio', { name: '3', exact: true }).check();
  await expect(page.getByText(/^The lead/)).toBeVisible();
  await page.getByRole('button', { name: 'Check the train' }).click();
  await expect(page.getByRole('heading', { name: 'Gears', level: 1 })).toBeVisible();
});

test('a gauge by its turns, and whether it is worth it', async ({ page }) => {
  const job = acme('Gauged', 'external', { do: 'setFit', class: '2G' });
  await bringIn(page, job, 'prove?by=gauge');
  await page.getByRole('button', { name: 'It goes', exact: true }).click();
  await page.getByRole('radio', { name: 'Not-go' }).check();
  await expect(page.getByText(/It may enter 3 turns/)).toBeVisible();
  await page.getByRole('button', { name: '2 turns, then stops' }).click();
  await expect(page.getByRole('img', { name: /^Pitch diameter: right from/ })).toBeVisible();
  await axeClean(page);
  await page.getByRole('button', { name: 'Measured', exact: true }).click();
  await page.getByRole('tab', { name: 'Verdict' }).click();
  await expect(page.getByText('Not-go gauge does not go, 2 turns in')).toBeVisible();
  await page.getByRole('tab', { name: 'Worth it?' }).click();
  await give(page, 'Play along the axis where it is used, now', '0.6');
  await give(page, /^The nut that stays is worn there/, '0.2');
  await expect(page.getByText(/Worth doing/)).toBeVisible();
  await axeClean(page);
});

for (const width of [820, 320] as const)
  test(`at ${width} px nothing of Prove runs over the side`, async ({ page }) => {
    await page.setViewportSize({ width, height: width === 820 ? 1180 : 700 });
    for (const by of ['measure', 'mate', 'gauge', 'form']) {
      await page.goto(`/jobs/demo-sluice/prove?by=${by}`);
      await expect(page.locator('main h1[tabindex]')).toBeAttached();
      expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
      await axeClean(page);
    }
  });
