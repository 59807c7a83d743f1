/** How firings came out bounds the next of their kind; what spoke against a firing when it was started stays on its record. */
import { anotherLike, firingOf, firingsOf, heldForm, withStep } from '@torvin/core/piece';
import type { Bench, Firing, Piece, Schedule, Step } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
  for (const load of (await server.ask('GET', '/api/loads')).body) await server.ask('PUT', `/api/loads/${load.id}`, { version: load.version, openedAt: NOW });
});
afterEach(() => server.stop());

const HOUR_MS = 3600e3;

/** A copy of a piece of the demo, its first firing to come. */
async function copyOf(name: string): Promise<{ piece: Piece; step: Step; segments: Schedule['segments'] }> {
  const from = await server.piece(name);
  const [{ scheduleId }] = firingsOf(from.doc);
  const { segments } = (await server.ask('GET', `/api/schedules/${scheduleId}`)).body as Schedule;
  const { doc } = anotherLike(from.doc, uuid, true);
  const { body: piece } = await server.ask('POST', '/api/pieces', { id: uuid(), name: `${name}, again`, doc });
  return { piece, step: firingsOf(doc)[0], segments };
}

async function scheduled({ piece, step, segments }: Awaited<ReturnType<typeof copyOf>>): Promise<Schedule> {
  const wanted = { id: uuid(), stepId: step.id, pieceVersion: piece.version, parentId: null, origin: 'computed', segments };
  const { status, body } = await server.ask('POST', `/api/pieces/${piece.id}/schedules`, wanted);
  expect(status).toBe(200);
  return body.schedule;
}

async function told(schedule: Schedule, hoursAgo: number, more: object): Promise<Firing> {
  const firing = { id: uuid(), pieceId: schedule.pieceId, scheduleId: schedule.id, firedAt: NOW - hoursAgo * HOUR_MS, zone: 'UTC', atOnce: true, ...more };
  const { status, body } = await server.ask('POST', '/api/firings', firing);
  expect([status, body.message]).toEqual([200, undefined]);
  return body;
}

test('what fell short and what went too far bounds the schedule of the next of its kind, in its kiln alone', async () => {
  // Thin, so that its schedule is soon judged.
  const name = 'Plaque no. 14';
  const first = await scheduled(await copyOf(name));
  expect(first.snapshot.firing.seen).toBeUndefined();
  await told(first, 400, { result: 'short', lesson: { leftOut: false, by: 'far', witness: null } });
  const { look } = first.snapshot.firing;
  const kiln = first.snapshot.madeFrom!.kiln.id;
  const { body: seen } = await server.ask('GET', `/api/seen?kiln=${kiln}&look=${look}`);
  const own = seen.find(({ stepId }: { stepId: string }) => stepId === first.stepId);
  expect(own).toMatchObject({ kilnId: kiln, look, outcome: 'short', by: 'far', work_perPa: expect.closeTo(first.result.work_perPa.mean, 9) });
  // The very same rows are judged by it: they do no more than what fell short.
  const second = await scheduled(await copyOf(name));
  expect(second.snapshot.firing.seen).toMatchObject({ short: { by: 'far', work_perPa: expect.closeTo(first.result.work_perPa.mean, 9) } });
  expect(second.result.readings.find(({ limit }) => limit === 'workLeast')).toMatchObject({ ok: false });
  await told(second, 200, { result: 'past' });
  const third = await scheduled(await copyOf(name));
  expect(third.snapshot.firing.seen).toMatchObject({ short: {}, past: {} });
  // What was left out of learning bounds nothing, nor does another kiln, nor another kind.
  expect((await server.ask('GET', `/api/seen?kiln=other&look=${look}`)).body).toEqual([]);
  expect((await server.ask('GET', `/api/seen?kiln=${kiln}&look=lace`)).body).toEqual([]);
  expect((await server.ask('GET', '/api/seen?kiln=&look=tack')).status).toBe(422);
});

