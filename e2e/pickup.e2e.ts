import type { Page } from '@playwright/test';
import { bringIn, demo, jobOf, named, station } from './bench.ts';
import { axeClean, expect, test } from './fixtures.ts';
import type { Edit } from '../core/job/edits/index.ts';

const give = async (page: Page, label: string | RegExp, text: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.keyboard.press('Enter');
};
const press = (page: Page, name: string | RegExp): Promise<void> => page.getByRole('button', { name }).first().click();
/** Runs along the old thread: three places, each with what is off there. */
async function judge(page: Page, off: readonly [string, string, string]): Promise<void> {
  for (const [i, text] of off.entries()) {
    await give(page, 'Stopped here, from the free end', `${10 + 20 * i} mm`);
    if (text === '') await press(page, 'In the groove here');
    else await give(page, /^Or as a figure/, text);
  }
}
const TRAIN = { drivers: [63, 20], driven: [40, 50], gearbox: '1' };
const WAYS = [
  'Top slide parallel',
  'Angled top slide',
  'Turning the work',
  'Slipping a gear',
  'Moving the sync point',
] as const;
const LATHES: Readonly<Record<string, readonly Edit[]>> = {
  'lathe-bess': [{ do: 'takeTrain', train: TRAIN }, { do: 'mountGears' }],
  'lathe-dreyl': [{ do: 'takeTrain', train: { drivers: [40], driven: [60], gearbox: '1/2' } }, { do: 'mountGears' }],
  'lathe-els': [],
};

for (const [lathe, edits] of Object.entries(LATHES))
  for (const way of WAYS.filter((w) => w !== (edits.length > 0 ? 'Moving the sync point' : 'Slipping a gear')))
    test(`the pump shaft on ${lathe}: ${way.toLowerCase()}`, async ({ page }) => {
      const job = jobOf('Pump', [
        named('M30x2'),
        { do: 'setIntake', cameIn: 'broken-shaft', wanted: 'extend' },
        { do: 'chooseLathe', lathe },
        ...edits,
        { do: 'setUp', lengthMm: 60 },
        { do: 'mount' },
        { do: 'swingSlide', deg: 29.5 },
      ]);
      await bringIn(page, job, 'pickup');
      await page.getByRole('radio', { name: way, exact: true }).check();
      if (way === 'Top slide parallel') await press(page, 'It lies along the bed');
      await press(page, /^The slack is taken up/);
      const text = await page.getByRole('region', { name: 'Pick up' }).innerText();
      // no half-nuts are spoken of where there are none
      if (edits.length === 0) expect(text).not.toMatch(/half-nuts/i);
      await page.getByRole('radio', { name: 'As a figure' }).check();
      await give(page, /^Groove is this far from the tool/, '0.7 mm');
      await expect(page.getByRole('button', { name: /; show the working$/ })).toBeVisible();
      const slipped = page.getByRole('button', { name: /^Slipped/ });
      if (way === 'Slipping a gear' && (await slipped.isVisible())) {
        await slipped.click();
        await page.getByRole('radio', { name: 'Turning the work', exact: true }).check();
      }
      await press(page, /^(It is moved|Turned, it runs true)/);
      await judge(page, ['', '', '']);
      await expect(page.getByText('In the groove all along.').first()).toBeVisible();
      await press(page, /^In the groove all along/);
      await expect(page.getByRole('region', { name: 'Pass card' })).toBeVisible();
    });

