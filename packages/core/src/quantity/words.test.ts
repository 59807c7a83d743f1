/** What the calculators say: the sum as it would stand on paper, in either system of units, and what warns apart from what tells. */
import { TYPICAL_FAMILIES } from '../glass/families';
import { valueOf } from '../problem';
import { METRIC, type Units } from '../units/convert';
import { type BlankAsked, blank } from './blank';
import { blankWords } from './blankWords';
import { coneWords, sameWorkWords, writtenWords } from './conversionWords';
import { type CuttingAsked, cutting } from './cutting';
import { cuttingWords } from './cuttingWords';
import { type Filling, filling } from './filling';
import { fillingWords } from './fillingWords';
import type { Hollow } from './hollow';
import { type HowMuch, howMuch } from './howMuch';
import { howMuchWords } from './howMuchWords';
import { type MixAsked, mix } from './mix';
import { mixWords } from './mixWords';
import { type SameWorkAsked, sameWork } from './sameWork';
import { type StrewnAsked, strewn } from './strewn';
import { strewnWords } from './strewnWords';
import { readings } from './written';

const glass = { ...TYPICAL_FAMILIES[0], density_kg_m3: 2500 };
const INCHES: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const box: Hollow = { kind: 'straight', outline: { shape: 'rectangle', width_m: 0.08, length_m: 0.25 }, depth_m: 0.02 };
const all = ({ figures, sum, words, cautions, rows = [] }: ReturnType<typeof howMuchWords>): string =>
  [
    ...figures.flatMap(({ value, other }) => [value, other]).map(({ figure, unit }) => `${figure} ${unit}`),
    ...sum,
    ...words,
    ...cautions,
    ...rows.map(({ name }) => name),
  ].join(' | ');

describe('how much glass', () => {
  const said = (asked: Partial<HowMuch>, units = METRIC) => {
    const whole: HowMuch = { density_kg_m3: 2500, cavities: [{ by: 'size', count: 1, hollow: box }], ...asked };
    return howMuchWords(whole, valueOf(howMuch(whole)), units);
  };

  test('the sum stands as on paper, the answer in both units', () => {
    const { figures, sum, short } = said({});
    expect(figures[0]).toEqual({ label: 'glass to weigh', value: { figure: '1.00', unit: 'kg' }, other: { figure: '2.20', unit: 'lb' } });
    expect(sum).toEqual(['80 mm × 250 mm × 20 mm = 400 cm³', '400 cm³ × 2.5 g/cm³ = 1.00 kg']);
    expect(short).toBe('1.00 kg fill it');
  });

  test('in inches and ounces no metric figure is left but the other unit on purpose', () => {
    const { figures, sum, words } = said(
      { stays_kg: 0.04, have_kg: 0.9, stock: { billet: { width_m: 0.05, length_m: 0.1, depth_m: 0.02 }, scrap_kg: 0.2 } },
      INCHES,
    );
    expect([...figures.map(({ value }) => value.unit), ...sum, ...words].join(' ')).not.toMatch(/\d\s*(mm|cm|g|kg)\b/);
    expect(sum[0]).toBe('3.15 in × 9.84 in × 0.79 in = 24.4 in³');
    expect(figures[0].other.unit).toBe('kg');
  });

  test.each<[string, HowMuch['cavities'][number], RegExp]>([
    [
      'a lined trough',
      { by: 'size', count: 2, hollow: { kind: 'vTrough', width_m: 0.1, length_m: 0.3, depth_m: 0.05 }, liner_m: 0.003 },
      /Within the liner: ½ × 91\.5 mm × 294 mm × 45\.8 mm = 616 cm³; × 2 = 1231 cm³/,
    ],
    [
      'a ring to a depth',
      { by: 'size', count: 1, hollow: { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.2, inner_m: 0.1 }, depth_m: 0.03 }, to_m: 0.02 },
      /π\/4 × \(\(200 mm\)² − \(100 mm\)²\) × 20 mm = 471 cm³/,
    ],
    [
      'a cone',
      { by: 'size', count: 1, hollow: { kind: 'cone', rim_m: 0.06, floor_m: 0.03, depth_m: 0.05 } },
      /π\/12 × 50 mm × \(\(60 mm\)² \+ 60 mm × 30 mm \+ \(30 mm\)²\) = 82\.5 cm³/,
    ],
    ['a bowl filled in part', { by: 'size', count: 1, hollow: { kind: 'bowl', rim_m: 0.2, floor_m: 0.06, depth_m: 0.05 }, to_m: 0.02 }, /filled 20 mm deep/],
    ['wax', { by: 'model', count: 1, model_kg: 0.18, density_kg_m3: 900 }, /Model: 180 g ÷ 0\.9 g\/cm³ = 200 cm³/],
    ['water, which a dry mould drinks', { by: 'water', count: 1, poured_kg: 0.5 }, /drinks some of the water/],
  ])('%s', (_, cavity, wanted) => {
    expect(all(said({ cavities: [cavity] }))).toMatch(wanted);
  });

  test('what there is, in sheets, billets and scrap; what does not go in warns', () => {
    const stock = { sheet: { width_m: 0.4, length_m: 0.5, depth_m: 0.003 }, billet: { width_m: 0.04, length_m: 0.1, depth_m: 0.02 }, jar_kg: 0.5, scrap_kg: 2 };
    const told = all(said({ stock }));
    expect(told).toMatch(/That is 0\.67 sheets of 400 mm × 500 mm, 3 mm thick, or 5 billets \(5\), or 2 jars of 500 g\./);
    expect(told).toMatch(/is enough, with 1\.00 kg left/);
    expect(told).toMatch(/5 billets lie flat in 2 courses and stand 20 mm over the rim/);
    expect(said({ have_kg: 0.5 }).words[0]).toBe('It stands 10 mm deep, 500 g short of full.');
    expect(said({ have_kg: 1.2 }).cautions).toEqual(['It is 200 g more than goes in: it would run over.']);
  });
});

