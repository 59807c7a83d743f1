/** Axes of the chart with time to scale: seconds and °C to pixels, and the clock marks that fit. */
import { type TemperatureUnit, celsiusFrom } from '@torvin/core/units';
import { addSeconds } from 'date-fns/addSeconds';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { getHours } from 'date-fns/getHours';
import { getMinutes } from 'date-fns/getMinutes';

export interface TimeAxis {
  left: number;
  right: number;
  bottom: number;
  top_C: number;
  total_s: number;
  x(seconds: number): number;
  y(celsius: number): number;
}

const MARGIN = { left: 52, right: 20, top: 10, bottom: 28 };
const MARK_PX = 64;
const HOUR_S = 3600;
/** Hours between marks that a clock is read by. */
const STEPS_H = [1, 2, 3, 4, 6, 12, 24, 48];

export function trueTimeAxes(width: number, height: number, total_s: number, top_C: number): TimeAxis {
  const [left, right, bottom] = [MARGIN.left, width - MARGIN.right, height - MARGIN.bottom];
  return {
    ...{ left, right, bottom, top_C, total_s },
    x: (seconds) => left + (seconds / Math.max(total_s, 1)) * (right - left),
    y: (celsius) => bottom - (celsius / top_C) * (bottom - MARGIN.top),
  };
}

const LEVELS: Record<TemperatureUnit, readonly number[]> = { C: [200, 400, 600, 800, 1000, 1200], F: [400, 800, 1200, 1600, 2000] };

/** °C of the marks on the axis: round figures in the unit that is read, below the kiln's top. */
export const levelMarks = ({ top_C }: Pick<TimeAxis, 'top_C'>, unit: TemperatureUnit): number[] =>
  LEVELS[unit].map((level) => celsiusFrom(level, unit)).filter((level) => level < top_C);

/** Seconds after the start at which full hours stand, as many as fit without touching. */
export function timeTicks({ left, right, total_s }: TimeAxis, start: Date): number[] {
  const room = Math.max(1, Math.floor((right - left) / MARK_PX));
  const step_h = STEPS_H.find((hours) => total_s / (hours * HOUR_S) <= room) ?? STEPS_H[STEPS_H.length - 1];
  const intoHour_s = getMinutes(start) * 60;
  const ticks: number[] = [];
  // Hour by hour as the clock shows them: one night has an hour more or less.
  for (let seconds = intoHour_s === 0 ? 0 : HOUR_S - intoHour_s; seconds <= total_s; seconds += HOUR_S) {
    const then = addSeconds(start, seconds);
    const hours = 24 * differenceInCalendarDays(then, start) + getHours(then);
    if (hours % step_h === 0) ticks.push(seconds);
  }
  return ticks;
}
