import { SOFT_90 } from '../testCases';
import { naturalDepth } from '../body/body';
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import { viscosityOf } from '../glass/viscosity';
import { coatingRange, hazeBell, hazeWeight } from './harm';
import { equalHold, logViscosityFor, rampsWorth } from './heatWork';
import { edgeRounding, reliefLeft, reliefRate } from './relief';
import { STRETCHING, drapeAfter, rimToSpare, sagAfter, workToDrape, workToSag } from './sag';
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
  test('starts at 0.17·ρg·a⁴/L² and takes a power of four of the span', () => {
    const w = 1e-6;
    expect(workToSag(SOFT_90, 0.15, 0.006, w)).toBeCloseTo((w * 0.006 ** 2) / (0.17 * RHO_G * 0.15 ** 4), 15);
    expect(workToSag(SOFT_90, 0.3, 0.006, w) / workToSag(SOFT_90, 0.15, 0.006, w)).toBeCloseTo(1 / 16, 9);
  });

  test('deeper than it is thick it stretches: dw/dW is divided by 1 + c(w/L)²', () => {
    const at = (w: number): number => workToSag(SOFT_90, 0.15, 0.006, w);
    const slope = (at(0.03001) - at(0.02999)) / 2e-5;
    expect(slope / ((at(1e-9) / 1e-9) * (1 + STRETCHING * (0.03 / 0.006) ** 2))).toBeCloseTo(1, 5);
  });

  test.each([1e-5, 1e-3, 0.01, 0.05])('a depth of %s m comes back from its work', (depth) => {
    expect(sagAfter(SOFT_90, 0.15, 0.006, workToSag(SOFT_90, 0.15, 0.006, depth)) / depth).toBeCloseTo(1, 9);
    expect(sagAfter(SOFT_90, 0.15, 0.006, workToSag(SOFT_90, 0.15, 0.006, depth, 0), Infinity, 0) / depth).toBeCloseTo(1, 9);
  });

  test('stops at the mould', () => {
    expect(sagAfter(SOFT_90, 0.15, 0.006, 1, 0.05)).toBe(0.05);
  });

  test('an overhang goes by its fourth power and hangs no lower than it is long', () => {
    expect(workToDrape(SOFT_90, 0.05, 0.006, 0.02) / workToDrape(SOFT_90, 0.1, 0.006, 0.02)).toBeCloseTo(16, 9);
    expect(drapeAfter(SOFT_90, 0.05, 0.006, workToDrape(SOFT_90, 0.05, 0.006, 0.02))).toBeCloseTo(0.02, 12);
    expect(drapeAfter(SOFT_90, 0.05, 0.006, 1)).toBe(0.05);
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
