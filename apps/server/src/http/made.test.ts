/** Made glass: who takes of it, what is left, that no piece is made of itself, and that it goes along in files. */
import { type LaidLayer, type PieceDocument, applySteps, namedGlasses, takenBy } from '@torvin/core/piece';
import type { Made, MadeUse, Piece, PieceFile, Shelves } from '@torvin/schema';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { pieces, uses } from '../db/tables';
import { allShelves } from '../store/shelfRows';
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
let glassId: string;
let familyDensity: number;
beforeEach(async () => {
  server = await startTestServer();
  const { glasses, families } = (await server.ask('GET', '/api/shelves')).body;
  glassId = glasses[0].id;
  familyDensity = families.find(({ id }: { id: string }) => id === glasses[0].familyId).density_kg_m3;
});
afterEach(() => server.stop());

const SIDE_M = 0.3;
const docOf = (...layers: Partial<LaidLayer>[]): PieceDocument => ({
  ...{ schemaVersion: 3, footprint: { shape: 'rectangle', width_m: SIDE_M, length_m: 0.1 }, dammed: false, typed: {} },
  journey: [
    { kind: 'lay', id: uuid(), side: 'above', layers: layers.map((layer) => ({ id: uuid(), form: 'sheet', thickness_m: 0.01, ...layer }) as LaidLayer) },
  ],
});
const pieceOf = async (name: string, doc: PieceDocument): Promise<{ status: number; body: Piece & { code: string; message: string } }> =>
  server.ask('POST', '/api/pieces', { id: uuid(), name, doc });
const madeOf = (from: Piece | null, more: Partial<Made> = {}): Made => ({
  ...{ id: uuid(), version: 0, name: 'Striped slab', source: '', form: 'slab', count: 1, thickness_m: 0.01, mass_kg: SIDE_M * 0.1 * 0.01 * familyDensity },
  ...{ footprint: { shape: 'rectangle', width_m: SIDE_M, length_m: 0.1 }, lie: 'level', stripes: [{ glassId, share: 1 }], fragile: false },
  ...{ heat: { work_perPa: 1e-3, haze_s: 600 }, from: from && { pieceId: from.id, name: from.name }, note: '', madeAt: Date.UTC(2026, 10, 20) },
  ...more,
});
const keep = (made: Made) => server.ask('PUT', `/api/made/${made.id}`, made);
const usesOf = async (id: string): Promise<MadeUse> => (await server.ask('GET', '/api/uses/made')).body.find((one: MadeUse) => one.id === id);
const thirdOf = (made: Made) => docOf({ glassId: made.id, form: 'pieces', count: 1, cover: 1 / 3 } as Partial<LaidLayer>);

test('three panels are cut from one slab until none is left; what is deleted gives its glass back, a pattern takes none', async () => {
  const { body: origin } = await pieceOf('Slab', docOf({ glassId }));
  const made = madeOf(origin);
  expect((await keep(made)).status).toBe(200);
  const panels: Piece[] = [];
  for (let i = 1; i <= 3; i += 1) {
    const { status, body } = await pieceOf(`Panel ${i}`, thirdOf(made));
    expect(status).toBe(200);
    panels.push(body);
    const { taken } = await usesOf(made.id);
    expect(taken).toHaveLength(i);
    expect(taken.reduce((sum, { mass_kg }) => sum + mass_kg, 0)).toBeCloseTo((i / 3) * made.mass_kg, 9);
  }
  expect((await usesOf(made.id)).taken.map(({ pieceName }) => pieceName)).toEqual(['Panel 1', 'Panel 2', 'Panel 3']);
  await server.ask('PUT', `/api/pieces/${panels[0].id}/filing`, { tags: [], finishedAt: null, awayAt: null, patternAt: 1 });
  await server.ask('DELETE', `/api/pieces/${panels[1].id}`, { version: 1 });
  expect((await usesOf(made.id)).taken.map(({ pieceName }) => pieceName)).toEqual(['Panel 3']);
  // Undone, the piece takes nothing any more.
  const other = await server.ask('PUT', `/api/pieces/${panels[2].id}`, { version: 1, name: 'Panel 3', doc: docOf({ glassId }), what: 'glass changed' });
  expect((await usesOf(made.id)).taken).toEqual([]);
  expect((await server.ask('POST', `/api/pieces/${panels[2].id}/undo`, { version: other.body.version })).status).toBe(200);
  expect((await usesOf(made.id)).taken).toHaveLength(1);
});

test('no piece is made of itself, nor of what came from a piece that is made of it', async () => {
  const { body: first } = await pieceOf('First', docOf({ glassId }));
  const made = madeOf(first);
  await keep(made);
  const itself = await server.ask('PUT', `/api/pieces/${first.id}`, { version: 1, name: 'First', doc: docOf({ glassId: made.id }), what: 'x' });
  expect([itself.status, itself.body.code]).toEqual([422, 'made-of-itself']);
  expect(itself.body.message).toMatch(/^'Striped slab' came from this piece/);
  const { body: second } = await pieceOf('Second', docOf({ glassId: made.id }));
  const again = madeOf(second, { name: 'Bar', stripes: [{ glassId, share: 1 }] });
  await keep(again);
  const round = await server.ask('PUT', `/api/pieces/${first.id}`, { version: 1, name: 'First', doc: docOf({ glassId: again.id }), what: 'x' });
  expect(round.body.code).toBe('made-of-itself');
  expect((await pieceOf('Third', docOf({ glassId: again.id }))).status).toBe(200);
});

