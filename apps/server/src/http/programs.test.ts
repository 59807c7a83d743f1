/** What stands in which program: the newest stands, what it was keyed over says so, and nothing is kept that could not be keyed. */
import { firingsOf } from '@torvin/core/piece';
import type { Program } from '@torvin/schema';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { firings, pieces as pieceRows, schedules } from '../db/tables';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
let now = NOW;
beforeEach(async () => {
  now = NOW;
  server = await startTestServer(undefined, undefined, { now: () => now });
});
afterEach(() => server.stop());

const HOUR_MS = 3600e3;
const rows = [
  { rate: 200, target: 790, hold_min: 15 },
  { rate: 4000, target: 515, hold_min: 60 },
];
const standing = async (schedule = ''): Promise<Program[]> => (await server.ask('GET', `/api/programs${schedule ? `?schedule=${schedule}` : ''}`)).body;
const keyed = (more: object) => ({ ...{ id: uuid(), controllerId: 'grey-box', slot: 6, scheduleId: null, rows, keyedAt: NOW }, ...more });
const send = (program: object) => server.ask('POST', '/api/programs', program);

async function scheduleOf(name: string, step = 0): Promise<string> {
  return firingsOf((await server.piece(name)).doc)[step].scheduleId ?? '';
}

test('the demo’s controllers hold what was keyed last; the older one is marked with when it was keyed over', async () => {
  const tiles = await scheduleOf('Test tiles, clear');
  const found = await standing(tiles);
  const of = (slot: number): Program[] => found.filter((one) => one.slot === slot && one.controllerId === 'grey-box');
  expect(of(3).map(({ pieceName, keyedOverAt }) => [pieceName, keyedOverAt !== null])).toEqual([
    ['Bird-bath basin', false],
    ['Test tiles, clear', true],
  ]);
  expect(of(3)[1].keyedOverAt).toBe(of(3)[0].keyedAt);
  expect(of(4)).toMatchObject([{ pieceName: 'Tray, smallest of three', slips: 0 }]);
  expect(of(5)).toMatchObject([{ pieceName: 'Plaque no. 14', readAt: null, slips: null }]);
  expect((await standing()).every(({ keyedOverAt }) => keyedOverAt === null)).toBe(true);
});

test('keyed once however often it is sent; keyed again, the same schedule is not keyed over', async () => {
  const scheduleId = await scheduleOf('Plaque no. 14');
  const program = keyed({ scheduleId });
  expect((await send(program)).body).toMatchObject({ slot: 6, pieceName: 'Plaque no. 14', keyedOverAt: null });
  expect((await send(program)).status).toBe(200);
  expect((await send({ ...program, slot: 5 })).status).toBe(409);
  const again = keyed({ scheduleId, keyedAt: NOW + 1000, readAt: NOW + 1000, slips: 2 });
  expect((await send(again)).status).toBe(200);
  const found = (await standing(scheduleId)).filter(({ slot }) => slot === 6);
  expect(found).toMatchObject([{ id: again.id, slips: 2, keyedOverAt: null }]);
  // Sent late, what was keyed before stands no more.
  await send(keyed({ keyedAt: NOW - HOUR_MS }));
  expect((await standing()).find(({ slot }) => slot === 6)).toMatchObject({ id: again.id });
  // Something that nobody knows.
  await send(keyed({ keyedAt: NOW + 2000, rows: [] }));
  const over = (await standing(scheduleId)).filter(({ slot }) => slot === 6);
  expect(over.map(({ pieceName, keyedOverAt }) => [pieceName, keyedOverAt])).toEqual([
    [null, null],
    ['Plaque no. 14', NOW + 2000],
  ]);
});

test('of two keyed at one moment the one that came last stands', async () => {
  const [first, second] = [keyed({}), keyed({ rows: [] })];
  await send(second);
  await send(first);
  const there = (await standing()).filter(({ slot, controllerId }) => slot === 6 && controllerId === 'grey-box');
  expect(there.map(({ id }) => id)).toEqual([first.id]);
});

