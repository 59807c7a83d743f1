/** A studio that is being served, from its folder to its answers. Its data can be exchanged for a backup's while it is. */
import type { IncomingMessage, ServerResponse } from 'node:http';
import { rmSync } from 'node:fs';
import { basename } from 'node:path';
import { ProblemError } from '@torvin/core/problem';
import { type Access, openAccess } from './access/access';
import { prune } from './backup/backup';
import { type Backups, keepBackups } from './backup/keeping';
import { finishSwap, swapIn } from './backup/swap';
import type { Keeper } from './backup/thread';
import { Busy } from './compute/pool';
import { HalfMigrated, type Opened, clearMemory, isBehind, mustBeWhole, openDatabase, schemaOf } from './opening/open';
import { faultOf } from './folder/faults';
import { type Room, hasNone, watchRoom } from './folder/room';
import { type AppParts, createApp } from './http/app';
import { keepLastLines } from './http/lastLines';
import { type Hub, makeHub } from './live/hub';

export interface RunningParts extends Omit<AppParts, 'opened' | 'backups' | 'access' | 'hub' | 'room' | 'lines'> {
  migrationsDir: string;
  /** An empty database is meant, although pictures of another one lie beside it. */
  beginAnew?: boolean;
  keeper: Keeper;
  backupsDir: string;
}

export interface Running {
  opened: Opened;
  backups: Backups;
  access: Access;
  hub: Hub;
  room: Room;
  handle(request: IncomingMessage, response: ServerResponse): void;
  close(): void;
}

/** A request that has not ended by then is not waited for. */
const QUIET_AT_MOST_MS = 10_000;
const LOOK_AGAIN_MS = 20;

export async function runStudio(parts: RunningParts): Promise<Running> {
  const { dataDir, migrationsDir, keeper, beginAnew = false, backupsDir, version, now = Date.now } = parts;

  /** Ends an exchange that was cut off, makes a backup before a migration, and opens what is there. */
  async function open(): Promise<Opened> {
    finishSwap(dataDir);
    if (isBehind(dataDir, migrationsDir)) {
      await keeper.make({ dataDir, folder: backupsDir, why: 'migration', now: now(), program: version });
      prune(backupsDir, now());
    }
    isAlone = false;
    try {
      return whole(openDatabase(dataDir, migrationsDir, { beginAnew, version }));
    } catch (error) {
      if (!hasNone(dataDir) && faultOf(error, dataDir)?.problem.code !== 'disk-full') throw error;
      // Killed on a full disk: what SQLite needs beside the file is kept in memory, and all that was saved can be read.
      const opened = whole(openDatabase(dataDir, migrationsDir, { alone: true }));
      isAlone = true;
      return opened;
    }
  }

  function whole(fresh: Opened): Opened {
    try {
      mustBeWhole(fresh.db, dataDir);
      return fresh;
    } catch (error) {
      fresh.close();
      throw error;
    }
  }

  const lines = keepLastLines(now);
  lines.add(`started, Torvin ${version}`);
  /** The database was opened for this program alone. */
  let isAlone = false;
  let opened = await open();
  const room = watchRoom(
    dataDir,
    () => opened.db,
    async (full) => {
      // As others may read it: backups do.
      if (!full && isAlone) await openAgain();
      lines.add(full ? 'the disk is full' : 'there is room on the disk again');
      hub.publish({ topic: 'all' });
    },
  );
  const access = openAccess(dataDir, now);
  const hub = makeHub(now());
  access.onEnd(hub.endOf);
  let exchanging = false;
  let answering = 0;

  /** Nobody asks while it is closed. */
  async function allQuiet(besides: number): Promise<void> {
    for (let waited = 0; answering > besides && waited < QUIET_AT_MOST_MS; waited += LOOK_AGAIN_MS)
      await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN_MS));
  }

  async function openAgain(): Promise<void> {
    if (exchanging) return;
    exchanging = true;
    try {
      await allQuiet(0);
      await opened.closeWhole();
      opened = await open();
      app = createApp({ ...parts, opened, backups, access, hub, room, lines });
    } catch (error) {
      // Tried again, as long as it is still in use alone.
      lines.failed('opening the database for others too', error);
      room.ranOut();
    } finally {
      exchanging = false;
    }
    if (isAlone) room.ranOut();
  }

  async function exchange(incoming: string): Promise<string | null> {
    if (exchanging) throw new Busy();
    exchanging = true;
    try {
      // Whoever asked for the exchange is waiting too.
      await allQuiet(1);
      await opened.closeWhole();
      let aside: string | null = null;
      try {
        aside = swapIn(dataDir, incoming, now());
        lines.add('a backup was put in its place');
        opened = await open();
      } catch (error) {
        await clearMemory();
        const unfit = aside === null ? null : swapIn(dataDir, basename(aside), now());
        if (unfit !== null) rmSync(unfit, { recursive: true, force: true });
        opened = await open();
        if (faultOf(error, dataDir)) throw error;
        const why = error instanceof HalfMigrated ? error.why : (error as Error).message;
        const message = `This program cannot open the backup (${why}). What was there is in its place again; nothing was changed.`;
        throw new ProblemError({ code: 'no-backup', path: '', message });
      } finally {
        app = createApp({ ...parts, opened, backups, access, hub, room, lines });
      }
      if (isAlone) room.ranOut();
      hub.publish({ topic: 'all' });
      return aside;
    } finally {
      exchanging = false;
    }
  }

  const backups = keepBackups({ dataDir, folder: backupsDir, keeper, program: version, schema: schemaOf(migrationsDir), exchange, now });
  let app = createApp({ ...parts, opened, backups, access, hub, room, lines });
  if (isAlone) room.ranOut();

  return {
    get opened() {
      return opened;
    },
    backups,
    access,
    hub,
    room,
    handle(request, response) {
      if (exchanging) {
        const { problem, retryAfter_s } = new Busy();
        response.writeHead(503, { 'Content-Type': 'application/json', 'Retry-After': String(retryAfter_s) }).end(JSON.stringify(problem));
        return;
      }
      // A stream of events has no end and reads no data.
      if (!request.url?.startsWith('/api/events')) {
        answering += 1;
        response.once('close', () => (answering -= 1));
      }
      app(request, response);
    },
    close() {
      room.stop();
      backups.stop();
      hub.close();
      opened.close();
    },
  };
}
