import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { TYPICAL_KILN } from '@torvin/core/kiln';
import type { Shaping } from '@torvin/core/look';
import { DEFAULT_LIMITS, type FiringCase, type GlassAt, compose, evaluate, glassInTime, setUpOf } from '@torvin/core/schedule';
import { type TimedBody, timedSection } from './inTime';

const SHAPINGS: { hollow: Shaping; former: Shaping } = {
  hollow: { kind: 'hollow', span_m: 0.17, depth_m: 0.02 },
  former: { kind: 'former', overhang_m: 0.05, drop_m: 0.03 },
};
const layers = [{ name: 'Clear', colour: '#eee', thickness_m: 0.006 }];

function followed(look: 'slump' | 'drape', shaping: Shaping): { at: (share: number) => GlassAt; body: TimedBody } {
  const firing: FiringCase = {
    body: {
      glasses: [TYPICAL_FAMILIES[0]],
      layers: [{ form: 'sheet', glass: 0, thickness_m: 0.006 }],
      footprint: { shape: 'disc', diameter_m: 0.18 },
      joined: true,
    },
    setup: setUpOf({ kind: look === 'slump' ? 'inMould' : 'overFormer', paper: false, shaping }),
    ...{ kiln: TYPICAL_KILN, look, school: { soak: 'auto', heat: 'cooler' } as const, limits: DEFAULT_LIMITS },
  };
  const composed = compose(firing);
  if (!composed.ok) throw new Error(composed.problem.message);
  const evaluation = evaluate(firing, composed.value.segments, true);
  const inTime = glassInTime(firing, evaluation);
  if (!inTime) throw new Error('No series.');
  const at = (share: number): GlassAt => inTime(share * evaluation.simulation.total_s);
  return { at, body: { span_m: 0.18, layers, shaping, isSolid: () => true, end: at(1) } };
}

const box = { width: 380, height: 150 };
const heights = (path: string): number[] => [...path.matchAll(/[ML][\d.-]+ ([\d.-]+)/g)].map(([, y]) => Number(y));

test('a blank lies on the rim of its mould while it is cold, and in it at the end, on one scale', () => {
  const { at, body } = followed('slump', SHAPINGS.hollow);
  const [cold, done] = [0, 1].map((share) => timedSection(body, at(share), box));
  expect(cold.drawn.exaggeration).toBe(done.drawn.exaggeration);
  const rim = cold.drawn.y(0.02);
  // The underside of the cold blank is level with the rim all along; at the end its middle lies on the shelf.
  expect(Math.max(...heights(cold.glass[0].path))).toBeCloseTo(rim, 0);
  expect(Math.max(...heights(done.glass[0].path))).toBeCloseTo(done.drawn.y(0), 0);
  expect(cold.form).not.toBeNull();
});

test('what stands out over a former hangs down as far as it is to go', () => {
  const { at, body } = followed('drape', SHAPINGS.former);
  const done = timedSection(body, at(1), box);
  expect(Math.max(...heights(done.glass[0].path))).toBeCloseTo(done.drawn.y(0), 0);
  expect(Math.min(...heights(timedSection(body, at(0), box).glass[0].path))).toBeCloseTo(done.drawn.y(0.036), 0);
});

test('grains are beads until they have run together, then a film as wide as the body and as deep as there is glass', () => {
  const { at, body } = followed('slump', SHAPINGS.hollow);
  const strewn: TimedBody = {
    ...{ ...body, shaping: undefined, isSolid: () => false },
    layers: [...layers, { name: 'Rose', colour: '#c68', thickness_m: 0.002, form: 'frit', cover: 0.5 }],
  };
  const flat = { ...at(0), down: null, shape: { ...at(0).shape, crown_m: 0, depth_m: 0.007, rim_m: 0 } };
  const area = (path: string): number => {
    const points = [...path.matchAll(/[ML]([\d.-]+) ([\d.-]+)/g)].map(([, px, py]) => [Number(px), Number(py)]);
    return Math.abs(points.reduce((sum, [px, py], i) => sum + px * points[(i + 1) % points.length][1] - points[(i + 1) % points.length][0] * py, 0) / 2);
  };
  const grains = (film: number) => timedSection(strewn, { ...flat, film, lain: null }, box);
  const beads = grains(0).glass.filter(({ layer }) => layer === 1);
  const film = grains(1);
  const { x, y } = film.drawn;
  const filmArea = film.glass.filter(({ layer }) => layer === 1).reduce((sum, { path }) => sum + area(path), 0);
  const ofFilm = (x(0.09) - x(-0.09)) * (y(0) - y(0.001));
  expect(beads.length).toBeGreaterThan(5);
  expect(filmArea).toBeCloseTo(ofFilm, -1.5);
  // Round ones fill π/4 of their boxes, and half of the outline is free between them.
  expect(beads.reduce((sum, { path }) => sum + area(path), 0) / ofFilm).toBeGreaterThan(0.7);
  expect(beads.reduce((sum, { path }) => sum + area(path), 0) / ofFilm).toBeLessThan(0.95);
  const widest = ({ path }: { path: string }): number => Math.max(...[...path.matchAll(/[ML]([\d.-]+)/g)].map(([, px]) => Number(px)));
  // Between beads there is nothing.
  const [one, next] = beads;
  expect(Number(/M([\d.-]+)/.exec(next.path)?.[1])).toBeGreaterThan(widest(one) + 1);
});

