import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const WORKSPACES = ['.', 'core', 'web', 'server', 'cli', 'paper', 'e2e'];
interface Manifest {
  readonly dependencies?: Record<string, string>;
  readonly devDependencies?: Record<string, string>;
}

/** `where package version used` of every direct dependency, by the package files. */
function asked(): string[] {
  return WORKSPACES.flatMap((workspace) => {
    const manifest = JSON.parse(fs.readFileSync(path.join(root, workspace, 'package.json'), 'utf8')) as Manifest;
    const rows = (list: Record<string, string> | undefined, used: string): string[] =>
      Object.entries(list ?? {})
        .filter(([name]) => !name.startsWith('@yardland/'))
        .map(([name, version]) => `${workspace === '.' ? 'all' : workspace} ${name} ${version} ${used}`);
    return [...rows(manifest.dependencies, 'runs'), ...rows(manifest.devDependencies, 'development')];
  });
}

describe('the list of dependencies', () => {
  const rows = fs
    .readFileSync(path.join(root, 'docs/dependencies.md'), 'utf8')
    .split('\n')
    .filter((line) => /^\| .*`/.test(line))
    .map((line) => line.split('|').map((cell) => cell.trim()));

  it('names each one once, at the version that is installed, and none that is gone', () => {
    expect(rows.map(([, where, name, version, , used]) => `${where} ${name?.replaceAll('`', '')} ${version} ${used}`).sort()).toEqual(asked().sort());
  });

  it('says of each why it is there and under which licence, and pins exact versions', () => {
    for (const [, , name, version, licence, , why] of rows) {
      expect([/^\d+\.\d+\.\d+$/.test(version ?? ''), (licence ?? '').length > 2, (why ?? '').length > 2])
        .withContext(name ?? '')
        .toEqual([true, true, true]);
    }
  });
});