test('by eye: the pitch is touched, or moved by keyboard; what grows along the run is a lead, and the joint says where to split', async ({
  page,
}) => {
  await bringIn(page, demo('demo-pump'), 'pickup', 'demo-pump');
  await press(page, 'It lies along the bed');
  await press(page, /^The slack is taken up/);
  const slider = page.getByLabel(/^Where the tool/);
  await slider.focus();
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowLeft');
  // the point stands 0.2 of a pitch towards the headstock: the groove lies towards the tailstock
  await expect(page.getByText(/The groove is 0\.0157 in towards the tailstock/)).toBeVisible();
  await page.getByRole('img', { name: /^One pitch/ }).click({ position: { x: 120, y: 300 } });
  await expect(page.getByText(/The groove is .* towards the tailstock/)).toBeVisible();
  await axeClean(page);
  await press(page, 'It stands there');
  await press(page, /^It is moved/);
  await judge(page, ['', '0.1 mm', '0.2 mm']);
  await expect(page.getByText(/It grows along the thread/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Split it in the middle/ })).toBeVisible();
  await axeClean(page);
  await press(page, 'The old part');
  await give(page, 'Pitches counted, crest to crest', '25');
  await give(page, 'Over', '50.2 mm');
  await give(page, 'The tool runs into the old thread for', '12 mm');
  await expect(page.getByText(/it is .* off at either end: split it there/)).toBeVisible();
  await expect(page.getByText(/A weld hardens the metal/)).toBeVisible();
  await axeClean(page);
  // Gears hears of it
  await page.getByRole('link', { name: /Look for a train nearer/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Gears' })).toBeAttached();
});

test('a thread recut at a control: dropped in, whole leads out, in steps, and every station after it hears', async ({
  page,
}) => {
  const job = jobOf('Recut', [
    named('2 1/2-4 UNC'),
    { do: 'setIntake', cameIn: 'screw', wanted: 'recut' },
    { do: 'chooseLathe', lathe: 'lathe-teal' },
    { do: 'setUp', lengthMm: 80, rpm: 100 },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 63.4 },
  ]);
  await bringIn(page, job, 'setup?show=program');
  await expect(page.getByText(/the old groove found, under Pick up/)).toBeVisible();
  await page.goto('/jobs/bench/pickup');
  await press(page, /^The face is Z 0/);
  await give(page, 'Z in the groove', '-1.412 in');
  await give(page, 'Grooves counted from the face', '7');
  await expect(page.getByText(/7 counted, but that Z is the 6\. groove/)).toBeVisible();
  await give(page, 'Grooves counted from the face', '6');
  await expect(page.getByText(/7 counted/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Z start, key in \+21\.285/ })).toBeVisible();
  await axeClean(page);
  await press(page, /^It is keyed in/);
  await judge(page, ['', '', '']);
  await press(page, /^In the groove all along/);
  await expect(page.getByText(/tell the control/).last()).toBeVisible();
  await press(page, /^Touched off on the crests instead/);
  await expect(page.getByRole('region', { name: 'Pass card' })).not.toContainText(/half-nut|dials? at zero/i);
  await page.goto('/jobs/bench/setup?show=program');
  await expect(page.getByRole('heading', { level: 1, name: 'Set up' })).toBeAttached();
  await expect(page.getByRole('tab', { name: 'Infeed' })).toBeVisible();
  await expect(page.getByText('Swing the top slide to')).toHaveCount(0);
  await expect(page.getByRole('row', { name: /^Z start/ })).toContainText('21.285 mm');
  await expect(page.getByRole('row', { name: /^Infeed angle/ })).toContainText('0.0');
  await give(page, 'By how much, on the diameter', '0.1 mm');
  await expect(page.getByText(/or the X offset changed by/)).toContainText('-0.100 mm');
});

test('a tapered 4 tpi part by the stand-off of a gauge, and the others of its batch of three', async ({ page }) => {
  const job = jobOf('Tapered', [
    named('3 in x 4 TPI 60'),
    { do: 'setSpecial', taper: 1 / 6, depthMm: 3 },
    { do: 'setIntake', cameIn: 'screw', wanted: 'recut' },
    { do: 'setQuantity', parts: 3 },
    { do: 'chooseLathe', lathe: 'lathe-els' },
    { do: 'setUp', lengthMm: 70, taperBy: 'attachment' },
    { do: 'setFit', tip: { flatMm: 0.8 } },
    { do: 'mount' },
    { do: 'setPickup', way: 'turn' },
    { do: 'offset', mm: 1.2 },
    { do: 'inGroove' },
    ...[10, 30, 60].map((atMm): Edit => ({ do: 'judge', atMm, offMm: 0 })),
    { do: 'airPass', result: 'in' },
    { do: 'touchOff', on: 'groove' },
  ]);
  await bringIn(page, job, 'pickup?show=old');
  await give(page, /^It stands off its mark/, '3 mm');
  await expect(page.getByText('3.000 mm short of its mark is 0.500 mm on diameter.')).toBeVisible();
  await press(page, 'Cut 0.250 mm deeper');
  await expect(page.getByText('That much deeper has been asked for.')).toBeVisible();
  await page.getByRole('radio', { name: 'the spindle mark' }).check();
  await axeClean(page);
  // Cut hears it: a pass that was not there
  await station(page, 'Cut');
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
});
