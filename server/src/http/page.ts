import fs from 'node:fs';
import path from 'node:path';
import { Router } from 'express';
import expressStaticGzip from 'express-static-gzip';

const NONCE = '%NONCE%';

/** What the build says of the scripts that each route loads besides those of the page. */
interface Preload {
  readonly routes: Readonly<Record<string, readonly string[]>>;
}

/** The station that a job opens at where its address names none. */
const FIRST_STATION = 'template';

/** The routes whose scripts an address needs: a room, or a job with its station. */
function routesOf(address: string): string[] {
  const [room = '', id, , station = FIRST_STATION] = address.split('/').filter(Boolean);
  return room === 'jobs' && id !== undefined ? ['jobs/:id', station] : [room || 'jobs'];
}

/** The scripts that an address loads as links of the page: the browser fetches them at once, and not one after the other as each names the next. Empty without the build's file. */
function preloadLinks(webDir: string): (address: string) => string {
  const file = path.join(webDir, '../preload.json');
  if (!fs.existsSync(file)) return () => '';
  const { routes } = JSON.parse(fs.readFileSync(file, 'utf8')) as Preload;
  return (address) => {
    const names = new Set(routesOf(address).flatMap((route) => routes[route] ?? []));
    return [...names].map((name) => `<link rel="modulepreload" href="/${name}">`).join('');
  };
}

/** The built interface, as the build compressed it where the browser takes that: hashed files cached for ever, the page itself never, with a fresh nonce each time. Deep links get the page, missing files do not. */
export function pages(webDir: string): Router {
  const router = Router();
  const page = fs.readFileSync(path.join(webDir, 'index.html'), 'utf8');
  const linksOf = preloadLinks(webDir);
  router.use(
    expressStaticGzip(webDir, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: {
        setHeaders: (response, file) =>
          response.setHeader(
            'Cache-Control',
            /[-.][A-Za-z0-9_-]{8}\.(?:js|css|woff2?)(?:\.br|\.gz)?$/.test(file) ? 'public, max-age=31536000, immutable' : 'no-cache',
          ),
      },
    }),
  );
  router.get(/^[^.]*$/, (request, response) => {
    response.setHeader('Cache-Control', 'no-store');
    response.type('html').send(page.replaceAll(NONCE, String(response.locals['nonce'])).replace('</head>', `${linksOf(request.path)}</head>`));
  });
  return router;
}
