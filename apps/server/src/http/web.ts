/** Serves the exported web app: files as they are or as they were compressed when it was built, index.html for routes, 404 for anything that looks like a file. */
import { extname, join, relative, sep } from 'node:path';
import type { Express } from 'express';
import staticCompressed from 'express-static-gzip';

/** What is in these is named by its content, so it never changes. */
const HASHED = /^(_expo|assets|workers)\//;
const A_YEAR_S = 31536000;

export function serveWeb(app: Express, webDir: string): void {
  app.use(
    staticCompressed(webDir, {
      enableBrotli: true,
      index: false,
      orderPreference: ['br'],
      serveStatic: {
        setHeaders(response, path) {
          const asked = relative(webDir, path).split(sep).join('/');
          response.setHeader('Cache-Control', HASHED.test(asked) ? `public, max-age=${A_YEAR_S}, immutable` : 'no-cache');
        },
      },
    }),
  );
  app.get('/{*path}', (request, response) => {
    if (extname(request.path) !== '') {
      response.status(404).type('text').send('Not found');
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(join(webDir, 'index.html'));
  });
}
