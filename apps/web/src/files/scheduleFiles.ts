/** A schedule as JSON and as CSV: the segments with their units in the names, what it is of, and the version. */
import { ROLE_NAMES } from '@torvin/core/schedule';
import { type TemperatureUnit, differenceIn, temperatureIn } from '@torvin/core/units';
import { type CsvStyle, type Piece, type Schedule, csvOf } from '@torvin/schema';

const round = (value: number, digits: number): number => Number(value.toFixed(digits));

export function scheduleJson(piece: Piece, schedule: Schedule): string {
  const { snapshot, segments, id, name, origin, createdAt } = schedule;
  const file = {
    format: 'torvin-schedule',
    formatVersion: 1,
    piece: piece.name,
    version: { id, name, origin, createdAt: new Date(createdAt).toISOString() },
    look: snapshot.firing.look,
    kiln: snapshot.kilnName,
    glass: snapshot.familyName,
    segments: segments.map(({ role, rate_C_per_h, target_C, hold_s }) => ({ role, rate_C_per_h, target_C, hold_s })),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** In the unit that the studio shows; an empty rate is as fast as the kiln can. */
export function scheduleCsv({ segments }: Pick<Schedule, 'segments'>, unit: TemperatureUnit, style: CsvStyle): string {
  const rows = segments.map(({ role, rate_C_per_h, target_C, hold_s }, i) => ({
    segment: i + 1,
    purpose: ROLE_NAMES[role],
    [`rate_${unit}_per_h`]: rate_C_per_h === null ? '' : round(differenceIn(rate_C_per_h, unit), 1),
    [`target_${unit}`]: round(temperatureIn(target_C, unit), 0),
    hold_min: round(hold_s / 60, 0),
  }));
  return csvOf(rows, style);
}
