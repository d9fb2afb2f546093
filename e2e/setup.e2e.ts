import { readFileSync } from 'node:fs';
import { bringIn, demo, jobOf, named, station, times } from './bench.ts';
import { axeClean, expect, test } from './fixtures.ts';
import type { Edit } from '../core/job/edits/index.ts';
import type { Page } from '@playwright/test';

const ELS: Edit = { do: 'chooseLathe', lathe: 'lathe-els' };
const touched = (diameterMm: number): Edit[] => [
  { do: 'mount', holding: 'chuck' },
  { do: 'measureBlank', diameterMm },
  { do: 'touchOff' },
];
const tab = (page: Page, name: string): Promise<void> => page.getByRole('tab', { name, exact: true }).click();
const give = async (page: Page, label: string, text: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.keyboard.press('Enter');
};

test('the tool sheet is drawn, written as DXF and SVG, and a tab is gone to by keyboard', async ({ page }) => {
  await bringIn(page, demo('demo-sluice'), 'setup', 'demo-sluice');
  await expect(page.getByRole('img', { name: /The tool: 29\.0° included, tip 2\.559/ })).toBeVisible();
  for (const [button, name, begins] of [
    ['SVG', 'sluice-gate-spindle-tool.svg', '<?xml'],
    ['DXF', 'sluice-gate-spindle-tool.dxf', '0'],
  ] as const) {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button, exact: true }).click(),
    ]);
    expect(file.suggestedFilename()).toBe(name);
    expect(
      readFileSync(await file.path(), 'latin1')
        .trimStart()
        .startsWith(begins),
    ).toBe(true);
  }
  await page.getByRole('tab', { name: 'Tool', exact: true }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('tab', { name: 'Top slide', exact: true })).toBeFocused();
  await expect(page.getByLabel('Top slide from the cross-slide line', { exact: true })).toBeVisible();
  // the trade's slip is named, where it was typed
  await give(page, 'Top slide from the cross-slide line', '29');
  await expect(page.getByText(/It is the whole angle; the slide takes half of it, 14\.5°/)).toBeVisible();
});

test('a slender bar: what gives way is drawn, its answer is taken, and the groove fills in the simulation', async ({
  page,
}) => {
  await bringIn(
    page,
    jobOf('Slender', [
      named('3/4-10 UNC'),
      ELS,
      { do: 'setFit', class: null, pitchClearanceMm: 0.02 },
      { do: 'setSchedule', springs: 0 },
    ]),
    'setup',
  );
  await tab(page, 'Holding and bend');
  await expect(page.getByText(/Not said yet: how the work is held/)).toBeVisible();
  await page.getByRole('radio', { name: 'in the chuck, with a centre' }).check();
  await give(page, 'Free of the jaws', '304.8');
  await expect(page.getByRole('img', { name: /How big it comes out along its length: as held/ })).toBeVisible();
  await expect(page.getByText('It gives way by more than its size may vary.')).toBeVisible();
  await page.getByRole('radio', { name: 'follow rest' }).check();
  await expect(page.getByText('It gives way by more than its size may vary.')).toHaveCount(0);
  await tab(page, 'Passes');
  const filled = page.getByRole('region', { name: 'The groove as it fills' });
  await filled.getByRole('button', { name: 'Pass before' }).click();
  await expect(filled.getByText(/^pass \d+ of \d+: /)).toBeVisible();
  await page.getByRole('button', { name: /^Take: Straight in/ }).click();
  await station(page, 'Cut');
  await expect(page.getByRole('button', { name: /put up/ })).toBeVisible();
});

test('a bar too thick for its bore is refused, one that springs says how often to repeat', async ({ page }) => {
  const nut = jobOf('Feed nut', [], demo('demo-gland'));
  await bringIn(
    page,
    jobOf(
      'Feed nut',
      [
        { do: 'setIntake', make: 'internal', material: 'bronze' },
        named('7/16-10 ACME'),
        ELS,
        { do: 'setFit', aim: { pitchMm: null, startMm: 8.57 } },
        { do: 'setUp', barMm: 7 },
        { do: 'setSchedule', passes: 5, firstMaxMm: 3, springs: 1 },
        ...touched(8.57),
      ],
      { ...nut, id: 'bench', readings: [], events: [], settled: {} },
    ),
    'setup',
  );
  await tab(page, 'Holding and bend');
  await give(page, 'Neck of the bar', '7.62');
  await give(page, 'Out of its holder, to the tip', '50');
  await expect(page.getByText('The bar is too thick to come out of its own groove.')).toBeVisible();
  await give(page, 'Neck of the bar', '6');
  await expect(page.getByText('The bar is too thick to come out of its own groove.')).toHaveCount(0);
  await expect(
    page.getByText(/passes at one setting until the dial is believed|more repeats than anybody/),
  ).toBeVisible();
  await station(page, 'Cut');
  const done = page.getByRole('button', { name: /^(Done|Spring pass done)/ });
  await expect(done).toBeVisible();
  await expect(async () => {
    if (await done.isVisible()) await done.click({ timeout: 1000 });
    await expect(done).toHaveCount(0, { timeout: 200 });
  }).toPass({ timeout: 60_000, intervals: [10] });
  // no wires go into a nut: its mate is tried
  await expect(
    page
      .getByText(/^What did the/)
      .or(page.getByText(/Try the/))
      .first(),
  ).toBeVisible();
});

