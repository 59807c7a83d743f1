/** The figures of each kind of record: what they are called, in which unit people write them, how they are kept. */
import {
  type LengthUnit,
  METRES_PER_INCH,
  type Outcome,
  type Units,
  celsiusFrom,
  differenceIn,
  found,
  kelvinFrom,
  parseLength,
  parseRate,
  parseTemperature,
  refused,
  temperatureIn,
  unitsWritten,
} from '@torvin/core';
import { type ShelfKind, figureRange } from '@torvin/schema';
import type { ShelfRecord } from '@/data/shelves';

export interface NumberField {
  key: string;
  label: string | ((units: Units) => string);
  unit(units: Units): string;
  shown(value: number, units: Units): number;
  kept(value: number, units: Units): number;
  /** Reads what is typed, as it is kept, where people write more than a number: '1050 C', '14 1/2 in'. */
  read?(typed: string, units: Units): Outcome<number>;
  /** May be left empty; the engine then takes what is usual. */
  optional?: boolean;
}

const plain = (key: string, label: string, unit = '', factor = 1, optional = false): NumberField => ({
  key,
  label,
  unit: () => unit,
  shown: (value) => value * factor,
  kept: (value) => value / factor,
  ...(optional ? { optional } : {}),
});
const temperature = (key: string, label: string, optional = false): NumberField => ({
  key,
  label,
  unit: (units) => `°${units.temperature}`,
  shown: (value, units) => temperatureIn(value, units.temperature),
  kept: (value, units) => celsiusFrom(value, units.temperature),
  read: (typed, units) => parseTemperature(typed, units.temperature, key),
  ...(optional ? { optional } : {}),
});
const METRES_IN = { mm: 1e-3, in: METRES_PER_INCH } as const;
const inside = (key: string, label: string): NumberField => ({
  key,
  label,
  unit: (units) => units.length,
  shown: (value, units) => value / METRES_IN[units.length],
  kept: (value, units) => value * METRES_IN[units.length],
  read: (typed, units) => parseLength(typed, units.length, key),
  optional: true,
});
const SECONDS_PER_HOUR = 3600;
/** The lag is kept for 300 mm and shown for a foot in inches. */
const acrossShare = (length: LengthUnit): number => (length === 'in' ? (12 * METRES_PER_INCH) / 0.3 : 1);

export const NUMBER_FIELDS: Record<ShelfKind, readonly NumberField[]> = {
  families: [
    plain('expansion_perK', 'Expansion', '10⁻⁶/K', 1e6),
    temperature('strain_C', 'Strain point', true),
    temperature('annealing_C', 'Annealing point'),
    temperature('softening_C', 'Softening point'),
    plain('density_kg_m3', 'Density', 'kg/m³'),
    plain('surfaceTension_N_m', 'Surface tension of the melt', 'N/m'),
    plain('conductivity_W_mK', 'Conductivity', 'W/(m·K)'),
    plain('heatCapacity_J_kgK', 'Heat capacity', 'J/(kg·K)'),
    plain('youngs_Pa', "Young's modulus", 'GPa', 1e-9),
    plain('poisson', "Poisson's ratio"),
    plain('meltExpansion_perK', 'Expansion of the melt', '10⁻⁶/K', 1e6, true),
    plain('stressOptical_perPa', 'Stress-optical constant', '10⁻¹²/Pa', 1e12, true),
  ],
  glasses: [],
  kilns: [
    temperature('top_C', 'Hottest it may be asked for'),
    {
      key: 'power_K_per_s',
      label: 'Climb at full power, cold',
      unit: (units) => `°${units.temperature}/h`,
      shown: (value, units) => differenceIn(value * SECONDS_PER_HOUR, units.temperature),
      kept: (value, units) => kelvinFrom(value, units.temperature) / SECONDS_PER_HOUR,
      read(typed, { temperature: unit }) {
        const rate = parseRate(typed, unit, 'power_K_per_s');
        if (!rate.ok) return rate;
        return rate.value === null
          ? refused('unreadable', 'power_K_per_s', 'Full speed is what is asked for here: write the rate.')
          : found(rate.value / SECONDS_PER_HOUR);
      },
    },
    plain('loss_per_s', 'Loss, of the difference to the room', '1/h', SECONDS_PER_HOUR),
    plain('radiantLoss_per_K3_s', 'Loss by radiation', '10⁻¹²/(K³·s)', 1e12),
    temperature('ambient_C', 'Room around it'),
    {
      key: 'acrossLag_s_per_300mm',
      label: ({ length }) => `Lag from edge to edge of ${length === 'in' ? '12 in' : '300 mm'}`,
      unit: () => 's',
      shown: (value, { length }) => value * acrossShare(length),
      kept: (value, { length }) => value / acrossShare(length),
    },
    inside('insideWidth_m', 'Inside, wide'),
    inside('insideLength_m', 'Inside, long'),
    inside('insideDiameter_m', 'Inside, across where it is round'),
    inside('insideHeight_m', 'Inside, high'),
  ],
  controllers: [plain('fullSpeedCode', 'Code for as fast as it can'), plain('mostSegments', 'Segments it holds')],
};

/** As people would write it: six figures at most, no tail of noughts. */
export const written = (value: number): string => String(Number(value.toPrecision(6)));

export const labelOf = ({ label }: NumberField, units: Units): string => (typeof label === 'string' ? label : label(units));

function plainNumber(field: NumberField, typed: string, units: Units): Outcome<number> {
  const text = typed.trim().replace(',', '.');
  const value = text === '' ? Number.NaN : Number(text);
  if (Number.isFinite(value)) return found(field.kept(value, units));
  return refused('unreadable', field.key, `Cannot read '${typed.trim()}' as a number${field.optional ? '; leave it empty where it is not known' : ''}.`);
}

/** The record with a figure as typed; an empty optional one is left out. What is out of range is answered in the unit it is written in. */
export function withFigure(kind: ShelfKind, record: ShelfRecord, field: NumberField, typed: string, units: Units): Outcome<ShelfRecord> {
  if (typed.trim() === '' && field.optional) {
    const rest = Object.fromEntries(Object.entries(record).filter(([key]) => key !== field.key));
    return { ok: true, value: rest as ShelfRecord };
  }
  const read = typed.trim() !== '' && field.read ? field.read(typed, units) : plainNumber(field, typed, units);
  if (!read.ok) return read;
  const range = figureRange(kind, field.key);
  const own = unitsWritten(typed, units);
  const unit = field.unit(own);
  const shown = (value: number): string => `${written(field.shown(value, own))}${unit === '' ? '' : ` ${unit}`}`;
  if (range && (read.value < range.least || read.value > range.most)) {
    const message = `${labelOf(field, units)} is ${shown(read.value)}; it must be from ${shown(range.least)} to ${shown(range.most)}.`;
    return refused('out-of-range', field.key, message);
  }
  return found({ ...record, [field.key]: read.value });
}

export const KIND_NAMES: Record<ShelfKind, { one: string; many: string }> = {
  glasses: { one: 'Glass', many: 'Glass' },
  families: { one: 'Family', many: 'Families' },
  kilns: { one: 'Kiln', many: 'Kilns' },
  controllers: { one: 'Controller', many: 'Controllers' },
};
