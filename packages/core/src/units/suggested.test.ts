import { METRES_PER_INCH, temperatureIn } from './convert';
import { formatStock, text } from './format';
import { parseLength, parseStock, parseVolume, parseWater } from './parse';
import { suggested, suggestedTop, suggestedWords } from './suggested';

const valueOf = <T>(read: { ok: true; value: T } | { ok: false }): T => {
  if (!read.ok) throw new Error('was not read');
  return read.value;
};

test.each([
  [0.3, '12 in'],
  [0.05, '2 in'],
  [0.01, '3/8 in'],
  [0.006, '1/4 in'],
  [0.025, '1 in'],
  [0.02, '3/4 in'],
  [0.285, '11 in'],
  [0.1, '4 in'],
  [0.0001, '0.004 in'],
])('%s m is suggested as %s, and read again as that', (metres, inches) => {
  expect(suggestedWords(metres, 'in')).toBe(inches);
  expect(valueOf(parseLength(suggestedWords(metres, 'in'), 'in'))).toBeCloseTo(suggested(metres, 'in'), 9);
  expect(Math.abs(suggested(metres, 'in') / metres - 1)).toBeLessThan(0.06);
  expect(suggested(metres, 'mm')).toBe(metres);
});

describe('a sheet', () => {
  test.each([
    ['1/8', 0.003],
    ['0.125 in', 0.003],
    ['1/4"', 0.006],
    ['3/8', 0.01],
    ['1/2', 0.012],
    ['3/4', 0.019],
  ])('of %s in is one of %s m', (typed, metres) => {
    const read_m = valueOf(parseStock(typed, 'in'));
    expect(read_m).toBe(metres);
    // By the name that it is told by.
    expect(valueOf(parseStock(text(formatStock(read_m, 'in')), 'in'))).toBe(metres);
  });

  test('that was measured stays as measured, in either unit', () => {
    expect(valueOf(parseStock('0.118', 'in'))).toBeCloseTo(0.118 * METRES_PER_INCH, 12);
    expect(valueOf(parseStock('3.2 mm', 'in'))).toBeCloseTo(0.0032, 12);
    expect(valueOf(parseStock('3', 'mm'))).toBe(0.003);
  });

  test('goes by the sizes that its glass comes in before any other', () => {
    expect(valueOf(parseStock('1/8', 'in', '', [0.0032, 0.006]))).toBe(0.0032);
    expect(valueOf(parseStock('1/8', 'in', '', [0.002, 0.006]))).toBe(0.003);
  });
});

test.each([
  ['640 ml', 0.63885],
  ['1.2 l', 1.19784],
  ['2 1/2 cups', 0.59041],
  ['20 fl oz', 0.59041],
  ['20 fl. oz', 0.59041],
  ['16 fluid ounces', 0.47233],
  ['1 lb 2 oz', 0.51029],
  ['500', 0.5],
])('water as %s weighs %s kg', (typed, kg) => expect(valueOf(parseWater(typed, 'g'))).toBeCloseTo(kg, 4));

test('a cup is eight fluid ounces, and both are volumes by themselves', () => {
  expect(valueOf(parseVolume('1 cup'))).toBeCloseTo(valueOf(parseVolume('8 fl oz')), 12);
  expect(valueOf(parseVolume('2 cups'))).toBeCloseTo(473.18e-6, 8);
});

test.each([
  [950, 1740],
  [850, 1560],
  [900, 1650],
  [1300, 2370],
])('%s °C at most is %s °F at most: round, and no hotter', (celsius, fahrenheit) => {
  expect(suggestedTop(celsius, 'C')).toBe(celsius);
  expect(temperatureIn(suggestedTop(celsius, 'F'), 'F')).toBeCloseTo(fahrenheit, 6);
});
