/** Nothing is lost: undo, deletion taken back, named versions, firings told of later, records put away. */
import { firingsOf, turnOf } from '@torvin/core/piece';
import { ENGINE_VERSION } from '@torvin/core/version';
import { type Firing, type Glass, KINDS, type Piece, type ScheduleVersion, type WaitingPiece } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { eq, sql } from 'drizzle-orm';
import { firings, pieces, records } from '../db/tables';
import { DELETED_KEPT_MS, STATES_KEPT, countLongDeleted, eraseLongDeleted } from '../store/pieces';
import { PAGE } from '../store/firings';
import { RECEIPTS_KEPT_MS, forgetOldReceipts } from '../store/receipts';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

async function demo(name: string): Promise<Piece> {
  const piece = await server.piece(name);
  return piece;
}

async function save(piece: Piece, change: Partial<Pick<Piece, 'name' | 'doc'>>, what: string): Promise<Piece> {
  const { status, body } = await server.ask('PUT', `/api/pieces/${piece.id}`, { version: piece.version, name: piece.name, doc: piece.doc, ...change, what });
  expect(status).toBe(200);
  return body;
}

const go = (piece: Piece, way: 'undo' | 'redo') => server.ask('POST', `/api/pieces/${piece.id}/${way}`, { version: piece.version });

describe('a save whose answer was lost on the way', () => {
  /** As a page that kept it sends it again. */
  const twice = async (method: string, path: string, body: unknown) => {
    const key = { 'Idempotency-Key': uuid() };
    const [first, second] = [await server.ask(method, path, body, key), await server.ask(method, path, body, key)];
    expect([first.status, second.status]).toEqual([200, 200]);
    return { first: first.body, second: second.body, key };
  };

  test('that comes before the one that it rests on waits for it; with none to come, or far ahead, it is refused', async () => {
    const piece = await demo('Bird-bath basin');
    const put = (on: number, name: string) =>
      server.ask('PUT', `/api/pieces/${piece.id}`, { version: on, name, doc: piece.doc, what: 'name' }, { 'Idempotency-Key': uuid() });
    const third = put(piece.version + 2, 'Third');
    const second = put(piece.version + 1, 'Second');
    await new Promise((resolve) => setTimeout(resolve, 150));
    const first = await put(piece.version, 'First');
    expect([first, await second, await third].map(({ status, body }) => [status, body.version, body.name])).toEqual([
      [200, piece.version + 1, 'First'],
      [200, piece.version + 2, 'Second'],
      [200, piece.version + 3, 'Third'],
    ]);
    expect(await put(piece.version + 4, 'Never')).toMatchObject({ status: 409, body: { code: 'stale', current: { name: 'Third' } } });
    expect((await put(piece.version + 400, 'Never')).status).toBe(409);
  });

  test('of a piece comes again under its key and counts once; another on the same version is still stale', async () => {
    const piece = await demo('Sundial disc');
    const told = { name: 'Sundial, told twice', doc: piece.doc, version: piece.version, what: 'name' };
    const { first, second } = await twice('PUT', `/api/pieces/${piece.id}`, told);
    expect(second).toEqual(first);
    expect(second.version).toBe(piece.version + 1);
    expect((await server.ask('PUT', `/api/pieces/${piece.id}`, told, { 'Idempotency-Key': uuid() })).status).toBe(409);
    expect((await server.ask('PUT', `/api/pieces/${piece.id}`, told)).status).toBe(409);
  });

  test('is known also after somebody else has saved: it is told what stands now, and undoes nothing of theirs', async () => {
    const piece = await demo('Sundial disc');
    const told = { name: 'Mine', doc: piece.doc, version: piece.version, what: 'name' };
    const { key } = await twice('PUT', `/api/pieces/${piece.id}`, told);
    await save({ ...piece, version: piece.version + 1 }, { name: 'Theirs' }, 'name');
    const again = await server.ask('PUT', `/api/pieces/${piece.id}`, told, key);
    expect(again).toMatchObject({ status: 200, body: { name: 'Theirs', version: piece.version + 2 } });
  });

  test('of a firing, an opened kiln, a record and a new record likewise', async () => {
    const [load] = (await server.ask('GET', '/api/loads')).body;
    const opened = await twice('PUT', `/api/loads/${load.id}`, { version: load.version, openedAt: NOW });
    expect(opened.second).toMatchObject({ openedAt: NOW, version: load.version + 1 });
    const [{ id, version, zone, firedAt }] = (await server.ask('GET', '/api/firings')).body.firings as Firing[];
    const told = { version, zone, firedAt, place: 'by the wall', result: 'short', lookReached: null, note: 'twice', asFired: null, photos: [] };
    const firing = await twice('PUT', `/api/firings/${id}`, told);
    expect(firing.second).toEqual(firing.first);
    expect(firing.second.firing.version).toBe(version + 1);
    const [kiln] = (await server.ask('GET', '/api/shelves')).body.kilns;
    const changed = await twice('PUT', `/api/kilns/${kiln.id}`, { ...kiln, name: 'Renamed' });
    expect(changed.second).toMatchObject({ name: 'Renamed', version: kiln.version + 1 });
    const made = await twice('PUT', '/api/kilns/mine', { ...kiln, id: 'mine', name: 'Mine', version: 0 });
    expect(made.second).toEqual(made.first);
  });

  test('that was refused leaves its key free, and a key is good for one thing alone', async () => {
    const piece = await demo('Sundial disc');
    const other = await demo('Plaque no. 14');
    const key = { 'Idempotency-Key': uuid() };
    const told = { name: 'Told', doc: piece.doc, version: piece.version + 5, what: 'name' };
    expect((await server.ask('PUT', `/api/pieces/${piece.id}`, told, key)).status).toBe(409);
    expect((await server.ask('PUT', `/api/pieces/${piece.id}`, { ...told, version: piece.version }, key)).status).toBe(200);
    const elsewhere = await server.ask('PUT', `/api/pieces/${other.id}`, { name: 'x', doc: other.doc, version: other.version, what: 'x' }, key);
    expect(elsewhere).toMatchObject({ status: 409, body: { code: 'id-taken' } });
    expect(await server.ask('PUT', `/api/pieces/${piece.id}`, told, { 'Idempotency-Key': 'a b' })).toMatchObject({
      status: 422,
      body: { code: 'unreadable-key' },
    });
  });

  test('is remembered for 90 days', async () => {
    const piece = await demo('Sundial disc');
    const { key, first } = await twice('PUT', `/api/pieces/${piece.id}`, { name: 'Old', doc: piece.doc, version: piece.version, what: 'name' });
    forgetOldReceipts(server.opened.db, NOW + RECEIPTS_KEPT_MS);
    const again = { name: 'Old', doc: piece.doc, version: piece.version, what: 'name' };
    expect((await server.ask('PUT', `/api/pieces/${piece.id}`, again, key)).body).toEqual(first);
    forgetOldReceipts(server.opened.db, NOW + RECEIPTS_KEPT_MS + 1);
    expect((await server.ask('PUT', `/api/pieces/${piece.id}`, again, key)).status).toBe(409);
  });
});

