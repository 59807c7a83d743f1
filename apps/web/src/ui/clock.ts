/** Clock times for people, in the zone of this machine. */
import { addSeconds } from 'date-fns/addSeconds';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { format } from 'date-fns/format';
import { set } from 'date-fns/set';

/** '07:10', or 'Tue 07:10' when it is another day than the start. */
export function clockAfter(start: Date, seconds: number): string {
  const then = addSeconds(start, seconds);
  return format(then, differenceInCalendarDays(then, start) === 0 ? 'HH:mm' : 'EEE HH:mm');
}

const START_STEP_MS = 5 * 60_000;

/** The next full five minutes. */
export const soon = (now: Date): Date => new Date(Math.ceil(now.getTime() / START_STEP_MS) * START_STEP_MS);

const CLOCK = /^(\d{1,2})(?:[:.h ]?([0-5]\d))?\s*([ap])?\.?m?\.?$/i;

/** A time of day as people write it, on the day of another; null where it is none. */
export function readClock(typed: string, on: Date): Date | null {
  const match = CLOCK.exec(typed.trim());
  if (!match) return null;
  const [, hour, minute = '0', half] = match;
  const written = Number(hour);
  if (half && (written < 1 || written > 12)) return null;
  const hours = half ? (written % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : written;
  return hours > 23 ? null : set(on, { hours, minutes: Number(minute), seconds: 0, milliseconds: 0 });
}
