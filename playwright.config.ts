import { defineConfig } from '@playwright/test';
import { chromium } from './scripts/chromium.mjs';

const executablePath = chromium();
const port = Number(process.env.E2E_PORT ?? 4180);
export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.e2e.ts',
  fullyParallel: true,
  workers: 2,
  forbidOnly: !!process.env.CI,
  retries: 0,
  reporter: [['list'], ['./scripts/playwright-report.mjs']],
  timeout: 90_000,
  expect: { timeout: 15_000 },
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    browserName: 'chromium',
    launchOptions: {
      ...(executablePath ? { executablePath } : {}),
      args: ['--no-sandbox', '--disable-dev-shm-usage', '--font-render-hinting=none'],
    },
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    timezoneId: 'UTC',
    colorScheme: 'light',
    trace: 'off',
    screenshot: 'only-on-failure',
    acceptDownloads: true,
    // what it holds is fetched past the page: a test that stops the network looks at the page's own requests
    serviceWorkers: 'block',
  },
  webServer: {
    command: 'node dist/server/main.js',
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port) },
    reuseExistingServer: false,
    timeout: 20_000,
    stdout: 'pipe',
    gracefulShutdown: { signal: 'SIGTERM', timeout: 3000 },
  },
});
