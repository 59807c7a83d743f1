/** A blank, as it goes into a piece: its outline or the cut to it, and the firing that shapes it. */
import { type HeldForm, type PlannedStep, putBlank, setUpIn, usualSetUp } from '@torvin/core/piece';
import type { BlankAsked, BlankTold } from '@torvin/core/quantity';
import type { Units } from '@torvin/core/units';
import type { PieceDoc, Shelves } from '@torvin/schema';
import { entryOfStep, stepFor } from '@/planner/stepEntry';
import { capital } from '@/ui/capital';
import type { ReckonedOf } from './glassOf';
import type { Puts } from './PutOrKeep';

/** A firing of its kind as the studio would plan it; null where it has no kiln or controller yet. */
function firingFor(doc: PieceDoc, { shaping }: BlankTold, form: HeldForm | null, shelves: Shelves, id: string, units: Units): PlannedStep | null {
  const look = shaping.kind === 'hollow' ? 'slump' : 'drape';
  const setup = form ? setUpIn(form.shape, look) : usualSetUp(look);
  const entry = entryOfStep(doc, null, shelves, units, { look, setup, wet: 'dry' });
  return entry.kilnId === '' || entry.controllerId === '' ? null : stepFor(entry, shaping, null, id);
}

/** form: of the shelf, where it was reckoned for one. */
export function putsBlank(
  { glass }: ReckonedOf,
  asked: BlankAsked,
  told: BlankTold,
  form: HeldForm | null,
  shelves: Shelves,
  short: string,
  units: Units,
): Puts | null {
  if (!glass) return null;
  const { outline, shaping } = told;
  const taken = form ? `'${form.name}'` : 'the form as it was measured';
  const firing = shaping.kind === 'hollow' ? 'slump' : 'drape';
  const isHere = ({ id }: { id: string }): boolean => !shelves.archived.includes(id);
  return {
    words: (where) => {
      // With no kiln or controller there is no firing yet that could take it.
      if (!shelves.kilns.some(isHere) || !shelves.controllers.some(isHere))
        return `Gives the piece this outline. Its ${firing} is not planned: the shelf has no kiln, or no controller for it.`;
      return where?.isBegun
        ? `Cuts the piece to this blank before its ${firing}, which takes ${taken}.`
        : `Gives the piece this outline, and its ${firing} ${taken}.`;
    },
    replaces: false,
    into: (doc, { newId, from }) =>
      putBlank(doc, {
        ...{ outline, shaping, from, cutId: newId(), firing: firingFor(doc, told, form, shelves, newId(), units), ...(form ? { form } : {}) },
        sheet: { id: newId(), glassId: glass.id, form: 'sheet', thickness_m: asked.thickness_m },
      }),
    begins: { name: capital(short), footprint: outline, dammed: false },
  };
}
