/** Schedules and programs by a seed, for tests of what is keyed. */
import type { Segment } from '../kiln/segment';

export function chanceOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/** A firing's worth of segments: up in a few ways, held, down in a few; some at full speed, the last switched off now and then. */
export function randomSchedule(chance: () => number, most = 8): Segment[] {
  const between = (least: number, top: number): number => least + (top - least) * chance();
  const count = 2 + Math.floor(chance() * (most - 1));
  const ups = 1 + Math.floor(chance() * (count - 1));
  let at = 20;
  return Array.from({ length: count }, (_, i): Segment => {
    const isUp = i < ups;
    at = isUp ? Math.min(at + between(40, 300), 900 - 20 * (ups - i)) : Math.max(at - between(30, 250), 50);
    return {
      rate_C_per_h: chance() < 0.15 ? null : isUp ? between(20, 600) : between(8, 250),
      target_C: at,
      hold_s: chance() < 0.4 ? 0 : 60 * Math.round(between(1, 400)),
    };
  });
}
