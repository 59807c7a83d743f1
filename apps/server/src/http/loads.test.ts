/** What must never reach a kiln: a schedule that is not of this piece any more, a second load, a record that cannot be. */
import { firingsOf, anotherLike, laidLayers, changeLayer, type LaidLayer } from '@torvin/core/piece';
import type { Firing, LoadDetail, LoadShown, Piece, PieceFile, Schedule, SuggestedLoad } from '@torvin/schema';
import { and, eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { firings, pieces as rows } from '../db/tables';
import { tellLoadSchedule } from '../store/loadSchedules';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

const HOUR_MS = 3600e3;
const detailOf = async (id: string): Promise<LoadDetail> => (await server.ask('GET', `/api/loads/${id}`)).body;
const ahead = async (): Promise<LoadShown[]> => (await server.ask('GET', '/api/loads')).body;

async function demo(name: string): Promise<{ piece: Piece; schedule: Schedule }> {
  const piece = await server.piece(name);
  const { scheduleId } = firingsOf(piece.doc)[0];
  if (!scheduleId) throw new Error(`The demo has no ${name} with a schedule.`);
  return { piece, schedule: (await server.ask('GET', `/api/schedules/${scheduleId}`)).body };
}

const start = ({ piece, schedule }: { piece: Piece; schedule: Schedule }, more: object = {}) => ({
  ...{ id: uuid(), pieceId: piece.id, scheduleId: schedule.id, firedAt: NOW, zone: 'UTC' },
  ...more,
});
const record = (firing: object) => server.ask('POST', '/api/firings', firing);

/** The demo's kiln has the basin in it. */
async function freed(): Promise<void> {
  for (const load of await ahead()) {
    expect((await server.ask('PUT', `/api/loads/${load.id}`, { version: load.version, openedAt: NOW })).status).toBe(200);
  }
}

/** Others like it, each with the same schedule of its own. */
async function twinsOf(
  { piece, schedule }: { piece: Piece; schedule: Schedule },
  names: readonly string[],
): Promise<{ pieceId: string; scheduleId: string }[]> {
  const twins: { pieceId: string; scheduleId: string }[] = [];
  for (const name of names) {
    const { doc, repeats } = anotherLike(piece.doc, uuid, true);
    const [pieceId, scheduleId] = [uuid(), uuid()];
    expect((await server.ask('POST', '/api/pieces', { id: pieceId, name, doc })).status).toBe(200);
    const made = { id: scheduleId, stepId: repeats[0].stepId, pieceVersion: 1, parentId: null, origin: 'computed', segments: schedule.segments };
    expect((await server.ask('POST', `/api/pieces/${pieceId}/schedules`, made)).status).toBe(200);
    twins.push({ pieceId, scheduleId });
  }
  return twins;
}

async function laidDeeper(piece: Piece): Promise<Piece> {
  const [base] = laidLayers(piece.doc);
  const edited = changeLayer(piece.doc, { ...base, thickness_m: 0.012 } as LaidLayer);
  if (!edited.ok) throw new Error(edited.problem.message);
  const { doc } = edited.value;
  const { status, body } = await server.ask('PUT', `/api/pieces/${piece.id}`, { version: piece.version, name: piece.name, doc });
  expect(status).toBe(200);
  return body;
}

test('what waits for one kiln with the very same rows can go in together: each its own firing, until it is fired or its rows are others', async () => {
  await freed();
  // Thin, so that its schedule is soon judged.
  const one = await demo('Test tiles, clear');
  const alike = async (): Promise<string[]> =>
    (await server.ask('GET', `/api/schedules/${one.schedule.id}/alike`)).body.map(({ pieceName }: { pieceName: string }) => pieceName);
  expect(await alike()).toEqual([]);
  const twins = await twinsOf(one, ['Tiles 2', 'Tiles 3']);
  expect(await alike()).toEqual(['Tiles 2', 'Tiles 3']);
  const waits: { pieceName: string; scheduleId: string; damp: boolean; kilnId: string }[] = (await server.ask('GET', '/api/for-kiln')).body;
  const tiles = waits.filter(({ pieceName }) => pieceName.startsWith('Tiles '));
  expect(tiles.map(({ pieceName, damp }) => [pieceName, damp])).toEqual([2, 3].map((n) => [`Tiles ${n}`, false]));
  expect(tiles.map(({ scheduleId }) => scheduleId)).toEqual(twins.map(({ scheduleId }) => scheduleId));
  const loadId = uuid();
  const together = [start(one, { loadId }), ...twins.map((twin) => ({ ...start(one, { loadId }), ...twin }))];
  for (const firing of together) expect((await record(firing)).status).toBe(200);
  const [load] = await ahead();
  expect(load.entries.map(({ pieceName }) => pieceName).sort()).toEqual(['Test tiles, clear', 'Tiles 2', 'Tiles 3']);
  expect(await alike()).toEqual([]);
});

test('what may go together is suggested as far as there is room on one shelf, on the Bench as in the list; what is due goes first', async () => {
  await freed();
  const one = await demo('Test tiles, clear');
  const twins = await twinsOf(one, ['Tiles 2', 'Tiles 3', 'Tiles 4']);
  const kilnId = one.schedule.snapshot.madeFrom!.kiln.id;
  const { version: _version, ...kiln } = (await server.ask('GET', `/api/kilns/${kilnId}`)).body;
  const wide = async (insideWidth_m: number): Promise<void> => {
    const { version } = (await server.ask('GET', `/api/kilns/${kilnId}`)).body;
    const inside = { insideDiameter_m: undefined, insideLength_m: 0.2, elements: 'top', fromWalls_m: 0.02, betweenPieces_m: 0.01 };
    expect((await server.ask('PUT', `/api/kilns/${kilnId}`, { ...kiln, ...inside, insideWidth_m, version })).status).toBe(200);
  };
  const suggested = async (): Promise<string[] | undefined> => {
    const loads: SuggestedLoad[] = (await server.ask('GET', '/api/for-kiln/together')).body;
    expect((await server.ask('GET', '/api/bench')).body.together).toEqual(loads[0] ?? null);
    return loads.find(({ pieces }) => pieces.some(({ name }) => /^Tiles/.test(name)))?.pieces.map(({ name }) => name);
  };
  const { footprint } = one.schedule.snapshot.firing.body;
  if (footprint.shape !== 'rectangle') throw new Error('The tiles are rectangles.');
  // It spreads a little.
  const side_m = Math.max(footprint.width_m, footprint.length_m) + 0.008;
  await wide(3 * side_m + 0.02 + 0.06);
  expect(await suggested()).toEqual(['Tiles 2', 'Tiles 3', 'Tiles 4']);
  await wide(2 * side_m + 0.01 + 0.06);
  expect(await suggested()).toEqual(['Tiles 2', 'Tiles 3']);
  const filing = { tags: [], finishedAt: null, awayAt: null, patternAt: null, dueOn: '2026-12-24' };
  expect((await server.ask('PUT', `/api/pieces/${twins[2].pieceId}/filing`, filing)).status).toBe(200);
  expect(await suggested()).toEqual(['Tiles 4', 'Tiles 2']);
  await wide(side_m + 0.06);
  expect(await suggested()).toBeUndefined();
  await wide(3);
  expect((await server.ask('DELETE', `/api/pieces/${twins[0].pieceId}`, { version: 2 })).status).toBe(200);
  expect(await suggested()).toEqual(['Tiles 4', 'Tiles 3']);
});

test('told of one firing of a load, each piece in it waits for what follows from when that load really ran', async () => {
  await freed();
  const one = await demo('Test tiles, clear');
  const { id, doc, repeats } = { id: uuid(), ...anotherLike(one.piece.doc, uuid, true) };
  expect((await server.ask('POST', '/api/pieces', { id, name: 'Tiles, again', doc })).status).toBe(200);
  const scheduleId = uuid();
  const made = { id: scheduleId, stepId: repeats[0].stepId, pieceVersion: 1, parentId: null, origin: 'computed', segments: one.schedule.segments };
  expect((await server.ask('POST', `/api/pieces/${id}/schedules`, made)).status).toBe(200);
  const told = (hoursAgo: number, more: object) => ({
    ...start(one),
    pieceId: id,
    scheduleId,
    firedAt: NOW - hoursAgo * HOUR_MS,
    result: 'right',
    atOnce: true,
    ...more,
  });
  const loadId = uuid();
  const first = { ...start(one, { loadId }), firedAt: NOW - 300 * HOUR_MS };
  for (const firing of [first, told(300, { loadId, result: null })]) expect((await record(firing)).status).toBe(200);
  const tell = async (firingId: string, change: object): Promise<number> => {
    const { firing } = (await server.ask('GET', `/api/firings/${firingId}`)).body;
    const { version, firedAt, zone, place, result, lookReached, released, note, asFired, photos, knownBy, lesson } = firing;
    const before = { version, firedAt, zone, place, result, lookReached, released, note, asFired, photos, knownBy, lesson };
    return (await server.ask('PUT', `/api/firings/${firingId}`, { ...before, atOnce: true, ...change })).status;
  };
  const [{ id: other }] = server.opened.db
    .select({ id: firings.id })
    .from(firings)
    .where(and(eq(firings.pieceId, id), eq(firings.loadId, loadId)))
    .all();
  expect(await tell(other, { result: 'right' })).toBe(200);
  expect(await tell(first.id, { result: 'right' })).toBe(200);
  const waits = () => server.opened.db.select({ waits: rows.waits }).from(rows).where(eq(rows.id, id)).get()?.waits;
  expect((await record(told(200, { result: 'short' }))).status).toBe(200);
  expect(waits()).toBe('again');
  // The load of both ran after that, says the record of the other piece.
  expect(await tell(first.id, { firedAt: NOW - 100 * HOUR_MS })).toBe(200);
  expect(waits()).not.toBe('again');
});

describe('a schedule whose piece was laid otherwise since', () => {
  test('is not started without a word; fired as it is, the differences stay with the firing', async () => {
    await freed();
    const one = await demo('Test tiles, clear');
    const piece = await laidDeeper(one.piece);
    const firing = start({ ...one, piece });
    const refused = await record(firing);
    expect({ status: refused.status, code: refused.body.code }).toEqual({ status: 409, code: 'outdated' });
    expect(refused.body.message).toMatch(/It was laid 6 mm deep; now it is 15 mm deep\./);
    expect(await ahead()).toEqual([]);
    const taken = await record({ ...firing, asItIs: true });
    expect([taken.status, taken.body.message]).toEqual([200, undefined]);
    expect(taken.body.differences).toEqual(['It was laid 6 mm deep; now it is 15 mm deep.']);
    expect((await server.ask('GET', `/api/firings/${firing.id}`)).body.firing.differences).toEqual(taken.body.differences);
  });

  test('may still be told of: it was fired before', async () => {
    const one = await demo('Test tiles, clear');
    const piece = await laidDeeper(one.piece);
    const { status, body } = await record(start({ ...one, piece }, { firedAt: NOW - 100 * HOUR_MS, result: 'right', atOnce: true }));
    expect({ status, differences: body.differences }).toEqual({ status: 200, differences: [] });
  });

  test('of a kiln, controller or glass whose figures were changed is named by that; a new name outdates nothing', async () => {
    await freed();
    const one = await demo('Test tiles, clear');
    const { body: shelves } = await server.ask('GET', '/api/shelves');
    const [kiln] = shelves.kilns.filter(({ id }: { id: string }) => id === firingsOf(one.piece.doc)[0].kilnId);
    const renamed = (await server.ask('PUT', `/api/kilns/${kiln.id}`, { ...kiln, name: 'The old kiln' })).body;
    const first = await record(start(one));
    expect(first.status).toBe(200);
    await freed();
    await server.ask('PUT', `/api/kilns/${kiln.id}`, { ...renamed, top_C: 880 });
    const family = shelves.families.find(({ id }: { id: string }) => id === 'soft-90');
    await server.ask('PUT', `/api/families/${family.id}`, { ...family, annealing_C: 505 });
    const { body } = await record(start(one));
    expect(body.code).toBe('outdated');
    expect(body.message).toMatch(/The figures of Clear have been changed on the shelf\./);
    expect(body.message).toMatch(/The figures of the kiln 'The old kiln' have been changed\./);
  });
});

describe('one kiln, one load', () => {
  test('a kiln in use says by what and until when, and takes no second load, nor the same piece again', async () => {
    const [running] = await ahead();
    expect(running.entries.map(({ pieceName }) => pieceName)).toEqual(['Bird-bath basin']);
    const { status, body } = await record(start(await demo('Test tiles, clear')));
    expect({ status, code: body.code }).toEqual({ status: 409, code: 'kiln-in-use' });
    expect(body.message).toMatch(/Bird-bath basin is in the kiln 'Low kiln' since Mon 23 Nov 2026, 01:00; it may be opened at Mon 23 Nov 2026, \d\d:\d\d\./);
    expect(body.current.id).toBe(running.id);
    expect((await record(start(await demo('Bird-bath basin')))).body.code).toBe('kiln-in-use');
    expect(await ahead()).toHaveLength(1);
  });

  test('is free again once the other is opened, or told of', async () => {
    const [running] = await ahead();
    const change = { version: running.version, openedAt: NOW - HOUR_MS };
    expect((await server.ask('PUT', `/api/loads/${running.id}`, { ...change, openedAt: running.at - 1 })).body).toMatchObject({ path: 'openedAt' });
    expect((await server.ask('PUT', `/api/loads/${running.id}`, { ...change, openedAt: NOW + HOUR_MS })).status).toBe(422);
    expect((await server.ask('PUT', `/api/loads/${running.id}`, change)).body.openedAt).toBe(NOW - HOUR_MS);
    expect((await server.ask('PUT', `/api/loads/${running.id}`, { ...change, openedAt: null })).status).toBe(409);
    expect((await record(start(await demo('Test tiles, clear')))).status).toBe(200);
    // Opened, but not told of yet: it is still on the Bench.
    const { body: bench } = await server.ask('GET', '/api/bench');
    expect(bench.inKiln.map(({ pieceName }: Firing) => pieceName).sort()).toEqual(['Bird-bath basin', 'Test tiles, clear']);
  });

  test('a planned start counts from its own time, and keeps its kiln for that', async () => {
    await freed();
    const tiles = await demo('Test tiles, clear');
    const at = NOW + 14.5 * HOUR_MS;
    const planned = await record(start(tiles, { firedAt: at, planned: true }));
    expect(planned.body).toMatchObject({ firedAt: at, load: { plannedAt: at, startedAt: null, at } });
    const [load] = await ahead();
    expect(load.until - at).toBeCloseTo(tiles.schedule.result.simulation.total_s * 1000, -2);
    const disc = await demo('Sundial disc');
    expect((await record(start(disc))).body.message).toMatch(/planned for the kiln 'Low kiln' from Mon 23 Nov 2026, 22:30/);
    expect((await record(start(disc, { firedAt: load.until, planned: true }))).status).toBe(200);
    const far = await record(start(disc, { firedAt: NOW + 61 * 24 * HOUR_MS, planned: true }));
    expect(far.body).toMatchObject({ path: 'firedAt', message: expect.stringMatching(/at most 60 days ahead/) });
  });

  test('a second piece joins a load with its schedule, with a result of its own', async () => {
    await freed();
    const tiles = await demo('Test tiles, clear');
    const first = (await record(start(tiles))).body as Firing;
    const tray = await demo('Tray, smallest of three');
    const joins = (schedule: Schedule) => record(start({ piece: tray.piece, schedule }, { loadId: first.load.id }));
    expect((await joins(tray.schedule)).body.code).toBe('other-schedule');
    const rows = {
      id: uuid(),
      stepId: firingsOf(tray.piece.doc)[0].id,
      pieceVersion: tray.piece.version,
      parentId: null,
      origin: 'edited',
      segments: tiles.schedule.segments,
    };
    const judged = (await server.ask('POST', `/api/pieces/${tray.piece.id}/schedules`, rows)).body.schedule as Schedule;
    const second = await joins(judged);
    expect(second.status).toBe(200);
    expect((await joins(judged)).body.code).toBe('twice');
    expect((await ahead())[0].entries.map(({ pieceName }) => pieceName).sort()).toEqual(['Test tiles, clear', 'Tray, smallest of three']);
    const { body: detail } = await server.ask('GET', `/api/firings/${first.id}`);
    expect(detail.together).toEqual([{ id: second.body.id, pieceName: 'Tray, smallest of three' }]);
    // A load is over when all in it are told of.
    const told = (firing: Firing, result: string) =>
      server.ask('PUT', `/api/firings/${firing.id}`, {
        version: firing.version,
        firedAt: firing.firedAt,
        zone: 'UTC',
        result,
        knownBy: 'looked in with the kiln off',
      });
    expect((await told(first, 'right')).status).toBe(200);
    expect(await ahead()).toHaveLength(1);
    expect((await told(second.body, 'short')).body.firing.result).toBe('short');
    expect(await ahead()).toEqual([]);
  });

  test('two devices add to the same load at once: each piece is kept, and the same piece once', async () => {
    await freed();
    const tiles = await demo('Test tiles, clear');
    const first = (await record(start(tiles))).body as Firing;
    const others = await Promise.all(
      ['Tray, smallest of three', 'Sundial disc'].map(async (name) => {
        const { piece } = await demo(name);
        const stepId = firingsOf(piece.doc)[0].id;
        const rows = { id: uuid(), stepId, pieceVersion: piece.version, parentId: null, origin: 'edited', segments: tiles.schedule.segments };
        return { piece, schedule: (await server.ask('POST', `/api/pieces/${piece.id}/schedules`, rows)).body.schedule as Schedule };
      }),
    );
    // Both send the tray, and one of them the disc.
    const sent = [others[0], others[0], others[1]].map((one) => record(start(one, { loadId: first.load.id })));
    const answers = await Promise.all(sent);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 409]);
    const refused = answers.find(({ status }) => status === 409)!;
    expect(refused.body).toMatchObject({ code: 'twice', message: 'This piece is in that load already.' });
    const [load] = await ahead();
    expect(load.entries.map(({ pieceName }) => pieceName).sort()).toEqual(['Sundial disc', 'Test tiles, clear', 'Tray, smallest of three']);
  });

  test('a start that comes again counts once', async () => {
    await freed();
    const firing = start(await demo('Test tiles, clear'));
    const first = await record(firing);
    expect((await record(firing)).body).toEqual(first.body);
    expect(await ahead()).toHaveLength(1);
  });
});