describe('how far it fills', () => {
  const said = (asked: Partial<Filling>, units = METRIC) => {
    const whole: Filling = { glass, hollow: box, filler: { by: 'mass', mass_kg: 0.6 }, ...asked };
    return fillingWords(whole, valueOf(filling(whole)), units);
  };

  test('a slip of ten shows, and what draws back warns', () => {
    expect(all(said({}))).toMatch(/A tenth of it, 60 g, would lie in pools; ten times, 6\.00 kg, would run over\./);
    expect(said({}).cautions).toEqual([]);
    expect(said({ filler: { by: 'mass', mass_kg: 0.25 } }).cautions[0]).toMatch(/draws back from the wall by about \d/);
    expect(said({ filler: { by: 'mass', mass_kg: 0.1 } }).cautions[0]).toMatch(/too thin to run together/);
    expect(said({ filler: { by: 'mass', mass_kg: 1.2 } }).figures[0].label).toBe('runs over by');
  });

  test('grains: heaped, filled up again, and what to take next time', () => {
    expect(all(said({ filler: { by: 'mass', mass_kg: 0.7 }, packing: 0.6, work_perPa: 1e-4 }))).toMatch(
      /it heaps .* over the rim at its highest.*its middle still stands/,
    );
    expect(all(said({ filler: { by: 'mass', mass_kg: 1 }, packing: 0.5 }))).toMatch(/fill it up again (once|twice|\d times)/);
    expect(said({ last: { mass_kg: 0.5, back_m: 0.004 } }).figures[1].label).toBe('next time');
    expect(said({ filler: { by: 'segments', depth_m: 0.015, cover: 0.8 } }).sum[0]).toBe('200 cm² × 80 % × 15 mm × 2.5 g/cm³ = 600 g');
  });
});

test('grains on an area: the look, where it changes, and a slip of ten', () => {
  const asked: StrewnAsked = {
    glass,
    outline: { shape: 'rectangle', width_m: 0.18, length_m: 0.26 },
    amount: { by: 'mass', mass_kg: 0.13 },
    grain_m: 0.002,
    work_perPa: 0.03,
    coats: 2,
    wetness: 'wet',
  };
  const told = strewnWords(asked, valueOf(strewn(asked)), METRIC);
  expect(told.sum).toEqual(['130 g ÷ 468 cm² = 0.278 g/cm²', '0.278 g/cm² ÷ 2.5 g/cm³ = 1.1 mm']);
  expect(all(told)).toMatch(
    /Lace, holes of about [\d.]+ mm, after this firing\. .*A tenth of it, 13 g: .*Ten times, 1\.30 kg: level glass, 11\.1 mm deep.*In 2 coats: 65 g each.*parts like drying mud/,
  );
  expect(all(strewnWords({ ...asked, amount: { by: 'film', film_m: 0.001 } }, valueOf(strewn(asked)), INCHES))).toMatch(/to weigh|oz/);
});