describe('undo', () => {
  test('goes back through ten edits to the very document, and forth again', async () => {
    const start = await demo('Sundial disc');
    const states = [start];
    for (let i = 1; i <= 10; i += 1) states.push(await save(states[i - 1], { name: `Sundial ${i}` }, `name ${i}`));
    expect(states[10]).toMatchObject({ undo: 'name 10', redo: null });
    let piece = states[10];
    for (let i = 9; i >= 0; i -= 1) {
      piece = (await go(piece, 'undo')).body;
      expect(piece).toMatchObject({ name: states[i].name, doc: states[i].doc, redo: `name ${i + 1}` });
    }
    for (let i = 1; i <= 10; i += 1) piece = (await go(piece, 'redo')).body;
    expect(piece).toMatchObject({ name: 'Sundial 10', doc: states[10].doc, redo: null });
  });

  test('takes a calculated schedule back too, and a new edit ends what could be done again', async () => {
    const piece = await demo('Sundial disc');
    expect(piece.undo).toBe('schedule calculated');
    const back = (await go(piece, 'undo')).body;
    expect(firingsOf(back.doc)[0].scheduleId).toBeNull();
    expect((await go(back, 'undo')).body).toMatchObject({ code: 'nothing-kept', message: 'There is nothing left to undo.' });
    const edited = await save(back, { name: 'Sundial, again' }, 'renamed');
    expect(edited.redo).toBeNull();
    expect((await go(edited, 'redo')).status).toBe(422);
  });

  test('of an older version is refused with the current piece', async () => {
    const piece = await demo('Sundial disc');
    await save(piece, { name: 'Sundial, seen elsewhere' }, 'renamed');
    const { status, body } = await go(piece, 'undo');
    expect(status).toBe(409);
    expect(body.current.name).toBe('Sundial, seen elsewhere');
  });

  test(`keeps the last ${STATES_KEPT} changes and no more`, async () => {
    let piece = await demo('Sundial disc');
    for (let i = 0; i < STATES_KEPT + 5; i += 1) piece = await save(piece, { name: `Sundial ${i}` }, `name ${i}`);
    let steps = 0;
    while (piece.undo !== null) {
      piece = (await go(piece, 'undo')).body;
      steps += 1;
    }
    expect(steps).toBe(STATES_KEPT);
  });
});