describe('a record that cannot be', () => {
  const past = (more: object) => ({ firedAt: NOW - 100 * HOUR_MS, result: 'right', ...more });

  test.each([
    ['a start in time to come', { firedAt: Date.UTC(2031, 0, 1) }, 'firedAt', /cannot have started at Wed 1 Jan 2031/],
    ['a result told before the glass could be cold', { firedAt: NOW - 60e3 }, 'knownBy', /cannot be cold before Mon 23 Nov 2026, 1\d:\d\d/],
  ])('%s is refused at its field', async (_, more, path, message) => {
    const { status, body } = await record(start(await demo('Test tiles, clear'), past(more)));
    expect({ status, path: body.path, message: body.message }).toEqual({ status: 422, path, message: expect.stringMatching(message) });
  });

  test('more heat than the kiln has is refused at its row', async () => {
    const one = await demo('Test tiles, clear');
    const asFired = one.schedule.segments.map((segment, i) => (i === 2 ? { ...segment, target_C: 1600 } : segment));
    const { body } = await record(start(one, past({ asFired })));
    expect(body).toMatchObject({ path: 'asFired.2.target_C', message: expect.stringMatching(/goes to 900 °C; it cannot have reached 1600 °C/) });
  });

  test('is refused in the unit of the studio', async () => {
    await server.ask('PUT', '/api/studio', { temperatureUnit: 'F', lengthUnit: 'in', massUnit: 'oz', theme: 'system' });
    const one = await demo('Test tiles, clear');
    const asFired = one.schedule.segments.map((segment, i) => (i === 2 ? { ...segment, target_C: 1600 } : segment));
    expect((await record(start(one, past({ asFired })))).body.message).toMatch(/goes to 1652 °F; it cannot have reached 2912 °F/);
  });

  test("'ran otherwise' with nothing changed is as planned", async () => {
    const one = await demo('Test tiles, clear');
    expect((await record(start(one, past({ asFired: one.schedule.segments, atOnce: true })))).body.asFired).toBeNull();
  });

  test('what is known early says how, and teaches nothing of the kiln', async () => {
    const one = await demo('Test tiles, clear');
    const before = (await server.ask('GET', '/api/bench')).body.learned;
    const { status } = await record(start(one, past({ firedAt: NOW - 60e3, result: 'short', knownBy: 'a power cut ended it', atOnce: true })));
    expect(status).toBe(200);
    expect((await server.ask('GET', '/api/bench')).body.learned).toEqual(before);
  });
});

