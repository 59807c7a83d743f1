/** The rows of a load's schedule in words. */
import type { Answered } from '@torvin/core/engine';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Units, formatDuration, formatRate, formatTemperature, text } from '@torvin/core/units';
import { LOAD } from './words';

export function rowFigures({ rate_C_per_h, target_C, hold_s }: PurposefulSegment, { temperature }: Units): string {
  const rate = rate_C_per_h === null ? LOAD.fullSpeed : LOAD.rate(text(formatRate(rate_C_per_h, temperature)));
  return `${rate} ${text(formatTemperature(target_C, temperature))}${hold_s > 0 ? LOAD.hold(text(formatDuration(hold_s))) : ''}`;
}

/** 'Plate sets the rate and hold. Tile sets the temperature.'; '' where nobody stands out. */
export function setWords(setBy: Answered<'load'>['segments'][number]['setBy'], names: readonly string[]): string {
  const by = [...new Set(FIGURES.flatMap((figure) => setBy[figure] ?? []))];
  const whatOf = (i: number): string[] => FIGURES.filter((figure) => setBy[figure] === i).map((figure) => LOAD.figures[figure]);
  return by.map((i) => `${LOAD.sets(names[i], LOAD.list(whatOf(i)))}.`).join(' ');
}
const FIGURES = ['rate', 'target', 'hold'] as const;
