/** Measures the engine and the interface in one run. The machine is noisy: read the ratios, not the milliseconds. */
import { evenSheets } from '@torvin/core/body';
import { steadyCooling } from '@torvin/core/field';
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { type SimulationInput, type SimulationResult, meshOf, simulateFiring } from '@torvin/core/heat';
import { TYPICAL_KILN } from '@torvin/core/kiln';
import { DEFAULT_LIMITS, DEFAULT_SCHOOL, BARE_SHELF, type FiringCase, compose, glassOf, setUpOf, simulationOf } from '@torvin/core/schedule';
import { crowdedStudio } from './crowded';
import { measureDrag } from './drag';
import { measureFold, measureInTime } from './inTime';
import { measureFirstView, measureTenYears } from './tenYears';
import { fireStudios } from '../packages/core/src/learn/studios.testCases';
import { againstPlainC, fieldsAgainstPlainC } from './plainC';
import { measurePlan } from './plan';
import { measureLoad } from './loads';
import { secondOpinion } from './secondOpinion';
import { allocatedPerStep, median, report, yardstick } from './measure';

const ROUNDS = 20;

const sheets = (count: number, thickness_m: number): FiringCase => ({
  body: {
    glasses: [TYPICAL_FAMILIES[0]],
    layers: evenSheets(Array.from({ length: count }, () => ({ thickness_m }))),
    footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.3 },
    joined: count === 1,
  },
  setup: BARE_SHELF,
  kiln: TYPICAL_KILN,
  look: 'fullFuse',
  school: DEFAULT_SCHOOL,
  limits: DEFAULT_LIMITS,
});

function composed(firing: FiringCase) {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value;
}

/** How far the error-controlled steps are from the fixed ones of the reference, as the greatest share of any figure. */
function stepError(input: SimulationInput): string {
  const controlled = simulateFiring(input);
  const fixed = simulateFiring({ ...input, steps: 'fixed' });
  const figuresOf = ({ segments, residual = [] }: SimulationResult): number[] => [
    ...segments.flatMap(({ deltaT_max_K, tension_max_Pa }) => [deltaT_max_K, tension_max_Pa]),
    segments.reduce((sum, { heatWork_perPa }) => sum + heatWork_perPa, 0),
    Math.max(0, ...residual.map(({ stress_Pa }) => stress_Pa)),
  ];
  const exact = figuresOf(fixed);
  const off = figuresOf(controlled).map((value, i) => (exact[i] === 0 ? 0 : Math.abs(value / exact[i] - 1)));
  return `${controlled.steps} steps for ${fixed.steps}, greatest difference of a figure ${(100 * Math.max(...off)).toFixed(2)} %`;
}

function engine(): void {
  const thick = sheets(1, 0.025);
  const plan = composed(thick);
  const bare = { ...simulationOf(thick, plan.segments), stack: [{ of: 'glass', thickness_m: 0.025 }] as const };
  const { steps } = simulateFiring({ ...bare, stack: [...bare.stack] });
  const nodes = meshOf(bare.stack, glassOf(thick)).height_m.length;
  const unit_ms = yardstick();
  const allocated = (stress: boolean): string =>
    allocatedPerStep(() => simulateFiring({ ...bare, stack: [...bare.stack], steps: 'fixed', ...(stress ? {} : { stress: undefined }) }).steps).toFixed(1);
  const bare_ms = median(ROUNDS, () => simulateFiring({ ...bare, stack: [...bare.stack] }));
  const shelf_ms = median(ROUNDS, () => simulateFiring(simulationOf(thick, plan.segments)));
  report('yardstick: 10 million dependent multiply-adds', unit_ms);
  report(
    `simulation, 25 mm body, ${nodes} nodes, ${steps} steps`,
    bare_ms,
    `${((bare_ms * 1e6) / steps / nodes).toFixed(1)} ns a node and step, ${(bare_ms / unit_ms).toFixed(2)} yardsticks`,
  );
  process.stdout.write(`error-controlled against the fixed steps of the reference: ${stepError(simulationOf(thick, plan.segments))}\n`);
  const withStress = allocated(true);
  process.stdout.write(`allocated, what a run sets up included: ${allocated(false)} bytes a step of heat, ${withStress} with stress\n`);
  report('the same on its shelf', shelf_ms, `${(shelf_ms / bare_ms).toFixed(2)} of the bare one`);
  for (const [name, firing] of [
    ['two 3 mm sheets', sheets(2, 0.003)],
    ['four 6 mm sheets', sheets(4, 0.006)],
  ] as const) {
    const { evaluations } = composed(firing);
    const ms = median(ROUNDS, () => composed(firing));
    report(`composing, ${name}`, ms, `${evaluations} simulations, ${(ms / bare_ms).toFixed(2)} of the 25 mm simulation`);
  }
}

