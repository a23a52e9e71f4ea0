// Which scripts each page of the interface loads, from the routes and the build's own record of what it put where.
import fs from 'node:fs';
import path from 'node:path';
import { root } from './lib.mjs';

/** The routes that load a page or a station, each with its source file. */
function routes() {
  const text = fs.readFileSync(path.join(root, 'web/src/app/routes.ts'), 'utf8');
  return [...text.matchAll(/path: '([^']+)',[^{}]*?import\('\.\/([^']+)'\)/g)].map(([, route, file]) => ({ route, source: `web/src/app/${file}.ts` }));
}

/**
 * The scripts that every page loads, and by route those that are loaded besides before it can be used; `stats` is what the build wrote of its outputs. What is fetched when it is wanted is not
 * among them.
 */
export function preloads({ outputs }) {
  const closure = (name, seen = new Set()) => {
    if (!outputs[name] || seen.has(name)) return seen;
    seen.add(name);
    for (const { path: next, kind } of outputs[name].imports) if (kind === 'import-statement') closure(next, seen);
    return seen;
  };
  const holding = (source) => {
    const found = Object.keys(outputs).find((name) => name.endsWith('.js') && outputs[name].inputs[source]);
    if (!found) throw new Error(`no script has ${source}`);
    return found;
  };
  const initial = closure(holding('web/src/main.ts'));
  const beside = (source) => [...closure(holding(source))].filter((name) => !initial.has(name));
  return { initial: [...initial], routes: Object.fromEntries(routes().map(({ route, source }) => [route, beside(source)])) };
}
