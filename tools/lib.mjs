import { spawn, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

/** Runs a command in the root, its output shown; exits with its code when it fails. */
export function must(command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
  if (done.error) throw done.error;
  if (done.status !== 0) process.exit(done.status ?? 1);
}

/** Runs a command, its output shown and also returned. */
export function heard(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
    let text = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        text += chunk;
        process.stdout.write(chunk);
      });
    child.on('error', (error) => resolve({ code: 1, text: `${text}\n${error.message}` }));
    child.on('close', (code) => resolve({ code: code ?? 1, text }));
  });
}

/** Installs the packages when they are missing or older than the lock file. */
export function ensurePackages() {
  const mark = path.join(root, 'node_modules/.package-lock.json');
  const lock = path.join(root, 'package-lock.json');
  if (fs.existsSync(mark) && fs.statSync(mark).mtimeMs >= fs.statSync(lock).mtimeMs) return;
  console.log('Installing packages (better-sqlite3 is compiled: this takes some minutes once) …');
  must(npm, ['ci', '--no-fund', '--no-audit']);
}

const SOURCES = ['core/src', 'paper/src', 'server/src', 'web', 'package-lock.json', 'angular.json', 'tsconfig.base.json', 'tools/build.mjs'];

function newest(place) {
  const stat = fs.statSync(place);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(
    stat.mtimeMs,
    ...fs
      .readdirSync(place)
      .filter((name) => name !== 'node_modules')
      .map((name) => newest(path.join(place, name))),
  );
}

export const STAMP = path.join(root, 'dist/built');

/** Builds web and server when a source is newer than what was built last. */
export function ensureBuilt() {
  if (fs.existsSync(STAMP) && Math.max(...SOURCES.map((one) => newest(path.join(root, one)))) <= fs.statSync(STAMP).mtimeMs) return;
  must(process.execPath, ['tools/build.mjs']);
}
