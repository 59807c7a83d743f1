import { TYPICAL_FAMILIES } from '../glass/families';
import { logViscosity, viscosityOf } from '../glass/viscosity';
import { METRIC } from '../units/convert';
import type { JourneyStep } from './document';
import { type Turn, facesHazed, heatOf, heatWords, turnOf } from './heatSoFar';

const glass = TYPICAL_FAMILIES[0];
const body = {
  glasses: [glass],
  layers: [{ form: 'sheet' as const, glass: 0, thickness_m: 0.006 }],
  footprint: { shape: 'disc' as const, diameter_m: 0.2 },
  joined: true,
};
const turn = (more: Partial<Turn> = {}): Turn => ({ haze_s: 600, hazeBears_s: 28800, stress_Pa: 2e5, work_perPa: 0.02, ...more });

test('haze and heat of all turns are summed, the stress is that of the last', () => {
  // As long at the temperature that is named as the work asks for by the viscosity there.
  const words = heatWords([turn(), turn({ haze_s: 900, stress_Pa: 1.1e5, work_perPa: 0.03 })], body, METRIC);
  expect(words[0]).toBe('Devit so far: 25 min (limit 480).');
  expect(words[2]).toBe('Stress left by its last firing: 0.11 MPa.');
  const [, minutes, at_C] = /: (\d+) min at (\d+) °C/.exec(words[1]) ?? [];
  expect((Number(minutes) * 60) / 10 ** logViscosity(viscosityOf(glass), Number(at_C))).toBeCloseTo(0.05, 2);
  expect(Number(at_C)).toBeGreaterThan(760);
  expect(Number(at_C)).toBeLessThan(820);
});

test('in the units of the studio, and nothing of what no firing has met or does not haze', () => {
  const words = heatWords([turn({ haze_s: null, hazeBears_s: null })], body, { ...METRIC, temperature: 'F', length: 'in' });
  expect(words).toHaveLength(2);
  expect(words[0]).toMatch(/ min at 1\d\d\d °F\.$/);
  expect(words[1]).toMatch(/ psi\.$/);
  expect(heatWords([], body, METRIC)).toEqual([]);
});

test('a turn is read from what the engine said of it', () => {
  const reading = { segment: 0, ok: true, unit: 's' };
  const readings = [
    { ...reading, limit: 'haze', value: 300, allowed: 28800 },
    { ...reading, limit: 'residual', value: 1.5e5, allowed: 5e5, unit: 'Pa' },
  ] as never;
  expect(turnOf({ readings, work_perPa: { mean: 0.01 } as never })).toEqual({ haze_s: 300, hazeBears_s: 28800, stress_Pa: 1.5e5, work_perPa: 0.01 });
});

describe('haze that was taken off', () => {
  const fire = (id: string) => ({ id, kind: 'fire' }) as JourneyStep;
  const blast = (cover: number, face: 'up' | 'down' = 'up') => ({ id: 'b', kind: 'blast', face, depth_m: 0.00005, cover }) as JourneyStep;
  const over = { id: 't', kind: 'turn' } as JourneyStep;
  const of = (...steps: JourneyStep[]) => Object.fromEntries(facesHazed(steps));

  test('is gone from that face alone, and comes again with the next firing', () => {
    expect(of(fire('a'), blast(1), fire('b'))).toEqual({ a: ['down'], b: ['up', 'down'] });
    expect(of(fire('a'), blast(0.5))).toEqual({ a: ['up', 'down'] });
    expect(of(fire('a'), { id: 'g', kind: 'grind', at: 'down', depth_m: 1e-4 } as JourneyStep)).toEqual({ a: ['up'] });
    expect(of(fire('a'), { id: 'g', kind: 'grind', at: 'rim', depth_m: 1e-4 } as JourneyStep)).toEqual({ a: ['up', 'down'] });
  });

  test('goes over with the piece: blasted, turned and blasted again it has none', () => {
    expect(of(fire('a'), blast(1), over)).toEqual({ a: ['up'] });
    expect(of(fire('a'), blast(1), over, blast(1))).toEqual({ a: [] });
  });

  test('is told for each face, and what is kept of the piece has the worse one', () => {
    const turns = [
      { ...turn(), on: ['down'] as const },
      { ...turn({ haze_s: 900 }), on: ['up', 'down'] as const },
    ];
    expect(heatWords(turns, body, METRIC)[0]).toBe('Devit so far: 15 min on the fire face, 25 min on the shelf face (limit 480).');
    expect(heatOf(turns, [])?.haze_s).toBe(1500);
    expect(heatOf([{ ...turn(), on: [] }], [])?.haze_s).toBe(0);
  });
});
