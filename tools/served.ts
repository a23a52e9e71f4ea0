import { spawn } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium, type Browser } from '@playwright/test';

export const root = fileURLToPath(new URL('..', import.meta.url));

/** The built application over a fresh demo shop, and a browser to look at it. */
export interface Served {
  readonly base: string;
  readonly browser: Browser;
  readonly jobId: (name: string) => string | undefined;
  readonly stop: () => Promise<void>;
}

/** Starts both; throws when the application does not come up within two minutes. */
export async function served(port: number): Promise<Served> {
  const base = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['tools/serve-fresh.mjs', String(port)], { cwd: root, stdio: 'ignore' });
  const answers = (): Promise<boolean> =>
    fetch(`${base}/api/health`).then(
      (response) => response.ok,
      () => false,
    );
  for (let i = 0; !(await answers()); i++) {
    if (i === 240) {
      server.kill('SIGTERM');
      throw new Error('the application did not come up');
    }
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  const flags = JSON.parse(fs.readFileSync(path.join(root, 'tools/chromium.json'), 'utf8')) as string[];
  const browser = await chromium.launch({ executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args: flags });
  const { jobs } = (await (await fetch(`${base}/api/jobs`)).json()) as { jobs: { id: string; name: string }[] };
  return {
    base,
    browser,
    jobId: (name) => jobs.find((one) => one.name === name)?.id,
    stop: async () => {
      await browser.close();
      server.kill('SIGTERM');
    },
  };
}
