/** The landmarks: where the uncorrected engine must land for soft sheet 90 and for the other families. */
import { SOFT_90, STUDIO_KILN, familyOfId, sheetsOf } from '../testCases';
import type { KilnConstants } from '../kiln/kiln';
import { RECIPES } from '../look/recipes/all';
import { LOOKS, type Look } from '../look/names';
import type { Shaping } from '../look/shaping';
import { evaluate } from './check';
import { brokenOf, heatWorkBand } from './reading';
import { coatingRange } from '../flow/harm';
import { type Composed, compose } from './compose';
import { type FiringCase } from './firingCase';
import { resolved } from './resolved';
import { simulationOf } from './simulationOf';
import { ghostOf } from '../look/ghost';
import { type Layer, evenSheets } from '../body/layers';
import { naturalDepth } from '../body/body';
import { simulateFiring } from '../heat/simulate';
import { METRIC } from '../units/convert';
import type { Role } from '../kiln/segment';
import { setUpOf, SETUPS, type SetUpKind, withPaper } from './setups';
import { consequences } from './differences';
import { DEFAULT_LIMITS } from './limits';
import { brokenSentence, heatWorkFigures, readingPhrase, verdictOf } from './words';

const HOT_KILN: KilnConstants = { ...STUDIO_KILN, top_C: 1150, power_K_per_s: 0.5 };
const BOWL: Shaping = { kind: 'hollow', span_m: 0.3, depth_m: 0.05 };
const SMALL_BOWL: Shaping = { kind: 'hollow', span_m: 0.1, depth_m: 0.0167 };
const FORMER: Shaping = { kind: 'former', overhang_m: 0.08, drop_m: 0.06 };

function composed(firing: FiringCase): Composed {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value;
}
const at = (plan: Composed, role: Role) => plan.segments.find((segment) => segment.role === role)!;

/** What is no lay-up of sheets: grains, strips, segments, and the form they need. */
const OTHERWISE: Partial<Record<Look, { layer: Layer; shaping?: Shaping }>> = {
  wafer: { layer: { form: 'powder', glass: 0, perArea_kg_m2: 2.5, grain_m: 2e-4 } },
  lace: { layer: { form: 'frit', glass: 0, perArea_kg_m2: 2.2, grain_m: 2e-3 } },
  heap: { layer: { form: 'frit', glass: 0, perArea_kg_m2: 25, grain_m: 3e-3 } },
  strips: { layer: { form: 'sheet', glass: 0, thickness_m: 0.012 }, shaping: { kind: 'strips', sheet_m: 0.003 } },
  ring: { layer: { form: 'sheet', glass: 0, thickness_m: 0.012, cover: 0.9 }, shaping: { kind: 'ring', gap_m: 0.004 } },
  press: { layer: { form: 'frit', glass: 0, perArea_kg_m2: 30, grain_m: 4e-3 }, shaping: { kind: 'press', spacer_m: 0.009, plate_kg: 6, plate_m: 0.02 } },
  drip: { layer: { form: 'frit', glass: 0, perArea_kg_m2: 40, grain_m: 5e-3 }, shaping: { kind: 'drain', holes: 60, hole_m: 0.012, plate_m: 0.01 } },
  openCast: { layer: { form: 'frit', glass: 0, perArea_kg_m2: 50, grain_m: 5e-3 }, shaping: { kind: 'cavity', thick_m: 0.024, thin_m: 0.018, wall_m: 0.025 } },
  coreCast: {
    layer: { form: 'frit', glass: 0, perArea_kg_m2: 30, grain_m: 4e-3 },
    shaping: { kind: 'core', thick_m: 0.014, thin_m: 0.012, wall_m: 0.025, core_m: 0.02 },
  },
  reservoirCast: {
    layer: { form: 'frit', glass: 0, perArea_kg_m2: 80, grain_m: 8e-3 },
    shaping: { kind: 'reservoir', thick_m: 0.03, thin_m: 0.02, wall_m: 0.025, hole_m: 0.05, plate_m: 0.02 },
  },
  potMelt: { layer: { form: 'frit', glass: 0, perArea_kg_m2: 60, grain_m: 5e-3 }, shaping: { kind: 'drain', holes: 1, hole_m: 0.04, plate_m: 0.01 } },
};

