/* global document, MutationObserver, requestAnimationFrame -- what is handed to the page runs there */
// What the built application costs in a browser: bytes of script of the first screen, when it is usable, processor per act.
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { chromium as placeOfChromium } from './chromium.mjs';

const PORT = 4190;
const SLOWED = 4;
const executablePath = placeOfChromium();
const at = `http://127.0.0.1:${PORT}`;
const median = (xs) => xs.toSorted((a, b) => a - b)[Math.floor(xs.length / 2)] ?? NaN;
const say = (name, value) => console.log(`${name.padEnd(62)}${value}`);

/** Processor of the page's own thread so far, ms. */
async function spent(cdp) {
  const { metrics } = await cdp.send('Performance.getMetrics');
  const of = (name) => metrics.find((m) => m.name === name)?.value ?? 0;
  return (of('ScriptDuration') + of('LayoutDuration') + of('RecalcStyleDuration')) * 1000;
}

async function firstScreen(browser) {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  for (const rate of [1, SLOWED]) {
    const usable = [];
    let script = 0;
    for (let i = 0; i < 5; i += 1) {
      const page = await context.newPage();
      const cdp = await context.newCDPSession(page);
      await cdp.send('Network.enable');
      await cdp.send('Network.setCacheDisabled', { cacheDisabled: true });
      await cdp.send('Emulation.setCPUThrottlingRate', { rate });
      const sizes = [];
      page.on('response', (r) => {
        if (r.url().endsWith('.js'))
          sizes.push(
            r
              .request()
              .sizes()
              .then(
                (s) => s.responseBodySize,
                () => 0,
              ),
          );
      });
      await page.addInitScript(() => {
        new MutationObserver((_, o) => {
          if (!document.querySelector('main a[href^="/jobs/"]')) return;
          globalThis.usableAt = performance.now();
          o.disconnect();
        }).observe(document, { childList: true, subtree: true });
      });
      await page.goto(`${at}/jobs`);
      await page.waitForFunction(() => globalThis.usableAt);
      usable.push(await page.evaluate(() => globalThis.usableAt));
      script = (await Promise.all(sizes)).reduce((a, b) => a + b, 0);
      await page.close();
    }
    if (rate === 1) say('first screen, script as it is sent', `${(script / 1000).toFixed(1)} kB`);
    say(
      `first screen usable${rate === 1 ? '' : `, processor slowed ${rate} times`}`,
      `${Math.round(median(usable))} ms`,
    );
  }
  await context.close();
}

/**
 * Does an act some times and says the median of what it costs until the page is at rest. What finds the thing to touch runs
 * in the page too: `ready` does that beforehand, or the finding would be measured with the act.
 */
async function each(page, cdp, name, times, act, ready = () => null) {
  const costs = [];
  for (let i = 0; i < times; i += 1) {
    await page.waitForTimeout(1200); // what follows the act before is over, and Done is open
    const target = await ready(i);
    const before = await spent(cdp);
    await act(i, target);
    await page.evaluate(() => new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r))));
    costs.push((await spent(cdp)) - before);
  }
  say(`processor: ${name}`, `${median(costs).toFixed(1)} ms`);
}

async function acts(browser) {
  const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  await cdp.send('Performance.enable');
  await page.goto(`${at}/jobs/demo-windlass/read`);
  const field = page.getByLabel(/^Outside diameter \(/);
  await page.getByRole('button', { name: /^Outside diameter: / }).click();
  await field.waitFor();
  await each(
    page,
    cdp,
    'a reading taken',
    9,
    () => page.keyboard.press('Enter'),
    async (i) => {
      await page.keyboard.press('Alt+1');
      await field.fill(`31.${60 + i}`);
      await page.waitForTimeout(500);
    },
  );
  await page.keyboard.press('Alt+1');
  await each(page, cdp, 'a key in Read', 9, (i) => page.keyboard.press(String(i % 10)));
  await page.goto(`${at}/tables`);
  const find = page.getByRole('combobox', { name: 'Find a thread' });
  await find.waitFor();
  await find.focus();
  await each(page, cdp, 'a key in Tables', 9, (i) => page.keyboard.press('1 1/4-7un'[i] ?? '1'));
  await page.goto(`${at}/jobs`);
  await each(
    page,
    cdp,
    'opening a job (Jobs and back)',
    6,
    async (i, link) => {
      if (i % 2 === 0) await link.evaluate((a) => a.click());
      else await page.goBack();
      await page.waitForTimeout(300);
    },
    (i) => (i % 2 === 0 ? page.getByRole('link', { name: /Sluice-gate spindle/ }).elementHandle() : null),
  );
  await page.goto(`${at}/jobs/demo-sluice/fit`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForTimeout(3000); // the other stations are fetched meanwhile
  await each(
    page,
    cdp,
    'change of station, Fit and Set up in turn',
    10,
    (i, link) => link.evaluate((a) => a.click()),
    (i) =>
      page
        .getByRole('navigation', { name: 'Stations' })
        .getByRole('link', { name: i % 2 === 0 ? /^Set up/ : /^Fit/ })
        .elementHandle(),
  );
  await page.goto(`${at}/jobs/demo-sluice/cut`);
  await page.getByRole('button', { name: 'Done' }).waitFor();
  await each(page, cdp, 'pass done', 9, () => page.keyboard.press('d'));
  await context.close();
}

const server = spawn(process.execPath, ['dist/server/main.js'], { env: { ...process.env, PORT: String(PORT) } });
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  ...(executablePath ? { executablePath } : {}),
  args: ['--no-sandbox', '--disable-dev-shm-usage'],
});
try {
  if (!process.argv.includes('--acts')) await firstScreen(browser);
  await acts(browser);
} finally {
  await browser.close();
  server.kill('SIGTERM');
}
