/** Finding anything by words: what is in the index, whoever wrote it, and how much is forgiven. */
import type { Found } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const find = async (text: string): Promise<Found> => {
  const { status, body } = await server.ask('GET', `/api/find?text=${encodeURIComponent(text)}`);
  expect([text, status]).toEqual([text, 200]);
  return body;
};
const names = async (text: string): Promise<string[]> => (await find(text)).pieces.map(({ name }) => name);
const recordIds = async (text: string): Promise<string[]> => (await find(text)).records.map(({ id }) => id);

test('nothing typed finds nothing', async () => {
  for (const text of ['', ' ', '…', '"']) expect((await find(text)).total).toEqual({ pieces: 0, firings: 0, records: 0, reckonings: 0 });
});

test('pieces, firings and records that have all the words, the newest of each first, with how many there are', async () => {
  const { pieces, firings, records, total } = await find('basin');
  expect(pieces[0].name).toMatch(/basin/i);
  expect(records.map(({ id }) => id)).toContain('basin-mould');
  for (const row of firings) expect(`${row.pieceName} ${row.note}`).toMatch(/basin/i);
  expect(firings.map(({ firedAt }) => firedAt)).toEqual(firings.map(({ firedAt }) => firedAt).sort((a, b) => b - a));
  expect([total.pieces, total.firings, total.records]).toEqual([pieces.length, firings.length, records.length]);
  expect((await find('basin nobodycalledonethis')).total).toEqual({ pieces: 0, firings: 0, records: 0, reckonings: 0 });
});

test.each([
  ['an American spelling', 'basin mold', 'basin-mould'],
  ['a letter left out', 'basn mould', 'basin-mould'],
  ['two letters swapped', 'basin muold', 'basin-mould'],
  ['two slips in a long word', 'boroscilicatte', 'boro-33'],
  ['another name', 'kiln wash', 'mould-nitride'],
])('%s is forgiven', async (_, text, id) => {
  expect(await recordIds(text)).toContain(id);
});

test('a record is found by its new name and its note, no longer by the old one, nor once it is deleted', async () => {
  const { body: shelves } = await server.ask('GET', '/api/shelves');
  const kiln = { ...shelves.kilns[0], id: uuid(), version: 0, name: 'Zwiebelofen' };
  const put = async (record: object) => (await server.ask('PUT', `/api/kilns/${kiln.id}`, record)).body;
  const saved = await put(kiln);
  expect(await recordIds('zwiebel')).toEqual([kiln.id]);
  const renamed = await put({ ...saved, name: 'Krautofen', source: 'weighed by hand' });
  expect([await recordIds('zwiebelofen'), await recordIds('krautofen weighed')]).toEqual([[], [kiln.id]]);
  await server.ask('DELETE', `/api/kilns/${kiln.id}`, { version: renamed.version });
  expect(await recordIds('krautofen')).toEqual([]);
  await server.ask('POST', `/api/kilns/${kiln.id}/restore`, {});
  expect(await recordIds('krautofen')).toEqual([kiln.id]);
});

test('a piece is found by its tags, a firing by what was noted of its load', async () => {
  const [piece] = (await server.ask('GET', '/api/pieces')).body.pieces;
  expect(await names('gartenfest')).toEqual([]);
  await server.ask('PUT', `/api/pieces/${piece.id}/filing`, { tags: ['gartenfest'], finishedAt: null, awayAt: null, patternAt: null });
  expect(await names('gartenfest')).toEqual([piece.name]);
  await server.ask('PUT', `/api/pieces/${piece.id}/filing`, { tags: [], finishedAt: null, awayAt: null, patternAt: null });
  expect(await names('gartenfest')).toEqual([]);
  const [row] = (await server.ask('GET', '/api/firings')).body.firings;
  const { load } = (await server.ask('GET', `/api/firings/${row.id}`)).body.firing;
  const { status } = await server.ask('PUT', `/api/loads/${load.id}`, { version: load.version, openedAt: load.openedAt, note: 'Kurzschluss' });
  expect(status).toBe(200);
  const { firings } = await find('kurzschluss');
  expect(firings.map(({ id }) => id)).toContain(row.id);
});

test('a calculation that was kept is found by its answer until it is let go for newer ones', async () => {
  const keep = (told: string, keptAt: number) =>
    server.ask('POST', '/api/reckonings', { id: uuid(), kind: 'howMuch', typed: { width: '20 cm' }, told, pieceId: null, keptAt });
  expect((await keep('Takes 1.234 kg of Pfauenblau', Date.UTC(2026, 0, 1))).status).toBe(200);
  expect((await find('pfauenblau')).reckonings).toHaveLength(1);
  for (let i = 0; i < 20; i += 1) await keep(`Takes ${i} g`, Date.UTC(2026, 10, 1 + i));
  expect((await find('pfauenblau')).reckonings).toHaveLength(0);
});
