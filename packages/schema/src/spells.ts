/**
 * Which versions of a schedule are worth a line: a spell of editing is one version, not one for every touch. It is listed once
 * it has been left, named or fired, or is the one in use; every version stays in the database for undo.
 */
import type { ScheduleVersion } from './documents';

/** A pause this long ends a spell. */
export const SPELL_MS = 30 * 60_000;

type Version = Pick<ScheduleVersion, 'id' | 'name' | 'stepId' | 'parentId' | 'origin' | 'createdAt' | 'firings'>;

/** versions: newest first. used: the ids in use. Each told as made from the nearest listed one before it. */
export function listedVersions<T extends Version>(versions: readonly T[], used: ReadonlySet<string>, now: number): T[] {
  const listed = versions.filter((version, i) => {
    if (version.name !== '' || version.firings > 0 || used.has(version.id)) return true;
    const next = versions.slice(0, i).findLast(({ stepId }) => stepId === version.stepId);
    if (!next) return now - version.createdAt > SPELL_MS;
    return next.origin !== version.origin || next.createdAt - version.createdAt > SPELL_MS;
  });
  const kept = new Set(listed.map(({ id }) => id));
  const parents = new Map(versions.map(({ id, parentId }) => [id, parentId]));
  const nearest = (id: string | null): string | null => {
    for (let at = id; at !== null; at = parents.get(at) ?? null) if (kept.has(at)) return at;
    return null;
  };
  return listed.map((version) => ({ ...version, parentId: nearest(version.parentId) }));
}
