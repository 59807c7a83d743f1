/** What can be wrong with the folder that a studio lies in, each in a sentence that says what to do. */
import { renameSync } from 'node:fs';
import type { Problem } from '@torvin/core/problem';

export interface Fault {
  status: 500 | 503 | 507;
  problem: Problem;
  retryAfter_s?: number;
}

const LOCKED_AGAIN_S = 2;

/** The code of SQLite or of the system, through whatever wraps it. */
function codeOf(error: unknown): string {
  for (let at = error; at instanceof Error; at = at.cause) {
    const { code } = at as { code?: unknown };
    if (typeof code === 'string') return code;
    // The driver names no code where a file cannot be opened at all, only SQLite's number of it.
    if (/Unable to open connection to local database .*: 14\b/.test(at.message)) return 'SQLITE_CANTOPEN';
  }
  return '';
}

/** null: it is none of these. where: the data folder, as this person knows it. */
export function faultOf(error: unknown, where: string): Fault | null {
  const code = codeOf(error);
  const fault = (status: Fault['status'], name: string, message: string, more = {}): Fault => ({ status, problem: { code: name, path: '', message }, ...more });
  if (/^SQLITE_(BUSY|LOCKED)/.test(code)) {
    const message = `Another program holds the database in ${where}, such as a copy or a look into it; end that, and it goes on. Your data is unchanged.`;
    return fault(503, 'locked', message, { retryAfter_s: LOCKED_AGAIN_S });
  }
  if (/^(SQLITE_FULL|ENOSPC|EDQUOT)$/.test(code)) {
    return fault(507, 'disk-full', `The disk that ${where} lies on is full: make room, then save once more. Your data is unchanged.`);
  }
  if (/^(SQLITE_READONLY|SQLITE_CANTOPEN|SQLITE_PERM|EACCES|EPERM|EROFS)/.test(code)) {
    return fault(
      507,
      'read-only',
      `Torvin may not write in ${where}: give the folder to the user that starts Torvin, or name another one in TORVIN_DATA. Your data is unchanged.`,
    );
  }
  if (/^SQLITE_(CORRUPT|NOTADB|IOERR)/.test(code)) {
    return fault(
      500,
      'damaged',
      `The database in ${where} cannot be read: torvin.db is damaged, or no database. Put a backup in its place, with npm run backup -- --restore <file>; the damaged one is kept.`,
    );
  }
  return null;
}

/** Moves a folder aside, never erases it; says where. */
export function moveAside(folder: string, now = new Date()): string {
  const aside = `${folder}-${now.toISOString().slice(0, 19).replace(/[:T]/g, '-')}`;
  renameSync(folder, aside);
  return aside;
}
