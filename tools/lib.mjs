import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
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

const readJson = (file) => {
  try {
    return JSON.parse(fs.readFileSync(file, 'utf8'));
  } catch {
    return null;
  }
};

/**
 * Whether what lies in node_modules is what a lock file asks for, by content: npm writes its own account of the folder when an install has finished, so one that was stopped
 * half-way has none. Packages for other platforms may be missing.
 */
export function packagesMatch(lock, installed) {
  if (!lock || !installed) return false;
  const same = (name) => {
    const [wanted, there] = [lock.packages[name], installed.packages[name]];
    if (!there) return wanted.optional === true || wanted.devOptional === true || wanted.peer === true;
    return there.version === wanted.version && there.integrity === wanted.integrity;
  };
  const names = Object.keys(lock.packages).filter((name) => name.startsWith('node_modules/'));
  return names.every(same) && Object.keys(installed.packages).every((name) => !name.startsWith('node_modules/') || name in lock.packages);
}

/** Installs the packages when what is there is not what the lock file asks for. */
export function ensurePackages() {
  const [lock, installed] = ['package-lock.json', 'node_modules/.package-lock.json'].map((file) => readJson(path.join(root, file)));
  if (packagesMatch(lock, installed)) return;
  console.log('Installing packages (better-sqlite3 is compiled: this takes some minutes once) …');
  must(npm, ['ci', '--no-fund', '--no-audit']);
}

const SOURCES = ['core/src', 'paper/src', 'server/src', 'web', 'package-lock.json', 'angular.json', 'tsconfig.base.json', 'tools/build.mjs'];

/** Every file under a place that goes into what is built, in one order. */
function filesUnder(place) {
  if (!fs.statSync(place).isDirectory()) return [place];
  return fs
    .readdirSync(place)
    .sort()
    .filter((name) => name !== 'node_modules' && !name.endsWith('.spec.ts'))
    .flatMap((name) => filesUnder(path.join(place, name)));
}

/** A name for the content of all sources: the same on every checkout of the same files, whatever their times. */
export function sourcesHash(places = SOURCES.map((one) => path.join(root, one)), base = root) {
  const hash = createHash('sha256');
  for (const file of places.flatMap(filesUnder))
    hash
      .update(`${path.relative(base, file)}\0`)
      .update(fs.readFileSync(file))
      .update('\0');
  return hash.digest('hex');
}

/** Holds the hash of the sources that the build beside it was made from; gone while a build is under way. */
const STAMP = path.join(root, 'dist/built');

/** Runs a build so that one that is stopped half-way is not taken for a finished one. */
export async function stamped(build) {
  fs.rmSync(STAMP, { force: true });
  const hash = sourcesHash();
  await build();
  fs.mkdirSync(path.dirname(STAMP), { recursive: true });
  fs.writeFileSync(STAMP, hash);
}

/** Builds web and server when what was built last was made from other sources. */
export function ensureBuilt() {
  if (fs.existsSync(STAMP) && fs.readFileSync(STAMP, 'utf8') === sourcesHash()) return;
  must(process.execPath, ['tools/build.mjs']);
}
