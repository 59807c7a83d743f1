import { TYPICAL_FAMILIES } from './families';
import { glassStates, stateAt } from './states';
import { fluidity, logViscosity, temperatureAt, vftThrough, viscosityOf } from './viscosity';

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

describe('states of glass', () => {
  const states = glassStates(vftThrough(515, 680));

  test('cover every temperature once, in rising order', () => {
    expect(states[0].from_C).toBe(-Infinity);
    expect(states[states.length - 1].to_C).toBe(Infinity);
    for (let i = 1; i < states.length; i += 1) expect(states[i].from_C).toBe(states[i - 1].to_C);
    expect(states.every((state) => state.to_C > state.from_C)).toBe(true);
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
