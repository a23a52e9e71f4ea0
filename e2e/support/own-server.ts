import { spawn } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** The built application over a fresh demo shop, on a port of its own. */
export interface OwnServer {
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/** Starts one, with more of the environment where it is given; throws when it ends before it answers. */
export async function ownServer(env: NodeJS.ProcessEnv = {}): Promise<OwnServer> {
  const dataDir = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-journey-'));
  const server = spawn(process.execPath, ['dist/server/main.js'], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, PORT: '0', HOST: '127.0.0.1', YARDLAND_ROOT: root, YARDLAND_DATA: dataDir, LOG_LEVEL: 'warn', YARDLAND_SIM_SPEED: '40', ...env },
  });
  const gone = once(server, 'exit');
  const url = await new Promise<string>((resolve, reject) => {
    let said = '';
    server.stdout.on('data', (text) => {
      said += String(text);
      const address = /open at (https?:\S+)/.exec(said)?.[1];
      if (address) resolve(address);
    });
    void gone.then(() => reject(new Error(`the server did not start: ${said}`)));
  });
  return {
    url,
    stop: async () => {
      server.kill('SIGTERM');
      await gone;
      fs.rmSync(dataDir, { recursive: true, force: true });
    },
  };
}
