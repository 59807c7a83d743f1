/** Whether there is room on the disk of a studio, which is watched while there is none. */
import { statfsSync } from 'node:fs';
import { eq } from 'drizzle-orm';
import { type Database, writing } from '../db/database';
import { receipts } from '../db/tables';

export interface Room {
  /** Nothing can be saved for want of room. */
  isFull(): boolean;
  /** A save has failed for want of room, or the database was opened without any. */
  ranOut(): void;
  stop(): void;
}

const LOOK_AGAIN_MS = 3000;
/** Less than so much is none: a save and what is written beside it take some. */
const LEAST_BYTES = 1_000_000;

export const hasNone = (dataDir: string): boolean => {
  const { bavail, bsize } = statfsSync(dataDir);
  return bavail * bsize < LEAST_BYTES;
};

const TRIED = 'room';

/** Whether a write goes through. */
function canWrite(db: Database): boolean {
  try {
    writing(db, (tx) => {
      tx.insert(receipts).values({ key: TRIED, subject: TRIED, takenAt: 0 }).onConflictDoNothing().run();
      tx.delete(receipts).where(eq(receipts.key, TRIED)).run();
    });
    return true;
  } catch {
    return false;
  }
}

/** changed: told when it is full, and when there is room again. */
export function watchRoom(dataDir: string, db: () => Database, changed: (full: boolean) => void | Promise<void>): Room {
  let full = false;
  let looking: ReturnType<typeof setInterval> | null = null;
  const stop = (): void => {
    if (looking) clearInterval(looking);
    looking = null;
  };
  function look(): void {
    if (hasNone(dataDir) || !canWrite(db())) return;
    stop();
    full = false;
    void changed(false);
  }
  return {
    isFull: () => full,
    ranOut() {
      if (full) return;
      full = true;
      looking = setInterval(look, LOOK_AGAIN_MS);
      void changed(true);
    },
    stop,
  };
}
