import { defineConfig } from '@playwright/test';
import { browserPath } from '../scripts/browser.mjs';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  globalSetup: './seed-yard.ts',
  workers: 4,
  fullyParallel: true,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  reporter: [['line'], ['json', { outputFile: '../.cache/e2e.json' }]],
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    timezoneId: 'America/New_York',
    locale: 'en-GB',
    // What a worker fetches a test cannot hold back; those without a connection allow it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: browserPath() ?? '/usr/bin/chromium',
      args: [
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
