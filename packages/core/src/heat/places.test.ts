/** A place that runs behind, and another shelf over the glass, held against closed forms. */
import { SOFT_90, slab } from '../testCases';
import { BARE_SHELF, roofOver, underShelf } from '../schedule/setups';
import { gapConductance } from './airGaps';
import { exchange } from './exchange';
import { rememberingSimulator } from './joints';
import { simulateFiring } from './simulate';
import type { SimulationInput } from './simulation';

const R = 60 / 3600;
const ramp = (hold_s = 0) => [{ rate_C_per_h: 60, target_C: 400, hold_s }];
const skinOf = (input: SimulationInput): number => simulateFiring({ ...input, series: true }).series!.skin_C.at(-1)!;

test.each([60, 300, 900])('a place %d s behind is R·τ cooler at the end of a long ramp, and e times nearer after each τ of a hold', (placeLag_s) => {
  const thin = (hold_s: number): SimulationInput => ({ ...slab(0.001, 2, ramp(hold_s)), placeLag_s });
  const behind = (hold_s: number): number => skinOf({ ...thin(hold_s), placeLag_s: 0 }) - skinOf(thin(hold_s));
  expect(behind(0) / (R * placeLag_s)).toBeCloseTo(1, 2);
  expect(behind(placeLag_s) / behind(0)).toBeCloseTo(1 / Math.E, 2);
  // Nothing of it is lost on the way: what crossed is what is stored.
  const { energy } = simulateFiring(thin(0));
  expect(energy.stored_J_m2 / energy.crossed_J_m2).toBeCloseTo(1, 6);
});

test('and is found again from a joint', () => {
  const input: SimulationInput = { ...slab(0.006, 1, [...ramp(600), { rate_C_per_h: 40, target_C: 300, hold_s: 0 }]), placeLag_s: 400 };
  const simulate = rememberingSimulator();
  simulate(input);
  const changed = { ...input, segments: [input.segments[0], { ...input.segments[1], rate_C_per_h: 80 }] };
  const { segments } = simulate(changed);
  expect(simulate.startedAt()).toBe(1);
  expect(segments).toEqual(simulateFiring(changed).segments);
});

describe('under another shelf', () => {
  const roofed = underShelf(BARE_SHELF);
  const over = roofOver(roofed);
  const open = BARE_SHELF.faces.top;
  const glass_m = 0.006;
  const plain: SimulationInput = {
    glass: SOFT_90,
    stack: [{ of: 'glass', thickness_m: glass_m }],
    faces: { top: open, bottom: { kind: 'insulated' } },
    segments: ramp(),
  };
  const shaded: SimulationInput = { ...plain, stack: [...plain.stack, ...over] };

  test('on a steady ramp the skin lags by what crosses the air and the shelf over their conductances', () => {
    const ofGlass = SOFT_90.density_kg_m3 * SOFT_90.heatCapacity_J_kgK * glass_m;
    const { shelf, free_m } = roofed.roof!;
    const ofShelf = shelf.density_kg_m3 * shelf.heatCapacity_J_kgK * shelf.thickness_m;
    const { t_s, skin_C: all_C } = simulateFiring({ ...shaded, series: true }).series!;
    const [skin_C, before_C] = [all_C.at(-1)!, all_C.at(-4)!];
    // Exchange grows as it heats, so that it warms a little faster than the kiln.
    const R = (skin_C - before_C) / (t_s.at(-1)! - t_s.at(-4)!);
    const under_C = skin_C + (R * ofGlass) / gapConductance(free_m, skin_C);
    // Through the shelf goes what the glass takes, and what its own layers take on the way.
    const top_C = under_C + (R * (ofGlass + ofShelf / 2) * shelf.thickness_m) / shelf.conductivity_W_mK;
    const kiln_C = top_C + (R * (ofGlass + ofShelf)) / exchange(open, top_C, 400);
    expect(Math.abs((kiln_C - skin_C) / (400 - skin_C) - 1)).toBeLessThan(0.03);
    expect(skinOf(plain) - skin_C).toBeGreaterThan(10);
  });
  test('what has crossed is stored', () => {
    const { energy } = simulateFiring(shaded);
    expect(energy.stored_J_m2 / energy.crossed_J_m2).toBeCloseTo(1, 6);
  });
  test('finer steps and a finer mesh find the same', () => {
    const skin_C = skinOf(shaded);
    expect(skinOf({ ...shaded, steps: 'fixed' }) - skin_C).toBeCloseTo(0, 1);
    expect(skinOf({ ...shaded, resolution: { glassIntervals: 80, stepShare: 0.5 } }) - skin_C).toBeCloseTo(0, 1);
  });
});
