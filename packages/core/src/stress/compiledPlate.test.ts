/** The compiled plate and the plain one: the same bits, step by step. */
import { familyOfId } from '../testCases';
import { compiledPlate } from './compiledPlate';
import { plainPlate } from './plainPlate';

/** A course through all that a node can go through: stiff, relaxing, fluid, and back; each node at a heat of its own. */
const at = (t: number, i: number, n: number): number => {
  const kiln =
    t < 60 ? 20 + 13 * t : t < 80 ? 800 : t < 100 ? 800 - 16 * (t - 80) : t < 130 ? 480 : t < 190 ? 480 - 2 * (t - 130) : Math.max(20, 360 - 6 * (t - 190));
  return kiln - 30 * Math.sin((0.9 * i) / n) * Math.exp(-Math.abs(t - 90) / 60);
};

function run(glassId: string, n: number, support: 'free' | 'flat', dt_s: number) {
  const clock = { dt_s };
  const height_m = Float64Array.from({ length: n }, (_, i) => (0.025 * i) / (n - 1));
  const temperature = Float64Array.from(height_m, (_, i) => at(0, i, n));
  const glass = familyOfId(glassId);
  const [plain, compiled] = [plainPlate(glass, height_m, temperature, support, clock), compiledPlate(glass, height_m, temperature, support, clock)];
  if (compiled === null) throw new Error('Nothing is compiled here.');
  const goTo = (t: number): void => {
    for (let i = 0; i < n; i += 1) temperature[i] = at(t, i, n);
    clock.dt_s = dt_s * (1 + (t % 3));
  };
  return { plain, compiled, goTo };
}

describe.each([
  ['soft-90', 41, 'free', 180],
  ['boro-33', 40, 'free', 30],
  ['lead-crystal', 7, 'flat', 600],
] as const)('%s, %i nodes, %s, from %i s', (glassId, n, support, dt_s) => {
  test('have the same stress to the last bit after every step, the same tension, and leave the same', () => {
    const { plain, compiled, goTo } = run(glassId, n, support, dt_s);
    for (let t = 1; t < 260; t += 1) {
      goTo(t);
      plain.step();
      compiled.step();
      expect([t, ...compiled.stress_Pa]).toEqual([t, ...plain.stress_Pa]);
      expect(compiled.tension_Pa).toBe(plain.tension_Pa);
    }
    expect(compiled.residual(20)).toEqual(plain.residual(20));
    expect(Math.max(...compiled.residual(20).stress_Pa)).toBeGreaterThan(1e4);
    compiled.release?.();
  });

  test('go on where the other left off', () => {
    const { plain, compiled, goTo } = run(glassId, n, support, dt_s);
    const both = [plain, compiled];
    for (let t = 1; t < 260; t += 1) {
      goTo(t);
      both.forEach((one) => one.step());
      if (t % 37 === 0) {
        const [ofPlain, ofCompiled] = both.map((one) => one.save());
        plain.restore(ofCompiled);
        compiled.restore(ofPlain);
      }
    }
    expect([...compiled.stress_Pa]).toEqual([...plain.stress_Pa]);
    compiled.release?.();
  });
});

test('a memory that has served another plate is taken again clean', () => {
  const first = run('boro-33', 61, 'free', 60);
  for (let t = 1; t < 200; t += 1) {
    first.goTo(t);
    first.compiled.step();
  }
  first.compiled.release?.();
  const { plain, compiled, goTo } = run('soft-90', 21, 'free', 60);
  for (let t = 1; t < 200; t += 1) {
    goTo(t);
    plain.step();
    compiled.step();
  }
  expect([...compiled.stress_Pa]).toEqual([...plain.stress_Pa]);
});

test('more terms than there is room for are left to the plain one', () => {
  const glass = familyOfId('soft-90');
  const terms = Array.from({ length: 13 }, (_, i) => ({ weight: 1 / 13, ratio: i + 1 }));
  const relaxation = { stress: terms, structure: terms, structureOverStress: 9, nonLinearity: 0.5 };
  expect(compiledPlate({ ...glass, relaxation }, new Float64Array([0, 0.01]), new Float64Array(2), 'free', { dt_s: 1 })).toBeNull();
});
