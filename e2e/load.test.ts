/** Several pieces, one kiln: put together, judged, parted, given one schedule, keyed in and started. */
import { join } from 'node:path';
import type { HeldPlace } from '@torvin/core/piece';
import type { Bench, ForKiln, Load, LoadDetail, Piece } from '@torvin/schema';
import Driver from 'better-sqlite3';
import { setting } from './setting';
import { beginPiece, planFiring, scheduleAt } from './states';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;
beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
});
afterEach(() => me.leave());

const get = async <T>(path: string): Promise<T> => (await (await fetch(`${studio.address}${path}`)).json()) as T;
const KILN = { kilnId: 'tall-kiln' };

test('five pieces are arranged, keyed in, rehearsed, started, opened and recorded together; a damp one is refused, one of another heat is left for a second load', async () => {
  const tile = await beginPiece(studio.address, 'Tile of five', { width: '80', length: '80' }, 'clear-90');
  const like = await beginPiece(studio.address, 'Like tile of five', { width: '80', length: '80' }, 'clear-90');
  const third = await beginPiece(studio.address, 'Third tile of five', { width: '80', length: '80' }, 'clear-90');
  const fourth = await beginPiece(studio.address, 'Fourth tile of five', { width: '80', length: '80' }, 'clear-90');
  const plate = await beginPiece(studio.address, 'Wide tile of five', { width: '160', length: '160' }, 'clear-90');
  const damp = await beginPiece(studio.address, 'Damp one of five', { width: '100', length: '100' }, 'clear-90');
  const low = await beginPiece(studio.address, 'Low one of five', { width: '100', length: '100' }, 'clear-90');
  const stepId = await planFiring(studio.address, tile, 'fullFuse', KILN);
  for (const id of [like, third, fourth]) await planFiring(studio.address, id, 'fullFuse', KILN);
  await planFiring(studio.address, plate, 'fullFuse', KILN);
  await planFiring(studio.address, damp, 'fullFuse', { ...KILN, wet: 'damp' });
  await planFiring(studio.address, low, 'firePolish', KILN);
  const alone = await scheduleAt(studio.address, tile);

  await me.page.goto(`${studio.address}/pieces/${tile}/run?step=${stepId}`);
  await me.press('fold-alternatives');
  await me.press('with-others');
  await me.sees('load-result', /^Choose two or more/);
  for (const id of [like, third, fourth, plate, damp]) await me.press(`load-piece-${id}`);
  await me.sees('load-refused', /^Damp one of five is damp\. Its water goes onto the glass beside it; dry it first, or fire it alone\./);
  await me.expectSound('a load that is refused', { withAxe: true });
  await me.press('load-take-out');
  await me.sees('load-keeps', /Every piece keeps every limit/);
  await me.sees(`load-fares-${plate}`, /\. Right in this load\./);
  await me.sees('load-row-0', /Wide tile of five sets the rate/);

  await me.press(`load-piece-${low}`);
  await me.sees(
    'load-split',
    /^Not all of them can be right in one load\. Two loads: Low one of five; then Fourth tile of five, Like tile of five, Third tile of five, Tile of five, Wide tile of five\./,
  );
  await me.sees(`load-fares-${low}`, /\. The working hold is about \d+ °C too hot for it\./);
  await me.expectSound('a load that is parted', { withAxe: true });
  await me.press('load-take-second');
  await me.sees('load-keeps', /Every piece keeps every limit/);
  await me.press('fold-load-needs');
  await me.sees('load-needs', /Tile of five.*Warm up \d+ °C\/h to \d+ °C.*Here nearest to its limit/s);
  await me.press('fold-load-on-shelf');
  await me.sees('load-on-shelf', /Fourth tile of five.*Like tile of five.*Third tile of five.*Tile of five.*Wide tile of five/s);
  await me.press('load-use');

  // Each of them has the rows of all by now, and the plate is not hurried by the tiles.
  await me.sees('together', /In the kiln/);
  await me.settled();
  const [own, wide] = [await scheduleAt(studio.address, tile), await scheduleAt(studio.address, plate)];
  expect(own.segments).toEqual(wide.segments);
  expect(own.segments[0].rate_C_per_h!).toBeLessThan(alone.segments[0].rate_C_per_h!);
  expect((await get<ForKiln[]>('/api/for-kiln')).filter(({ pieceName }) => / of five$/.test(pieceName))).toHaveLength(7);
  await me.press('open-rehearsal');
  await me.press('key-for-me');
  await me.press('rehearsal-start');
  await me.sees('run-verdict', /^Left alone it goes as planned\.$/);
  // The way back keeps the others of its load.
  for (const link of await me.page.$$('[aria-label^="Back to"]')) if (await link.isVisible()) await link.tap();
  await me.sees('together', /In the kiln/);
  await me.press('start-firing');
  await me.sees('start-doubts', /rows are not ticked/);
  await me.press('start-all-the-same');
  await me.sees('bench-kiln', /of five/);
  await me.settled();
  const { loads } = { loads: await get<(Load & { entries: { pieceName: string }[] })[]>('/api/loads') };
  const load = loads.find(({ entries }) => entries.some(({ pieceName }) => pieceName === 'Tile of five'))!;
  expect(load.entries.map(({ pieceName }) => pieceName).sort()).toEqual([
    'Fourth tile of five',
    'Like tile of five',
    'Third tile of five',
    'Tile of five',
    'Wide tile of five',
  ]);
  expect((await get<LoadDetail>(`/api/loads/${load.id}`)).schedule?.segments).toEqual(own.segments);
  expect((await get<ForKiln[]>('/api/for-kiln')).filter(({ pieceName }) => / of five$/.test(pieceName))).toHaveLength(2);

  // As if two days had gone by.
  const database = new Driver(join(studio.dataDir, 'torvin.db'), { timeout: 5000 });
  database.prepare('update loads set at = at - ?1, started_at = started_at - ?1 where id = ?2').run(48 * 3600e3, load.id);
  database.close();
  await me.page.goto(`${studio.address}/kiln`);
  await me.press('opened');
  await me.press('opened-then');
  await me.gone('opened-then');
  await me.page.goto(`${studio.address}/bench`);
  // The other kiln's drawing comes a moment later, and moves what is under it.
  await me.sees('in-kiln', /glass core \d+/);
  await me.reads('Record 5 results');
  await me.press('bench-tell');
  for (let nth = 1; nth <= 5; nth += 1) {
    await me.reads(`· ${nth} of 5`);
    await me.press(nth === 3 ? 'opened-short' : 'opened-right');
    if (nth === 3) await me.press('opened-by-little');
    await me.press('opening-save');
  }
  await me.sees('opened-list', /Next time/);
  await me.settled();
  const { firings } = await get<{ firings: { result: string }[] }>(`/api/firings?text=${encodeURIComponent('of five')}`);
  expect(firings.map(({ result }) => result).sort()).toEqual(['right', 'right', 'right', 'right', 'short']);
  expect(me.troubles).toEqual([]);
});

