import fs from 'node:fs';
import path from 'node:path';
import { Router } from 'express';
import expressStaticGzip from 'express-static-gzip';

const NONCE = '%NONCE%';

/** The built interface, as the build compressed it where the browser takes that: hashed files cached for ever, the page itself never, with a fresh nonce each time. Deep links get the page, missing files do not. */
export function pages(webDir: string): Router {
  const router = Router();
  const page = fs.readFileSync(path.join(webDir, 'index.html'), 'utf8');
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
  router.get(/^[^.]*$/, (_request, response) => {
    response.setHeader('Cache-Control', 'no-store');
    response.type('html').send(page.replaceAll(NONCE, String(response.locals['nonce'])));
  });
  return router;
}