test('two starts: the card brings the tool to the second, with its number and its check', async ({ page }) => {
  await bringIn(
    page,
    jobOf('Brake screw', [
      named('Tr 40x14 (P7)'),
      ELS,
      { do: 'setSchedule', passes: 4, firstMaxMm: 3, springs: 0 },
      ...touched(39.9),
      ...times(4, { do: 'passDone' }),
    ]),
    'cut',
  );
  await expect(page.getByText(/To start 2 of 2: start angle/)).toBeVisible();
  await expect(page.getByText('180', { exact: true })).toBeVisible();
  await expect(page.getByText(/Scratch all 2 first/)).toBeVisible();
  await page.getByRole('button', { name: /Indexed to start 2/ }).click();
  await expect(page.getByRole('button', { name: /^Done/ })).toBeVisible();
});

test('a 1:16 taper by a tailstock set over, and a thread to a stop without relief', async ({ page }) => {
  await bringIn(page, jobOf('Pipe', [named('1/2-14 NPT'), { do: 'chooseLathe', lathe: 'lathe-bess' }]), 'setup');
  await tab(page, 'Top slide');
  await page.getByRole('radio', { name: 'tailstock set over' }).check();
  await give(page, 'Length over the centres', '300');
  await expect(page.getByText(/Set the tailstock over by 9\.37/)).toBeVisible();
  await expect(page.getByText(/-488 ppm|−488 ppm/)).toBeVisible();
  await bringIn(page, { ...jobOf('Stop', [named('M30x2'), ELS, ...touched(29.9)]), id: 'bench2' }, 'setup', 'bench2');
  await tab(page, 'Room to stop');
  await page.getByRole('radio', { name: 'at a stop, no groove' }).check();
  await expect(page.getByText(/The stop is software, not a safety stop\./).first()).toBeVisible();
  await station(page, 'Cut');
  await expect(page.getByText(/At the stop, within half a turn/).first()).toBeAttached();
});

const TABS = ['Tool', 'Top slide', 'Blank', 'Holding and bend', 'Room to stop', 'Passes'];
for (const [scheme, w] of [
  ['light', 1280],
  ['dark', 320],
] as const)
  test(`every tab of Set up is clean for axe and does not scroll sideways, ${scheme}, ${w} px`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: scheme });
    await page.setViewportSize({ width: w, height: 800 });
    await page.goto('/jobs/demo-sluice/setup');
    for (const name of TABS) {
      await tab(page, name);
      if (name === 'Tool') await page.getByText('What a tool set wrongly leaves').click();
      await axeClean(page);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
      expect(over, `${name} at ${w}`).toBeLessThanOrEqual(0);
    }
  });

test('a lathe that is told: parameters with how they came; once its control is described, a program, drawn and saved', async ({
  page,
}) => {
  const job = jobOf('Told', [named('M30x2'), ELS, { do: 'setUp', lengthMm: 40, rpm: 200 }, ...touched(29.93)]);
  await bringIn(page, job, 'setup?show=program');
  await expect(page.getByRole('img', { name: /^Tool path: \d+ cuts and 2 spring passes/ })).toBeVisible();
  // 200 rev/min of 2 mm come to rest at 100 mm/s2 in 0.222 mm: so far past the end the stop is set
  await expect(page.getByRole('row', { name: /^Stop at/ })).toContainText('-40.222 mm');
  await expect(page.getByRole('row', { name: /^Lead to type in/ })).toContainText('2.000 mm');
  await expect(page.getByText(/it takes no program/)).toBeVisible();
  await axeClean(page);
  await page.goto('/lathes/lathe-els');
  await page
    .getByRole('radio', { name: /control/i })
    .first()
    .check();
  await page.getByRole('radio', { name: 'as below' }).check();
  await page.goto('/jobs/bench/setup?show=program');
  await expect(page.getByLabel('The program')).toContainText('PROPOSAL. READ BEFORE IT RUNS.');
  await axeClean(page);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the program' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('told.nc');
  const text = readFileSync(await file.path(), 'utf8');
  expect(text).toMatch(/^%\n\(TOLD, M30X2\)/);
  expect(text).toMatch(/N\d+ G33 X\d+\.\d* Z-40\. F2\.\n/);
});
