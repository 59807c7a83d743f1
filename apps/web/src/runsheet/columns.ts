/** The columns behind the curve: what the glass does at each temperature, and how its name fits. */
import type { GlassState, StateName } from '@torvin/core/glass';
import { type TemperatureUnit, formatTemperature, text } from '@torvin/core/units';
import type { TemperatureScale } from './scale';
import { COLUMNS } from './words';

export interface ColumnBand {
  name: StateName;
  meaning: string;
  x: number;
  width: number;
  from_C: number;
  to_C: number;
  /** Names never overlap: level where there is room, upright in a narrow column, none in a sliver. */
  label: 'level' | 'upright' | 'none';
}

const LEVEL_FROM_PX = 56;
const UPRIGHT_FROM_PX = 13;

export function columnBands(states: readonly GlassState[], scale: TemperatureScale, top_C: number): ColumnBand[] {
  return states
    .filter(({ from_C }) => from_C < top_C)
    .map(({ name, meaning, from_C, to_C }) => {
      const x = scale.x(Math.max(from_C, 0));
      const width = scale.x(Math.min(to_C, top_C)) - x;
      return { name, meaning, x, width, from_C, to_C, label: width >= LEVEL_FROM_PX ? 'level' : width >= UPRIGHT_FROM_PX ? 'upright' : 'none' };
    });
}

/** The column at a place, px from the left; none beside them. */
export const bandAt = (bands: readonly ColumnBand[], x: number): ColumnBand | null => bands.find((band) => x >= band.x && x < band.x + band.width) ?? null;

/** 'sets, 482 to 515 °C: stress sets here.' */
export function columnWords({ name, meaning, from_C, to_C }: ColumnBand, unit: TemperatureUnit): string {
  const [from, to] = [formatTemperature(Math.max(from_C, 0), unit), formatTemperature(to_C, unit)];
  return `${name}, ${Number.isFinite(to_C) ? COLUMNS.to(from.figure, text(to)) : COLUMNS.from(text(from))}: ${meaning}`;
}
