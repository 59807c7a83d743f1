/** Draws the plots of docs/model.md and prints docs/schedules.md from the core itself. Run by npm run pictures. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { evenSheets } from '@torvin/core/body';
import { sagAfter } from '@torvin/core/flow';
import { type GlassConstants, TYPICAL_FAMILIES, diffusivity, fluidity, logViscosity, viscosityOf } from '@torvin/core/glass';
import { type SimulationInput, heatSolver, driveFrom, meshOf, simulateFiring } from '@torvin/core/heat';
import { TYPICAL_KILN } from '@torvin/core/kiln';
import { RECIPES, TYPICAL_WORKS } from '@torvin/core/look';
import { BARE_SHELF, DEFAULT_LIMITS, DEFAULT_SCHOOL, type FiringCase, brokenOf, compose, simulationOf } from '@torvin/core/schedule';
import { BODIES, FIGURES_FILE, type Figures, figuresOf } from '../../packages/core/src/bodies.testCases';
import { conductedByOrdinates } from '../../benchmarks/discreteOrdinates';
import { drawnBodies, opinionOn } from '../../benchmarks/drawnBodies';
import { radiantConductivity, transparentShare } from '../../packages/core/src/heat/clearGlass';
import { type UnevenBody, steadyCooling } from '../../packages/core/src/field';
import { type Chart, type Curve, drawn } from './chart';

const HERE = import.meta.dirname ?? 'docs/plots';
const SOFT_90: GlassConstants = TYPICAL_FAMILIES[0];
const CLAMPED = { kind: 'open', emissivity: 0, convection_W_m2K: 1e7 } as const;
const range = (from: number, to: number, count: number): number[] => Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));

const slab = (depth_m: number, segments: SimulationInput['segments'], start_C: number, more: Partial<SimulationInput> = {}): SimulationInput => ({
  glass: SOFT_90,
  stack: [{ of: 'glass', thickness_m: depth_m }],
  faces: { top: CLAMPED, bottom: CLAMPED },
  segments,
  start_C,
  ...more,
});

function viscosity(): Chart {
  return {
    title: 'Viscosity of the typical families: log10 η = A + B/(T − T0)',
    x: { name: '°C', from: 400, to: 1000 },
    y: { name: 'log10 Pa·s', from: 2, to: 15 },
    curves: [...TYPICAL_FAMILIES]
      .sort((a, b) => logViscosity(viscosityOf(b), 1000) - logViscosity(viscosityOf(a), 1000))
      .map((family) => ({
        name: family.name.split(',')[0],
        points: range(400, 1000, 121).map((T) => [T, logViscosity(viscosityOf(family), T)] as const),
      })),
    marks: [
      { at: [515, 12], name: 'annealing' },
      { at: [680, 6.6], name: 'softening' },
    ],
  };
}

/** Error of the centre of a suddenly cooled slab against its series, as cells and steps shrink, and of residual stress as steps do. */
function convergence(): Chart {
  const L = 0.025;
  const tau = L ** 2 / diffusivity(SOFT_90) / 4;
  const centre = (glassIntervals: number, steps: number): number => {
    const mesh = meshOf([{ of: 'glass', thickness_m: L }], SOFT_90, { glassIntervals });
    const drive = { ...driveFrom(0), dt_s: (0.2 * tau) / steps };
    const body = heatSolver(mesh, { top: CLAMPED, bottom: CLAMPED }, 1, drive);
    for (let i = 0; i < steps; i += 1) body.step();
    return body.temperature[glassIntervals / 2];
  };
  const terms = range(0, 49, 50).map((n) => ((2 * n + 1) * Math.PI) / 2);
  const series = terms.reduce((sum, k, n) => sum + ((2 * (-1) ** n) / k) * Math.exp(-0.2 * k * k), 0);
  const mesh = [64, 32, 16, 8].map((cells) => [1 / cells, Math.abs(centre(cells, 4000) / series - 1)] as const);
  const fine = centre(160, 8000);
  const time = [64, 32, 16, 8].map((steps) => [1 / steps, Math.abs(centre(160, steps) / fine - 1)] as const);
  const cool = [
    { rate_C_per_h: 200, target_C: 600, hold_s: 600 },
    { rate_C_per_h: 13, target_C: 380, hold_s: 0 },
    { rate_C_per_h: 26, target_C: 30, hold_s: 0 },
  ];
  const tension = (resolution: SimulationInput['resolution']): number =>
    Math.max(
      ...(simulateFiring(slab(L, cool, 20, { steps: 'fixed', resolution, stress: { support: 'free' } })).residual ?? []).map(({ stress_Pa }) => stress_Pa),
    );
  const finest = tension({ glassIntervals: 80, stepShare: 0.125 });
  const steps = [1, 2, 4, 8].map((stepShare) => [stepShare / 64, Math.abs(tension({ glassIntervals: 80, stepShare }) / finest - 1)] as const);
  return {
    title: 'Error against cells, steps of a sudden drop, and steps of a firing',
    x: { name: 'share of the depth, of the drop’s time, of 64 °C', from: 0.01, to: 0.2, log: true },
    y: { name: 'relative error', from: 1e-6, to: 1e-1, log: true },
    curves: [
      { name: 'cells, sudden drop', points: mesh },
      { name: 'steps, sudden drop', points: time },
      { name: 'steps, stress left', points: steps },
      { name: 'second order', dashed: true, points: [0.0125, 0.125].map((h) => [h, h * h] as const) },
    ],
  };
}