describe('two firings at one time', () => {
  const told = (one: { piece: Piece; schedule: Schedule }, hoursAgo: number, more: object = {}) =>
    start(one, { firedAt: NOW - hoursAgo * HOUR_MS, result: 'right', ...more });
  const FAR_BACK_H = 4000;

  test('of one piece are asked about with their times, and kept once that was said', async () => {
    const one = await demo('Test tiles, clear');
    expect((await record(told(one, FAR_BACK_H))).status).toBe(200);
    const refused = await record(told(one, FAR_BACK_H - 1));
    expect(refused).toMatchObject({ status: 409, body: { code: 'overlaps', path: 'firedAt' } });
    expect(refused.body.message).toMatch(/^This piece was in a .* from \w+ \d+ \w+ 20\d\d, \d\d:\d\d to .*; this one would be from .* to /);
    expect((await record(told(one, FAR_BACK_H - 1, { atOnce: true }))).status).toBe(200);
    // One after the other nothing is asked.
    expect((await record(told(one, FAR_BACK_H + 100))).status).toBe(200);
  });

  test('of two loads in one kiln are asked about, in one load they are not', async () => {
    const [one, other] = [await demo('Test tiles, clear'), await demo('Sundial disc')];
    const loadId = uuid();
    expect((await record(told(one, FAR_BACK_H, { loadId, id: loadId }))).status).toBe(200);
    const refused = await record(told(other, FAR_BACK_H - 2));
    expect(refused).toMatchObject({ status: 409, body: { code: 'overlaps' } });
    expect(refused.body.message).toContain("had 'Test tiles, clear' in it");
  });

  test('told of by another start they are asked about too; a firing told as open again finds its kiln taken', async () => {
    await freed();
    const [one, other] = [await demo('Test tiles, clear'), await demo('Sundial disc')];
    const [first, second] = [told(one, FAR_BACK_H), told(one, FAR_BACK_H + 200)];
    for (const firing of [first, second]) expect((await record(firing)).status).toBe(200);
    const change = async (id: string, more: object) => {
      const { firing } = (await server.ask('GET', `/api/firings/${id}`)).body;
      const { version, firedAt, zone, place, result, lookReached, released, note, asFired, photos, knownBy, lesson } = firing;
      const before = { version, firedAt, zone, place, result, lookReached, released, note, asFired, photos, knownBy, lesson };
      return server.ask('PUT', `/api/firings/${id}`, { ...before, ...more });
    };
    expect(await change(second.id, { firedAt: first.firedAt + 1000 })).toMatchObject({ status: 409, body: { code: 'overlaps' } });
    expect((await change(second.id, { note: 'the same start' })).status).toBe(200);
    // Another load stands in the kiln by now.
    expect((await record(start(other))).status).toBe(200);
    const recent = told(one, 40, { atOnce: true });
    expect((await record(recent)).status).toBe(200);
    expect(await change(recent.id, { result: null })).toMatchObject({ status: 409, body: { code: 'kiln-in-use' } });
  });

  test('an opening is not taken back where the kiln has another load by then', async () => {
    const [load] = await ahead();
    const opened = await server.ask('PUT', `/api/loads/${load.id}`, { version: load.version, openedAt: NOW });
    expect(opened.status).toBe(200);
    const one = await demo('Test tiles, clear');
    expect((await record(start(one))).status).toBe(200);
    const back = await server.ask('PUT', `/api/loads/${load.id}`, { version: opened.body.version, openedAt: null });
    expect(back).toMatchObject({ status: 409, body: { code: 'kiln-in-use' } });
  });

  test('a planned start is not moved into the time of another load', async () => {
    await freed();
    const [one, other] = [await demo('Test tiles, clear'), await demo('Sundial disc')];
    expect((await record(start(one, { planned: true, firedAt: NOW + 2 * HOUR_MS }))).status).toBe(200);
    const later = start(other, { planned: true, firedAt: NOW + 500 * HOUR_MS });
    expect((await record(later)).status).toBe(200);
    const { firing } = (await server.ask('GET', `/api/firings/${later.id}`)).body;
    const { version, zone, place, result, lookReached, released, note, asFired, photos, knownBy, lesson } = firing;
    const told = { version, zone, place, result, lookReached, released, note, asFired, photos, knownBy, lesson };
    const moved = (firedAt: number) => server.ask('PUT', `/api/firings/${later.id}`, { ...told, firedAt });
    expect(await moved(NOW - HOUR_MS)).toMatchObject({ status: 409, body: { code: 'kiln-in-use' } });
    expect((await moved(later.firedAt)).status).toBe(200);
  });

  test('a deleted firing is not brought back into a kiln that has another load by then, and is as soon as that is over', async () => {
    const [load] = await ahead();
    const { firingId: id } = load.entries[0];
    const { version } = (await server.ask('GET', `/api/firings/${id}`)).body.firing;
    const bringBack = () => server.ask('POST', `/api/firings/${id}/restore`, {});
    expect((await server.ask('DELETE', `/api/firings/${id}`, { version })).status).toBe(200);
    expect((await record(start(await demo('Test tiles, clear')))).status).toBe(200);
    expect(await bringBack()).toMatchObject({ status: 409, body: { code: 'kiln-in-use' } });
    expect((await server.ask('GET', `/api/firings/${id}`)).status).toBe(404);
    const [other] = await ahead();
    await server.ask('PUT', `/api/loads/${other.id}`, { version: other.version, openedAt: NOW });
    expect((await bringBack()).status).toBe(200);
    expect((await bringBack()).status).toBe(200);
    expect((await ahead()).map((one) => one.id)).toEqual([load.id]);
  });
});

