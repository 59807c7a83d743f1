/** Puts what was reckoned into a piece: its glass as what it is, the outline and dam that it was reckoned for, the depth that a casting is annealed by. */
import { type Footprint, footprintArea } from '../body/footprint';
import { cavityOf } from '../look/shaping';
import { type Outcome, found, refused } from '../problem';
import { type Edited, addLayer, addStep } from './commands';
import type { JourneyStep, LaidLayer, PieceDocument, PlannedStep } from './document';
import { firingsOf } from './journey';
import { toTake } from '../quantity/stock';

export interface ReckonedGlass {
  /** What is laid, the lowest first, on the outline that it comes to lie on; ids are the caller's. */
  layersOn(outline: Footprint): LaidLayer[];
  /** Of what holds it; the piece keeps its own where left out. */
  holder?: {
    footprint: Footprint;
    dammed: boolean;
    /** How deep the glass comes to lie where it is deepest, m. */
    deepest_m: number;
    /** Planned at the end where no firing is planned yet; of what narrows downwards. */
    casting?: PlannedStep;
  };
  /** Into a step that lays, in place of what is laid there or on it; or as a step of its own at a place in the journey. */
  into: { stepId: string; instead: boolean } | { place: number; newStepId: string };
}

const WORTH_kg_m2 = { least: 0.01, most: 1000 };

/** A mould's cavity as deep as its glass comes to lie. */
function deepened(step: JourneyStep, deepest_m: number): JourneyStep {
  const shaping = step.kind === 'fire' ? step.setup.shaping : undefined;
  const cavity = cavityOf(shaping);
  if (step.kind !== 'fire' || !cavity) return step;
  return { ...step, setup: { ...step.setup, shaping: { ...cavity, thick_m: deepest_m, thin_m: Math.min(cavity.thin_m, deepest_m) } } };
}

/** As what so much glass goes in: grains, lumps by the size of one, or sheets as large as the outline. */
export type PutAs =
  | { form: 'frit'; name: string }
  | { form: 'chunks'; name: string; thick_m: number; wide_m: number }
  | { form: 'sheet'; thickness_m: number; density_kg_m3: number };

/** Sheets as large as the outline that come to so much glass at least. */
export const sheetsFor = (mass_kg: number, outline: Footprint, { thickness_m, density_kg_m3 }: Extract<PutAs, { form: 'sheet' }>): number =>
  toTake(mass_kg / (footprintArea(outline) * thickness_m * density_kg_m3));

/** Of so much glass over all of the outline. */
export const laidAsPut =
  (glassId: string, mass_kg: number, as: PutAs, newId: () => string): ReckonedGlass['layersOn'] =>
  (outline) =>
    as.form === 'sheet'
      ? Array.from({ length: sheetsFor(mass_kg, outline, as) }, () => ({ id: newId(), glassId, form: 'sheet', thickness_m: as.thickness_m }))
      : [{ id: newId(), glassId, ...as, perArea_kg_m2: mass_kg / footprintArea(outline) }];

export function putGlass(doc: PieceDocument, { layersOn, holder, into }: ReckonedGlass): Outcome<Edited> {
  const footprint = holder?.footprint ?? doc.footprint;
  const layers = layersOn(footprint);
  const strewn = layers.flatMap((layer) => ('perArea_kg_m2' in layer ? [layer.perArea_kg_m2] : []));
  if (strewn.some((one) => one < WORTH_kg_m2.least || one > WORTH_kg_m2.most))
    return refused('out-of-range', 'mass_kg', 'So much glass does not go on the outline of this piece: check the mass, or the outline.');
  const outlined: PieceDocument = holder
    ? { ...doc, footprint, dammed: holder.dammed, typed: {}, journey: doc.journey.map((step) => deepened(step, holder.deepest_m)) }
    : doc;
  const laid = laidInto(outlined, layers, into);
  return named(laid.ok && holder?.casting && firingsOf(doc).length === 0 ? addStep(laid.value.doc, holder.casting) : laid);
}

function laidInto(doc: PieceDocument, layers: LaidLayer[], into: ReckonedGlass['into']): Outcome<Edited> {
  if ('place' in into) return addStep(doc, { id: into.newStepId, kind: 'lay', side: 'above', layers }, into.place);
  const cleared = into.instead
    ? { ...doc, journey: doc.journey.map((step) => (step.id === into.stepId && step.kind === 'lay' ? { ...step, layers: [] } : step)) }
    : doc;
  return layers.reduce<Outcome<Edited>>(
    (now, layer) => (now.ok ? addLayer(now.value.doc, layer, { stepId: into.stepId }) : now),
    found({ doc: cleared, what: '' }),
  );
}

const named = (edited: Outcome<Edited>): Outcome<Edited> => (edited.ok ? { ok: true, value: { ...edited.value, what: 'added from Reckon' } } : edited);