test('what was seen at a hotter place is told as of the middle, and asks for the same work of the glass wherever the next one lies', async () => {
  const { body: kiln } = await server.ask('GET', '/api/kilns/low-kiln');
  expect((await server.ask('PUT', '/api/kilns/low-kiln', { ...kiln, rightHotter_K: 10 })).status).toBe(200);
  const place = { kilnId: 'low-kiln', x_m: kiln.insideWidth_m, y_m: kiln.insideLength_m / 2, shelf: 0, shelves: 1, turned: false };
  const at = async (there: boolean) => {
    const copy = await copyOf('Plaque no. 14');
    const step: Step = { ...copy.step, kilnId: 'low-kiln', ...(there ? { place } : {}) };
    const saved = await server.ask('PUT', `/api/pieces/${copy.piece.id}`, {
      ...{ name: copy.piece.name, version: copy.piece.version, what: 'placed' },
      doc: withStep(copy.piece.doc, step),
    });
    expect([saved.status, saved.body.message]).toEqual([200, undefined]);
    return scheduled({ ...copy, piece: saved.body, step });
  };
  const first = await at(true);
  expect(first.snapshot.madeFrom?.place_K).toBeCloseTo(10, 9);
  expect(first.snapshot.firing.corrections?.offset_K).toBeCloseTo(-10, 9);
  const plain = await at(false);
  // By the very same rows the glass has more of it there.
  expect(first.result.work_perPa.mean).toBeGreaterThan(1.2 * plain.result.work_perPa.mean);
  await told(first, 400, { result: 'short' });
  const { body: seen } = await server.ask('GET', `/api/seen?kiln=low-kiln&look=${first.snapshot.firing.look}`);
  const own = seen.find(({ stepId }: { stepId: string }) => stepId === first.stepId);
  expect(own.work_perPa / first.result.work_perPa.mean).toBeCloseTo(1, 9);
  const least = ({ result }: Schedule): number => result.readings.find(({ limit }) => limit === 'workLeast')!.allowed;
  const [middle, again] = [await at(false), await at(true)];
  expect(least(again) / least(middle)).toBeCloseTo(1, 9);
  expect(least(middle)).toBeGreaterThan(least(plain));
});

test('a place that runs behind, a shelf over it and the mass of its load are simulated by the server too, and another word about them outdates it', async () => {
  const { body: kiln } = await server.ask('GET', '/api/kilns/low-kiln');
  const known = (await server.ask('PUT', '/api/kilns/low-kiln', { ...kiln, backLag_s: 300, connected_W: 2400 })).body;
  const copy = await copyOf('Plaque no. 14');
  const place = { kilnId: 'low-kiln', x_m: kiln.insideWidth_m / 2, y_m: kiln.insideLength_m, shelf: 0, shelves: 2, turned: false, load_J_K: 6000 };
  const step: Step = { ...copy.step, kilnId: 'low-kiln', place };
  const saved = await server.ask('PUT', `/api/pieces/${copy.piece.id}`, {
    ...{ name: copy.piece.name, version: copy.piece.version, what: 'placed', doc: withStep(copy.piece.doc, step) },
  });
  expect([saved.status, saved.body.message]).toEqual([200, undefined]);
  const { snapshot, id } = await scheduled({ ...copy, piece: saved.body, step });
  expect(snapshot.firing.placeLag_s).toBeCloseTo(300, 9);
  expect(snapshot.firing.setup.roof).toBeDefined();
  const chamber = 2400 / kiln.power_K_per_s;
  expect(kiln.power_K_per_s / snapshot.firing.kiln.power_K_per_s).toBeCloseTo(1 + 6000 / chamber, 9);
  expect(snapshot.madeFrom?.kiln.constants.power_K_per_s).toBe(kiln.power_K_per_s);
  const outdated = async (): Promise<string> => {
    const { body: bench } = await server.ask('GET', '/api/bench');
    return (bench as Bench).waiting.find(({ piece }) => piece.id === copy.piece.id)!.outdated.join(' ');
  };
  expect(id).toBeTruthy();
  expect(await outdated()).toBe('');
  await server.ask('PUT', '/api/kilns/low-kiln', { ...kiln, version: known.version, backLag_s: 60 });
  expect(await outdated()).toBe(
    'Its place in the kiln ran 5 min behind its middle; now it runs 1 min behind its middle. The mass of its load was counted; it is not any more.',
  );
});

