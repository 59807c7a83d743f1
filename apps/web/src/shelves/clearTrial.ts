/** A piece of clear glass to try a form with, before anything dearer lies in it: cut to what the form takes, with its one firing. */
import { footprintWords } from '@torvin/core/body';
import { heldForm } from '@torvin/core/piece';
import { blankFor, blankOf } from '@torvin/core/quantity';
import { DEFAULT_SCHOOL } from '@torvin/core/schedule';
import type { LengthUnit } from '@torvin/core/units';
import type { FormRecord, Glass, PieceDoc, Shelves, Step } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { mostUsed } from './mostUsed';

/** As thick as most blanks are, m. */
const USUAL_M = 0.006;

export interface ClearTrial {
  name: string;
  doc: PieceDoc;
  /** Id of its firing. */
  firing: string;
  /** What it is of. */
  of: string;
  size: string;
}

const hex = (colour: string, at: number): number => Number.parseInt(colour.slice(at, at + 2), 16);
/** What is called clear; else the palest. */
function clearest(glasses: readonly Glass[]): Glass | undefined {
  const pale = ({ colour }: Glass): number => hex(colour, 1) + hex(colour, 3) + hex(colour, 5);
  const isClear = ({ name }: Glass): number => Number(/\bclear\b/i.test(name));
  return glasses.toSorted((a, b) => isClear(b) - isClear(a) || pale(b) - pale(a)).at(0);
}

/** Null where no blank is laid in such a form, or the shelves lack what it takes. */
export function clearTrial(form: FormRecord, shelves: Shelves, unit: LengthUnit): ClearTrial | null {
  const offered = <T extends { id: string }>(records: readonly T[]): T[] => records.filter(({ id }) => !shelves.archived.includes(id));
  const family = mostUsed(shelves);
  const glass = clearest(offered(shelves.glasses).filter(({ familyId, forms, coated }) => familyId === family?.id && forms.includes('sheet') && !coated));
  const [kiln, controller] = [offered(shelves.kilns).at(0), offered(shelves.controllers).at(0)];
  if (!glass || !family || !kiln || !controller) return null;
  const thickness_m = glass.thicknesses_m.toSorted((a, b) => Math.abs(a - USUAL_M) - Math.abs(b - USUAL_M))[0];
  const asked = blankFor(form, family, thickness_m);
  const told = asked && blankOf(asked);
  if (!told?.ok) return null;
  const footprint = told.value.outline;
  const fire: Step = {
    ...{ kind: 'fire', id: uuid(), look: form.use === 'former' ? 'drape' : 'slump', kilnId: kiln.id, controllerId: controller.id },
    ...{ school: DEFAULT_SCHOOL, scheduleId: null, computedId: null },
    setup: { kind: form.use === 'former' ? 'overFormer' : 'inMould', paper: false, form: heldForm(form, shelves.materials) },
  };
  return {
    name: `Clear trial, ${form.name}`.slice(0, 80),
    doc: {
      ...{ schemaVersion: 3, footprint, dammed: false, typed: {} },
      journey: [{ kind: 'lay', id: uuid(), side: 'above', layers: [{ form: 'sheet', id: uuid(), glassId: glass.id, thickness_m }] }, fire],
    },
    firing: fire.id,
    of: glass.name,
    size: footprintWords(footprint, unit),
  };
}
