import { SOFT_90, sheetsOf, slab } from '../testCases';
import { TYPICAL_FAMILIES } from '../glass/families';
import { LOG_VISCOSITY, logViscosity, temperatureAt, viscosityOf } from '../glass/viscosity';
import { diffusivity, restrainedStress, shearModulus } from '../glass/constants';
import { simulateFiring } from '../heat/simulate';
import type { SimulationResult } from '../heat/simulation';
import { simulationOf } from '../schedule/simulationOf';
import type { Segment } from '../kiln/segment';
import { type Support, plateStress } from './plate';
import { normalised, stressTimeOf } from './relaxation';
import { KELVIN_AT_0_C } from '../units/physical';

const DEPTH = 0.025;
const RATE = 13;

interface Cooling {
  depth_m?: number;
  rate_C_per_h?: number;
  openFaces?: 1 | 2;
  support?: Support;
  soak?: { at_C: number; hold_s: number };
  resolution?: { glassIntervals?: number; stepShare?: number };
}

/** Cools a slab from 560 °C, past a soak if there is one, at a steady rate to 380 °C, then faster to room. */
function cooled({ depth_m = DEPTH, rate_C_per_h = RATE, openFaces = 2, support = 'free', soak, resolution }: Cooling): SimulationResult {
  const segments: Segment[] = [
    ...(soak ? [{ rate_C_per_h: 100, target_C: soak.at_C, hold_s: soak.hold_s }] : []),
    { rate_C_per_h, target_C: 380, hold_s: 0 },
    { rate_C_per_h: 2 * rate_C_per_h, target_C: 30, hold_s: 0 },
  ];
  return simulateFiring({ ...slab(depth_m, openFaces, segments, 560), stress: { support }, resolution });
}

const stresses = ({ residual }: SimulationResult): number[] => (residual ?? []).map(({ stress_Pa }) => stress_Pa);

/** Integral of stress, and of stress times its arm, over depth, as shares of the greatest stress. */
function sums(result: SimulationResult): { force: number; moment: number } {
  const profile = result.residual ?? [];
  const depth = profile[profile.length - 1].z_m;
  const scale = Math.max(...profile.map(({ stress_Pa }) => Math.abs(stress_Pa))) * depth;
  let force = 0;
  let moment = 0;
  for (let i = 1; i < profile.length; i += 1) {
    for (const { z_m, stress_Pa } of [profile[i - 1], profile[i]]) {
      const part = (stress_Pa * (profile[i].z_m - profile[i - 1].z_m)) / 2;
      force += part;
      moment += (part * (z_m - depth / 2)) / depth;
    }
  }
  return { force: force / scale, moment: moment / scale };
}

const middleOf = (result: SimulationResult): number => {
  const list = stresses(result);
  return list[(list.length - 1) / 2];
};

const classical = (depth_m: number, rate_C_per_h: number): number =>
  restrainedStress(SOFT_90, ((rate_C_per_h / 3600) * depth_m ** 2) / (24 * diffusivity(SOFT_90)));

describe('residual stress after a slow cool with both faces open', () => {
  const usual = cooled({});

  test('is symmetric and sums to zero', () => {
    const list = stresses(usual);
    list.forEach((stress, i) => expect(Math.abs(stress - list[list.length - 1 - i])).toBeLessThan(1e-3 * Math.abs(list[0])));
    expect(Math.abs(sums(usual).force)).toBeLessThan(1e-9);
    expect(Math.abs(sums(usual).moment)).toBeLessThan(1e-9);
  });

  test('presses the skin twice as hard as it pulls the middle, within 5 %', () => {
    expect(middleOf(usual)).toBeGreaterThan(0);
    expect(Math.abs(-stresses(usual)[0] / middleOf(usual) / 2 - 1)).toBeLessThan(0.05);
  });

  test('is 1.5 to 1.8 times the classical EαRL²/(24κ(1−ν)), because the structure shrinks too', () => {
    const ratio = middleOf(usual) / classical(DEPTH, RATE);
    expect(ratio).toBeGreaterThan(1.5);
    expect(ratio).toBeLessThan(1.8);
  });

  test('is about 0.7 EαΔT in the middle, the quick estimates standing beside it by name', () => {
    const estimate = (formula: string): number => usual.estimates?.find((one) => one.formula === formula)?.stress_Pa ?? 0;
    expect(middleOf(usual) / estimate('EαΔT')).toBeCloseTo(0.7, 1);
    expect(estimate('EαΔT/(1−ν)') / estimate('EαΔT')).toBeCloseTo(1 / 0.78, 9);
    expect(Math.abs(estimate('EαRL²/(24κ(1−ν))') / classical(DEPTH, RATE) - 1)).toBeLessThan(0.05);
  });

  test.each([
    ['R', { rate_C_per_h: 2 * RATE }, 2],
    ['L²', { depth_m: DEPTH / 2 }, 1 / 4],
  ])('is proportional to %s within 5 %%', (_, change, factor) => {
    expect(Math.abs(middleOf(cooled(change)) / middleOf(usual) / factor - 1)).toBeLessThan(0.05);
  });

  test.each([
    ['mesh', { glassIntervals: 80 }],
    ['step', { stepShare: 0.5 }],
  ])('changes by under 2 %% when the %s is halved', (_, resolution) => {
    expect(Math.abs(middleOf(cooled({ resolution })) / middleOf(usual) - 1)).toBeLessThan(0.02);
  });
});

