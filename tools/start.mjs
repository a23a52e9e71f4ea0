// One command from a bare clone to the demo shop: installs what is missing, builds what is stale, then serves.
import { spawn } from 'node:child_process';
import { ensureBuilt, ensurePackages, root } from './lib.mjs';

ensurePackages();
ensureBuilt();
const server = spawn(process.execPath, ['--enable-source-maps', 'dist/server/main.js'], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, YARDLAND_ROOT: root },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
