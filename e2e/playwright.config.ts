import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { defineConfig } from '@playwright/test';
import flags from '../tools/chromium.json' with { type: 'json' };

const root = fileURLToPath(new URL('..', import.meta.url));
const port = Number(process.env['E2E_PORT'] ?? 4871);

/** The built application over a database of its own, made anew for each run; Debian's Chromium. */
export default defineConfig({
  testDir: '.',
  testMatch: '**/*.journey.ts',
  outputDir: path.join(root, 'test-results'),
  fullyParallel: false,
  workers: 1,
  // The whole-job journey goes through every station with an accessibility check at each: a busy machine takes its time.
  timeout: 150_000,
  expect: { timeout: 8000 },
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
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
  webServer: {
    command: `node tools/serve-fresh.mjs ${port}`,
    cwd: root,
    url: `http://127.0.0.1:${port}/api/health`,
    reuseExistingServer: false,
    timeout: 120_000,
  },
});
