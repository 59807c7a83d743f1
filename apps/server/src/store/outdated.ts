/** What differs now from what a schedule was made from. */
import { firingOf, outdatedBy } from '@torvin/core/piece';
import type { Schedule } from '@torvin/schema';
import { and, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/database';
import { pieces } from '../db/tables';
import { studioShelves } from './shelfRows';
import { seenFirings } from './seen';
import { studioUnits } from './studio';

/** What differs now from what the schedule was made from; a deleted piece has nothing that could differ. */
export function differencesNow(db: Database, schedule: Schedule): string[] {
  const piece = db
    .select({ doc: pieces.doc })
    .from(pieces)
    .where(and(eq(pieces.id, schedule.pieceId), isNull(pieces.deletedAt)))
    .get();
  if (!piece) return [];
  const { kilnId: kiln, look: kind } = firingOf(piece.doc, schedule.stepId) ?? {};
  const shelf = { ...studioShelves(db), ...(kiln && kind ? { seen: seenFirings(db, { kiln, look: kind }) } : {}) };
  return outdatedBy(piece.doc, schedule.stepId, shelf, schedule.snapshot, studioUnits(db));
}
