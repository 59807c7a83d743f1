/** Some hundreds of quantities as people type them: every way to write a number with every spelling of a unit. */
import { METRIC, type Units } from './convert';
import {
  parseDensity,
  parseDifference,
  parseDuration,
  parseExpansion,
  parseLength,
  parseMass,
  parseRate,
  parseStrewn,
  parseTemperature,
  unitsWritten,
} from './parse';

const NUMBERS: [string, number][] = [
  ['1', 1],
  ['12', 12],
  ['300', 300],
  ['1.5', 1.5],
  ['6,5', 6.5],
  ['.5', 0.5],
  ['0.25', 0.25],
  ['1/2', 0.5],
  ['3/8', 0.375],
  ['1 1/4', 1.25],
  ['1-1/2', 1.5],
  ['1 - 1/2', 1.5],
  ['1½', 1.5],
  ['¾', 0.75],
];

const LENGTHS: [string, number][] = [
  ['mm', 1e-3],
  [' mm', 1e-3],
  ['cm', 1e-2],
  [' m', 1],
  ['in', 0.0254],
  [' inches', 0.0254],
  ['"', 0.0254],
  ['″', 0.0254],
  [' ft', 0.3048],
  [' feet', 0.3048],
];
const MASSES: [string, number][] = [
  ['g', 1e-3],
  [' grams', 1e-3],
  ['kg', 1],
  [' oz', 0.028349523125],
  ['oz.', 0.028349523125],
  ['lb', 0.45359237],
  [' pounds', 0.45359237],
  [' ounces', 0.028349523125],
  [' lbs', 0.45359237],
];
const TIMES: [string, number][] = [
  ['s', 1],
  [' min', 60],
  ['min.', 60],
  ['h', 3600],
  [' hours', 3600],
  [' sec', 1],
  [' hr', 3600],
];

/** All numbers with all units, as [typed, SI value]. */
const crossed = (units: [string, number][]): [string, number][] =>
  NUMBERS.flatMap(([number, value]) => units.map(([unit, factor]): [string, number] => [number + unit, value * factor]));

const same = (got: unknown, wanted: number): boolean => typeof got === 'number' && Math.abs(got - wanted) <= 1e-12 + 1e-9 * Math.abs(wanted);

describe.each([
  ['length', crossed(LENGTHS), (typed: string) => parseLength(typed, 'mm')],
  ['mass', crossed(MASSES), (typed: string) => parseMass(typed, 'g')],
  ['time', crossed(TIMES), (typed: string) => parseDuration(typed)],
] as const)('%s', (_, cases, parse) => {
  test(`is read right in all ${cases.length} spellings`, () => {
    const wrong = cases.filter(([typed, value]) => {
      const outcome = parse(typed);
      return !(outcome.ok && same(outcome.value, value));
    });
    expect(wrong).toEqual([]);
  });

  test('is read the same in capitals and with spaces around', () => {
    for (const [typed, value] of cases) {
      const outcome = parse(`  ${typed.toUpperCase()} `);
      expect(outcome.ok && same(outcome.value, value)).toBe(true);
    }
  });
});

test('the tables hold 300 cases and more', () => {
  expect(crossed(LENGTHS).length + crossed(MASSES).length + crossed(TIMES).length).toBeGreaterThanOrEqual(300);
});

describe('masses in two units', () => {
  test.each([
    ['2 lb 3 oz', 35 * 0.028349523125],
    ['1 kg 250 g', 1.25],
    ['1lb 8oz', 24 * 0.028349523125],
  ])('%s is %s kg', (typed, kg) => {
    const outcome = parseMass(typed, 'g');
    expect(outcome.ok && outcome.value).toBeCloseTo(kg, 9);
  });

  test('a bare number takes the studio’s unit', () => {
    const outcome = parseMass('33', 'oz');
    expect(outcome.ok && outcome.value).toBeCloseTo(33 * 0.028349523125, 9);
  });
});

describe('thousands', () => {
  test.each([
    ['1,200 mm', 'point', 1.2],
    ['1.200 mm', 'comma', 1.2],
    ['1.200 mm', 'point', 0.0012],
    ['1,200 mm', 'comma', 0.0012],
    ['12,5 mm', 'point', 0.0125],
    ['0.250 mm', 'comma', 0.00025],
    ['1,200.5 mm', 'point', 1.2005],
    ['1.200,5 mm', 'comma', 1.2005],
  ] as const)('%s where the decimal sign is a %s is %s m', (typed, decimal, metres) => {
    const outcome = parseLength(typed, 'mm', '', decimal);
    expect(outcome.ok && outcome.value).toBeCloseTo(metres, 9);
  });

  test('are refused where nothing settles them', () => {
    expect(parseLength('1,200 mm', 'mm')).toMatchObject({ ok: false, problem: { code: 'ambiguous' } });
  });
});

