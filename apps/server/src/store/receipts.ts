/**
 * A save whose answer was lost comes again, perhaps days later, from a page that kept it. It comes under the key it first came
 * under, so that it is known, whatever has been saved in between, and counts once.
 */
import { eq, lt } from 'drizzle-orm';
import { type Database, writing } from '../db/database';
import { receipts } from '../db/tables';
import { Taken } from './failures';

const DAY_MS = 24 * 3600e3;
/** A browser that has kept a save for longer is not waited for. */
export const RECEIPTS_KEPT_MS = 90 * DAY_MS;

export interface Sent {
  /** Undefined where whoever saves does not mean to repeat it. */
  key: string | undefined;
  at: number;
}

/** Acts in a transaction; under a key that acted before it answers with what stands now. */
export function once<T>(db: Database, { key, at }: Sent, subject: string, act: (tx: Database) => T, standing: (tx: Database) => T): T {
  return writing(db, (tx) => {
    if (key === undefined) return act(tx);
    const known = tx.select().from(receipts).where(eq(receipts.key, key)).get();
    if (known && known.subject !== subject) throw new Taken('save', key);
    if (known) return standing(tx);
    const answer = act(tx);
    tx.insert(receipts).values({ key, subject, takenAt: at }).run();
    return answer;
  });
}

export const forgetOldReceipts = (db: Database, now: number): void =>
  void db
    .delete(receipts)
    .where(lt(receipts.takenAt, now - RECEIPTS_KEPT_MS))
    .run();
