/** Times as a sentence names them, in the zone that a record has. */

/** Phone and server may differ by so much. */
export const CLOCKS_APART_MS = 5 * 60e3;

/** The server's own clock, and by how much that of the device was before it. */
export interface Clocks {
  now: number;
  ahead_s: number;
}

/** By how much the clock that sent something is before this one, s; 0 where they agree as well as clocks do, and where none was named. */
export function aheadOf(sent: string | undefined, now: number): number {
  const apart_ms = sent === undefined || sent === '' ? NaN : Number(sent) - now;
  return Number.isFinite(apart_ms) && Math.abs(apart_ms) > CLOCKS_APART_MS ? Math.round(apart_ms / 1000) : 0;
}

/** 'Tue 24 Nov 2026, 18:30'. */
export function clockWords(at: number, zone: string): string {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(at);
  const part = (type: string): string => parts.find((one) => one.type === type)?.value ?? '';
  return `${part('weekday')} ${part('day')} ${part('month')} ${part('year')}, ${part('hour')}:${part('minute')}`;
}
