/** Where a part is turned and taken, and what is said meanwhile. */
import type { Footprint } from '@torvin/core/body';
import type { Box, Point, ToldMap } from '@torvin/core/plan';
import { TARGET } from '@/theme/theme';
import { planGeometry } from './geometry';
import { BEAD_PX, gripOf, knobAt, turned } from './handles';
import type { OwnPart } from './ownPart';
import { greyOf } from './PlanDrawing';
import { angle, heldWords, mapWords } from './words';

const PLAQUE: Footprint = { shape: 'rectangle', width_m: 0.3, length_m: 0.2 };
const drawn = planGeometry(PLAQUE, [], 358, 400);
const box = (x: number, y: number, half: number): Box => ({ left: x - half, right: x + half, front: y - half, back: y + half });

test('a quarter turn goes from the right to the back; a whole one comes home; nothing is stretched', () => {
  const about: Point = [0.1, -0.05];
  const [x, y] = turned([0.2, -0.05], about, 90);
  expect([x, y]).toEqual([expect.closeTo(0.1, 12), expect.closeTo(0.05, 12)]);
  expect(turned([0.2, 0.3], about, 360)).toEqual([expect.closeTo(0.2, 12), expect.closeTo(0.3, 12)]);
  const far = ([px, py]: Point): number => Math.hypot(px - about[0], py - about[1]);
  expect(far(turned([0.17, 0.02], about, 33))).toBeCloseTo(far([0.17, 0.02]), 12);
});

test('the knob stands in the direction of the part, outside of it; where that is off the drawing, across from there', () => {
  const part = box(0, 0, 0.02);
  const [x, y] = knobAt(drawn, part, [0, 0], 0);
  expect(x).toBeCloseTo(drawn.x(0), 9);
  expect(drawn.y(0) - y).toBeGreaterThan(0.02 * drawn.scale);
  const [, turnedY] = knobAt(drawn, part, [0, 0], 90);
  expect(turnedY).toBeCloseTo(drawn.y(0), 9);
  expect(knobAt(drawn, part, [0, 0], 90)[0]).toBeLessThan(drawn.x(-0.02));
  const atBack = knobAt(drawn, box(0, 0.09, 0.02), [0, 0.09], 0);
  expect(atBack[1]).toBeGreaterThan(drawn.y(0.07));
});

test('and wherever a part lies, it can be reached', () => {
  for (const x of [-0.16, -0.1, 0, 0.14])
    for (const y of [-0.1, 0, 0.1])
      for (let degrees = -180; degrees < 180; degrees += 15) {
        const [kx, ky] = knobAt(drawn, box(x, y, 0.03), [x, y], degrees);
        expect(Math.min(kx, drawn.width - kx, ky, drawn.height - ky)).toBeGreaterThanOrEqual(BEAD_PX);
      }
});

test('a small part has room for a finger round its middle; a large one is taken anywhere on it', () => {
  const small = gripOf(drawn, box(0.05, 0.02, 0.001));
  expect([small.width, small.height]).toEqual([TARGET, TARGET]);
  expect([small.left + small.width / 2, small.top + small.height / 2]).toEqual([expect.closeTo(drawn.x(0.05), 9), expect.closeTo(drawn.y(0.02), 9)]);
  const large = gripOf(drawn, box(0, 0, 0.08));
  expect([large.left, large.top]).toEqual([expect.closeTo(drawn.x(-0.08), 9), expect.closeTo(drawn.y(0.08), 9)]);
  expect(large.width).toBeCloseTo(0.16 * drawn.scale, 9);
});

test('what is moved is told from the left and the front of the piece, what is turned by its angle', () => {
  const part = { size: '30 × 92 mm', turned_deg: -170 } as OwnPart;
  const still = { dx_m: 0, dy_m: 0, turn_deg: 0, guides: [] };
  expect(heldWords([part], still, [0.05, -0.06], drawn.within, 'mm')).toBe('200 mm · 40 mm');
  expect(heldWords([part], still, [0.05, -0.06], drawn.within, 'in')).toMatch(/^7 ?7\/8 in · 1 ?9\/16 in$|^7\.87 in · 1\.57 in$/);
  expect(heldWords([part], { ...still, turn_deg: -20 }, [0, 0], drawn.within, 'mm')).toBe('30 × 92 mm · 170°');
  expect(heldWords([part, part], { ...still, turn_deg: -20 }, [0, 0], drawn.within, 'mm')).toBe('turned −20°');
  expect([angle(-0.4), angle(-12.6), angle(7.4)]).toEqual(['−0°', '−13°', '7°']);
});

test('a map is read out by its deepest and its thinnest place, an even one by one figure', () => {
  const at = (depth_m: number, x_m: number, y_m: number) => ({ depth_m, x_m, y_m });
  const told = { deepest: at(0.009, 0.1, 0.05), thinnest: at(0.003, -0.15, -0.1), mean_m: 0.006 } as ToldMap;
  expect(mapWords(told, drawn.within, 'mm')).toBe(
    'Thickness from above: deepest 9 mm, 250 mm from the left and 150 mm from the front; thinnest 3 mm, 0 mm from the left and 0 mm from the front; 6 mm on the whole',
  );
  expect(mapWords({ ...told, deepest: at(0.006, 0, 0), thinnest: at(0.006, 0, 0) }, drawn.within, 'mm')).toBe('Thickness from above: 6 mm all over');
});

test('in grey a colour is as light as an eye takes it; what is no colour by its parts stays', () => {
  expect(['#000000', '#ffffff', '#00ff00', '#0000ff', '#ff0000'].map(greyOf)).toEqual(['#000000', '#ffffff', '#b6b6b6', '#121212', '#363636']);
  expect(greyOf('url(#stripes)')).toBe('url(#stripes)');
});
