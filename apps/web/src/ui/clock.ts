/** Clock times for people, in the zone of the date given: that of this machine, or the one that something was recorded in. */
import { TZDate } from '@date-fns/tz';
import { formatDuration, text } from '@torvin/core/units';
import { addSeconds } from 'date-fns/addSeconds';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { format } from 'date-fns/format';
import { set } from 'date-fns/set';

/** A recorded time in the zone it was recorded in: formats, days and what is added to it stay there. */
export const inZone = (at: number, zone: string): Date => new TZDate(at, zone);

/** ' (Lisbon time)' where the clocks there are not those here at the time; else nothing. */
export const zoneWords = (at: number, zone: string): string =>
  inZone(at, zone).getTimezoneOffset() === new Date(at).getTimezoneOffset() ? '' : ` (${zone.split('/').at(-1)?.replaceAll('_', ' ')} time)`;

/** '3 Feb 2026, 07:10', by the clock where it was fired; whose that is where it is not the one here. */
export const firedWords = ({ firedAt, zone }: { firedAt: number; zone: string }): string =>
  `${format(inZone(firedAt, zone), 'd MMM yyyy, HH:mm')}${zoneWords(firedAt, zone)}`;

/** ' by a clock 30 h before the server’s': what is to be said of a time that another clock told; '' where the two agreed. */
export const aheadWords = (ahead_s: number): string =>
  ahead_s === 0 ? '' : ` by a clock ${text(formatDuration(Math.abs(ahead_s)))} ${ahead_s > 0 ? 'before' : 'behind'} the server’s`;

/** '07:10'; 'Tue 07:10' on the day before or after; with its date beyond: 'Sat 5 Dec, 07:10'. */
export function dayAndClock(at: number | Date, from: Date): string {
  const days = Math.abs(differenceInCalendarDays(at, from));
  return format(at, days === 0 ? 'HH:mm' : days === 1 ? 'EEE HH:mm' : 'EEE d MMM, HH:mm');
}

/** Where there is little room: '07:10', 'Tue 07:10' tomorrow, '5 Dec 07:10' beyond. */
export function clockShort(start: Date, seconds: number): string {
  const then = addSeconds(start, seconds);
  const days = differenceInCalendarDays(then, start);
  return format(then, days === 0 ? 'HH:mm' : days === 1 ? 'EEE HH:mm' : 'd MMM HH:mm');
}

/** The clock so many seconds after a start. */
export const clockAfter = (start: Date, seconds: number): string => dayAndClock(addSeconds(start, seconds), start);

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

/** 'from Sun 29 Nov, 14:30 on'; '' where nothing has to be waited for any more. */
export const fromWhen = (from: number | null, now: number): string => (from === null || from <= now ? '' : `from ${format(from, 'EEE d MMM, HH:mm')} on`);

/** '24 Dec' of '2026-12-24'. */
export const dayWords = (day: string): string => format(new Date(`${day}T12:00`), 'd MMM');
