/** The figures of each kind of record: what they are called, in which unit people write them, how they are kept. */
import { METRES_PER_INCH, type Outcome, type Units, celsiusFrom, differenceIn, kelvinFrom, temperatureIn } from '@torvin/core';
import type { ShelfKind } from '@torvin/schema';
import type { ShelfRecord } from '@/data/shelves';

export interface NumberField {
  key: string;
  label: string;
  unit(units: Units): string;
  shown(value: number, units: Units): number;
  kept(value: number, units: Units): number;
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
  ...(optional ? { optional } : {}),
});
const METRES_IN = { mm: 1e-3, in: METRES_PER_INCH } as const;
const inside = (key: string, label: string): NumberField => ({
  key,
  label,
  unit: (units) => units.length,
  shown: (value, units) => value / METRES_IN[units.length],
  kept: (value, units) => value * METRES_IN[units.length],
  optional: true,
});
const SECONDS_PER_HOUR = 3600;

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
    },
    plain('loss_per_s', 'Loss, of the difference to the room', '1/h', SECONDS_PER_HOUR),
    plain('radiantLoss_per_K3_s', 'Loss by radiation', '10⁻¹²/(K³·s)', 1e12),
    temperature('ambient_C', 'Room around it'),
    plain('acrossLag_s_per_300mm', 'Lag across 300 mm', 's'),
    inside('insideWidth_m', 'Inside, wide'),
    inside('insideLength_m', 'Inside, long'),
    inside('insideDiameter_m', 'Inside, across where it is round'),
    inside('insideHeight_m', 'Inside, high'),
  ],
  controllers: [plain('fullSpeedCode', 'Code for as fast as it can'), plain('mostSegments', 'Segments it holds')],
};

/** As people would write it: six figures at most, no tail of noughts. */
export const written = (value: number): string => String(Number(value.toPrecision(6)));

/** The record with a figure as typed; an empty optional one is left out. */
export function withFigure(record: ShelfRecord, field: NumberField, typed: string, units: Units): Outcome<ShelfRecord> {
  const text = typed.trim().replace(',', '.');
  if (text === '' && field.optional) {
    const rest = Object.fromEntries(Object.entries(record).filter(([key]) => key !== field.key));
    return { ok: true, value: rest as ShelfRecord };
  }
  const value = text === '' ? Number.NaN : Number(text);
  if (!Number.isFinite(value)) {
    const message = `Cannot read '${typed.trim()}' as a number${field.optional ? '; leave it empty where it is not known' : ''}.`;
    return { ok: false, problem: { code: 'unreadable', path: field.key, message } };
  }
  return { ok: true, value: { ...record, [field.key]: field.kept(value, units) } };
}

export const KIND_NAMES: Record<ShelfKind, { one: string; many: string }> = {
  glasses: { one: 'Glass', many: 'Glass' },
  families: { one: 'Family', many: 'Families' },
  kilns: { one: 'Kiln', many: 'Kilns' },
  controllers: { one: 'Controller', many: 'Controllers' },
};
