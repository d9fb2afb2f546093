import { chromium } from '@playwright/test';
const [, , base, outDir, size, theme, ...paths] = process.argv;
const [w, h] = size.split('x').map(Number);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-dev-shm-usage','--disable-background-networking'] });
const p = await b.newPage({ viewport: { width: w, height: h }, colorScheme: theme });
p.on('console', (m) => { if (['error', 'warning'].includes(m.type())) console.log('CONSOLE', m.type(), m.text()); });
p.on('pageerror', (e) => console.log('PAGEERROR', e.message));
for (const path of paths) {
  await p.goto(base + path);
  await p.waitForSelector('main h1', {state:'attached', timeout: 9000}); await p.waitForTimeout(700);
  const name = path.replace(/[^a-z0-9]+/gi, '_') + `_${w}_${theme}.png`;
  await p.screenshot({ path: `${outDir}/${name}` });
  console.log(name, await p.evaluate(() => document.documentElement.scrollWidth > innerWidth ? 'HSCROLL ' + document.documentElement.scrollWidth : 'ok'));
}
await b.close();
