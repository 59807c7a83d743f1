/** The backups of a studio that is being served: one a day by itself, others when asked, and putting one back. */
import { existsSync, readdirSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { Problem } from '@torvin/core/problem';
import type { Backup, Restored } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { faultOf } from '../folder/faults';
import { NotFound } from '../store/failures';
import type { BackupReason } from './archive';
import { deleteBackup, findBackup, isDue, listBackups, prune } from './backup';
import { dropIncoming } from './swap';
import type { Keeper } from './thread';

const HOUR_MS = 3600e3;
const INCOMING = 'restore-';

export interface KeepingParts {
  dataDir: string;
  folder: string;
  keeper: Keeper;
  program: string;
  /** How many migrations this program knows. */
  schema: number;
  /** Puts what lies in a folder of that name within the data folder in the place of what is there; where that lies then. */
  exchange: (incoming: string) => Promise<string | null>;
  now: () => number;
}

export interface Backups {
  readonly folder: string;
  list(): Promise<Backup[]>;
  /** Why the last one that was to be made by itself was not. */
  fault(): Problem | null;
  make(why: BackupReason): Promise<Backup>;
  /** Path of one; throws NotFound. */
  path(name: string): string;
  /** Repeated, it does nothing. */
  remove(name: string): { ok: true };
  restore(archive: string): Promise<Restored>;
  /** A file's path for what is being sent. */
  incoming(): string;
  /** Makes one now if today has none, and looks again every hour. */
  everyDay(): void;
  stop(): void;
}

export function keepBackups({ dataDir, folder, keeper, program, schema, exchange, now }: KeepingParts): Backups {
  let timer: ReturnType<typeof setInterval> | undefined;
  let fault: Problem | null = null;
  const list = async (): Promise<Backup[]> => (await listBackups(folder, now())).map(({ name, ...kept }) => ({ id: name, ...kept }));

  async function make(why: BackupReason): Promise<Backup> {
    const path = await keeper.make({ dataDir, folder, why, now: now(), program });
    prune(folder, now());
    const made = (await list()).find(({ id }) => id === basename(path));
    if (!made) throw new Error(`The backup ${path} cannot be read again.`);
    return made;
  }

  async function ifDue(): Promise<void> {
    try {
      if (isDue(folder, now())) await make('daily');
      fault = null;
    } catch (error) {
      const known = faultOf(error, folder)?.problem;
      fault = known ?? { code: 'no-backup', path: '', message: `Today's backup could not be made: ${(error as Error).message}` };
    }
  }

  async function restore(archive: string): Promise<Restored> {
    const into = `${INCOMING}${uuid()}`;
    const { madeAt, holds } = await keeper.unpack(archive, join(dataDir, into), schema);
    try {
      return { madeAt, holds, aside: await exchange(into) };
    } finally {
      dropIncoming(dataDir, into);
    }
  }

  return {
    folder,
    list,
    fault: () => fault,
    make,
    restore,
    path(name) {
      const path = findBackup(folder, name);
      if (path === null) throw new NotFound('backup', name);
      return path;
    },
    remove(name) {
      deleteBackup(folder, name);
      return { ok: true };
    },
    incoming: () => join(dataDir, `${INCOMING}${uuid()}.part`),
    everyDay() {
      clearIncoming(dataDir);
      void ifDue();
      timer = setInterval(() => void ifDue(), HOUR_MS);
    },
    stop: () => clearInterval(timer),
  };
}

/** What a server was killed over while it unpacked it. */
function clearIncoming(dataDir: string): void {
  if (!existsSync(dataDir)) return;
  for (const name of readdirSync(dataDir)) if (name.startsWith(INCOMING)) rmSync(join(dataDir, name), { recursive: true, force: true });
}
