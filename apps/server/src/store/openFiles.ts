/** A whole studio as files that any program reads: a piece file each, tables of firings and shelves, pictures as they are. */
import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import { RECIPES } from '@torvin/core/look';
import { type Units, fileName, temperatureIn } from '@torvin/core/units';
import { type CsvRow, KINDS, KIND_LIST, csvOf, firingColumns, photosOf, shelfTable } from '@torvin/schema';
import { asc, eq, isNull } from 'drizzle-orm';
import { ZipFile as Packer } from 'yazl';
import type { Database } from '../db/database';
import { firings, loads, pieces, schedules } from '../db/tables';
import { pieceFile } from './pieceFiles';
import { findPhotoFile } from './photoFiles';
import { allShelves } from './shelfRows';
import { readStudio } from './studio';

const SECONDS_PER_HOUR = 3600;
const SECONDS_PER_MINUTE = 60;

const READ_ME = `pieces/     a file for each piece, with its schedules, firings, pictures and what it names; Torvin reads each in again
firings.csv every firing, newest last; its pictures by their names in pictures/
shelves/    a table for each shelf; pictures of what stands there by their names in pictures/
pictures/   JPEG

A backup (Settings, or npm run backup) is what puts a whole studio back. These files are for other programs.
`;

/** Made as it is read, a file at a time: a studio of any size needs no more memory than its largest piece. */
export function packOpenFiles(db: Database, dataDir: string): Readable {
  const packer = new Packer();
  const text = (name: string, content: string): void => packer.addBuffer(Buffer.from(content), name);
  const { csv, temperatureUnit, lengthUnit, massUnit } = readStudio(db);
  const units = { temperature: temperatureUnit, length: lengthUnit, mass: massUnit };
  text('README.txt', READ_ME);
  text('firings.csv', csvOf(firingRows(db, units), csv, titlesOf(units)));
  const shelves = allShelves(db);
  for (const kind of KIND_LIST) text(`shelves/${KINDS[kind].path}.csv`, shelfTable(kind, shelves[kind], shelves, units, csv));
  const taken = new Set<string>();
  for (const { id, name } of db
    .select({ id: pieces.id, name: pieces.name })
    .from(pieces)
    .where(isNull(pieces.deletedAt))
    .orderBy(asc(pieces.createdAt))
    .all()) {
    packer.addReadStreamLazy(`pieces/${freeName(name, taken)}`, (done) => {
      try {
        done(null, Readable.from([JSON.stringify(pieceFile(db, dataDir, id))]));
      } catch (error) {
        done(error, Readable.from([]));
      }
    });
  }
  const fired = db.select({ photos: firings.photos }).from(firings).where(isNull(firings.deletedAt)).all();
  const hashes = new Set([...fired.flatMap((row) => row.photos), ...KIND_LIST.flatMap((kind) => shelves[kind].flatMap(photosOf))]);
  for (const hash of hashes) {
    const path = findPhotoFile(dataDir, hash, 'large');
    if (path !== null) packer.addReadStreamLazy(`pictures/${hash}.jpg`, { compress: false }, (done) => done(null, createReadStream(path)));
  }
  packer.end();
  return packer.outputStream as Readable;
}

/** Names that differ in more than capitals, which some systems do not tell apart. */
function freeName(name: string, taken: Set<string>): string {
  for (let count = 1; ; count += 1) {
    const wanted = fileName(count === 1 ? name : `${name} ${count}`, 'json');
    if (taken.has(wanted.toLowerCase())) continue;
    taken.add(wanted.toLowerCase());
    return wanted;
  }
}

/** What was said of a firing stands about what it ran: its place first. */
function titlesOf(units: Units): string[] {
  const { temperature: unit } = units;
  const [place, ...told] = firingColumns(units).titles;
  const ran = [`hottest_${unit}`, 'hold_min', 'length_h'];
  return ['started', 'zone', 'piece', 'look', 'glass', 'kiln', place, ...ran, ...told, 'firing_id', 'piece_id', 'schedule_id'];
}

function firingRows(db: Database, units: Units): CsvRow[] {
  const { temperature: unit } = units;
  const { work_C, work_s, total_s, kilnName, familyName, look } = schedules;
  const { cells } = firingColumns(units);
  return db
    .select({ firing: firings, load: loads, piece: pieces.name, schedule: { work_C, work_s, total_s, kilnName, familyName, look } })
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .innerJoin(pieces, eq(firings.pieceId, pieces.id))
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .where(isNull(firings.deletedAt))
    .orderBy(asc(loads.at), asc(firings.id))
    .all()
    .map(({ firing, load, piece, schedule }) => ({
      started: new Date(load.at).toISOString(),
      zone: load.zone,
      piece,
      look: RECIPES[schedule.look].name,
      glass: schedule.familyName,
      kiln: schedule.kilnName,
      [`hottest_${unit}`]: Math.round(temperatureIn(schedule.work_C, unit)),
      hold_min: Math.round(schedule.work_s / SECONDS_PER_MINUTE),
      length_h: Number((schedule.total_s / SECONDS_PER_HOUR).toFixed(1)),
      ...cells(firing),
      firing_id: firing.id,
      piece_id: firing.pieceId,
      schedule_id: firing.scheduleId,
    }));
}