describe('clocks that are wrong', () => {
  const stands = async () => (await standing()).find(({ slot, controllerId }) => slot === 6 && controllerId === 'grey-box');
  const YEARS_MS = 5 * 365 * 24 * HOUR_MS;

  test('what a server stored while its clock was years ahead hides nothing that comes later, and can be taken out', async () => {
    const before = keyed({ keyedAt: NOW - HOUR_MS });
    await send(before);
    now = NOW + YEARS_MS;
    const wrong = keyed({ keyedAt: NOW + YEARS_MS });
    expect((await send(wrong)).status).toBe(200);
    now = NOW;
    expect(await stands()).toMatchObject({ id: wrong.id });
    const next = keyed({});
    await send(next);
    expect(await stands()).toMatchObject({ id: next.id });
    for (const { id } of [next, wrong]) expect((await server.ask('DELETE', `/api/programs/${id}`, {})).body).toEqual({ ok: true });
    expect(await stands()).toMatchObject({ id: before.id });
    expect((await server.ask('DELETE', `/api/programs/${wrong.id}`, {})).status).toBe(200);
    expect((await server.ask('POST', `/api/programs/${next.id}/restore`, {})).body).toMatchObject({ id: next.id, keyedOverAt: null });
    expect(await stands()).toMatchObject({ id: next.id });
    expect((await server.ask('DELETE', `/api/programs/${uuid()}`, {})).status).toBe(404);
  });

  test('a server that is behind takes what a phone says, with by how much they differ; without the phone’s clock it refuses', async () => {
    const ahead = keyed({ keyedAt: NOW + 30 * HOUR_MS });
    expect((await send(ahead)).status).toBe(422);
    const answer = await server.ask('POST', '/api/programs', ahead, { 'Torvin-Clock': String(NOW + 30 * HOUR_MS + 5000) });
    expect([answer.status, answer.body.ahead_s]).toEqual([200, 30 * 3600 + 5]);
    expect(await stands()).toMatchObject({ id: ahead.id });
    // By one clock it was keyed before this one, which came last.
    const here = keyed({ keyedAt: NOW + 1000 });
    await send(here);
    expect(await stands()).toMatchObject({ id: here.id, ahead_s: 0 });
  });

  test('a start, its opening and its result too', async () => {
    const piece = await server.piece('Sundial disc');
    for (const { id, version, at: began } of (await server.ask('GET', '/api/loads')).body)
      await server.ask('PUT', `/api/loads/${id}`, { version, openedAt: began + 1 }, { 'Torvin-Clock': String(NOW + 90 * HOUR_MS) });
    const at = NOW + 100 * HOUR_MS;
    const clock = (ms: number) => ({ 'Torvin-Clock': String(ms) });
    const firing = {
      id: uuid(),
      pieceId: piece.id,
      scheduleId: firingsOf(piece.doc)[0].scheduleId,
      firedAt: at,
      zone: 'UTC',
      result: null,
      note: '',
      asItIs: true,
    };
    expect((await server.ask('POST', '/api/firings', firing)).status).toBe(422);
    const started = await server.ask('POST', '/api/firings', firing, clock(at));
    expect(started.status).toBe(200);
    const { load, version } = started.body;
    expect(load.ahead_s).toBe(100 * 3600);
    const saved = (on: number, firedAt: number) =>
      server.ask('PUT', `/api/firings/${firing.id}`, { version: on, firedAt, zone: 'UTC', result: null, note: '' }, clock(at + 2 * HOUR_MS));
    // Another note alone says nothing of its start; a start told anew is by the clock of whoever tells it.
    expect((await saved(version, at)).body.firing.load).toMatchObject({ at, ahead_s: 100 * 3600 });
    const again = (await saved(version + 1, at - HOUR_MS)).body.firing;
    expect(again.load).toMatchObject({ at: at - HOUR_MS, ahead_s: 102 * 3600 });
    expect((await saved(version + 2, at)).body.firing.load.at).toBe(at);
    const opened = { version: load.version + 2, openedAt: at + 40 * HOUR_MS };
    expect((await server.ask('PUT', `/api/loads/${load.id}`, opened)).status).toBe(422);
    expect((await server.ask('PUT', `/api/loads/${load.id}`, opened, clock(at + 41 * HOUR_MS))).status).toBe(200);
    // Noted by a device whose clock has not come there: what was told of the opening stands.
    expect((await server.ask('PUT', `/api/loads/${load.id}`, { version: opened.version + 1, note: 'x' })).body).toMatchObject({
      note: 'x',
      openedAt: opened.openedAt,
    });
  });
});

test.each([
  ['a program that it does not have', { slot: 8 }, 422, 'slot'],
  ['one that came with it', { slot: 2 }, 422, 'slot'],
  ['more segments than it holds', { rows: Array.from({ length: 15 }, () => rows[0]) }, 422, 'rows'],
  ['a time to come', { keyedAt: NOW + HOUR_MS }, 422, 'keyedAt'],
  ['a controller that is not there', { controllerId: 'no-box' }, 404, 'id'],
  ['a schedule that is not there', { scheduleId: uuid() }, 404, 'id'],
  ['slips without a reading back', { slips: 1 }, 422, 'slips'],
])('refuses %s', async (_, more, status, path) => {
  const before = await standing();
  const answer = await send(keyed(more));
  expect({ status: answer.status, path: answer.body.path }).toEqual({ status, path });
  expect(answer.body.message).toMatch(/\w{3}.*\.$/);
  expect(await standing()).toEqual(before);
});

test('a schedule erased for good leaves its program standing, unknown', async () => {
  const scheduleId = await scheduleOf('Sundial disc');
  await send(keyed({ scheduleId }));
  const { db } = server.opened;
  const [{ pieceId }] = db.select().from(schedules).where(eq(schedules.id, scheduleId)).all();
  db.delete(firings).where(eq(firings.pieceId, pieceId)).run();
  db.delete(schedules).where(eq(schedules.pieceId, pieceId)).run();
  db.delete(pieceRows).where(eq(pieceRows.id, pieceId)).run();
  expect((await standing()).find(({ slot }) => slot === 6)).toMatchObject({ scheduleId: null, pieceName: null, rows });
});