test('a mix: each part as the scale shows it, and what the scale cannot show', () => {
  const said = (asked: MixAsked, units = METRIC) => mixWords(asked, valueOf(mix(asked)), units);
  const parts = [
    { name: 'opal', share: 3 },
    { name: 'clear', share: 1 },
  ];
  const told = said({ kind: 'shares', total_kg: 0.25, parts, additives: [{ name: 'binder', share: 0.002, of: 'glass' }], step_kg: 0.005 });
  expect(told.rows?.map(({ name, value }) => `${name} ${value.figure} ${value.unit}`)).toEqual(['opal 185 g', 'clear 60 g', 'binder 5 g']);
  expect(told.cautions[0]).toMatch(/binder is less than it can show\. One that steps by 0\.01 g keeps all within 2 %/);
  expect(said({ kind: 'shares', total_kg: 1, parts, step_kg: 0.001 }).cautions).toEqual([]);
  // In ounces the scale steps in ounces, and nothing is told on a square metre.
  const ounces = said({ kind: 'shares', total_kg: 0.283495, parts, step_kg: 0.00141748 }, INCHES);
  expect(ounces.rows?.map(({ value }) => `${value.figure} ${value.unit}`)).toEqual(['7.50 oz', '2.50 oz']);
  expect(said({ kind: 'coats', area_m2: 0.25, perCoat_kg_m2: 0.12, coats: 5, waterToPowder: 5, step_kg: 0.00141748 }, INCHES).sum[0]).toMatch(
    /^388 in² × 5 × 0\.393 oz\/ft² = 5\.3 oz wet/,
  );
  const round = said({
    kind: 'plaster',
    model: { kind: 'bowl', rim_m: 0.12, floor_m: 0, depth_m: 0.05 },
    wall_m: 0.02,
    shares: { plaster: 1, silica: 1, water: 1 },
    step_kg: 0.005,
  });
  expect(round.words[0]).toBe('The flask: disc of 160 mm inside, 70 mm high.');
  expect(all(said({ kind: 'crush', yields: [{ name: 'coarse', share: 0.4 }], scrap_kg: 1, step_kg: 0.001 }))).toMatch(/600 g go to dust, magnet and wash/);
  expect(all(said({ kind: 'coats', area_m2: 0.25, perCoat_kg_m2: 0.12, coats: 5, waterToPowder: 5, step_kg: 0.001 }))).toMatch(
    /= 150 g wet; water : powder 5 : 1 by mass/,
  );
});