test('without a server a choice that is changed at once is never saved as another, and all is sent when it is back', async () => {
  const ids: string[] = [];
  for (const [name, size] of [
    ['Stays', '90'],
    ['Goes out', '70'],
    ['Comes in', '300'],
  ] as const) {
    ids.push(await beginPiece(studio.address, name, { width: size, length: size }, 'clear-90'));
    await planFiring(studio.address, ids[ids.length - 1], 'fullFuse', KILN);
  }
  const [stays, out, comes] = ids;
  const before = await scheduleAt(studio.address, out);
  await me.page.goto(`${studio.address}/bench/load?with=${ids.join(',')}`);
  await me.sees('load-keeps', /Every piece keeps every limit/);
  await me.press(`load-piece-${comes}`);
  await me.sees('load-keeps', /Every piece keeps every limit/);
  await studio.away(async () => {
    // In one breath: the answer for the two before must not stand for the two that are chosen now.
    await me.page.evaluate(
      (...touched: string[]) => touched.forEach((id) => document.querySelector<HTMLElement>(`[data-testid="load-piece-${id}"]`)?.click()),
      ...[out, comes],
    );
    await me.sees(`load-fares-${comes}`, /\. Right in this load/);
    expect(await me.has(`load-fares-${out}`)).toBe(false);
    await me.press('load-use');
    await me.find('before-start');
  });
  await me.settled();
  me.troubles.length = 0;
  const [first, last] = [await scheduleAt(studio.address, stays), await scheduleAt(studio.address, comes)];
  expect(first.segments).toEqual(last.segments);
  expect((await scheduleAt(studio.address, out)).id).toBe(before.id);
});

