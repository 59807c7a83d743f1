/** What is kept of the shelves and of lists is what a connection reads that has kept nothing, whatever was written, and taken back, before. */
import { KINDS, type KindName, type RecordOf } from '@torvin/schema';
import { eq, inArray } from 'drizzle-orm';
import fc from 'fast-check';
import { type Opened, openDatabase } from '../opening/open';
import { writing } from '../db/database';
import { firings, loads, pieces, records } from '../db/tables';
import { MIGRATIONS, NOW, anotherStudio } from '../test/testServer';
import { benchNow, waitingPieces } from './bench';
import { deleteFiring, listFirings, restoreFiring } from './firings';
import { inTheMaking, toRecoat, usesOfForms } from './forms';
import { countChanges } from './keptWhile';
import { deletePiece, filePiece, findPiece, listPieces, restorePiece, savePiece } from './pieces';
import { archiveRecord, findRecord, removeRecord, restoreRecord, saveRecord } from './records';
import { allShelves, noteChanges } from './shelfRows';

let dataDir: string;
let own: Opened;
let fresh: Opened;
beforeEach(() => {
  dataDir = anotherStudio();
  own = openDatabase(dataDir, MIGRATIONS);
  fresh = openDatabase(dataDir, MIGRATIONS);
});
afterEach(() => {
  own.close();
  fresh.close();
});

const sent = { key: undefined, at: NOW };
const LISTED = { show: 'here', sort: 'changed' } as unknown as Parameters<typeof listPieces>[1];

const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;
const benchOf = (db: Opened['db']) => benchNow(db, { learned: null, recoat: toRecoat(db, METRIC), making: inTheMaking(db, METRIC) });

const told = ({ db }: Opened) => ({
  shelves: allShelves(db),
  pieces: listPieces(db, LISTED),
  waiting: waitingPieces(db),
  firings: listFirings(db, {} as Parameters<typeof listFirings>[1]),
  forms: usesOfForms(db),
  bench: benchOf(db),
});

/** As one that has just been opened reads it. */
function asRead(): ReturnType<typeof told> {
  noteChanges(fresh.db);
  countChanges(fresh.db);
  return told(fresh);
}

function mustBeSame(): void {
  expect(told(own)).toEqual(asRead());
}

const KIND: KindName[] = ['glasses', 'families', 'kilns', 'stripTests', 'forms'];

/** A change of one record, chosen by a number; what cannot be done is not. */
function change(kind: KindName, at: number, what: number): void {
  const { db } = own;
  const all = db.select().from(records).where(eq(records.kind, kind)).all();
  const { id, version, deletedAt, archived } = all[at % all.length];
  try {
    if (deletedAt !== null) return void restoreRecord(db, kind, id, true);
    const record = findRecord(db, kind, id);
    if (what === 0 && 'name' in record) saveRecord(db, kind, id, { ...record, name: `${record.name}`.slice(0, 30) + (at % 7) } as RecordOf<typeof kind>, sent);
    else if (what === 1) saveRecord(db, kind, `${id}-${at % 5}`.slice(0, 40), { ...record, id: `${id}-${at % 5}`.slice(0, 40), version: 0 }, sent);
    else if (what === 2 && KINDS[kind].archives) archiveRecord(db, kind, id, !archived);
    else removeRecord(db, kind, id, version, NOW);
  } catch {
    // In use, or taken already.
  }
}

test('after any changes, some of them taken back while they were being looked at', () => {
  const step = fc.tuple(fc.constantFrom(...KIND), fc.nat({ max: 40 }), fc.nat({ max: 3 }), fc.boolean());
  fc.assert(
    fc.property(fc.array(step, { minLength: 3, maxLength: 12 }), (steps) => {
      for (const [kind, at, what, taken] of steps) {
        if (!taken) change(kind, at, what);
        else
          expect(() =>
            writing(own.db, (tx) => {
              tx.update(records).set({ archived: true }).where(eq(records.kind, kind)).run();
              tx.delete(records)
                .where(eq(records.id, `glass-${at}`))
                .run();
              expect(allShelves(tx).archived.length).toBeGreaterThan(0);
              throw new Error('taken back');
            }),
          ).toThrow('taken back');
      }
      mustBeSame();
    }),
    { numRuns: process.env.LONG === '1' ? 25 : 8, seed: 7 },
  );
});

test('lists follow what is saved, filed, deleted, renamed, fired and told', () => {
  const { db } = own;
  mustBeSame();
  const [row] = listPieces(db, LISTED).pieces;
  const piece = findPiece(db, row.id);
  for (const act of [
    () => savePiece(db, piece.id, { version: piece.version, name: 'Called otherwise', doc: piece.doc, what: 'x' }, sent),
    () => filePiece(db, piece.id, { tags: ['gift'], finishedAt: null, awayAt: null, patternAt: null, dueOn: null }),
    () => filePiece(db, piece.id, { tags: [], finishedAt: null, awayAt: NOW, patternAt: null, dueOn: null }),
    () => filePiece(db, piece.id, { tags: [], finishedAt: null, awayAt: null, patternAt: null, dueOn: null }),
    () => deletePiece(db, piece.id, piece.version + 1, NOW),
    () => restorePiece(db, piece.id),
    () => deleteFiring(db, listFirings(db, {} as never).firings[0].id, listFirings(db, {} as never).firings[0].version, NOW),
    () =>
      restoreFiring(
        db,
        db
          .select()
          .from(firings)
          .all()
          .find((one) => one.deletedAt !== null)?.id ?? '',
        NOW,
      ),
    () => db.update(firings).set({ result: 'short' }).run(),
    () => db.update(loads).set({ openedAt: NOW }).run(),
    () => db.delete(pieces).where(eq(pieces.name, 'none')).run(),
  ]) {
    act();
    mustBeSame();
  }
});

test('the Bench is the same object until something in it has changed, also where nothing is coated or made', () => {
  noteChanges(own.db);
  countChanges(own.db);
  own.db
    .delete(records)
    .where(inArray(records.kind, ['coated', 'makings']))
    .run();
  const bench = benchOf(own.db);
  expect(benchOf(own.db)).toBe(bench);
  own.db.update(loads).set({ openedAt: NOW }).run();
  expect(benchOf(own.db)).not.toBe(bench);
});

test('one that nothing was said of keeps nothing', () => {
  const before = allShelves(own.db);
  expect(allShelves(own.db)).toBe(before);
  saveRecord(own.db, 'glasses', 'clear-90', { ...findRecord(own.db, 'glasses', 'clear-90'), source: 'changed' }, sent);
  const after = allShelves(own.db);
  expect(after).not.toBe(before);
  // What did not change is the same list still.
  expect([after.kilns === before.kilns, after.glasses === before.glasses]).toEqual([true, false]);
});
