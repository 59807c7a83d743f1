import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo, Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import { notThere } from './strayed';
import { serveWeb } from './web';

const dir = mkdtempSync(join(tmpdir(), 'torvin-web-'));
let server: Server;
let base: string;

beforeAll(async () => {
  writeFileSync(join(dir, 'index.html'), '<title>Torvin</title>');
  mkdirSync(join(dir, '_expo'));
  writeFileSync(join(dir, '_expo', 'entry-1234.js'), 'void 0');
  const app = express();
  app.post('/api/thing', (_request, response) => void response.json({}));
  app.use('/api', notThere(app));
  serveWeb(app, dir);
  await new Promise<void>((resolve) => {
    server = app.listen(0, '127.0.0.1', () => resolve());
  });
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve));
  rmSync(dir, { recursive: true, force: true });
});

test.each(['/', '/pieces', '/pieces/some-id/run'])('the route %s answers with the page, never cached', async (path) => {
  const response = await fetch(base + path);
  expect(response.status).toBe(200);
  expect(await response.text()).toContain('<title>Torvin</title>');
  expect(response.headers.get('cache-control')).toBe('no-cache');
});

test('files named by their content are kept by the browser', async () => {
  const response = await fetch(`${base}/_expo/entry-1234.js`);
  expect(response.headers.get('cache-control')).toMatch(/immutable/);
});

test.each(['/_expo/entry-5678.js', '/missing.png', '/../package.json'])('a missing file %s is 404, not the page', async (path) => {
  const response = await fetch(base + path);
  expect(response.status).toBe(404);
  expect(await response.text()).not.toContain('<title>');
});

test('what answers any path with the page is no method of the interface for programs', async () => {
  const wrong = await fetch(`${base}/api/thing`);
  expect([wrong.status, wrong.headers.get('allow')]).toEqual([405, 'POST']);
  expect((await fetch(`${base}/api/other`)).status).toBe(404);
});
