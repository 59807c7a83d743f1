/** Of which glass it is: of one on the shelf, or of a family where the shelf has none yet. */
import type { GlassConstants } from '@torvin/core/glass';
import { constantsOf, glassName, laidLayers } from '@torvin/core/piece';
import type { Stock } from '@torvin/core/quantity';
import type { Glass, Shelves } from '@torvin/schema';
import type { Where } from './useWhere';

export interface ReckonedOf {
  id: string;
  name: string;
  colour: string;
  constants: GlassConstants;
  /** Null where it is of a family alone. */
  glass: Glass | null;
}

const NO_COLOUR = '#9aa8a2';

/** chosen: an id, or what is no glass any more; without one that of the piece which is open, else the first of the shelf, else of the families. */
export function glassOf(shelves: Shelves, chosen: string | undefined, where: Where | null): ReckonedOf | null {
  const { glasses, families, archived } = shelves;
  const wanted = chosen ?? (where ? laidLayers(where.piece.doc)[0]?.glassId : undefined);
  const here = glasses.filter(({ id }) => !archived.includes(id));
  const glass = glasses.find(({ id }) => id === wanted) ?? (families.some(({ id }) => id === wanted) ? undefined : here[0]);
  const family = families.find(({ id }) => id === (glass?.familyId ?? wanted)) ?? (glass ? undefined : families[0]);
  if (!family) return null;
  return {
    ...{ id: glass?.id ?? family.id, name: glass ? glassName(shelves, glass.id) : family.name, colour: glass?.colour ?? NO_COLOUR },
    ...{ constants: constantsOf(family), glass: glass ?? null },
  };
}

const USUAL_SHEET_M = 0.003;

/** As thick as it is sold, m: the usual one of its thicknesses. */
export function sheetOf(glass: Glass | null): number | undefined {
  if (!glass?.forms.includes('sheet')) return undefined;
  return [...glass.thicknesses_m].sort((a, b) => Math.abs(a - USUAL_SHEET_M) - Math.abs(b - USUAL_SHEET_M)).at(0);
}

/** What the record says of how it is bought. */
export function stockOf(glass: Glass | null): Stock {
  if (!glass) return {};
  const { sheetWidth_m, sheetLength_m, billetWidth_m, billetLength_m, billetDepth_m, jar_kg, scrap_kg } = glass;
  const depth_m = sheetOf(glass);
  return {
    ...(sheetWidth_m !== undefined && sheetLength_m !== undefined && depth_m !== undefined
      ? { sheet: { width_m: sheetWidth_m, length_m: sheetLength_m, depth_m } }
      : {}),
    ...(billetWidth_m !== undefined && billetLength_m !== undefined && billetDepth_m !== undefined
      ? { billet: { width_m: billetWidth_m, length_m: billetLength_m, depth_m: billetDepth_m } }
      : {}),
    ...(jar_kg === undefined ? {} : { jar_kg }),
    ...(scrap_kg === undefined ? {} : { scrap_kg }),
  };
}
