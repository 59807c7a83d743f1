import { SOFT_90, STUDIO_KILN, sheetsOf } from '../testCases';
import { restrainedStress } from '../glass/constants';
import type { FiringCase } from '../schedule/firingCase';
import { simulationOf } from '../schedule/simulationOf';
import { BARE_SHELF } from '../schedule/setups';
import { asFarApart } from '../plan/thickness';
import type { UnlikeColumns } from './columns';
import { exchange } from './exchange';
import { simulateFiring } from './simulate';

const [SHELF] = BARE_SHELF.below;
const RATE = 70;
const UNTIL_C = 560;

/** What the columns add to the tension of a warm-up, K. */
function apart(columns: UnlikeColumns, rate_C_per_h = RATE, resolution = {}): number {
  const tension = (one?: UnlikeColumns): number =>
    simulateFiring({
      glass: SOFT_90,
      stack: [...BARE_SHELF.below, { of: 'glass', thickness_m: columns.thick_m }],
      faces: BARE_SHELF.faces,
      segments: [{ rate_C_per_h, target_C: UNTIL_C, hold_s: 0 }],
      kiln: STUDIO_KILN,
      columns: one,
      resolution,
    }).segments[0].tension_max_Pa;
  return (tension(columns) - tension()) / restrainedStress(SOFT_90, 1);
}

/** The greatest difference of means while brittle, K, by explicit steps in depth and width: half a wave, thick on the left and thin on the right. */
function inTwoDimensions({ thick_m, thin_m, apart_m }: UnlikeColumns, thickShare = 0.5): number {
  const across = 12;
  const thickTo = Math.round(across * thickShare);
  const dx = apart_m / across;
  const dz = 0.002;
  const shelf = Math.round(SHELF.thickness_m / dz);
  const heights = Array.from({ length: across }, (_, x) => shelf + Math.round((x < thickTo ? thick_m : thin_m) / dz));
  const conducts = (z: number): number => (z < shelf ? SHELF.conductivity_W_mK : SOFT_90.conductivity_W_mK);
  const stores = (z: number): number => (z < shelf ? SHELF.density_kg_m3 * SHELF.heatCapacity_J_kgK : SOFT_90.density_kg_m3 * SOFT_90.heatCapacity_J_kgK);
  let T = heights.map((height) => new Float64Array(height).fill(STUDIO_KILN.ambient_C));
  const dt = (0.2 * dz ** 2) / (SHELF.conductivity_W_mK / stores(0));
  let most = 0;
  const mean = (from: number, to: number): number => {
    let sum = 0;
    let cells = 0;
    for (let x = from; x < to; x += 1) {
      for (let z = shelf; z < heights[x]; z += 1) {
        sum += T[x][z];
        cells += 1;
      }
    }
    return sum / cells;
  };
  for (let kiln_C = STUDIO_KILN.ambient_C; kiln_C < UNTIL_C; kiln_C += (RATE / 3600) * dt) {
    const next = T.map((column) => column.slice());
    for (let x = 0; x < across; x += 1) {
      const top = heights[x] - 1;
      for (let z = 0; z <= top; z += 1) {
        const here = T[x][z];
        let gains = 0;
        const between = (to: number): number => (2 * conducts(z) * conducts(to)) / (conducts(z) + conducts(to)) / dz;
        if (z > 0) gains += (between(z - 1) * (T[x][z - 1] - here)) / dz;
        else gains += (exchange(BARE_SHELF.faces.bottom, here, kiln_C) * (kiln_C - here)) / dz;
        if (z < top) gains += (between(z + 1) * (T[x][z + 1] - here)) / dz;
        else gains += (exchange(BARE_SHELF.faces.top, here, kiln_C) * (kiln_C - here)) / dz;
        for (const beside of [x - 1, x + 1]) {
          if (beside >= 0 && beside < across && z < heights[beside]) gains += (conducts(z) * (T[beside][z] - here)) / dx ** 2;
        }
        next[x][z] = here + (gains * dt) / stores(z);
      }
    }
    T = next;
    // As long as the simulation counts it: until the coldest glass is past brittle.
    if (T[0][shelf] < UNTIL_C - 30) most = Math.max(most, mean(thickTo, across) - mean(0, thickTo));
  }
  return most;
}

