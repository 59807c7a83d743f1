import fc from 'fast-check';
import type { Footprint } from '../body/footprint';
import { steadyCooling } from '../field/cooling';
import type { FiringCase } from './firingCase';
import { bodyNamed, composed } from '../bodies.testCases';
import { METRIC } from '../units/convert';
import { brokenOf } from './reading';
import { evaluate } from './check';
import { compose } from './compose';
import { reckoningOf } from './reckoning';
import { resolved } from './resolved';
import { coolingOf } from './unevenCooling';
import { setUpOf } from './setups';
import { readingPhrase, verdictOf } from './words';

interface Sections {
  thick_m: number;
  thin_m: number;
}

const DISC_200: Footprint = { shape: 'disc', diameter_m: 0.2 };

/** Casting crystal in its mould, as much of it as fills an outline. */
function casting({ thick_m, thin_m }: Sections, { footprint = DISC_200, wall_m = 0.025, kind = 'cavity' as const, core_m = 0.03 } = {}): FiringCase {
  const base = bodyNamed('cast, 100 mm');
  const shaping = kind === 'cavity' ? { kind, thick_m, thin_m, wall_m } : { kind, thick_m, thin_m, wall_m, core_m };
  return {
    ...base,
    body: { ...base.body, footprint, layers: [{ form: 'sheet', glass: 0, thickness_m: (thick_m + thin_m) / 2 }] },
    setup: setUpOf({ kind: 'inInvestment', paper: false, wet: 'damp', shaping }),
  };
}

/** Parts on a sheet, tacked. */
function tacked(sheet_m: number, part_m: number, width_m = 0.03): FiringCase {
  const base = bodyNamed('two sheets, tack');
  const parts = [{ glass: 0, thickness_m: part_m, area_m2: width_m ** 2, count: Math.round((0.09 * 0.4) / width_m ** 2) }];
  return { ...base, body: { ...base.body, layers: [{ form: 'sheet', glass: 0, thickness_m: sheet_m }], parts } };
}

const rateOf = (firing: FiringCase, role: string): number => composed(firing).segments.find((segment) => segment.role === role)?.rate_C_per_h ?? Infinity;

/** From where the soak ends to where the kiln may be opened, h. */
function coolingHours(firing: FiringCase): number {
  const { segments, evaluation } = composed(firing);
  const { simulation } = evaluation;
  return (simulation.total_s - simulation.segments[segments.findIndex(({ role }) => role === 'drop')].end_s) / 3600;
}

test.each([
  ['50 beside 40 mm', { thick_m: 0.05, thin_m: 0.04 }, 45],
  ['100 beside 80 mm', { thick_m: 0.1, thin_m: 0.08 }, 120],
  ['100 mm', { thick_m: 0.1, thin_m: 0.1 }, 125],
] as const)('a casting of %s, 200 mm wide, cools within its limits and without needless hours', (_, sections, hours) => {
  const { evaluation, converged } = composed(casting(sections));
  expect(converged).toBe(true);
  expect(brokenOf(evaluation.readings)).toEqual([]);
  expect(coolingHours(casting(sections))).toBeLessThan(hours);
});

test('24 mm tacked of two 12s cools at more than 9 °C/h, and no faster than an even 24 mm', () => {
  const rate = rateOf(tacked(0.012, 0.012), 'firstCool');
  expect(rate).toBeGreaterThan(9);
  const base = tacked(0.012, 0.012);
  const even: FiringCase = { ...base, body: { ...base.body, parts: [], layers: [{ form: 'sheet', glass: 0, thickness_m: 0.024 }] } };
  expect(rate).toBeLessThanOrEqual(rateOf(even, 'firstCool'));
});

