/** A piece with no glass in it, from its making to its notebook, its table and its file. */
import { snapshotOf, laidLayers } from '@torvin/core/piece';
import { compose } from '@torvin/core/schedule';
import type { ForKiln, PieceDoc, Shelves, Step, SuggestedLoad } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const id = uuid();
const bisque: Step = {
  kind: 'fire',
  id: uuid(),
  look: 'bisque',
  setup: { kind: 'bareShelf', paper: false, shaping: { kind: 'ware', of: 'clay', wall_m: 0.01, wide_m: 0.2, long_m: 0.24, cone: '06' } },
  kilnId: 'tall-kiln',
  controllerId: 'grey-box',
  school: { soak: 'auto', heat: 'cooler' },
  scheduleId: null,
  computedId: null,
};
const doc: PieceDoc = { schemaVersion: 3, footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.24 }, dammed: false, typed: {}, journey: [] };

test('is made, planned, fired and told of; teaches nothing of glass; goes out and comes in again', async () => {
  const { ask } = server;
  const learned = (await ask('GET', '/api/bench')).body.learned;
  expect((await ask('POST', '/api/pieces', { id, name: 'Mould of clay', doc })).status).toBe(200);
  const planned = { ...doc, journey: [bisque] };
  expect((await ask('PUT', `/api/pieces/${id}`, { version: 1, name: 'Mould of clay', doc: planned })).status).toBe(200);
  const shelves = (await ask('GET', '/api/shelves')).body as Shelves;
  const snapshot = snapshotOf(planned, bisque, shelves);
  if (!snapshot.ok) throw new Error(snapshot.problem.message);
  const composed = compose(snapshot.value.firing);
  if (!composed.ok) throw new Error(composed.problem.message);
  const scheduleId = uuid();
  const saved = await ask('POST', `/api/pieces/${id}/schedules`, {
    ...{ id: scheduleId, stepId: bisque.id, pieceVersion: 2, parentId: null, origin: 'computed', segments: composed.value.segments },
  });
  expect([saved.status, saved.body.message]).toEqual([200, undefined]);
  expect(saved.body.schedule.snapshot).toMatchObject({
    familyName: 'Raw clay mould',
    layers: [{ ware: 'clay' }],
    firing: { body: { glasses: [], layers: [] } },
  });
  expect(saved.body.schedule.result.readings).toEqual(composed.value.evaluation.readings);
  // It waits for its kiln like glass, and goes in alone.
  const waiting: ForKiln[] = (await ask('GET', '/api/for-kiln')).body;
  expect(waiting.map(({ pieceName }) => pieceName)).toContain('Mould of clay');
  const suggested: SuggestedLoad[] = (await ask('GET', '/api/for-kiln/together')).body;
  expect(suggested.flatMap(({ pieces }) => pieces.map(({ name }) => name))).toEqual(['Sundial base', 'Sundial disc']);
  const firingId = uuid();
  const fired = await ask('POST', '/api/firings', {
    ...{ id: firingId, pieceId: id, scheduleId, firedAt: Date.UTC(2026, 9, 1, 8), zone: 'Europe/Lisbon', result: 'right', knownBy: '' },
  });
  expect([fired.status, fired.body.message]).toEqual([200, undefined]);
  expect((await ask('GET', '/api/bench')).body.learned).toEqual(learned);
  const { body: detail } = await ask('GET', `/api/firings/${firingId}`);
  expect(detail.firing).toMatchObject({ look: 'bisque', familyName: 'Raw clay mould', result: 'right' });
  const { body: file } = await ask('GET', `/api/pieces/${id}/file`);
  expect(laidLayers(file.piece.doc)).toEqual([]);
  expect(file.shelves.glasses).toEqual([]);
  await ask('DELETE', `/api/firings/${firingId}`, { version: detail.firing.version });
  const now = (await ask('GET', `/api/pieces/${id}`)).body;
  await ask('DELETE', `/api/pieces/${id}`, { version: now.version });
  const back = await ask('POST', '/api/import', file);
  expect([back.status, back.body.outcome]).toEqual([200, 'restored']);
  expect((await ask('GET', `/api/pieces/${id}/file`)).body).toEqual(file);
});

test('is refused a firing that needs glass, at its layers', async () => {
  const fuse: Step = { ...bisque, id: uuid(), look: 'fullFuse', setup: { kind: 'bareShelf', paper: false } };
  const { status, body } = await server.ask('POST', '/api/pieces', { id: uuid(), name: 'Of nothing', doc: { ...doc, journey: [fuse] } });
  expect([status, body.path]).toEqual([422, 'doc.journey']);
  expect(body.message).toMatch(/at least one layer, unless every firing/);
});

test('is calculated for a stranger, and refused in a sentence where it cannot be', async () => {
  const firing = {
    body: { glasses: [], layers: [], footprint: doc.footprint },
    setup: { below: [], faces: { top: OPEN, bottom: OPEN }, shaping: bisque.setup.shaping },
    kiln: { top_C: 1150, power_K_per_s: 0.28, loss_per_s: 5e-5, radiantLoss_per_K3_s: 5.6e-14, ambient_C: 20, acrossLag_s_per_300mm: 72 },
    look: 'bisque',
  };
  const made = await server.ask('POST', '/api/compute/compose', firing);
  expect([made.status, made.body.converged]).toEqual([200, true]);
  const checked = await server.ask('POST', '/api/compute/check', {
    ...firing,
    segments: made.body.segments.map(({ rate_C_per_h, target_C, hold_s }: Keyed) => ({ rate_C_per_h, target_C, hold_s })),
  });
  expect(checked.body).toMatchObject({ ok: true, broken: [] });
  const refusals: [object, string][] = [
    [{ look: 'fullFuse', setup: { ...firing.setup, shaping: undefined } }, 'body.layers'],
    [{ setup: { ...firing.setup, shaping: undefined } }, 'setup.shaping'],
    [{ setup: { ...firing.setup, shaping: { ...bisque.setup.shaping, cone: undefined } } }, 'setup.shaping.cone'],
    [{ setup: { ...firing.setup, shaping: { ...bisque.setup.shaping, cone: '6' } } }, 'setup.shaping.cone'],
    [{ look: 'dryShelf' }, 'setup.shaping.of'],
    [{ body: { ...firing.body, layers: [{ form: 'sheet', glass: 0, thickness_m: 0.003 }] } }, 'body.glasses'],
  ];
  for (const [part, path] of refusals) {
    const { status, body } = await server.ask('POST', '/api/compute/compose', { ...firing, ...part });
    expect([status, body.path]).toEqual([422, path]);
    expect(body.message).toMatch(/\.$/);
  }
  for (const asked of [
    {
      firing: { ...firing, look: 'fullFuse' },
      segments: made.body.segments.map(({ rate_C_per_h, target_C, hold_s }: Keyed) => ({ rate_C_per_h, target_C, hold_s })),
    },
  ]) {
    expect((await server.ask('POST', '/api/compute/evaluate', asked)).status).toBe(422);
  }
});

interface Keyed {
  rate_C_per_h: number | null;
  target_C: number;
  hold_s: number;
}
const OPEN = { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 };
