// Builds the interface with Angular, and the server as one file beside its workers' tasks; packages stay outside, core goes in.
import fs from 'node:fs';
import path from 'node:path';
import { ensurePackages, must, root, stamped } from './lib.mjs';

ensurePackages();
const { build } = await import('esbuild');
await stamped(async () => {
  must(process.execPath, ['node_modules/@angular/cli/bin/ng.js', 'build', '--progress=false']);

  const workspaces = ['core', 'paper', 'server'].map((name) => JSON.parse(fs.readFileSync(path.join(root, name, 'package.json'), 'utf8')));
  const external = [...new Set(workspaces.flatMap((one) => Object.keys(one.dependencies ?? {})))].filter((name) => !name.startsWith('@yardland/'));
  await build({
    absWorkingDir: root,
    entryPoints: { main: 'server/src/main.ts', tasks: 'server/src/workers/tasks.ts' },
    outdir: 'dist/server',
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    splitting: true,
    sourcemap: true,
    external: external.flatMap((name) => [name, `${name}/*`]),
    logLevel: 'warning',
  });
});
