/** What people fire every week, as bands that composed firings must fall in: soft sheet 90 on a bare shelf, a kiln that climbs 500 °C/h at 600 °C. */
import { BODIES } from '../bodies.testCases';
import { STUDIO_KILN, SOFT_90 } from '../testCases';
import { evenSheets } from '../body/layers';
import { fullPowerHeating, steadyHeating } from '../kiln/kiln';
import type { PurposefulSegment, Role } from '../kiln/segment';
import type { Look } from '../look/names';
import { lidsOf } from '../body/airWay';
import { openEdge } from '../body/body';
import { evaluate } from './check';
import { brokenOf } from './reading';
import { type Composed, compose } from './compose';
import { DEFAULT_SCHOOL, type FiringCase } from './firingCase';
import { DEFAULT_LIMITS } from './limits';
import { simulateFiring } from '../heat/simulate';
import type { Shaping } from '../look/shaping';
import { resolved } from './resolved';
import { simulationOf } from './simulationOf';
import { BARE_SHELF, SETUPS } from './setups';

const firingOf = (sheets_m: number[], side_m: number, joined: boolean, look: Look = 'fullFuse'): FiringCase => ({
  body: {
    glasses: [SOFT_90],
    layers: evenSheets(sheets_m.map((thickness_m) => ({ thickness_m }))),
    footprint: { shape: 'rectangle', width_m: side_m, length_m: side_m },
    joined,
  },
  setup: BARE_SHELF,
  kiln: STUDIO_KILN,
  look,
  school: DEFAULT_SCHOOL,
  limits: DEFAULT_LIMITS,
});

const slumped = (span_m: number, depth_m: number): FiringCase => ({
  ...firingOf([0.006], span_m, true, 'slump'),
  setup: { ...SETUPS.inMould, shaping: { kind: 'hollow', span_m, depth_m } },
});
const tack = BODIES.find(([name]) => name === 'two sheets, tack')![1];

function composed(firing: FiringCase): Composed {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  expect(brokenOf(outcome.value.evaluation.readings)).toEqual([]);
  return outcome.value;
}

const at = ({ segments }: Composed, role: Role): PurposefulSegment => segments.find((segment) => segment.role === role) as PurposefulSegment;
const hours = ({ evaluation }: Composed): number => evaluation.simulation.total_s / 3600;

function within(value: number, [least, most]: readonly [number, number]): void {
  expect(value).toBeGreaterThanOrEqual(least);
  expect(value).toBeLessThanOrEqual(most);
}

test('the kiln is the one that practice is told for', () => {
  expect(3600 * fullPowerHeating(STUDIO_KILN, 600)).toBeCloseTo(500, -1);
});

describe('one solid, polished', () => {
  test.each([
    [6, 300, [160, 300]],
    [12, 300, [110, 230]],
    [19, 300, [65, 130]],
    [25, 300, [45, 95]],
    [50, 300, [16, 34]],
    [6, 500, [110, 170]],
    [25, 500, [40, 70]],
  ] as const)('%s mm deep and %s mm wide warms as practice does', (depth_mm, side_mm, band) => {
    within(at(composed(firingOf([depth_mm / 1000], side_mm / 1000, true, 'firePolish')), 'warmUp').rate_C_per_h ?? 0, band);
  });

  test.each([
    [6, [0.5, 1], 91],
    [12, [1, 2], 43],
    [19, [2, 3], 21],
    [25, [2, 4], 13],
    [50, [6, 10], 3.5],
    [100, [14, 24], 0.9],
  ] as const)(
    '%s mm deep is soaked for some hours and cooled first at what the rule gives, then at 1.8 and 5 times that or less',
    (depth_mm, soak_h, first) => {
      const plan = composed(firingOf([depth_mm / 1000], 0.3, true, 'firePolish'));
      within(at(plan, 'drop').hold_s / 3600, soak_h);
      const cool = at(plan, 'firstCool').rate_C_per_h ?? 0;
      within(cool, [0.88 * first, 1.03 * first]);
      within(at(plan, 'secondCool').rate_C_per_h ?? 0, [1.1 * cool, 1.85 * first]);
      within(at(plan, 'lastCool').rate_C_per_h ?? 5 * cool, [1.8 * cool, 5.05 * first]);
    },
  );

  test.each([
    [12, [13, 18]],
    [19, [17, 25]],
    [25, [22, 34]],
    [50, [60, 95]],
  ] as const)('%s mm deep is out of the kiln as soon as practice has it', (depth_mm, band) => {
    within(hours(composed(firingOf([depth_mm / 1000], 0.3, true, 'firePolish'))), band);
  });
});