describe('a shape that cannot be', () => {
  const shaped = (piece: Piece, overhang_m: number): Piece['doc'] => ({
    ...piece.doc,
    journey: piece.doc.journey.map((step) =>
      step.kind === 'fire' && step.look === 'drape'
        ? { ...step, setup: { kind: 'overFormer', paper: false, shaping: { kind: 'former', overhang_m, drop_m: 0.02 } } }
        : step,
    ),
  });
  const save = (piece: Piece, doc: Piece['doc'], name = piece.name) => server.ask('PUT', `/api/pieces/${piece.id}`, { version: piece.version, name, doc });

  test('is refused at its field, saved, made or calculated', async () => {
    const { piece } = await demo('Lamp panel, left');
    const refused = await save(piece, shaped(piece, 0.3));
    expect(refused).toMatchObject({ status: 422, body: { code: 'impossible', path: 'doc.journey.2.setup.shaping.overhang_m' } });
    expect(
      (
        await server.ask('POST', '/api/pieces', {
          id: uuid(),
          name: 'Another',
          doc: anotherLike(shaped(piece, 0.3), uuid, true).doc,
        })
      ).status,
    ).toBe(422);
    const { snapshot } = (await server.ask('GET', `/api/schedules/${firingsOf(piece.doc)[1].scheduleId}`)).body as Schedule;
    const firing = { ...snapshot.firing, setup: { ...snapshot.firing.setup, shaping: { kind: 'former', overhang_m: 0.3, drop_m: 0.02 } } };
    expect((await server.ask('POST', '/api/compute/compose', firing)).body).toMatchObject({ code: 'impossible', path: 'setup.shaping.overhang_m' });
    const { body } = await server.ask('POST', '/api/compute/check', { ...firing, segments: snapshot && (await demo('Lamp panel, left')).schedule.segments });
    expect(body).toMatchObject({ code: 'impossible', path: 'setup.shaping.overhang_m' });
  });

  test('that an older program kept is opened and saved; only another fault is refused', async () => {
    const { piece } = await demo('Lamp panel, left');
    const doc = shaped(piece, 0.3);
    server.opened.db.update(rows).set({ doc }).where(eq(rows.id, piece.id)).run();
    const { body: old } = await server.ask('GET', `/api/pieces/${piece.id}`);
    const renamed = await save(old, old.doc, 'Lamp panel, old');
    expect(renamed.status).toBe(200);
    const worse = { ...old.doc, footprint: { shape: 'rectangle', width_m: 0.7, length_m: 0.7 } };
    expect((await save(renamed.body, worse)).body).toMatchObject({ code: 'impossible', path: 'doc.journey.1.kilnId' });
    expect((await save(renamed.body, shaped(old, 0.08))).status).toBe(200);
  });
});

