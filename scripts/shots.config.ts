import base from '../playwright.config.ts';

/** `npm run shots`: takes docs/screenshots again from the demo data, in the real built application. */
export default {
  ...base,
  testDir: '.',
  testMatch: 'shots.ts',
  reporter: [['list']],
  webServer: { ...base.webServer, cwd: '..' },
};
