/** Every route that takes something, against damaged bodies and damaged addresses: an answer or a problem, never a failure. */
import { firingsOf } from '@torvin/core/piece';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { asc, eq, isNull } from 'drizzle-orm';
import { damaged, sequence } from '../test/damage';
import { DATABASE_FILE } from '../db/database';
import { firings, loads, pieces, records, schedules } from '../db/tables';
import { type TestServer, startTestServer } from '../test/testServer';

jest.setTimeout(300_000);

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const ROUNDS = process.env.LONG === '1' ? 500 : 40;

interface Operation {
  requestBody?: { content: Record<string, { examples?: Record<string, { value: unknown }> }> };
}

/** What a whole request names, as it stands in the demo. */
function standing(): Record<'piece' | 'schedule' | 'firing' | 'load', { id: string; version: number }> & {
  stepId: string;
  records: { id: string; kind: string; version: number }[];
} {
  const { db } = server.opened;
  const [{ piece, schedule }] = db
    .select({ piece: pieces, schedule: { id: schedules.id } })
    .from(pieces)
    .innerJoin(schedules, eq(schedules.pieceId, pieces.id))
    .where(isNull(pieces.deletedAt))
    .orderBy(asc(pieces.createdAt), asc(pieces.id))
    .limit(1)
    .all();
  const [firing] = db.select({ id: firings.id, version: firings.version }).from(firings).where(isNull(firings.deletedAt)).limit(1).all();
  const [load] = db.select({ id: loads.id, version: loads.version }).from(loads).limit(1).all();
  return {
    piece,
    schedule: { id: schedule.id, version: 1 },
    firing,
    load,
    stepId: firingsOf(piece.doc)[0].id,
    records: db.select({ id: records.id, kind: records.kind, version: records.version }).from(records).all(),
  };
}

/** Ids of the examples, in their order: of a piece, layer, step, schedule, firing. */
const exampleId = (n: number): string => `0198c5a2-0000-7000-8000-${String(n).padStart(12, '0')}`;

const SUBJECTS = { pieces: 'piece', schedules: 'schedule', firings: 'firing', loads: 'load' } as const;

/** The address of a real thing, and the example as a request about it. */
function real(path: string, example: unknown): { path: string; body: unknown } {
  const now = standing();
  const [, , place] = path.split('/');
  const subject =
    place in SUBJECTS ? now[SUBJECTS[place as keyof typeof SUBJECTS]] : (now.records.find(({ kind }) => kind === place) ?? { id: 'clear-90', version: 1 });
  const version = 'version' in subject ? Number(subject.version) : 1;
  const body = JSON.stringify(example)
    .replaceAll(exampleId(1), path.includes('{id}') || place === 'firings' ? now.piece.id : exampleId(1))
    .replaceAll(exampleId(3), now.stepId)
    .replaceAll(place === 'firings' ? exampleId(4) : 'none', now.schedule.id)
    .replace(/"(version|pieceVersion)":3/g, `"$1":${version}`);
  return { path: path.replace('{id}', subject.id), body: JSON.parse(body) };
}

test(`each of ${ROUNDS} damaged bodies on every route is answered or refused with a problem`, async () => {
  const { body: document } = await server.ask('GET', '/api/openapi.json');
  const routes = Object.entries(document.paths as Record<string, Record<string, Operation>>).flatMap(([path, methods]) =>
    Object.entries(methods).flatMap(([method, { requestBody }]) => {
      const examples = Object.values(requestBody?.content['application/json']?.examples ?? {});
      return path.startsWith('/api/compute') || examples.length === 0 ? [] : [{ method: method.toUpperCase(), path, example: examples[0].value }];
    }),
  );
  expect(routes.length).toBeGreaterThan(40);
  const statuses = new Map<number, number>();
  for (const { method, path, example } of routes) {
    const random = sequence(11);
    for (let i = 0; i < ROUNDS; i += 1) {
      const whole = real(path, example);
      const input = damaged(whole.body, random);
      const { status, body } = await server.ask(method, whole.path, input, {
        'Idempotency-Key': `damaged-${method}${path.replace(/\W/g, '-')}-${i}`.slice(0, 100),
      });
      if (status >= 500) throw new Error(`${status} from ${method} ${whole.path} for ${JSON.stringify(input)}: ${JSON.stringify(body)}`);
      if (status >= 400)
        expect([path, body]).toEqual([
          path,
          expect.objectContaining({ code: expect.any(String), path: expect.any(String), message: expect.stringMatching(/\S/) }),
        ]);
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
    }
  }
  // Both happen: what is refused, and what is whole still after its damage.
  expect(statuses.get(200)).toBeGreaterThan(routes.length);
  expect(statuses.get(422)).toBeGreaterThan(routes.length * 5);
}, 1_800_000);

