// Measures what docs/quality asks for and writes docs/bench.md: npm run bench
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { coreRows } from './core-rows';
import { dragRows } from './drag-rows';
import { layRows } from './lay-rows';
import { rowOf, table, type Row } from './measure';
import { serverRows } from './server-rows';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** What the first page loads, as it was compressed by the build: its scripts (the page's and the chunks these name) and its styles. */
function firstLoad(): Row[] {
  const folder = path.join(root, 'dist/web/browser');
  const stats = fs.readdirSync(folder).filter((name) => name.endsWith('.js'));
  const scripts = (selector: string): Set<string> => {
    const seen = new Set<string>();
    const visit = (name: string): void => {
      if (seen.has(name) || !stats.includes(name)) return;
      seen.add(name);
      for (const [, next] of fs.readFileSync(path.join(folder, name), 'utf8').matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) visit(next ?? '');
    };
    for (const [, name] of fs.readFileSync(path.join(folder, 'index.html'), 'utf8').matchAll(/src="([^"]+\.js)"/g)) visit(name ?? '');
    const page = stats.find((name) => fs.readFileSync(path.join(folder, name), 'utf8').match(new RegExp(`["\x60]${selector}["\x60]`)) !== null);
    if (!page) throw new Error(`no script has the page ${selector}`);
    visit(page);
    return seen;
  };
  const [job, jobs] = [scripts('yl-job-page'), scripts('yl-jobs-page')];
  const styles = fs.readdirSync(folder).filter((name) => name.endsWith('.css'));
  const kB = (names: Iterable<string>, ending: string): number => {
    const sizes = [...names].map((name) => [`${name}.${ending}`, name].map((one) => path.join(folder, one)).find((one) => fs.existsSync(one)) ?? '');
    return sizes.reduce((sum, file) => sum + fs.statSync(file).size, 0) / 1000;
  };
  return [
    rowOf('first-load JavaScript of a job, Brotli (served to `localhost`)', 'under 220 kB', [kB(job, 'br')], { unit: 'kB' }),
    rowOf('first-load JavaScript of a job, gzip (served to other hosts)', '—', [kB(job, 'gz')], { unit: 'kB' }),
    rowOf('first-load JavaScript of the list of jobs, Brotli', 'under 220 kB', [kB(jobs, 'br')], { unit: 'kB' }),
    rowOf('styles, Brotli', 'under 20 kB', [kB(styles, 'br')], { unit: 'kB' }),
  ];
}

const rows = [...coreRows(root), ...layRows(root), ...(await serverRows(root)), ...firstLoad(), ...(await dragRows())];
const text = `# Measured

Made by \`npm run bench\` on ${os.availableParallelism()} cores (${os.cpus()[0]?.model.trim() ?? 'unknown'}), Node ${process.versions.node}, ${new Date().toISOString().slice(0, 10)}.
Times are wall-clock on that machine; each row gives how many runs it stands for. Absolute times double from
one day to the next on a shared machine: the last column sets each against plain work timed in the same run.

${table(rows)}
`;
fs.writeFileSync(path.join(root, 'docs/bench.md'), text);
process.stdout.write(text);
