import { bodyNamed } from '../bodies.testCases';
import { numbers } from '../testCases';
import { type Outline, type Room, SHELF_DEEP_M, USUAL_CLEARANCES, arranged, gapBetween, gapToWall, lyingOf, outlineOf, roomOf } from './arrange';
import { laid } from './load.testCases';

const tile = (wide_m: number, long_m = wide_m, more: Partial<Outline> = {}): Outline => ({ wide_m, long_m, isRound: false, high_m: 0.006, ...more });
const BOX: Room = { wide_m: 0.5, long_m: 0.4, isRound: false, high_m: 0.3 };
const DRUM: Room = { wide_m: 0.5, long_m: 0.5, isRound: true, high_m: null };

/** Places are told to a thousandth of a millimetre. */
const ROUNDING_M = 3e-6;

/** Nothing over another, nothing nearer than it may be. */
function mustBeFree(items: readonly Outline[], room: Room, shelves: number): void {
  const { placed, left } = arranged(items, room, shelves);
  expect([...placed.map(({ item }) => item), ...left].sort((a, b) => a - b)).toEqual(items.map((_, i) => i));
  for (const one of placed) {
    const lies = lyingOf(one, items[one.item]);
    expect(gapToWall(lies, room)).toBeGreaterThanOrEqual(USUAL_CLEARANCES.wall_m - ROUNDING_M);
    for (const other of placed) {
      if (other.item >= one.item || other.shelf !== one.shelf) continue;
      expect(gapBetween(lies, lyingOf(other, items[other.item]))).toBeGreaterThanOrEqual(USUAL_CLEARANCES.between_m - ROUNDING_M);
    }
  }
  if (room.high_m === null) return;
  const highest = Array.from({ length: shelves }, (_, shelf) =>
    Math.max(0, ...placed.filter((one) => one.shelf === shelf).map(({ item }) => items[item].high_m)),
  );
  const needs = highest.filter((high) => high > 0).reduce((sum, high) => sum + high + USUAL_CLEARANCES.over_m + SHELF_DEEP_M, 0);
  expect(needs).toBeLessThanOrEqual(room.high_m + 1e-9);
}

test('four tiles of 180 mm go onto 450 by 350 mm of free shelf, a fifth does not', () => {
  const four = Array.from({ length: 4 }, () => tile(0.169));
  expect(arranged(four, BOX)).toMatchObject({ left: [], shelves: 1 });
  expect(arranged([...four, tile(0.169)], BOX).left).toHaveLength(1);
  expect(arranged([...four, tile(0.169)], BOX, 2)).toMatchObject({ left: [], shelves: 2 });
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
  const room = next() < 0.5 ? DRUM : { ...BOX, wide_m: 0.3 + 0.4 * next() };
  mustBeFree(items, room, 1 + Math.floor(next() * 3));
});

test('a piece takes what it spreads to, and the mould that it is in', () => {
  const work = (mean: number) => ({ least: mean, mean, most: mean });
  const flat = outlineOf(laid(2, 3, 200), work(0.03));
  expect(flat).toMatchObject({ isRound: false, wide_m: expect.closeTo(0.2, 2) });
  const thick = outlineOf(laid(4, 3, 200), work(0.03));
  expect(thick.wide_m).toBeGreaterThan(flat.wide_m);
  expect(outlineOf(bodyNamed('a disc'), work(0.03)).isRound).toBe(true);
});

test('a kiln that nobody measured has no room that is known', () => {
  const { kiln } = laid(2, 3, 200);
  expect(roomOf({ ...kiln, insideWidth_m: 0.5, insideLength_m: 0.4 })).toEqual({ ...BOX, high_m: null });
  expect(roomOf({ ...kiln, insideDiameter_m: 0.5, insideHeight_m: 0.3 })).toEqual({ ...DRUM, high_m: 0.3 });
  expect(roomOf({ ...kiln, insideWidth_m: undefined, insideLength_m: undefined, insideDiameter_m: undefined })).toBeNull();
});
