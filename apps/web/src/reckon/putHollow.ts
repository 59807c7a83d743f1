/** Glass in a hollow, as it goes into a piece: the outline and dam of the hollow, how deep it comes to lie, and the casting of what narrows downwards. */
import { footprintArea, footprintWords } from '@torvin/core/body';
import { USUAL_WALL_M, cavityOf } from '@torvin/core/look';
import { type PlannedStep, type PutAs, firingsOf, laidAsPut, putGlass, sheetsFor, usualSetUp } from '@torvin/core/piece';
import { type Brick, type Hollow, fromAbove, heldTo, surfaceAt } from '@torvin/core/quantity';
import { type Units, formatLength, formatMass, formatStock, text, WATER_kg_m3 } from '@torvin/core/units';
import type { PieceDoc, Shelves } from '@torvin/schema';
import { entryOfStep, stepFor } from '@/planner/stepEntry';
import { capital } from '@/ui/capital';
import type { ReckonedOf } from './glassOf';
import type { Puts } from './PutOrKeep';

export interface InHollow {
  /** What the liner leaves of it. */
  left: Hollow;
  deepest_m: number;
}

/** What goes in: its mass, with what stays behind of it. */
export interface PutMass {
  as: PutAs;
  mass_kg: number;
  stays_kg: number;
  /** Of strips: how many, and the size of one. */
  cut?: Brick & { count: number };
}

const narrows = ({ kind }: Hollow): boolean => kind !== 'straight';
const LEAST_SECTION_M = 0.001;

/** Planned where the shelf has a kiln and a controller for it: to where it is filled, what narrows downwards is thick in its middle and thin at its rim. */
function castingIn(doc: PieceDoc, { left, deepest_m }: InHollow, shelves: Shelves, id: string, units: Units): PlannedStep | null {
  const look = 'openCast';
  const entry = entryOfStep(doc, null, shelves, units, { look, setup: usualSetUp(look), wet: 'damp' });
  if (entry.kilnId === '' || entry.controllerId === '') return null;
  const filled_m3 = heldTo(left, Math.min(deepest_m, left.depth_m));
  const mean_m = filled_m3 / surfaceAt(left, left.depth_m);
  const sections = { thick_m: deepest_m, thin_m: Math.min(Math.max(mean_m, LEAST_SECTION_M), deepest_m) };
  return stepFor(entry, { kind: 'cavity', ...sections, wall_m: USUAL_WALL_M, water_kg: filled_m3 * WATER_kg_m3 }, null, id);
}

function amountWords({ as, mass_kg, stays_kg, cut }: PutMass, name: string, inside: InHollow | null, units: Units): string {
  const mass = text(formatMass(mass_kg, units.mass));
  const stays = stays_kg > 0 ? `, ${text(formatMass(stays_kg, units.mass))} of which stay behind` : '';
  if (as.form === 'sheet') {
    const thick = text(formatStock(as.thickness_m, units.length));
    if (!inside) return `Lays ${mass} of ${name} in sheets ${thick} thick and as large as the outline${stays}`;
    const outline = fromAbove(inside.left);
    const count = sheetsFor(mass_kg, outline, as);
    // Whole sheets come to more than was reckoned.
    const whole = text(formatMass(count * footprintArea(outline) * as.thickness_m * as.density_kg_m3, units.mass));
    return `Lays ${count} ${count === 1 ? 'sheet' : 'sheets'} of ${name}, ${thick} thick and as large as the outline, ${whole} in all${stays}`;
  }
  if (as.form === 'frit') return `Puts in ${mass} of ${name} as frit${stays}`;
  if (cut) {
    const size = `${formatLength(cut.width_m, units.length).figure} × ${text(formatLength(cut.length_m, units.length))}`;
    return `Puts in ${cut.count} ${as.name.toLowerCase()} of ${name}, each ${size} and ${text(formatStock(cut.depth_m, units.length))} thick, ${mass} in all`;
  }
  const size = `${formatLength(as.thick_m, units.length).figure} × ${text(formatLength(as.wide_m, units.length))}`;
  return `Puts in ${mass} of ${name} as ${as.name.toLowerCase()}, each ${size}${stays}`;
}

/** What becomes of the firing: planned where none is yet. */
function castingWords(planned: readonly PlannedStep[], canFire: boolean): string {
  if (planned.some(({ setup }) => cavityOf(setup.shaping) !== null)) return 'Its casting is annealed by that depth.';
  if (planned.length === 0 && canFire) return 'Plans a casting in it, annealed by its thickest section.';
  return 'It narrows downwards: plan it as a casting, which is annealed by its thickest section.';
}

/** inside: of one hollow; null of several or of what was told by water or by a model, where the piece keeps its outline. */
export function putsGlass({ glass, name }: ReckonedOf, put: PutMass, inside: InHollow | null, shelves: Shelves, units: Units): Puts | null {
  if (!glass) return null;
  const deep = inside && text(formatLength(inside.deepest_m, units.length));
  const isCast = inside !== null && narrows(inside.left);
  const canFire = (['kilns', 'controllers'] as const).every((kind) => shelves[kind].some(({ id }) => !shelves.archived.includes(id)));
  return {
    words(where) {
      const amount = amountWords(put, name, inside, units);
      if (!inside || where?.isBegun) return `${amount}, on the outline of the piece.`;
      if (!isCast) return `${amount}, in a dam of this outline, ${deep} deep.`;
      const planned = where ? firingsOf(where.piece.doc) : [];
      return `${amount}, in a hollow of this outline, ${deep} deep where it is deepest. ${castingWords(planned, canFire)}`;
    },
    replaces: true,
    lays: true,
    into(doc, { newId, into, isBegun }) {
      const step = inside && isCast && !isBegun ? castingIn(doc, inside, shelves, newId(), units) : null;
      return putGlass(doc, {
        ...{ layersOn: laidAsPut(glass.id, put.mass_kg, put.as, newId), into },
        ...(inside && !isBegun
          ? { holder: { footprint: fromAbove(inside.left), dammed: true, deepest_m: inside.deepest_m, ...(step ? { casting: step } : {}) } }
          : {}),
      });
    },
    begins: inside
      ? {
          ...{ name: `${capital(footprintWords(fromAbove(inside.left), units.length))}, ${text(formatMass(put.mass_kg, units.mass))}` },
          ...{ footprint: fromAbove(inside.left), dammed: true },
        }
      : null,
  };
}
