import { type FormShape, formSection } from '@torvin/core/form';
import type { DrawnBody } from '@torvin/core/piece';
import { firedSection } from './fired';
import { drawnForm } from './formGeometry';
import { type TimedBody, timedSection } from './inTime';

const box = { width: 380, height: 150 };
type Point = readonly [number, number];
const pointsOf = (path: string): Point[] => [...path.matchAll(/[ML]([-\d.]+) ([-\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const);

/** Repeatable: a fraction from 0 to 1 for each call. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 2 ** 32;
    return state / 2 ** 32;
  };
}

const within = (random: () => number, least: number, most: number): number => least + random() * (most - least);

interface Pair {
  form: FormShape;
  span_m: number;
  thickness_m: number;
  of_m: number;
}

function hollowPair(random: () => number): Pair {
  const across_m = within(random, 0.08, 0.4);
  const deep_m = within(random, 0.008, 0.3 * across_m);
  const form: FormShape = {
    ...{ use: 'hollow', plan: 'round', across_m, deep_m, material: 'earthenware', thick_m: within(random, 0.004, 0.012) },
    ...(random() < 0.5 ? { floor_m: across_m * within(random, 0.3, 0.95) } : {}),
  };
  return { form, span_m: across_m * within(random, 0.7, 1.15), thickness_m: within(random, 0.003, 0.012), of_m: deep_m };
}

function formerPair(random: () => number): Pair {
  const across_m = within(random, 0.06, 0.2);
  const deep_m = within(random, 0.04, 0.18);
  const form: FormShape = {
    ...{ use: 'former', plan: 'round', across_m, deep_m, material: 'stainless', thick_m: 0.002 },
    ...(random() < 0.5 ? { floor_m: across_m * within(random, 1, 1.6) } : {}),
  };
  const span_m = across_m * within(random, 1.1, 2.2);
  return { form, span_m, thickness_m: within(random, 0.003, 0.009), of_m: Math.min(deep_m, (span_m - across_m) / 2) * within(random, 0.3, 0.98) };
}

/** How far, m, a point lies within what is solid of the form, measured up to its surface; 0 outside. */
function depthWithin(form: FormShape): (point: Point) => number {
  const edges = formSection(form, 'across').solids.map((solid) => solid.map((from, i) => [from, solid[(i + 1) % solid.length]] as const));
  const crossing = ([[x0, z0], [x1, z1]]: readonly [Point, Point], x: number): number =>
    (x0 - x) * (x1 - x) > 0 || x0 === x1 ? -Infinity : z0 + ((x - x0) / (x1 - x0)) * (z1 - z0);
  const isIn = (sides: readonly (readonly [Point, Point])[], [x, z]: Point): boolean => {
    let inside = false;
    for (const [[x0, z0], [x1, z1]] of sides) if (z0 > z !== z1 > z && x < x0 + ((z - z0) / (z1 - z0)) * (x1 - x0)) inside = !inside;
    return inside;
  };
  return (point) => {
    if (!edges.some((sides) => isIn(sides, point))) return 0;
    let highest = -Infinity;
    for (const sides of edges) for (const side of sides) highest = Math.max(highest, crossing(side, point[0]));
    return Math.max(highest - point[1], 0);
  };
}

describe('in no frame does glass pass through its form', () => {
  const random = seeded(7);
  test.each(Array.from({ length: 100 }, (_, i) => [i]))('pair %i of a mould and of a former', () => {
    for (const { form, span_m, thickness_m, of_m } of [hollowPair(random), formerPair(random)]) {
      const layers = [{ name: 'Clear', colour: '#eee', thickness_m }];
      const shape = { width_m: span_m, depth_m: thickness_m, rim_m: 0, relief_m: 0, crown_m: 0 };
      const shaping =
        form.use === 'hollow'
          ? ({ kind: 'hollow', span_m: form.across_m, depth_m: of_m } as const)
          : ({ kind: 'former', overhang_m: (span_m - form.across_m) / 2, drop_m: of_m } as const);
      const at = (share: number) => ({ shape, down: { by_m: share * of_m, of_m }, relief: null, film: null, lain: null, edges: 1 });
      const body: TimedBody = { span_m, layers, shaping, form, isSolid: () => true, end: at(1) };
      const inside = depthWithin(form);
      for (const share of [0, 0.2, 0.5, 0.8, 1]) {
        const { drawn, glass } = timedSection(body, at(share), box);
        const metres = ([px, py]: Point): Point => [(px - drawn.x(0)) / (drawn.x(1) - drawn.x(0)), (drawn.y(0) - py) / (drawn.y(0) - drawn.y(1))];
        // Half a pixel, which is what a path is rounded to, and a wall seen at a slant.
        const least = 1.5 / (drawn.y(0) - drawn.y(1));
        for (const { path } of glass) for (const point of pointsOf(path)) expect(inside(metres(point))).toBeLessThan(least);
      }
    }
  });
});

test('nor does it where a form is drawn with its measures and the glass on its way into it or over it', () => {
  const random = seeded(11);
  for (let pair = 0; pair < 40; pair++) {
    for (const { form, span_m, thickness_m } of [hollowPair(random), formerPair(random)]) {
      const inside = depthWithin(form);
      for (const down of [0, 0.3, 0.7, 1]) {
        const { lying, x, y, pxPerMetre } = drawnForm(form, box, { width_m: span_m, layers: [{ thickness_m, colour: '#eee' }], down });
        // A path is told in tenths of a pixel: on a steep side that is much of its height.
        const metres = ([px, py]: Point): Point => [(px - x(0) + 0.1 * Math.sign(px - x(0))) / pxPerMetre, (y(0) - py) / pxPerMetre];
        const deepest = Math.max(...lying.flatMap(({ path }) => pointsOf(path).map((point) => inside(metres(point)))));
        expect({ pair, use: form.use, down, isIn: deepest > 1.5 / pxPerMetre }).toEqual({ pair, use: form.use, down, isIn: false });
      }
    }
  }
});

const layers = [{ name: 'Clear', colour: '#eee', thickness_m: 0.006 }];
const body = (more: Partial<DrawnBody>): DrawnBody => ({ footprint: { shape: 'disc', diameter_m: 0.3 }, layers, bent: null, ran: null, ...more });

test('what was bent in a form of the studio is drawn in that form; by its measures alone in one of those', () => {
  const form: FormShape = { use: 'hollow', plan: 'round', across_m: 0.3, deep_m: 0.05, material: 'earthenware', thick_m: 0.008 };
  const shaping = { kind: 'hollow', span_m: 0.3, depth_m: 0.05 } as const;
  const [own, told] = [form, undefined].map((one) => firedSection(body({ bent: { shaping, down_m: 0.05, ...(one ? { form: one } : {}) } }), box));
  expect(own?.form).not.toBe(told?.form);
  for (const one of [own, told]) {
    expect(one?.form).toMatch(/^M/);
    const ys = pointsOf(one!.glass[0].path).map(([, y]) => y);
    expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan((one!.drawn.y(0) - one!.drawn.y(0.05)) * 0.9);
  }
});

test('half-way down it is drawn half-way down', () => {
  const shaping = { kind: 'former', overhang_m: 0.06, drop_m: 0.06 } as const;
  const edge = (down_m: number): number => {
    const { drawn, glass } = firedSection(body({ bent: { shaping, down_m } }), box)!;
    return (drawn.y(0) - Math.max(...pointsOf(glass[0].path).map(([, y]) => y))) / (drawn.y(0) - drawn.y(1));
  };
  expect(edge(0.06)).toBeCloseTo(0, 2);
  expect(edge(0.03)).toBeCloseTo(0.03, 2);
});

test('a casting fills its mould: level at the top, thinner at its sides, within the walls', () => {
  const { drawn, glass, form } = firedSection(body({ layers: [{ ...layers[0], thickness_m: 0.04 }], ran: { as: 'cast', thin_m: 0.01, wall_m: 0.025 } }), box)!;
  const glassPoints = pointsOf(glass[0].path);
  expect(Math.min(...glassPoints.map(([, y]) => y))).toBeCloseTo(drawn.y(0.065), 0);
  const side = glassPoints.filter(([x]) => Math.abs(x - drawn.x(0.149)) < 4).map(([, y]) => y);
  expect((Math.max(...side) - Math.min(...side)) / (drawn.y(0) - drawn.y(0.01))).toBeCloseTo(1, 0);
  const xs = pointsOf(form!).map(([x]) => x);
  expect(Math.max(...xs)).toBeCloseTo(drawn.x(0.175), 0);
});

test('a puddle has a round rim, what was only joined is left to the plain drawing', () => {
  const { drawn, glass } = firedSection(body({ ran: { as: 'puddle' } }), box)!;
  const atRim = pointsOf(glass[0].path)
    .filter(([x]) => Math.abs(x - drawn.x(0.15)) < 0.5)
    .map(([, y]) => y);
  const middle = pointsOf(glass[0].path)
    .filter(([x]) => Math.abs(x - drawn.x(0)) < 4)
    .map(([, y]) => y);
  expect(Math.max(...atRim) - Math.min(...atRim)).toBeLessThan(0.8 * (Math.max(...middle) - Math.min(...middle)));
  expect(firedSection(body({}), box)).toBeNull();
});
