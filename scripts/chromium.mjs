// Where a Chromium may be: one named by hand, Debian's without a window (package chromium-headless-shell: half the time of
// the whole browser for the same pages), then whole ones.
import { existsSync } from 'node:fs';

/** @returns {string | undefined} */
export const chromium = () =>
  [
    process.env.CHROMIUM_PATH,
    '/usr/bin/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
  ].find((p) => p && existsSync(p));
