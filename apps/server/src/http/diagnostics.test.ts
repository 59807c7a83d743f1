/** What goes with a report of a fault has what finds one, and nothing that anybody wrote. */
import { KIND_LIST } from '@torvin/schema';
import { keepLastLines } from './lastLines';
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer(undefined, undefined, { names: ['secret.example'] });
  await server.access.changePasscode('a secret passcode', null);
  await server.access.enter('a secret passcode', 'Phone of Ines');
});
afterAll(() => server.stop());

test('it tells versions, settings, counts and sizes', async () => {
  const { status, body } = await server.ask('GET', '/api/diagnostics');
  expect(status).toBe(200);
  expect(body.versions).toMatchObject({ torvin: 'test', node: process.version, sqlite: expect.stringMatching(/^3\.\d+/) });
  expect(body.settings).toMatchObject({ temperatureUnit: 'C', listens: 'on this computer alone', furtherNames: '1', passcode: true, diskFull: false });
  const pieces = await server.pieces();
  expect(body.counts).toMatchObject({ pieces: pieces.length, devices: 1, backups: 0 });
  expect(KIND_LIST.every((kind) => typeof body.counts[kind] === 'number')).toBe(true);
  expect([body.database_bytes, body.free_bytes, body.memory_bytes].every((bytes) => bytes > 100_000)).toBe(true);
});

test('not a word of names, notes, places, pictures or passcodes is in it, nor of what failed', async () => {
  const pieces = await server.pieces();
  const shelves = (await server.ask('GET', '/api/shelves')).body;
  const { firings } = (await server.ask('GET', '/api/firings')).body;
  const written = [
    ...pieces.flatMap(({ id, name }) => [id, name]),
    ...KIND_LIST.flatMap((kind) => shelves[kind].flatMap(({ id, name, source, note }: Record<string, string>) => [id, name, source, note])),
    ...firings.flatMap(({ id, note, place, photos }: { id: string; note: string; place: string; photos: string[] }) => [id, note, place, ...photos]),
    ...['secret.example', 'a secret passcode', 'Phone of Ines', server.dataDir],
  ].filter((words): words is string => typeof words === 'string' && words.length > 3);
  expect(written.length).toBeGreaterThan(60);
  const told = JSON.stringify((await server.ask('GET', '/api/diagnostics')).body);
  expect(written.filter((words) => told.includes(words))).toEqual([]);
});

test('an error is logged by its kind and where it came about, without what it says and without folders', () => {
  const lines = keepLastLines(() => 0);
  const error = new TypeError("There is no piece 'Bowl for Ines'.");
  error.stack = `TypeError: There is no piece 'Bowl for Ines'.\n    at save (/home/ines/torvin/dist/server/main.mjs:12:3)\n    at file:///home/ines/torvin/x.mjs:1:2`;
  lines.failed('500 PUT /api/pieces/:id', error);
  expect(lines.lines()).toEqual(['1970-01-01T00:00:00.000Z 500 PUT /api/pieces/:id | TypeError | at save (main.mjs:12:3) | at (x.mjs:1:2)']);
  for (let i = 0; i < 300; i += 1) lines.add(`line ${i}`);
  expect([lines.lines().length, lines.lines().at(-1)]).toEqual([200, '1970-01-01T00:00:00.000Z line 299']);
});
