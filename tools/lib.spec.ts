import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { packagesMatch, sourcesHash } from './lib.mjs';

describe('installing by content', () => {
  const lock = {
    packages: { '': {}, 'node_modules/a': { version: '1.0.0', integrity: 'x' }, 'node_modules/b': { version: '2.0.0', integrity: 'y', optional: true } },
  };
  const with_ = (packages: Record<string, unknown>) => ({ packages });

  it('takes what is there only when it is what the lock file asks for, all of it and nothing else', () => {
    const a = { version: '1.0.0', integrity: 'x' };
    expect(packagesMatch(lock, with_({ 'node_modules/a': a }))).toBeTrue();
    expect(packagesMatch(lock, with_({ 'node_modules/a': { ...a, version: '1.0.1' } }))).toBeFalse();
    expect(packagesMatch(lock, with_({ 'node_modules/a': { ...a, integrity: 'z' } }))).toBeFalse();
    expect(packagesMatch(lock, with_({}))).toBeFalse();
    expect(packagesMatch(lock, with_({ 'node_modules/a': a, 'node_modules/c': a }))).toBeFalse();
    // An install that was stopped half-way has no account of itself.
    expect(packagesMatch(lock, null)).toBeFalse();
  });
});

describe('building by content', () => {
  it('names the same sources alike whatever their times, and tells every change, move and new file', () => {
    const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-sources-'));
    const place = path.join(folder, 'src');
    const write = (name: string, text: string) => fs.writeFileSync(path.join(place, name), text);
    const hash = () => sourcesHash([place], folder);
    fs.mkdirSync(place);
    write('a.ts', 'one');
    const first = hash();
    fs.utimesSync(path.join(place, 'a.ts'), new Date(0), new Date(0));
    write('a.spec.ts', 'a test is not built');
    expect(hash()).toBe(first);
    write('a.ts', 'two');
    expect(hash()).not.toBe(first);
    write('a.ts', 'one');
    write('b.ts', '');
    expect(hash()).not.toBe(first);
    fs.renameSync(path.join(place, 'b.ts'), path.join(place, 'c.ts'));
    fs.rmSync(path.join(place, 'c.ts'));
    expect(hash()).toBe(first);
    fs.rmSync(folder, { recursive: true });
  });
});
