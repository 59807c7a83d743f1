/** When to be at the kiln, for a calendar (RFC 5545): times are of the one clock that does not change, so each calendar shows them by its own. */
import type { Moments } from '@torvin/core/schedule';
import { type EventAttributes, createEvents } from 'ics';
import { CALENDAR } from '@/ui/said';

export interface ForCalendar {
  /** Of the step of the journey, planned or started: a later file for it takes the place of an earlier one. */
  id: string;
  /** 'Plaque no. 14, tack fuse'. */
  what: string;
  kilnName: string;
  /** ms since 1970, UTC. */
  startsAt: number;
  moments: Moments;
  /** The least the kiln may read when it is opened, in words. */
  opensBelow: string;
  caution: string;
}

const MINUTE_MS = 60_000;
const PRODUCT = '-//Torvin//Firing times//EN';

/** The package does this for everything but the words of an alarm. */
const escaped = (words: string): string => words.replace(/[\\;,]/g, (sign) => `\\${sign}`);

export function calendarOf({ id, what, kilnName, startsAt, moments, opensBelow, caution }: ForCalendar): string {
  const at = (seconds: number): number => Math.round((startsAt + seconds * 1000) / MINUTE_MS) * MINUTE_MS;
  const event = (name: string, title: string, from_s: number, to_s: number, description: string): EventAttributes => ({
    uid: `${id}-${name}@torvin`,
    sequence: Math.floor(Date.now() / 1000),
    title: `${title}: ${what}`,
    location: kilnName,
    description: `${description} ${caution}`,
    start: at(from_s),
    startInputType: 'utc',
    startOutputType: 'utc',
    end: Math.max(at(to_s), at(from_s) + MINUTE_MS),
    endInputType: 'utc',
    endOutputType: 'utc',
    busyStatus: 'FREE',
    // At a moment: the package writes no duration of nought.
    alarms: [{ action: 'display', description: escaped(`${title}: ${what}`), trigger: at(from_s) }],
  });
  const { look, controlled_s, opens_s } = moments;
  const { error, value } = createEvents(
    [
      event('look', CALENDAR.check, look.from_s, look.to_s, CALENDAR.holdsHottestSchedule),
      event('controlled', CALENDAR.controllerDone, controlled_s, controlled_s, CALENDAR.closedKilnCools),
      event('opens', CALENDAR.mayBeOpened, opens_s, opens_s, CALENDAR.estimatedOpenWhen(opensBelow)),
    ],
    { productId: PRODUCT, calName: CALENDAR.in(what, kilnName) },
  );
  if (error || !value) throw error ?? new Error(CALENDAR.calendarCouldNot);
  // A method is of an invitation, which somebody sends.
  return value.replace(/^METHOD:.*\r\n/m, '');
}
