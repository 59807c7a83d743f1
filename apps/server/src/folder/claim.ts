/**
 * One server to a folder. The lock is the operating system's, held through SQLite for as long as the process lives, so that a
 * killed one leaves nothing to be cleared away and a process that has got its number is not taken for it; a note beside it says
 * who holds it.
 */
import { accessSync, constants, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Driver from 'better-sqlite3';
import { faultOf } from './faults';

/** Who holds a folder. */
export interface Holder {
  pid: number;
  /** ms since 1970, UTC. */
  startedAt: number;
  /** null while it is still starting. */
  address: string | null;
}

export interface Claim {
  /** Tells others where this server is to be found. */
  at(address: string): void;
  release(): void;
}

const LOCK = 'server.lock';
const NOTE = 'server.json';

/** Another server has the folder. */
export class FolderInUse extends Error {
  constructor(
    dataDir: string,
    readonly holder: Holder | null,
  ) {
    const where = holder?.address ? `at ${holder.address}` : 'and is still starting';
    const which = holder ? ` (process ${holder.pid}, since ${new Date(holder.startedAt).toISOString().slice(0, 16).replace('T', ' ')} UTC)` : '';
    super(`Torvin already runs on ${dataDir}, ${where}${which}. Open it there, or end it before another one is started on that folder.`);
  }
}

/** Throws FolderInUse where another process has it. */
export function claimFolder(dataDir: string, now = Date.now()): Claim {
  makeFolder(dataDir);
  const note = join(dataDir, NOTE);
  const lock = lockIn(dataDir);
  try {
    lock.exec('begin exclusive');
  } catch (error) {
    lock.close();
    if (!/^SQLITE_BUSY/.test(String((error as { code?: unknown }).code))) throw error;
    throw new FolderInUse(dataDir, holderIn(note));
  }
  const tell = (address: string | null): void => {
    const holder: Holder = { pid: process.pid, startedAt: now, address };
    try {
      writeFileSync(`${note}.new`, JSON.stringify(holder));
      renameSync(`${note}.new`, note);
    } catch (error) {
      // On a full disk the lock alone says that somebody is there.
      if (faultOf(error, dataDir)?.problem.code !== 'disk-full') throw error;
    }
  };
  tell(null);
  return {
    at: tell,
    release() {
      rmSync(note, { force: true });
      lock.close();
    },
  };
}

function makeFolder(dataDir: string): void {
  try {
    mkdirSync(dataDir, { recursive: true });
  } catch (error) {
    if (faultOf(error, dataDir)) throw error;
    throw new Error(`The folder ${dataDir} cannot be made (${(error as Error).message}): name another one in TORVIN_DATA.`);
  }
}

function lockIn(dataDir: string): Driver.Database {
  const path = join(dataDir, LOCK);
  try {
    return new Driver(path, { timeout: 0 });
  } catch (error) {
    accessSync(dataDir, constants.W_OK);
    if (!existsSync(path)) throw error;
    throw new Error(`The lock ${path} cannot be opened: it belongs to somebody else, or is no file. Move it aside, then start Torvin again.`);
  }
}

function holderIn(note: string): Holder | null {
  try {
    const { pid, startedAt, address } = JSON.parse(readFileSync(note, 'utf8')) as Partial<Holder>;
    if (typeof pid !== 'number' || typeof startedAt !== 'number') return null;
    return { pid, startedAt, address: typeof address === 'string' ? address : null };
  } catch {
    // Not written yet, or being written at this moment: nothing is known of it but that it holds the lock.
    return null;
  }
}
