import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildSync } from 'esbuild';

export const root = fileURLToPath(new URL('../..', import.meta.url));

/** What a command said and how it ended. */
export interface Said {
  readonly code: number | null;
  readonly out: string;
  readonly error: string;
}

const spawned = (command: readonly string[], input: string): Said => {
  const done = spawnSync(process.execPath, command, { cwd: root, input, encoding: 'utf8', maxBuffer: 1 << 26 });
  return { code: done.status, out: done.stdout, error: done.stderr };
};

let bundle: string | null = null;

/** The command line in one file, as deep as its sources so that it finds the demo shop; made when it is first run: a process that compiles hundreds of sources takes a second each time. */
function bundled(): string {
  if (bundle) return bundle;
  const outfile = path.join(root, 'cli/dist/main.mjs');
  buildSync({
    absWorkingDir: root,
    entryPoints: ['cli/src/main.ts'],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    // What is of this repository goes in; what is installed stays outside.
    packages: 'bundle',
    external: ['pdfkit', 'fontkit', 'qrcode', 'any-ascii'],
    logLevel: 'error',
  });
  return (bundle = outfile);
}

/** Runs the command line in a process of its own. */
export function run(args: readonly string[], input = ''): Said {
  return spawned([bundled(), ...args], input);
}

/** The same from its sources, as `npm run yardland` starts it. */
export function runFromSources(args: readonly string[], input = ''): Said {
  return spawned(['--import', 'tsx', 'cli/src/main.ts', ...args], input);
}
