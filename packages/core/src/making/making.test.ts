import type { FormShape } from '../form/shape';
import type { Units } from '../units/convert';
import { WATER_kg_m3 } from '../units/physical';
import { BINDS_WATER, amountsFor, waxLeft } from './amounts';
import { drying } from './drying';
import { FLEXIBLES, MAKING_WAYS, MODELS, type Making, type StageName, makingProblem, stagesOf, standing } from './making';
import { dryingWords, stageCaution, stageDoes, stageTitle, waxLeftWords } from './makingWords';

const METRIC: Units = { temperature: 'C', length: 'mm', mass: 'g' };
const IMPERIAL: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const HOUR = 3600e3;
const DAY = 24 * HOUR;

const making = (more: Partial<Making> = {}): Making => ({
  way: 'investment',
  model: 'wax',
  flexible: 'none',
  rubberCoats: 4,
  plasterShare: 1,
  silicaShare: 1,
  waterShare: 1,
  told: [],
  ...more,
});
/** A cylinder of 100 mm, 40 deep, in 25 mm of wall. */
const cup: FormShape = {
  ...{ use: 'cavity', plan: 'round', across_m: 0.1, floor_m: 0.1, deep_m: 0.04, thick_m: 0.025, material: 'plasterSilica' },
  ...{ thickest_m: 0.04, thinnest_m: 0.04 },
};
const tell = (...stages: [StageName, number, number?][]): Making['told'] =>
  stages.map(([stage, at, mass_kg]) => ({ stage, at, ...(mass_kg === undefined ? {} : { mass_kg }) }));

describe('steps and waits', () => {
  test('each way has its own, a flexible mould before wax', () => {
    expect(stagesOf(making())).toEqual(['model', 'invest', 'clear', 'dry', 'burnOut', 'cast', 'divest']);
    expect(stagesOf(making({ flexible: 'alginate', model: 'firm' })).slice(0, 4)).toEqual(['model', 'alginate', 'wax', 'invest']);
    expect(stagesOf(making({ flexible: 'rubber', model: 'firm' })).slice(0, 5)).toEqual(['model', 'rubber', 'shell', 'wax', 'invest']);
    expect(stagesOf(making({ way: 'clay' })).at(-1)).toBe('bisque');
    expect(stagesOf(making({ way: 'castable' })).at(-1)).toBe('bake');
    expect(stagesOf(making({ way: 'metal' }))).toEqual(['degrease', 'descale', 'firstCoat']);
  });

  test('an investment from wax to divested: what is next, and from when on', () => {
    const at = (told: Making['told'], firedAt: number | null = null) => standing(making({ told }), firedAt, 1);
    expect(at([])).toMatchObject({ next: 'model', from: null });
    const invested = tell(['model', 0, 0.3], ['invest', HOUR]);
    expect(at(invested)).toMatchObject({ next: 'clear', from: 3 * HOUR });
    const out = [...invested, ...tell(['clear', 4 * HOUR, 0.25])];
    expect(at(out)).toMatchObject({ next: 'dry', from: null });
    const weighed = [...out, ...tell(['dry', 5 * HOUR, 1.6])];
    expect(at(weighed)).toMatchObject({ next: 'dry', from: 5 * HOUR + DAY, drying: { isDry: false } });
    const dry = [...weighed, ...tell(['dry', 9 * DAY, 1.01])];
    expect(at(dry)).toMatchObject({ next: 'burnOut', from: null, drying: null });
    const burnt = [...dry, ...tell(['burnOut', 10 * DAY])];
    expect(at(burnt)).toMatchObject({ next: 'cast' });
    // What was fired in it before is another casting.
    expect(at(burnt, 9 * DAY).next).toBe('cast');
    expect(at(burnt, 11 * DAY).next).toBe('divest');
    expect(at(burnt, 11 * DAY).stages.find(({ stage }) => stage === 'cast')?.at).toBe(11 * DAY);
    expect(at([...burnt, ...tell(['divest', 14 * DAY])], 11 * DAY)).toMatchObject({ next: null, from: null });
  });

  test('a step that was skipped is none that waits', () => {
    expect(standing(making({ told: tell(['invest', 0], ['burnOut', 5]) }), null, null).next).toBe('cast');
  });

  test('rubber is counted by its coats: an hour between them, a day after the last', () => {
    const rubber = (told: Making['told']) => standing(making({ flexible: 'rubber', rubberCoats: 3, told }), null, null);
    expect(rubber(tell(['model', 0], ['rubber', HOUR]))).toMatchObject({ next: 'rubber', from: 2 * HOUR, coatsOn: 1 });
    expect(rubber(tell(['model', 0], ['rubber', 1], ['rubber', 2], ['rubber', HOUR]))).toMatchObject({ next: 'shell', from: HOUR + DAY, coatsOn: 3 });
  });

  test('undercuts ask for what gives way', () => {
    expect(makingProblem({ way: 'investment', model: 'firm', flexible: 'none' }, { undercut: true })).toMatch(/cast wax in a flexible mould of it/);
    expect(makingProblem({ way: 'investment', model: 'firm', flexible: 'rubber' }, { undercut: true })).toBeNull();
    expect(makingProblem({ way: 'investment', model: 'wax', flexible: 'none' }, { undercut: true })).toBeNull();
    expect(makingProblem({ way: 'clay', model: 'firm', flexible: 'none' }, { undercut: true })).toMatch(/in parts/);
    expect(makingProblem({ way: 'clay', model: 'firm', flexible: 'none' }, {})).toBeNull();
  });
});