test('addresses of nothing, of everything and out of the folder are no failures either', async () => {
  const { body: document } = await server.ask('GET', '/api/openapi.json');
  const odd = ['', ' ', '%00', '%E0%A4%A', '..', '%2e%2e%2f%2e%2e%2ftorvin.db', "' or 1=1 --", '*', 'x'.repeat(3000), '\u{1F3FA}', 'null', '-1'];
  for (const [path, methods] of Object.entries(document.paths as Record<string, Record<string, Operation>>)) {
    if (!path.includes('{')) continue;
    for (const [method, { requestBody }] of Object.entries(methods)) {
      const example = Object.values(requestBody?.content['application/json']?.examples ?? {})[0]?.value;
      for (const id of odd) {
        const at = path.replace(/\{\w+\}/, id.startsWith('%') ? id : encodeURIComponent(id));
        const answer = await fetch(server.base + at, {
          method: method.toUpperCase(),
          ...(example === undefined ? {} : { body: JSON.stringify(example), headers: { 'Content-Type': 'application/json' } }),
        });
        if (answer.status >= 500) throw new Error(`${answer.status} from ${method} ${at}: ${await answer.text()}`);
        await answer.arrayBuffer();
      }
    }
  }
  expect(existsSync(join(server.dataDir, DATABASE_FILE))).toBe(true);
});

test.each(['/api/photos', '/api/backups/restore', '/api/import'])('bytes of no meaning to %s are refused', async (path) => {
  const random = sequence(3);
  const type = { '/api/photos': 'image/jpeg', '/api/backups/restore': 'application/zip', '/api/import': 'application/json' }[path] ?? '';
  for (let i = 0; i < ROUNDS; i += 1) {
    const bytes = Uint8Array.from({ length: Math.floor(random() * 2000) }, () => Math.floor(random() * 256));
    const answer = await fetch(server.base + path, { method: 'POST', body: bytes, headers: { 'Content-Type': type } });
    expect([path, [400, 422].includes(answer.status), await answer.json()]).toEqual([path, true, expect.objectContaining({ message: expect.any(String) })]);
  }
});

test('bodies nested deeper than anything that is asked for are refused, on every route that takes one', async () => {
  const { body: document } = await server.ask('GET', '/api/openapi.json');
  const nests = [65, 5000, 60_000].flatMap((deep) => ['['.repeat(deep) + ']'.repeat(deep), '{"doc":'.repeat(deep) + '1' + '}'.repeat(deep)]);
  let asked = 0;
  for (const [path, methods] of Object.entries(document.paths as Record<string, Record<string, Operation>>))
    for (const [method, { requestBody }] of Object.entries(methods)) {
      if (!requestBody?.content['application/json']) continue;
      for (const body of [...nests, `{"name":${nests[2]},"version":${nests[3]}}`]) {
        const { status, body: told } = await server.ask(method.toUpperCase(), path.replace(/\{\w+\}/, 'clear-90'), body);
        if (status >= 500 || status < 400) throw new Error(`${status} from ${method} ${path}: ${JSON.stringify(told)}`);
        expect(told.message.length).toBeLessThan(500);
        asked += 1;
      }
    }
  expect(asked).toBeGreaterThan(400);
});

test('queries of no meaning are refused or answered', async () => {
  for (const query of [
    'look=pot',
    'result=%00',
    'after=~',
    'after=x~y',
    `text=${'x'.repeat(2000)}`,
    'text=%25_%5C',
    'piece[]=1',
    'kiln=1&kiln=2',
    'text[a]=1',
  ]) {
    const { status } = await server.ask('GET', `/api/firings?${query}`);
    expect([query, [200, 422].includes(status)]).toEqual([query, true]);
  }
});
