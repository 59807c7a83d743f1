/** What the next firing is offered first: how the like was set up when it was last fired. */
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const used = async (look: string, form = '') => (await server.ask('GET', `/api/used-set-up?look=${look}&form=${form}`)).body;

test('it is that of the newest started firing of its kind; in a form that of the last in that form', async () => {
  const { body: page } = await server.ask('GET', '/api/firings');
  const started = page.firings as { id: string; pieceId: string; stepId: string; firedAt: number; look: string }[];
  const looks = [...new Set(started.map(({ look }) => look))];
  expect(looks.length).toBeGreaterThan(2);
  for (const look of looks) {
    // The page is newest first.
    const newest = started.find((one) => one.look === look)!;
    const { schedule } = (await server.ask('GET', `/api/firings/${newest.id}`)).body;
    expect(await used(look)).toMatchObject({ kilnId: schedule.snapshot.madeFrom.kiln.id, setup: schedule.snapshot.setup });
  }
  const inForm = [];
  for (const { id } of started) {
    const { schedule } = (await server.ask('GET', `/api/firings/${id}`)).body;
    if (schedule.snapshot.setup.form) inForm.push(schedule.snapshot);
  }
  expect(inForm.length).toBeGreaterThan(0);
  for (const { setup, firing } of inForm) expect((await used(firing.look, setup.form.id)).setup.form.id).toBe(setup.form.id);
});

test('null of what was never fired; a kind that does not exist is refused', async () => {
  expect(await used('bisque')).toBeNull();
  expect(await used('bisque', 'tray-small')).toBeNull();
  expect((await server.ask('GET', '/api/used-set-up?look=nonsense&form=')).status).toBe(422);
});

test('the Notebook says what it can be narrowed to: only what occurs among what is otherwise asked for, with how many', async () => {
  const page = async (query = '') => (await server.ask('GET', `/api/firings${query}`)).body;
  const all = await page();
  const sum = (rows: { count: number }[]): number => rows.reduce((so, { count }) => so + count, 0);
  expect([sum(all.results), sum(all.looks)]).toEqual([all.total, all.total]);
  for (const { result, count } of all.results) {
    const narrowed = await page(`?result=${result}`);
    expect([narrowed.total, sum(narrowed.looks), narrowed.results]).toEqual([count, count, all.results]);
  }
  for (const { look, count } of all.looks) {
    const narrowed = await page(`?look=${look}`);
    expect([narrowed.total, sum(narrowed.results), narrowed.looks]).toEqual([count, count, all.looks]);
  }
  expect(await page('?text=nothing%20like%20it')).toMatchObject({ total: 0, results: [], looks: [] });
});
