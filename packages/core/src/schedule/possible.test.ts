import type { FormShape } from '../form/shape';
import { TYPICAL_FAMILIES } from '../glass/families';
import { TYPICAL_KILN } from '../kiln/typical';
import { neededWork } from '../look/work';
import { type Shaping, bowlHeight, spanned } from '../look/shaping';
import type { FiringCase } from './firingCase';
import { impossibleFiring, shapeNotes } from './possible';
import { BARE_SHELF } from './setups';
import { DEFAULT_LIMITS } from './limits';
import { METRIC } from '../units/convert';
import { compose } from './compose';
import { verdictOf } from './words';

const kiln = TYPICAL_KILN;
const body = (width_m: number, length_m = width_m): FiringCase['body'] => ({
  glasses: [TYPICAL_FAMILIES[0]],
  layers: [{ form: 'sheet', glass: 0, thickness_m: 0.006 }],
  footprint: { shape: 'rectangle', width_m, length_m },
  joined: true,
});
const firing = (shaping: Shaping | undefined, width_m = 0.24, more: Partial<FiringCase> = {}): FiringCase => ({
  body: body(width_m, 0.3),
  setup: { ...BARE_SHELF, ...(shaping ? { shaping } : {}) },
  kiln,
  look: shaping?.kind === 'former' ? 'drape' : 'slump',
  school: { soak: 'auto', heat: 'cooler' },
  limits: DEFAULT_LIMITS,
  ...more,
});
const basin: FormShape = { use: 'hollow', plan: 'round', across_m: 0.24, deep_m: 0.03, thick_m: 0.01, material: 'earthenware' };
const hollow = (span_m: number, depth_m: number): Shaping => ({ kind: 'hollow', span_m, depth_m });
const former = (overhang_m: number, drop_m: number, former_m?: number): Shaping => ({ kind: 'former', overhang_m, drop_m, ...(former_m ? { former_m } : {}) });

describe('a firing that cannot be is refused at its field, with what would be right', () => {
  test.each([
    [
      'a blank that stands out further than it is wide',
      firing(former(0.3, 0.05)),
      'setup.shaping.overhang_m',
      /240 mm across rests on nothing.*less than 120 mm/,
    ],
    ['one that stands out by half of it', firing(former(0.12, 0.05)), 'setup.shaping.overhang_m', /rests on nothing/],
    ['an edge that is to come down further than it reaches', firing(former(0.06, 0.09)), 'setup.shaping.drop_m', /stands out 60 mm cannot come down 90 mm/],
    ["a blank on its mould's floor", firing(hollow(0.4, 0.03), 0.1), 'setup.shaping.span_m', /100 mm across lies on the floor of a mould 400 mm across/],
    ['a slump without a mould', firing(undefined), 'setup.shaping', /cut-out in fibre board is one/],
    ['a drape without a former', firing(undefined, 0.24, { look: 'drape' }), 'setup.shaping', /the former it hangs over/],
    [
      'a piece longer than its kiln',
      firing(hollow(0.2, 0.03), 0.24, { kiln: { ...kiln, insideWidth_m: 0.28, insideLength_m: 0.28 } }),
      'kilnId',
      /240 mm by 300 mm/,
    ],
    [
      'a corner that does not go into a round kiln',
      firing(hollow(0.2, 0.03), 0.24, { kiln: { ...kiln, insideDiameter_m: 0.38 } }),
      'kilnId',
      /384 mm across its corners/,
    ],
    [
      'a mould of the shelf that is wider outside than its kiln',
      firing(hollow(0.24, 0.03), 0.24, {
        setup: { ...BARE_SHELF, shaping: hollow(0.24, 0.03), form: { ...basin, across_m: 0.34 } },
        kiln: { ...kiln, insideWidth_m: 0.35, insideLength_m: 0.6 },
      }),
      'kilnId',
      /The mould or former is 360 mm by 360 mm over its outside and the kiln 350 mm by 600 mm/,
    ],
    [
      'one that stands too high with the blank on it',
      firing(hollow(0.24, 0.03), 0.24, { setup: { ...BARE_SHELF, shaping: hollow(0.24, 0.03), form: basin }, kiln: { ...kiln, insideHeight_m: 0.045 } }),
      'kilnId',
      /It stands 46 mm high/,
    ],
    ['a mould too high for its kiln', firing(hollow(0.2, 0.06), 0.24, { kiln: { ...kiln, insideHeight_m: 0.06 } }), 'kilnId', /66 mm high/],
  ])('%s', (_, one, path, message) => {
    const problem = impossibleFiring(one, 'mm');
    expect(problem).toMatchObject({ code: 'impossible', path, message: expect.stringMatching(message) });
    expect(compose(one)).toMatchObject({ ok: false, problem: { path } });
  });

  test.each([
    ['a blank as wide as its mould', firing(hollow(0.24, 0.04))],
    ['one somewhat smaller', firing(hollow(0.27, 0.04))],
    ['an edge that hangs all but straight down', firing(former(0.08, 0.078))],
    ['a piece that just goes in', firing(hollow(0.2, 0.03), 0.24, { kiln: { ...kiln, insideWidth_m: 0.3, insideLength_m: 0.24, insideHeight_m: 0.04 } })],
  ])('%s can be', (_, one) => expect(impossibleFiring(one, 'mm')).toBeNull());
});

