/** The interface for programs as a page: every call with what it takes and answers, to be read and tried. */
import { existsSync } from 'node:fs';
import type { Express } from 'express';

/** The package's one file, with its own fonts off: what ships is all that is read. */
const SCRIPT = '/api/reference.js';

/**
 * The same document under an older version of its format: the page's package follows the references of 3.1 with a reader that takes 25 s
 * for what its reader of 3.0 does in 2 s, and shows the same.
 */
const DOCUMENT = '/api/reference.json';
const FORMAT = '3.0.3';

const PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Torvin for programs</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml" />
    <script type="module" src="${SCRIPT}"></script>
    <style>
      html, body { height: 100%; margin: 0; }
      body { display: flex; flex-direction: column; color: #10201c; background: #f6faf8; font-family: sans-serif; }
      p { margin: 0; padding: 12px 16px; max-width: 70ch; line-height: 1.4; }
      rapi-doc { flex: 1; min-height: 0; width: 100%; }
    </style>
  </head>
  <body>
    <p>
      What programs can ask of this studio. A call that is tried here is done: what it changes is changed. The document itself is
      <a href="/api/openapi.json">openapi.json</a>.
    </p>
    <rapi-doc
      spec-url="${DOCUMENT}"
      load-fonts="false"
      regular-font="sans-serif"
      mono-font="monospace"
      theme="light"
      bg-color="#F6FAF8"
      text-color="#10201C"
      primary-color="#1F3FC4"
      render-style="view"
      schema-style="table"
      show-header="false"
      allow-server-selection="false"
      allow-authentication="false"
      use-path-in-nav-bar="false"
      sort-endpoints-by="none"
    ></rapi-doc>
  </body>
</html>
`;

/** script: where the package's file lies; without it the document alone is served. */
export function serveReference(app: Express, script: string | undefined, openApi: () => object): void {
  if (script === undefined || !existsSync(script)) return;
  app.get('/api', (_request, response) => {
    response.set('Cache-Control', 'no-cache').type('html').send(PAGE);
  });
  app.get(DOCUMENT, (_request, response) => {
    response.set('Cache-Control', 'no-cache').json({ ...openApi(), openapi: FORMAT });
  });
  app.get(SCRIPT, (_request, response) => {
    response.sendFile(script, { maxAge: '1h' });
  });
}