test('where it came from stays named when that piece is deleted, and what it is of stays as it was made', async () => {
  const { body: origin } = await pieceOf('Slab', docOf({ glassId }));
  const made = madeOf(origin);
  await keep(made);
  await server.ask('PUT', `/api/pieces/${origin.id}`, { version: 1, name: 'Grey slab', doc: origin.doc, what: 'named' });
  expect((await usesOf(made.id)).fromName).toBe('Grey slab');
  await server.ask('DELETE', `/api/pieces/${origin.id}`, { version: 2 });
  expect((await usesOf(made.id)).fromName).toBeNull();
  const { body: kept } = await server.ask('GET', `/api/made/${made.id}`);
  expect(kept.from).toEqual({ pieceId: origin.id, name: 'Slab' });
  expect((await keep({ ...kept, mass_kg: 0.5 })).status).toBe(200);
  const moved = await keep({ ...kept, version: 2, from: null });
  expect([moved.status, moved.body.path]).toEqual([422, 'from']);
});

test('what is taken is told anew once the figures of a glass of the piece are others, and only then', async () => {
  const { body: origin } = await pieceOf('Slab', docOf({ glassId }));
  const made = madeOf(origin);
  await keep(made);
  await pieceOf('Panel', thirdOf(made));
  // More than are told in one go.
  for (let i = 0; i < 25; i += 1) await pieceOf(`Sheet ${i}`, docOf({ glassId }));
  const untold = (): unknown => server.opened.db.get(sql`select count(*) as n from uses where mass_kg is null`);
  const [before_kg] = (await usesOf(made.id)).taken.map(({ mass_kg }) => mass_kg);
  const { families, glasses } = (await server.ask('GET', '/api/shelves')).body as Shelves;
  const family = families.find(({ id }) => id === glasses.find((glass) => glass.id === glassId)?.familyId);
  const save = async (change: object, version: number): Promise<number> =>
    (await server.ask('PUT', `/api/families/${family?.id}`, { ...family, ...change, version })).status;
  expect(await save({ name: 'Another name' }, family?.version ?? 0)).toBe(200);
  expect(untold()).toMatchObject({ n: 0 });
  expect(await save({ density_kg_m3: familyDensity * 1.1 }, (family?.version ?? 0) + 1)).toBe(200);
  expect(untold()).not.toMatchObject({ n: 0 });
  expect((await usesOf(made.id)).taken[0].mass_kg).toBeCloseTo(1.1 * before_kg, 9);
  expect(untold()).toMatchObject({ n: 0 });
});

test('of every piece it is known what it takes of which glass, by what it lays', async () => {
  const glasses = namedGlasses(allShelves(server.opened.db));
  const rows = server.opened.db.select().from(uses).all();
  for (const { id, doc } of server.opened.db.select().from(pieces).all()) {
    const own = rows.filter(({ pieceId }) => pieceId === id);
    expect(new Map(own.map(({ glassId: of, mass_kg }) => [of, mass_kg]))).toEqual(takenBy(doc, glasses));
    // Held against the fold itself: what all steps have laid.
    const laid_kg = applySteps(doc, glasses).reduce((sum, after) => sum + after.laid_kg, 0);
    const filled_kg = doc.journey.reduce((sum, step) => sum + (step.kind === 'fill' ? step.mass_kg : 0), 0);
    expect(own.reduce((sum, { mass_kg }) => sum + (mass_kg ?? NaN), 0)).toBeCloseTo(laid_kg + filled_kg, 9);
  }
  expect(rows.length).toBeGreaterThan(10);
});

test('what cannot be is refused where it stands; glass that a piece takes is not deleted', async () => {
  const made = madeOf(null);
  for (const [more, path] of [
    [{ stripes: [{ glassId, share: 0.4 }] }, 'stripes'],
    [{ stripes: [] }, 'stripes'],
    [{ mass_kg: 0 }, 'mass_kg'],
    [{ count: 1.5 }, 'count'],
    [{ form: 'brick' }, 'form'],
  ] as const)
    expect((await keep({ ...made, ...more } as unknown as Made)).body.path).toBe(path);
  expect((await keep({ ...made, stripes: [{ glassId: 'gone', share: 1 }] })).status).toBe(404);
  await keep(made);
  await pieceOf('Panel', thirdOf(made));
  const gone = await server.ask('DELETE', `/api/made/${made.id}`, { version: 1 });
  expect([gone.status, gone.body.message]).toEqual([409, "It is in use by the piece 'Panel'; put it away instead."]);
});

test('a piece takes the made glass that it names along in its file, with the glass that that is of', async () => {
  const made = madeOf(null);
  await keep(made);
  const { body: panel } = await pieceOf('Panel', thirdOf(made));
  const { body: file } = (await server.ask('GET', `/api/pieces/${panel.id}/file`)) as { body: PieceFile };
  expect(file.shelves.made.map(({ id }) => id)).toEqual([made.id]);
  expect(file.shelves.glasses.map(({ id }) => id)).toEqual([glassId]);
  const other = await startTestServer();
  try {
    expect((await other.ask('POST', '/api/import', file)).body.outcome).toBe('new');
    expect((await other.ask('GET', `/api/made/${made.id}`)).body.name).toBe('Striped slab');
    const [use] = (await other.ask('GET', '/api/uses/made')).body as MadeUse[];
    expect(use.taken.map(({ pieceName }) => pieceName)).toEqual(['Panel']);
  } finally {
    await other.stop();
  }
  const without = { ...file, piece: { ...file.piece, id: uuid() }, shelves: { ...file.shelves, made: [] } };
  const third = await startTestServer();
  try {
    const refused = await third.ask('POST', '/api/import', without);
    expect([refused.status, refused.body.code]).toEqual([422, 'does-not-hang']);
  } finally {
    await third.stop();
  }
});
