// Server and interface, both renewed as files change. The interface is at the address that Angular prints.
import { spawn } from 'node:child_process';
import { ensurePackages, root } from './lib.mjs';

ensurePackages();
const both = [
  spawn(process.execPath, ['--watch', '--import', 'tsx', 'server/src/main.ts'], {
    cwd: root,
    stdio: 'inherit',
    detached: true,
    env: { ...process.env, YARDLAND_WEB: 'none', YARDLAND_ROOT: root },
  }),
  spawn(process.execPath, ['node_modules/@angular/cli/bin/ng.js', 'serve'], { cwd: root, stdio: 'inherit', detached: true }),
];
const stop = () => {
  for (const child of both)
    try {
      // The whole group: watchers have children of their own.
      process.kill(-child.pid, 'SIGTERM');
    } catch {
      // Gone already.
    }
};
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, stop);
for (const child of both) child.once('exit', stop);
