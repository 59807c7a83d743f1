/** A firing of a mould with no glass in it, as a piece of its own: dried, burnt out, bisque fired. Its schedule is computed there. */
import { type FormMaterialName, roomOfForm } from '@torvin/core/form';
import { type Look, RECIPES } from '@torvin/core/look';
import { DEFAULT_SCHOOL, type Wet } from '@torvin/core/schedule';
import type { EmptyItemKind } from '@torvin/core/emptyFiring';
import type { FormRecord, PieceDoc, Shelves, Step } from '@torvin/schema';
import { v7 as uuid } from 'uuid';

/** What a form is fired as when it is empty; steel has nothing to lose but its coat's water, and is dried on its way to the next firing. */
const FIRED_AS: Partial<Record<FormMaterialName, EmptyItemKind>> = {
  ...{ earthenware: 'fired', stoneware: 'fired', cordierite: 'fired', alumina: 'fired' },
  ...{ plasterSilica: 'plaster', fusedSilica: 'castable' },
};

export interface EmptyFiring {
  doc: PieceDoc;
  /** Id of the firing in it. */
  firing: string;
}

/** of: what it is fired as, where not by its material. Null where it is not fired empty, or the shelves lack a kiln. */
export function emptyFiring(form: FormRecord, shelves: Shelves, look: Look, wet?: Wet, of = FIRED_AS[form.material]): EmptyFiring | null {
  const first = (records: readonly { id: string }[]): string | undefined => records.find(({ id }) => !shelves.archived.includes(id))?.id;
  const [kilnId, controllerId] = [first(shelves.kilns), first(shelves.controllers)];
  if (!of || !kilnId || !controllerId) return null;
  const { narrow_m, far_m } = roomOfForm(form);
  const step: Step = {
    ...{ kind: 'fire', id: uuid(), look, kilnId, controllerId, school: DEFAULT_SCHOOL, scheduleId: null, computedId: null },
    setup: {
      ...{ kind: 'bareShelf', paper: false, ...(wet ? { wet } : {}) },
      shaping: { kind: 'ware', of, wall_m: form.thick_m, wide_m: narrow_m, long_m: far_m, ...(RECIPES[look].empty?.toCone ? { cone: BISQUE_CONE } : {}) },
    },
  };
  return {
    doc: { schemaVersion: 3, footprint: { shape: 'rectangle', width_m: narrow_m, length_m: far_m }, dammed: false, typed: {}, journey: [step] },
    firing: step.id,
  };
}

/** As moulds for glass are usually fired: open enough to drink their coat. */
const BISQUE_CONE = '06';
