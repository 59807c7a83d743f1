import { bodyNamed } from '../bodies.testCases';
import { numbers } from '../testCases';
import { type Room, SHELF_DEEP_M, USUAL_CLEARANCES, gapBetween, gapToWall, hotterAt, lidFree_m, roomOf, standingOn, wallFree_m } from '../kiln/inside';
import { arranged, clashesOf, freeNear } from './arrange';
import { type Outline, type Placed, lyingOf, outlineOf } from './outline';
import { laid } from './load.testCases';

const tile = (wide_m: number, long_m = wide_m, more: Partial<Outline> = {}): Outline => ({ wide_m, long_m, isRound: false, high_m: 0.006, ...more });
const BOX: Room = { wide_m: 0.5, long_m: 0.4, isRound: false, high_m: 0.3 };
const DRUM: Room = { wide_m: 0.5, long_m: 0.5, isRound: true, high_m: null };

/** Places are kept to a thousandth of a millimetre. */
const ROUNDING_M = 3e-6;

/** Nothing over another, nothing nearer than it may be. */
function mustBeFree(items: readonly Outline[], room: Room, shelves: number): void {
  const { placed, left } = arranged(items, room, shelves);
  expect(clashesOf(items, placed, { room, clear: USUAL_CLEARANCES, shelves: 1 + Math.max(0, ...placed.map(({ shelf }) => shelf)) })).toEqual([]);
  expect([...placed.map(({ item }) => item), ...left].sort((a, b) => a - b)).toEqual(items.map((_, i) => i));
  for (const one of placed) {
    const lies = lyingOf(one, items[one.item]);
    expect(gapToWall(lies, room)).toBeGreaterThanOrEqual(wallFree_m(room, USUAL_CLEARANCES) - ROUNDING_M);
    // On the topmost no posts stand.
    const bears = one.shelf < Math.max(...placed.map(({ shelf }) => shelf));
    for (const stands of standingOn(room, USUAL_CLEARANCES, bears)) expect(gapBetween(lies, stands)).toBeGreaterThanOrEqual(stands.clear_m - ROUNDING_M);
    for (const other of placed) {
      if (other.item >= one.item || other.shelf !== one.shelf) continue;
      expect(gapBetween(lies, lyingOf(other, items[other.item]))).toBeGreaterThanOrEqual(USUAL_CLEARANCES.between_m - ROUNDING_M);
    }
  }
  if (room.high_m === null) return;
  const highest = Array.from({ length: shelves }, (_, shelf) =>
    Math.max(0, ...placed.filter((one) => one.shelf === shelf).map(({ item }) => items[item].high_m)),
  );
  const carrying = highest.filter((high) => high > 0);
  const needs =
    carrying.reduce((sum, high) => sum + high + USUAL_CLEARANCES.over_m + SHELF_DEEP_M, 0) + lidFree_m(room, USUAL_CLEARANCES) - USUAL_CLEARANCES.over_m;
  expect(needs).toBeLessThanOrEqual(room.high_m + 1e-9);
}

test('four tiles of 180 mm go onto 450 by 350 mm of free shelf, a fifth does not', () => {
  const four = Array.from({ length: 4 }, () => tile(0.169));
  expect(arranged(four, BOX)).toMatchObject({ left: [], shelves: 1 });
  expect(arranged([...four, tile(0.169)], BOX).left).toHaveLength(1);
  expect(arranged([...four, tile(0.169)], BOX, 2)).toMatchObject({ left: [], shelves: 2 });
});

test('what has room to spare lies in the middle, as far as nothing stands there', () => {
  expect(arranged([tile(0.1)], BOX).placed).toEqual([{ item: 0, shelf: 0, x_m: 0.25, y_m: 0.2, turned: false }]);
  const two = arranged([tile(0.1), tile(0.16)], BOX).placed.map((one) => ({ ...lyingOf(one, tile([0.1, 0.16][one.item])) }));
  expect((Math.min(...two.map(({ x_m, wide_m }) => x_m - wide_m / 2)) + Math.max(...two.map(({ x_m, wide_m }) => x_m + wide_m / 2))) / 2).toBeCloseTo(0.25, 5);
  // A thermocouple from the back as far as the middle: across alone.
  const probed: Room = { ...BOX, probe: { from: 'back', reach_m: 0.25 } };
  expect(arranged([tile(0.1)], probed).placed).toEqual([{ item: 0, shelf: 0, x_m: 0.25, y_m: 0.075, turned: false }]);
  // What stays where it lies keeps the others where they are put beside it.
  const stays = { item: 0, shelf: 0, x_m: 0.1, y_m: 0.1, turned: false };
  expect(arranged([tile(0.1), tile(0.1)], BOX, 1, USUAL_CLEARANCES, [stays]).placed[0]).toEqual(stays);
});

