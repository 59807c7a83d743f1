/** Firings that are in a kiln, by their loads. */
import type { FiringDetail } from '@torvin/schema';

/** In the order in which they came. */
export function byLoad(inKiln: readonly FiringDetail[]): FiringDetail[][] {
  const found = new Map<string, FiringDetail[]>();
  for (const detail of inKiln) {
    const { id } = detail.firing.load;
    found.set(id, [...(found.get(id) ?? []), detail]);
  }
  return [...found.values()];
}

/** Kilns that hold more than one running load, as old records may say. */
export function twiceUsed(loads: readonly FiringDetail[][], now: number): string[] {
  const running = loads.map(([{ firing }]) => firing).filter(({ load }) => load.openedAt === null && load.at <= now);
  const names = running.map(({ kilnName }) => kilnName);
  return [...new Set(names.filter((name, i) => names.indexOf(name) !== i))];
}
