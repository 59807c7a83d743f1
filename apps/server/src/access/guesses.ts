/**
 * Wrong passcodes, counted by the address that sent them. One passcode is looked at at a time, so that a hundred at once count as
 * they would one after the other, and no more than one is hashed.
 */
import ipaddr from 'ipaddr.js';
import { Busy } from '../compute/pool';

export const A_MINUTE_MS = 60_000;
const WRONG_A_MINUTE = 5;
/** Above this many from all addresses, whoever has been wrong within a minute waits. Who has not been wrong never does. */
const WRONG_A_MINUTE_OF_ALL = 40;
/** So many may wait to be looked at. */
const WAITING_AT_MOST = 100;

/** This address has been wrong too often. */
export class TooOften extends Error {}

export interface Guesses {
  /** What look tells, in its turn; null counts as a wrong one. Throws TooOften, and Busy where too many wait already. */
  judge<T>(address: string | undefined, look: () => Promise<T | null>): Promise<T | null>;
}

/** Whom an address stands for: one of IPv6 for its /64, which a household has to itself. */
export function whose(address = ''): string {
  if (!ipaddr.isValid(address)) return address;
  const parsed = ipaddr.process(address);
  return parsed.kind() === 'ipv4'
    ? parsed.toString()
    : `${(parsed as ipaddr.IPv6).parts
        .slice(0, 4)
        .map((part) => part.toString(16))
        .join(':')}::/64`;
}

/** now: ms; what it is told by may be a clock that never goes back. */
export function countGuesses(now: () => number = () => performance.now()): Guesses {
  /** When each was wrong within the last minute. */
  const wrong = new Map<string, number[]>();
  let turn: Promise<unknown> = Promise.resolve();
  let waiting = 0;

  function forget(): void {
    const since = now() - A_MINUTE_MS;
    for (const [who, times] of wrong) {
      const left = times.filter((at) => at > since);
      if (left.length > 0) wrong.set(who, left);
      else wrong.delete(who);
    }
  }

  function mustWait(who: string): boolean {
    forget();
    const own = wrong.get(who)?.length ?? 0;
    const all = [...wrong.values()].reduce((sum, { length }) => sum + length, 0);
    return own >= WRONG_A_MINUTE || (own > 0 && all > WRONG_A_MINUTE_OF_ALL);
  }

  async function judged<T>(who: string, look: () => Promise<T | null>): Promise<T | null> {
    if (mustWait(who)) throw new TooOften();
    const told = await look();
    if (told === null) wrong.set(who, [...(wrong.get(who) ?? []), now()]);
    return told;
  }

  return {
    async judge(address, look) {
      const who = whose(address);
      if (mustWait(who)) throw new TooOften();
      if (waiting >= WAITING_AT_MOST) throw new Busy();
      waiting += 1;
      const mine = turn.then(() => judged(who, look));
      turn = mine.then(
        () => undefined,
        () => undefined,
      );
      return mine.finally(() => (waiting -= 1));
    },
  };
}
