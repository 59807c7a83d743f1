/** What was typed into forms and not saved, as this browser keeps it: for a month. */
import type { Units } from '@torvin/core/units';
import { readStored, removeStored, storedKeys } from '@/outside/storage';

export const DRAFT_PREFIX = 'torvin-draft:';
const DAY_MS = 24 * 3600e3;
export const DRAFTS_KEPT_MS = 30 * DAY_MS;

export interface Draft<T> {
  at: number;
  values: T;
  /** In which its bare numbers were typed; what an earlier version left has none. */
  units?: Units;
  /** What the form was filled from: it may have been changed elsewhere since. */
  base?: unknown;
}

export function forgetOldDrafts(now: number): void {
  for (const key of storedKeys(DRAFT_PREFIX)) {
    const draft = readStored<Draft<unknown>>('localStorage', key);
    if (!draft || now - draft.at > DRAFTS_KEPT_MS) removeStored('localStorage', key);
  }
}