describe('deleting', () => {
  test('a piece takes it from the list until it is brought back; its firings stay in the Notebook', async () => {
    const piece = await demo('Plaque no. 14');
    expect((await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: piece.version + 1 })).status).toBe(409);
    expect((await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: piece.version })).body).toEqual({ ok: true });
    expect((await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: piece.version })).body).toEqual({ ok: true });
    expect((await server.pieces()).map(({ name }) => name)).not.toContain('Plaque no. 14');
    expect((await server.ask('GET', `/api/pieces/${piece.id}`)).status).toBe(404);
    const { body: page } = await server.ask('GET', '/api/firings?text=plaque');
    expect(page.firings).toHaveLength(1);
    const { body: restored } = await server.ask('POST', `/api/pieces/${piece.id}/restore`, {});
    expect(restored.doc).toEqual(piece.doc);
  });

  test('a firing likewise', async () => {
    const { body: page } = await server.ask('GET', '/api/firings');
    const [firing] = page.firings as Firing[];
    expect((await server.ask('DELETE', `/api/firings/${firing.id}`, { version: firing.version })).body).toEqual({ ok: true });
    expect((await server.ask('GET', '/api/firings')).body.total).toBe(page.total - 1);
    expect((await server.ask('POST', `/api/firings/${firing.id}/restore`, {})).body).toMatchObject({ note: firing.note, result: firing.result });
  });

  test('elsewhere is told to whoever changes the thing meanwhile, with what stood; brought back, the change goes on from that', async () => {
    const piece = await demo('Plaque no. 14');
    const change = { name: 'Changed', doc: piece.doc, version: piece.version, what: 'name' };
    const [{ id: stepId, scheduleId }] = firingsOf(piece.doc);
    const { segments } = (await server.ask('GET', `/api/schedules/${scheduleId}`)).body;
    await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: piece.version });
    const refused = await server.ask('PUT', `/api/pieces/${piece.id}`, change);
    expect(refused).toMatchObject({ status: 409, body: { code: 'deleted', current: { id: piece.id, name: piece.name, version: piece.version + 1 } } });
    const filing = { tags: ['gift'], finishedAt: null, awayAt: null, patternAt: null };
    const schedule = { id: uuid(), stepId, pieceVersion: piece.version, parentId: null, origin: 'edited', segments };
    for (const [method, path, body] of [
      ['PUT', `/api/pieces/${piece.id}/filing`, filing],
      ['POST', `/api/pieces/${piece.id}/schedules`, schedule],
      ['POST', '/api/pieces', { id: piece.id, name: 'Again', doc: piece.doc }],
    ] as const)
      expect([path, await server.ask(method, path, body)]).toMatchObject([path, { status: 409, body: { code: 'deleted' } }]);
    const { version } = (await server.ask('POST', `/api/pieces/${piece.id}/restore`, {})).body;
    expect(version).toBe(refused.body.current.version);
    expect((await server.ask('PUT', `/api/pieces/${piece.id}`, { ...change, version })).body.name).toBe('Changed');
  });

  test('elsewhere of a firing and of a record likewise', async () => {
    const [{ id }] = (await server.ask('GET', '/api/firings')).body.firings as Firing[];
    const { firing } = (await server.ask('GET', `/api/firings/${id}`)).body;
    const { version, firedAt, zone, place, result, lookReached, released, asFired, photos, knownBy, lesson } = firing;
    const told = { version, firedAt, zone, place, result, lookReached, released, asFired, photos, knownBy, lesson, note: 'told meanwhile' };
    await server.ask('DELETE', `/api/firings/${id}`, { version });
    const refused = await server.ask('PUT', `/api/firings/${id}`, told);
    expect(refused).toMatchObject({ status: 409, body: { code: 'deleted', current: { id, version: version + 1 } } });
    await server.ask('POST', `/api/firings/${id}/restore`, {});
    expect((await server.ask('PUT', `/api/firings/${id}`, { ...told, version: version + 1 })).body.firing.note).toBe('told meanwhile');
    const [kiln] = (await server.ask('GET', '/api/kilns')).body;
    const spare = (await server.ask('PUT', '/api/kilns/spare', { ...kiln, id: 'spare', name: 'Spare', version: 0 })).body;
    await server.ask('DELETE', '/api/kilns/spare', { version: 1 });
    const changed = { ...spare, name: 'Spare, moved' };
    expect(await server.ask('PUT', '/api/kilns/spare', changed)).toMatchObject({
      status: 409,
      body: { code: 'deleted', current: { name: 'Spare', version: 2 } },
    });
    await server.ask('POST', '/api/kilns/spare/restore', {});
    expect((await server.ask('PUT', '/api/kilns/spare', { ...changed, version: 2 })).body).toMatchObject({ name: 'Spare, moved', version: 3 });
  });

  test('a glass and then its family: brought back, it asks for the family too', async () => {
    const shelves = (await server.ask('GET', '/api/shelves')).body;
    const family = (await server.ask('PUT', '/api/families/spare-family', { ...shelves.families[0], id: 'spare-family', name: 'Spare 96', version: 0 })).body;
    const glass = { ...shelves.glasses[0], id: 'spare-glass', name: 'Spare blue', familyId: 'spare-family', version: 0 };
    expect((await server.ask('PUT', '/api/glasses/spare-glass', glass)).status).toBe(200);
    expect((await server.ask('DELETE', '/api/families/spare-family', { version: family.version })).status).toBe(409);
    await server.ask('DELETE', '/api/glasses/spare-glass', { version: 1 });
    await server.ask('DELETE', '/api/families/spare-family', { version: family.version });
    const refused = await server.ask('POST', '/api/glasses/spare-glass/restore', {});
    expect(refused).toMatchObject({ status: 409, body: { code: 'names-deleted', current: ['Spare 96'] } });
    expect(refused.body.message).toContain("the glass family 'Spare 96'");
    expect((await server.ask('GET', '/api/glasses/spare-glass')).status).toBe(404);
    expect((await server.ask('POST', '/api/glasses/spare-glass/restore', { withNamed: true })).status).toBe(200);
    expect((await server.ask('GET', '/api/families/spare-family')).body.name).toBe('Spare 96');
    expect((await server.ask('POST', '/api/glasses/spare-glass/restore', {})).status).toBe(200);
    expect((await server.ask('POST', '/api/glasses/none/restore', {})).status).toBe(404);
  });

  test('can be erased after 30 days, but a piece that a firing remembers is kept for it', async () => {
    const unfired = await demo('Sundial disc');
    const fired = await demo('Plaque no. 14');
    for (const { id, version } of [unfired, fired]) await server.ask('DELETE', `/api/pieces/${id}`, { version });
    const { db } = server.opened;
    eraseLongDeleted(db, NOW + DELETED_KEPT_MS - 1);
    expect((await server.ask('POST', `/api/pieces/${unfired.id}/restore`, {})).status).toBe(200);
    await server.ask('DELETE', `/api/pieces/${unfired.id}`, { version: unfired.version + 1 });
    expect(countLongDeleted(db, NOW + DELETED_KEPT_MS - 1)).toEqual({ pieces: 0, firings: 0 });
    expect(countLongDeleted(db, NOW + DELETED_KEPT_MS + 1)).toEqual({ pieces: 1, firings: 0 });
    eraseLongDeleted(db, NOW + DELETED_KEPT_MS + 1);
    const left = db.select({ id: pieces.id }).from(pieces).all();
    expect(left.some(({ id }) => id === unfired.id)).toBe(false);
    expect(left.some(({ id }) => id === fired.id)).toBe(true);
    // Once its firings have been deleted as long, nothing remembers it.
    const { changes } = db.update(firings).set({ deletedAt: NOW }).where(eq(firings.pieceId, fired.id)).run();
    expect(countLongDeleted(db, NOW + DELETED_KEPT_MS + 1)).toEqual({ pieces: 1, firings: changes });
    eraseLongDeleted(db, NOW + DELETED_KEPT_MS + 1);
    expect(countLongDeleted(db, NOW + 9 * DELETED_KEPT_MS)).toEqual({ pieces: 0, firings: 0 });
  });
});

