/**
 * Puts unpacked data in the place of what lies in a data folder, which is moved to a folder of its own within it and never
 * erased. What is to be done is written down before the first file moves, so that a server killed in between ends it at its
 * next start: there is no state with half of one and half of the other.
 */
import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, rmdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ASIDE, PHOTOS, syncFolder } from '../store/photoFiles';
import { DATABASE_NAME } from './archive';

const PLAN = 'restore.json';
/** The database comes last: while it is missing, nothing takes the folder for a studio. */
const NAMES = [PHOTOS, ASIDE, `${DATABASE_NAME}-wal`, `${DATABASE_NAME}-shm`, DATABASE_NAME];

interface Plan {
  /** Folders within the data folder: what comes in, and where what is there goes. */
  incoming: string;
  aside: string;
  /** What there was to come; of the rest what is there only goes. */
  coming: string[];
}

/** The database must be closed. incoming: a folder within the data folder. Where what was there lies afterwards; null where nothing was. */
export function swapIn(dataDir: string, incoming: string, now: number): string | null {
  const aside = freeName(dataDir, `before-restore-${new Date(now).toISOString().slice(0, 19).replace(/[:T]/g, '-')}`);
  const plan: Plan = { incoming, aside, coming: NAMES.filter((name) => existsSync(join(dataDir, incoming, name))) };
  const file = join(dataDir, PLAN);
  writeFileSync(`${file}.new`, JSON.stringify(plan), { flush: true });
  renameSync(`${file}.new`, file);
  syncFolder(dataDir);
  finishSwap(dataDir);
  return removeEmpty(join(dataDir, aside)) ? null : join(dataDir, aside);
}

/** Throws away what was unpacked and did not come in, unless it is on its way. */
export function dropIncoming(dataDir: string, incoming: string): void {
  if (!existsSync(join(dataDir, PLAN))) rmSync(join(dataDir, incoming), { recursive: true, force: true });
}

const freeName = (folder: string, name: string): string => (existsSync(join(folder, name)) ? freeName(folder, `${name}-2`) : name);

/** A folder with something in it stays. */
function removeEmpty(folder: string): boolean {
  if (readdirSync(folder).length > 0) return false;
  rmdirSync(folder);
  return true;
}

/** Ends what was begun, if anything was. Each step is known by what lies where, so it may be done again from the start. */
export function finishSwap(dataDir: string): void {
  const file = join(dataDir, PLAN);
  if (!existsSync(file)) return;
  const { incoming, aside, coming } = JSON.parse(readFileSync(file, 'utf8')) as Plan;
  mkdirSync(join(dataDir, aside), { recursive: true });
  const [here, from, to] = [dataDir, join(dataDir, incoming), join(dataDir, aside)].map((folder) => (name: string) => join(folder, name));
  for (const name of NAMES) {
    const isHereAlready = coming.includes(name) && !existsSync(from(name));
    if (isHereAlready) continue;
    if (existsSync(here(name)) && !existsSync(to(name))) renameSync(here(name), to(name));
    if (coming.includes(name)) renameSync(from(name), here(name));
  }
  syncFolder(dataDir);
  if (existsSync(join(dataDir, incoming))) removeEmpty(join(dataDir, incoming));
  rmSync(file);
}