test.each([
  ['two sheets of 3 mm, full fused', firingOf([0.003, 0.003], 0.3, false), [11, 14]],
  ['6 mm, slumped', slumped(0.3, 0.05), [9, 13]],
  ['small work', firingOf([0.003, 0.003], 0.05, false), [4, 12]],
] as const)('%s, is out of the kiln as soon as practice has it', (_, firing, band) => within(hours(composed(firing)), band));

test.each([
  ['a tack of parts', tack, [720, 765], [5, 20]],
  ['a full fuse', firingOf([0.003, 0.003], 0.3, false), [790, 820], [8, 25]],
  ['a slump', slumped(0.3, 0.05), [612, 670], [5, 40]],
] as const)('%s is worked as hot and as long as practice does', (_, firing, degrees, minutes) => {
  const { target_C, hold_s } = at(composed(firing), 'work');
  within(target_C, degrees);
  within(hold_s / 60, minutes);
});

describe('only edges that are open yet are rounded', () => {
  test.each([
    ['6 mm, fused before', 6, true],
    ['12 mm, fused before', 12, true],
    ['19 mm, fused before', 19, true],
    ['25 mm, fused before', 25, true],
    ['a slab of 19 mm from elsewhere', 19, false],
  ])('%s, is full fused as any other and asks for no squeeze', (_, depth_mm, joined) => {
    const plan = composed(firingOf([depth_mm / 1000], 0.3, joined));
    within(at(plan, 'work').target_C, [780, 825]);
    within(at(plan, 'work').hold_s / 60, [8, 25]);
    expect(at(plan, 'squeeze')).toBeUndefined();
  });

  test('what is laid on a slab counts by its own thickness, and its shards by their own way out', () => {
    const shards = { glass: 0, thickness_m: 0.003, area_m2: 0.1 ** 2, count: 4 };
    const slab = firingOf([0.019], 0.3, true, 'tack');
    const withShards = { ...slab, body: { ...slab.body, joined: false, parts: [shards] } };
    expect(openEdge(withShards.body)).toBe(0.003);
    expect(openEdge(firingOf([0.006, 0.004], 0.3, false).body)).toBe(0.006);
    expect(lidsOf(withShards.body)).toEqual([{ thickness_m: 0.003, way_m: 0.1 }]);
    expect(lidsOf({ ...withShards.body, joined: true })).toEqual([]);
  });
});

describe('a squeeze', () => {
  const firing = firingOf([0.003, 0.003], 0.3, false);
  const { segments } = composed(firing);
  /** Work of the squeeze as a share of its need, held at so many degrees for so long. */
  const squeezed = (target_C: number, hold_s: number): number => {
    const changed = segments.map((one) => (one.role === 'squeeze' ? { ...one, target_C, hold_s } : one));
    const reading = evaluate(firing, changed).readings.find(({ limit }) => limit === 'squeeze');
    return reading ? reading.value / reading.allowed : 0;
  };

  test('is held for 20 to 60 minutes between 600 and 675 °C', () => {
    const squeeze = segments.find(({ role }) => role === 'squeeze');
    within(squeeze?.target_C ?? 0, [600, 675]);
    within((squeeze?.hold_s ?? 0) / 60, [20, 60]);
  });

  test('does ever more the hotter it is held, without a leap where it begins to count', () => {
    const shares = [585, 590, 595, 600, 605, 610, 615].map((target_C) => squeezed(target_C, 83 * 3600));
    for (let i = 1; i < shares.length; i += 1) within(shares[i] / shares[i - 1], [1.1, 1.6]);
  });

  test('counts less and less as the rim seals, without a leap there either', () => {
    const shares = [664, 668, 672, 676, 680, 684, 688, 692].map((target_C) => squeezed(target_C, 1800));
    for (let i = 1; i < shares.length; i += 1) within(shares[i] / shares[i - 1], [0.65, 1.25]);
    expect(Math.max(...shares)).toBeGreaterThan(shares[shares.length - 1]);
  });
});

