// What the build has split into hundreds of small scripts becomes a few: a page asks for eight instead of sixty, which opens it sooner.
import fs from 'node:fs';
import path from 'node:path';
import { rollup } from 'rollup';
import { root } from './lib.mjs';

const JOB = 'jobs/:id';
const STATIONS = ['look-over', 'filling', 'template', 'build', 'cover', 'lay', 'bench', 'check'];
/** The room that is opened most, and first. */
const LIST = 'jobs';
/** Rooms that share much with single stations: what they share goes by the stations alone, or every station would load it. */
const BESIDE = new Set(['book', 'day']);

/** The routes that load a page or a station, each with its source file. */
function routes() {
  const text = fs.readFileSync(path.join(root, 'web/src/app/routes.ts'), 'utf8');
  return [...text.matchAll(/path: '([^']+)',[^{}]*?import\('\.\/([^']+)'\)/g)].map(([, route, file]) => ({ route, source: `web/src/app/${file}.ts` }));
}

/** The scripts that a script needs before it can run, itself among them. What is fetched when it is wanted is not. */
function closure(imports, name, seen = new Set()) {
  if (!imports.has(name) || seen.has(name)) return seen;
  seen.add(name);
  for (const next of imports.get(name)) closure(imports, next, seen);
  return seen;
}

const scriptOf = (holds, source) => {
  const found = [...holds].find(([, sources]) => sources.has(source));
  if (!found) throw new Error(`no script has ${source}`);
  return found[0];
};

/** Which scripts are needed by every page, and by each route besides. `imports`: what each script names; `holds`: the sources in each. */
function routeScripts(imports, holds) {
  const initial = closure(imports, scriptOf(holds, 'web/src/main.ts'));
  const beside = (source) => [...closure(imports, scriptOf(holds, source))].filter((name) => !initial.has(name));
  return { initial: [...initial], routes: Object.fromEntries(routes().map(({ route, source }) => [route, beside(source)])) };
}

/**
 * The script that one of the build's small ones goes into, by the routes that need it; undefined for one that stays with the page that alone needs it. Whatever a script names is needed
 * by at least the same routes, so that these never name each other in a circle.
 */
function mergedName(all) {
  const needed = new Set([...all].filter((route) => !BESIDE.has(route)));
  if (needed.size === 0) return all.size > 1 ? 'beside' : undefined;
  const stations = STATIONS.filter((station) => needed.has(station));
  const rooms = [...needed].filter((route) => route !== JOB && !STATIONS.includes(route));
  const job = needed.has(JOB) || stations.length > 0;
  if (rooms.includes(LIST) && (job || rooms.length > 1)) return 'list-and-more';
  if (rooms.length && job) return 'rooms-and-job';
  if (rooms.length) return rooms.length > 1 ? 'rooms' : undefined;
  if (needed.has(JOB)) return 'job';
  return stations.length > 2 ? 'stations' : stations.length === 2 ? stations.join('-and-') : undefined;
}

/** Merges the scripts in `folder`, which `stats` (the build's own record) tells of; renews the page that names them, and returns which of the new ones each route needs. */
export async function mergeChunks(folder, { outputs }) {
  const scripts = Object.entries(outputs).filter(([name]) => /^(main|chunk)-.*\.js$/.test(name));
  const holds = new Map(scripts.map(([name, { inputs }]) => [name, new Set(Object.keys(inputs))]));
  const before = routeScripts(
    new Map(scripts.map(([name, { imports }]) => [name, imports.filter(({ kind }) => kind === 'import-statement').map((one) => one.path)])),
    holds,
  );
  const needed = new Map();
  for (const [route, names] of Object.entries(before.routes)) for (const name of names) needed.set(name, (needed.get(name) ?? new Set()).add(route));
  const entry = scriptOf(holds, 'web/src/main.ts');
  const initial = new Set(before.initial.filter((name) => name !== entry));

  const bundle = await rollup({
    input: path.join(folder, entry),
    // Everything is there because the build found it needed.
    treeshake: false,
    preserveEntrySignatures: 'allow-extension',
    onwarn: ({ message }) => {
      throw new Error(message);
    },
  });
  const { output } = await bundle.generate({
    format: 'es',
    compact: true,
    entryFileNames: 'main-[hash].js',
    chunkFileNames: 'chunk-[hash].js',
    manualChunks: (id) => (initial.has(path.basename(id)) ? 'every-page' : mergedName(needed.get(path.basename(id)) ?? new Set())),
  });
  await bundle.close();

  for (const [name] of scripts) fs.rmSync(path.join(folder, name));
  for (const { fileName, code } of output) fs.writeFileSync(path.join(folder, fileName), code);
  const after = routeScripts(
    new Map(output.map(({ fileName, imports }) => [fileName, imports])),
    new Map(output.map(({ fileName, modules }) => [fileName, new Set(Object.keys(modules).flatMap((id) => [...(holds.get(path.basename(id)) ?? [])]))])),
  );
  const [main, ...others] = after.initial;
  const page = path.join(folder, 'index.html');
  const links = others.map((name) => `<link rel="modulepreload" href="${name}">`).join('');
  const html = fs
    .readFileSync(page, 'utf8')
    .replace(/<link rel="modulepreload"[^>]*>\s*/g, '')
    .replace(entry, main)
    .replace('</head>', `${links}</head>`);
  fs.writeFileSync(page, html);
  return after;
}