test('a firing that is to teach nothing bounds nothing, nor does one that was deleted', async () => {
  const schedule = await scheduled(await copyOf('Sundial disc'));
  const left = await told(schedule, 400, { result: 'short', lesson: { leftOut: true, by: null, witness: null } });
  const { look } = schedule.snapshot.firing;
  const seen = async (): Promise<{ stepId: string }[]> =>
    (await server.ask('GET', `/api/seen?kiln=${schedule.snapshot.madeFrom!.kiln.id}&look=${look}`)).body.filter(
      (one: { stepId: string }) => one.stepId === schedule.stepId,
    );
  expect(await seen()).toEqual([]);
  const counts = await told(schedule, 300, { result: 'short' });
  expect(await seen()).toHaveLength(1);
  expect((await server.ask('DELETE', `/api/firings/${counts.id}`, { version: counts.version })).status).toBe(200);
  expect(await seen()).toEqual([]);
  expect(left.accepted).toEqual([]);
});

test('what spoke against it when it was started stays on the record: a limit, and a form that grips', async () => {
  const made = await copyOf('Sundial disc');
  const free = await scheduled(made);
  const started = await told(free, 0, { firedAt: NOW });
  expect(started.accepted).toEqual([]);
  const load = (await server.ask('GET', '/api/loads')).body[0];
  await server.ask('PUT', `/api/loads/${load.id}`, { version: load.version, openedAt: NOW });
  // Over a drum of clay that glass shrinks onto, by rows that are far too hot.
  const drum = { id: 'drum', name: 'Drum', use: 'former', plan: 'round', across_m: 0.1, deep_m: 0.12, thick_m: 0.01, material: 'cordierite' } as const;
  const saved = await server.ask('PUT', `/api/forms/${drum.id}`, { ...drum, version: 0, source: '', count: 1, damaged: false });
  expect([saved.status, saved.body.message]).toEqual([200, undefined]);
  const again = await copyOf('Sundial disc');
  const { releaseId: _release, ...bare } = firingOf(again.piece.doc, again.step.id)!;
  const step = { ...bare, look: 'drape', setup: { kind: 'overFormer', paper: false, form: heldForm(drum) } } as Step;
  const changed = await server.ask('PUT', `/api/pieces/${again.piece.id}`, {
    ...{ version: again.piece.version, name: again.piece.name, doc: withStep(again.piece.doc, step) },
  });
  expect([changed.status, changed.body.message]).toEqual([200, undefined]);
  const hot = await scheduled({ ...again, piece: changed.body, step });
  const fired = await told(hot, 0, { firedAt: NOW });
  expect(fired.accepted.join(' ')).toMatch(/It will go too far: the edge stands on the shelf/);
  expect(fired.accepted.join(' ')).toMatch(/It will grip/);
  expect((await server.ask('GET', `/api/firings/${fired.id}`)).body.firing.accepted).toEqual(fired.accepted);
});

test('what has come out since outdates the plans of its kind that wait, and asks before they are fired', async () => {
  const [one, twin] = [await copyOf('Sundial disc'), await copyOf('Sundial disc')];
  const [first, second] = [await scheduled(one), await scheduled(twin)];
  await told(first, 400, { result: 'short' });
  const start = { id: uuid(), pieceId: second.pieceId, scheduleId: second.id, firedAt: NOW, zone: 'UTC' };
  const refused = await server.ask('POST', '/api/firings', start);
  expect([refused.status, refused.body.code]).toEqual([409, 'outdated']);
  expect(refused.body.message).toMatch(/have come out short or too far since: it was planned without them/);
  const started = await server.ask('POST', '/api/firings', { ...start, asItIs: true });
  expect([started.status, started.body.differences]).toEqual([200, [expect.stringMatching(/since: it was planned without them/)]]);
});
