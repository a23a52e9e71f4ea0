import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { failuresIn, packagesMatch, sourcesHash, titlesUnder } from './lib.mjs';

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

describe('the closing lines of the test run', () => {
  it('name the journeys that passed only on repetition', () => {
    const summary = [
      '  ok 14 job/whole-job.journey.ts:9:5 › a job (3.2s)',
      '',
      '  2 flaky',
      '    [chromium] › job/filling.journey.ts:9:5 › layers are dragged ────────',
      '    [chromium] › job/windows.journey.ts:3:5 › two windows ────────',
      '  21 passed (1.9m)',
    ].join('\n');
    expect(titlesUnder(summary, 'flaky')).toEqual([
      '[chromium] › job/filling.journey.ts:9:5 › layers are dragged',
      '[chromium] › job/windows.journey.ts:3:5 › two windows',
    ]);
    expect(titlesUnder('  23 passed (1.9m)', 'flaky')).toEqual([]);
  });

  it('tell again which specs failed and why, of each runner', () => {
    const karma = [
      '................04 11 2026 10:00:00.000:WARN [web-server]: 404: /base/x',
      'Chrome Headless 156.0.0.0 (Linux 0.0.0) the table of jobs shows each job once FAILED',
      '\tError: Timeout',
      '\t    at <Jasmine>',
      '....',
      'Chrome Headless 156.0.0.0 (Linux 0.0.0): Executed 109 of 109 (1 FAILED) (29.566 secs / 27.989 secs)',
    ].join('\n');
    expect(failuresIn(karma)).toEqual(['the table of jobs shows each job once', '\tError: Timeout', '\t    at <Jasmine>']);
    const jasmine = ['..F.', 'Failures:', '1) the lock is read', '  Message:', '    Expected 1 to be 2.', '22 specs, 1 failure'].join('\n');
    expect(failuresIn(jasmine)).toEqual(['1) the lock is read', '  Message:', '    Expected 1 to be 2.']);
    const playwright = ['  1 failed', '    e2e/lay/lay.journey.ts:4:1 › a lay is compared ────', '  62 passed (8.4m)'].join('\n');
    expect(failuresIn(playwright)).toEqual(['e2e/lay/lay.journey.ts:4:1 › a lay is compared']);
    expect(failuresIn('109 specs, 0 failures')).toEqual([]);
  });
});
