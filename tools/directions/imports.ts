import fs from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import type { Import } from './rules';

function files(folder: string): string[] {
  return fs.readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const place = path.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'node_modules' ? [] : files(place);
    return entry.name.endsWith('.ts') ? [place] : [];
  });
}

/** Every import of the TypeScript files below the given folders, relative ones resolved to paths from the root. */
export function importsOf(root: string, folders: readonly string[]): Import[] {
  return folders.flatMap((folder) =>
    files(path.join(root, folder)).flatMap((file) =>
      ts.preProcessFile(fs.readFileSync(file, 'utf8'), true, true).importedFiles.map(({ fileName }): Import => {
        const from = path.relative(root, file).replaceAll('\\', '/');
        if (!fileName.startsWith('.')) return { from, to: fileName };
        const to = path.relative(root, path.resolve(path.dirname(file), fileName)).replaceAll('\\', '/');
        return { from, to: /\.(json|ts)$/.test(to) ? to : `${to}.ts` };
      }),
    ),
  );
}