describe('amounts', () => {
  test('the slurry fills what the model leaves of its ring; plaster binds its water', () => {
    const { model_m3, wax_kg, mixed, wet_kg, dry_kg } = amountsFor(making(), cup);
    expect(model_m3).toBeCloseTo(Math.PI * 0.05 ** 2 * 0.04, 8);
    expect(wax_kg).toBeCloseTo((model_m3 ?? 0) * 930, 9);
    const [plaster, silica, water] = mixed.map(({ mass_kg }) => mass_kg);
    const filled = plaster / 2700 + silica / 2650 + water / WATER_kg_m3;
    expect(filled).toBeCloseTo(Math.PI * 0.075 ** 2 * 0.065 - (model_m3 ?? 0), 9);
    expect(wet_kg).toBeCloseTo(plaster + silica + water, 12);
    // 145.15 g of hemihydrate give 172.17 g of gypsum.
    expect(dry_kg).toBeCloseTo((plaster * 172.17) / 145.15 + silica, 3);
    expect(BINDS_WATER).toBeCloseTo(0.1862, 4);
  });

  test('wax that was weighed stands before its measures; what steam left is the difference', () => {
    const told = tell(['model', 0, 0.279], ['clear', 1, 0.21]);
    expect(amountsFor(making({ told }), cup).model_m3).toBeCloseTo(0.0003, 12);
    expect(waxLeft(making({ told }), 1)).toBeCloseTo(0.069, 12);
    expect(waxLeft(making({ told: tell(['clear', 1, 0.21]) }), 0.25)).toBeCloseTo(0.04, 12);
    expect(waxLeft(making({ model: 'foam', told }), 1)).toBeNull();
    const words = waxLeftWords(making({ told }), amountsFor(making({ told }), cup), METRIC);
    expect(words).toMatch(/^69 g of wax are in it yet/);
  });

  test('a shell of wax weighs its surface times its wall, and no more than if it were solid', () => {
    // Its floor and its side.
    const surface_m2 = Math.PI * 0.05 ** 2 + Math.PI * 0.1 * 0.04;
    expect(amountsFor(making({ waxWall_m: 0.004 }), cup).wax_kg).toBeCloseTo(surface_m2 * 0.004 * 930, 6);
    expect(amountsFor(making({ waxWall_m: 0.05 }), cup).wax_kg).toBeCloseTo(amountsFor(making(), cup).wax_kg ?? 0, 9);
    expect(amountsFor(making({ waxWall_m: 0.004, model: 'foam' }), cup).model_m3).toBeCloseTo(Math.PI * 0.05 ** 2 * 0.04, 8);
  });

  test('castable by the mass of its wall; clay and metal are mixed of nothing', () => {
    const { mixed } = amountsFor(making({ way: 'castable' }), { ...cup, use: 'hollow', material: 'fusedSilica' });
    expect(mixed.map(({ name }) => name)).toEqual(['castable', 'water']);
    expect(mixed[1].mass_kg / mixed[0].mass_kg).toBeCloseTo(0.09, 12);
    expect(amountsFor(making({ way: 'clay' }), cup).mixed).toEqual([]);
  });
});

