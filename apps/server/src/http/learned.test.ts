/** What firings teach of a kiln: what each weighs in it, cones and measured shapes, and plans that go by it at once. */
import { isTakenOver } from '@torvin/core/learn';
import { type Firing, type FiringDetail, type Kiln, type Learned, type Measured, NOT_MEASURED, toldIn } from '@torvin/schema';
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const learned = async (kiln = '', weighed = 'no'): Promise<Learned> => (await server.ask('GET', `/api/learned?kiln=${kiln}&weighed=${weighed}`)).body;
const firingOf = async (id: string): Promise<FiringDetail> => (await server.ask('GET', `/api/firings/${id}`)).body;

async function save(id: string, change: Partial<Firing>): Promise<FiringDetail> {
  const { firing } = await firingOf(id);
  const told = { version: firing.version, zone: firing.zone, firedAt: firing.firedAt, ...toldIn(firing), atOnce: true, ...change };
  const { status, body } = await server.ask('PUT', `/api/firings/${id}`, told);
  expect([status, body.message]).toEqual([200, undefined]);
  return body;
}
const measure = (id: string, measured: Partial<Measured>): Promise<FiringDetail> => save(id, { measured: { ...NOT_MEASURED, ...measured } });

test('each firing is weighed: left out, the rest teach what was told before', async () => {
  const before = await learned('', 'yes');
  expect((await learned()).lessons.every(({ without }) => without === null)).toBe(true);
  const counted = before.lessons.filter(({ lesson }) => !lesson.leftOut);
  expect(counted.length).toBe(before.firings);
  const most = counted.reduce((one, other) =>
    Math.abs(other.without!.offset_K - before.offset_K) > Math.abs(one.without!.offset_K - before.offset_K) ? other : one,
  );
  const { firing } = await firingOf(most.firingId);
  await save(most.firingId, { lesson: { ...firing.lesson, leftOut: true } });
  const after = await learned(before.kilnId, 'yes');
  expect(after.offset_K).toBeCloseTo(most.without!.offset_K, 9);
  expect(after.workFactor).toBeCloseTo(most.without!.workFactor, 9);
  expect(after.lessons.find(({ firingId }) => firingId === most.firingId)).toMatchObject({ without: null, lesson: { leftOut: true } });
  await save(most.firingId, { lesson: { ...firing.lesson, leftOut: false } });
  expect((await learned(before.kilnId)).offset_K).toBeCloseTo(before.offset_K, 9);
});

test('a cone beside the glass tells of the controller, one that stands or lies flat does not', async () => {
  const before = await learned();
  const [{ firingId }] = before.lessons;
  await measure(firingId, { cone: { cone: '015', bent_deg: 45 } });
  const after = await learned();
  const told = after.lessons.find((one) => one.firingId === firingId)!;
  expect(told.cone_K).not.toBeNull();
  // What is believed moves towards what the cone says, and not beyond it.
  const way = (after.offset_K - before.offset_K) / (told.cone_K! - before.offset_K);
  expect(way).toBeGreaterThan(0);
  expect(way).toBeLessThan(1);
  expect(after.offset_sd_K).toBeLessThan(before.offset_sd_K);
  await measure(firingId, { cone: { cone: '015', bent_deg: 0 } });
  expect((await learned()).offset_K).toBeCloseTo(before.offset_K, 9);
});

test('a slump that was measured half-way counts by its shape', async () => {
  const { body: page } = await server.ask('GET', '/api/firings?look=slump&result=short');
  const [{ id }] = page.firings;
  const { schedule } = await firingOf(id);
  const kiln = schedule.snapshot.madeFrom!.kiln.id;
  const before = await learned(kiln);
  const own = (of: Learned) => of.lessons.find(({ firingId }) => firingId === id);
  expect(own(before)?.measured).toBe(false);
  await measure(id, { down_m: 0.02 });
  const after = await learned(kiln);
  expect(own(after)?.measured).toBe(true);
  const sd = (of: Learned): number => of.looks.find(({ look }) => look === 'slump')!.sd_log;
  expect(sd(after)).toBeLessThan(sd(before));
  // All of its way down, more heat would not have shown: then its look is what counts.
  await measure(id, { down_m: 0.045 });
  expect(own(await learned(kiln))?.measured).toBe(false);
});

test('where the studio wants it so, plans go by it as soon as a result is there, and the kiln is saved no more often than it must', async () => {
  const kilnOf = async (id: string): Promise<Kiln> => (await server.ask('GET', `/api/kilns/${id}`)).body;
  const now = await learned();
  const [{ firingId }] = now.lessons;
  const asked = await kilnOf(now.kilnId);
  await measure(firingId, { cone: { cone: '015', bent_deg: 45 } });
  expect(await kilnOf(now.kilnId)).toEqual(asked);
  const { body: studio } = await server.ask('GET', '/api/studio');
  await server.ask('PUT', '/api/studio', { ...studio, learning: 'atOnce' });
  const { firing } = await firingOf(firingId);
  await save(firingId, { result: firing.result === 'short' ? 'past' : 'short' });
  const taken = await kilnOf(now.kilnId);
  const told = await learned(now.kilnId);
  expect(taken.version).toBe(asked.version + 1);
  expect(isTakenOver(told, taken)).toBe(true);
  expect(isTakenOver(told, asked)).toBe(false);
  await save(firingId, { note: 'Looked at once more.' });
  expect((await kilnOf(now.kilnId)).version).toBe(taken.version);
});

test('the nearest firings are of the same kind, itself not among them', async () => {
  const { lessons } = await learned();
  const own = lessons.find(({ look, firingId }) => lessons.some((other) => other.look === look && other.firingId !== firingId))!;
  const { body: near } = await server.ask('GET', `/api/firings/${own.firingId}/nearest`);
  expect(near.length).toBeGreaterThan(0);
  for (const one of near) expect(one.look).toBe(own.look);
  expect(near.map(({ id }: Firing) => id)).not.toContain(own.firingId);
  expect((await server.ask('GET', '/api/firings/0190a5d0-0000-7000-8000-000000000001/nearest')).status).toBe(404);
});

test('with the last firing that taught, what it taught is gone from plans too', async () => {
  const { kilnId } = await learned();
  for (let now: Learned | null = await learned(kilnId); now !== null; now = await learned(kilnId)) {
    for (const { firingId } of now.lessons) {
      const { firing } = await firingOf(firingId);
      expect((await server.ask('DELETE', `/api/firings/${firingId}`, { version: firing.version })).status).toBe(200);
    }
  }
  const { offset_K = 0, workFactor = 1, lookFactors = {} } = (await server.ask('GET', `/api/kilns/${kilnId}`)).body as Kiln;
  expect({ offset_K, workFactor, lookFactors }).toEqual({ offset_K: 0, workFactor: 1, lookFactors: {} });
});