/** What joins goes on fresh sheets, the others on one solid. */
function caseOf(look: Look, thickness_m: number, setup: SetUpKind = 'bareShelf', shaping?: Shaping): FiringCase {
  const fused = RECIPES[look].joins;
  const own = OTHERWISE[look];
  const base = fused ? sheetsOf(Math.round(thickness_m / 0.003), 0.003) : sheetsOf(1, thickness_m);
  const shapes = shaping ?? own?.shaping ?? (look === 'slump' ? BOWL : look === 'drape' ? FORMER : undefined);
  // A blank is as wide as its mould.
  const footprint = look === 'slump' ? ({ shape: 'rectangle', width_m: 0.3, length_m: 0.3 } as const) : base.body.footprint;
  return {
    ...base,
    look,
    kiln: { ...base.kiln, top_C: 1000 },
    body: { ...base.body, ...(own ? { layers: [own.layer] } : {}), footprint, joined: !fused },
    setup: setUpOf({ kind: setup, paper: false, ...(shapes ? { shaping: shapes } : {}) }),
  };
}

describe.each([0.003, 0.006, 0.012])('uncorrected, for soft sheet 90, %s m deep', (depth) => {
  test.each([
    ['firePolish', 690, 740, 5, 40],
    ['tack', 720, 765, 5, 20],
    ['contour', 755, 790, 5, 20],
    ['fullFuse', 790, 820, 8, 25],
    ['slabFlow', 820, 850, 40, 110],
  ] as const)('a %s lands between %s and %s °C', (look, from, to, least, most) => {
    const plan = composed(caseOf(look, depth));
    const { target_C, hold_s } = at(plan, 'work');
    const squeeze = plan.segments.find(({ role }) => role === 'squeeze');
    expect(squeeze?.target_C ?? 600).toBeGreaterThanOrEqual(600);
    expect(squeeze?.target_C ?? 677).toBeLessThanOrEqual(677);
    expect(target_C).toBeGreaterThanOrEqual(from);
    expect(target_C).toBeLessThanOrEqual(to);
    expect(hold_s / 60).toBeGreaterThanOrEqual(least);
    expect(hold_s / 60).toBeLessThanOrEqual(most);
  });

  test('a slump into 300 mm lands between 612 and 670 °C for 5 to 40 min', () => {
    const { target_C, hold_s } = at(composed(caseOf('slump', depth, 'inMould')), 'work');
    expect(target_C).toBeGreaterThanOrEqual(612);
    expect(target_C).toBeLessThanOrEqual(670);
    expect(hold_s / 60).toBeGreaterThanOrEqual(5);
    expect(hold_s / 60).toBeLessThanOrEqual(40);
  });
});

describe('landmarks', () => {
  test('a 6 mm blank slumps 50 mm into 300 mm near 625 to 640 °C, into 100 mm near 648 to 660 °C', () => {
    const wide = at(composed(caseOf('slump', 0.006, 'inMould')), 'work').target_C;
    const small = at(composed(caseOf('slump', 0.006, 'inMould', SMALL_BOWL)), 'work').target_C;
    expect(wide).toBeGreaterThanOrEqual(625);
    expect(wide).toBeLessThanOrEqual(640);
    expect(small).toBeGreaterThanOrEqual(648);
    expect(small).toBeLessThanOrEqual(660);
  });

  test('equal viscosity: 96-type lands 10 to 25 °C lower, float 25 to 55 higher', () => {
    for (const look of ['tack', 'contour', 'fullFuse'] as const) {
      const work = (id: string): number => {
        const base = sheetsOf(2, 0.003, familyOfId(id));
        return at(composed({ ...base, look }), 'work').target_C;
      };
      expect(work('soft-90') - work('soft-96')).toBeGreaterThanOrEqual(10);
      expect(work('soft-90') - work('soft-96')).toBeLessThanOrEqual(25);
      expect(work('float') - work('soft-90')).toBeGreaterThanOrEqual(25);
      expect(work('float') - work('soft-90')).toBeLessThanOrEqual(55);
    }
  });

  test('borosilicate full fuses near 1020 °C', () => {
    const { target_C } = at(composed({ ...sheetsOf(2, 0.003, familyOfId('boro-33')), kiln: HOT_KILN }), 'work');
    expect(Math.abs(target_C - 1020)).toBeLessThanOrEqual(30);
  });

  test('the looks follow one another: each next one is hotter work', () => {
    const works = (['firePolish', 'tack', 'contour', 'fullFuse', 'slabFlow'] as const).map((look) => composed(caseOf(look, 0.006)).evaluation.work_perPa.mean);
    for (let i = 1; i < works.length; i += 1) expect(works[i]).toBeGreaterThan(works[i - 1]);
  });
});

