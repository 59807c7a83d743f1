/** Forms of the shelf in firings: what a schedule keeps of them, what a changed one outdates, and what cannot be. */
import { firingsOf, outdatedBy } from '@torvin/core';
import type { FormRecord, Piece, Schedule, Shelves } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

const form = async (id: string): Promise<FormRecord> => (await server.ask('GET', `/api/forms/${id}`)).body;
const keep = (record: FormRecord) => server.ask('PUT', `/api/forms/${record.id}`, record);

async function tray(): Promise<{ piece: Piece; schedule: Schedule; step: ReturnType<typeof firingsOf>[number] }> {
  const piece = (await server.pieces()).find(({ name }) => name === 'Tray, smallest of three');
  const step = piece && firingsOf(piece.doc).find(({ look }) => look === 'slump');
  if (!piece || !step?.scheduleId) throw new Error('The demo has no slumped tray.');
  return { piece, step, schedule: (await server.ask('GET', `/api/schedules/${step.scheduleId}`)).body };
}

test('a form changed on the shelf outdates what is to be fired in it and changes nothing of what was', async () => {
  const { piece, step, schedule } = await tray();
  expect(schedule.snapshot.setup.form).toMatchObject({ id: 'tray-small', name: 'Tray mould, small', shape: { deep_m: 0.018 } });
  // Of its material, as much of it for each m² as it has for the glass in it.
  const [plate] = schedule.snapshot.firing.setup.below.filter(({ density_kg_m3 }) => density_kg_m3 === 2100);
  expect(plate.thickness_m).toBeGreaterThan(0.006);
  const shelves = async (): Promise<Shelves> => (await server.ask('GET', '/api/shelves')).body;
  expect(outdatedBy(piece.doc, step.id, await shelves(), schedule.snapshot, METRIC)).toEqual([]);
  const record = await form('tray-small');
  expect((await keep({ ...record, name: 'Small tray', note: 'Chipped at one corner.' })).status).toBe(200);
  expect(outdatedBy(piece.doc, step.id, await shelves(), schedule.snapshot, METRIC)).toEqual([]);
  expect((await keep({ ...(await form('tray-small')), deep_m: 0.022 })).status).toBe(200);
  expect(outdatedBy(piece.doc, step.id, await shelves(), schedule.snapshot, METRIC)).toEqual(["The measures of 'Small tray' have been changed on the shelf."]);
  const refused = await server.ask('POST', '/api/firings', { id: uuid(), pieceId: piece.id, scheduleId: schedule.id, firedAt: NOW, zone: 'UTC' });
  expect(refused.status).toBeGreaterThanOrEqual(400);
  expect((await server.ask('GET', `/api/schedules/${schedule.id}`)).body.snapshot).toEqual(schedule.snapshot);
  // Deleted, it stays with the firing as that keeps it.
  const { version } = await form('tray-small');
  expect((await server.ask('DELETE', `/api/forms/tray-small`, { version })).status).toBe(200);
  expect(outdatedBy(piece.doc, step.id, await shelves(), schedule.snapshot, METRIC)).toEqual([]);
});

test('a blank that lies flat on the floor of its mould is kept, said, and gets no schedule', async () => {
  const { piece, step, schedule } = await tray();
  const doc = { ...piece.doc, footprint: { shape: 'rectangle' as const, width_m: 0.1, length_m: 0.18 }, typed: {} };
  const saved = await server.ask('PUT', `/api/pieces/${piece.id}`, { version: piece.version, name: piece.name, doc });
  expect(saved.status).toBe(200);
  const wanted = { id: uuid(), stepId: step.id, pieceVersion: saved.body.version, parentId: null, origin: 'computed', segments: schedule.segments };
  expect(await server.ask('POST', `/api/pieces/${piece.id}/schedules`, wanted)).toMatchObject({
    status: 422,
    body: { code: 'cannot-be', path: 'setup.form', message: expect.stringMatching(/^The blank lies flat on the floor of 'Tray mould, small'/) },
  });
});

test('a form that cannot be is refused at its measure, in words', async () => {
  const record = await form('basin-mould');
  const refused = async (more: Partial<FormRecord>): Promise<[number, string]> => {
    const { status, body } = await keep({ ...record, ...more });
    return [status, body.path];
  };
  expect(await refused({ floor_m: 0.4 })).toEqual([422, 'floor_m']);
  expect(await refused({ deep_m: -0.01 })).toEqual([422, 'deep_m']);
  expect(await refused({ left_m: 0.1 })).toEqual([422, 'left_m']);
  expect(
    await refused({
      points_m: [
        { out_m: 0, up_m: 0 },
        { out_m: 0.19, up_m: 0.01 },
        { out_m: 0.183, up_m: 0.06 },
      ],
    }),
  ).toEqual([422, 'points_m']);
  expect(await form('basin-mould')).toEqual(record);
});
