/** What was reckoned and kept: once however often it is sent, the newest of it, with what was typed; a piece that goes takes none of it. */
import { RECKONINGS_KEPT, type Reckoning } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

const AT = Date.UTC(2026, 10, 27, 12);
const reckoned = (more: object = {}) => ({ id: uuid(), kind: 'howMuch', typed: { width: '80 mm' }, told: '1.2 kg', keptAt: AT, ...more });
const keep = (body: object) => server.ask('POST', '/api/reckonings', body);
const kept = async (): Promise<Reckoning[]> => (await server.ask('GET', '/api/reckonings')).body;

test('is kept once, with what was typed and where it was asked from', async () => {
  const { pieces } = (await server.ask('GET', '/api/pieces')).body;
  const one = reckoned({ pieceId: pieces[0].id });
  expect((await keep(one)).body).toMatchObject({ typed: { width: '80 mm' }, pieceName: pieces[0].name });
  expect((await keep(one)).status).toBe(200);
  expect(await kept()).toHaveLength(1);
  expect((await keep(reckoned({ pieceId: uuid() }))).body).toMatchObject({ pieceId: null, pieceName: null });
});

test(`of more than ${RECKONINGS_KEPT} the oldest go`, async () => {
  for (let i = 0; i < RECKONINGS_KEPT + 3; i++) expect((await keep(reckoned({ told: `number ${i}`, keptAt: AT + i }))).status).toBe(200);
  const left = await kept();
  expect(left.map(({ told }) => told)).toEqual(Array.from({ length: RECKONINGS_KEPT }, (_, i) => `number ${RECKONINGS_KEPT + 2 - i}`));
});

test.each([
  ['a kind that there is not', { kind: 'guess' }, 'kind'],
  ['no answer', { told: '' }, 'told'],
  ['something else than words', { typed: { width: 80 } }, 'typed.width'],
  ['more fields than any sheet has', { typed: Object.fromEntries(Array.from({ length: 200 }, (_, i) => [`f${i}`, '1'])) }, 'typed'],
])('%s is refused where it stands', async (_, more, path) => {
  const { status, body } = await keep(reckoned(more));
  expect([status, body.path]).toEqual([422, path]);
});
