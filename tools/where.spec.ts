import fs from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const text = fs.readFileSync(`${root}docs/where.md`, 'utf8');

describe('where a rule of the craft stands', () => {
  it('names files that are there', () => {
    const rows = text.split('\n').filter((line) => line.startsWith('|') && line.includes('`'));
    const named = rows.flatMap((line) => [...line.matchAll(/`([\w./-]+)`/g)].map(([, file]) => file ?? ''));
    expect(named.filter((file) => !fs.existsSync(root + file) && !fs.existsSync(`${root}core/src/${file}`))).toEqual([]);
    expect(named.length).toBeGreaterThan(60);
  });

  it('has a row for every law of the filling', () => {
    const laws = fs.readdirSync(`${root}core/src/filling`).filter((file) => !/spec|public|request|gauge/.test(file));
    expect(laws.filter((file) => !text.includes(`filling/${file}`))).toEqual([]);
  });
});