describe('a difference', () => {
  test.each([
    ['5', 'C', 5],
    ['9 F', 'C', 5],
    ['9', 'F', 5],
    ['-18 °F', 'C', -10],
    ['4,5 °C', 'F', 4.5],
  ] as const)('%s (bare: %s) is %s K, never moved by 32', (typed, bare, kelvin) => {
    const outcome = parseDifference(typed, bare);
    expect(outcome.ok && outcome.value).toBeCloseTo(kelvin, 9);
  });
});

describe('expansion in any notation', () => {
  test.each(['90', '9.0', '9,0', '90e-7', '9.0e-6', '9e-6', '90 x 10^-7', '9.0×10-6', '9 · 10⁻⁶', '9.0e-6 /K', '90e-7 per °C', '0.000009'])(
    '%s is 9.0e-6 1/K',
    (typed) => {
      const outcome = parseExpansion(typed);
      expect(outcome.ok && outcome.value * 1e6).toBeCloseTo(9, 9);
    },
  );

  test.each([
    ['3.3', 3.3e-6],
    ['33', 3.3e-6],
    ['104', 1.04e-5],
    ['33e-7', 3.3e-6],
  ])('%s is %s 1/K', (typed, value) => {
    const outcome = parseExpansion(typed);
    expect(outcome.ok && outcome.value / value).toBeCloseTo(1, 9);
  });

  test.each([
    ['red', 'unreadable'],
    ['', 'unreadable'],
    ['9e-3', 'out-of-range'],
    ['900', 'out-of-range'],
  ])("'%s' is refused as %s", (typed, code) => {
    expect(parseExpansion(typed)).toMatchObject({ ok: false, problem: { code } });
  });
});

describe('temperatures and rates', () => {
  const temperatures: [string, number][] = ['', 'C', ' C', '°C', ' °C', ' deg C', ' celsius'].map((unit) => [`790${unit}`, 790]);
  const fahrenheit: [string, number][] = ['F', ' F', '°F', ' °F', ' degrees F', ' fahrenheit'].map((unit) => [`1454${unit}`, 790]);
  test.each([...temperatures, ...fahrenheit])('%s is %s °C', (typed, celsius) => {
    const outcome = parseTemperature(typed, 'C');
    expect(outcome.ok && outcome.value).toBeCloseTo(celsius, 9);
  });

  const rates: [string, number][] = ['', 'C/h', ' C/hr', ' °C/h', ' °C per hour', ' deg C/hour', '/h'].map((unit) => [`222${unit}`, 222]);
  test.each([...rates, ['360 F/h', 200], ['6 F/min', 200], ['3.7 C/min', 222]] as [string, number][])('%s is %s °C/h', (typed, perHour) => {
    const outcome = parseRate(typed, 'C');
    expect(outcome.ok && outcome.value).toBeCloseTo(perHour, 9);
  });
});

const INCHES: Units = { temperature: 'F', length: 'in', mass: 'oz' };

describe('a density', () => {
  test.each([
    ['0.93', METRIC, 930],
    ['0,93 g/cm3', INCHES, 930],
    ['930 g/l', METRIC, 930],
    ['930 kg/m³', INCHES, 930],
    ['1 oz per cu in', METRIC, 0.028349523125 / 0.0254 ** 3],
    ['1', INCHES, 0.028349523125 / 0.0254 ** 3],
    ['58 lb/ft^3', METRIC, (58 * 16 * 0.028349523125) / 0.3048 ** 3],
  ] as const)("'%s' is %s kg/m³", (typed, units, kg_m3) => {
    const outcome = parseDensity(typed, units);
    expect(outcome.ok && outcome.value / kg_m3).toBeCloseTo(1, 9);
  });

  test.each(['heavy', '5 g/stone', '5 stones/cm3', ''])("'%s' is refused in the studio's units", (typed) => {
    expect(parseDensity(typed, INCHES)).toMatchObject({ ok: false, problem: { message: expect.stringMatching(/oz\/in³ or 930 g\/l/) } });
  });
});

