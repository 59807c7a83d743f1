import { compiledBalance } from './compiledBalance';
import { fieldOf } from './cooling';
import type { UnevenBody } from './body';
import { plainBalance } from './plainBalance';
import { solverOf } from './solve';

const GLASS = { conductivity_W_mK: 1.2, density_kg_m3: 2520, heatCapacity_J_kgK: 1100 };
const MOULD = { thickness_m: 0.025, conductivity_W_mK: 0.45, density_kg_m3: 1100, heatCapacity_J_kgK: 1000 };
const section: UnevenBody = {
  ...{ shape: 'section', level: 'top', glass: GLASS, exchange_W_m2K: { top: 90, side: 90, bottom: 0 }, under: [MOULD], beside: MOULD },
  parts: [0.05, 0.04].map((depth_m) => ({ width_m: 0.1, depth_m })),
};
const bodies: Record<string, UnevenBody> = {
  section,
  round: { ...section, shape: 'round' },
  block: { ...section, shape: 'box', length_m: 0.2, fineness: 4 },
  'few cells': { ...section, fineness: 1 },
  'an odd number of cells': { ...section, shape: 'round', beside: undefined, under: [], parts: [{ width_m: 0.05, depth_m: 0.05 }], fineness: 3 },
};

test.each(Object.entries(bodies))('%s: the compiled steps give the bits of the plain ones', (_, body) => {
  const { balance } = fieldOf(body);
  const hold = balance.capacity.map((own) => own / 600);
  const guess = balance.capacity.map((_own, i) => 1000 + (i % 7));
  for (const held of [undefined, hold]) {
    const [ours, plain] = [solverOf(balance, held), solverOf(balance, held, plainBalance)];
    for (const [from, left] of [[], [guess], [guess, 1e-4]] as [Float64Array?, number?][]) {
      const [one, other] = [ours, plain].map((solve) => solve(balance.capacity, from, left));
      expect(one?.iterations).toBeGreaterThan(0);
      expect(one).toEqual(other);
    }
  }
});

test('bodies of an odd and of an even number of cells are among them', () => {
  const parities = Object.values(bodies).map((body) => fieldOf(body).balance.diagonal.length % 2);
  expect(new Set(parities)).toEqual(new Set([0, 1]));
});

test('it is the compiled steps that are taken here, and where they do not compile the plain ones stand in', () => {
  const { balance } = fieldOf(section);
  const taken = jest.fn(compiledBalance);
  const solved = solverOf(balance, undefined, taken)(balance.capacity);
  expect(taken.mock.results[0].value).not.toBeNull();
  expect(solverOf(balance, undefined, () => null)(balance.capacity)).toEqual(solved);
});