describe('what is everyday is said', () => {
  test('how far below the rim a smaller blank lies, as the bowl has it', () => {
    // A cap of a sphere: r = (a² + d²)/(2d); at half-width b it is r − √(r² − b²) above its floor.
    const [a, d, b] = [0.15, 0.05, 0.12];
    const r = (a * a + d * d) / (2 * d);
    expect(bowlHeight({ span_m: 0.3, depth_m: 0.05 }, 0.24)).toBeCloseTo(r - Math.sqrt(r * r - b * b), 12);
    expect(bowlHeight({ span_m: 0.3, depth_m: 0.05 }, 0.3)).toBe(0.05);
    expect(shapeNotes(firing(hollow(0.3, 0.05)), 'mm').join(' ')).toMatch(/starts on the wall, 19\.3 mm below the rim/);
  });

  test('it then sinks from there: a smaller span and less depth', () => {
    const whole = hollow(0.3, 0.05) as Extract<Shaping, { kind: 'hollow' }>;
    const smaller = spanned(whole, body(0.24).footprint);
    expect(smaller.span_m).toBe(0.24);
    expect(smaller.depth_m).toBeLessThan(0.05);
    const work = (width_m: number, shaping: Shaping): number => {
      const needed = neededWork(body(width_m), 'slump', DEFAULT_LIMITS.works_perPa, shaping);
      if (!needed.ok) throw new Error(needed.problem.message);
      return needed.value.least;
    };
    expect(work(0.24, whole)).toBe(work(0.24, smaller));
    expect(work(0.3, whole)).toBe(work(0.4, whole));
  });

  test('what stays flat on a former, and on one bigger than the blank', () => {
    expect(shapeNotes(firing(former(0.08, 0.05)), 'mm')[0]).toBe('The middle 80 mm stays flat on the former.');
    expect(shapeNotes(firing(former(0.08, 0.05, 0.3)), 'mm')[0]).toMatch(/as big as the blank or bigger: the middle 240 mm stays flat/);
  });

  test.each([
    [
      'a rectangle over a disc',
      { shape: 'rectangle', width_m: 0.24, length_m: 0.3 },
      {},
      /rectangular, the mould round, 200 mm: the short way it stands 20 mm over the rim, the long way it stands 50 mm over the rim\. Its corners/,
    ],
    [
      'a disc over an oval',
      { shape: 'disc', diameter_m: 0.2 },
      { plan: 'oval', along_m: 0.3 },
      /round, the mould oval, 200 mm by 300 mm: the short way it ends at the rim, the long way it ends 50 mm inside the rim\. It lies on two sides alone/,
    ],
    [
      'an oval of other proportions',
      { shape: 'oval', width_m: 0.2, length_m: 0.26 },
      { plan: 'oval', along_m: 0.3 },
      /oval, the mould oval.*the long way it ends 20 mm inside/,
    ],
    ['an oval like it', { shape: 'oval', width_m: 0.22, length_m: 0.33 }, { plan: 'oval', along_m: 0.3 }, null],
    ['what goes over a trough', { shape: 'rectangle', width_m: 0.24, length_m: 0.9 }, { plan: 'trough', along_m: 0.3 }, null],
    [
      'an outline by its corners',
      {
        shape: 'polygon',
        corners_m: [
          [0, 0],
          [0.3, 0],
          [0.1, 0.3],
        ],
      },
      {},
      null,
    ],
  ] as const)('where blank and mould have other outlines: %s', (_, footprint, opening, says) => {
    const case_ = firing({ ...hollow(0.2, 0.03), ...opening } as Shaping);
    const said = shapeNotes({ ...case_, body: { ...case_.body, footprint } }, 'mm').filter(
      (one) => one.startsWith('The blank is ') && one.includes('the mould'),
    );
    expect(said).toEqual(says ? [expect.stringMatching(says)] : []);
  });

  test('a kiln of unknown size is not judged, and that is said', () => {
    const square = { ...hollow(0.2, 0.03), plan: 'rectangle', along_m: 0.25 } as Shaping;
    expect(shapeNotes(firing(square), 'mm')).toEqual([expect.stringMatching(/not judged/)]);
    expect(shapeNotes(firing(square, 0.24, { kiln: { ...kiln, insideDiameter_m: 0.6 } }), 'mm')).toEqual([]);
  });
});

test('a disc with more rim than goes round its former is said to fold; one with none to spare is not', () => {
  const over = (former_m: number): string => {
    const draped = firing(former(0.06, 0.03, former_m), 0.24, { body: { ...body(0.24), footprint: { shape: 'disc', diameter_m: 0.24 } } });
    const made = compose(draped);
    if (!made.ok) throw new Error(made.problem.message);
    return verdictOf(draped, made.value.evaluation, METRIC, made.value.segments).join(' ');
  };
  expect(over(0.12)).toMatch(/Of the disc 50 % of the rim are more than goes round its former: it folds in lobes/);
  expect(over(0.24)).not.toMatch(/folds in lobes/);
});
