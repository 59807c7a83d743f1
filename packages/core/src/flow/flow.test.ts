import { SOFT_90 } from '../testCases';
import { naturalDepth } from '../body/body';
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import { viscosityOf } from '../glass/viscosity';
import { coatingRange, hazeBell, hazeWeight } from './harm';
import { equalHold, logViscosityFor, rampsWorth } from './heatWork';
import { edgeRounding, reliefLeft, reliefRate } from './relief';
import { deepestDrape, drapeAfter, overhangThatHolds, rimToSpare, sagAfter, sagConstants, workToDrape, workToSag } from './sag';
import { neckRadius, pressedDepth, puddleRadius, rimReach, throughHole, workToPress, workToPuddle, workToSpread } from './spread';
import { squeezeWork } from './squeeze';

const vft = viscosityOf(SOFT_90);
const RHO_G = SOFT_90.density_kg_m3 * STANDARD_GRAVITY_m_s2;

describe('equal work', () => {
  test('ten degrees more are a factor 2.0 from 593, 1.7 from 650, 1.44 from 740 and 1.33 from 804 °C', () => {
    const factor = (at: number): number => equalHold(vft, 1, at + 10, at);
    expect(factor(593)).toBeCloseTo(2.0, 1);
    expect(factor(650)).toBeCloseTo(1.7, 1);
    expect(factor(740)).toBeCloseTo(1.44, 1);
    expect(factor(804)).toBeCloseTo(1.33, 1);
  });

  test('a viscosity higher by 0.301 needs twice the hold', () => {
    expect(10 ** (logViscosityFor(1e-2, 1200) - logViscosityFor(1e-2, 600))).toBeCloseTo(2, 9);
    expect(logViscosityFor(1e-2, 1200) - logViscosityFor(1e-2, 600)).toBeCloseTo(0.301, 3);
  });

  test('ramps are worth their e-fold over their rate, against the integral', () => {
    const rate = 300 / 3600;
    let work = 0;
    for (let T = 400; T < 790; T += 0.05) work += (equalHold(vft, 1, 790, T + 0.025) ** -1 * 0.05) / rate;
    const closed = rampsWorth(vft, 790, rate, Infinity);
    expect(Math.abs(closed / work - 1)).toBeLessThan(0.12);
  });
});

describe('relief levels as exp(−W·(ρg/k + γk)/2·F(kh))', () => {
  test('over a deep base it is the half space: F is 1', () => {
    const k = Math.PI / 0.01;
    for (const base of ['grips', 'slides', 'between'] as const) {
      expect(reliefRate(SOFT_90, 0.01, 1, base) / ((RHO_G / k + 0.3 * k) / 2)).toBeCloseTo(1, 6);
    }
  });

  test('over a thin base that grips it is lubrication: (ρg + γk²)·k²h³/3', () => {
    const k = Math.PI / 0.1;
    const h = 0.0005;
    expect(reliefRate(SOFT_90, 0.1, h, 'grips') / (((RHO_G + 0.3 * k * k) * k * k * h ** 3) / 3)).toBeCloseTo(1, 3);
  });

  test('a base that slides levels faster than one that grips, a shelf between them', () => {
    const [grips, between, slides] = (['grips', 'between', 'slides'] as const).map((base) => reliefRate(SOFT_90, 0.025, 0.006, base));
    expect(between).toBeGreaterThan(grips);
    expect(slides).toBeGreaterThan(between);
  });

  test('is whole before any work and gone in the end; the series joins the formula', () => {
    expect(reliefLeft(SOFT_90, 0.025, 0.006, 0)).toBe(1);
    expect(reliefLeft(SOFT_90, 0.025, 0.006, 10)).toBeLessThan(1e-6);
    const at = (x: number): number => reliefRate(SOFT_90, Math.PI, x, 'grips');
    expect(at(0.0499) / at(0.0501)).toBeCloseTo((0.0499 / 0.0501) ** 3, 3);
  });

  test('an edge has rounded by W·γ over its size', () => {
    expect(edgeRounding(SOFT_90, 0.003, 0.01)).toBeCloseTo(1, 12);
  });
});