test('what finds no room on one shelf is named, and on two it does', async () => {
  const large = [];
  for (const name of ['Large one', 'Large two', 'Large three']) {
    const id = await beginPiece(studio.address, name, { width: '250', length: '250' }, 'clear-90');
    await planFiring(studio.address, id, 'fullFuse', { kilnId: 'low-kiln' });
    large.push(id);
  }
  await me.page.goto(`${studio.address}/bench/load?with=${large.join(',')}`);
  await me.sees('load-no-room', /^No room for Large \w+ and Large \w+ on one shelf\.$|^No room for Large \w+ on one shelf\.$/);
  await me.press('fold-load-on-shelf');
  await me.press('load-shelves-3');
  await me.gone('load-no-room');
  await me.sees('load-shelf-1', /^Shelf 2 from below/);
  await me.expectSound('a load on its shelves', { withAxe: true });
  // What has to be free is of the kiln's record; it changes where they lie, and outdates no schedule.
  const kiln = await get<object>('/api/kilns/low-kiln');
  const saved = await fetch(`${studio.address}/api/kilns/low-kiln`, {
    ...{ method: 'PUT', headers: { 'Content-Type': 'application/json' } },
    body: JSON.stringify({ ...kiln, betweenPieces_m: 0.1 }),
  });
  expect(saved.status).toBe(200);
  await me.sees('load-on-shelf', /Free: 100 mm between pieces, 25 mm to the walls/);
  await me.page.goto(`${studio.address}/pieces/${large[0]}`);
  await me.sees('next-act', /Key in/);
});