describe('a plate with one face open', () => {
  const free = cooled({ openFaces: 1 });

  test('free to bow keeps the same stress as with two within 5 %, without a moment', () => {
    expect(Math.abs(middleOf(free) / middleOf(cooled({})) - 1)).toBeLessThan(0.05);
    expect(Math.abs(sums(free).moment)).toBeLessThan(1e-9);
  });

  test('bows by micrometres over 300 mm', () => {
    const rise_m = (Math.abs(free.bow_perM ?? 0) * 0.3 ** 2) / 8;
    expect(rise_m).toBeGreaterThan(1e-9);
    expect(rise_m).toBeLessThan(1e-5);
  });

  test('held flat bears about four times as much: 0.29 and 1.17 MPa for 25 mm at 13 °C/h', () => {
    const flat = cooled({ openFaces: 1, support: 'flat' });
    expect(Math.max(...stresses(free)) / 0.29e6).toBeCloseTo(1, 1);
    expect(Math.max(...stresses(flat)) / 1.17e6).toBeCloseTo(1, 1);
    expect(Math.abs(sums(flat).force)).toBeLessThan(1e-9);
  });
});

describe('a lower soak', () => {
  const fromAnnealing = middleOf(cooled({ soak: { at_C: 515, hold_s: 4 * 3600 } }));

  test('held long enough leaves less stress than one at the annealing point', () => {
    expect(middleOf(cooled({ soak: { at_C: 482, hold_s: 4 * 3600 } }))).toBeLessThan(fromAnnealing);
  });

  test('held for half an hour leaves more', () => {
    expect(middleOf(cooled({ soak: { at_C: 482, hold_s: 1800 } }))).toBeGreaterThan(fromAnnealing);
  });

  test('at the annealing point its length hardly matters', () => {
    const longer = middleOf(cooled({ soak: { at_C: 515, hold_s: 8 * 3600 } }));
    expect(Math.abs(longer / fromAnnealing - 1)).toBeLessThan(0.02);
  });
});

describe('an imposed stress', () => {
  /**
   * Share left, after a hold, of a stress put in at once by a jump of the middle's temperature. The melt expands like
   * the solid here, so that the structure, which follows the jump slowly, puts in no strain of its own.
   */
  function left(at_C: number, hold_s: number): number {
    const glass = { ...SOFT_90, meltExpansion_perK: SOFT_90.expansion_perK };
    const height_m = new Float64Array([0, 0.0025, 0.005, 0.0075, 0.01]);
    const temperature = new Float64Array(5).fill(at_C);
    const clock = { dt_s: 1e-6 };
    const plate = plateStress(glass, height_m, temperature, 'flat', clock);
    temperature.set([at_C, at_C - 1, at_C - 2, at_C - 1, at_C]);
    plate.step();
    clock.dt_s = 10;
    const imposed = plate.stress_Pa[2];
    for (let t = 0; t < hold_s; t += 10) plate.step();
    return plate.stress_Pa[2] / imposed;
  }

  test('is under 1 % after 4 h at the strain point and after 15 min at the annealing point', () => {
    expect(Math.abs(left(temperatureAt(viscosityOf(SOFT_90), LOG_VISCOSITY.strain), 4 * 3600))).toBeLessThan(0.01);
    expect(Math.abs(left(515, 15 * 60))).toBeLessThan(0.01);
  });

  test('is mostly still there after 15 min sixty degrees under the strain point', () => {
    expect(left(428, 15 * 60)).toBeGreaterThan(0.65);
  });
});

describe('glass that has been fluid', () => {
  /** Residual tension after a history of even temperatures, one a minute, and then a quick uneven cool. */
  function after(history_C: number[], cooledFrom_C: number): number {
    const height_m = new Float64Array([0, 0.0025, 0.005, 0.0075, 0.01]);
    const temperature = new Float64Array(5).fill(history_C[0]);
    const clock = { dt_s: 60 };
    const plate = plateStress(SOFT_90, height_m, temperature, 'free', clock);
    for (const T of history_C) {
      temperature.fill(T);
      plate.step();
    }
    clock.dt_s = 30;
    for (let T = cooledFrom_C; T > 300; T -= 1) {
      temperature.set([T - 4, T - 1, T, T - 1, T - 4]);
      plate.step();
    }
    return Math.max(...plate.residual(20).stress_Pa);
  }

  test('has forgotten all that went before, to the last digit', () => {
    const gentle = after([500, 520, 540, 560, 580, 700], 600);
    expect(gentle).toBeGreaterThan(1e5);
    expect(after([20, 560, 480, 700], 600)).toBe(gentle);
  });

  test('that has not been fluid remembers', () => {
    expect(after([480, 490], 490)).not.toBe(after([530, 510, 490], 490));
  });
});

