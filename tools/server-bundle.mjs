import fs from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';
import { root } from './lib.mjs';

/** Bundles the server and the tasks of its worker threads into a folder (below the repository, so that packages are found). What is of this repository goes in, packages stay outside. */
export async function bundleServer(outdir) {
  fs.rmSync(path.join(root, outdir), { recursive: true, force: true });
  const workspaces = ['core', 'paper', 'server'].map((name) => JSON.parse(fs.readFileSync(path.join(root, name, 'package.json'), 'utf8')));
  const external = [...new Set(workspaces.flatMap((one) => Object.keys(one.dependencies ?? {})))].filter((name) => !name.startsWith('@yardland/'));
  await build({
    absWorkingDir: root,
    entryPoints: { main: 'server/src/main.ts', tasks: 'server/src/workers/tasks.ts', 'reading-tasks': 'server/src/jobs/reading-tasks.ts' },
    outdir,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    splitting: true,
    sourcemap: true,
    external: external.flatMap((name) => [name, `${name}/*`]),
    logLevel: 'warning',
  });
}