test('a cut list: each piece with its number, spares and sides, and a sum that closes', () => {
  const said = (asked: CuttingAsked, units = METRIC) => cuttingWords(asked, valueOf(cutting(asked)), units);
  const panel = said({
    ...{ kind: 'woven', strip_m: 0.015, gap_m: 0.001, across: 9, along: 13, thickness_m: 0.003, border_m: 0.02, spare: 0.1 },
    cap: { thickness_m: 0.002, overhang_m: 0.003 },
  });
  expect(panel.figures[0]).toEqual({ label: 'finished size', value: { figure: '183 × 247', unit: 'mm' }, other: { figure: '7.205 × 9.724', unit: 'in' } });
  expect(panel.rows?.map(({ name, value, note }) => `${value.figure} ${name}: ${note}`)).toEqual([
    '9 + 1 strip up the panel: 15 × 207 mm, 3 mm thick',
    '13 + 2 strip across it: 15 × 143 mm, 3 mm thick',
    '4 + 1 border, long way: 20 × 247 mm, 3 mm thick',
    '4 + 1 border, between: 20 × 143 mm, 3 mm thick',
    '1 + 1 cap: 189 × 253 mm, 2 mm thick',
  ]);
  expect(panel.sum).toEqual(['9 × 15 mm + 8 × 1 mm + 2 × 20 mm = 183 mm', '13 × 15 mm + 12 × 1 mm + 2 × 20 mm = 247 mm']);
  const sheet = { width_m: 0.5, length_m: 0.4, thickness_m: 0.003 };
  const strips = said({ kind: 'strips', sheet, strip_m: 0.01, kerf_m: 0.002, count: 100 });
  expect(strips.sum).toEqual(['41 × 10 mm = 410 mm; + kerf 82 mm; + left over 8 mm = 500 mm']);
  expect(strips.words[0]).toBe('That takes 3 sheets.');
  expect(said({ kind: 'strips', sheet, strip_m: 0.01, kerf_m: 0.002, count: 5 }).words[0]).toBe('That takes one sheet.');
  expect(said({ kind: 'onEdge', width_m: 0.1, length_m: 0.3, strip_m: 0.012, thickness_m: 0.003, high: 2 }).words[0]).toMatch(/1 mm of the width stay free/);
  const ring = said(
    { kind: 'liner', hollow: { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.22, inner_m: 0.14 }, depth_m: 0.03 }, thickness_m: 0.003 },
    INCHES,
  );
  expect([...(ring.rows ?? []).map(({ note }) => note), ...ring.sum, ...ring.words].join(' ')).not.toMatch(/\d\s*mm/);
  expect(said({ kind: 'cap', outline: { shape: 'disc', diameter_m: 0.2 }, overhang_m: 0.004 }).short).toBe('1 × disc, 208 mm across');
});

describe('a blank for a form', () => {
  const said = (asked: Omit<BlankAsked, 'glass' | 'thickness_m'>, units = METRIC, thickness_m = 0.006) => {
    const whole = { glass, thickness_m, ...asked } as BlankAsked;
    return blankWords(whole, valueOf(blank(whole)), units);
  };
  const bowl = { way: 'into', under_m: 0, form: { plan: 'round', across: { rim_m: 0.3 }, depth_m: 0.05 } } as const;

  test('into a bowl: its area, its size, and where the rim alone would end', () => {
    const { figures, sum, words, short } = said(bowl);
    expect(figures[0]).toEqual({ label: 'blank, across', value: { figure: '312', unit: 'mm' }, other: { figure: '12.3', unit: 'in' } });
    expect(sum).toEqual(['its middle, lying in the form up to the rim: 767 cm²', '√(4 × 767 cm² ÷ π) = 312 mm', '767 cm² × 6 mm of glass = 1.15 kg']);
    expect(words.join(' ')).toMatch(/Cut to the rim itself, it would end 6\.\d mm below the rim\./);
    expect(short).toBe('blank of 312 mm');
  });

  test('an edge that stands out more than it bears is warned of', () => {
    const deep = { ...bowl, form: { plan: 'rectangle', across: { rim_m: 0.2, floor_m: 0.18 }, along: { rim_m: 0.3, floor_m: 0.28 }, depth_m: 0.08 } } as const;
    // By itself it is cut to what slides in; by what was cut last time it may not be.
    expect(said(deep, METRIC, 0.003).cautions).toEqual([]);
    expect(said(deep, METRIC, 0.003).words.join(' ')).toMatch(
      /This is the largest that slides in; its edge ends lower than meant\. To end there it would be .*An edge of 3 mm hooks over the rim beyond [\d.]+ mm/,
    );
    const last = { across_m: 0.32, along_m: 0.42, over: { door_m: 0, back_m: 0, left_m: 0, right_m: 0 } };
    expect(said({ ...deep, last }, METRIC, 0.003).cautions.join(' ')).toMatch(
      /In this firing 3 mm of glass takes [\d.]+ mm before its edge hangs: it may hook over the rim/,
    );
    expect(said(bowl).cautions).toEqual([]);
  });

  test('over a former: what is left to the shelf, or what is too low; a disc that folds', () => {
    const over = { way: 'over', hang_m: 0.05, form: { plan: 'round', across: { rim_m: 0.12 }, depth_m: 0.1 } } as const;
    const told = said(over);
    expect(told.figures[2]).toMatchObject({ label: 'clear of the shelf', value: { figure: '50', unit: 'mm' } });
    expect(told.cautions.join(' ')).toMatch(/48 % of the rim are more than goes round its former: it cannot hang round and folds in lobes/);
    const low = said({ ...over, form: { ...over.form, depth_m: 0.04 } });
    expect(low.figures[2]).toMatchObject({ label: 'too low by', value: { figure: '10', unit: 'mm' } });
    expect(low.cautions.join(' ')).toMatch(/raise the former by at least 10 mm/);
    expect(said({ ...over, form: { ...over.form, lobes: 3 } }).short).toBe('blank of 229 × 200 mm in 3 lobes');
  });

  test('last time in words, in inches too, with no metric figure in a sentence', () => {
    const last = { across_m: 0.3175, over: { door_m: 0.00635, back_m: -0.003175, left_m: 0, right_m: 0 } };
    const { words, sum, cautions } = said({ ...bowl, last } as typeof bowl, INCHES);
    expect(words[0]).toBe(
      'Last time’s blank of 12.5 in came out 0.25 in over on the door side and 0.125 in short at the back: that counts more than the sum, which says 12.3 in.',
    );
    expect(words[1]).toMatch(/^Lay it 0\.18[78] in further from the door than last time\./);
    expect([...words, ...sum, ...cautions].join(' ')).not.toMatch(/\d\s*(mm|cm|g|kg)\b/);
  });
});

