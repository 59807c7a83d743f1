/** Clock times for people, in the zone of this machine. */
import { addSeconds } from 'date-fns/addSeconds';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { format } from 'date-fns/format';

/** '07:10', or 'Tue 07:10' when it is another day than the start. */
export function clockAfter(start: Date, seconds: number): string {
  const then = addSeconds(start, seconds);
  return format(then, differenceInCalendarDays(then, start) === 0 ? 'HH:mm' : 'EEE HH:mm');
}

const START_STEP_MS = 5 * 60_000;

/** The next full five minutes. */
export const soon = (now: Date): Date => new Date(Math.ceil(now.getTime() / START_STEP_MS) * START_STEP_MS);
