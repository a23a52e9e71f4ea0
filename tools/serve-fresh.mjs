// Serves the built application over a database in a fresh temporary folder: for journeys and pictures. Usage: node tools/serve-fresh.mjs PORT
import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensureBuilt, root } from './lib.mjs';

ensureBuilt();
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-fresh-'));
const server = spawn(process.execPath, ['dist/server/main.js'], {
  cwd: root,
  stdio: 'inherit',
  env: {
    ...process.env,
    PORT: process.argv[2] ?? '0',
    HOST: '127.0.0.1',
    YARDLAND_DATA: data,
    YARDLAND_ROOT: root,
    LOG_LEVEL: 'warn',
    YARDLAND_SIM_SPEED: '40',
  },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => {
  fs.rmSync(data, { recursive: true, force: true });
  process.exit(code ?? 0);
});