describe('every look on every set-up', () => {
  const looks = LOOKS.filter((look) => !RECIPES[look].empty);
  const all = looks.flatMap((look) => (Object.keys(SETUPS) as SetUpKind[]).map((setup) => [look, setup] as const));

  test.each(all)('a %s, %s, keeps every limit and says why', (look, setup) => {
    const plan = composed(caseOf(look, 0.006, setup));
    expect(brokenOf(plan.evaluation.readings).map(({ limit }) => limit)).toEqual([]);
    expect(plan.converged).toBe(true);
    expect(plan.evaluation.readings.map(({ limit }) => limit)).toEqual(expect.arrayContaining(['workLeast', 'workMost', 'even', 'residual', 'opening']));
  });

  test.each(looks)('a %s on fibre paper converges too', (look) => {
    const firing = caseOf(look, 0.006);
    expect(composed({ ...firing, setup: withPaper(firing.setup) }).converged).toBe(true);
  });

  test('shaping leaves the edges as they are: far less work than a polish', () => {
    const polish = composed(caseOf('firePolish', 0.006)).evaluation.work_perPa.mean;
    for (const look of ['slump', 'drape'] as const) expect(composed(caseOf(look, 0.006, 'inMould')).evaluation.work_perPa.mean).toBeLessThan(polish / 2);
  });

  test('only sheets that have to lie down are squeezed', () => {
    const roles = (look: Look): Role[] => composed(caseOf(look, 0.006)).segments.map(({ role }) => role);
    expect(roles('tack')).toContain('squeeze');
    for (const look of ['firePolish', 'slump', 'drape'] as const) expect(roles(look)).not.toContain('squeeze');
  });
});