test('what is too long across is turned', () => {
  const { placed, left } = arranged([tile(0.34, 0.44)], BOX);
  expect(left).toEqual([]);
  expect(placed[0].turned).toBe(true);
});

test('a long strip finds room beside trays and a disc, in an order that follows no measure', () => {
  const items = [tile(0.09, 0.32), tile(0.18), tile(0.18), tile(0.26, 0.26, { isRound: true }), tile(0.06)];
  expect(arranged(items, { ...BOX, wide_m: 0.46, long_m: 0.6 }).left).toEqual([]);
});

test('the smaller is left out rather than the larger', () => {
  expect(arranged([tile(0.1), tile(0.45, 0.35)], BOX).left).toEqual([0]);
});

test('a tall mould needs the height of the kiln, and no shelf over it', () => {
  const tall = tile(0.2, 0.2, { high_m: 0.22 });
  expect(arranged([tall, tile(0.45, 0.35)], BOX, 2).left).toHaveLength(1);
  expect(arranged([tile(0.2, 0.2, { high_m: 0.26 })], BOX).left).toEqual([0]);
});

test('three discs lie in a round kiln where a rectangle of their measures could not', () => {
  const disc = tile(0.2, 0.2, { isRound: true });
  expect(arranged([disc, disc], DRUM).left).toEqual([]);
  expect(arranged([tile(0.33)], DRUM).left).toEqual([0]);
  expect(arranged([tile(0.44, 0.44, { isRound: true })], DRUM).left).toEqual([]);
});

test.each(Array.from({ length: 24 }, (_, seed) => [seed]))('drawn %i: nothing overlaps and clearances are kept', (seed) => {
  const next = numbers(seed);
  const items = Array.from({ length: 1 + Math.floor(next() * 14) }, () => {
    const wide_m = 0.04 + 0.2 * next();
    return next() < 0.3 ? tile(wide_m, wide_m, { isRound: true }) : tile(wide_m, 0.04 + 0.25 * next(), { high_m: 0.005 + 0.1 * next() });
  });
  const room: Room = {
    ...(next() < 0.5 ? DRUM : { ...BOX, wide_m: 0.3 + 0.4 * next() }),
    ...(next() < 0.5 ? { elements: next() < 0.5 ? 'sides' : 'both' } : {}),
    ...(next() < 0.5 ? { probe: { from: next() < 0.5 ? 'back' : 'left', reach_m: 0.06 } } : {}),
  };
  mustBeFree(items, room, 1 + Math.floor(next() * 3));
});

test('posts stand in the corners of a shelf that bears another, and the thermocouple is kept clear of on each', () => {
  // 450 by 350 mm are free: without posts one tray takes nearly all of it.
  const tray = tile(0.42, 0.33);
  expect(arranged([tray], BOX, 2)).toMatchObject({ left: [], shelves: 1 });
  expect(arranged([tray, tray], BOX, 2).left).toHaveLength(1);
  expect(standingOn(BOX, USUAL_CLEARANCES, true)).toHaveLength(4);
  expect(standingOn(DRUM, USUAL_CLEARANCES, true)).toHaveLength(3);
  for (const post of standingOn(DRUM, USUAL_CLEARANCES, true)) expect(gapToWall(post, DRUM)).toBeGreaterThan(USUAL_CLEARANCES.wall_m - 0.006);
  const probe: Room = { ...BOX, probe: { from: 'left', reach_m: 0.08 } };
  expect(arranged([tray], probe).left).toEqual([0]);
  expect(arranged([tile(0.3, 0.33)], probe).placed[0]).toMatchObject({ x_m: expect.closeTo(0.08 + 0.025 + 0.165, 4), turned: true });
});

