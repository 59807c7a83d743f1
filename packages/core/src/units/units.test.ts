import { type Outcome } from '../problem';
import { METRIC, celsiusFrom, differenceIn, kelvinFrom, otherUnits, temperatureIn } from './convert';
import {
  formatArea,
  formatDifference,
  formatDuration,
  formatLength,
  formatMass,
  formatRate,
  formatStress,
  formatStock,
  formatStrewn,
  formatTemperature,
  text,
} from './format';
import { parseDuration, parseLength, parseRate, parseTemperature } from './parse';

const valueOf = <T>(outcome: Outcome<T>): T => {
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value;
};

describe('lengths as people write them', () => {
  test.each([
    ['300', 0.3],
    ['300mm', 0.3],
    ['30 cm', 0.3],
    ['0.3 m', 0.3],
    ['12 in', 0.3048],
    ['12"', 0.3048],
    ['12″', 0.3048],
    ['12in.', 0.3048],
    ['3/8in', 0.009525],
    ['3/8"', 0.009525],
    ['1 1/4"', 0.03175],
    ['1¼"', 0.03175],
    ['½ in', 0.0127],
    ['11 3/4 inches', 0.29845],
    ['6,5 mm', 0.0065],
    ['6.5', 0.0065],
    ['.5 in', 0.0127],
    ['1 ft 2 in', 0.3556],
    ['1\' 2"', 0.3556],
    [' 25.4 MM ', 0.0254],
  ])('%s is %s m', (typed, metres) => {
    expect(valueOf(parseLength(typed, 'mm'))).toBeCloseTo(metres, 9);
  });

  test('a bare number takes the studio’s unit', () => {
    expect(valueOf(parseLength('12', 'in'))).toBeCloseTo(0.3048, 9);
  });

  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['wide', 'unreadable'],
    ['12 parsecs', 'unknown-unit'],
    ['-5 mm', 'unreadable'],
    ['5 mm 3', 'unreadable'],
    ['1,200', 'ambiguous'],
    ['12x14', 'unknown-unit'],
    ['1e999', 'unreadable'],
  ])("refuses '%s' as %s", (typed, code) => {
    const outcome = parseLength(typed, 'mm', 'footprint.width');
    expect(outcome.ok).toBe(false);
    if (!outcome.ok) {
      expect(outcome.problem.code).toBe(code);
      expect(outcome.problem.path).toBe('footprint.width');
      expect(outcome.problem.message).toMatch(/\.$/);
    }
  });
});

describe('temperatures, rates and times as people write them', () => {
  test.each([
    ['790', 'C', 790],
    ['790 °C', 'F', 790],
    ['1390F', 'C', 754.444],
    ['1390', 'F', 754.444],
    ['1454 deg F', 'C', 790],
    ['-10', 'C', -10],
  ] as const)('%s (bare: %s) is %s °C', (typed, bare, celsius) => {
    expect(valueOf(parseTemperature(typed, bare))).toBeCloseTo(celsius, 3);
  });

  test.each([
    ['220', 'C', 220],
    ['400 F/h', 'C', 222.222],
    ['400', 'F', 222.222],
    ['5 C/min', 'C', 300],
    ['222 °C per hour', 'F', 222],
    ['full', 'C', null],
    ['as fast as possible', 'F', null],
  ] as const)('%s (bare: %s) is %s °C/h', (typed, bare, rate) => {
    const value = valueOf(parseRate(typed, bare));
    if (rate === null) expect(value).toBeNull();
    else expect(value).toBeCloseTo(rate, 3);
  });

  test.each([
    ['12', 720],
    ['12 min', 720],
    ['0.25h', 900],
    ['1:30', 5400],
    ['1 h 30 min', 5400],
    ['90 s', 90],
    ['0', 0],
  ])('%s is %s s', (typed, seconds) => {
    expect(valueOf(parseDuration(typed))).toBeCloseTo(seconds, 9);
  });

  test.each(['hot', '7 9 0', '790K', ''])("refuses '%s' as a temperature", (typed) => {
    expect(parseTemperature(typed, 'C').ok).toBe(false);
  });

  test.each(['quick', '-40', '220 m/h'])("refuses '%s' as a rate", (typed) => {
    expect(parseRate(typed, 'C').ok).toBe(false);
  });
});

