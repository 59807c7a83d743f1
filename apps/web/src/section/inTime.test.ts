import {
  DEFAULT_LIMITS,
  type FiringCase,
  type GlassAt,
  type Shaping,
  TYPICAL_FAMILIES,
  TYPICAL_KILN,
  compose,
  evaluate,
  glassInTime,
  setUpOf,
} from '@torvin/core';
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
  return { at, body: { span_m: 0.18, layers, shaping, end: at(1) } };
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

test('parts stand as long as their relief is left', () => {
  const { at, body } = followed('slump', SHAPINGS.hollow);
  const stood = { ...body, layers: [...layers, { name: 'Rose', colour: '#c68', thickness_m: 0.003, form: 'pieces' as const, cover: 0.2, count: 3 }] };
  const now = { ...at(0), shape: { ...at(0).shape, relief_m: 0.003 } };
  expect(timedSection(stood, now, box).glass).toHaveLength(4);
  expect(timedSection(stood, { ...now, shape: { ...now.shape, relief_m: 0 } }, box).glass).toHaveLength(1);
});
