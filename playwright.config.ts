import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tools/chromium';

const PORT = 8291;

export default defineConfig({
  testDir: 'e2e',
  timeout: 90_000,
  expect: { timeout: 10_000 },
  fullyParallel: true,
  workers: 2,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '.tmp/e2e.json' }]],
  outputDir: 'test-results',
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    trace: 'off',
    // Kept files would be fetched anew in every test's own browser; `offline.desk.spec.ts` allows them.
    serviceWorkers: 'block',
    timezoneId: 'Europe/London',
    locale: 'en-GB',
    launchOptions: CHROMIUM,
  },
  projects: [
    // Journeys run at both sizes; *.phone.spec.ts and *.desk.spec.ts at one.
    {
      name: 'phone',
      testMatch: '*.spec.ts',
      testIgnore: '*.desk.spec.ts',
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
    },
    {
      name: 'wide',
      testMatch: '*.spec.ts',
      testIgnore: '*.phone.spec.ts',
      use: { viewport: { width: 1280, height: 800 } },
    },
  ],
  webServer: {
    command: `node_modules/.bin/tsx server/main.ts --port ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/health`,
    reuseExistingServer: false,
    timeout: 30_000,
  },
});