describe('thick beside thin', () => {
  test('25 mm beside 6 mm at 70 °C/h lie 10 to 20 °C apart in a piece of 300 mm', () => {
    const difference = apart({ thick_m: 0.025, thin_m: 0.006, apart_m: 0.075 });
    expect(difference).toBeGreaterThan(10);
    expect(difference).toBeLessThan(20);
  });

  test.each([
    [0.024, 0.006, 0.12],
    [0.024, 0.006, 0.072],
    [0.012, 0.006, 0.072],
    [0.012, 0.006, 0.036],
  ])('%s m beside %s m, %s m apart: no less than calculated in depth and width, and no more than 15 % and a kelvin over', (thick_m, thin_m, apart_m) => {
    const columns = { thick_m, thin_m, apart_m };
    const whole = inTwoDimensions(columns);
    expect(apart(columns)).toBeGreaterThan(whole);
    expect(apart(columns)).toBeLessThan(1.15 * whole + 1);
  });

  test('the nearer they are and the slower it goes, the less they differ; halving mesh and step hardly matters', () => {
    const columns = { thick_m: 0.012, thin_m: 0.006, apart_m: 0.05 };
    expect(apart({ ...columns, apart_m: 0.02 })).toBeLessThan(0.4 * apart(columns));
    expect(apart(columns, RATE / 2)).toBeLessThan(0.8 * apart(columns));
    expect(apart({ ...columns, thin_m: 0.012 })).toBeLessThan(1e-6);
    expect(Math.abs(apart(columns, RATE, { stepShare: 0.25 }) / apart(columns) - 1)).toBeLessThan(0.03);
  });

  test.each([
    [0.012, 0.006, 0.0125, 0.0375],
    [0.012, 0.006, 0.01, 0.11],
    [0.012, 0.006, 0.0375, 0.0125],
    [0.024, 0.006, 0.02, 0.1],
  ])(
    '%s m over %s m, of unequal widths, %s and %s m from the middle: no less than calculated in depth and width, and no more than a third and a kelvin over',
    (thick_m, thin_m, a, b) => {
      const whole = inTwoDimensions({ thick_m, thin_m, apart_m: a + b }, a / (a + b));
      const told = apart({ thick_m, thin_m, apart_m: asFarApart(a, b) });
      expect(told).toBeGreaterThan(whole);
      expect(told).toBeLessThan(1.33 * whole + 1);
    },
  );

  const tacked = (change: Partial<FiringCase['body']>, look: FiringCase['look'] = 'tack'): FiringCase => {
    const base = sheetsOf(2, 0.003);
    return { ...base, look, body: { ...base.body, parts: [{ glass: 0, thickness_m: 0.006, area_m2: 4e-4, count: 20 }], ...change } };
  };

  test('are followed where a body is and stays uneven', () => {
    expect(simulationOf(tacked({ joined: true }), []).columns).toEqual({ thick_m: 0.012, thin_m: 0.006, apart_m: 0.02 });
    expect(simulationOf(tacked({ parts: [] }), []).columns).toBeUndefined();
    expect(simulationOf(tacked({}, 'fullFuse'), [], false, 'level').columns).toBeUndefined();
    const cast = { layers: [], parts: [], casting: { glass: 0, volume_m3: 1e-3, thickest_m: 0.025, thinnest_m: 0.006 } };
    expect(simulationOf(tacked(cast), []).columns).toEqual({ thick_m: 0.025, thin_m: 0.006, apart_m: 0.05 });
  });

  test('loose parts do not pull one another on the way up, but all the way down', () => {
    const segments = [
      { rate_C_per_h: 150, target_C: 730, hold_s: 900 },
      { rate_C_per_h: 300, target_C: 515, hold_s: 3600 },
      { rate_C_per_h: 30, target_C: 415, hold_s: 0 },
      { rate_C_per_h: 100, target_C: 90, hold_s: 0 },
    ];
    const pulls = (firing: FiringCase, without: boolean): number[] => {
      const { columns, ...input } = simulationOf(firing, segments);
      return simulateFiring(without ? input : { ...input, columns }).segments.map(({ tension_max_Pa }) => tension_max_Pa);
    };
    const [loose, looseAlone, joined, joinedAlone] = [false, true].flatMap((joinedBefore) =>
      [false, true].map((without) => pulls(tacked({ joined: joinedBefore }), without)),
    );
    expect(loose[0]).toBe(looseAlone[0]);
    expect(loose[3]).toBeGreaterThan(looseAlone[3] + 1e5);
    expect(joined[0]).toBeGreaterThan(joinedAlone[0] + 1e5);
  });
});
