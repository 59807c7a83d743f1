/** What was written, in every unit that it is written in; the same heat work elsewhere; cones. */
import { METRES_PER_INCH, KILOGRAMS_PER_OUNCE, type Units, differenceIn, otherTemperature, otherUnits, temperatureIn } from '../units/convert';
import { type Figure, formatDuration, formatRate, formatTemperature, text } from '../units/format';
import { KELVIN_AT_0_C } from '../units/physical';
import { CONE_RATE_C_PER_H, coneBendsAt } from '../emptyFiring/cones';
import type { SameWorkAsked, SameWorkTold } from './sameWork';
import type { ToldQuantity } from './told';
import type { Reading, WrittenAs } from './written';

/** Digits that are worth having, no zeros behind them. */
const plain = (value: number, digits = 4): string => {
  const rounded = Number(value.toPrecision(digits));
  return Math.abs(rounded) >= 1e5 || (rounded !== 0 && Math.abs(rounded) < 1e-3) ? rounded.toExponential() : String(rounded);
};
const figure = (value: number, unit: string, digits?: number): Figure => ({ figure: plain(value, digits), unit });

interface Line {
  name: string;
  value: Figure;
  note: string;
}
const line = (name: string, value: Figure, note = ''): Line => ({ name, value, note });

/** The nearest fraction of an inch, and by how much it is off. */
function inFraction(metres: number, of: 16 | 32): Line {
  const parts = Math.round((metres / METRES_PER_INCH) * of);
  const off_mm = (metres - (parts * METRES_PER_INCH) / of) * 1e3;
  const [whole, rest] = [Math.floor(parts / of), parts % of];
  let [top, bottom] = [rest, of as number];
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  const written = [...(whole > 0 || top === 0 ? [String(whole)] : []), ...(top > 0 ? [`${top}/${bottom}`] : [])].join(' ');
  return line(
    of === 16 ? 'nearest sixteenth' : 'nearest thirty-second',
    { figure: written, unit: 'in' },
    Math.abs(off_mm) < 0.005 ? 'exactly' : `${plain(Math.abs(off_mm), 2)} mm ${off_mm > 0 ? 'less' : 'more'}`,
  );
}

function pounds(kg: number): Figure {
  const ounces = kg / KILOGRAMS_PER_OUNCE;
  const whole = Math.floor(ounces / 16 + 1e-9);
  return { figure: `${whole} lb ${plain(Math.max(ounces - 16 * whole, 0), 3)}`, unit: 'oz' };
}

const SQUARE_INCH_M2 = METRES_PER_INCH ** 2;
const CUBIC_INCH_M3 = METRES_PER_INCH ** 3;
/** A bar and a cooling that people can picture. */
const [BAR_M, COOLED_K] = [0.3, 480];

