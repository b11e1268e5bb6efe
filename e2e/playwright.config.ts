import { defineConfig } from '@playwright/test';

const BASE_URL = process.env.KEEN_URL ?? 'http://127.0.0.1:4310';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  timeout: 240_000,
  expect: { timeout: 60_000 },
  // One browser at a time: the server and its workers need the other core.
  workers: 1,
  fullyParallel: false,
  forbidOnly: true,
  reporter: [
    ['list'],
    ...(process.env.KEEN_REPORT
      ? [['json', { outputFile: process.env.KEEN_REPORT }] as ['json', object]]
      : []),
  ],
  outputDir: '../.cache/e2e',
  use: {
    baseURL: BASE_URL,
    // A press on what is not there fails by itself, not with the whole test's time.
    actionTimeout: 90_000,
    navigationTimeout: 90_000,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    locale: 'en-GB',
    // Every test is a new browser, which would store the whole app for offline first; the tests of the whole
    // job and of what is saved do so.
    serviceWorkers: 'block',
    // Traces slow every key press down; switch them on to look into a failure.
    trace: process.env.KEEN_TRACE ? 'on' : 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
