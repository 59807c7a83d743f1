/** Which loads call for somebody now, and when the next one will: pure arithmetic on loads and on what was answered on this device. */
import type { LoadAhead } from '@torvin/schema';

/** By load: answered for good ('seen'), or not to call again before a time, ms since 1970. */
export type Answered = Readonly<Record<string, 'seen' | number>>;

type Timed = Pick<LoadAhead, 'id' | 'at' | 'lookFrom' | 'lookTo' | 'openedAt'>;

const since = ({ id, lookFrom }: Timed, answered: Answered): number => {
  const said = answered[id];
  return said === 'seen' ? Infinity : Math.max(lookFrom, said ?? 0);
};

/** Loads that hold at their hottest, as far as nobody has answered here. */
export const calling = <L extends Timed>(loads: readonly L[], answered: Answered, now: number): L[] =>
  loads.filter((load) => load.openedAt === null && since(load, answered) <= now && now < load.lookTo);

/** When to look again whether one calls: as the next begins or one that calls ends; null where none is ahead. */
export function nextTurn(loads: readonly Timed[], answered: Answered, now: number): number | null {
  const turns = loads.filter(({ openedAt }) => openedAt === null).flatMap((load) => [since(load, answered), load.lookTo]);
  const ahead = turns.filter((at) => at > now && at < Infinity);
  return ahead.length > 0 ? Math.min(...ahead) : null;
}

/** What was answered of loads that are still there. */
export const stillAhead = (answered: Answered, loads: readonly Timed[]): Answered =>
  Object.fromEntries(Object.entries(answered).filter(([id]) => loads.some((load) => load.id === id)));