describe('what a load is keyed with', () => {
  /** A tray's own version with the rows of the tiles, as joining makes it. */
  async function joinedBy(loadId: string, at: number, segments: Schedule['segments']): Promise<{ piece: Piece; firing: Firing; scheduleId: string }> {
    const { piece } = await demo('Tray, smallest of three');
    const stepId = firingsOf(piece.doc)[0].id;
    const rows = { id: uuid(), stepId, pieceVersion: piece.version, parentId: null, origin: 'edited', segments };
    const { schedule, piece: saved } = (await server.ask('POST', `/api/pieces/${piece.id}/schedules`, rows)).body;
    const answer = await record(start({ piece, schedule }, { loadId, firedAt: at, planned: true }));
    expect(answer.status).toBe(200);
    return { piece: saved, firing: answer.body, scheduleId: schedule.id };
  }
  const plannedAt = NOW + 20 * HOUR_MS;

  test('is a version for all that is in it: another when something comes or goes, and each entry keeps what it was judged by', async () => {
    await freed();
    const tiles = await demo('Test tiles, clear');
    const first = (await record(start(tiles, { firedAt: plannedAt, planned: true }))).body as Firing;
    const alone = await detailOf(first.load.id);
    const own = { pieceId: tiles.piece.id, stepId: tiles.schedule.stepId, scheduleId: tiles.schedule.id };
    expect(alone).toMatchObject({ scheduleNumber: 1, schedule: { number: 1, segments: tiles.schedule.segments, entries: [own] }, outdated: [], note: '' });
    const { firing, piece, scheduleId } = await joinedBy(first.load.id, plannedAt, tiles.schedule.segments);
    const both = await detailOf(first.load.id);
    expect(both.schedule).toMatchObject({ number: 2, entries: [own, { pieceId: piece.id, scheduleId }] });
    expect(both.entries.map(({ pieceName, result }) => [pieceName, result])).toEqual([
      ['Test tiles, clear', null],
      ['Tray, smallest of three', null],
    ]);
    expect((await server.ask('DELETE', `/api/firings/${firing.id}`, { version: firing.version })).status).toBe(200);
    expect((await detailOf(first.load.id)).schedule).toMatchObject({ number: 3, entries: [own] });
    expect((await server.ask('POST', `/api/firings/${firing.id}/restore`, {})).status).toBe(200);
    expect((await detailOf(first.load.id)).schedule).toMatchObject({ number: 4, entries: [own, { pieceId: piece.id, scheduleId }] });
    // Where nothing came or went it is the same one.
    tellLoadSchedule(server.opened.db, first.load.id, NOW);
    expect(await detailOf(first.load.id)).toMatchObject({ scheduleNumber: 4, schedule: { number: 4 } });
  });

  test('a change of any of its pieces outdates it in words, while it is only planned', async () => {
    await freed();
    const tiles = await demo('Test tiles, clear');
    const first = (await record(start(tiles, { firedAt: plannedAt, planned: true }))).body as Firing;
    const { piece } = await joinedBy(first.load.id, plannedAt, tiles.schedule.segments);
    expect((await ahead()).map(({ outdated }) => outdated)).toEqual([[]]);
    await laidDeeper(piece);
    const words = ['Tray, smallest of three: It was laid 6 mm deep; now it is 15 mm deep.'];
    expect((await ahead())[0].outdated).toEqual(words);
    expect((await detailOf(first.load.id)).outdated).toEqual(words);
    // Whoever would join it is told too.
    const disc = await demo('Sundial disc');
    expect((await record(start(disc, { firedAt: plannedAt, planned: true }))).body.current.id).toBe(first.load.id);
    // Started and told of it is history.
    const told = { version: first.version, firedAt: plannedAt, zone: 'UTC', result: null, note: '' };
    expect((await server.ask('PUT', `/api/firings/${first.id}`, { ...told, firedAt: NOW - HOUR_MS })).status).toBe(200);
    expect((await ahead())[0].outdated).toEqual([]);
  });

  test('names the program it stands in, whichever came first, until the kiln is opened', async () => {
    await freed();
    const tiles = await demo('Test tiles, clear');
    const { controllerId } = firingsOf(tiles.piece.doc)[0];
    const rows = [{ rate: 150, target: 560, hold_min: 20 }];
    const keyed = (slot: number) => ({ id: uuid(), controllerId, slot, scheduleId: tiles.schedule.id, rows, keyedAt: NOW, readAt: null, slips: null });
    const first = keyed(4);
    await server.ask('POST', '/api/programs', first);
    const { load } = (await record(start(tiles))).body as Firing;
    expect(load).toMatchObject({ controllerId, slot: 4 });
    // Whoever joins it with a version of its own is keyed in with it.
    const { firing: other } = await joinedBy(load.id, load.at, tiles.schedule.segments);
    expect(await detailOf(load.id)).toMatchObject({ controllerId, slot: 4 });
    expect((await server.ask('DELETE', `/api/firings/${other.id}`, { version: other.version })).status).toBe(200);
    const wrong = keyed(3);
    await server.ask('POST', '/api/programs', wrong);
    expect(await detailOf(load.id)).toMatchObject({ controllerId, slot: 3 });
    await server.ask('DELETE', `/api/programs/${wrong.id}`, {});
    expect(await detailOf(load.id)).toMatchObject({ controllerId, slot: 4 });
    await server.ask('PUT', `/api/loads/${load.id}`, { version: load.version, openedAt: NOW });
    await server.ask('DELETE', `/api/programs/${first.id}`, {});
    expect(await detailOf(load.id)).toMatchObject({ controllerId, slot: 4 });
  });
});