function residualStress(): Chart {
  const cooled = (hold_s: number, at_C: number) =>
    simulateFiring({
      ...slab(0.025, [], 560, { faces: { top: CLAMPED, bottom: { kind: 'insulated' } }, stress: { support: 'both' } }),
      segments: [
        { rate_C_per_h: 100, target_C: at_C, hold_s },
        { rate_C_per_h: 13, target_C: 380, hold_s: 0 },
        { rate_C_per_h: 26, target_C: 30, hold_s: 0 },
      ],
    });
  const curve = (name: string, profile: { z_m: number; stress_Pa: number }[] = [], dashed = false): Curve => ({
    name,
    dashed,
    points: profile.map(({ z_m, stress_Pa }) => [z_m * 1e3, stress_Pa / 1e6] as const),
  });
  const high = cooled(4 * 3600, 515);
  return {
    title: 'What stays in 25 mm cooled at 13 °C/h, one face open',
    x: { name: 'mm over the underside', from: 0, to: 25 },
    y: { name: 'MPa, tension positive', from: -2.5, to: 1.5 },
    curves: [
      curve('free to bow', high.residual),
      curve('held flat', high.residualFlat),
      curve('soaked at 482, 4 h', cooled(4 * 3600, 482).residual, true),
      curve('at 482, 30 min', cooled(1800, 482).residual, true),
    ],
  };
}

function looks(): Chart {
  const vft = viscosityOf(SOFT_90);
  // A climb at 300 °C/h and a drop at 800 do as much as this many seconds of the hold.
  const ramps_s = (T: number): number => ((T - vft.T0) ** 2 / (vft.B * Math.LN10)) * (1 / 300 + 1 / 800) * 3600;
  return {
    title: 'Holds of equal heat work, soft sheet 90, 3 mm sheets; boxes: where practice fires',
    x: { name: '°C', from: 680, to: 840 },
    y: { name: 'minutes', from: 1, to: 100, log: true },
    curves: (['firePolish', 'tack', 'contour', 'fullFuse'] as const).map((look) => ({
      name: RECIPES[look].name,
      points: range(680, 840, 161)
        .map((T) => [T, (Math.sqrt(TYPICAL_WORKS[look].least * TYPICAL_WORKS[look].most) / fluidity(vft, T) - ramps_s(T)) / 60] as const)
        .filter(([, minutes]) => minutes > 1),
    })),
    marks: [
      { at: [690, 4], to: [740, 15], name: 'fire polish' },
      { at: [720, 5], to: [765, 20], name: 'tack' },
      { at: [755, 5], to: [790, 20], name: 'contour' },
      { at: [790, 8], to: [820, 25], name: 'full fuse' },
    ],
  };
}

function sag(): Chart {
  const vft = viscosityOf(SOFT_90);
  return {
    title: 'How far 6 mm has sagged after 20 min, and where the plate formula alone would put it',
    x: { name: '°C', from: 560, to: 680 },
    y: { name: 'mm', from: 0, to: 60 },
    curves: (
      [
        [0.3, 0, '300, plate'],
        [0.3, undefined, '300 mm wide'],
        [0.2, undefined, '200'],
        [0.1, undefined, '100'],
      ] as const
    ).map(([span, stretching, name]) => ({
      name,
      dashed: stretching === 0,
      points: range(560, 680, 121).map((T) => [T, 1e3 * sagAfter(SOFT_90, { span_m: span }, 0.006, 1200 * fluidity(vft, T), Infinity, stretching)] as const),
    })),
    marks: [{ at: [625, 47], to: [640, 53], name: '50 mm deep, 300 wide' }],
  };
}