describe('sag', () => {
  test('starts at 11/64·ρg·a⁴/L² and takes a power of four of the span', () => {
    const w = 1e-6;
    expect(workToSag(SOFT_90, { span_m: 0.3 }, 0.006, w)).toBeCloseTo((w * 0.006 ** 2) / ((11 / 64) * RHO_G * 0.15 ** 4), 15);
    expect(workToSag(SOFT_90, { span_m: 0.6 }, 0.006, w) / workToSag(SOFT_90, { span_m: 0.3 }, 0.006, w)).toBeCloseTo(1 / 16, 9);
  });

  test('deeper than it is thick it stretches: dw/dW is divided by 1 + c(w/L)²', () => {
    const at = (w: number): number => workToSag(SOFT_90, { span_m: 0.3 }, 0.006, w);
    const slope = (at(0.03001) - at(0.02999)) / 2e-5;
    expect(slope / ((at(1e-9) / 1e-9) * (1 + 0.45 * (0.03 / 0.006) ** 2))).toBeCloseTo(1, 5);
  });

  test.each([1e-5, 1e-3, 0.01, 0.05])('a depth of %s m comes back from its work', (depth) => {
    expect(sagAfter(SOFT_90, { span_m: 0.3 }, 0.006, workToSag(SOFT_90, { span_m: 0.3 }, 0.006, depth)) / depth).toBeCloseTo(1, 9);
    expect(sagAfter(SOFT_90, { span_m: 0.3 }, 0.006, workToSag(SOFT_90, { span_m: 0.3 }, 0.006, depth, 0), Infinity, 0) / depth).toBeCloseTo(1, 9);
  });

  test('stops at the mould', () => {
    expect(sagAfter(SOFT_90, { span_m: 0.3 }, 0.006, 1, 0.05)).toBe(0.05);
  });

  /** 3·α of Navier's double series for a simply supported plate under its own weight, in a⁴ of half the short side: D is ηL³/3 where it flows. */
  const byNavier = (longByShort: number): number => {
    let bends = 0;
    for (let m = 1; m < 160; m += 2)
      for (let n = 1; n < 160; n += 2) {
        const sign = ((m - 1) / 2 + (n - 1) / 2) % 2 === 0 ? 1 : -1;
        bends += (sign * 16) / (Math.PI ** 6 * m * n * (m ** 2 + (n / longByShort) ** 2) ** 2);
      }
    return 3 * bends * 2 ** 4;
  };

  test.each([1, 1.2, 1.5, 2, 3, 6])('into a rectangle as long as %s times its width it sinks as the plate does', (longByShort) => {
    const { drive } = sagConstants({ plan: 'rectangle', span_m: 0.1, along_m: 0.1 * longByShort });
    expect(drive / byNavier(longByShort)).toBeCloseTo(1, 4);
  });

  test('a square sinks at 0.195, an endless rectangle and a trough at 0.625, and neither of those stretches', () => {
    expect(sagConstants({ plan: 'rectangle', span_m: 0.2 }).drive).toBeCloseTo(0.195, 3);
    expect(sagConstants({ plan: 'rectangle', span_m: 0.2, along_m: 20 }).drive).toBeCloseTo(0.625, 3);
    expect(sagConstants({ plan: 'rectangle', span_m: 0.2, along_m: 200 }).stretching).toBeLessThan(1e-4);
    // A trough sinks across, however long it is.
    expect(sagConstants({ plan: 'trough', span_m: 0.3, along_m: 0.1 })).toEqual({ drive: 0.625, stretching: 0 });
  });

  /** C of an elliptic plate on its rim by least energy (Ritz): (1 − x² − y²/b²) times the even powers up to the sixth, ν a half. */
  function byRitz(longByShort: number): number {
    type Poly = readonly (readonly [c: number, m: number, n: number])[];
    const b = longByShort;
    const odd = (k: number): number => (k <= 1 ? 1 : k * odd(k - 2));
    const integral = (p: Poly): number =>
      p.reduce((sum, [c, m, n]) => sum + (m % 2 || n % 2 ? 0 : (c * b ** (n + 1) * 2 * Math.PI * odd(m - 1) * odd(n - 1)) / odd(m + n) / (m + n + 2)), 0);
    const times = (p: Poly, q: Poly): Poly => p.flatMap(([c, m, n]) => q.map(([d, i, j]) => [c * d, m + i, n + j] as const));
    const dx = (p: Poly): Poly => p.flatMap(([c, m, n]) => (m > 0 ? [[c * m, m - 1, n] as const] : []));
    const dy = (p: Poly): Poly => p.flatMap(([c, m, n]) => (n > 0 ? [[c * n, m, n - 1] as const] : []));
    const rim: Poly = [
      [1, 0, 0],
      [-1, 2, 0],
      [-1 / b ** 2, 0, 2],
    ];
    const powers = [0, 2, 4, 6].flatMap((sum) => Array.from({ length: sum / 2 + 1 }, (_, k) => [sum - 2 * k, 2 * k] as const));
    const own = powers.map(([m, n]) => times(rim, [[1, m, n]]));
    const bent = own.map((p) => ({ xx: dx(dx(p)), yy: dy(dy(p)), xy: dx(dy(p)) }));
    const rows = bent.map((p, i) => [
      ...bent.map((q) => {
        const of = (one: Poly, other: Poly): number => integral(times(one, other));
        const whole = of(p.xx, q.xx) + of(p.yy, q.yy) + of(p.xx, q.yy) + of(p.yy, q.xx);
        return whole - 0.5 * (of(p.xx, q.yy) + of(p.yy, q.xx) - 2 * of(p.xy, q.xy));
      }),
      integral(own[i]),
    ]);
    for (let k = 0; k < rows.length; k += 1)
      for (let i = 0; i < rows.length; i += 1) {
        if (i === k) continue;
        const share = rows[i][k] / rows[k][k];
        rows[i] = rows[i].map((one, j) => one - share * rows[k][j]);
      }
    return (3 * rows[0][rows.length]) / rows[0][0];
  }

  test.each([1, 1.5, 2, 3])('into an oval as long as %s times its width it sinks as the plate of least energy does', (longByShort) => {
    expect(sagConstants({ plan: 'oval', span_m: 0.1, along_m: 0.1 * longByShort }).drive / byRitz(longByShort)).toBeCloseTo(1, 2);
  });

  test('every outline sinks faster and stretches less the more slender it is, an oval always between disc and trough', () => {
    const slender = [1, 1.1, 1.3, 1.5, 1.8, 2, 2.5, 3, 5, 12];
    for (const plan of ['oval', 'rectangle'] as const) {
      const told = slender.map((by) => sagConstants({ plan, span_m: 0.1, along_m: 0.1 * by }));
      for (const [i, { drive, stretching }] of told.entries()) {
        expect(drive).toBeGreaterThan(told[i - 1]?.drive ?? 0.17);
        expect(drive).toBeLessThan(0.625);
        expect(stretching).toBeLessThan(told[i - 1]?.stretching ?? 0.46);
        expect(stretching).toBeGreaterThan(0);
      }
    }
    expect(sagConstants({ plan: 'oval', span_m: 0.1 })).toEqual(sagConstants({ span_m: 0.1 }));
    expect(sagConstants({ plan: 'oval', span_m: 0.1, along_m: 0.2 })).toEqual({ drive: 0.407, stretching: 0.16 });
  });

  test('lobes go by the circle within them: three and four sink faster, more are a disc', () => {
    const drives = [3, 4, 5, 8].map((lobes) => sagConstants({ plan: 'lobed', span_m: 0.1, lobes }).drive);
    expect(drives).toEqual([0.25, 0.195, 11 / 64, 11 / 64]);
  });

  test('an overhang goes by its fourth power while the drop is the same share of it', () => {
    expect((workToDrape(SOFT_90, 0.05, 0.006, 0.02) * 2 ** -3) / workToDrape(SOFT_90, 0.1, 0.006, 0.04)).toBeCloseTo(1, 9);
  });

  test('it starts 1.94 times as fast as one held fast, and takes 0.74, 1.15 and 3.5 times its work to near upright', () => {
    const clamped = (share: number): number => (share * 0.08 * 0.006 ** 2) / (0.375 * RHO_G * 0.08 ** 4);
    const over = (share: number): number => workToDrape(SOFT_90, 0.08, 0.006, share * 0.08) / clamped(share);
    expect(1 / over(0.01)).toBeCloseTo(1.94, 2);
    expect([0.8, 0.9, 0.95].map(over)).toEqual([expect.closeTo(0.74, 9), expect.closeTo(1.15, 9), expect.closeTo(3.5, 9)]);
    // On between the stops and past the last, never less work for more drop.
    const works = Array.from({ length: 99 }, (_, i) => workToDrape(SOFT_90, 0.08, 0.006, ((i + 1) / 100) * 0.08));
    expect(works.every((work, i) => i === 0 || work > works[i - 1])).toBe(true);
    expect(workToDrape(SOFT_90, 0.08, 0.006, 0.08)).toBe(Infinity);
    expect(workToDrape(SOFT_90, 0.08, 0.006, 0)).toBe(0);
  });

  test('a drop comes back from its work, and ever so hot it hangs no lower than its bend lets it', () => {
    for (const drop of [0.001, 0.02, 0.04, 0.045]) expect(drapeAfter(SOFT_90, 0.05, 0.006, workToDrape(SOFT_90, 0.05, 0.006, drop))).toBeCloseTo(drop, 9);
    expect(drapeAfter(SOFT_90, 0.05, 0.006, 1)).toBeCloseTo(0.05 - 0.57 * 0.003, 12);
    expect(deepestDrape(0.08, 0.006, 0.01)).toBeCloseTo(0.08 - 0.57 * 0.013, 12);
    expect(deepestDrape(0.001, 0.006)).toBe(0);
  });

  test('what may stand out for its edge to be a millimetre down is what workToDrape says', () => {
    const out = overhangThatHolds(SOFT_90, 0.006, 0.001, 1e-5);
    expect(workToDrape(SOFT_90, out, 0.006, 0.001)).toBeCloseTo(1e-5, 12);
  });

  test('a disc over a small former has rim to spare for lobes', () => {
    expect(rimToSpare(0.4, 0.1)).toBeCloseTo(0.75, 12);
    expect(rimToSpare(0.1, 0.1)).toBe(0);
  });
});

