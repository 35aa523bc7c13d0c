import { defineConfig } from '@playwright/test';

/** The journeys run against two real servers on one database, started by `start-servers.ts` for each worker. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  globalSetup: './start-servers.ts',
  fullyParallel: false,
  // A journey waits for more than half its time: two at once share the cores of a small machine, and three are no quicker.
  workers: 2,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  reporter: [
    ['list'],
    ['./what-was-shown.ts'],
    ['json', { outputFile: process.env['PLAYWRIGHT_JSON_OUTPUT_NAME'] ?? '../.data/results/e2e.json' }],
  ],
  outputDir: '../test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    // Only the journey without a connection needs the pages kept on the device.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    actionTimeout: 10_000,
    // A trace takes a picture of the page at every press: half again the time. `--trace on` when a journey fails.
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
  },
});