describe('what a case asks for', () => {
  test.each([
    ['slump', undefined, 'setup.shaping'],
    ['drape', BOWL, 'setup.shaping'],
    ['slump', { kind: 'hollow', span_m: 0.02, depth_m: 0.01 } as Shaping, 'setup.shaping.span_m'],
  ] as const)('a %s with %j is refused at %s', (look, shaping, path) => {
    const firing = { ...caseOf(look, 0.006), setup: { ...SETUPS.inMould, ...(shaping ? { shaping } : {}) } };
    expect(compose(firing)).toMatchObject({ ok: false, problem: { path } });
  });

  test('tack relief cools slower than the even body under it, and keeps its relief', () => {
    const even = caseOf('tack', 0.006);
    const relief: FiringCase = { ...even, body: { ...even.body, parts: [{ glass: 0, thickness_m: 0.003, area_m2: 6e-4, count: 5 }] } };
    const cool = (firing: FiringCase): number => at(composed(firing), 'firstCool').rate_C_per_h ?? 0;
    expect(cool(relief)).toBeLessThan(0.75 * cool(even));
    expect(composed(relief).evaluation.simulation.segments.at(-1)?.reliefLeft).toBeGreaterThan(0.2);
  });

  test('the height that laid parts keep is what each look is known for: a tack three quarters, a contour half, a full fuse a little', () => {
    const left = (look: Look): number => {
      const base = caseOf(look, 0.006);
      const plan = composed({ ...base, body: { ...base.body, parts: [{ glass: 0, thickness_m: 0.003, area_m2: 6.25e-4, count: 5 }] } });
      return plan.evaluation.simulation.segments.at(-1)?.reliefLeft ?? 1;
    };
    expect(Math.abs(left('tack') - 0.76)).toBeLessThan(0.08);
    expect(Math.abs(left('contour') - 0.5)).toBeLessThan(0.08);
    expect(Math.abs(left('fullFuse') - 0.15)).toBeLessThan(0.12);
    expect(left('slabFlow')).toBeLessThan(0.001);
  });

  test.each([
    ['tack', /^About 7\d % of the height of its parts is left standing\.$/],
    ['fullFuse', /^It ends nearly level: about \d\d % of the height of its parts can still be felt\.$/],
    ['slabFlow', /^What was laid on sinks in: it ends level\.$/],
  ] as const)('what becomes of relief after a %s is one sentence', (look, sentence) => {
    const base = caseOf(look, 0.006);
    const firing: FiringCase = { ...base, body: { ...base.body, parts: [{ glass: 0, thickness_m: 0.003, area_m2: 6.25e-4, count: 5 }] } };
    const said = verdictOf(firing, composed(firing).evaluation, METRIC, composed(firing).segments).filter((words) =>
      /relief|height of its parts|level/.test(words),
    );
    expect(said).toEqual([expect.stringMatching(sentence)]);
  });

  describe('segments 24 mm high over a third of a dam', () => {
    const base = caseOf('slabFlow', 0.006);
    const segments = { form: 'sheet', glass: 0, thickness_m: 0.024, cover: 1 / 3 } as const;
    const slab: FiringCase = { ...base, body: { ...base.body, dammed: true, layers: [segments] } };
    const even: FiringCase = { ...base, body: { ...base.body, dammed: true, layers: evenSheets([{ thickness_m: 0.008 }]) } };

    test('end 8 mm deep and are cooled and annealed so, as an even slab of 8 mm is', () => {
      expect(resolved(slab).depth_m.fired).toBeCloseTo(0.008, 12);
      expect(ghostOf(slab.body, 'slabFlow', 0.27).depth_m).toBeCloseTo(0.008, 4);
      const [one, other] = [composed(slab), composed(even)];
      for (const role of ['firstCool', 'secondCool'] as const) expect(at(one, role).rate_C_per_h).toBe(at(other, role).rate_C_per_h);
      expect(Math.abs(at(one, 'drop').hold_s - at(other, 'drop').hold_s)).toBeLessThanOrEqual(600);
      expect(brokenOf(one.evaluation.readings)).toEqual([]);
      expect(verdictOf(slab, one.evaluation, METRIC, one.segments).join(' ')).toMatch(/Laid 24 mm deep, it runs down to 8 mm/);
    });

    test('but are warmed as what they are, 24 mm', () => {
      expect(at(composed(slab), 'warmUp').rate_C_per_h).toBeLessThan((at(composed(even), 'warmUp').rate_C_per_h ?? 0) / 2);
    });

    test('told by one clock and one curve, whichever body a row is of', () => {
      const { segments } = composed(slab);
      const { simulation } = evaluate(slab, segments, true);
      const plain = simulateFiring(simulationOf(slab, segments, true));
      expect(simulation.segments.map(({ end_s }) => end_s)).toEqual(plain.segments.map(({ end_s }) => expect.closeTo(end_s, 3)));
      expect(simulation.total_s).toBeCloseTo(plain.total_s, 3);
      const { t_s, joints } = simulation.series!;
      t_s.slice(1).forEach((t, i) => expect(t).toBeGreaterThanOrEqual(t_s[i]));
      joints.forEach(({ holdEnd }, i) => expect(t_s[holdEnd]).toBeCloseTo(simulation.segments[i].end_s, 3));
    });

    test('a dam too shallow for its glass leaves it as deep as hot glass rests, and what stands free on a base keeps what a full fuse leaves', () => {
      const thin = { ...slab, body: { ...slab.body, layers: [{ ...segments, cover: 0.1 }] } };
      expect(resolved(thin).depth_m.fired).toBeCloseTo(naturalDepth(SOFT_90), 12);
      const plaque = caseOf('fullFuse', 0.006);
      const raised: FiringCase = { ...plaque, body: { ...plaque.body, parts: [{ glass: 0, thickness_m: 0.003, area_m2: 6e-4, count: 10 }] } };
      expect(resolved(raised).depth_m.fired).toBeGreaterThan(0.0065);
      expect(resolved(raised).depth_m.fired).toBeLessThan(0.0085);
    });
  });

  test('a full fuse leaves less of the relief than a tack', () => {
    const left = (look: Look): number => {
      const base = caseOf(look, 0.006);
      const plan = composed({ ...base, body: { ...base.body, parts: [{ glass: 0, thickness_m: 0.003, area_m2: 6e-4, count: 5 }] } });
      return plan.evaluation.simulation.segments.at(-1)?.reliefLeft ?? 1;
    };
    expect(left('fullFuse')).toBeLessThan(left('contour'));
    expect(left('contour')).toBeLessThan(left('tack'));
  });

  test('proof that both faces cool lets it cool faster', () => {
    const one = caseOf('fullFuse', 0.012, 'raisedShelf');
    const two = { ...one, setup: { ...one.setup, twoFaceProof: 'readings' as const } };
    expect(at(composed(two), 'firstCool').rate_C_per_h).toBeGreaterThan(at(composed(one), 'firstCool').rate_C_per_h ?? Infinity);
  });

  test('a kiln that reads high is asked for more, by as much', () => {
    const plain = composed(caseOf('fullFuse', 0.006));
    const offset = composed({ ...caseOf('fullFuse', 0.006), corrections: { offset_K: 8, workFactor: 1 } });
    offset.segments.forEach((segment, i) => expect(segment.target_C).toBeCloseTo(plain.segments[i].target_C + 8, 9));
    expect(offset.evaluation.work_perPa).toEqual(plain.evaluation.work_perPa);
    const far: FiringCase = { ...caseOf('fullFuse', 0.006), corrections: { offset_K: 50, workFactor: 1 } };
    expect(evaluate(far, composed(far).segments).readings).toEqual(plain.evaluation.readings);
  });

  test('a studio whose work needs half as much again gets it', () => {
    const more = composed({ ...caseOf('fullFuse', 0.006), corrections: { offset_K: 0, workFactor: 1.5 } });
    expect(more.evaluation.work_perPa.mean / composed(caseOf('fullFuse', 0.006)).evaluation.work_perPa.mean).toBeCloseTo(1.5, 1);
  });

  test('a controller of five segments gets five, none of them faster than before', () => {
    const controller = { unit: 'C', fullSpeedCode: 4000, mostSegments: 5 } as const;
    const plan = composed({ ...caseOf('fullFuse', 0.024), controller });
    expect(plan.segments.length).toBeLessThanOrEqual(6);
    expect(plan.remarks.join(' ')).toMatch(/joined/);
    expect(brokenOf(plan.evaluation.readings)).toEqual([]);
  });

  test('a residual limit that is tighter than the five-degree rule slows the first cool', () => {
    const base = caseOf('fullFuse', 0.024);
    const strict = composed({ ...base, limits: { ...base.limits, residual_Pa: 1.5e5 } });
    expect(strict.converged).toBe(true);
    expect(at(strict, 'firstCool').rate_C_per_h).toBeLessThan(at(composed(base), 'firstCool').rate_C_per_h ?? 0);
  });

  test.each([0.08, 0.1, 0.15, 0.2, 0.3, 0.4])('sheets %s m wide are squeezed for an hour at most, hotter where the air has further to go', (side_m) => {
    const base = caseOf('fullFuse', 0.006);
    const plan = composed({ ...base, body: { ...base.body, footprint: { shape: 'rectangle', width_m: side_m, length_m: side_m } } });
    const squeeze = at(plan, 'squeeze');
    expect(squeeze.hold_s).toBeLessThanOrEqual(3600);
    expect(squeeze.hold_s).toBeGreaterThanOrEqual(600);
    expect(squeeze.target_C).toBeGreaterThanOrEqual(600);
    expect(squeeze.target_C).toBeLessThanOrEqual(675);
    expect(brokenOf(plan.evaluation.readings)).toEqual([]);
  });

  /** Two sheets of 3 mm, the upper one coated; a square of the given side. */
  const coatedTop = (coated: 'up' | 'down', side_m: number): FiringCase => {
    const base = caseOf('fullFuse', 0.006);
    const footprint = { shape: 'rectangle', width_m: side_m, length_m: side_m } as const;
    return { ...base, body: { ...base.body, footprint, layers: [base.body.layers[0], { form: 'sheet', glass: 0, thickness_m: 0.003, coated }] } };
  };
  const coating = (firing: FiringCase) => composed(firing).evaluation.readings.find(({ limit }) => limit === 'coating');

  test('small bare coated work goes through the range in which coatings lift in 25 minutes at most, without a hold in it', () => {
    const pendant = coatedTop('up', 0.034);
    const plan = composed(pendant);
    expect(coating(pendant)).toMatchObject({ ok: true, allowed: 1500 });
    const { from_C, to_C } = coatingRange(SOFT_90);
    const up = plan.segments.slice(0, plan.segments.findIndex(({ role }) => role === 'work') + 1);
    expect(up.filter(({ target_C, hold_s }) => hold_s > 0 && target_C > from_C && target_C < to_C)).toEqual([]);
  });

  test('larger bare work that cannot says so, with what would help; face down it is no limit', () => {
    const plate = coatedTop('up', 0.3);
    const broken = coating(plate);
    expect(broken?.ok).toBe(false);
    expect(brokenSentence(broken!, METRIC, 'fullFuse')).toMatch(/Cap it, turn it face down, or accept that it may/);
    expect(coating(coatedTop('down', 0.3))).toBeUndefined();
    expect(at(composed(plate), 'squeeze').hold_s).toBeLessThan(at(composed(coatedTop('down', 0.3)), 'squeeze').hold_s);
  });

  test('air that has twice as far to go asks for four times the squeeze; small work, bare grains and one solid for none', () => {
    const sized = (side_m: number): FiringCase => {
      const base = caseOf('fullFuse', 0.006);
      return { ...base, body: { ...base.body, footprint: { shape: 'rectangle', width_m: side_m, length_m: side_m } } };
    };
    expect(resolved(sized(0.4)).squeeze_perPa / resolved(sized(0.2)).squeeze_perPa).toBeCloseTo(4, 9);
    expect(resolved(sized(0.059)).squeeze_perPa).toBe(0);
    const grains = { ...sized(0.3), body: { ...sized(0.3).body, layers: [{ form: 'frit', glass: 0, perArea_kg_m2: 8 } as const] } };
    expect(resolved(grains).squeeze_perPa).toBe(0);
    const solid = { ...sized(0.3), body: { ...sized(0.3).body, joined: true } };
    expect(resolved(solid).squeeze_perPa).toBe(0);
    for (const firing of [sized(0.05), grains, solid]) {
      const plan = composed(firing);
      expect(plan.segments.map(({ role }) => role)).not.toContain('squeeze');
      expect(plan.evaluation.readings.map(({ limit }) => limit)).not.toContain('squeeze');
      expect(plan.converged).toBe(true);
    }
    for (const side_m of [0.1, 0.3, 0.5]) {
      const { target_C, hold_s } = at(composed(sized(side_m)), 'squeeze');
      expect(target_C).toBeGreaterThanOrEqual(600);
      expect(target_C).toBeLessThanOrEqual(677);
      expect(hold_s / 60).toBeLessThanOrEqual(60);
    }
  });

  test('cooler and longer gives way to hotter and shorter where haze forbids it, and says so', () => {
    const cooler = caseOf('fullFuse', 0.006);
    const exposure = (firing: FiringCase): number => composed(firing).evaluation.readings.find(({ limit }) => limit === 'haze')?.value ?? 0;
    const long = exposure(cooler);
    const short = exposure({ ...cooler, school: { ...cooler.school, heat: 'hotter' } });
    expect(short).toBeLessThan(long);
    const plan = composed({ ...cooler, limits: { ...cooler.limits, haze_s: (long + short) / 2 } });
    expect(plan.school.heat).toBe('hotter');
    expect(plan.converged).toBe(true);
    expect(plan.remarks[0]).toMatch(/would devitrify/);
    expect(composed(cooler).school.heat).toBe('cooler');
  });

  test('a casting is fired as its thickest section, a slender one faster than a slab of the same depth', () => {
    const base = caseOf('firePolish', 0.006);
    const cast = (slender?: 'cylinder' | 'sphere'): FiringCase => ({
      ...base,
      body: { ...base.body, layers: [], casting: { glass: 0, volume_m3: 5e-4, thickest_m: 0.03, thinnest_m: 0.03, slender } },
    });
    const cool = (firing: FiringCase): number => at(composed(firing), 'firstCool').rate_C_per_h ?? 0;
    expect(cool(cast('cylinder'))).toBeGreaterThan(cool(cast()));
    expect(cool(cast('sphere'))).toBeGreaterThan(cool(cast('cylinder')));
  });
});