/** Kiln, skin and core of a composed full fuse. */
function firing(): Chart {
  const firingCase: FiringCase = {
    body: {
      glasses: [SOFT_90],
      layers: evenSheets(Array.from({ length: 4 }, () => ({ thickness_m: 0.006 }))),
      footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.3 },
      joined: false,
    },
    setup: BARE_SHELF,
    kiln: TYPICAL_KILN,
    look: 'fullFuse',
    school: DEFAULT_SCHOOL,
    limits: DEFAULT_LIMITS,
  };
  const plan = compose(firingCase);
  if (!plan.ok) throw new Error(plan.problem.message);
  const { series, total_s } = simulateFiring(simulationOf(firingCase, plan.value.segments, true));
  const hours = (values: readonly number[] = []) => values.map((value, i) => [(series?.t_s[i] ?? 0) / 3600, value] as const);
  const apart = hours(series?.core_C).map(([t, core], i) => [t, 10 * Math.abs(core - (series?.skin_C[i] ?? 0))] as const);
  return {
    title: 'A composed full fuse, four 6 mm sheets: kiln, skin, and ten times core–surface',
    x: { name: 'hours', from: 0, to: Math.ceil(total_s / 3600) },
    y: { name: '°C', from: 0, to: 900 },
    curves: [
      { name: 'kiln', points: hours(series?.kiln_C) },
      { name: 'skin', points: hours(series?.skin_C), dashed: true },
      { name: '10 × core–surface', points: apart },
    ],
  };
}

/** How far the middle of a bar lags, over short²/κ for 1 K/s: by the series for a rectangle, its long side so many times its short one. */
function barLag(times: number): number {
  const terms = range(0, 39, 40).map((n) => (-1) ** n / ((2 * n + 1) ** 3 * Math.cosh(((2 * n + 1) * Math.PI * times) / 2)));
  return 1 / 8 - (4 / Math.PI ** 3) * terms.reduce((sum, one) => sum + one, 0);
}

/** Error of the field's middle against closed forms, faces held at the kiln. */
function field(): Chart {
  const short_m = 0.06;
  const held = { top: 'held', side: 'held', bottom: 'held' } as const;
  const ended = { ...held, side: 0 } as const;
  const bodies: [name: string, body: Omit<UnevenBody, 'level' | 'glass'>, over: number][] = [
    ['plate', { shape: 'section', parts: [{ width_m: 0.1, depth_m: short_m }], exchange_W_m2K: ended }, 1 / 8],
    ['square bar', { shape: 'section', parts: [{ width_m: short_m, depth_m: short_m }], exchange_W_m2K: held }, barLag(1)],
    ['bar 2:1', { shape: 'section', parts: [{ width_m: 2 * short_m, depth_m: short_m }], exchange_W_m2K: held }, barLag(2)],
  ];
  return {
    title: 'How far the middle lags: error of the field against closed forms, and as the square of a cell',
    x: { name: 'cell, share of the depth', from: 0.01, to: 0.2, log: true },
    y: { name: 'relative error', from: 1e-5, to: 1e-1, log: true },
    curves: [
      ...bodies.map(([name, body, over]) => ({
        name,
        points: [61, 31, 15, 7].map((fineness) => {
          const { lead_s } = steadyCooling({ ...body, level: 'bottom', glass: SOFT_90, fineness });
          return [1 / fineness, Math.abs((lead_s * diffusivity(SOFT_90)) / (over * short_m ** 2) - 1)] as const;
        }),
      })),
      { name: 'second order', dashed: true, points: [0.0125, 0.125].map((h) => [h, h * h] as const) },
    ],
  };
}

/** Of every drawn body, what stays in it as it is told and by the second solver. */
function secondField(): Chart {
  const points = drawnBodies({ castings: 20, blocks: 8, tacked: 60 }).map(opinionOn);
  const most = 1.1;
  return {
    title: '88 uneven bodies as composed: tension left, as told and by a solver that shares no code',
    x: { name: 'MPa, by the second solver', from: 0, to: most },
    y: { name: 'MPa, as told', from: 0, to: most },
    curves: [
      { name: 'the same', points: [0, most].map((one) => [one, one] as const) },
      { name: '1.15 times', dashed: true, points: [0, most / 1.15].map((one) => [one, 1.15 * one] as const) },
    ],
    marks: points.map(({ residual_Pa, ours_Pa }) => ({ at: [residual_Pa / 1e6, ours_Pa / 1e6] as const })),
  };
}

