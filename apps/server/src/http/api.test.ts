import { firingsOf, asJourney } from '@torvin/core/piece';
import type { Firing, NewPiece, Piece, SavedSchedule } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { DEMO_PIECES } from '../opening/demo';
import { SCHEMA, type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const laidOf = (layer: object) => ({ ...newPiece().doc, journey: [{ kind: 'lay', id: uuid(), side: 'above', layers: [layer] }] });
const newPiece = (change: Partial<NewPiece> = {}): NewPiece => ({
  id: uuid(),
  name: 'Tray, middle of three',
  doc: asJourney({
    schemaVersion: 2,
    dammed: false,
    footprint: { shape: 'rectangle', width_m: 0.3048, length_m: 0.2 },
    typed: { width: '12 in', length: '200' },
    layers: [
      { id: uuid(), form: 'sheet', glassId: 'clear-90', thickness_m: 0.003 },
      { id: uuid(), form: 'sheet', glassId: 'harbour-90', thickness_m: 0.003 },
    ],
    steps: [
      {
        id: uuid(),
        look: 'fullFuse',
        setup: { kind: 'bareShelf', paper: false },
        kilnId: 'low-kiln',
        controllerId: 'grey-box',
        school: { soak: 'auto', heat: 'cooler' },
        scheduleId: null,
        computedId: null,
      },
    ],
  }),
  ...change,
});

async function made(): Promise<Piece> {
  const { status, body } = await server.ask('POST', '/api/pieces', newPiece());
  expect(status).toBe(200);
  return body;
}

const SEGMENTS = [
  { role: 'warmUp', rate_C_per_h: 220, target_C: 560, hold_s: 0 },
  { role: 'work', rate_C_per_h: 300, target_C: 790, hold_s: 900 },
  { role: 'drop', rate_C_per_h: null, target_C: 515, hold_s: 1800 },
  { role: 'lastCool', rate_C_per_h: 60, target_C: 80, hold_s: 0 },
];

async function planned(): Promise<SavedSchedule> {
  const piece = await made();
  const { status, body } = await server.ask('POST', `/api/pieces/${piece.id}/schedules`, {
    id: uuid(),
    stepId: firingsOf(piece.doc)[0].id,
    pieceVersion: piece.version,
    parentId: null,
    origin: 'computed',
    segments: SEGMENTS,
  });
  expect(status).toBe(200);
  return body;
}

describe('the demo studio', () => {
  test('has pieces at every stage; every schedule keeps every limit', async () => {
    const pieces = await server.pieces();
    expect(pieces.map(({ name }) => name)).toEqual(DEMO_PIECES.map(({ name }) => name).reverse());
    for (const { doc } of pieces) {
      for (const { scheduleId } of firingsOf(doc)) {
        const { body: schedule } = await server.ask('GET', `/api/schedules/${scheduleId}`);
        expect(schedule.result.readings.length).toBeGreaterThan(6);
        expect({ of: schedule.snapshot.firing.look, broken: schedule.result.readings.filter((reading: { ok: boolean }) => !reading.ok) }).toEqual({
          of: schedule.snapshot.firing.look,
          broken: [],
        });
      }
    }
  });

  test('has firings that came out short, right and past, one of them still in the kiln', async () => {
    const { body: page } = await server.ask('GET', '/api/firings');
    const recorded = DEMO_PIECES.flatMap(({ steps }) => steps.flatMap((one) => ('step' in one ? one.firings : [])));
    expect(page.total).toBe(recorded.length);
    expect(new Set(page.firings.map(({ result }: Firing) => result))).toEqual(new Set(['short', 'right', 'past', null]));
    expect(page.firings.find(({ result }: Firing) => result === null)).toMatchObject({ pieceName: 'Bird-bath basin', look: 'slump', kilnName: 'Low kiln' });
  });

  test('answers its health', async () => {
    const { body } = await server.ask('GET', '/api/health');
    expect(body).toEqual({ ok: true, version: 'test', dataDir: server.dataDir, schema: SCHEMA, asks: false });
  });
});

describe('pieces', () => {
  test('a repeated POST with the same id makes one piece and answers the same', async () => {
    const piece = newPiece();
    const first = await server.ask('POST', '/api/pieces', piece);
    const again = await server.ask('POST', '/api/pieces', { ...piece, name: 'another name' });
    expect(again.body).toEqual(first.body);
  });

  test('a save on the seen version goes through and counts it up', async () => {
    const piece = await made();
    const { status, body } = await server.ask('PUT', `/api/pieces/${piece.id}`, { version: 1, name: 'Tray, largest', doc: piece.doc });
    expect(status).toBe(200);
    expect(body).toMatchObject({ name: 'Tray, largest', version: 2 });
  });

  test('a stale save is refused with the current state and changes nothing', async () => {
    const piece = await made();
    await server.ask('PUT', `/api/pieces/${piece.id}`, { version: 1, name: 'theirs', doc: piece.doc });
    const { status, body } = await server.ask('PUT', `/api/pieces/${piece.id}`, { version: 1, name: 'mine', doc: piece.doc });
    expect(status).toBe(409);
    expect(body).toMatchObject({ code: 'stale', path: 'version', current: { name: 'theirs', version: 2 } });
    expect((await server.ask('GET', `/api/pieces/${piece.id}`)).body.name).toBe('theirs');
  });

  test.each([
    ['an empty name', { name: '  ' }, 'name', /Name is empty: write it/],
    ['no sheets', { doc: { ...newPiece().doc, journey: newPiece().doc.journey.slice(1) } }, 'doc.journey', /at least one layer/],
    [
      '400 mm of glass',
      { doc: laidOf({ id: uuid(), form: 'sheet', glassId: 'clear-90', thickness_m: 0.4 }) },
      'doc.journey.0.layers.0.thickness_m',
      /0\.0005 to 0\.025 m; got 0\.4/,
    ],
    ['a size of nought', { doc: { ...newPiece().doc, footprint: { shape: 'disc', diameter_m: 0 } } }, 'doc.footprint.diameter_m', /0\.01 to 2 m; got 0/],
    [
      'an unknown glass',
      { doc: laidOf({ id: uuid(), form: 'sheet', glassId: 'moonstone', thickness_m: 0.003 }) },
      'doc.journey.0.layers.0.glassId',
      /moonstone/,
    ],
    ['an unknown field', { colour: 'red' }, '', /Unknown field 'colour'/],
    ['an id that is none', { id: 'seven' }, 'id', /uuid/],
  ])('%s is refused at its field', async (_, change, path, message) => {
    const { status, body } = await server.ask('POST', '/api/pieces', newPiece(change as Partial<NewPiece>));
    expect(status).toBe(422);
    expect(body.path).toBe(path);
    expect(body.message).toMatch(message);
  });

  test('an unknown id is 404 with a sentence', async () => {
    const { status, body } = await server.ask('GET', `/api/pieces/${uuid()}`);
    expect(status).toBe(404);
    expect(body.message).toMatch(/There is no piece/);
  });
});

describe('schedule versions', () => {
  test('are simulated by the server and become their step’s', async () => {
    const { piece, schedule } = await planned();
    expect(piece.version).toBe(2);
    expect(firingsOf(piece.doc)[0]).toMatchObject({ scheduleId: schedule.id, computedId: schedule.id });
    expect(schedule.result.simulation.segments).toHaveLength(4);
    expect(schedule.result.simulation.total_s).toBeGreaterThan(6 * 3600);
    expect(schedule.snapshot).toMatchObject({ kilnName: 'Low kiln', familyName: 'Soft sheet 90', engine: expect.any(String) });
  });

  test('an edit adds a row with its parent and leaves the old one as it was', async () => {
    const { piece, schedule } = await planned();
    const segments = SEGMENTS.map((one) => (one.role === 'work' ? { ...one, target_C: 800 } : one));
    const wanted = { id: uuid(), stepId: schedule.stepId, pieceVersion: piece.version, parentId: schedule.id, origin: 'edited', segments };
    const { body } = await server.ask('POST', `/api/pieces/${piece.id}/schedules`, wanted);
    expect(body.schedule.parentId).toBe(schedule.id);
    expect(firingsOf(body.piece.doc)[0]).toMatchObject({ scheduleId: wanted.id, computedId: schedule.id });
    expect((await server.ask('GET', `/api/schedules/${schedule.id}`)).body).toEqual(schedule);
    const again = await server.ask('POST', `/api/pieces/${piece.id}/schedules`, wanted);
    expect(again.body.piece.version).toBe(body.piece.version);
  });

  test('based on an older piece are refused with the current one', async () => {
    const { piece, schedule } = await planned();
    const wanted = { id: uuid(), stepId: schedule.stepId, pieceVersion: 1, parentId: schedule.id, origin: 'edited', segments: SEGMENTS };
    const { status, body } = await server.ask('POST', `/api/pieces/${piece.id}/schedules`, wanted);
    expect(status).toBe(409);
    expect(body.current.version).toBe(piece.version);
  });

  test('of another piece’s parent or step are refused', async () => {
    const one = await planned();
    const other = await planned();
    const wanted = {
      id: uuid(),
      stepId: one.schedule.stepId,
      pieceVersion: one.piece.version,
      parentId: other.schedule.id,
      origin: 'edited',
      segments: SEGMENTS,
    };
    expect((await server.ask('POST', `/api/pieces/${one.piece.id}/schedules`, wanted)).status).toBe(404);
    expect((await server.ask('POST', `/api/pieces/${one.piece.id}/schedules`, { ...wanted, id: uuid(), parentId: null, stepId: uuid() })).status).toBe(404);
  });
});

describe('firings', () => {
  test('are recorded once, listed newest first, and keep the schedule they ran', async () => {
    const { piece, schedule } = await planned();
    const firing = {
      id: uuid(),
      pieceId: piece.id,
      scheduleId: schedule.id,
      firedAt: Date.UTC(2026, 10, 20),
      zone: 'Europe/Lisbon',
      result: 'past',
      note: ' ran a little ',
    };
    const first = await server.ask('POST', '/api/firings', firing);
    expect(first.status).toBe(200);
    expect(first.body).toMatchObject({ note: 'ran a little', work_C: 790, work_s: 900 });
    expect((await server.ask('POST', '/api/firings', firing)).body).toEqual(first.body);
    const { body: list } = await server.ask('GET', '/api/firings');
    const times = (list.firings as { firedAt: number }[]).map(({ firedAt }) => firedAt);
    expect(times).toEqual([...times].sort((a, b) => b - a));
    expect(list.firings.some(({ id }: { id: string }) => id === firing.id)).toBe(true);
    const { body: detail } = await server.ask('GET', `/api/firings/${firing.id}`);
    expect(detail.schedule).toEqual(schedule);
  });

  test.each([
    ['a result that is none', { result: 'splendid' }, 'result'],
    ['a photo that is none', { photos: ['face.png'] }, 'photos.0'],
    ['a look that is none', { lookReached: 'lovely' }, 'lookReached'],
    ['a zone that is none', { zone: 'Atlantis/Deep' }, 'zone'],
    ['a time that is none', { firedAt: 'yesterday' }, 'firedAt'],
  ])('with %s are refused at the field', async (_, change, path) => {
    const { piece, schedule } = await planned();
    const firing = { id: uuid(), pieceId: piece.id, scheduleId: schedule.id, firedAt: 1, zone: 'UTC', result: 'right', note: '', ...change };
    const { status, body } = await server.ask('POST', '/api/firings', firing);
    expect(status).toBe(422);
    expect(body.path).toBe(path);
  });

  test('of a schedule that belongs to another piece are refused', async () => {
    const one = await planned();
    const other = await planned();
    const firing = { id: uuid(), pieceId: one.piece.id, scheduleId: other.schedule.id, firedAt: 1, zone: 'UTC', result: 'right', note: '' };
    expect((await server.ask('POST', '/api/firings', firing)).status).toBe(404);
  });
});

describe('settings', () => {
  test('are kept, and refused when they are none', async () => {
    const inches = { temperatureUnit: 'F', lengthUnit: 'in', massUnit: 'oz', theme: 'dark' };
    const firstDay = (await server.ask('GET', '/api/studio')).body.firstDay;
    expect((await server.ask('PUT', '/api/studio', inches)).body).toEqual({
      ...inches,
      csv: 'comma',
      changesFirst: 'temperature',
      learning: 'asks',
      mixedLoads: false,
      firstDay,
    });
    const told = { answered: ['units', 'kiln'], familyId: 'soft-90', schedule: '1 150 677 30', done: true };
    expect((await server.ask('PUT', '/api/studio', { ...inches, firstDay: told })).body.firstDay).toEqual(told);
    // A browser that knows nothing of it leaves it as it is.
    expect((await server.ask('PUT', '/api/studio', inches)).body.firstDay).toEqual(told);
    expect((await server.ask('PUT', '/api/studio', { ...inches, csv: 'semicolon' })).body.csv).toBe('semicolon');
    expect((await server.ask('PUT', '/api/studio', { ...inches, changesFirst: 'hold' })).body.changesFirst).toBe('hold');
    expect((await server.ask('PUT', '/api/studio', inches)).body.changesFirst).toBe('hold');
    expect((await server.ask('GET', '/api/studio')).body.theme).toBe('dark');
    const { status, body } = await server.ask('PUT', '/api/studio', { ...inches, temperatureUnit: 'K' });
    expect(status).toBe(422);
    expect(body.message).toMatch(/C, F; got "K"/);
  });
});

describe('requests that cannot be read', () => {
  test('malformed JSON is 400, an oversized body 413, an unknown path 404, each as a problem', async () => {
    expect(await server.ask('POST', '/api/pieces', '{"id":')).toMatchObject({ status: 400, body: { code: 'malformed-json' } });
    expect(await server.ask('POST', '/api/pieces', JSON.stringify({ name: 'x'.repeat(300_000) }))).toMatchObject({ status: 413, body: { code: 'too-large' } });
    expect(await server.ask('GET', '/api/pots')).toMatchObject({ status: 404, body: { code: 'unknown-path' } });
    expect(await server.ask('POST', '/api/pieces', '[]')).toMatchObject({ status: 422 });
  });

  test('a body that is not sent as JSON is 415 and says what it came as', async () => {
    for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'application/xml']) {
      const { status, body } = await server.ask('POST', '/api/pieces', '{"name":"x"}', { 'Content-Type': type });
      expect({ status, body }).toEqual({
        status: 415,
        body: { code: 'not-json', path: 'Content-Type', message: expect.stringContaining(`It came as ${type}. Send JSON as application/json`) },
      });
    }
    expect((await server.ask('POST', '/api/pieces', '{"id":', { 'Content-Type': 'application/json; charset=utf-8' })).status).toBe(400);
    // What brings no body has no type.
    expect((await server.ask('GET', '/api/studio', undefined, { 'Content-Type': 'text/plain' })).status).toBe(200);
  });

  test('a method that a path has not is 405 and says which it has', async () => {
    const wrong = await server.ask('DELETE', '/api/studio', {});
    expect(wrong).toMatchObject({ status: 405, body: { code: 'wrong-method', message: '/api/studio takes GET, HEAD, PUT, not DELETE.' } });
    expect(wrong.headers.get('Allow')).toBe('GET, HEAD, PUT');
    expect((await server.ask('GET', '/api/compute/compose')).headers.get('Allow')).toBe('POST');
    expect((await server.ask('PATCH', `/api/pieces/${uuid()}`, {})).headers.get('Allow')).toMatch(/DELETE.*GET.*PUT/);
  });
});