describe('relaxation', () => {
  test.each(TYPICAL_FAMILIES)('of $name goes by its own viscosity curve while structure follows, and by the glassy slope while it stands still', (glass) => {
    const { atAnnealing_s, curve_K, T0_C, glassy_K, offset } = stressTimeOf(glass);
    const kelvin = (T_C: number): number => T_C + KELVIN_AT_0_C;
    const logTime = (T_C: number, Tf_C: number): number =>
      Math.log10(atAnnealing_s) + (curve_K / (Tf_C - T0_C) + glassy_K * (1 / kelvin(T_C) - 1 / kelvin(Tf_C)) - offset) / Math.LN10;
    const vft = viscosityOf(glass);
    const onCurve = (T_C: number): number => logViscosity(vft, T_C) - Math.log10(shearModulus(glass));
    for (const above of [-40, 0, 60]) expect(logTime(glass.annealing_C + above, glass.annealing_C + above)).toBeCloseTo(onCurve(glass.annealing_C + above), 9);
    // Half of the curve's own slope, by default.
    const slope = (vft.B * kelvin(glass.annealing_C) ** 2) / (glass.annealing_C - vft.T0) ** 2;
    const further = 1 / kelvin(glass.annealing_C - 80) - 1 / kelvin(glass.annealing_C);
    expect(logTime(glass.annealing_C - 80, glass.annealing_C) - onCurve(glass.annealing_C)).toBeCloseTo(0.5 * slope * further, 9);
  });

  test('spectra are scaled to a weight and a mean of one', () => {
    const terms = normalised([
      { weight: 2, ratio: 3 },
      { weight: 6, ratio: 7 },
    ]);
    expect(terms.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 12);
    expect(terms.reduce((sum, { weight, ratio }) => sum + weight * ratio, 0)).toBeCloseTo(1, 12);
  });
});

describe('within a firing', () => {
  const segments: Segment[] = [
    { rate_C_per_h: 100, target_C: 560, hold_s: 0 },
    { rate_C_per_h: 100, target_C: 800, hold_s: 900 },
    { rate_C_per_h: null, target_C: 483, hold_s: 6000 },
    { rate_C_per_h: 14, target_C: 425, hold_s: 0 },
    { rate_C_per_h: 40, target_C: 60, hold_s: 0 },
  ];
  const firing = { ...simulationOf(sheetsOf(4, 0.006), segments), stress: { support: 'free' as const } };

  test('what happened before the work is forgotten', () => {
    const gentle = { ...firing, segments: segments.map((one, i) => (i === 0 ? { ...one, rate_C_per_h: 30 } : one)) };
    expect(Math.abs(Math.max(...stresses(simulateFiring(gentle))) / Math.max(...stresses(simulateFiring(firing))) - 1)).toBeLessThan(1e-3);
  });

  test('a faster first cool leaves more', () => {
    const fast = { ...firing, segments: segments.map((one, i) => (i === 3 ? { ...one, rate_C_per_h: 60 } : one)) };
    expect(Math.max(...stresses(simulateFiring(fast)))).toBeGreaterThan(1.5 * Math.max(...stresses(simulateFiring(firing))));
  });

  test('the heat is the same with and without it', () => {
    const { residual, bow_perM, estimates, ...heat } = simulateFiring(firing);
    expect(residual).toHaveLength(41);
    expect(bow_perM).toBeDefined();
    expect(estimates).toHaveLength(3);
    const none = { stress_max_Pa: null, stressKept_Pa: null, stressGained_Pa: null };
    expect({ ...heat, segments: heat.segments.map((one) => ({ ...one, ...none })) }).toEqual(simulateFiring({ ...firing, stress: undefined }));
  });

  test('what each segment adds sums to what is left', () => {
    const { segments: figures, residual } = simulateFiring(firing);
    const left = Math.max(...stresses({ residual } as SimulationResult));
    expect(figures.reduce((sum, { stressGained_Pa }) => sum + (stressGained_Pa ?? 0), 0) / left).toBeCloseTo(1, 9);
    expect(figures[figures.length - 1].stressKept_Pa).toBeCloseTo(left, 3);
  });

  test('followed only once the hottest segment is over, it is the same', () => {
    const late = simulateFiring({ ...firing, stress: { support: 'free', from: 'hottest' } });
    expect(Math.max(...stresses(late)) / Math.max(...stresses(simulateFiring(firing)))).toBeCloseTo(1, 9);
    expect(late.segments[0].stressKept_Pa).toBeNull();
  });

  test('asked for both, the free one comes with its upper bound', () => {
    const both = simulateFiring({ ...firing, stress: { support: 'both' } });
    const flat = simulateFiring({ ...firing, stress: { support: 'flat' } });
    expect(both.residual).toEqual(simulateFiring(firing).residual);
    expect(both.residualFlat).toEqual(flat.residual);
  });
});