test('a piece is moved by a finger that rests on it, by keys and turned; where it lies is kept, and a place that is hotter counts', async () => {
  const kiln = await get<{ version: number }>('/api/kilns/tall-kiln');
  const put = async (more: object): Promise<void> => {
    const { version } = await get<{ version: number }>('/api/kilns/tall-kiln');
    const saved = await fetch(`${studio.address}/api/kilns/tall-kiln`, {
      ...{ method: 'PUT', headers: { 'Content-Type': 'application/json' } },
      body: JSON.stringify({ ...kiln, ...more, version }),
    });
    expect(saved.status).toBe(200);
  };
  await put({
    insideDiameter_m: undefined,
    insideWidth_m: 0.5,
    insideLength_m: 0.4,
    elements: 'sides',
    probeFrom: 'back',
    door: 'front',
    rightHotter_K: 12,
    connected_W: 3000,
  });
  const ids: string[] = [];
  for (const [name, width] of [
    ['Lies left', '100'],
    ['Lies right', '160'],
  ] as const) {
    ids.push(await beginPiece(studio.address, name, { width, length: '100' }, 'clear-90'));
    await planFiring(studio.address, ids[ids.length - 1], 'fullFuse', KILN);
  }
  const placeOf = async (id: string): Promise<HeldPlace> => {
    const { doc } = await get<Piece>(`/api/pieces/${id}`);
    return doc.journey.flatMap((step) => (step.kind === 'fire' && step.place ? [step.place] : []))[0];
  };
  await me.page.goto(`${studio.address}/bench/load?with=${ids.join(',')}`);
  await me.sees('load-keeps', /Every piece keeps every limit/);
  await me.press('fold-load-on-shelf');
  await me.sees('load-stores', /^With this load the kiln stores 1\.\d\d times what it stored when it was timed/);
  await me.sees('load-on-shelf', /the door below.*Dashed are the elements, with 50 mm free\..*thermocouple, with 25 mm free round it/s);
  expect(await me.has('load-arrange')).toBe(false);
  await me.expectSound('a load on its shelf', { withAxe: true });

  // 460 mm of shelf are about 100 px for 150 mm: the second is dragged to the right and to the back.
  const grip = await me.find('load-grip-1');
  await grip.evaluate((node) => node.scrollIntoView({ block: 'center' }));
  const box = (await grip.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const finger = await me.page.touchscreen.touchStart(x, y);
  await new Promise((resolve) => setTimeout(resolve, 450));
  for (let part = 1; part <= 8; part += 1) await finger.move(x + 18 * part, y - 15 * part);
  await finger.end();
  await me.sees('load-arrange', /Arrange again/);
  const after = (await (await me.find('load-grip-1')).boundingBox())!;
  expect(after.x - box.x).toBeGreaterThan(40);
  expect(box.y - after.y).toBeGreaterThan(40);
  await me.sees('load-on-shelf', /2 Lies right \(\d+(\.\d)? °C hotter there\)/);
  await me.press('load-turn');
  await me.sees('load-keeps', /Every piece keeps every limit/);
  const turned = (await (await me.find('load-grip-1')).boundingBox())!;
  expect(turned.height / turned.width).toBeCloseTo(1.6, 1);

  // Arranged, its longer side lay across; turned, it lies along.
  // Keys step it: against the other it stops where what has to be free is free.
  await (await me.find('load-grip-0')).focus();
  await me.page.keyboard.down('Shift');
  for (let i = 0; i < 3; i += 1) await me.page.keyboard.press('ArrowUp');
  await me.page.keyboard.up('Shift');
  const alone = await scheduleAt(studio.address, ids[1]);
  await me.press('load-use');
  await me.find('before-start');
  await me.settled();
  const [left, right] = [await placeOf(ids[0]), await placeOf(ids[1])];
  expect(right).toMatchObject({ kilnId: 'tall-kiln', shelf: 0, shelves: 1, turned: false });
  expect(right.x_m).toBeGreaterThan(left.x_m);
  expect(left.turned).toBe(false);
  const [first, second] = [await scheduleAt(studio.address, ids[0]), await scheduleAt(studio.address, ids[1])];
  expect(first.segments).toEqual(second.segments);
  // What the server computes for it is at its place, by as much as its record says.
  expect(right.load_J_K).toBeGreaterThan(0);
  expect(alone.snapshot.firing.kiln.power_K_per_s / second.snapshot.firing.kiln.power_K_per_s).toBeGreaterThan(1);
  const hotter = 12 * ((2 * right.x_m) / 0.5 - 1);
  expect(second.snapshot.firing.corrections?.offset_K ?? 0).toBeCloseTo((alone.snapshot.firing.corrections?.offset_K ?? 0) - hotter, 6);
  expect(second.snapshot.madeFrom?.place_K).toBeCloseTo(hotter, 6);

  // Found again where it was put; and another word about the place outdates what was made for it.
  await me.page.goto(`${studio.address}/bench/load?with=${ids.join(',')}`);
  await me.press('fold-load-on-shelf');
  await me.sees('load-arrange', /Arrange again/);
  await put({ insideDiameter_m: undefined, insideWidth_m: 0.5, insideLength_m: 0.4, rightHotter_K: -12, connected_W: 3000 });
  const { waiting } = await get<Bench>('/api/bench');
  const outdated = waiting.find(({ piece }) => piece.id === ids[1])?.outdated.join(' ');
  expect(outdated).toMatch(/^Its place in the kiln was [\d.]+ °C hotter than its middle; now it is [\d.]+ °C cooler than its middle\.$/);
  await put({});
});

test('wide, and in a studio of its own units, the page of a load has no other; nothing chosen, it says what to do', async () => {
  const wide = await Visitor.open(here.browser, WIDE);
  const first = await beginPiece(studio.address, 'First of two', { width: '150', length: '150' }, 'clear-90');
  const second = await beginPiece(studio.address, 'Second of two', { width: '60', length: '60' }, 'clear-90');
  for (const id of [first, second]) await planFiring(studio.address, id, 'fullFuse', KILN);
  const studioNow = await get<{ version: number }>('/api/studio');
  await fetch(`${studio.address}/api/studio`, {
    ...{ method: 'PUT', headers: { 'Content-Type': 'application/json' } },
    body: JSON.stringify({ ...studioNow, temperatureUnit: 'F' }),
  });
  // What is of the same firing, glass and length is offered on the Bench and on the page itself; the same load either way.
  await wide.page.goto(`${studio.address}/bench/load`);
  await wide.sees('load-result', /May go together/);
  await wide.press('load-suggested-0');
  await wide.sees('load-hours', /for all$/);
  await wide.page.goto(`${studio.address}/bench/load?with=${first},${second}`);
  await wide.sees('load-keeps', /Every piece keeps every limit/);
  expect(await wide.text('load-result')).not.toMatch(/°C/);
  expect(await wide.text('load-result')).toMatch(/°F\/h to \d+ °F/);
  await wide.press('fold-load-on-shelf');
  await wide.sees('load-on-shelf', /Shelf 1 from below, [\d.]+ k?g of glass.* 1 First of two, 2 Second of two/);
  await wide.expectSound('a load, wide', { withAxe: true });
  await wide.leave();
});
