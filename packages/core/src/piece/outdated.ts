/**
 * Whether a schedule may still be fired as it is: what it was made from against what stands now in lay-up, set-up, kiln and
 * controller. One rule for every page and for the server; shipped constants and a newer engine never outdate.
 */
import type { Units } from '../units/convert';
import { formatLength, text } from '../units/format';
import type { PieceDocument, PlannedStep } from './document';
import { firingOf } from './journey';
import { madeFromDifferences, sameMatter } from './madeFrom';
import type { Shelf } from './shelf';
import { type FiringSnapshot, snapshotOf } from './snapshot';
import { setupWords } from './words';

/**
 * What other firings of its kind have shown since; asked only where the shelf tells what was seen. What this one came out as is for the
 * next: whoever fires it again has told it.
 */
function shownSince(doc: PieceDocument, step: PlannedStep, shelf: Shelf, made: FiringSnapshot, now: FiringSnapshot): string[] {
  if (shelf.seen === undefined || sameMatter(made.firing.seen, now.firing.seen)) return [];
  const others = shelf.seen.filter(({ stepId }) => stepId !== step.id);
  const without = others.length < shelf.seen.length ? snapshotOf(doc, step, { ...shelf, seen: others }) : null;
  if (without && (!without.ok || sameMatter(made.firing.seen, without.value.firing.seen))) return [];
  return [`Firings of its kind in '${made.kilnName}' have come out short or too far since: it was planned without them.`];
}

/** Each way in which the schedule's making differs from what stands now, as a sentence; none where it is still good. */
export function outdatedBy(doc: PieceDocument, stepId: string, shelf: Shelf, made: FiringSnapshot, units: Units): string[] {
  const step = firingOf(doc, stepId);
  if (!step) return ['The piece has no such firing any more.'];
  const now = snapshotOf(doc, step, shelf);
  if (!now.ok) return [now.problem.message];
  const said = made.madeFrom && now.value.madeFrom ? madeFromDifferences(made.madeFrom, now.value.madeFrom, units) : olderDifferences(made, now.value, units);
  // Of another body or another kiln nothing was shown.
  return said.length > 0 ? said : shownSince(doc, step, shelf, made, now.value);
}

const depthOf = ({ layers }: FiringSnapshot, units: Units): string =>
  text(
    formatLength(
      layers.reduce((sum, { thickness_m }) => sum + thickness_m, 0),
      units.length,
    ),
  );

/** Before outlines were kept with a shaping every mould was taken as round: that alone is no other mould. */
function withoutOutline(shaping: FiringSnapshot['firing']['setup']['shaping'], made: FiringSnapshot): unknown {
  const was = made.firing.setup.shaping;
  if (shaping?.kind !== 'hollow' || (was?.kind === 'hollow' && was.plan !== undefined)) return shaping;
  const { plan: _plan, along_m: _along, lobes: _lobes, ...rest } = shaping;
  return rest;
}

/** Versions from before a basis was kept: by the case that they were computed from, in fewer words. */
function olderDifferences(made: FiringSnapshot, now: FiringSnapshot, units: Units): string[] {
  const differs = (part: (one: FiringSnapshot) => unknown): boolean => !sameMatter(part(made), part(now));
  const said: string[] = [];
  if (depthOf(made, units) !== depthOf(now, units)) said.push(`It was laid ${depthOf(made, units)} deep; now it is ${depthOf(now, units)} deep.`);
  else if (differs(({ firing }) => firing.body)) said.push('It was calculated for another lay-up than the one that stands now.');
  if (setupWords(made.setup) !== setupWords(now.setup)) said.push(`The set-up was '${setupWords(made.setup)}'; now it is '${setupWords(now.setup)}'.`);
  else if (differs(({ firing }) => withoutOutline(firing.setup.shaping, made))) said.push('The mould or former has other measures than then.');
  if (differs(({ firing }) => firing.look)) said.push('It was for another look.');
  if (differs(({ firing }) => firing.school)) said.push('Another way of heat or soak has been chosen.');
  if (made.kilnName !== now.kilnName) said.push(`It was for the kiln '${made.kilnName}'; it is to be fired in '${now.kilnName}'.`);
  else if (differs(({ firing }) => firing.kiln)) said.push(`The figures of the kiln '${now.kilnName}' have been changed.`);
  if (differs(({ firing }) => firing.corrections)) said.push(`Firings of '${now.kilnName}' have taught otherwise since.`);
  if (differs(({ controller: { unit, fullSpeedCode, mostSegments } }) => ({ unit, fullSpeedCode, mostSegments }))) {
    said.push('The figures of the controller have been changed.');
  }
  return said;
}