test('from elements in the walls, and under those in the lid, more is free', () => {
  const wide = tile(0.44, 0.2);
  expect(arranged([wide], BOX).left).toEqual([]);
  expect(arranged([wide], { ...BOX, elements: 'sides' }).left).toEqual([0]);
  const tall = tile(0.2, 0.2, { high_m: 0.23 });
  const clear = { ...USUAL_CLEARANCES, elements_m: 0.08 };
  expect(arranged([tall], BOX, 1, clear).left).toEqual([]);
  expect(arranged([tall], { ...BOX, elements: 'top' }, 1, clear).left).toEqual([0]);
});

test('a circle in the corner of a post goes by itself, not by the box round it', () => {
  const [post] = standingOn(BOX, USUAL_CLEARANCES, true);
  const disc = { x_m: post.x_m + 0.1, y_m: post.y_m + 0.1, wide_m: 0.2, long_m: 0.2, isRound: true };
  const half = post.wide_m / 2;
  expect(gapBetween(disc, post)).toBeCloseTo(Math.hypot(0.1 - half, 0.1 - half) - 0.1, 12);
  expect(gapBetween(post, disc)).toBe(gapBetween(disc, post));
  expect(gapBetween({ ...disc, x_m: post.x_m, y_m: post.y_m }, post)).toBeLessThan(-0.1);
});

describe('moved by hand', () => {
  const items = [tile(0.1), tile(0.1), tile(0.1, 0.2)];
  const where = { room: BOX, clear: USUAL_CLEARANCES, shelves: 1 };
  const at = (item: number, x_m: number, y_m: number, turned = false): Placed => ({ item, shelf: 0, x_m, y_m, turned });

  test('what is too near is told once, with what is missing', () => {
    const placed = [at(0, 0.1, 0.1), at(1, 0.205, 0.1), at(2, 0.46, 0.2)];
    expect(clashesOf(items, placed, where)).toEqual([
      { item: 0, with: 1, short_m: expect.closeTo(0.007, 9) },
      { item: 2, with: 'wall', short_m: expect.closeTo(0.035, 9) },
    ]);
    const [clash] = clashesOf(items, [at(2, 0.46, 0.2, true)], { ...where, room: { ...BOX, elements: 'sides' } });
    expect(clash).toEqual({ item: 2, with: 'elements', short_m: expect.closeTo(0.11, 9) });
    expect(clashesOf([tile(0.1, 0.1, { high_m: 0.28 })], [at(0, 0.2, 0.2)], where)).toEqual([{ item: 0, with: 'height', short_m: expect.closeTo(0.046, 9) }]);
  });

  test('a little off, it goes to the nearest place that is free; far off, it stays where it was put', () => {
    const placed = [at(0, 0.1, 0.1), at(1, 0.3, 0.1)];
    expect(freeNear(items, at(1, 0.3, 0.2), placed, where, 0.01)).toEqual(at(1, 0.3, 0.2));
    expect(freeNear(items, at(1, 0.208, 0.13), placed, where, 0.01)).toEqual(at(1, expect.closeTo(0.212, 6) as unknown as number, 0.13));
    expect(freeNear(items, at(1, 0.13, 0.13), placed, where, 0.01)).toBeNull();
    expect(freeNear(items, at(0, 0.06, 0.06), [], where, 0.03)).toEqual(
      at(0, expect.closeTo(0.075, 6) as unknown as number, expect.closeTo(0.075, 6) as unknown as number),
    );
  });

  test.each(Array.from({ length: 16 }, (_, seed) => [seed]))('drawn %i: a place that is found is free, and none nearer is on a fine grid', (seed) => {
    const next = numbers(seed);
    const { placed } = arranged(items, BOX);
    const moved = { ...placed[1], x_m: 0.5 * next(), y_m: 0.4 * next() };
    const others = placed.filter(({ item }) => item !== 1);
    const found = freeNear(items, moved, placed, where, 0.5);
    expect(found).not.toBeNull();
    expect(clashesOf(items, [...others, found!], where)).toEqual([]);
    const far = Math.hypot(found!.x_m - moved.x_m, found!.y_m - moved.y_m);
    for (let x_m = 0; x_m <= 0.5; x_m += 0.005) {
      for (let y_m = 0; y_m <= 0.4; y_m += 0.005) {
        if (Math.hypot(x_m - moved.x_m, y_m - moved.y_m) < far - 1e-4) expect(clashesOf(items, [...others, { ...moved, x_m, y_m }], where)).not.toEqual([]);
      }
    }
  });

  test('what was put stays, and the others find room beside it', () => {
    const stays = at(1, 0.25, 0.2);
    const { placed, left } = arranged(items, BOX, 1, USUAL_CLEARANCES, [stays, at(1, 0, 0), at(7, 0, 0)]);
    expect(left).toEqual([]);
    expect(placed[1]).toEqual(stays);
    expect(clashesOf(items, placed, where)).toEqual([]);
    expect(arranged(items, BOX, 2, USUAL_CLEARANCES, [{ ...stays, shelf: 1 }]).placed.map(({ shelf }) => shelf)).toEqual([0, 1, 0]);
  });
});