describe('what is strewn on', () => {
  const OUNCE_ON_A_FOOT = 0.028349523125 / 0.3048 ** 2;
  test.each([
    ['0.3 g/cm2', 'mass', METRIC, { perArea_kg_m2: 3 }],
    ['0,22 g/cm²', 'perArea', INCHES, { perArea_kg_m2: 2.2 }],
    ['0.22', 'perArea', METRIC, { perArea_kg_m2: 2.2 }],
    ['7', 'perArea', INCHES, { perArea_kg_m2: 7 * OUNCE_ON_A_FOOT }],
    ['7 oz/ft2', 'perArea', METRIC, { perArea_kg_m2: 7 * OUNCE_ON_A_FOOT }],
    ['7 oz per sq ft', 'mass', METRIC, { perArea_kg_m2: 7 * OUNCE_ON_A_FOOT }],
    ['1.5 lb per square foot', 'mass', METRIC, { perArea_kg_m2: 24 * OUNCE_ON_A_FOOT }],
    ['2 kg/m^2', 'mass', METRIC, { perArea_kg_m2: 2 }],
    ['130 g', 'perArea', METRIC, { mass_kg: 0.13 }],
    ['130', 'mass', METRIC, { mass_kg: 0.13 }],
    ['36 oz', 'perArea', METRIC, { mass_kg: 36 * 0.028349523125 }],
    ['36', 'mass', INCHES, { mass_kg: 36 * 0.028349523125 }],
    ['2 lb 4 oz', 'mass', METRIC, { mass_kg: 36 * 0.028349523125 }],
  ] as const)("'%s' (bare: %s)", (typed, bare, units, wanted) => {
    const outcome = parseStrewn(typed, bare, units);
    if (!outcome.ok) throw new Error(outcome.problem.message);
    const [[name, value]] = Object.entries(wanted);
    expect((outcome.value as Record<string, number>)[name]).toBeCloseTo(value, 9);
  });

  test.each([
    ['much', METRIC, /0\.22 g\/cm² or 95 g in all/],
    ['much', INCHES, /7\.2\d? oz\/ft² or 3\.4 oz in all/],
    ['3 stones/m2', METRIC, /not a unit of mass/],
  ])("'%s' is answered in the studio's units", (typed, units, message) => {
    expect(parseStrewn(typed, 'perArea', units)).toMatchObject({ ok: false, problem: { message: expect.stringMatching(message) } });
  });
});

describe('what cannot be read is answered in the unit that it was typed in', () => {
  test.each([
    [parseTemperature('hot', 'F'), /1454 °F or 790 °C/],
    [parseTemperature('hot', 'C'), /790 °C or 1454 °F/],
    [parseDifference('some', 'F'), /9 °F/],
    [parseRate('quick', 'F'), /400 °F\/h, or full/],
    [parseRate('quick', 'C'), /220 °C\/h, or full/],
    [parseLength('wide', 'in'), /for example 9 1\/2 in/],
    [parseMass('heavy', 'oz'), /16 oz/],
  ])('%#', (outcome, message) => {
    expect(outcome).toMatchObject({ ok: false, problem: { message: expect.stringMatching(message) } });
  });
});

test("a controller's own code is full speed, and only where it is that controller's", () => {
  expect(parseRate('4000', 'C', '', 'auto', 4000)).toEqual({ ok: true, value: null });
  expect(parseRate('4000', 'C')).toEqual({ ok: true, value: 4000 });
  expect(parseRate('full', 'C', '', 'auto', 4000)).toEqual({ ok: true, value: null });
  expect(parseRate('400', 'C', '', 'auto', 4000)).toEqual({ ok: true, value: 400 });
});

test.each([
  ['1300 C', { temperature: 'C', length: 'in', mass: 'oz' }],
  ['400 F/h', { temperature: 'F', length: 'in', mass: 'oz' }],
  ['30cm', { temperature: 'F', length: 'mm', mass: 'oz' }],
  ['9 1/2″', { temperature: 'F', length: 'in', mass: 'oz' }],
  ['0.3 g/cm2', { temperature: 'F', length: 'mm', mass: 'g' }],
  ['2 lb 3 oz', { temperature: 'F', length: 'in', mass: 'oz' }],
  ['12', { temperature: 'F', length: 'in', mass: 'oz' }],
])("'%s' is answered in the units that it was written in", (typed, units) => {
  expect(unitsWritten(typed, INCHES)).toEqual(units);
});
