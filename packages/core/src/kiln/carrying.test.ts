/** A kiln that carries a load: the same times, longer by what it stores more. */
import { STUDIO_KILN } from '../testCases';
import { carrying, chamberOf } from './carrying';
import { hotterAt, isUnderShelf, lagAt } from './inside';
import { wallAfter } from './kiln';
import { timesOf } from './times';
import { TYPICAL_KILN } from './typical';

const asked = { ambient_C: 20, climbs: [{ to_C: 500 }, { to_C: 800 }], fall: { from_C: 515, to_C: 90 } };

test('half as much again takes half as long again, up and down', () => {
  const [plain, loaded] = [TYPICAL_KILN, carrying(TYPICAL_KILN, 14000, 7000)].map((kiln) => timesOf(kiln, asked));
  loaded.forEach((seconds, i) => expect(seconds / plain[i]).toBeCloseTo(1.5, 9));
});

test('a wall that stores heat follows the chamber at its own pace whatever lies in it, and holds less beside it', () => {
  const walled = { ...STUDIO_KILN, wallExchange_per_s: 4e-4, wallOverChamber: 3 };
  const loaded = carrying(walled, 10000, 5000);
  expect(wallAfter(loaded, 100, 100, 400, 3600)).toBeCloseTo(wallAfter(walled, 100, 100, 400, 3600), 9);
  const [plain, more] = [walled, loaded].map((kiln) => timesOf(kiln, asked));
  more.forEach((seconds, i) => {
    expect(seconds).toBeGreaterThan(plain[i]);
    expect(seconds).toBeLessThan(1.5 * plain[i]);
  });
});

test('what is not known changes nothing; full power over the climb is what a kiln stores', () => {
  expect(carrying(TYPICAL_KILN, null, 5000)).toBe(TYPICAL_KILN);
  expect(carrying(TYPICAL_KILN, 14000, undefined)).toBe(TYPICAL_KILN);
  expect(chamberOf(TYPICAL_KILN)).toBeNull();
  expect(chamberOf({ ...TYPICAL_KILN, connected_W: 2060 })).toBeCloseTo(10000, 6);
});

test('a place has what is said of its sides by how far out it lies', () => {
  const room = { wide_m: 0.5, long_m: 0.4 };
  const told = { leftHotter_K: -6, backHotter_K: 10, highHotter_K: 4, leftLag_s: 120, frontLag_s: 60, lowLag_s: 30 };
  const at = { x_m: 0.125, y_m: 0.3, shelf: 1, shelves: 2 };
  expect(hotterAt(told, room, at)).toBeCloseTo(-3 + 5 + 4, 9);
  expect(lagAt(told, room, at)).toBeCloseTo(60, 9);
  expect(lagAt(told, room, { ...at, y_m: 0.1, shelf: 0 })).toBeCloseTo(60 + 30 + 30, 9);
  expect(lagAt(told, null, { ...at, shelf: 0, shelves: 1 })).toBe(0);
  expect([isUnderShelf({ shelf: 0, shelves: 2 }), isUnderShelf(at), isUnderShelf({ shelf: 0, shelves: 1 })]).toEqual([true, false, false]);
});