describe('drying by weight', () => {
  test('the pace of two weighings foresees when it is dry, by the exponential it follows', () => {
    // 0.8 kg of water, to e^-t/2d of it.
    const mass = (days: number): { at: number; mass_kg: number } => ({ at: days * DAY, mass_kg: 2 + 0.8 * Math.exp(-days / 2) });
    const told = drying([mass(0), mass(1)], 2);
    expect(told.holds_kg).toBeCloseTo(0.8 * Math.exp(-0.5), 12);
    expect((told.dryAt ?? 0) / DAY).toBeCloseTo(2 * Math.log(0.8 / 0.04), 6);
    expect(drying([mass(5.9), mass(6)], 2).isDry).toBe(true);
  });

  test('where nobody knows its dry mass, two weighings a day apart that are the same tell', () => {
    expect(drying([], null)).toEqual({ isDry: false, holds_kg: null, dryAt: null, lost: null });
    expect(
      drying(
        [
          { at: 0, mass_kg: 3 },
          { at: DAY, mass_kg: 2.99 },
        ],
        null,
      ),
    ).toMatchObject({ isDry: true, holds_kg: null, dryAt: null });
    expect(
      drying(
        [
          { at: 0, mass_kg: 3 },
          { at: HOUR, mass_kg: 2.99 },
        ],
        null,
      ).isDry,
    ).toBe(false);
    expect(
      drying(
        [
          { at: 0, mass_kg: 3 },
          { at: DAY, mass_kg: 2.9 },
        ],
        null,
      ).isDry,
    ).toBe(false);
  });

  test('what does not lose anything foresees nothing', () => {
    expect(
      drying(
        [
          { at: 0, mass_kg: 3 },
          { at: HOUR, mass_kg: 3 },
        ],
        2,
      ).dryAt,
    ).toBeNull();
    expect(
      drying(
        [
          { at: HOUR, mass_kg: 3 },
          { at: HOUR, mass_kg: 2.5 },
        ],
        2,
      ).dryAt,
    ).toBeNull();
    expect(
      dryingWords(
        drying(
          [
            { at: 0, mass_kg: 3 },
            { at: DAY, mass_kg: 2.7 },
          ],
          2.5,
        ),
        METRIC,
      ),
    ).toBe('Still to leave: 200 g of water, by its mix. It lost 10.0 % in 24 h 00.');
  });
});

test('every step of every way has its words, in the units of the studio', () => {
  for (const way of MAKING_WAYS)
    for (const model of MODELS)
      for (const flexible of FLEXIBLES) {
        const one = making({ way, model, flexible });
        for (const stage of stagesOf(one)) {
          const words = stageDoes(stage, one, cup, amountsFor(one, cup), IMPERIAL);
          expect(words).toMatch(/\.$/);
          expect(words).not.toMatch(/ mm|°C|\d g\b|undefined|NaN/);
          expect(stageTitle(stage, one)).not.toBe('');
          expect(stageCaution(stage, one)).not.toBe('');
        }
      }
});