describe('every slump and drape', () => {
  const shaped = (look: 'slump' | 'drape', width_m: number, thickness_m: number, shaping: Shaping): FiringCase => ({
    ...firingOf([thickness_m], width_m, true, look),
    setup: { ...SETUPS[look === 'slump' ? 'inMould' : 'overFormer'], shaping },
  });
  const asked: FiringCase[] = [0.003, 0.006, 0.009].flatMap((thickness_m) => [
    ...[0.08, 0.1, 0.2, 0.4].flatMap((span_m) =>
      [0.015, 0.03, 0.05].map((depth_m) => shaped('slump', span_m, thickness_m, { kind: 'hollow', span_m, depth_m })),
    ),
    ...[0.03, 0.06, 0.12].flatMap((overhang_m) => [0.01, 0.03].map((drop_m) => shaped('drape', 0.3, thickness_m, { kind: 'former', overhang_m, drop_m }))),
  ]);

  test('keeps every limit, or is refused with the share of the heat work that edges bear', () => {
    const outcomes = asked.map((firing) => compose(firing));
    const refused = outcomes.flatMap((outcome) => (outcome.ok ? [] : [outcome.problem]));
    for (const { code, message } of refused)
      expect([code, message]).toEqual(
        code === 'too-stiff'
          ? ['too-stiff', expect.stringMatching(/asks for \d+ % of the heat work/)]
          : ['impossible', expect.stringMatching(/comes down .+ at most/)],
      );
    for (const outcome of outcomes) if (outcome.ok) expect(brokenOf(outcome.value.evaluation.readings)).toEqual([]);
    within(refused.length, [1, asked.length / 3]);
  });
});

describe('kilns that cannot be', () => {
  const firing = firingOf([0.003, 0.003], 0.3, false);

  test('such as one that loses no heat are refused in a sentence', () => {
    const outcome = compose({ ...firing, kiln: { ...STUDIO_KILN, loss_per_s: 0, radiantLoss_per_K3_s: 0 } });
    expect(outcome).toMatchObject({ ok: false, problem: { code: 'kiln-never-cools', path: 'kiln.loss_per_s', message: expect.not.stringContaining('NaN') } });
  });

  test('the slowest rate that can be asked for is no stall', () => {
    const { stalled, total_s } = simulateFiring({ ...simulationOf(firing, []), segments: [{ rate_C_per_h: 0.1, target_C: 22, hold_s: 0 }] });
    expect(stalled).toBeNull();
    expect(total_s / 3600).toBeCloseTo(20, 6);
  });
});

describe('sheets that lie loose', () => {
  test('of 3 mm, two of them, warm as practice does', () => {
    within(at(composed(firingOf([0.003, 0.003], 0.3, false)), 'warmUp').rate_C_per_h ?? 0, [180, 340]);
  });

  test('of small work with a bare coating go as fast as kiln and glass allow, up to their work', () => {
    const pendant = BODIES.find(([name]) => name === 'a coated pendant')![1];
    const plan = composed(pendant);
    for (const role of ['warmUp', 'work'] as const) {
      const { rate_C_per_h, target_C } = at(plan, role);
      expect(rate_C_per_h!).toBeGreaterThan(0.8 * 3600 * steadyHeating(pendant.kiln, target_C));
    }
    // A large one is held to be even all the same.
    const panel: FiringCase = { ...pendant, body: { ...pendant.body, footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.2 } } };
    expect([resolved(pendant).mayDiffer, resolved(panel).mayDiffer]).toEqual([true, false]);
    expect(plan.evaluation.readings.find(({ limit }) => limit === 'pull')!.ok).toBe(true);
  });

  test('of small work warm about as fast as the kiln', () => {
    within(at(composed(firingOf([0.003, 0.003], 0.055, false)), 'warmUp').rate_C_per_h ?? 0, [350, 1000]);
  });
});