describe('heat work is one percentage with its band', () => {
  const hotter = (plan: Composed, by_K: number) => plan.segments.map((one) => (one.role === 'work' ? { ...one, target_C: one.target_C + by_K } : one));

  test.each([
    ['tack', 0.006, 40],
    ['tack', 0.006, -40],
    ['fullFuse', 0.012, 0],
    ['slump', 0.006, 0],
    ['slump', 0.006, 30],
  ] as const)('wherever it stands: a %s, %s m deep, %s K off', (look, depth, by_K) => {
    const firing = caseOf(look, depth);
    const segments = hotter(composed(firing), by_K);
    const evaluation = evaluate(firing, segments);
    const { figure, band } = heatWorkFigures(heatWorkBand(firing, evaluation.work_perPa));
    const told = evaluation.readings.filter(({ limit }) => limit === 'workLeast' || limit === 'workMost');
    expect(told).toHaveLength(2);
    for (const reading of told) expect(readingPhrase(reading, METRIC)).toBe(`heat work ${figure} % ${band}`);
    for (const reading of brokenOf(told)) expect(brokenSentence(reading, METRIC, look)).toContain(`Heat work is ${figure} %`);
    const [row] = consequences({ firing, evaluation }, { firing, evaluation }, METRIC);
    expect(row).toMatchObject({ what: 'heat work', before: { figure, unit: '%' } });
    expect(band).toMatch(look === 'slump' ? /^of 50–250$/ : /^of \d\d–1\d\d$/);
  });

  test.each(LOOKS.filter((look) => !RECIPES[look].empty).map((look) => [look]))(
    'a %s has an end above its least, at most five times that, and says what comes past it',
    (look) => {
      const firing = caseOf(look, look === 'slump' || look === 'drape' || RECIPES[look].frees ? 0.006 : 0.012);
      const plan = composed(firing);
      const { least, most } = heatWorkBand(firing, plan.evaluation.work_perPa);
      expect(most).toBeGreaterThan(1.1 * least);
      expect(most).toBeLessThanOrEqual(5 * least + 1e-9);
      // A hundred degrees too hot goes past it in every kind, and is told with what that does to the piece.
      const past = evaluate(firing, hotter(plan, 100));
      const broken = brokenOf(past.readings).find(({ limit }) => limit === 'workMost')!;
      expect(brokenSentence(broken, METRIC, look)).toContain(`It will go too far: ${RECIPES[look].looksLike.late}.`);
    },
  );

  test('a studio that bears more than five times the least is held to five times', () => {
    const firing = caseOf('fullFuse', 0.006);
    const { fullFuse } = DEFAULT_LIMITS.works_perPa;
    const wide = {
      ...firing,
      limits: { ...firing.limits, works_perPa: { ...DEFAULT_LIMITS.works_perPa, fullFuse: { ...fullFuse, most: 100 * fullFuse.least } } },
    };
    const { least, most } = heatWorkBand(wide, { least: 1, mean: 1, most: 1 });
    expect(most / least).toBeCloseTo(5, 9);
  });
});