describe('thick flow', () => {
  test('a heap spreads as the eighth root of time and stops at natural depth', () => {
    const V = 1e-4;
    expect(puddleRadius(SOFT_90, V, 2e-3) / puddleRadius(SOFT_90, V, 1e-3)).toBeCloseTo(2 ** (1 / 8), 9);
    const rest = puddleRadius(SOFT_90, V, 1e6);
    expect(Math.PI * rest ** 2 * naturalDepth(SOFT_90)).toBeCloseTo(V, 12);
  });

  test('a pressed disc follows Stefan: the rate at once is −2Fh³/(3πηR⁴)', () => {
    const h = 0.006;
    const dW = 1e-9;
    const slope = (pressedDepth(0.05, h, 50, dW) - h) / dW;
    expect(slope / ((-2 * 50 * h ** 3) / (3 * Math.PI * 0.05 ** 4))).toBeCloseTo(1, 5);
  });

  test('heap, press and front each know the work that gets them there', () => {
    const V = 2e-5;
    expect(puddleRadius(SOFT_90, V, workToPuddle(SOFT_90, V, 0.025))).toBeCloseTo(0.025, 12);
    expect(pressedDepth(0.05, 0.012, 50, workToPress(0.05, 0.012, 0.006, 50))).toBeCloseTo(0.006, 12);
    // Without what holds a rim at its natural depth a front goes as one that is driven in full.
    const deep = 100 * naturalDepth(SOFT_90);
    expect(rimReach(SOFT_90, deep, workToSpread(SOFT_90, deep, 0.01))).toBeCloseTo(0.01, 5);
  });

  test('a long hole is Poiseuille, a short one is led by its mouth', () => {
    const poiseuille = (r: number, b: number): number => (Math.PI * RHO_G * 0.03 * r ** 4) / (8 * b);
    expect(throughHole(SOFT_90, { radius_m: 0.002, plate_m: 1, head_m: 0.03 }, 1) / poiseuille(0.002, 1)).toBeCloseTo(1, 2);
    const sampson = (RHO_G * 0.03 * 0.005 ** 3) / 3;
    expect(throughHole(SOFT_90, { radius_m: 0.005, plate_m: 0, head_m: 0.03 }, 1) / sampson).toBeCloseTo(1, 9);
  });

  test('necks between grains grow as the root of work, to the grain itself', () => {
    expect(neckRadius(SOFT_90, 0.001, 4e-5) / neckRadius(SOFT_90, 0.001, 1e-5)).toBeCloseTo(2, 9);
    expect(neckRadius(SOFT_90, 0.001, 1e-5)).toBeCloseTo(Math.sqrt((3 * 0.3 * 0.001 * 1e-5) / 2), 15);
    expect(neckRadius(SOFT_90, 0.001, 10)).toBe(0.001);
  });
});

