// Builds the interface with Angular, and the server as one file beside its workers' tasks; packages stay outside, core goes in.
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { ensurePackages, must, root, stamped } from './lib.mjs';

ensurePackages();
const { build } = await import('esbuild');
const { mergeChunks } = await import('./merge-chunks.mjs');
const { bundleServer } = await import('./server-bundle.mjs');
/** Scripts and styles compressed beside themselves once, as tightly as it goes, instead of loosely at every request. Brotli is taken by browsers that reach the server by `localhost` or over TLS. */
function compressed(folder) {
  for (const name of fs.readdirSync(folder).filter((one) => /\.(js|css)$/.test(one))) {
    const file = path.join(folder, name);
    const content = fs.readFileSync(file);
    // What comes out larger than it went in is served as it is.
    const variants = [
      ['br', brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: content.length } })],
      ['gz', gzipSync(content, { level: 9 })],
    ];
    for (const [ending, smaller] of variants) if (smaller.length < content.length) fs.writeFileSync(`${file}.${ending}`, smaller);
  }
}

/** What the service worker keeps from the start: every file but the page, which comes with a nonce of its own. A file whose name has no hash is told by its content. */
function keptFiles(folder) {
  const names = fs.readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((name) => name.split(path.sep).join('/'));
  return names
    .filter((name) => /\.(js|css|woff2?|svg|png|webmanifest)$/.test(name) && name !== 'service-worker.js')
    .sort()
    .map((name) => {
      const hashed = /[-.][A-Za-z0-9_-]{8}\.(?:js|css|woff2?)$/.test(name);
      return {
        url: `/${name}`,
        revision: hashed
          ? null
          : createHash('sha256')
              .update(fs.readFileSync(path.join(folder, name)))
              .digest('hex')
              .slice(0, 16),
      };
    });
}

await stamped(async () => {
  must(process.execPath, ['node_modules/@angular/cli/bin/ng.js', 'build', '--progress=false', '--stats-json']);
  const browser = path.join(root, 'dist/web/browser');
  const stats = path.join(root, 'dist/web/stats.json');
  const scripts = await mergeChunks(browser, JSON.parse(fs.readFileSync(stats, 'utf8')));
  fs.rmSync(stats);
  fs.writeFileSync(path.join(root, 'dist/web/scripts.json'), JSON.stringify(scripts));
  await build({
    absWorkingDir: root,
    entryPoints: ['web/src/app/offline/service.worker.ts'],
    outfile: path.join(browser, 'service-worker.js'),
    bundle: true,
    minify: true,
    target: 'es2022',
    format: 'iife',
    define: { 'self.__WB_MANIFEST': JSON.stringify(keptFiles(browser)), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
  compressed(browser);

  await bundleServer('dist/server');
});
