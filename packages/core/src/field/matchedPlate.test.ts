import type { UnevenBody } from './body';
import { type Field, fieldOf, steadyCooling } from './cooling';
import { matchedOn, matchedWithin, plateAsDeep } from './matchedPlate';
import { solverOf } from './solve';

const GLASS = { conductivity_W_mK: 1.2, density_kg_m3: 2520, heatCapacity_J_kgK: 1100 };
const PLASTER = { thickness_m: 0.025, conductivity_W_mK: 0.45, density_kg_m3: 1150, heatCapacity_J_kgK: 1000 };
const SHELF = { thickness_m: 0.016, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 };
const OPEN = 80;

const casting: UnevenBody = {
  ...({ shape: 'round', level: 'top', glass: GLASS, under: [SHELF, PLASTER], beside: PLASTER, fineness: 12, cellsAtMost: 1200 } as const),
  parts: [
    { width_m: 0.07, depth_m: 0.05 },
    { width_m: 0.03, depth_m: 0.04 },
  ],
  exchange_W_m2K: { top: OPEN, side: OPEN, bottom: 40 },
};

/** Steps a body implicitly while the kiln cools at 1 K/s times the share, from even; lead over the kiln at each step. */
function* steps({ balance }: Pick<Field, 'balance'>, step_s: number, rates: readonly number[]): Generator<Float64Array> {
  const hold = balance.capacity.map((capacity) => capacity / step_s);
  const solve = solverOf(balance, hold);
  let lead = new Float64Array(hold.length);
  for (const rate of rates) {
    const { theta_K } = solve(
      lead.map((value, i) => hold[i] * value + balance.capacity[i] * rate),
      lead,
    )!;
    lead = Float64Array.from(theta_K);
    yield lead;
  }
}

/** One half of the plate that stands for it, mirrored at its middle. */
const plateOf = ({ depth_m, wall_m }: { depth_m: number; wall_m: number }): UnevenBody => ({
  ...({ shape: 'section', mirrored: true, level: 'top', glass: GLASS, fineness: 1 } as const),
  parts: [{ width_m: depth_m / 40, depth_m: depth_m / 2 }],
  ...(wall_m > 0 ? { over: [{ ...PLASTER, thickness_m: wall_m }] } : {}),
  exchange_W_m2K: { top: OPEN, side: 0, bottom: 0 },
});

test('it bulges as the body does, differs by its share, and evens out no sooner', () => {
  const cooling = steadyCooling(casting);
  const plate = matchedWithin(cooling, GLASS, PLASTER, OPEN);
  expect(plateAsDeep(GLASS, cooling.bulge_s)).toBe(plate.depth_m);
  const of = steadyCooling(plateOf(plate));
  // Half of it, over the mean of that half: a third of what it differs by.
  expect(Math.abs(of.spread_s / 3 / cooling.bulge_s - 1)).toBeLessThan(0.01);
  expect(Math.abs((plate.spreadShare * of.spread_s) / cooling.innerSpread_s - 1)).toBeLessThan(1e-9);
  expect(of.evens_s).toBeGreaterThanOrEqual(cooling.evens_s * 0.999);
});

test('behind a wall it evens out as slowly as a thin body in a thick mould', () => {
  const thin: UnevenBody = { ...casting, parts: [{ width_m: 0.1, depth_m: 0.012 }], under: [SHELF, { ...PLASTER, thickness_m: 0.05 }] };
  const cooling = steadyCooling(thin);
  const plate = matchedWithin(cooling, GLASS, PLASTER, OPEN);
  expect(plate.wall_m).toBeGreaterThan(0);
  expect(Math.abs(steadyCooling(plateOf(plate)).evens_s / cooling.evens_s - 1)).toBeLessThan(0.02);
});

test('on its shelf an even plate matches itself', () => {
  const even: UnevenBody = {
    ...({ shape: 'section', mirrored: true, level: 'bottom', glass: GLASS, under: [SHELF], fineness: 20 } as const),
    parts: [{ width_m: 0.05, depth_m: 0.02 }],
    exchange_W_m2K: { top: OPEN, side: OPEN, bottom: 20 },
  };
  const plate = matchedOn(steadyCooling(even), GLASS, { top: OPEN, bottom: 20, under: [SHELF] });
  expect(Math.abs(plate.depth_m / 0.02 - 1)).toBeLessThan(0.01);
  expect(plate.spreadShare).toBeCloseTo(1, 2);
});

test('stepped in time through a cool and a soak, it is never less apart and never less bulged than the body by more than a twentieth', () => {
  const cooling = steadyCooling(casting);
  const plate = matchedWithin(cooling, GLASS, PLASTER, OPEN);
  const [body, stand] = [fieldOf(casting), fieldOf(plateOf(plate))];
  // A drop at speed, a soak of four hours, a slow cool of eight.
  const rates = [...new Array<number>(10).fill(100), ...new Array<number>(48).fill(0), ...new Array<number>(96).fill(1)].map((rate) => rate / 3600);
  const [ofBody, ofPlate] = [body, stand].map((field) => [...steps(field, 300, rates)].map((lead) => field.apart(lead)));
  const soaked = 57;
  expect(plate.spreadShare * ofPlate[soaked].spread).toBeGreaterThan(0.95 * ofBody[soaked].innerSpread);
  ofBody.slice(80).forEach((own, at) => {
    const i = 80 + at;
    expect(plate.spreadShare * ofPlate[i].spread).toBeGreaterThan(0.95 * own.innerSpread);
    // The mean of the whole plate is that of its half.
    expect(ofPlate[i].spread / 3).toBeGreaterThan(0.95 * own.bulge);
  });
});
