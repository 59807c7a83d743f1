import { METRIC, type Units } from './convert';
import {
  COAT,
  COUNT,
  DENSITY,
  DIFFERENCE,
  LENGTH,
  MASS,
  type Measure,
  NUMBER,
  PERCENT,
  RATE,
  SLOPE,
  STREWN,
  TEMPERATURE,
  TIME,
  readFigure,
  told,
} from './measure';

const INCH: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const ALL = { COAT, COUNT, DENSITY, DIFFERENCE, LENGTH, MASS, NUMBER, PERCENT, RATE, SLOPE, STREWN, TEMPERATURE, TIME };
/** A sheet, a plate, a hold as they are kept: of no measure a round number in both studios. */
const LIKELY: Record<keyof typeof ALL, number> = {
  ...{ COAT: 0.137, COUNT: 7, DENSITY: 2511, DIFFERENCE: 13.7, LENGTH: 0.0317, MASS: 1.237 },
  ...{ NUMBER: 0.37, PERCENT: 0.37, RATE: 137, SLOPE: 0.0317, STREWN: 2.37, TEMPERATURE: 792.4, TIME: 2220 },
};
const cases = Object.entries(ALL).flatMap(([name, of]) => [METRIC, INCH].map((units) => [name, of, units] as [keyof typeof ALL, Measure, Units]));

const valueOf = (typed: string, of: Measure, units: Units, range?: { least: number; most: number }): number => {
  const read = readFigure(typed, { of, name: 'It', range }, units);
  if (!read.ok) throw new Error(read.problem.message);
  return read.value;
};
const saidOf = (typed: string, of: Measure, range: { least: number; most: number } | null, units: Units): string => {
  const read = readFigure(typed, { of, name: 'It', range }, units);
  return read.ok ? `read as ${read.value}` : read.problem.message;
};

test.each(cases)('%s comes back as it was kept, bare, with its unit and in a sentence', (name, of, units) => {
  const kept = LIKELY[name];
  const shown = of.shown(kept, units);
  expect(of.kept(shown, units)).toBeCloseTo(kept, 12);
  expect(valueOf(String(shown), of, units)).toBeCloseTo(kept, 9);
  const unit = of.unit(units);
  expect(Math.abs(valueOf(`${shown} ${unit}`, of, units) / kept - 1)).toBeLessThan(1e-9);
  const least = of.whole ? 1 : 0.01 * kept;
  expect(Math.abs(valueOf(told(of, kept, units), of, units, { least, most: 10 * kept }) / kept - 1)).toBeLessThan(3e-3);
});

test('each is written in the unit that a bare number is in, but for what comes in two sizes', () => {
  expect(cases.filter(([name]) => !['MASS', 'TIME', 'COAT'].includes(name)).map(([name, of, units]) => of.written(LIKELY[name], units).unit)).toEqual(
    cases.filter(([name]) => !['MASS', 'TIME', 'COAT'].includes(name)).map(([, of, units]) => of.unit(units)),
  );
  expect([LENGTH, MASS, RATE, SLOPE, PERCENT].map((of) => of.written(0.5, METRIC))).toEqual([
    { figure: '500', unit: 'mm' },
    { figure: '500', unit: 'g' },
    { figure: '0.5', unit: '°C/h' },
    { figure: '1800', unit: '°C/h' },
    { figure: '50', unit: '%' },
  ]);
});

