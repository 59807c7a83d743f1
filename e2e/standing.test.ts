/** What one page finds stays with a firing on every page after it; what it left behind is offered a way on. */
import { v7 as uuid } from 'uuid';
import { setting } from './setting';
import { beginPiece, pieceAt, planFiring, putForm, scheduleAt, tellFired } from './states';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
});
afterEach(() => me.leave());

const HOUR_MS = 3600e3;
const ask = async <T>(path: string): Promise<T> => (await fetch(`${studio.address}/api${path}`)).json() as Promise<T>;

test('a blank that hooks is warned of on the piece, the run sheet, the key-in sheet and at the start, and stays on the record', async () => {
  // The demo's kiln has the basin in it.
  for (const { id, version } of await ask<{ id: string; version: number }[]>('/loads'))
    await fetch(`${studio.address}/api/loads/${id}`, {
      ...{ method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ version, openedAt: Date.now() }) },
    });
  const formId = await putForm(studio.address, 'Steep beaker', { across_m: '200', deep_m: '80', floor_m: '190' });
  const piece = await beginPiece(studio.address, 'Wide blank', { diameter: '280' }, 'clear-90');
  const stepId = await planFiring(studio.address, piece, 'slump', { formId });
  const hooks = /may hook before it slides in\. The largest that slides in is 2\d\d mm\./;
  await me.page.goto(`${studio.address}/pieces/${piece}`);
  await me.sees('form-warning', hooks);
  await me.page.goto(`${studio.address}/pieces/${piece}/run?step=${stepId}`);
  await me.sees('standing-warning', hooks);
  // In place of the line that all is kept.
  await me.sees('limits-kept-warned', /may hook before it slides in/);
  await me.expectSound('a run sheet with a warning');
  // Its key-in sheet lies open for a quarter of an hour before the last touch.
  await me.page.evaluateOnNewDocument(() => {
    const now = Date.now;
    Object.assign(window, { behind_ms: 15 * 60e3 });
    Date.now = () => now() - (window as unknown as { behind_ms: number }).behind_ms;
  });
  await me.page.goto(`${studio.address}/pieces/${piece}/key-in?step=${stepId}`);
  await me.sees('key-in-warning', hooks);
  for (const row of await me.ofAll('[data-testid^="key-in-"][role="checkbox"]', (rows) => rows.map((one) => one.dataset.testid ?? ''))) await me.press(row);
  await me.press('start-firing');
  await me.sees('start-doubts', hooks);
  await me.page.evaluate(() => void Object.assign(window, { behind_ms: 0 }));
  const pressedAt = Date.now();
  await me.press('start-all-the-same');
  await me.heading(/./);
  await me.gone('start-all-the-same');
  await me.settled();
  const { firings } = await ask<{ firings: { id: string; pieceId: string; firedAt: number }[] }>('/firings');
  const record = firings.find(({ pieceId }) => pieceId === piece);
  expect(record?.firedAt).toBeGreaterThan(pressedAt - 60e3);
  await me.page.goto(`${studio.address}/notebook/${record?.id}`);
  await me.sees('accepted', /This stood against it when it was started\. .*may hook before it slides in/s);
  expect(me.troubles).toEqual([]);
});

test('a piece that ran too fast through its cool is offered a second anneal from its record, planned and composed by a touch', async () => {
  const piece = await beginPiece(studio.address, 'Hurried block', { width: '200', length: '200' }, 'clear-90');
  const { doc, version } = await pieceAt(studio.address, piece);
  const thick = doc.journey.map((step) => (step.kind === 'lay' ? { ...step, layers: step.layers.map((layer) => ({ ...layer, thickness_m: 0.019 })) } : step));
  const saved = await fetch(`${studio.address}/api/pieces/${piece}`, {
    ...{ method: 'PUT', headers: { 'Content-Type': 'application/json' } },
    body: JSON.stringify({ version, name: 'Hurried block', doc: { ...doc, journey: thick }, what: 'thicker' }),
  });
  expect(saved.status).toBe(200);
  await planFiring(studio.address, piece, 'firePolish');
  const { segments } = await scheduleAt(studio.address, piece);
  const hurried = segments.map((one) => (/Cool$/.test(one.role) ? { ...one, rate_C_per_h: null } : one.role === 'drop' ? { ...one, hold_s: 0 } : one));
  await tellFired(studio.address, piece, 'right', 100, { asFired: hurried });
  const { firings } = await ask<{ firings: { id: string; pieceId: string }[] }>('/firings');
  await me.page.goto(`${studio.address}/notebook/${firings.find(({ pieceId }) => pieceId === piece)?.id}`);
  await me.press('anneal-it-again');
  await me.sees('anneal-again', /More stress stayed in it than it may keep/);
  await me.expectSound('a second anneal offered');
  await me.press('plan-anneal');
  await me.find('plan-bar');
  await me.press('compute');
  await me.heading(/^Second anneal$/);
  await me.reads('Keeps every limit.');
  await me.sees('live-work', /^relaxes \d+ ?× work/);
  const { journey } = (await pieceAt(studio.address, piece)).doc;
  expect(journey.map((step) => (step.kind === 'fire' ? step.look : step.kind))).toEqual(['lay', 'firePolish', 'anneal']);
  expect(me.troubles).toEqual([]);
});

test('recording a later firing asks what became of steps that were not told; one at the time of another is asked about', async () => {
  const piece = await beginPiece(studio.address, 'Told late', { width: '180', length: '180' }, 'clear-90');
  await planFiring(studio.address, piece, 'fullFuse');
  await tellFired(studio.address, piece, 'right', 400);
  const { doc, version, name } = await pieceAt(studio.address, piece);
  const grindId = uuid();
  const ground = { ...doc, journey: [...doc.journey, { kind: 'grind', id: grindId, at: 'rim', depth_m: 0.001 }] };
  const saved = await fetch(`${studio.address}/api/pieces/${piece}`, {
    ...{ method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ version, name, doc: ground, what: 'grind added' }) },
  });
  expect(saved.status).toBe(200);
  const stepId = await planFiring(studio.address, piece, 'firePolish');
  await me.page.goto(`${studio.address}/pieces/${piece}/record?step=${stepId}`);
  await me.setTime('record-when', new Date(Date.now() - 395 * HOUR_MS));
  await me.press('result-right');
  await me.press('save-firing');
  await me.sees('hands-error', /Say whether they were done/);
  await me.expectSound('a record that asks about steps before it');
  await me.press('hands-done');
  me.expectedStatuses.add(409);
  await me.press('save-firing');
  // Both would have been fired at once.
  await me.reads('This piece was in a full fuse from');
  await me.press('save-at-once');
  await me.sees('firing-record', /right/);
  const { journey } = (await pieceAt(studio.address, piece)).doc;
  expect(journey.find(({ id }) => id === grindId)).toMatchObject({ doneAt: expect.any(Number) });
  expect(me.troubles).toEqual([]);
});