describe('conversions', () => {
  const said = (written: string, units = METRIC) => writtenWords(written, valueOf(readings({ text: written, units })), 2500, units);

  test('the answer is in the unit that it was not written in; a difference has no zero to shift', () => {
    const told = said('1450 F');
    expect(told.figures).toEqual([{ label: '1450 F is', value: { figure: '787.8', unit: '°C' }, other: { figure: '1450', unit: '°F' } }]);
    expect(told.rows?.at(-1)).toMatchObject({ name: '1450 degrees of difference', value: { figure: '805.6', unit: '°C' } });
    expect(said('788 C', INCHES).figures[0].value).toEqual({ figure: '1450', unit: '°F' });
  });

  test.each<[string, string, string]>([
    ['9.4 mm', 'nearest sixteenth', '3/8 in'],
    ['3.2 mm', 'nearest thirty-second', '1/8 in'],
    ['2 in', 'nearest sixteenth', '2 in'],
    ['992 g', 'pounds and ounces', '2 lb 2.99 oz'],
    ['0.3 g/cm2', 'as a film, run level', '1.2 mm'],
    ['90e-7', 'parts in a million', '9 × 10⁻⁶/K'],
    ['90e-7', 'per degree Fahrenheit', '5 × 10⁻⁶/°F'],
    ['90 min', 'hours and minutes', '1:30 '],
    ['300 C/h', 'for 100 °C or 180 °F', '20 min'],
    ['500 ml', 'of glass', '1.25 kg'],
    ['2.5 g/cm3', 'pounds in a cubic foot', '156.1 lb/ft³'],
    ['144 in²', 'square feet', '1 ft²'],
    ['250 mm', 'millimetres', '250 mm'],
    ['250 mm', 'centimetres', '25 cm'],
    ['250 mm', 'inches', '9.843 in'],
    ['250 mm', 'feet', '0.8202 ft'],
    ['100 cm2', 'square centimetres', '100 cm²'],
    ['100 cm2', 'square metres', '0.01 m²'],
    ['100 cm2', 'square inches', '15.5 in²'],
    ['100 cm2', 'square feet', '0.1076 ft²'],
    ['500 ml', 'millilitres', '500 cm³'],
    ['500 ml', 'litres', '0.5 l'],
    ['500 ml', 'cubic inches', '30.51 in³'],
    ['992 g', 'grams', '992 g'],
    ['992 g', 'kilograms', '0.992 kg'],
    ['992 g', 'ounces', '34.99 oz'],
    ['992 g', 'of glass', '396.8 cm³'],
    ['0.3 g/cm2', 'grams on a square centimetre', '0.3 g/cm²'],
    ['0.3 g/cm2', 'on a square metre', '3000 g/m²'],
    ['0.3 g/cm2', 'on a square inch', '1.935 g/in²'],
    ['0.3 g/cm2', 'ounces on a square foot', '9.831 oz/ft²'],
    ['2.5 g/cm3', 'grams in a cubic centimetre', '2.5 g/cm³'],
    ['2.5 g/cm3', 'kilograms in a cubic metre', '2500 kg/m³'],
    ['2.5 g/cm3', 'ounces in a cubic inch', '1.445 oz/in³'],
    ['90 min', 'minutes', '90 min'],
    ['90 min', 'hours, decimal', '1.5 h'],
    ['90 min', 'seconds', '5400 s'],
    ['300 C/h', 'Celsius an hour', '300 °C/h'],
    ['300 C/h', 'Fahrenheit an hour', '540 °F/h'],
    ['300 C/h', 'Celsius a minute', '5 °C/min'],
    ['300 C/h', 'Fahrenheit a minute', '9 °F/min'],
    ['788 C', 'Celsius', '788 °C'],
    ['788 C', 'Fahrenheit', '1450 °F'],
    ['788 C', 'kelvin', '1061 K'],
  ])('%s, %s: %s', (written, name, value) => {
    const row = said(written).rows?.find((one) => one.name === name);
    expect(row && `${row.value.figure} ${row.value.unit}`).toBe(value);
  });

  test('a rate of nothing takes no time that can be told', () => {
    expect(said('0 C/h').rows?.map(({ name }) => name)).not.toContain('for 100 °C or 180 °F');
  });

  test('how far the nearest fraction is off is said', () => {
    expect(said('9.4 mm').rows?.find(({ name }) => name === 'nearest sixteenth')?.note).toBe('0.12 mm more');
    expect(said('9.6 mm').rows?.find(({ name }) => name === 'nearest sixteenth')?.note).toBe('0.075 mm less');
    expect(said('3/8 in').rows?.find(({ name }) => name === 'nearest sixteenth')?.note).toBe('exactly');
  });

  test('a bare number is told in all that it may be; a cone by the rate of its last hours, in °F too', () => {
    expect(said('90').rows?.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['90 °C', '90 °F', '90 mm', '90 in', '90 g', '90 oz', '90 °C/h', '90 × 10⁻⁷/K, expansion', '1 h 30']),
    );
    const { figures, rows = [] } = said('cone 06', INCHES);
    expect(figures[0]).toMatchObject({ label: 'cone 06 bends near', value: { figure: '1828', unit: '°F' } });
    expect(rows.map(({ name }) => name)).toEqual(['the last hours at 27 °F/h', 'the last hours at 108 °F/h', 'the last hours at 270 °F/h']);
  });

  test('the same work: the sum closes, another kiln is said, and too much by climbing alone is warned of', () => {
    const kiln = { up_C_per_h: 200, down_C_per_h: 600, readsOver_K: 0 };
    const of = (to: object, units = METRIC) => {
      const asked = { glass, from: { ...kiln, at_C: 790, hold_s: 600 }, to: { ...kiln, find: 'hold', at_C: 775, ...to } } as SameWorkAsked;
      return sameWorkWords(asked, valueOf(sameWork(asked)), units);
    };
    const told = of({});
    const [, longer, ramps, hold] = /× [\d.]+ = (\d+) min; − climb and way down worth (\d+) min = (\d+) min/.exec(told.sum[1]) ?? [];
    expect(Math.abs(Number(longer) - Number(ramps) - Number(hold))).toBeLessThanOrEqual(1);
    expect(told.figures[0].value.figure).toBe(hold);
    expect(of({ readsOver_K: 10 }, INCHES).words[0]).toBe('The other kiln reads 18 °F more than the first for the same glass: that is counted.');
    expect(of({ at_C: 860 }).cautions.join(' ')).toMatch(/Climb and way down alone do \d+ % of the work there: no hold is short enough/);
  });

  test('which cone a climb and a hold come to', () => {
    const asked = { target_C: 1000, rate_C_per_h: 100, hold_s: 900 };
    const told = coneWords(asked, { cone: '06', equivalent_C: 1001, bends_C: 1005 }, INCHES);
    expect(told.figures[0].value.figure).toBe('06');
    expect([...told.sum, ...told.words].join(' ')).not.toMatch(/°C/);
    expect(told.words[0]).toBe('With no hold that cone bends at 1841 °F at this rate, 9 °F more.');
  });
});
