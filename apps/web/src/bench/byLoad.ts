/** Firings that are in a kiln, by their loads. */
import type { Firing } from '@torvin/schema';

/** In the order in which they came. */
export function byLoad(inKiln: readonly Firing[]): Firing[][] {
  const found = new Map<string, Firing[]>();
  for (const firing of inKiln) {
    const { id } = firing.load;
    found.set(id, [...(found.get(id) ?? []), firing]);
  }
  return [...found.values()];
}

/** Kilns that hold more than one running load, as old records may say. */
export function twiceUsed(loads: readonly Firing[][], now: number): string[] {
  const running = loads.map(([first]) => first).filter(({ load }) => load.openedAt === null && load.at <= now);
  const names = running.map(({ kilnName }) => kilnName);
  return [...new Set(names.filter((name, i) => names.indexOf(name) !== i))];
}
