/** Forms of the shelf in firings: what a schedule keeps of them, what a changed one outdates, and what cannot be. */
import { firingsOf, outdatedBy } from '@torvin/core/piece';
import type { Bench, Coated, FiringRow, FormRecord, FormUse, MakingRecord, Piece, Schedule, Shelves } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

const DAY_MS = 24 * 3600e3;
const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

const form = async (id: string): Promise<FormRecord> => (await server.ask('GET', `/api/forms/${id}`)).body;
const keep = (record: FormRecord) => server.ask('PUT', `/api/forms/${record.id}`, record);

async function tray(): Promise<{ piece: Piece; schedule: Schedule; step: ReturnType<typeof firingsOf>[number] }> {
  const piece = await server.piece('Tray, smallest of three');
  const step = firingsOf(piece.doc).find(({ look }) => look === 'slump');
  if (!step?.scheduleId) throw new Error('The demo has no slumped tray.');
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
  // Deleted, with the coat that names it, it stays with the firing as that keeps it.
  expect((await server.ask('DELETE', '/api/coats/tray-coat', { version: 1 })).status).toBe(200);
  const { version } = await form('tray-small');
  expect((await server.ask('DELETE', '/api/forms/tray-small', { version })).status).toBe(200);
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

describe('coats', () => {
  const coat = (more: Partial<Coated> = {}): Coated => ({
    ...{
      id: uuid(),
      version: 0,
      formId: 'tray-middle',
      releaseId: 'mould-primer',
      zone: '',
      coats: 4,
      crossed: true,
      scratched: false,
      note: '',
      coatedAt: NOW - 40 * DAY_MS,
    },
    ...more,
  });
  const tell = (record: Coated) => server.ask('PUT', `/api/coats/${record.id}`, record);
  const useOf = async (id: string): Promise<FormUse> => (await server.ask('GET', '/api/uses/forms')).body.find((one: FormUse) => one.id === id);
  const asked = async (): Promise<Bench['recoat']> => (await server.ask('GET', '/api/bench')).body.recoat;

  test('firings are counted since each coat, by how hot they were; the Bench asks for another with why, and no more once there is one', async () => {
    const { step, schedule } = await tray();
    const { fired, lastAt, coats } = await useOf('tray-small');
    expect([fired, lastAt === null]).toEqual([1, false]);
    expect(coats).toEqual([
      {
        ...{ id: 'tray-coat', hot: 0, cool: 1, hottest_C: Math.max(...schedule.segments.map(({ target_C }) => target_C)) },
        released: { fell: 1, tapped: 0, stuck: 0, broke: 0 },
      },
    ]);
    expect((await server.ask('GET', '/api/firings?form=tray-small')).body.firings.map((one: FiringRow) => one.stepId)).toEqual([step.id]);
    expect((await server.ask('GET', '/api/firings?form=tray-large')).body.total).toBe(0);
    // The demo's former is scratched at its edges.
    expect(await asked()).toEqual([
      {
        formId: 'lamp-former',
        formName: 'Lamp former',
        zone: 'edges',
        coatId: 'former-coat',
        releaseId: 'mould-nitride',
        why: expect.stringMatching(/^It is scratched or bare/),
      },
    ]);
    const newer = coat({ formId: 'lamp-former', releaseId: 'mould-nitride', zone: 'edges', coatedAt: NOW });
    expect((await tell(newer)).status).toBe(200);
    expect(await asked()).toEqual([]);
    // A release that lasts one firing has had it.
    const release = (await server.ask('GET', '/api/releases/mould-primer')).body;
    expect((await server.ask('PUT', '/api/releases/mould-primer', { ...release, firings: 1, coolFirings: 1 })).status).toBe(200);
    // The basin stands in the kiln, and its firing counts from its start.
    expect((await asked()).map(({ formId, why }) => [formId, why])).toEqual(
      ['basin-mould', 'tray-small'].map((id) => [
        id,
        expect.stringMatching(/^One firing since, none over \d+ °C; Mould primer lasts one firing.*: recoat it\./),
      ]),
    );
    // Away from the shelf it is asked for no more.
    expect((await server.ask('POST', '/api/forms/tray-small/archive', { archived: true })).status).toBe(200);
    expect((await asked()).map(({ formId }) => formId)).toEqual(['basin-mould']);
  });

  test('glass in a dam lies on the shelf under it: the firing counts for both', async () => {
    const [row] = (await server.ask('GET', '/api/firings?form=ring-dam')).body.firings as FiringRow[];
    expect((await server.ask('GET', '/api/firings?form=low-shelf')).body.firings.map(({ id }: FiringRow) => id)).toContain(row.id);
    const [dam, shelf] = [await useOf('ring-dam'), await useOf('low-shelf')];
    expect([dam.fired, dam.released.tapped]).toEqual([1, 1]);
    expect([shelf.fired, shelf.released.tapped]).toEqual([1, 1]);
    const before = coat({ formId: 'low-shelf', releaseId: 'shelf-primer', zone: 'middle', coatedAt: row.firedAt - 1 });
    expect((await tell(before)).status).toBe(200);
    expect((await useOf('low-shelf')).coats.find(({ id }) => id === before.id)).toMatchObject({ hot: 1, cool: 0 });
    // Another shelf under it outdates what was reckoned on this one.
    const piece = (await server.ask('GET', `/api/pieces/${row.pieceId}`)).body as Piece;
    const step = firingsOf(piece.doc).findLast(({ setup }) => setup.shelf);
    if (!step?.scheduleId) throw new Error('The demo has no second firing in the ring.');
    const { body: schedule } = await server.ask('GET', `/api/schedules/${step.scheduleId}`);
    expect(schedule.snapshot.setup.shelf).toMatchObject({ id: 'low-shelf', shape: { thick_m: 0.016 } });
    const record = await form('low-shelf');
    expect((await keep({ ...record, thick_m: 0.03 })).status).toBe(200);
    const { body: shelves } = await server.ask('GET', '/api/shelves');
    expect(outdatedBy(piece.doc, step.id, shelves, schedule.snapshot, METRIC)).toEqual(['The measures of the shelf under it have been changed.']);
  });

  test('each place has its own; what names no form, or no coats, is refused', async () => {
    expect((await tell(coat({ zone: 'rim' }))).status).toBe(200);
    expect((await tell(coat({ zone: 'relief', scratched: true }))).status).toBe(200);
    expect((await asked()).map(({ formId, zone }) => [formId, zone])).toEqual(expect.arrayContaining([['tray-middle', 'relief']]));
    expect((await asked()).some(({ zone }) => zone === 'rim')).toBe(false);
    expect((await tell(coat({ formId: 'none' }))).body).toMatchObject({ code: 'unknown-id' });
    expect((await tell(coat({ coats: 0 }))).body).toMatchObject({ path: 'coats' });
    // Of a shelf too, with paper that is laid on it again and again.
    expect((await tell(coat({ formId: 'low-shelf', releaseId: 'thin-paper', coats: 1, crossed: false }))).status).toBe(200);
    // A form that a coat names is put away rather than deleted.
    const { version } = await form('tray-middle');
    expect((await server.ask('DELETE', '/api/forms/tray-middle', { version })).status).toBe(409);
  });
});

test('how glass came off a form is told with its firing, and is the form’s own record; what is deleted counts no more', async () => {
  const released = async (): Promise<FormUse['released'] | undefined> =>
    ((await server.ask('GET', '/api/uses/forms')).body as FormUse[]).find(({ id }) => id === 'tray-small')?.released;
  expect(await released()).toEqual({ fell: 1, tapped: 0, stuck: 0, broke: 0 });
  const [row] = (await server.ask('GET', '/api/firings?form=tray-small')).body.firings as FiringRow[];
  expect(row.released).toBe('fell');
  const { firing } = (await server.ask('GET', `/api/firings/${row.id}`)).body;
  const { firedAt, zone, place, result, lookReached, note, asFired, photos, knownBy, lesson, version } = firing;
  const told = { version, firedAt, zone, place, result, lookReached, note, asFired, photos, knownBy, lesson };
  expect((await server.ask('PUT', `/api/firings/${row.id}`, { ...told, released: 'levitated' })).body).toMatchObject({ path: 'released' });
  expect((await server.ask('PUT', `/api/firings/${row.id}`, { ...told, released: 'stuck' })).status).toBe(200);
  expect(await released()).toEqual({ fell: 0, tapped: 0, stuck: 1, broke: 0 });
  // It goes along in the piece's file.
  const file = (await server.ask('GET', `/api/pieces/${row.pieceId}/file`)).body;
  expect(file.firings.map((one: { released: string | null }) => one.released)).toContain('stuck');
  expect((await server.ask('DELETE', `/api/firings/${row.id}`, { version: version + 1 })).status).toBe(200);
  expect(await released()).toEqual({ fell: 0, tapped: 0, stuck: 0, broke: 0 });
});

describe('moulds in the making', () => {
  const begun = (more: Partial<MakingRecord> = {}): MakingRecord => ({
    ...{ id: uuid(), version: 0, formId: 'tray-middle', way: 'clay', model: 'firm', flexible: 'none', rubberCoats: 4 },
    ...{ plasterShare: 1, silicaShare: 1, waterShare: 1, note: '', begunAt: NOW - 9 * DAY_MS, told: [] },
    ...more,
  });
  const tell = (record: MakingRecord) => server.ask('PUT', `/api/makings/${record.id}`, record);
  const onBench = async (): Promise<Bench['making']> => (await server.ask('GET', '/api/bench')).body.making;

  test('the Bench says what is next and from when on, until it is done', async () => {
    expect(await onBench()).toEqual([
      {
        ...{ id: 'urchin-making', formId: 'urchin-cast', formName: 'Sea urchin, to cast', next: 'dry', title: 'Drying', from: NOW - DAY_MS },
        why: expect.stringMatching(/^Still to leave: 9\d g of water, by its mix\. It lost 6\.7 % in 3 d 0 h\.$/),
      },
    ]);
    const record = begun({ told: [{ stage: 'press', at: NOW - 3600e3 }] });
    expect((await tell(record)).status).toBe(200);
    // What can be gone on with stands first.
    expect((await onBench()).map(({ formId, next, from }) => [formId, next, from])).toEqual([
      ['urchin-cast', 'dry', NOW - DAY_MS],
      ['tray-middle', 'lift', NOW - 3600e3 + DAY_MS],
    ]);
    const told = [...record.told, { stage: 'lift' as const, at: NOW }, { stage: 'bisque' as const, at: NOW }];
    expect((await tell({ ...record, version: 1, told })).status).toBe(200);
    expect((await onBench()).map(({ formId }) => formId)).toEqual(['urchin-cast']);
    // A form that is being made is not deleted from under it.
    expect((await server.ask('DELETE', '/api/forms/tray-middle', { version: 1 })).status).toBe(409);
  });

  test.each<[string, Partial<MakingRecord>, string]>([
    ['a step that is still to come', { told: [{ stage: 'press', at: NOW + DAY_MS }] }, 'told.0.at'],
    [
      'steps told backwards',
      {
        told: [
          { stage: 'press', at: NOW - DAY_MS },
          { stage: 'lift', at: NOW - 2 * DAY_MS },
        ],
      },
      'told.1.at',
    ],
    ['a step of another way', { told: [{ stage: 'invest', at: NOW - DAY_MS }] }, 'told.0.stage'],
    ['a mix without water', { way: 'investment', waterShare: 0 }, 'waterShare'],
    ['a weight of nothing', { told: [{ stage: 'dry', at: NOW, mass_kg: 0 }] }, 'told.0.mass_kg'],
  ])('%s is refused at its place, in words', async (_what, more, path) => {
    const { status, body } = await tell(begun(more));
    expect([status, body.path]).toEqual([422, path]);
    expect(body.message).toMatch(/\.$/);
  });

  test('a coat is laid on a day that has been', async () => {
    const coat = (await server.ask('GET', '/api/coats/tray-coat')).body;
    expect((await server.ask('PUT', '/api/coats/tray-coat', { ...coat, coatedAt: NOW + 2 * DAY_MS })).body).toMatchObject({
      code: 'impossible',
      path: 'coatedAt',
    });
    // Laid on after its firing, that counts no more.
    expect((await server.ask('PUT', '/api/coats/tray-coat', { ...coat, coatedAt: NOW - DAY_MS })).status).toBe(200);
    const uses: FormUse[] = (await server.ask('GET', '/api/uses/forms')).body;
    expect(uses.find(({ id }) => id === 'tray-small')?.coats).toMatchObject([{ id: 'tray-coat', hot: 0, cool: 0, hottest_C: null }]);
  });
});