test('a mould that one block fills is warmed as that block, far slower than one filled with frit', () => {
  const block = casting({ thick_m: 0.05, thin_m: 0.04 });
  const frit: FiringCase = { ...block, body: { ...block.body, layers: [{ form: 'frit', glass: 0, perArea_kg_m2: 112, grain_m: 0.01 }] } };
  expect(rateOf(block, 'warmUp')).toBeLessThan(0.4 * rateOf(frit, 'warmUp'));
  // By steps in two dimensions it would come to its limit without reserve near 26 °C/h.
  const { readings } = evaluate(
    block,
    composed(block).segments.map((segment) => (segment.role === 'warmUp' ? { ...segment, rate_C_per_h: 26 } : segment)),
  );
  const pull = readings.find(({ limit, segment }) => limit === 'pull' && segment === composed(block).segments.findIndex(({ role }) => role === 'warmUp'));
  expect(pull?.ok).toBe(false);
  const at = composed(block);
  const warmed = at.evaluation.readings.find(({ limit, segment }) => limit === 'pull' && at.segments[segment].role === 'warmUp')!;
  expect(reckoningOf({ firing: block, ...at, reading: warmed, units: METRIC }).join(' ')).toMatch(
    /One block fills the mould: .* Measured from the plane that fits it best, in a cold kiln: \d+ s times the rate.*Billets, lumps or frit would warm piece by piece, and faster/,
  );
});

test('a mould filled with billets warms as billets: the thicker one is the slower, and never as slow as one block', () => {
  const block = casting({ thick_m: 0.1, thin_m: 0.08 });
  const of = (thick_m: number): FiringCase => ({
    ...block,
    body: { ...block.body, layers: [{ form: 'chunks', glass: 0, perArea_kg_m2: 227, thick_m, wide_m: 2 * thick_m }] },
  });
  const rates = [of(0.02), of(0.035), of(0.05), block].map((firing) => rateOf(firing, 'warmUp'));
  expect(rates).toEqual(rates.toSorted((a, b) => b - a));
  expect(rates[2]).toBeGreaterThan(1.3 * rates[3]);
  // Whole billets, what is left over under them.
  expect(resolved(of(0.05)).layers_m.map((one) => Math.round(1000 * one))).toEqual([40, 50]);
});

test('what an uneven body sets by is told between its hottest and its coldest place, and of an even one between core and surface', () => {
  const phrase = (firing: FiringCase): string => {
    const { segments, evaluation } = composed(firing);
    const first = segments.findIndex(({ role }) => role === 'firstCool');
    return readingPhrase(
      evaluation.readings.find(({ limit, segment }) => limit === 'setting' && segment === first)!,
      METRIC,
    );
  };
  expect(phrase(casting({ thick_m: 0.05, thin_m: 0.04 }))).toMatch(/^hottest–coldest [\d.]+ of 5 °C$/);
  expect(phrase(bodyNamed('two sheets, full fuse'))).toMatch(/^core–surface [\d.]+ of 5 °C$/);
});

describe('more of what holds heat is never quicker', () => {
  const slower = (firings: readonly FiringCase[]): void => {
    // A rate is keyed in steps: what lies within one of them is as fast.
    const rates = firings.map((firing) => rateOf(firing, 'firstCool'));
    rates.slice(1).forEach((rate, i) => expect(rate).toBeLessThanOrEqual(1.06 * rates[i]));
    expect(rates.at(-1)).toBeLessThan(rates[0]);
  };

  test('thickness, width and wall of a casting', () => {
    slower([0.02, 0.03, 0.05, 0.08].map((thick_m) => casting({ thick_m, thin_m: 0.8 * thick_m })));
    slower([0.06, 0.1, 0.2].map((diameter_m) => casting({ thick_m: 0.05, thin_m: 0.04 }, { footprint: { shape: 'disc', diameter_m } })));
    const walls = [0.02, 0.03, 0.05].map((wall_m) => coolingOf(resolved(casting({ thick_m: 0.05, thin_m: 0.04 }, { wall_m })).uneven!).setting.evens_s);
    expect(walls).toEqual(walls.toSorted((a, b) => a - b));
  });

  test('thickness, and how high parts stand, of tacked work', () => {
    slower([0.003, 0.006, 0.012].map((sheet_m) => tacked(sheet_m, sheet_m)));
    slower([0.001, 0.003, 0.006, 0.012].map((part_m) => tacked(0.006, part_m)));
  });
});

