/** A studio of ten years: pieces and firings by the thousand, copied from those of the demo under names and ids of their own. */
import { createHash } from 'node:crypto';
import { type LaidLayer, firingsOf } from '@torvin/core/piece';
import { type PieceDoc, ROW_LAYERS_AT_MOST, waitingOf } from '@torvin/schema';
import { eq, isNotNull, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { type Database, writing } from '../db/database';
import { firings, loads, pieceStates, pieces, schedules } from '../db/tables';

const WORDS = ['Harbour', 'Tide', 'Ährenkorb', 'Lattice', 'Quiet', 'Ember', 'Bird-bath', 'Plaque', 'Dune', 'Vessel', 'Schale', 'Loft'];
const DAY_MS = 24 * 3600e3;
const AT_ONCE = 50;

/** Each piece has as many layers as a list draws, and a schedule, each firing the longest note and two pictures' names: no list can be longer. */
export function fillTenYears(db: Database, count: number, now: number): void {
  const [schedule] = db.select().from(schedules).all();
  const piece = db.select().from(pieces).where(eq(pieces.id, schedule.pieceId)).get();
  const [firing] = db.select().from(firings).where(isNotNull(firings.result)).all();
  const load = db.select().from(loads).where(eq(loads.id, firing.loadId)).get();
  if (!piece || !load) throw new Error('The demo has no fired piece.');
  const layers: LaidLayer[] = Array.from({ length: ROW_LAYERS_AT_MOST }, (_, i) => ({
    ...{ id: uuid(), form: 'pieces', glassId: 'clear-90', name: `Layer with a name of some length, no. ${i}` },
    ...{ thickness_m: 0.001, cover: 0.123456789, count: 321 },
  }));
  const oneOfMany = (i: number) => {
    const [pieceId, stepId, scheduleId, firingId, loadId] = [uuid(), uuid(), uuid(), uuid(), uuid()];
    const at = now - DAY_MS * 3650 * (1 - i / count);
    const [step] = firingsOf(piece.doc);
    const laid = { kind: 'lay', id: uuid(), side: 'above', layers } as const;
    const doc: PieceDoc = { ...piece.doc, journey: [laid, { ...step, id: stepId, scheduleId, computedId: scheduleId }] };
    const result = (['right', 'right', 'short', 'past'] as const)[i % 4];
    const waiting = waitingOf(doc.journey, () => result);
    const name = `${WORDS[i % WORDS.length]} ${WORDS[(i * 7 + 3) % WORDS.length]} ${i}`;
    const photos = [1, 2].map((n) => createHash('sha256').update(`${i} ${n}`).digest('hex'));
    const note = `${WORDS[(i * 5) % WORDS.length].toLowerCase()} came out well. `.repeat(200).slice(0, 4000);
    return {
      piece: { id: pieceId, name, doc, version: 1, waits: waiting?.for ?? null, waitsStepId: waiting?.stepId ?? null, createdAt: at, updatedAt: at },
      schedule: { ...schedule, id: scheduleId, pieceId, stepId, parentId: null, createdAt: at },
      load: { ...load, id: loadId, at, plannedAt: null, startedAt: at, openedAt: at + DAY_MS },
      firing: { ...firing, id: firingId, pieceId, scheduleId, loadId, note, result, photos, createdAt: at },
    };
  };
  writing(db, (tx) => {
    for (let from = 0; from < count; from += AT_ONCE) {
      const made = Array.from({ length: Math.min(AT_ONCE, count - from) }, (_, n) => oneOfMany(from + n));
      tx.insert(pieces)
        .values(made.map((one) => one.piece))
        .run();
      tx.insert(pieceStates)
        .values(made.map(({ piece: { id: pieceId, name } }) => ({ pieceId, position: 0, name, what: '' })))
        .run();
      tx.insert(schedules)
        .values(made.map((one) => one.schedule))
        .run();
      tx.insert(loads)
        .values(made.map((one) => one.load))
        .run();
      tx.insert(firings)
        .values(made.map((one) => one.firing))
        .run();
    }
  });
  db.run(sql`analyze`);
}