test('a load has a note and what was read in its kiln; both go along with a piece', async () => {
  const [running] = await ahead();
  const { id, at, version } = running;
  expect((await server.ask('PUT', `/api/loads/${id}`, { version, note: 'the vent was left open' })).body).toMatchObject({
    note: 'the vent was left open',
    openedAt: null,
  });
  const read = (...readings: object[]) => server.ask('POST', `/api/loads/${id}/readings`, { readings });
  const two = [
    { at: at + HOUR_MS, reading_C: 214.5 },
    { at: at + HOUR_MS, reading_C: 196, channel: 'door' },
  ];
  expect((await read(...two)).body.readings).toHaveLength(2);
  // Sent again it counts once, and a figure that was mended stands.
  expect((await read({ at: at + HOUR_MS, reading_C: 215 })).body.readings).toEqual([
    { channel: '', at: at + HOUR_MS, reading_C: 215 },
    { channel: 'door', at: at + HOUR_MS, reading_C: 196 },
  ]);
  expect((await read(...two.slice(1), { at: NOW + HOUR_MS, reading_C: 20 })).body).toMatchObject({ code: 'impossible-time', path: 'readings.1.at' });
  expect((await read({ at: at - 2 * HOUR_MS, reading_C: 20 })).status).toBe(422);
  expect((await read({ at, reading_C: 5000 })).body.message).toBe('Reading must be a number from -40 to 1700 °C; got 5000.');
  expect((await server.ask('POST', `/api/loads/${uuid()}/readings`, { readings: two })).status).toBe(404);

  const file = (await server.ask('GET', `/api/pieces/${running.entries[0].pieceId}/file`)).body as PieceFile;
  const other = await startTestServer();
  try {
    for (const load of (await other.ask('GET', '/api/loads')).body as LoadShown[])
      await other.ask('PUT', `/api/loads/${load.id}`, { version: load.version, openedAt: load.at });
    const [own] = (await other.ask('GET', '/api/pieces')).body.pieces.filter((piece: Piece) => piece.id === file.piece.id);
    expect((await other.ask('DELETE', `/api/pieces/${own.id}`, { version: own.version })).status).toBe(200);
    const taken = await other.ask('POST', '/api/import?running=in', file);
    expect([taken.status, taken.body.message]).toEqual([200, undefined]);
    expect((await other.ask('GET', `/api/loads/${id}`)).body.readings).toHaveLength(2);
  } finally {
    await other.stop();
  }
});