test('shapes that hardly are one are composed with figures, or refused in words', () => {
  const shape = fc.record({
    thick_m: fc.constantFrom(0.0005, 0.003, 0.02, 0.06, 0.2),
    thin: fc.constantFrom(0.01, 0.5, 1),
    across_m: fc.constantFrom(0.01, 0.1, 0.8),
    kind: fc.constantFrom('cavity', 'core'),
    core_m: fc.constantFrom(0.005, 0.1),
  });
  fc.assert(
    fc.property(shape, ({ thick_m, thin, across_m, kind, core_m }) => {
      const firing = casting(
        { thick_m, thin_m: Math.max(0.0005, thin * thick_m) },
        { footprint: { shape: 'disc', diameter_m: across_m }, kind: kind as 'cavity', core_m },
      );
      const outcome = compose(firing);
      if (!outcome.ok) return outcome.problem.message.length > 0;
      const { evaluation } = outcome.value;
      return [
        ...evaluation.readings.map(({ value }) => value),
        evaluation.simulation.total_s,
        ...Object.values(evaluation.uneven ?? {}).filter((one) => typeof one === 'number'),
      ].every(Number.isFinite);
    }),
    { numRuns: 12, seed: 7 },
  );
  // A film beside what is sixty millimetres deep.
  expect(composed(tacked(0.0005, 0.0595)).evaluation.readings.every(({ value }) => Number.isFinite(value))).toBe(true);
});

test('clear glass cools a little faster, by radiation; dark glass beside it, or one that does not tell, takes that away', () => {
  const opaque = casting({ thick_m: 0.05, thin_m: 0.04 });
  const [glass] = opaque.body.glasses;
  const of = (...absorptions: (number | undefined)[]): FiringCase => ({
    ...opaque,
    body: { ...opaque.body, glasses: absorptions.map((absorption_perM) => ({ ...glass, ...(absorption_perM === undefined ? {} : { absorption_perM }) })) },
  });
  const bulge = (firing: FiringCase): number => coolingOf(resolved(firing).uneven!).setting.bulge_s;
  expect(bulge(of(30))).toBeLessThan(0.9 * bulge(opaque));
  expect(bulge(of(30, 600))).toBe(bulge(of(600)));
  expect(bulge(of(30, undefined))).toBe(bulge(opaque));
  expect(rateOf(of(30), 'firstCool')).toBeGreaterThan(rateOf(opaque, 'firstCool'));
  expect(brokenOf(composed(of(30)).evaluation.readings)).toEqual([]);
});

test.each([
  ['tacked work', tacked(0.006, 0.003)],
  ['a round casting', casting({ thick_m: 0.05, thin_m: 0.04 })],
  ['a block', casting({ thick_m: 0.042, thin_m: 0.026 }, { footprint: { shape: 'rectangle', width_m: 0.1, length_m: 0.14 } })],
])('five times as many cells move spread and bulge of %s by a fortieth at most', (_, firing) => {
  const { body } = resolved(firing).uneven!;
  const [usual, fine] = [body, { ...body, cellsAtMost: 20_000, fineness: 40 }].map((one) => steadyCooling(one));
  expect(Math.abs(usual.bulge_s / fine.bulge_s - 1)).toBeLessThan(0.025);
  expect(Math.abs(usual.innerSpread_s / fine.innerSpread_s - 1)).toBeLessThan(0.025);
});

test('what is asked again is told again, and the same to the last digit', () => {
  const [one, other] = [0, 1].map(() => coolingOf(resolved(casting({ thick_m: 0.041, thin_m: 0.03 })).uneven!));
  expect(other).toBe(one);
});

test('in words: how far apart it is while it sets, in the units of the studio', () => {
  const said = (firing: FiringCase, units = METRIC): string => verdictOf(firing, composed(firing).evaluation, units, composed(firing).segments).join(' ');
  expect(said(casting({ thick_m: 0.05, thin_m: 0.04 }))).toMatch(
    /annealed within its mould, 50 mm here and 40 mm there\. Its inside stays up to \d(\.\d)? °C hotter than its outside/,
  );
  expect(said(tacked(0.006, 0.003), { ...METRIC, temperature: 'F' })).toMatch(/Its places are up to \d+(\.\d)? °F apart while it sets/);
});
