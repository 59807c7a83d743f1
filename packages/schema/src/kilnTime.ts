/** Which load keeps a kiln from taking another: one rule for the key-in page and for the server that judges a start. */
import type { LoadAhead } from './documents';

/** From start to opening, ms since 1970, in a kiln. */
export interface KilnTime {
  kilnId: string | null;
  from: number;
  to: number;
}

/** What is not opened yet is in its kiln until now at least. A kiln that is on no shelf is not judged. */
export const inTheWay = <L extends LoadAhead>(loads: readonly L[], { kilnId, from, to }: KilnTime, now: number): L | null =>
  kilnId === null
    ? null
    : (loads.find((load) => load.kilnId === kilnId && load.at < to && from < (load.at <= now ? Math.max(load.until, now + 1) : load.until)) ?? null);