/** What radiation adds to the conductivity of clear glass, as the engine has it and by discrete ordinates across a straight profile. */
function radiation(): Chart {
  const absorption_perM = 10;
  const depths = range(0, 1, 25).map((share) => 0.002 * 100 ** share);
  return {
    title: 'What radiation adds to clear glass, which conducts 1.2 by itself',
    x: { name: 'mm deep', from: 2, to: 200, log: true },
    y: { name: 'W/(m·K)', from: 0.01, to: 30, log: true },
    curves: [800, 480].flatMap((at_C) => {
      const kelvin = at_C + 273.15;
      const ordinates = (depth_m: number): number =>
        transparentShare(kelvin) * conductedByOrdinates({ depth_m, absorption_perM, kelvin, emissivity: 0.4, refraction: 1.5 });
      return [
        { name: `ordinates, ${at_C} °C`, dashed: true, points: depths.map((depth_m) => [1000 * depth_m, ordinates(depth_m)] as const) },
        { name: `as taken, ${at_C} °C`, points: depths.map((depth_m) => [1000 * depth_m, radiantConductivity({ absorption_perM }, at_C, depth_m)] as const) },
      ];
    }),
  };
}

const CHARTS: Record<string, () => Chart> = { viscosity, convergence, residualStress, looks, sag, firing, field, secondField, radiation };
for (const [name, chart] of Object.entries(CHARTS)) writeFileSync(join(HERE, `${name}.svg`), drawn(chart()));

const minutes = (seconds: number): string => (seconds < 5400 ? `${Math.round(seconds / 60)} min` : `${(seconds / 3600).toFixed(1)} h`);

const GLASS_COLUMNS = { warmUp: 'warm-up', squeeze: 'squeeze', work: 'work', drop: 'soak', firstCool: 'first cool', secondCool: 'second', lastCool: 'last' };
const EMPTY_COLUMNS = { dry: 'dry', warmUp: 'slowly', climb: 'climb', work: 'top', firstCool: 'cool', lastCool: 'last' };

/** What each of the bodies gets, one row each. */
function table(bodies: typeof BODIES, columns: Record<string, string>): string {
  const rows = bodies.map(([name, firing]) => {
    const outcome = compose(firing);
    if (!outcome.ok) throw new Error(`${name}: ${outcome.problem.message}`);
    const { segments, evaluation, converged } = outcome.value;
    if (!converged || brokenOf(evaluation.readings).length > 0) throw new Error(`${name} does not keep its limits.`);
    const rate = (rate_C_per_h: number | null): string => (rate_C_per_h === null ? 'by itself' : `${Number(rate_C_per_h.toPrecision(3))}`);
    const told = (role: string): string => {
      const segment = segments.find((one) => one.role === role);
      if (!segment) return '';
      const held = segment.hold_s > 0 ? `, ${minutes(segment.hold_s)}` : '';
      return role === 'drop' ? `${Math.round(segment.target_C)}${held}` : `${rate(segment.rate_C_per_h)} to ${Math.round(segment.target_C)}${held}`;
    };
    return `| ${[name, `${(evaluation.simulation.total_s / 3600).toFixed(1)} h`, ...Object.keys(columns).map(told)].join(' | ')} |`;
  });
  const heads = ['body', 'cold to open', ...Object.values(columns)];
  return [`| ${heads.join(' | ')} |`, `|${'---|'.repeat(heads.length)}`, ...rows].join('\n');
}

const ofEmpty = ([, { look }]: (typeof BODIES)[number]): boolean => RECIPES[look].empty !== undefined;

const schedules = (): string => `# What each body gets

Composed by the engine as it stands, printed by \`npm run pictures\` from \`packages/core/src/bodies.testCases.ts\`. Soft sheet 90, 300 by 300 mm, on a bare
shelf, in a kiln that climbs 500 °C/h at 600 °C, where nothing else is said. Rates in °C/h, temperatures in °C; cold to open includes how
long the kiln takes by itself. Every one keeps all its limits (a test). Typical figures: check your maker's sheet.

${table(
  BODIES.filter((one) => !ofEmpty(one)),
  GLASS_COLUMNS,
)}

## With no glass in them

${table(BODIES.filter(ofEmpty), EMPTY_COLUMNS)}
`;
writeFileSync(join(HERE, '..', 'schedules.md'), schedules());

/** What schedule/bodies.test.ts holds the engine to, so that a change of it shows what moved. */
const figures = Object.fromEntries(
  BODIES.map(([name, firing]): [string, Figures] => {
    const made = compose(firing);
    if (!made.ok) throw new Error(`${name}: ${made.problem.message}`);
    return [name, figuresOf(made.value)];
  }),
);
writeFileSync(join(HERE, '..', '..', FIGURES_FILE), `${JSON.stringify(figures, null, 2)}\n`);