/** Composing for the first time: an even plate, tacked work and a casting, each a little other than the one before, so that no field is known yet. */
function cold(): void {
  const plate = sheets(1, 0.025);
  const { segments } = composed(plate);
  const simulation_ms = median(ROUNDS, () => simulateFiring(simulationOf(plate, segments)));
  let round = 0;
  const other = (metres: number): number => metres * (1 + 1e-4 * (round += 1));
  const tacked = (): FiringCase => {
    const base = sheets(2, other(0.003));
    const parts = [{ glass: 0, thickness_m: 0.003, area_m2: 0.025 ** 2, count: 40 }];
    return { ...base, look: 'tack', body: { ...base.body, parts } };
  };
  const cast = (): FiringCase => {
    const base = sheets(1, other(0.045));
    const shaping = { kind: 'cavity', thick_m: 0.05, thin_m: other(0.04), wall_m: 0.025 } as const;
    return { ...base, look: 'openCast', body: { ...base.body, joined: false }, setup: setUpOf({ kind: 'inInvestment', paper: false, shaping }) };
  };
  for (const [name, of] of [
    ['an even plate', () => sheets(1, other(0.025))],
    ['tacked work', tacked],
    ['a casting of 50 and 40 mm', cast],
  ] as const) {
    const ms = median(ROUNDS, () => composed(of()));
    report(`composing for the first time, ${name}`, ms, `${(ms / simulation_ms).toFixed(1)} of the 25 mm simulation`);
  }
}

/** What a body of two depths costs, in its mould, as a section and as a quarter of a block. */
function fields(): void {
  const crystal = { conductivity_W_mK: 1.2, density_kg_m3: 2520, heatCapacity_J_kgK: 1100 };
  const plaster = { thickness_m: 0.025, conductivity_W_mK: 0.45, density_kg_m3: 1100, heatCapacity_J_kgK: 1000 };
  const casting = {
    ...({ shape: 'section', level: 'top', glass: crystal, exchange_W_m2K: { top: 90, side: 90, bottom: 0 } } as const),
    parts: [0.05, 0.04].map((depth_m) => ({ width_m: 0.1, depth_m })),
    under: [plaster],
    beside: plaster,
  };
  const thick = sheets(1, 0.025);
  const { segments } = composed(thick);
  const simulation_ms = median(ROUNDS, () => simulateFiring(simulationOf(thick, segments)));
  const block = { ...casting, shape: 'box', length_m: 0.2 } as const;
  for (const [name, body] of [
    ['section', casting],
    ['quarter of a block', block],
  ] as const) {
    const { cells, iterations } = steadyCooling(body);
    const ms = median(5, () => steadyCooling(body));
    report(`field of a casting, ${name}`, ms, `${cells} cells, ${iterations} steps, ${(ms / simulation_ms).toFixed(2)} of the 25 mm simulation`);
  }
  fieldsAgainstPlainC({ 'balance of a section': casting, 'balance of a quarter of a block': block });
}

/** The same body alone, both faces open, in a kiln that follows: what simulate.c computes. */
function plainC(): void {
  const face = { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 } as const;
  const segments = composed(sheets(1, 0.025)).segments.map((segment) => ({ ...segment, rate_C_per_h: segment.rate_C_per_h ?? 400 }));
  againstPlainC({
    glass: TYPICAL_FAMILIES[0],
    stack: [{ of: 'glass', thickness_m: 0.025 }],
    faces: { top: face, bottom: face },
    start_C: 20,
    acrossLag_s: 72,
    segments,
  });
}

/** Two hundred studios that do not exist: how often they come out right by a chart, and by what they have learnt. */
function studios(): void {
  const { chart, learnt, rangesHold, offsetsHold } = fireStudios(200, 12, 7);
  const percent = (share: number): string => `${Math.round(100 * share)} %`;
  console.log('firing   by a chart   by what was learnt');
  chart.forEach((share, i) => console.log(`${String(i + 1).padStart(6)}   ${percent(share).padStart(10)}   ${percent(learnt[i]).padStart(18)}`));
  console.log(`nine-in-ten ranges that hold: of heat work ${percent(rangesHold)}, of the offset ${percent(offsetsHold)}`);
}

engine();
cold();
measureLoad();
studios();
fields();
plainC();
secondOpinion();
measureFirstView();
measureFold();
measurePlan(yardstick());
await measureInTime();
await measureDrag(1);
await measureDrag(4);
await measureTenYears();
await crowdedStudio();
