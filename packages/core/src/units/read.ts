/** Reads any kind of quantity by its name: what the compute API offers of this folder. */
import { type Outcome, found } from '../problem';
import type { LengthUnit, MassUnit, TemperatureUnit } from './convert';
import { type Decimal, parseDifference, parseDuration, parseExpansion, parseLength, parseMass, parseRate, parseTemperature } from './parse';

export const QUANTITY_KINDS = ['length', 'mass', 'time', 'temperature', 'difference', 'rate', 'expansion'] as const;
export type QuantityKind = (typeof QUANTITY_KINDS)[number];

/** Units of the answer. */
export const QUANTITY_UNITS: Record<QuantityKind, string> = {
  length: 'm',
  mass: 'kg',
  time: 's',
  temperature: '°C',
  difference: 'K',
  rate: '°C/h',
  expansion: '1/K',
};

export interface QuantityText {
  text: string;
  kind: QuantityKind;
  decimal: Decimal;
  /** What a bare number is in. */
  bare: { length: LengthUnit; mass: MassUnit; temperature: TemperatureUnit };
}

/** value is null for a rate at full speed. */
export function readQuantity({ text, kind, decimal, bare }: QuantityText): Outcome<{ value: number | null; unit: string }> {
  const path = 'text';
  const readers: Record<QuantityKind, () => Outcome<number | null>> = {
    length: () => parseLength(text, bare.length, path, decimal),
    mass: () => parseMass(text, bare.mass, path, decimal),
    time: () => parseDuration(text, path, decimal),
    temperature: () => parseTemperature(text, bare.temperature, path, decimal),
    difference: () => parseDifference(text, bare.temperature, path, decimal),
    rate: () => parseRate(text, bare.temperature, path, decimal),
    expansion: () => parseExpansion(text, path),
  };
  const outcome = readers[kind]();
  return outcome.ok ? found({ value: outcome.value, unit: QUANTITY_UNITS[kind] }) : outcome;
}