test('what lies outside is told with its ends, in the unit that was written', () => {
  const sides = { least: 0.01, most: 2 };
  expect(saidOf('5', LENGTH, sides, METRIC)).toBe('It is 5 mm; it must be from 10 mm to 2000 mm.');
  expect(saidOf('0.39', LENGTH, sides, INCH)).toBe('It is 0.39 in; it must be from 0.394 in to 78.7 in.');
  expect(saidOf('3 m', LENGTH, sides, INCH)).toBe('It is 3000 mm; it must be from 10 mm to 2000 mm.');
  expect(saidOf('0.2', MASS, { least: 5e-4, most: 100 }, METRIC)).toBe('It is 0.2 g; it must be from 0.5 g to 100 kg.');
  expect([1.5, 1.999, 2, 12.5].map((kg) => told(MASS, kg, METRIC))).toEqual(['1.5 kg', '1.999 kg', '2 kg', '12.5 kg']);
  expect([0.5, 1].map((kg) => told(MASS, kg, INCH))).toEqual(['17.64 oz', '2.205 lb']);
  expect(saidOf('2 d', TIME, { least: 0, most: 3600 }, METRIC)).toMatch(/not a unit of time/);
  expect(saidOf('90', TIME, { least: 0, most: 3600 }, METRIC)).toBe('It is 1 h 30; it must be from 0 min to 1 h 00.');
  expect(saidOf('70', PERCENT, { least: 0.05, most: 0.6 }, METRIC)).toBe('It is 70 %; it must be from 5 % to 60 %.');
  expect(saidOf('12345', NUMBER, { least: 0.5, most: 2000 }, METRIC)).toBe('It is 12345; it must be from 0.5 to 2000.');
});

test('the ends that are told lie within, in any unit', () => {
  for (const [, of, units] of cases.filter(([name]) => name !== 'COAT' && name !== 'STREWN')) {
    const range = of.whole ? { least: 1, most: 12 } : { least: 0.00123456, most: 1234.5678 };
    const said = saidOf('1e9', of, range, units);
    const [, least = '', most = ''] = /from (.*) to (.*)\.$/.exec(said) ?? [];
    if (of === TIME) continue;
    for (const end of [least, most]) expect([said, valueOf(end, of, units, range) > 0]).toEqual([said, true]);
  }
});

test('both ends are within, and so is what a rounding in another unit puts beside them', () => {
  const range = { least: 0.01, most: 0.3 };
  expect([valueOf('10', LENGTH, METRIC, range), valueOf('300', LENGTH, METRIC, range)]).toEqual([0.01, 0.3]);
  expect(valueOf('11.8110236221', LENGTH, INCH, range)).toBe(0.3);
  expect(valueOf('0.39370078740', LENGTH, INCH, range)).toBe(0.01);
  expect(saidOf('11.8111', LENGTH, range, INCH)).toMatch(/must be from/);
});

test('what is no figure is told as that', () => {
  const range = { least: 1, most: 100 };
  expect(saidOf(' ', LENGTH, { least: 0.01, most: 2 }, INCH)).toBe('It: enter a figure, from 0.394 in to 78.7 in.');
  expect(saidOf('', NUMBER, null, METRIC)).toBe('It: enter a figure.');
  expect(saidOf('many', COUNT, range, METRIC)).toBe("'many' is not a number. Enter 1 to 100.");
  expect(saidOf('many', NUMBER, null, METRIC)).toBe("'many' is not a number.");
  expect(saidOf('2.5', COUNT, range, METRIC)).toBe('It is 2.5; it must be whole.');
  expect(saidOf('+5', DIFFERENCE, { least: -60, most: 60 }, METRIC)).toBe('read as 5');
  expect(saidOf('-5', DIFFERENCE, { least: -60, most: 60 }, METRIC)).toBe('read as -5');
  expect(PERCENT.written(0.07, METRIC)).toEqual({ figure: '7', unit: '%' });
  expect(saidOf('2,5', NUMBER, range, METRIC)).toBe('read as 2.5');
  expect(saidOf('−5', NUMBER, { least: -10, most: 10 }, METRIC)).toBe('read as -5');
  expect(saidOf('full', RATE, null, METRIC)).toBe('Full speed is no figure: enter the rate.');
  const unknown = readFigure('some', { of: NUMBER, name: 'It', path: 'share', optional: true }, METRIC);
  expect(unknown).toEqual({
    ok: false,
    problem: { code: 'unreadable', path: 'share', message: "'some' is not a number. Leave it empty where it is not known." },
  });
});