function linesOf(as: WrittenAs, value: number, units: Units, glass_kg_m3: number): Line[] {
  switch (as) {
    case 'temperature': {
      const here = temperatureIn(value, units.temperature);
      const other = otherTemperature(units.temperature);
      // A number of degrees between two temperatures has no zero to shift.
      const between = differenceIn(1, other) / differenceIn(1, units.temperature);
      return [
        line('Celsius', figure(temperatureIn(value, 'C'), '°C')),
        line('Fahrenheit', figure(temperatureIn(value, 'F'), '°F')),
        line('kelvin', figure(value + KELVIN_AT_0_C, 'K')),
        line(`${plain(here)} degrees of difference`, figure(here * between, `°${other}`), `from ${plain(here)} °${units.temperature}`),
      ];
    }
    case 'rate':
      return [
        line('Celsius an hour', figure(differenceIn(value, 'C'), '°C/h')),
        line('Fahrenheit an hour', figure(differenceIn(value, 'F'), '°F/h')),
        line('Celsius a minute', figure(differenceIn(value, 'C') / 60, '°C/min', 3)),
        line('Fahrenheit a minute', figure(differenceIn(value, 'F') / 60, '°F/min', 3)),
        ...(value > 0 ? [line('for 100 °C or 180 °F', formatDuration((100 / value) * 3600))] : []),
      ];
    case 'length':
      return [
        line('millimetres', figure(value * 1e3, 'mm')),
        line('centimetres', figure(value * 1e2, 'cm')),
        line('inches', figure(value / METRES_PER_INCH, 'in')),
        inFraction(value, 16),
        inFraction(value, 32),
        line('feet', figure(value / METRES_PER_INCH / 12, 'ft')),
      ];
    case 'area':
      return [
        line('square centimetres', figure(value * 1e4, 'cm²')),
        line('square metres', figure(value, 'm²')),
        line('square inches', figure(value / SQUARE_INCH_M2, 'in²')),
        line('square feet', figure(value / SQUARE_INCH_M2 / 144, 'ft²')),
      ];
    case 'volume':
      return [
        line('millilitres', figure(value * 1e6, 'cm³')),
        line('litres', figure(value * 1e3, 'l')),
        line('cubic inches', figure(value / CUBIC_INCH_M3, 'in³')),
        line('of glass', figure(value * glass_kg_m3, 'kg'), `at ${plain(glass_kg_m3 / 1e3)} g/cm³`),
      ];
    case 'mass':
      return [
        line('grams', figure(value * 1e3, 'g')),
        line('kilograms', figure(value, 'kg')),
        line('ounces', figure(value / KILOGRAMS_PER_OUNCE, 'oz')),
        line('pounds and ounces', pounds(value)),
        line('of glass', figure((value / glass_kg_m3) * 1e6, 'cm³'), `at ${plain(glass_kg_m3 / 1e3)} g/cm³`),
      ];
    case 'perArea':
      return [
        line('grams on a square centimetre', figure(value / 10, 'g/cm²')),
        line('on a square metre', figure(value * 1e3, 'g/m²')),
        line('on a square inch', figure(value * 1e3 * SQUARE_INCH_M2, 'g/in²')),
        line('ounces on a square foot', figure((value * SQUARE_INCH_M2 * 144) / KILOGRAMS_PER_OUNCE, 'oz/ft²')),
        line('as a film, run level', figure((value / glass_kg_m3) * 1e3, 'mm', 3), `at ${plain(glass_kg_m3 / 1e3)} g/cm³`),
      ];
    case 'density':
      return [
        line('grams in a cubic centimetre', figure(value / 1e3, 'g/cm³')),
        line('kilograms in a cubic metre', figure(value, 'kg/m³')),
        line('ounces in a cubic inch', figure((value * CUBIC_INCH_M3) / KILOGRAMS_PER_OUNCE, 'oz/in³')),
        line('pounds in a cubic foot', figure((value * CUBIC_INCH_M3 * 1728) / KILOGRAMS_PER_OUNCE / 16, 'lb/ft³')),
      ];
    case 'time': {
      const minutes = Math.round(value / 60);
      const clock = `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
      return [
        line('minutes', figure(value / 60, 'min')),
        line('hours and minutes', { figure: clock, unit: '' }, 'what some controllers show as hh.mm'),
        line('hours, decimal', figure(value / 3600, 'h')),
        line('seconds', figure(value, 's')),
      ];
    }
    case 'expansion':
      return [
        line('as glass is named', figure(value * 1e7, '', 3), '× 10⁻⁷ per °C'),
        line('parts in a million', figure(value * 1e6, '× 10⁻⁶/K', 3)),
        line('per degree Fahrenheit', figure((value / 1.8) * 1e6, '× 10⁻⁶/°F', 3)),
        line('written out', { figure: value.toExponential(1), unit: '/K' }),
        line(`a bar of ${BAR_M * 1e3} mm shrinks by`, figure(value * BAR_M * COOLED_K * 1e3, 'mm', 3), `from ${COOLED_K + 20} to 20 °C`),
      ];
  }
}

/** What it is read as, in the unit that it was read in. */
function asRead(as: WrittenAs, value: number, { temperature, length, mass }: Units): Figure {
  switch (as) {
    case 'temperature':
      return figure(temperatureIn(value, temperature), `°${temperature}`);
    case 'rate':
      return figure(differenceIn(value, temperature), `°${temperature}/h`);
    case 'length':
      return length === 'mm' ? figure(value * 1e3, 'mm') : figure(value / METRES_PER_INCH, 'in');
    case 'mass':
      return mass === 'g' ? figure(value * 1e3, 'g') : figure(value / KILOGRAMS_PER_OUNCE, 'oz');
    case 'area':
      return length === 'mm' ? figure(value * 1e4, 'cm²') : figure(value / SQUARE_INCH_M2, 'in²');
    case 'volume':
      return length === 'mm' ? figure(value * 1e6, 'cm³') : figure(value / CUBIC_INCH_M3, 'in³');
    case 'perArea':
      return mass === 'g' ? figure(value / 10, 'g/cm²') : figure((value * SQUARE_INCH_M2 * 144) / KILOGRAMS_PER_OUNCE, 'oz/ft²');
    case 'density':
      return figure(value / 1e3, 'g/cm³');
    case 'time':
      return formatDuration(value);
    case 'expansion':
      return figure(value * 1e7, '× 10⁻⁷/K', 3);
  }
}

const CONE_RATES_C_PER_H = [15, CONE_RATE_C_PER_H, 150];

const both = (celsius: number, units: Units): string =>
  [units, otherUnits(units)].map(({ temperature }) => text(formatTemperature(celsius, temperature))).join(', ');

/** One meaning is told in all its units; several are told in two each. */
export function writtenWords(written: string, readings: readonly Reading[], glass_kg_m3: number, units: Units): ToldQuantity {
  const [first] = readings;
  const empty = { sum: [], cautions: [] };
  if (first.as === 'cone') {
    const bends = CONE_RATES_C_PER_H.map((rate) => ({ rate, at_C: coneBendsAt(first.cone, rate) }));
    const usual = bends[1].at_C;
    return {
      ...empty,
      figures: [
        {
          label: `cone ${first.cone} bends near`,
          value: formatTemperature(usual, units.temperature),
          other: formatTemperature(usual, otherUnits(units).temperature),
        },
      ],
      rows: bends.map(({ rate, at_C }) =>
        line(
          `the last hours at ${text(formatRate(rate, units.temperature))}`,
          formatTemperature(at_C, units.temperature),
          text(formatTemperature(at_C, otherUnits(units).temperature)),
        ),
      ),
      words: ['Of large cones, typical: the maker’s own chart stands above it.'],
      short: `cone ${first.cone}: ${both(usual, units)}`,
    };
  }
  const other = (reading: Exclude<Reading, { as: 'cone' }>): Figure => asRead(reading.as, reading.value, otherUnits(reading.units));
  if (readings.length > 1) {
    const told = readings.flatMap((reading) => (reading.as === 'cone' ? [] : [reading]));
    return {
      ...empty,
      figures: [{ label: text(asRead(first.as, first.value, first.units)), value: other(first), other: asRead(first.as, first.value, first.units) }],
      rows: told.map((reading) => {
        const read = text(asRead(reading.as, reading.value, reading.units));
        if (reading.as === 'time') return line(read, figure(reading.value / 3600, 'h'), 'decimal hours');
        if (reading.as === 'expansion') return line(`${read}, expansion`, figure((reading.value / 1.8) * 1e6, '× 10⁻⁶/°F', 3));
        return line(read, other(reading));
      }),
      words: [`${written.trim()} has no unit. Add one to see it in the others.`],
      short: `${text(asRead(first.as, first.value, first.units))} = ${text(other(first))}`,
    };
  }
  const lines = linesOf(first.as, first.value, first.units, glass_kg_m3);
  const answer = first.as === 'time' ? figure(first.value / 3600, 'h') : first.as === 'expansion' ? figure(first.value * 1e6, '× 10⁻⁶/K', 3) : other(first);
  const read = asRead(first.as, first.value, first.units);
  return {
    ...empty,
    figures: [{ label: `${written.trim()} is`, value: answer, other: read }],
    rows: lines,
    words: [],
    short: `${text(read)} = ${text(answer)}`,
  };
}

const times = (factor: number): string => (factor >= 1 ? `${plain(factor, 3)} times as long` : `${plain(factor * 100, 3)} % of it`);

export function sameWorkWords({ from, to }: SameWorkAsked, told: SameWorkTold, units: Units): ToldQuantity {
  const { at_C, hold_s, rampsWere_s, rampsAre_s, longer, tenMore, share } = told;
  const degrees = (celsius: number): string => text(formatTemperature(celsius, units.temperature));
  const lasts = (seconds: number): string => text(formatDuration(seconds));
  const cautions: string[] = [];
  if (share > 1.01)
    cautions.push(`Climb and way down alone do ${plain(share * 100, 3)} % of the work there: no hold is short enough. Go less hot, or climb faster.`);
  if (hold_s > 2 * 3600) cautions.push('A hold this long is long in the range where glass hazes, and primer wears: look whether cooler is worth it.');
  const reads =
    from.readsOver_K !== to.readsOver_K
      ? [`The other kiln reads ${degreesApart(to.readsOver_K - from.readsOver_K, units)} than the first for the same glass: that is counted.`]
      : [];
  return {
    figures: [
      { label: 'hold', value: formatDuration(hold_s), other: figure(hold_s / 3600, 'h', 3) },
      { label: 'at', value: formatTemperature(at_C, units.temperature), other: formatTemperature(at_C, otherUnits(units).temperature) },
    ],
    sum: [
      `${lasts(from.hold_s)} at ${degrees(from.at_C)} + climb and way down worth ${lasts(rampsWere_s)} = ${lasts(from.hold_s + rampsWere_s)}`,
      `${lasts(from.hold_s + rampsWere_s)} × ${plain(longer, 3)} = ${lasts((from.hold_s + rampsWere_s) * longer)}; − climb and way down worth ${lasts(rampsAre_s)} = ${lasts(hold_s)}`,
    ],
    words: [
      ...reads,
      `By viscosity a hold there is ${times(longer)}; ten degrees Celsius more leave ${plain(tenMore * 100, 2)} % of a hold.`,
      'By heat work alone. Hotter and shorter devitrifies less; cooler and longer is easier to hit. For a piece with a schedule, use ‘Same work, other heat’: it counts the lag of the glass.',
    ],
    cautions,
    short: `${lasts(hold_s)} at ${degrees(at_C)} for ${lasts(from.hold_s)} at ${degrees(from.at_C)}`,
  };
}

function degreesApart(kelvin: number, { temperature }: Units): string {
  return `${plain(Math.abs(differenceIn(kelvin, temperature)), 2)} °${temperature} ${kelvin > 0 ? 'more' : 'less'}`;
}

/** The cone that a climb and a hold come to. */
export function coneWords(
  asked: { target_C: number; rate_C_per_h: number; hold_s: number },
  told: { cone: string; equivalent_C: number; bends_C: number },
  units: Units,
): ToldQuantity {
  const degrees = (celsius: number): string => text(formatTemperature(celsius, units.temperature));
  const apart = told.bends_C - asked.target_C;
  return {
    figures: [
      { label: 'nearest cone', value: { figure: told.cone, unit: '' }, other: { figure: '', unit: '' } },
      {
        label: `does as much as ${text(formatRate(CONE_RATE_C_PER_H, units.temperature))} up to`,
        value: formatTemperature(told.equivalent_C, units.temperature),
        other: formatTemperature(told.equivalent_C, otherUnits(units).temperature),
      },
    ],
    sum: [
      `${text(formatRate(asked.rate_C_per_h, units.temperature))} to ${degrees(asked.target_C)}, ${text(formatDuration(asked.hold_s))} there = ${degrees(told.equivalent_C)} at ${text(formatRate(CONE_RATE_C_PER_H, units.temperature))}`,
    ],
    words: [
      `With no hold that cone bends at ${degrees(told.bends_C)} at this rate${Math.abs(apart) < 1 ? '' : `, ${degreesApart(apart, units)}`}.`,
      'Of large cones, typical: the maker’s own chart stands above it.',
    ],
    cautions: [],
    short: `cone ${told.cone}: ${degrees(asked.target_C)} at ${text(formatRate(asked.rate_C_per_h, units.temperature))}`,
  };
}
