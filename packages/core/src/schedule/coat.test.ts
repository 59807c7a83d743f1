/** What is between glass and shelf: how hot it may get, how fast it may be warmed while its binder leaves, and what heat meets in it. */
import { BODIES } from '../bodies.testCases';
import type { Coat } from '../release/coat';
import { sheetsOf } from '../testCases';
import { METRIC } from '../units/convert';
import { evaluate } from './check';
import { brokenOf, heatWorkBand } from './reading';
import { type Composed, compose } from './compose';
import type { FiringCase } from './firingCase';
import { reckoningOf } from './reckoning';
import { type ChosenSetUp, setUpOf } from './setups';
import { brokenSentence, readingPhrase, whyOf } from './words';

const two = sheetsOf(2, 0.003);
const on = (coat: Partial<Coat>, more: Partial<ChosenSetUp> = {}): FiringCase => ({
  ...two,
  setup: setUpOf({ kind: 'bareShelf', paper: false, ...more, coat: { name: 'Thin primer', kind: 'primer', top_C: 900, ...coat } }),
});
function composed(firing: FiringCase): Composed {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value;
}
const hottest = ({ segments }: Composed) => segments.find(({ role }) => role === 'work')!;
const limits = (firing: FiringCase, { segments }: Composed): string[] => brokenOf(evaluate(firing, segments).readings).map(({ limit }) => limit);
const bare = composed({ ...two, setup: setUpOf({ kind: 'bareShelf', paper: false }) });

describe('the top of a coat', () => {
  test('that is out of reach changes nothing', () => {
    const plan = composed(on({ top_C: hottest(bare).target_C + 20 }));
    expect(plan.segments).toEqual(bare.segments);
    expect(plan.evaluation.readings.some(({ limit }) => limit === 'coatTop')).toBe(false);
  });

  test('a little below where it would be fired: no hotter and for longer, the same work', () => {
    const top_C = hottest(bare).target_C - 5;
    const firing = on({ top_C });
    const plan = composed(firing);
    expect(hottest(plan).target_C).toBeLessThanOrEqual(top_C);
    expect(hottest(plan).hold_s).toBeGreaterThan(hottest(bare).hold_s);
    expect(plan.converged).toBe(true);
    expect(limits(firing, plan)).toEqual([]);
    const [with_, without] = [plan, bare].map(({ evaluation }) => heatWorkBand(firing, evaluation.work_perPa).shown);
    expect(Math.abs(with_ / without - 1)).toBeLessThan(0.05);
  });

  test('far below what the look takes is told by the amount, with its name where it is reckoned', () => {
    const firing = on({ top_C: 700 });
    const plan = composed(firing);
    expect(limits(firing, plan)).toEqual(['coatTop']);
    const reading = plan.evaluation.readings.find(({ limit }) => limit === 'coatTop')!;
    expect(brokenSentence(reading, METRIC, 'fullFuse')).toMatch(/^90 °C above the limit of the release under the glass/);
    expect(readingPhrase(reading, METRIC)).toBe('coat 790 of 700 °C');
    expect(reckoningOf({ firing, segments: plan.segments, reading, units: METRIC, evaluation: plan.evaluation }).join(' ')).toMatch(
      /'Thin primer', by its record: 700 °C/,
    );
  });

  test('counts at the glass: what the controller reads above it is taken off', () => {
    const offset_K = 12;
    const firing = { ...on({ top_C: hottest(bare).target_C + 1 }), corrections: { offset_K, workFactor: 1 } };
    const plan = composed(firing);
    expect(hottest(plan).target_C).toBe(hottest(bare).target_C + offset_K);
    expect(limits(firing, plan)).toEqual([]);
  });

  test('and that of a mould: a melt that a longer hold does under it is held there', () => {
    const [, pot] = BODIES.find(([name]) => name === 'melted from a pot')!;
    const free = composed(pot);
    const top_C = hottest(free).target_C - 15;
    const plan = composed({ ...pot, setup: { ...pot.setup, top_C } });
    expect(hottest(plan)).toMatchObject({ target_C: top_C });
    expect(hottest(plan).hold_s).toBeGreaterThan(hottest(free).hold_s);
    expect(plan.converged).toBe(true);
  });
});

test.each([
  'two sheets, tack',
  'a heap of 200 g',
  'a lace of frit',
  'a coated pendant, rushed',
  '50 mm, polished',
  'a deep bowl, 250 by 90 mm',
  'cast hollow',
  'window float',
])('%s: on a coat that bears a little less, no hotter, for longer, and within every limit', (name) => {
  const [, free] = BODIES.find(([one]) => one === name)!;
  const hot_C = hottest(composed(free)).target_C;
  const firing = { ...free, setup: { ...free.setup, coat: { name: 'Thin primer', top_C: hot_C - 8 } } };
  const plan = composed(firing);
  expect(hottest(plan).target_C).toBeLessThanOrEqual(hot_C - 8);
  expect(hottest(plan).hold_s).toBeGreaterThan(hottest(composed(free)).hold_s);
  expect(limits(firing, plan)).toEqual([]);
});

