import { TYPICAL_FAMILIES } from './families';
import { regimesOf } from '../heat/regimes';
import { glassStates, stateAt, stateBegins } from './states';
import { SODA_LIME_A, fluidity, isPlausible, logViscosity, temperatureAt, vftThrough, viscosityOf } from './viscosity';

describe('log10 η = A + B/(T − T0)', () => {
  const soft = vftThrough(515, 680);

  test('annealing 515 and softening 680 settle B and T0', () => {
    expect(soft.B).toBeCloseTo(4104, 0);
    expect(soft.T0).toBeCloseTo(233.9, 1);
  });

  test.each([
    [488, 13.55],
    [515, 12],
    [650, 7.26],
    [680, 6.6],
    [720, 5.84],
    [800, 4.65],
  ])('at %s °C reads %s', (temperature, expected) => {
    expect(logViscosity(soft, temperature)).toBeCloseTo(expected, 2);
  });

  test.each(TYPICAL_FAMILIES.map((family) => [family.name, family] as const))('%s passes through both its points', (_, family) => {
    const vft = viscosityOf(family);
    expect(logViscosity(vft, family.annealing_C)).toBeCloseTo(12, 9);
    expect(logViscosity(vft, family.softening_C)).toBeCloseTo(6.6, 9);
    expect(temperatureAt(vft, 9)).toBeCloseTo(temperatureAt(vft, logViscosity(vft, temperatureAt(vft, 9))), 9);
  });

  test('fluidity is its reciprocal, and zero where the formula ends', () => {
    expect(fluidity(soft, 700)).toBeCloseTo(10 ** -logViscosity(soft, 700), 15);
    expect(fluidity(soft, 200)).toBe(0);
    expect(logViscosity(soft, 200)).toBe(Infinity);
  });
});

describe('more points than two', () => {
  const two = TYPICAL_FAMILIES[0];

  test('a fluid point settles A: the curve passes through all three', () => {
    const known = { A: -2.1, B: 3700, T0: 245 };
    const at = (logEta: number): number => temperatureAt(known, logEta);
    const curve = viscosityOf({ ...two, annealing_C: at(12), softening_C: at(6.6), fluidPoint: { temperature_C: at(3), logEta: 3 } });
    expect(curve.A).toBeCloseTo(known.A, 9);
    expect(curve.B).toBeCloseTo(known.B, 6);
    expect(curve.T0).toBeCloseTo(known.T0, 9);
  });

  test('one that contradicts the other two is not plausible', () => {
    expect(isPlausible(viscosityOf({ ...two, fluidPoint: { temperature_C: 900, logEta: 4 } }))).toBe(true);
    expect(isPlausible(viscosityOf({ ...two, fluidPoint: { temperature_C: 700, logEta: 2 } }))).toBe(false);
    expect(isPlausible(viscosityOf({ ...two, fluidPoint: { temperature_C: 1690, logEta: 4 } }))).toBe(false);
  });

  test('a strain point that agrees changes nothing, one five degrees off pulls A by less than its spread', () => {
    const agreeing = temperatureAt(viscosityOf(two), 13.5);
    expect(viscosityOf({ ...two, strain_C: agreeing }).A).toBeCloseTo(SODA_LIME_A, 6);
    for (const off of [-5, 5]) {
      const { A } = viscosityOf({ ...two, strain_C: agreeing + off });
      expect(Math.abs(A - SODA_LIME_A)).toBeGreaterThan(0.001);
      expect(Math.abs(A - SODA_LIME_A)).toBeLessThan(0.5);
    }
  });

  test('a degree of error in a strain point alone would move A by more than half: that is why it only leans', () => {
    const exact = temperatureAt(vftThrough(515, 680, -2.1), 13.5) - temperatureAt(vftThrough(515, 680, -3.1), 13.5);
    expect(Math.abs(1 / exact)).toBeGreaterThan(0.5);
  });
});

describe('states of glass', () => {
  const states = glassStates(TYPICAL_FAMILIES[0]);

  test('cover every temperature once, in rising order', () => {
    expect(states[0].from_C).toBe(-Infinity);
    expect(states[states.length - 1].to_C).toBe(Infinity);
    for (let i = 1; i < states.length; i += 1) expect(states[i].from_C).toBe(states[i - 1].to_C);
    expect(states.every((state) => state.to_C > state.from_C)).toBe(true);
  });

  test('begin where the record says, and limits follow', () => {
    const late = { ...TYPICAL_FAMILIES[0], thresholds: { softens: 10.6 } };
    expect(stateBegins(late, 'softens')).toBeCloseTo(temperatureAt(viscosityOf(late), 10.6), 9);
    expect(regimesOf(late, viscosityOf(late)).brittle_C).toBeGreaterThan(regimesOf(TYPICAL_FAMILIES[0], viscosityOf(TYPICAL_FAMILIES[0])).brittle_C);
    expect(stateBegins(late, 'sticks')).toBe(stateBegins(TYPICAL_FAMILIES[0], 'sticks'));
  });

  test.each([
    [20, 'set'],
    [500, 'anneals'],
    [640, 'bends'],
    [720, 'sticks'],
    [790, 'levels'],
    [850, 'runs'],
  ])('at %s °C soft sheet %s', (temperature, name) => {
    expect(stateAt(states, temperature).name).toBe(name);
  });
});
