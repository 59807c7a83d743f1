/**
 * Tells open pages what has changed, as it changes: one stream of server-sent events for each browser. A stream that was cut off goes on
 * where it ended, by the id of the last event it had; where that is too long ago it is told that anything may have changed.
 */
import type { ServerResponse } from 'node:http';
import type { Change } from '@torvin/schema';

export interface Hub {
  publish(change: Change): void;
  /** after: id of the last event that this browser had. device: whose stream it is, where it was let in. */
  stream(response: ServerResponse, after: string | undefined, device: string | null): void;
  /** Ends the streams of a device. */
  endOf(device: string): void;
  close(): void;
  /** How many there are. */
  readonly open: number;
  /** Id of the last event. */
  readonly last: string;
}

const REMEMBERED = 500;
const BEAT_MS = 15_000;
const AGAIN_MS = 1000;
/** A reader that does not read is let go; it comes back and goes on. */
const UNREAD_AT_MOST_BYTES = 1 << 20;

export function makeHub(startedAt: number): Hub {
  const streams = new Map<ServerResponse, string | null>();
  /** The latest changes; the last is number `count`. */
  let recent: Change[] = [];
  let count = 0;
  const idOf = (n: number): string => `${startedAt.toString(36)}.${n}`;

  function write(response: ServerResponse, n: number, change?: Change): void {
    response.write(`id: ${idOf(n)}\nevent: ${change ? 'change' : 'here'}\ndata: ${JSON.stringify(change ?? {})}\n\n`);
    if (response.writableLength > UNREAD_AT_MOST_BYTES) response.destroy();
  }

  const beat = setInterval(() => streams.forEach((_, response) => write(response, count)), BEAT_MS);

  function missed(after: string): Change[] {
    const [start, n] = after.split('.');
    const had = Number(n);
    const known = start === startedAt.toString(36) && Number.isInteger(had) && had <= count && count - had <= recent.length;
    return known ? recent.slice(recent.length - (count - had)) : [{ topic: 'all' }];
  }

  return {
    get open() {
      return streams.size;
    },
    get last() {
      return idOf(count);
    },
    publish(change) {
      recent = [...recent, change].slice(-REMEMBERED);
      count += 1;
      streams.forEach((_, response) => write(response, count, change));
    },
    stream(response, after, device) {
      // Not transformed: what is compressed waits until there is enough of it.
      response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform', 'X-Accel-Buffering': 'no' });
      response.write(`retry: ${AGAIN_MS}\n\n`);
      for (const change of after === undefined ? [] : missed(after)) write(response, count, change);
      write(response, count);
      streams.set(response, device);
      response.once('close', () => streams.delete(response));
    },
    endOf(device) {
      streams.forEach((whose, response) => whose === device && response.end());
    },
    close() {
      clearInterval(beat);
      streams.forEach((_, response) => response.destroy());
    },
  };
}