describe('temperatures move by 32, differences never do', () => {
  test('a temperature', () => {
    expect(temperatureIn(100, 'F')).toBeCloseTo(212, 9);
    expect(celsiusFrom(32, 'F')).toBeCloseTo(0, 9);
    expect(text(formatTemperature(515, 'F'))).toBe('959 °F');
  });

  test('a difference and a rate', () => {
    expect(differenceIn(5, 'F')).toBeCloseTo(9, 9);
    expect(kelvinFrom(9, 'F')).toBeCloseTo(5, 9);
    expect(text(formatDifference(5, 'F'))).toBe('9.0 °F');
    expect(text(formatRate(100, 'F'))).toBe('180 °F/h');
    expect(text(formatRate(null, 'F'))).toBe('full speed');
  });
});

describe('figures as people read them', () => {
  test.each([
    [35 * 60, '35 min'],
    [45600, '12 h 40'],
    [3600 * 24 * 3 + 4 * 3600, '3 d 4 h'],
    [7199.9, '2 h 00'],
  ])('%s s reads %s', (seconds, written) => {
    expect(text(formatDuration(seconds))).toBe(written);
  });

  test.each([
    [0.612, 'g', '612 g'],
    [1.234, 'g', '1.23 kg'],
    [0.612, 'oz', '21.6 oz'],
    [1.5, 'oz', '3.31 lb'],
  ] as const)('%s kg in %s reads %s', (kg, system, written) => {
    expect(text(formatMass(kg, system))).toBe(written);
  });

  test('areas and stresses read in inches too', () => {
    expect(text(formatArea(0.3 * 0.2, 'mm'))).toBe('600 cm²');
    expect(text(formatArea(0.3048 * 0.3048, 'in'))).toBe('144 in²');
    expect(text(formatStress(6.894757e6, 'in'))).toBe('1000 psi');
    expect(text(formatStress(6.894757e6, 'mm'))).toBe('6.9 MPa');
  });

  test('the other units of the other units are the same again', () => {
    const imperial = otherUnits(METRIC);
    expect(imperial).toEqual({ temperature: 'F', length: 'in', mass: 'oz' });
    expect(otherUnits(imperial)).toEqual(METRIC);
  });

  test.each([
    [0.0065, 'mm', '6.5 mm'],
    [0.3, 'mm', '300 mm'],
    [0.3048, 'in', '12 in'],
    [0.003, 'in', '0.118 in'],
    [0.0254, 'in', '1 in'],
  ] as const)('%s m in %s reads %s', (m, unit, written) => {
    expect(text(formatLength(m, unit))).toBe(written);
  });

  test('a tiny negative difference does not read as minus nought', () => {
    expect(formatDifference(-0.01, 'C').figure).toBe('0.0');
  });
});

describe('a sheet by the name it goes by', () => {
  test.each([
    [0.003, '⅛ in'],
    [0.006, '¼ in'],
    [0.004, '5/32 in'],
    [0.0095, '⅜ in'],
    [0.01, '⅜ in'],
    [0.012, '½ in'],
    [0.019, '¾ in'],
    [0.003175, '⅛ in'],
    [0.0015875, '1/16 in'],
    [0.028575, '1⅛ in'],
    [0.0301625, '1 3/16 in'],
    // Nothing that people cut passes for it.
    [0.002, '0.079 in'],
    [0.00312, '0.123 in'],
  ])('%s m is %s', (metres, wanted) => {
    expect(text(formatStock(metres, 'in'))).toBe(wanted);
  });

  test('in millimetres it is what it is, and what is shown in inches is read as no more than its own tolerance away', () => {
    expect(text(formatStock(0.003, 'mm'))).toBe('3 mm');
    for (const metres of [0.002, 0.003, 0.004, 0.006, 0.01, 0.0131]) {
      const read = valueOf(parseLength(text(formatStock(metres, 'in')), 'in'));
      expect(Math.abs(read / metres - 1)).toBeLessThan(0.06);
    }
  });

  test('grains are told by what goes with the studio’s units', () => {
    const strewn = (length: 'mm' | 'in', mass: 'g' | 'oz') => text(formatStrewn(2.2, { length, mass }));
    expect([strewn('mm', 'g'), strewn('in', 'oz'), strewn('in', 'g'), strewn('mm', 'oz')]).toEqual(['0.22 g/cm²', '7.21 oz/ft²', '1.42 g/in²', '77.6 oz/m²']);
  });
});