describe('schedule versions', () => {
  test('are listed newest first with how often each was fired, and can be named', async () => {
    const piece = await demo('Test tiles, clear');
    const { body: versions } = await server.ask('GET', `/api/pieces/${piece.id}/schedules`);
    expect(versions).toMatchObject([{ origin: 'computed', firings: 3, name: '', kilnName: 'Low kiln', engine: ENGINE_VERSION }]);
    const [version] = versions as ScheduleVersion[];
    const { body: schedule } = await server.ask('GET', `/api/schedules/${version.id}`);
    const edited = { id: uuid(), stepId: version.stepId, pieceVersion: piece.version, parentId: version.id, origin: 'edited', segments: schedule.segments };
    await server.ask('POST', `/api/pieces/${piece.id}/schedules`, edited);
    expect((await server.ask('PUT', `/api/schedules/${edited.id}/name`, { name: ' crisper ' })).body.name).toBe('crisper');
    const { body: after } = await server.ask('GET', `/api/pieces/${piece.id}/schedules`);
    expect(after).toMatchObject([{ id: edited.id, name: 'crisper', parentId: version.id, firings: 0 }, { id: version.id }]);
    expect((await server.ask('PUT', `/api/schedules/${uuid()}/name`, { name: 'x' })).status).toBe(404);
  });
});

describe('a firing in the kiln', () => {
  test('is told of once it is opened: result, place, look, and how it really ran, judged by the engine', async () => {
    const { body: page } = await server.ask('GET', '/api/firings?result=open');
    expect(page.total).toBe(1);
    const [firing] = page.firings as Firing[];
    const { body: before } = await server.ask('GET', `/api/firings/${firing.id}`);
    const asFired = before.schedule.segments.map((one: { target_C: number }, i: number) => (i === 1 ? { ...one, target_C: one.target_C - 10 } : one));
    const told = {
      version: firing.version,
      firedAt: firing.firedAt,
      zone: firing.zone,
      place: 'back left',
      result: 'short',
      lookReached: null,
      note: 'rim high',
      ...{ seen: ['spikedRim'], seenWhere: 'front left', faced: { mark: null, door: 'left', hot: null } },
      asFired,
    };
    const { status, body } = await server.ask('PUT', `/api/firings/${firing.id}`, told);
    expect(status).toBe(200);
    expect(body.firing).toMatchObject({
      place: 'back left',
      result: 'short',
      version: firing.version + 1,
      seen: ['spikedRim'],
      faced: { door: 'left', hot: null },
    });
    expect(body.asFiredResult.work_perPa.mean).toBeLessThan(before.schedule.result.work_perPa.mean);
    expect((await server.ask('GET', `/api/firings/${firing.id}`)).body).toEqual(body);
    // The piece tells of the turn as it ran, beside those before it.
    const { turns } = (await server.ask('GET', `/api/pieces/${firing.pieceId}`)).body as Piece;
    expect(turns.filter(({ stepId }) => stepId === firing.stepId).at(-1)).toEqual({
      stepId: firing.stepId,
      seen: ['spikedRim'],
      ...turnOf(body.asFiredResult),
    });
    const all = (await server.ask('GET', `/api/firings?piece=${firing.pieceId}`)).body.firings as Firing[];
    expect(turns).toHaveLength(all.filter(({ result }) => result !== null).length);
    expect((await server.ask('PUT', `/api/firings/${firing.id}`, { ...told, note: 'otherwise' })).status).toBe(409);
  });
});

describe('the Notebook', () => {
  const search = async (query: string): Promise<Firing[]> => (await server.ask('GET', `/api/firings?${query}`)).body.firings;

  test('finds by words anywhere, by look, result, kiln and piece', async () => {
    expect((await search('text=seed+edge')).map(({ pieceName }) => pieceName)).toEqual(['Plaque no. 14']);
    expect(await search('text=100%25')).toEqual([]);
    expect((await search('look=slump')).every(({ look }) => look === 'slump')).toBe(true);
    expect((await search('result=past')).map(({ place }) => place)).toEqual(['back right']);
    expect(await search('kiln=No+such')).toEqual([]);
    const piece = await demo('Test tiles, clear');
    expect(await search(`piece=${piece.id}`)).toHaveLength(3);
    expect((await server.ask('GET', '/api/firings?look=lovely')).status).toBe(422);
  });

  test('comes a page at a time, each firing once, newest first', async () => {
    const { body: first } = await server.ask('GET', '/api/firings');
    const [{ pieceId, scheduleId }] = first.firings as Firing[];
    const added = PAGE + 7;
    for (let i = 0; i < added; i += 1) {
      // Some at the same instant, as an import may bring them.
      const firing = {
        id: uuid(),
        pieceId,
        scheduleId,
        firedAt: NOW - 300 * 3600e3 - Math.floor(i / 3) * 1000,
        zone: 'UTC',
        result: 'right',
        note: '',
        atOnce: true,
      };
      expect((await server.ask('POST', '/api/firings', firing)).status).toBe(200);
    }
    const seen: Firing[] = [];
    let after: string | null = '';
    while (after !== null) {
      const page: { firings: Firing[]; next: string | null; total: number } = (await server.ask('GET', `/api/firings${after ? `?after=${after}` : ''}`)).body;
      expect(page.total).toBe(first.total + added);
      seen.push(...page.firings);
      after = page.next;
    }
    expect(new Set(seen.map(({ id }) => id)).size).toBe(first.total + added);
    expect(seen.map(({ firedAt }) => firedAt)).toEqual(seen.map(({ firedAt }) => firedAt).sort((a, b) => b - a));
  });
});