test('a place is as hot as the record says of its side, in proportion to how far out it lies', () => {
  const told = { leftHotter_K: 10, backHotter_K: -4, highHotter_K: 6, lowHotter_K: -8 };
  const place = { x_m: 0.25, y_m: 0.2, shelf: 0, shelves: 1 };
  expect(hotterAt(told, BOX, place)).toBeCloseTo(0, 12);
  expect(hotterAt(told, BOX, { ...place, x_m: 0.125 })).toBeCloseTo(5, 12);
  expect(hotterAt(told, BOX, { ...place, x_m: 0.45 })).toBeCloseTo(0, 12);
  expect(hotterAt(told, BOX, { ...place, x_m: 0, y_m: 0.4 })).toBeCloseTo(6, 12);
  expect([0, 1, 2].map((shelf) => hotterAt(told, BOX, { ...place, shelf, shelves: 3 }))).toEqual([-8, 0, 6].map((value) => expect.closeTo(value, 12)));
  expect(hotterAt(told, null, { ...place, x_m: 0 })).toBe(0);
  expect(hotterAt({}, BOX, { x_m: 0, y_m: 0, shelf: 1, shelves: 2 })).toBe(0);
});

test('a piece takes what it spreads to, and the mould that it is in', () => {
  const work = (mean: number) => ({ least: mean, mean, most: mean });
  const flat = outlineOf(laid(2, 3, 200), work(0.03));
  expect(flat).toMatchObject({ isRound: false, wide_m: expect.closeTo(0.2, 2) });
  const thick = outlineOf(laid(4, 3, 200), work(0.03));
  expect(thick.wide_m).toBeGreaterThan(flat.wide_m);
  expect(outlineOf(bodyNamed('a disc'), work(0.03)).isRound).toBe(true);
  // A strip grows on all four sides alike, and by no more than a square of its depth does.
  for (const [sheets, grows] of [
    [1, 0],
    [4, thick.wide_m - 0.2],
  ]) {
    const square = laid(sheets, 3, 320);
    const strip = outlineOf({ ...square, body: { ...square.body, footprint: { shape: 'rectangle', width_m: 0.09, length_m: 0.32 } } }, work(0.03));
    expect(strip.wide_m - 0.09).toBeCloseTo(strip.long_m - 0.32, 9);
    expect(strip.wide_m - 0.09).toBeLessThan(1.2 * grows + 1e-9);
  }
});

test('a kiln that nobody measured has no room that is known', () => {
  const { kiln } = laid(2, 3, 200);
  expect(roomOf({ ...kiln, insideWidth_m: 0.5, insideLength_m: 0.4 })).toEqual({ ...BOX, high_m: null });
  expect(roomOf({ ...kiln, insideDiameter_m: 0.5, insideHeight_m: 0.3 })).toEqual({ ...DRUM, high_m: 0.3 });
  expect(roomOf({ ...kiln, insideWidth_m: undefined, insideLength_m: undefined, insideDiameter_m: undefined })).toBeNull();
});
