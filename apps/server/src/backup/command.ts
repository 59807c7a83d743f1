/** What npm run backup asks for, as dist/server/backup.mjs; the task stands in its one argument, as JSON. */
import { createWriteStream, existsSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { fileURLToPath } from 'node:url';
import { ProblemError } from '@torvin/core/problem';
import { v7 as uuid } from 'uuid';
import { version } from '../../../../package.json';
import { configFrom } from '../config';
import { DATABASE_FILE } from '../db/database';
import { isBehind, openDatabase, schemaOf } from '../opening/open';
import { claimFolder } from '../folder/claim';
import { faultOf } from '../folder/faults';
import { packOpenFiles } from '../store/openFiles';
import { makeBackup, unpackChecked } from './backup';
import { finishSwap, swapIn } from './swap';

interface Task {
  to?: string;
  files?: boolean;
  restore?: string;
}

const here = dirname(fileURLToPath(import.meta.url));
const migrationsDir = join(here, 'migrations');
const say = (text: string): boolean => process.stdout.write(`${text}\n`);

async function act({ to, files, restore }: Task): Promise<void> {
  const { dataDir, backupsDir } = configFrom(process.env, join(here, '..', '..'));
  if (restore !== undefined) return putBack(dataDir, restore);
  if (!existsSync(join(dataDir, DATABASE_FILE)))
    throw new Error(`There is no studio in ${dataDir}. TORVIN_DATA names another folder, --own the one of npm run demo -- --own.`);
  const folder = to ?? backupsDir;
  if (files) return writeFiles(dataDir, folder);
  say(`Written: ${await makeBackup({ dataDir, folder, why: 'asked', now: Date.now(), program: version })}`);
}

async function putBack(dataDir: string, archive: string): Promise<void> {
  if (!existsSync(archive)) throw new Error(`There is no file ${archive}.`);
  const claim = claimFolder(dataDir);
  try {
    finishSwap(dataDir);
    const incoming = `restore-${uuid()}`;
    const { madeAt, holds } = await unpackChecked(archive, join(dataDir, incoming), schemaOf(migrationsDir));
    const aside = swapIn(dataDir, incoming, Date.now());
    say(
      `Every hash was right. In ${dataDir} is now what was saved at ${new Date(madeAt).toISOString()}: ${holds.pieces} pieces, ${holds.firings} firings, ${holds.pictures} pictures.`,
    );
    if (aside !== null) say(`What was there before lies in ${aside}`);
  } finally {
    claim.release();
  }
}

async function writeFiles(dataDir: string, folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const path = join(folder, `torvin-files-${new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-')}.zip`);
  if (isBehind(dataDir, migrationsDir)) throw new Error(`The studio in ${dataDir} is of an earlier Torvin: start this one on it once, then ask again.`);
  const { db, close } = openDatabase(dataDir, migrationsDir);
  await pipeline(packOpenFiles(db, dataDir), createWriteStream(path, { flags: 'wx' }));
  close();
  say(`Written: ${path}`);
}

try {
  await act(JSON.parse(process.argv[2] ?? '{}') as Task);
} catch (error) {
  const { dataDir } = configFrom(process.env, join(here, '..', '..'));
  const said = error instanceof ProblemError ? error.message : (faultOf(error, dataDir)?.problem.message ?? (error as Error).message);
  process.stderr.write(`${said}\n`);
  process.exit(1);
}