describe('shelves', () => {
  const clear = async (): Promise<Glass> => (await server.ask('GET', '/api/shelves')).body.glasses.find(({ id }: Glass) => id === 'clear-90');

  test('a record is changed against its version; what was made with it keeps what it was', async () => {
    const piece = await demo('Sundial disc');
    const { body: shelves } = await server.ask('GET', '/api/shelves');
    const family = shelves.families.find(({ id }: { id: string }) => id === 'soft-90');
    const { status, body } = await server.ask('PUT', '/api/families/soft-90', { ...family, annealing_C: 520, source: 'own test' });
    expect(status).toBe(200);
    expect(body).toMatchObject({ annealing_C: 520, source: 'own test', version: 2 });
    expect((await server.ask('PUT', '/api/families/soft-90', family)).body).toMatchObject({ code: 'stale', current: { annealing_C: 520 } });
    const { body: schedule } = await server.ask('GET', `/api/schedules/${firingsOf(piece.doc)[0].scheduleId}`);
    expect(schedule.snapshot.firing.body.glasses[0].annealing_C).toBe(family.annealing_C);
  });

  test('what a record does not say any more is not known any more', async () => {
    const { body: shelves } = await server.ask('GET', '/api/shelves');
    const family = shelves.families.find(({ id }: { id: string }) => id === 'soft-90');
    const known = (await server.ask('PUT', '/api/families/soft-90', { ...family, strain_C: 480 })).body;
    expect(known.strain_C).toBe(480);
    const { strain_C: _, ...without } = known;
    expect((await server.ask('PUT', '/api/families/soft-90', without)).body).not.toHaveProperty('strain_C');
  });

  test('a new record is added once, under its own id; nonsense is refused at its field', async () => {
    const glass = { ...(await clear()), id: 'gorse-90', name: 'Gorse', version: 0 };
    expect((await server.ask('PUT', '/api/glasses/gorse-90', glass)).body).toMatchObject({ name: 'Gorse', version: 1 });
    expect((await server.ask('PUT', '/api/glasses/gorse-90', { ...glass, name: 'Another gorse' })).status).toBe(409);
    expect((await server.ask('PUT', '/api/glasses/other', glass)).body.code).toBe('id-differs');
    expect((await server.ask('PUT', '/api/glasses/new', { ...glass, id: 'new', version: 3 })).status).toBe(404);
    expect((await server.ask('PUT', '/api/glasses/gorse-90', { ...glass, colour: 'yellow' })).body.path).toBe('colour');
    const [primer] = (await server.ask('GET', '/api/releases')).body;
    expect((await server.ask('PUT', `/api/releases/${primer.id}`, { ...primer, pace_K_per_s: 0.05 })).body).toMatchObject({
      path: 'paceTo_C',
      message: expect.stringMatching(/write both/),
    });
  });

  test('a record put away stays for what names it, and comes back', async () => {
    const { body: shelves } = await server.ask('POST', '/api/glasses/clear-90/archive', { archived: true });
    expect(shelves.archived).toEqual(['clear-90']);
    const piece = await demo('Sundial disc');
    await save(piece, { name: 'Sundial, renamed' }, 'renamed');
    expect((await server.ask('POST', '/api/glasses/clear-90/archive', { archived: false })).body.archived).toEqual([]);
    expect((await server.ask('POST', '/api/kilns/clear-90/archive', { archived: true })).status).toBe(404);
  });

  test('a strip test stands among the evidence, newest first', async () => {
    const test = { id: uuid(), version: 0, glassA: 'clear-90', glassB: 'heron-96', result: 'cracked', note: 'within a day', testedAt: NOW };
    expect((await server.ask('PUT', `/api/strip-tests/${test.id}`, test)).body).toEqual({ ...test, version: 1 });
    expect((await server.ask('GET', '/api/shelves')).body.stripTests[0]).toEqual({ ...test, version: 1 });
    const other = { ...test, id: uuid(), glassB: 'nothing' };
    expect((await server.ask('PUT', `/api/strip-tests/${other.id}`, other)).status).toBe(404);
    expect((await server.ask('POST', `/api/strip-tests/${test.id}/archive`, { archived: true })).body.code).toBe('no-archive');
  });
});