test('sheets that have not lain down are drawn apart, what is one solid never', () => {
  const { at, body } = followed('slump', SHAPINGS.hollow);
  const two = { ...body, shaping: undefined, layers: [...layers, ...layers] };
  const flat = { ...at(0), down: null, shape: { ...at(0).shape, crown_m: 0, depth_m: 0.012, rim_m: 0 } };
  const gap = (isSolid: boolean, lain: number | null): number => {
    const { glass } = timedSection({ ...two, isSolid: () => isSolid }, { ...flat, lain }, box);
    return Math.min(...heights(glass[0].path)) - Math.max(...heights(glass[1].path));
  };
  expect(gap(false, 0)).toBeCloseTo(3, 0);
  expect(gap(false, 1)).toBeCloseTo(0, 0);
  expect(gap(false, null)).toBeCloseTo(0, 0);
  expect(gap(true, 0)).toBeCloseTo(0, 0);
});

test('parts stand as long as their relief is left', () => {
  const { at, body } = followed('slump', SHAPINGS.hollow);
  const stood = { ...body, layers: [...layers, { name: 'Rose', colour: '#c68', thickness_m: 0.003, form: 'pieces' as const, cover: 0.2, count: 3 }] };
  const now = { ...at(0), shape: { ...at(0).shape, relief_m: 0.003 } };
  expect(timedSection(stood, now, box).glass).toHaveLength(4);
  expect(timedSection(stood, { ...now, shape: { ...now.shape, relief_m: 0 } }, box).glass).toHaveLength(1);
});

test('in a form of the shelf it lies on the form itself at its end, never under it, and what stood over its rim has slid in', () => {
  const { at, body } = followed('slump', { kind: 'hollow', span_m: 0.17, depth_m: 0.02 });
  const form = { use: 'hollow', plan: 'round', across_m: 0.17, deep_m: 0.02, floor_m: 0.1, thick_m: 0.008, material: 'earthenware' } as const;
  const inForm: TimedBody = { ...body, form };
  const [cold, half, done] = [0, 0.42, 1].map((share) => timedSection(inForm, at(share), box));
  const { x, y } = done.drawn;
  const surface = (px: number): number => {
    const out = Math.abs((px - x(0)) / (x(1) - x(0)));
    return y(0.008 + (0.02 * Math.max(out - 0.05, 0)) / 0.035);
  };
  const points = (path: string): [number, number][] => [...path.matchAll(/[ML]([\d.-]+) ([\d.-]+)/g)].map(([, px, py]) => [Number(px), Number(py)]);
  for (const one of [cold, half, done])
    for (const [px, py] of points(one.glass[0].path)) if (Math.abs(px - x(0)) < x(0.085) - x(0)) expect(py).toBeLessThan(surface(px) + 0.6);
  const wide = (path: string): number => Math.max(...points(path).map(([px]) => px)) - Math.min(...points(path).map(([px]) => px));
  expect(wide(cold.glass[0].path) / wide(done.glass[0].path)).toBeCloseTo(0.18 / 0.17, 2);
  expect(Math.max(...heights(done.glass[0].path))).toBeCloseTo(y(0.008), 0);
});

test('over a form of the shelf a skirt keeps its length while it comes down', () => {
  const { at, body } = followed('drape', SHAPINGS.former);
  const form = { use: 'former', plan: 'round', across_m: 0.08, deep_m: 0.07, thick_m: 0.002, material: 'stainless' } as const;
  const timed = (share: number) => timedSection({ ...body, form }, at(share), box);
  const underside = (path: string): [number, number][] => {
    const all = [...path.matchAll(/[ML]([\d.-]+) ([\d.-]+)/g)].map(([, px, py]): [number, number] => [Number(px), Number(py)]);
    return all.slice(all.length / 2);
  };
  const long = (path: string): number =>
    underside(path).reduce((sum, [px, py], i, all) => (i === 0 ? 0 : sum + Math.hypot(px - all[i - 1][0], py - all[i - 1][1])), 0);
  const [cold, done] = [timed(0), timed(1)];
  expect(cold.drawn.exaggeration).toBe(1);
  expect(long(done.glass[0].path) / long(cold.glass[0].path)).toBeCloseTo(1, 1.5);
  // 30 mm of its skirt's 50.
  expect(Math.max(...heights(done.glass[0].path))).toBeCloseTo(done.drawn.y(0.07 - 0.03), -0.7);
});
