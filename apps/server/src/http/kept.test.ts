/** Nothing is lost: undo, deletion taken back, named versions, firings told of later, records put away. */
import type { Firing, Glass, Piece, ScheduleVersion } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { pieces } from '../db/tables';
import { DELETED_KEPT_MS, STATES_KEPT, sweepDeleted } from '../store/pieces';
import { PAGE } from '../store/firings';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

async function demo(name: string): Promise<Piece> {
  const { body } = await server.ask('GET', '/api/pieces');
  return body.find((piece: Piece) => piece.name === name);
}

async function save(piece: Piece, change: Partial<Pick<Piece, 'name' | 'doc'>>, what: string): Promise<Piece> {
  const { status, body } = await server.ask('PUT', `/api/pieces/${piece.id}`, { version: piece.version, name: piece.name, doc: piece.doc, ...change, what });
  expect(status).toBe(200);
  return body;
}

const go = (piece: Piece, way: 'undo' | 'redo') => server.ask('POST', `/api/pieces/${piece.id}/${way}`, { version: piece.version });

describe('a save whose answer was lost on the way', () => {
  test('of a piece comes again and is taken for what it is, once; another on the same version is still stale', async () => {
    const piece = await demo('Sundial disc');
    const again = { name: 'Sundial, told twice', doc: piece.doc, version: piece.version, what: 'name' };
    const first = await server.ask('PUT', `/api/pieces/${piece.id}`, again);
    const second = await server.ask('PUT', `/api/pieces/${piece.id}`, again);
    expect([first.status, second.status]).toEqual([200, 200]);
    expect(second.body).toEqual(first.body);
    expect(second.body.version).toBe(piece.version + 1);
    expect((await server.ask('PUT', `/api/pieces/${piece.id}`, { ...again, name: 'Otherwise' })).status).toBe(409);
  });

  test('of a firing likewise', async () => {
    const [{ id, version, zone, firedAt }] = (await server.ask('GET', '/api/firings')).body.firings as Firing[];
    const told = { version, zone, firedAt, place: 'by the wall', result: 'short', lookReached: null, note: 'twice', asFired: null, photos: [] };
    const [first, second] = [await server.ask('PUT', `/api/firings/${id}`, told), await server.ask('PUT', `/api/firings/${id}`, told)];
    expect(second).toMatchObject({ status: 200, body: first.body });
    expect((await server.ask('PUT', `/api/firings/${id}`, { ...told, note: 'other' })).status).toBe(409);
  });

  test('of a record likewise, a new one too; one that would forget a figure is still stale', async () => {
    const shelf = (await server.ask('GET', '/api/shelves')).body;
    const [kiln] = shelf.kilns;
    const mine = { ...kiln, id: 'mine', name: 'Mine', version: 0 };
    const [made, again] = [await server.ask('PUT', '/api/kilns/mine', mine), await server.ask('PUT', '/api/kilns/mine', mine)];
    expect(again).toMatchObject({ status: 200, body: made.body });
    const [family] = shelf.families;
    const fuller = { ...family, stressOptical_perPa: 2.6e-12 };
    expect((await server.ask('PUT', `/api/families/${family.id}`, fuller)).status).toBe(200);
    const { stressOptical_perPa: _forgotten, ...less } = fuller;
    expect((await server.ask('PUT', `/api/families/${family.id}`, less)).status).toBe(409);
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

  test('takes a computed schedule back too, and a new edit ends what could be done again', async () => {
    const piece = await demo('Sundial disc');
    expect(piece.undo).toBe('schedule computed');
    const back = (await go(piece, 'undo')).body;
    expect(back.doc.steps[0].scheduleId).toBeNull();
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
    expect(await demo('Plaque no. 14')).toBeUndefined();
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

  test('is final after 30 days, but a piece that a firing remembers is kept for it', async () => {
    const unfired = await demo('Sundial disc');
    const fired = await demo('Plaque no. 14');
    for (const { id, version } of [unfired, fired]) await server.ask('DELETE', `/api/pieces/${id}`, { version });
    const { db } = server.opened;
    sweepDeleted(db, NOW + DELETED_KEPT_MS - 1);
    expect((await server.ask('POST', `/api/pieces/${unfired.id}/restore`, {})).status).toBe(200);
    await server.ask('DELETE', `/api/pieces/${unfired.id}`, { version: unfired.version + 1 });
    sweepDeleted(db, NOW + DELETED_KEPT_MS + 1);
    const left = db.select({ id: pieces.id }).from(pieces).all();
    expect(left.some(({ id }) => id === unfired.id)).toBe(false);
    expect(left.some(({ id }) => id === fired.id)).toBe(true);
  });
});

describe('schedule versions', () => {
  test('are listed newest first with how often each was fired, and can be named', async () => {
    const piece = await demo('Test tiles, clear');
    const { body: versions } = await server.ask('GET', `/api/pieces/${piece.id}/schedules`);
    expect(versions).toMatchObject([{ origin: 'computed', firings: 3, name: '', kilnName: 'Low kiln' }]);
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
      asFired,
    };
    const { status, body } = await server.ask('PUT', `/api/firings/${firing.id}`, told);
    expect(status).toBe(200);
    expect(body.firing).toMatchObject({ place: 'back left', result: 'short', version: firing.version + 1 });
    expect(body.asFiredResult.work.mean).toBeLessThan(before.schedule.result.work.mean);
    expect((await server.ask('GET', `/api/firings/${firing.id}`)).body).toEqual(body);
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
      const firing = { id: uuid(), pieceId, scheduleId, firedAt: NOW - 300 * 3600e3 - Math.floor(i / 3) * 1000, zone: 'UTC', result: 'right', note: '' };
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
    const { body: schedule } = await server.ask('GET', `/api/schedules/${piece.doc.steps[0].scheduleId}`);
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
  });

  test('a record put away stays for what names it, and comes back', async () => {
    const { body: away } = await server.ask('POST', '/api/shelves/clear-90/away', { away: true });
    expect(away.putAway).toEqual(['clear-90']);
    const piece = await demo('Sundial disc');
    await save(piece, { name: 'Sundial, renamed' }, 'renamed');
    expect((await server.ask('POST', '/api/shelves/clear-90/away', { away: false })).body.putAway).toEqual([]);
    expect((await server.ask('POST', '/api/shelves/nothing/away', { away: true })).status).toBe(404);
  });

  test('a strip test stands among the evidence, newest first', async () => {
    const test = { id: uuid(), glassA: 'clear-90', glassB: 'heron-96', result: 'cracked', note: 'within a day', testedAt: NOW };
    expect((await server.ask('POST', '/api/strip-tests', test)).body).toEqual(test);
    expect((await server.ask('GET', '/api/shelves')).body.stripTests[0]).toEqual(test);
    expect((await server.ask('POST', '/api/strip-tests', { ...test, id: uuid(), glassB: 'nothing' })).status).toBe(404);
  });
});

describe('the Bench', () => {
  test('has what stands in the kiln, the last firing of every step, and what the kiln has taught', async () => {
    const { body } = await server.ask('GET', '/api/bench');
    expect(body.inKiln).toMatchObject([{ firing: { pieceName: 'Bird-bath basin', result: null }, schedule: { snapshot: { kilnName: 'Low kiln' } } }]);
    const tiles = await demo('Test tiles, clear');
    const { body: page } = await server.ask('GET', `/api/firings?piece=${tiles.id}`);
    expect(body.fired.filter(({ stepId }: { stepId: string }) => stepId === tiles.doc.steps[0].id)).toMatchObject([
      { firingId: page.firings[0].id, firedAt: page.firings[0].firedAt, result: 'past' },
    ]);
    expect(body.learned).toMatchObject({ kilnName: 'Low kiln', familyName: 'Soft sheet 90' });
    expect(body.learned.firings).toBeGreaterThanOrEqual(7);
    expect(body.learned.workFactor).toBeGreaterThan(0.7);
    expect(body.learned.workFactor).toBeLessThan(1.4);
  });

  test('of a kiln whose right looks all fall short teaches that more work is needed', async () => {
    const before = (await server.ask('GET', '/api/bench')).body.learned.workFactor;
    const { body: page } = await server.ask('GET', '/api/firings?look=fullFuse&result=right');
    const [{ pieceId, scheduleId }] = page.firings as Firing[];
    for (let i = 0; i < 5; i += 1) {
      await server.ask('POST', '/api/firings', { id: uuid(), pieceId, scheduleId, firedAt: NOW - 300 * 3600e3 - i, zone: 'UTC', result: 'short', note: '' });
    }
    expect((await server.ask('GET', '/api/bench')).body.learned.workFactor).toBeGreaterThan(before * 1.1);
  });
});
