// Measures what docs/quality asks for and writes docs/bench.md: npm run bench
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { coreRows } from './core-rows';
import { dayRows } from './day-rows';
import { dragRows } from './drag-rows';
import { layRows } from './lay-rows';
import { arithmeticLoop, rowOf, table, type Row } from './measure';
import { logRows } from './log-rows';
import { meshRows, turningRows } from './round-rows';
import { paperRows } from './paper-rows';
import { serverRows } from './server-rows';

const root = fileURLToPath(new URL('../..', import.meta.url));

const STATIONS = ['look-over', 'filling', 'template', 'build', 'cover', 'lay', 'bench', 'check'];

/**
 * What a page has to load before it can be used, as the build compressed it: its scripts with all that these name, and the styles. Of a job that is its page together with the station that
 * is open; the core's thread is loaded beside it.
 */
function firstLoad(): Row[] {
  const folder = path.join(root, 'dist/web/browser');
  const files = fs.readdirSync(folder);
  const { initial, routes } = JSON.parse(fs.readFileSync(path.join(root, 'dist/web/scripts.json'), 'utf8')) as {
    readonly initial: readonly string[];
    readonly routes: Readonly<Record<string, readonly string[]>>;
  };
  const scripts = (...names: readonly string[]): string[] => [...new Set([...initial, ...names.flatMap((name) => routes[name] ?? [])])];
  const kB = (names: readonly string[], ending: string): number => {
    const sizes = names.map((name) => [`${name}.${ending}`, name].map((one) => path.join(folder, one)).find((one) => fs.existsSync(one)) ?? '');
    return sizes.reduce((sum, file) => sum + fs.statSync(file).size, 0) / 1000;
  };
  const list = scripts('jobs');
  const jobs = STATIONS.map((station) => ({ station, names: scripts('jobs/:id', station) })).sort((a, b) => kB(a.names, 'br') - kB(b.names, 'br'));
  const build = scripts('jobs/:id', 'build');
  const [least, most] = [jobs[0], jobs.at(-1)];
  if (!least || !most) throw new Error('no stations');
  const thread = files.filter((name) => /^worker-.*\.js$/.test(name) && fs.readFileSync(path.join(folder, name), 'utf8').includes('yardland/advice-answer@1'));
  const loaded = (what: string, goal: string, names: readonly string[], ending = 'br'): Row => rowOf(what, goal, [kB(names, ending)], { unit: 'kB' });
  return [
    loaded('first-load JavaScript of the list of jobs, Brotli (served to `localhost`)', 'under 220 kB', list),
    loaded(`of a job at ${least.station}, which loads least`, 'under 220 kB', least.names),
    loaded('of a job at build', 'under 220 kB', build),
    loaded('of a job at build, gzip (served to other hosts)', '—', build, 'gz'),
    loaded(`of a job at ${most.station}, which loads most`, 'under 220 kB', most.names),
    loaded('the computing core’s thread, loaded beside a job’s page', '—', thread),
    loaded(
      'styles, Brotli',
      'under 20 kB',
      files.filter((name) => name.endsWith('.css')),
    ),
  ];
}

const rows = [
  ...coreRows(root),
  ...meshRows(root, arithmeticLoop()),
  ...layRows(root),
  ...(await serverRows(root)),
  ...(await paperRows(root)),
  ...logRows(),
  ...dayRows(root, arithmeticLoop()),
  ...firstLoad(),
  ...(await dragRows()),
  ...(await turningRows(root)),
];
const text = `# Measured

Made by \`npm run bench\` on ${os.availableParallelism()} cores (${os.cpus()[0]?.model.trim() ?? 'unknown'}), Node ${process.versions.node}, ${new Date().toISOString().slice(0, 10)}.
Times are wall-clock on that machine; each row gives how many runs it stands for. Absolute times double from
one day to the next on a shared machine: the last column sets each against plain work timed in the same run.

${table(rows)}
`;
fs.writeFileSync(path.join(root, 'docs/bench.md'), text);
process.stdout.write(text);
