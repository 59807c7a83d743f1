/** Serves the exported web app: files as they are, index.html for routes, 404 for anything that looks like a file. */
import { extname, join } from 'node:path';
import express, { type Express } from 'express';

/** Expo names these by their content, so they never change. */
const HASHED = /^\/(_expo|assets)\//;
const A_YEAR_S = 31536000;

export function serveWeb(app: Express, webDir: string): void {
  app.use(
    express.static(webDir, {
      index: false,
      setHeaders(response) {
        const path = response.req.path;
        response.set('Cache-Control', HASHED.test(path) ? `public, max-age=${A_YEAR_S}, immutable` : 'no-cache');
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