describe('exposure', () => {
  test('haze is weighted by a bell, worst near 720 °C for soft sheet, or where the record says', () => {
    const weight = (at: number): number => hazeWeight(hazeBell(SOFT_90), at);
    expect(weight(720)).toBeGreaterThan(0.999);
    expect(weight(765)).toBeCloseTo(Math.exp(-0.5), 1);
    expect(weight(500)).toBeLessThan(1e-4);
    expect(hazeWeight(hazeBell({ ...SOFT_90, haze: { middle_C: 700, halfWidth_K: 20 } }), 720)).toBeCloseTo(Math.exp(-0.5), 12);
  });

  test('a coating lifts from 10^13.5 to 10^7.3', () => {
    const { from_C, to_C } = coatingRange(SOFT_90);
    expect(Math.abs(from_C - 488.8)).toBeLessThan(1);
    expect(to_C).toBeCloseTo(648.4, 0);
  });
});

describe('the squeeze', () => {
  test('needs four times the work for twice the sheet and a sixteenth for twice the span', () => {
    const base = squeezeWork(SOFT_90, 0.003, { radius_m: 0.02, gap_m: 0.001 });
    expect(squeezeWork(SOFT_90, 0.006, { radius_m: 0.02, gap_m: 0.001 }) / base).toBeCloseTo(4, 9);
    expect(squeezeWork(SOFT_90, 0.003, { radius_m: 0.04, gap_m: 0.001 }) / base).toBeCloseTo(1 / 16, 9);
  });
});