describe('records of every kind', () => {
  test('are listed, read, deleted where nothing names them, and brought back; ids are unique among all kinds', async () => {
    const shelves = (await server.ask('GET', '/api/shelves')).body;
    for (const [name, { path }] of Object.entries(KINDS)) {
      const list = (await server.ask('GET', `/api/${path}`)).body;
      expect(list).toEqual(shelves[name]);
      expect((await server.ask('GET', `/api/${path}/${list[0].id}`)).body).toEqual(list[0]);
      expect((await server.ask('GET', `/api/${path}/none`)).body.code).toBe('unknown-id');
    }
    const [kiln] = shelves.kilns;
    expect(await server.ask('PUT', '/api/kilns/soft-90', { ...kiln, id: 'soft-90', version: 0 })).toMatchObject({ status: 409, body: { code: 'id-taken' } });
    expect((await server.ask('GET', '/api/kilns/soft-90')).status).toBe(404);
    const spare = (await server.ask('PUT', '/api/kilns/spare', { ...kiln, id: 'spare', name: 'Spare', source: undefined, version: 0 })).body;
    expect(spare).toMatchObject({ name: 'Spare', source: '', version: 1 });
    expect((await server.ask('DELETE', '/api/kilns/spare', { version: 9 })).status).toBe(409);
    expect((await server.ask('DELETE', '/api/kilns/spare', { version: 1 })).body).toEqual({ ok: true });
    expect((await server.ask('DELETE', '/api/kilns/spare', { version: 1 })).body).toEqual({ ok: true });
    expect((await server.ask('GET', '/api/shelves')).body.kilns.map(({ id }: { id: string }) => id)).not.toContain('spare');
    expect((await server.ask('PUT', '/api/kilns/spare', { ...spare, version: 0 })).status).toBe(409);
    expect((await server.ask('POST', '/api/kilns/spare/restore', {})).body).toEqual({ ...spare, version: 2 });
  });

  test('from before a rule are handed on as they stand, and held to it when they are saved', async () => {
    const { db } = server.opened;
    db.update(records)
      .set({ doc: sql`json_set(${records.doc}, '$.ambient_C', 90)` })
      .where(eq(records.id, 'tall-kiln'))
      .run();
    const tall = (await server.ask('GET', '/api/shelves')).body.kilns.find(({ id }: { id: string }) => id === 'tall-kiln');
    expect(tall).toMatchObject({ ambient_C: 90, name: 'Tall kiln' });
    expect((await server.ask('PUT', '/api/kilns/tall-kiln', tall)).body.path).toBe('ambient_C');
    expect((await server.ask('PUT', '/api/kilns/tall-kiln', { ...tall, ambient_C: 20 })).status).toBe(200);
  });

  test('in use are not deleted: what names them is said', async () => {
    const shelves = (await server.ask('GET', '/api/shelves')).body;
    const remove = async (path: string, { id, version }: { id: string; version: number }) =>
      (await server.ask('DELETE', `/api/${path}/${id}`, { version })).body;
    const low = shelves.kilns.find(({ id }: { id: string }) => id === 'low-kiln');
    expect(await remove('kilns', low)).toMatchObject({
      code: 'in-use',
      message: expect.stringMatching(/^It is in use by the piece '.*' and \d more; put it away/),
    });
    const family = shelves.families.find(({ id }: { id: string }) => id === 'soft-90');
    expect((await remove('families', family)).message).toMatch(/the glass '/);
    const [test] = shelves.stripTests;
    expect(
      await remove(
        'glasses',
        shelves.glasses.find(({ id }: Glass) => id === 'clear-90'),
      ),
    ).toMatchObject({ code: 'in-use' });
    const [nitride, primer] = ['mould-nitride', 'shelf-primer'].map((id) => shelves.releases.find((one: { id: string }) => one.id === id));
    expect(await remove('releases', primer)).toMatchObject({ code: 'in-use', message: expect.stringMatching(/the piece '/) });
    expect(await remove('releases', nitride)).toMatchObject({
      code: 'in-use',
      message: expect.stringMatching(/^It is in use by the coat 'Lamp former, edges'/),
    });
    expect(
      await remove(
        'coats',
        shelves.coated.find(({ releaseId }: { releaseId: string }) => releaseId === 'mould-nitride'),
      ),
    ).toEqual({ ok: true });
    expect(await remove('releases', nitride)).toEqual({ ok: true });
    expect(await remove('strip-tests', test)).toEqual({ ok: true });
  });
});

describe('what firings have taught', () => {
  test('is planned by once it stands on the kiln, outdates what was planned without it, and is not learnt a second time', async () => {
    const before = (await server.ask('GET', '/api/bench')).body.learned;
    const low = (await server.ask('GET', '/api/shelves')).body.kilns.find(({ id }: { id: string }) => id === 'low-kiln');
    expect((await server.ask('PUT', '/api/kilns/low-kiln', { ...low, offset_K: 100 })).status).toBe(422);
    const lookFactors = { fullFuse: 1.2, slump: 0.9 };
    expect((await server.ask('PUT', '/api/kilns/low-kiln', { ...low, offset_K: 12, workFactor: 1.1, lookFactors: { fuse: 1 } })).status).toBe(422);
    expect((await server.ask('PUT', '/api/kilns/low-kiln', { ...low, offset_K: 12, workFactor: 1.1, lookFactors })).status).toBe(200);
    const bench = (await server.ask('GET', '/api/bench')).body;
    expect(bench.learned).toEqual(before);
    const disc = bench.waiting.find(({ piece }: WaitingPiece) => piece.name === 'Sundial disc');
    expect(disc.outdated.join(' ')).toMatch(/What firings of 'Low kiln' have taught has been taken over since/);
    // What is planned now is planned by it, and a firing of it teaches by what the controller read.
    const tiles = await demo('Test tiles, clear');
    const [step] = firingsOf(tiles.doc);
    const { segments } = (await server.ask('GET', `/api/schedules/${step.scheduleId}`)).body;
    const made = { id: uuid(), stepId: step.id, pieceVersion: tiles.version, parentId: null, origin: 'edited', segments };
    expect((await server.ask('POST', `/api/pieces/${tiles.id}/schedules`, made)).status).toBe(200);
    const planned = (await server.ask('GET', `/api/schedules/${made.id}`)).body;
    expect(planned.snapshot.firing.corrections).toEqual({ offset_K: 12, workFactor: 1.1, lookFactors });
    for (const key of ['offset_K', 'lookFactors']) expect(planned.snapshot.firing.kiln).not.toHaveProperty(key);
    expect(planned.snapshot.madeFrom.kiln.taken).toEqual({ offset_K: 12, workFactor: 1.1, lookFactors });
    const tell = async (scheduleId: string | null) => {
      const told = { id: uuid(), pieceId: tiles.id, scheduleId, firedAt: NOW - 20 * 3600e3, zone: 'UTC', result: 'right', note: '' };
      expect((await server.ask('POST', '/api/firings', told)).status).toBe(200);
      const { learned } = (await server.ask('GET', '/api/bench')).body;
      const { body: firing } = await server.ask('GET', `/api/firings/${told.id}`);
      await server.ask('DELETE', `/api/firings/${told.id}`, { version: firing.firing.version });
      return learned;
    };
    // The same segments told as right say the same of the kiln, whichever way they were planned.
    const [withIt, without] = [await tell(made.id), await tell(step.scheduleId)];
    expect(Math.abs(withIt.workFactor / without.workFactor - 1)).toBeLessThan(0.02);
    expect(Math.abs(withIt.offset_K - without.offset_K)).toBeLessThan(0.3);
    expect((await server.ask('PUT', '/api/kilns/low-kiln', { ...low, version: low.version + 1 })).status).toBe(200);
    expect((await server.ask('GET', '/api/bench')).body.waiting.find(({ piece }: WaitingPiece) => piece.name === 'Sundial disc').outdated).toEqual([]);
  });
});

describe('the Bench', () => {
  test('has what stands in the kiln, what waits and for what, and what the kiln has taught', async () => {
    const { body } = await server.ask('GET', '/api/bench');
    expect(body.inKiln).toMatchObject([{ pieceName: 'Bird-bath basin', result: null, kilnName: 'Low kiln' }]);
    const tiles = await demo('Test tiles, clear');
    expect(body.waiting.find(({ piece }: WaitingPiece) => piece.id === tiles.id)).toMatchObject({
      for: 'decision',
      look: firingsOf(tiles.doc)[0].look,
      outdated: [],
    });
    expect([body.waiting.length, body.pieces]).toEqual([body.waitingInAll, (await server.pieces()).length]);
    expect(body.learned).toMatchObject({ kilnName: 'Low kiln', familyName: 'Soft sheet 90' });
    expect(body.learned.firings).toBeGreaterThanOrEqual(7);
    expect(body.learned.workFactor).toBeGreaterThan(0.7);
    expect(body.learned.workFactor).toBeLessThan(1.4);
  });

  test('of a kiln whose right looks all fall short teaches that more work is needed', async () => {
    const learned = async () => (await server.ask('GET', '/api/bench')).body.learned;
    const before = await learned();
    const { body: page } = await server.ask('GET', '/api/firings?look=fullFuse&result=right');
    const [{ pieceId, scheduleId }] = page.firings as Firing[];
    for (let i = 0; i < 5; i += 1) {
      const told = { id: uuid(), pieceId, scheduleId, firedAt: NOW - 300 * 3600e3 - i, zone: 'UTC', result: 'short', note: '', atOnce: true };
      await server.ask('POST', '/api/firings', told);
    }
    const after = await learned();
    expect(after.workFactor).toBeGreaterThan(before.workFactor * 1.05);
    // Most of it is said of the look that fell short, least of another.
    const grew = (look: string): number => {
      const [was, is] = [before, after].map(({ looks }) => looks.find((one: { look: string }) => one.look === look).factor);
      return is / was;
    };
    expect(grew('fullFuse')).toBeGreaterThan(1.1);
    const others = after.looks.map(({ look }: { look: string }) => look).filter((look: string) => look !== 'fullFuse');
    expect(others.length).toBeGreaterThan(0);
    for (const look of others) expect(grew(look)).toBeLessThan(grew('fullFuse'));
    expect(after.looks.reduce((sum: number, { firings }: { firings: number }) => sum + firings, 0)).toBe(after.firings);
  });

  test('leaves out what is not to teach, takes readings at the glass, and says what it was learnt from', async () => {
    const learned = async () => (await server.ask('GET', '/api/bench')).body.learned;
    const before = await learned();
    expect(before.lessons).toHaveLength(before.firings);
    const told = before.lessons.find(({ result, look }: { result: string; look: string }) => result === 'short' && look === 'fullFuse');
    const { firing } = (await server.ask('GET', `/api/firings/${told.firingId}`)).body;
    expect(firing.lesson).toEqual({ leftOut: false, by: null, witness: null });
    const { firedAt, zone, place, result, lookReached, note, asFired, photos, knownBy } = firing;
    const body = { firedAt, zone, place, result, lookReached, note, asFired, photos, knownBy };
    const tell = (version: number, lesson: object) => server.ask('PUT', `/api/firings/${firing.id}`, { ...body, version, lesson });
    expect((await tell(firing.version, { leftOut: true })).status).toBe(200);
    const without = await learned();
    expect(without.firings).toBe(before.firings - 1);
    expect(without.lessons).toHaveLength(before.lessons.length);
    expect(without.lessons.find(({ firingId }: { firingId: string }) => firingId === firing.id).lesson.leftOut).toBe(true);
    expect(without.workFactor).toBeLessThan(before.workFactor);
    // Read at the glass: the offset is known better, and is near what was read.
    expect((await tell(firing.version + 1, { by: 'far', witness: { controller_C: 800, glass_C: 791 } })).status).toBe(200);
    const read = await learned();
    expect(read.firings).toBe(before.firings);
    expect(read.offset_sd_K).toBeLessThan(before.offset_sd_K / 2);
    expect(Math.abs(read.offset_K - 9)).toBeLessThan(3);
    expect(await tell(firing.version + 2, { witness: { controller_C: 800, glass_C: 600 } })).toMatchObject({ status: 422 });
    // It goes along in the piece's file.
    const file = (await server.ask('GET', `/api/pieces/${firing.pieceId}/file`)).body;
    expect(file.firings.find(({ id }: { id: string }) => id === firing.id).lesson).toEqual({
      leftOut: false,
      by: 'far',
      witness: { controller_C: 800, glass_C: 791 },
    });
    expect((await tell(firing.version + 2, {})).status).toBe(200);
    expect((await learned()).workFactor).toBeCloseTo(before.workFactor, 9);
  });

  test('learns nothing from what hangs on holes and weights', async () => {
    const before = (await server.ask('GET', '/api/bench')).body.learned;
    const tiles = await demo('Test tiles, clear');
    const [planned] = firingsOf(tiles.doc);
    const { segments } = (await server.ask('GET', `/api/schedules/${planned.scheduleId}`)).body;
    const shaping = { kind: 'drain', holes: 4, hole_m: 0.02, plate_m: 0.01 };
    const step = { ...planned, id: uuid(), look: 'potMelt', setup: { kind: 'bareShelf', paper: false, shaping }, scheduleId: null, computedId: null };
    const pot = { id: uuid(), name: 'A pot', doc: { ...tiles.doc, journey: [tiles.doc.journey[0], step] } };
    expect((await server.ask('POST', '/api/pieces', pot)).status).toBe(200);
    const made = { id: uuid(), stepId: step.id, pieceVersion: 1, parentId: null, origin: 'edited', segments };
    expect((await server.ask('POST', `/api/pieces/${pot.id}/schedules`, made)).status).toBe(200);
    const told = { id: uuid(), pieceId: pot.id, scheduleId: made.id, firedAt: NOW - 30 * 3600e3, zone: 'UTC', result: 'short', note: '', atOnce: true };
    expect((await server.ask('POST', '/api/firings', told)).status).toBe(200);
    expect((await server.ask('GET', '/api/bench')).body.learned).toEqual(before);
  });

  test('goes on learning of a kiln that was renamed, and of no other that has its old name', async () => {
    const before = (await server.ask('GET', '/api/bench')).body.learned;
    const low = (await server.ask('GET', '/api/shelves')).body.kilns.find(({ id }: { id: string }) => id === 'low-kiln');
    await server.ask('PUT', '/api/kilns/low-kiln', { ...low, name: 'Old faithful' });
    await server.ask('PUT', '/api/kilns/other', { ...low, id: 'other', version: 0 });
    expect((await server.ask('GET', '/api/bench')).body.learned).toEqual({ ...before, kilnName: 'Old faithful' });
    expect(before.kilnId).toBe('low-kiln');
    // A schedule made for the other one is evidence of that alone.
    const piece = await demo('Test tiles, clear');
    const moved = await save(
      piece,
      { doc: { ...piece.doc, journey: piece.doc.journey.map((step) => (step.kind === 'fire' ? { ...step, kilnId: 'other' } : step)) } },
      'other kiln',
    );
    const [step] = firingsOf(moved.doc);
    const { segments } = (await server.ask('GET', `/api/schedules/${step.scheduleId}`)).body;
    const made = { id: uuid(), stepId: step.id, pieceVersion: moved.version, parentId: null, origin: 'edited', segments };
    expect((await server.ask('POST', `/api/pieces/${piece.id}/schedules`, made)).status).toBe(200);
    const told = { id: uuid(), pieceId: piece.id, scheduleId: made.id, firedAt: NOW - 20 * 3600e3, zone: 'UTC', result: 'right', note: '' };
    expect((await server.ask('POST', '/api/firings', told)).status).toBe(200);
    const bench = (await server.ask('GET', '/api/bench')).body;
    expect(bench.learned).toMatchObject({ kilnName: 'Low kiln', firings: 1 });
    // What the other one has taught is there as before, and told of by itself.
    expect(bench.taught.map(({ kilnId }: { kilnId: string }) => kilnId)).toEqual(['other', 'low-kiln']);
    expect((await server.ask('GET', '/api/learned?kiln=low-kiln')).body).toEqual({ ...before, kilnName: 'Old faithful' });
    expect((await server.ask('GET', '/api/learned?kiln=other')).body).toEqual(bench.learned);
    expect((await server.ask('GET', '/api/learned')).body).toEqual(bench.learned);
    expect((await server.ask('GET', '/api/learned?kiln=none')).body).toBeNull();
  });
});

test('what was asked for before goes out as it was, whoever asks and however, until something in it has changed', async () => {
  const plain = { 'Accept-Encoding': 'identity' };
  for (const path of ['/api/bench', '/api/pieces']) {
    const first = await server.ask('GET', path);
    for (const headers of [{}, {}, plain, { 'Accept-Encoding': 'gzip' }]) {
      const again = await server.ask('GET', path, undefined, headers);
      expect(again.body).toEqual(first.body);
      expect(again.headers.get('etag')).not.toBeNull();
      expect(again.headers.get('vary')).toContain('Accept-Encoding');
    }
    expect((await server.ask('GET', path, undefined, plain)).headers.get('content-encoding')).toBeNull();
    const { headers } = await server.ask('GET', path, undefined, { 'Accept-Encoding': 'gzip' });
    // Its length is known before it goes out: it was compressed before.
    expect([headers.get('content-encoding'), Number(headers.get('content-length')) > 100]).toEqual(['gzip', true]);
    const piece = await demo('Sundial disc');
    await save(piece, { name: 'Moon disc' }, 'name changed');
    const after = await server.ask('GET', path);
    expect(JSON.stringify(after.body)).toContain('Moon disc');
    await save(await demo('Moon disc'), { name: 'Sundial disc' }, 'name changed');
  }
});