describe('the pace of a coat while its binder leaves', () => {
  const slow = (C_per_h: number, paceTo_C: number) => ({ pace_K_per_s: C_per_h / 3600, paceTo_C });

  test('has a way of its own, and all after it goes as without', () => {
    const firing = on(slow(60, 300));
    const plan = composed(firing);
    const [first, ...rest] = plan.segments;
    expect(first).toMatchObject({ role: 'burnOff', rate_C_per_h: 60, target_C: 300 });
    expect(whyOf(firing, first, 'mm')).toMatch(/what binds the coat leaves/);
    expect(rest.map(({ role }) => role)).toEqual(bare.segments.map(({ role }) => role));
    expect(rest[0].rate_C_per_h!).toBeGreaterThanOrEqual(bare.segments[0].rate_C_per_h!);
    // By the way itself, at either rate.
    const longer_s = plan.evaluation.simulation.total_s - bare.evaluation.simulation.total_s;
    const way_K = 300 - two.kiln.ambient_C;
    expect(Math.abs(longer_s / 3600 - (way_K / 60 - way_K / bare.segments[0].rate_C_per_h!))).toBeLessThan(0.3);
    expect(limits(firing, plan)).toEqual([]);
  });

  test('hurried by hand it is told', () => {
    const firing = on(slow(60, 300));
    const hurried = composed(firing).segments.map((segment, i) => (i === 0 ? { ...segment, rate_C_per_h: 150 } : segment));
    const [broken] = brokenOf(evaluate(firing, hurried).readings);
    expect(broken).toMatchObject({ limit: 'coatPace', segment: 0, value: 150, allowed: 60 });
    expect(brokenSentence(broken, METRIC, 'fullFuse')).toMatch(/by 90 °C\/h/);
    // What runs through it in one way at full speed is judged by its mean.
    const full = composed(firing).segments.map((segment, i) => (i === 0 ? { ...segment, rate_C_per_h: null } : segment));
    expect(brokenOf(evaluate(firing, full).readings).map(({ limit }) => limit)).toContain('coatPace');
  });

  test('nearly up to where glass is past brittle, the whole warm-up goes by it', () => {
    const plan = composed(on(slow(60, 500)));
    expect(plan.segments.map(({ role }) => role)).toEqual(bare.segments.map(({ role }) => role));
    expect(plan.segments[0].rate_C_per_h).toBe(60);
  });

  test('faster than all else it is not felt', () => {
    expect(composed(on(slow(500, 300))).segments).toEqual(bare.segments);
  });

  test('with glue that burns, and with water: each once, none faster than the coat', () => {
    const glued = composed(on(slow(60, 300), { wet: 'glued' }));
    expect(glued.segments.slice(0, 3).map(({ role }) => role)).toEqual(['dry', 'burnOff', 'warmUp']);
    const longer = composed(on(slow(100, 450), { wet: 'glued' }));
    expect(longer.segments.slice(0, 4).map(({ role, rate_C_per_h }) => [role, rate_C_per_h])).toMatchObject([
      ['dry', 100],
      ['burnOff', 100],
      ['burnOff', 100],
      ['warmUp', expect.any(Number)],
    ]);
    for (const plan of [glued, longer, composed(on(slow(60, 300), { wet: 'damp' }))]) expect(plan.converged).toBe(true);
  });

  test('is as slow in degrees of Fahrenheit', () => {
    const firing = { ...on(slow(60, 300)), controller: { unit: 'F', fullSpeedCode: 9999, mostSegments: 8 } as const };
    const [first] = composed(firing).segments;
    expect(first.rate_C_per_h!).toBeLessThanOrEqual(60.001);
    expect(first.target_C).toBeGreaterThanOrEqual(300);
    expect((first.target_C * 9) / 5 + 32).toBeCloseTo(Math.round((first.target_C * 9) / 5 + 32), 6);
  });
});

describe('what is laid between', () => {
  const layer = (coat: Partial<Coat>) => on(coat).setup.below.at(-1)!;

  test('is as thick as it is heavy; what is brushed on is no layer', () => {
    expect(layer({ kind: 'paper', weight_kg_m2: 0.4 }).thickness_m).toBeCloseTo(0.002, 9);
    expect(layer({ kind: 'blanket', weight_kg_m2: 1.1 }).thickness_m).toBeCloseTo(0.01, 9);
    expect(layer({ kind: 'paper' })).toEqual(setUpOf({ kind: 'bareShelf', paper: true }).below.at(-1));
    expect(on({}).setup.below).toEqual(setUpOf({ kind: 'bareShelf', paper: false }).below);
    for (const weight_kg_m2 of [0.01, 20]) expect(composed(on({ kind: 'blanket', weight_kg_m2, top_C: 1100 })).converged).toBe(true);
  });

  test('a thick blanket takes the shelf’s part in the firing away: it cools sooner', () => {
    const hours = composed(on({ kind: 'blanket', weight_kg_m2: 2, top_C: 1100 })).evaluation.simulation.total_s;
    expect(hours).toBeLessThan(bare.evaluation.simulation.total_s);
  });

  test('stands for the paper of the usual kind, and not under an empty item', () => {
    const paper: Coat & { name: string } = { name: 'Own', kind: 'paper', weight_kg_m2: 0.4, top_C: 800 };
    expect(setUpOf({ kind: 'bareShelf', paper: true, coat: paper }).below).toHaveLength(2);
    const item = { kind: 'ware', of: 'shelf', wall_m: 0.016, wide_m: 0.3, long_m: 0.3 } as const;
    expect(setUpOf({ kind: 'bareShelf', paper: false, shaping: item, coat: paper }).coat).toBeUndefined();
  });
});
