import type { Page } from '@playwright/test';
import { axeClean, expect, test } from './fixtures.ts';

const press = (page: Page, name: string | RegExp): Promise<void> => page.getByRole('button', { name }).first().click();
const GAMES = ['half-nuts', 'groove', 'slip', 'place'] as const;
type Game = (typeof GAMES)[number];

/** A key pressed before the view is there is heard by nobody. */
const dealt = (page: Page): Promise<void> => page.getByRole('button', { name: 'Leave' }).waitFor();

/** Answers one round as well as a stranger can from what is on the screen. */
const ANSWER: Readonly<Record<Game, (page: Page, round: number) => Promise<void>>> = {
  'half-nuts': async (page) => {
    // while it is shown beforehand what it would be, it is waited for
    for (let i = 0; i < 40; i += 1) {
      const help = page.getByText(/Shut now they would drop in/);
      if ((await help.count()) === 0 || /in its groove/.test(await help.innerText())) break;
      await press(page, 'One thread on');
    }
    await press(page, /^Shut/);
  },
  groove: async (page) => {
    await press(page, 'Spindle forward a little');
    await press(page, /^Eye over the tool/);
    const seen = page.getByRole('img', { name: /^Tool and groove from above/ });
    const main = await page.getByRole('main').innerText();
    const turn = main.includes('The work, turned in the jaws');
    const slip = main.includes('A gear, slipped by teeth');
    const left = /left hand/.test(await page.locator('header').innerText());
    const keys = page.getByRole('button', { name: /(with the cut|against it|forward|back)$/ });
    for (let i = 0; i < 80; i += 1) {
      const said = (await seen.getAttribute('aria-label')) ?? '';
      const mm = Number(/seen (\d+\.\d+)/.exec(said)?.[1] ?? 0);
      if (mm < 0.035) break;
      // with the cut is towards the headstock for a right hand; work that is turned carries the groove the other way
      const forward = (/towards the headstock/.test(said) !== left) !== turn;
      if (!forward && !turn && !slip) {
        // against the cut: well past, and up to it again
        for (let k = 0; k < 2; k += 1) await keys.nth(0).click();
        continue;
      }
      const large = turn ? mm > 0.4 : slip ? mm > 0.8 : mm > 0.3;
      await keys.nth(forward ? (large ? 3 : 2) : large ? 0 : 1).click();
      if (slip) await press(page, 'Spindle forward a little');
    }
    await press(page, /^It is in the groove/);
    const alike = page.getByRole('button', { name: /^Alike at all three/ });
    if (!(await alike.isVisible())) return;
    const run = (await page.getByRole('img', { name: /^Run along/ }).getAttribute('aria-label')) ?? '';
    const off = [...run.matchAll(/(-?\d+\.\d+) mm at/g)].map((m) => Number(m[1]));
    if (Math.max(...off) - Math.min(...off) > 0.02) await press(page, 'It grows along the thread');
    else await alike.click();
  },
  slip: async (page, round) => {
    await page.keyboard.press(String((round % 3) + 1));
    await press(page, /^That is it/);
  },
  place: async (page) => {
    const text = await page.getByRole('main').innerText();
    const next = /drawn out, before the thread/.test(text)
      ? '1'
      : /in, at depth, before the thread/.test(text)
        ? '2'
        : /in, at depth, in the relief/.test(text)
          ? '3'
          : /drawn out, in the relief/.test(text)
            ? '4'
            : '5';
    await page.keyboard.press(next);
  },
};

// the end of ten is the same for all: one game is played to it, of the others as many rounds as show how it grades
for (const game of GAMES) {
  const [rounds, reloadAt] = game === 'half-nuts' ? [10, 4] : [4, 2];
  test(`${rounds} rounds of ${game}: each graded with its reason, kept over a reload`, async ({ page }) => {
    test.slow();
    await page.goto(`/practice/${game}`);
    await dealt(page);
    let right = 0;
    for (let round = 0; round < rounds; round += 1) {
      await ANSWER[game](page, round);
      const verdict = page.getByRole('status').first();
      await expect(verdict).toBeVisible();
      if (await page.getByText('Right', { exact: true }).isVisible()) right += 1;
      if (round === 0) await axeClean(page);
      if (round === reloadAt) {
        // a round that was answered stays answered
        await page.waitForFunction(() => document.documentElement.dataset['written'] === 'yes');
        await page.reload();
        await dealt(page);
        await expect(page.getByRole('img', { name: new RegExp(`of ${reloadAt + 1} right so far`) })).toBeVisible();
        continue;
      }
      if (round < rounds - 1) await press(page, /^Round \d+/);
    }
    if (game === 'place' || game === 'groove') expect(right).toBeGreaterThanOrEqual(0.7 * rounds);
    if (rounds < 10) return;
    await press(page, /^The ten are done/);
    const card = page.getByRole('region', { name: /./ }).filter({ has: page.getByText(`best ${right} of 10`) });
    await expect(card.first()).toBeVisible();
    await axeClean(page);
  });
}

test('the spindle running turns the dial by itself, and not where motion is to be less', async ({ page }) => {
  await page.goto('/practice');
  await page.getByRole('radio', { name: 'with the spindle running' }).check();
  await page.goto('/practice/half-nuts');
  const dial = page.getByRole('img', { name: /^Chasing dial/ });
  const first = await dial.getAttribute('aria-label');
  await expect(dial).not.toHaveAttribute('aria-label', first ?? '');
  await expect(page.getByRole('button', { name: 'One thread on' })).toHaveCount(0);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.reload();
  await expect(page.getByRole('button', { name: 'One thread on' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press(' ');
  await expect(page.getByRole('status').first()).toBeVisible();
});

test('what is practised is gone to from where it is done', async ({ page }) => {
  await page.goto('/jobs/demo-pump/pickup');
  await press(page, 'It lies along the bed');
  await page.getByRole('link', { name: /^Practise it: into the groove/ }).click();
  await expect(page).toHaveURL(/practice\/groove$/);
  await press(page, 'Leave');
  await expect(page.getByRole('heading', { level: 1, name: 'Practice' })).toBeVisible();
});
