import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { defineConfig } from '@playwright/test';
import flags from '../tools/chromium.json' with { type: 'json' };

const root = fileURLToPath(new URL('..', import.meta.url));

/** The built application, a server and a database for each journey; Debian's Chromium, two at a time. */
export default defineConfig({
  testDir: '.',
  testMatch: '**/*.journey.ts',
  outputDir: path.join(root, 'test-results'),
  fullyParallel: true,
  workers: 2,
  // The whole-job journey goes through every station with an accessibility check at each: a busy machine takes its time.
  timeout: 300_000,
  expect: { timeout: 20_000 },
  // In the whole run only. What passed on repetition is told at the end of it by name, and counts neither as passed nor as failed.
  retries: process.env['CI'] ? 1 : 0,
  reporter: [['list'], [path.join(root, 'tools/results/playwright.mjs')]],
  use: {
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    locale: 'en-GB',
    launchOptions: { executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args: flags },
    // A quarter of the time of a run; `--trace retain-on-failure` records what a journey that fails did.
    trace: 'off',
    screenshot: 'only-on-failure',
    // What the browser keeps stands between a journey and the network: only the journeys of it allow it.
    serviceWorkers: 'block',
  },
});
