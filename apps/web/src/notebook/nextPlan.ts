/** The next firing after one that was not right: on the same glass, or on another piece like it. */
import type { Asked } from '@torvin/core/engine';
import { addStep, anotherLike, changeStep, firingOf, placeOf, snapshotOf } from '@torvin/core/piece';
import { type Outcome, found, refused } from '@torvin/core/problem';
import { type ChangesFirst, type SeenFiring, likeThis, seenAt, seenBody, workSeen } from '@torvin/core/schedule';
import type { Units } from '@torvin/core/units';
import type { FiringDetail, Piece, PieceDoc, Shelves, Snapshot, Step } from '@torvin/schema';
import { asRun } from './asRun';
import { NEXT } from './words';

/** same: this glass again; another: one like it, by the same step. */
export type Goes = 'same' | 'another';

export interface NextPlan {
  goes: Goes;
  step: Step;
  doc: PieceDoc;
  what: string;
  snapshot: Snapshot;
  asked: Asked<'nextFiring'>;
  /** Other firings of this kind, the newest first. */
  like: SeenFiring[];
}

export interface NextOf {
  detail: FiringDetail;
  piece: Piece;
  shelves: Shelves;
  /** Of its kind in its kiln, the newest first. */
  seen: readonly SeenFiring[];
  goes: Goes;
  changes: ChangesFirst;
  /** Of the step that is added where the same glass goes again. */
  newId: string;
  units: Units;
}

const kilnOf = ({ schedule }: Pick<FiringDetail, 'schedule'>): string => schedule.snapshot.madeFrom?.kiln.id ?? '';

/** Its own result, for where the list of what was seen does not have it yet. */
function withThis(seen: readonly SeenFiring[], { firing, schedule, ...detail }: FiringDetail): SeenFiring[] {
  const { id: firingId, stepId, look, result, lesson } = firing;
  if (result === null || seen.some((one) => one.firingId === firingId)) return [...seen];
  const { snapshot } = schedule;
  const { segments, evaluation } = asRun({ firing, schedule, ...detail });
  const { shaping } = snapshot.firing.setup;
  const own: SeenFiring = {
    ...{ firingId, kilnId: kilnOf({ schedule }), stepId, look, formId: snapshot.setup.form?.id ?? null, outcome: result },
    ...(lesson.by ? { by: lesson.by } : {}),
    body: seenBody(snapshot.firing),
    ...(shaping ? { shaping } : {}),
    ...workSeen(snapshot.firing, segments, evaluation),
  };
  // Its place taken off: as the middle of the kiln would have had it.
  return [...seenAt([own], snapshot.firing.body, -(snapshot.madeFrom?.place_K ?? 0)), ...seen];
}

/** The step right behind, where the same is planned there and not fired yet; else a new one. */
function again(doc: PieceDoc, step: Step, { fired }: Piece, newId: string): { step: Step; isNew: boolean } {
  const after = doc.journey[placeOf(doc, step.id) + 1];
  if (after?.kind === 'fire' && after.look === step.look && fired[after.id] === undefined) return { step: after, isNew: false };
  return { step: { ...step, id: newId, scheduleId: null, computedId: null }, isNew: true };
}

export function nextPlan({ detail, piece, shelves, seen, goes, changes, newId, units }: NextOf): Outcome<NextPlan> {
  const { firing } = detail;
  const own = firingOf(piece.doc, firing.stepId);
  if (!own || own.look !== firing.look) return refused('gone', '', NEXT.stepGone);
  if (firing.result === null) return refused('open', '', NEXT.notOpened);
  const isThis = ({ firingId }: SeenFiring): boolean => firingId === firing.id;
  const next = goes === 'same' ? again(piece.doc, own, piece, newId) : { step: own, isNew: false };
  const edited = next.isNew ? addStep(piece.doc, next.step, placeOf(piece.doc, own.id) + 1) : changeStep(piece.doc, next.step);
  if (!edited.ok) return edited;
  const all = withThis(seen, detail);
  const snapshot = snapshotOf(edited.value.doc, next.step, { ...shelves, seen: all });
  if (!snapshot.ok) return snapshot;
  const { firing: toCome, setup } = snapshot.value;
  const alike = likeThis(toCome, setup.form?.id ?? null, all);
  // A result speaks of the glass, the form and the kiln that it was got with, and of no others.
  const speaks = goes === 'same' ? (toCome.seen?.had ?? toCome.seen?.soFar) !== undefined : own.kilnId === kilnOf(detail) && alike.some(isThis);
  if (!speaks) return refused('changed', '', NEXT.notThis);
  const like = alike.filter((one) => !isThis(one));
  return found({
    ...edited.value,
    goes,
    step: next.step,
    like,
    snapshot: snapshot.value,
    asked: {
      firing: toCome,
      fired: [{ segments: asRun(detail).segments, outcome: firing.result, ...(firing.lesson.by ? { by: firing.lesson.by } : {}) }],
      seen: seenAt(like, toCome.body, snapshot.value.madeFrom?.place_K ?? 0).map(({ work_perPa, work_C, outcome, by }) => ({
        work_perPa,
        work_C,
        outcome,
        ...(by ? { by } : {}),
      })),
      changes,
      again: goes === 'same',
      units,
    },
  });
}

/** A trial of the next firing: the same lay-up and journey so far, all of it in clear glass. */
export interface ClearTrial {
  doc: PieceDoc;
  step: Step;
  snapshot: Snapshot;
}

/** Null where it is all clear as it is, where glass was made in the studio, or where no clear glass of its families is on the shelf. */
export function clearTrial({ doc, step }: Pick<NextPlan, 'doc' | 'step'>, shelves: Shelves, newId: () => string): ClearTrial | null {
  const clearFor = (glassId: string): string | null => {
    const glass = shelves.glasses.find(({ id }) => id === glassId);
    const isClear = ({ name, id }: Shelves['glasses'][number]): boolean => /\bclear\b/i.test(name) && !shelves.archived.includes(id);
    if (!glass || isClear(glass)) return glass ? glass.id : null;
    return shelves.glasses.find((one) => one.familyId === glass.familyId && isClear(one))?.id ?? null;
  };
  const soFar = { ...doc, journey: doc.journey.slice(0, placeOf(doc, step.id) + 1) };
  const laid = soFar.journey.flatMap((one) => (one.kind === 'lay' ? one.layers : []));
  const clear = new Map(laid.map(({ glassId }) => [glassId, clearFor(glassId)]));
  if ([...clear.values()].includes(null) || [...clear].every(([own, other]) => own === other)) return null;
  const { doc: another, repeats } = anotherLike(soFar, newId, true);
  const journey = another.journey.map((one) =>
    one.kind === 'lay' ? { ...one, layers: one.layers.map((layer) => ({ ...layer, glassId: clear.get(layer.glassId) ?? layer.glassId })) } : one,
  );
  const trial = { ...another, journey };
  const own = firingOf(trial, repeats.find(({ of }) => of === step.id)?.stepId);
  if (!own) return null;
  const snapshot = snapshotOf(trial, own, shelves);
  return snapshot.ok ? { doc: trial, step: own, snapshot: snapshot.value } : null;
}
