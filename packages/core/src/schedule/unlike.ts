/** Where a body is and stays thick in one place and thin in another. */
import { type BodyInput, bodyFigures } from '../body/body';
import { footprintNarrow } from '../body/footprint';
import { coverOf, edgeOf } from '../body/layers';
import type { UnlikeColumns } from '../heat/columns';
import { widestPart } from '../look/works';

/** Parts whose sinking in can be reckoned, by their width, m; null where none are laid or where they stand on nothing. */
export function sinkingWidth(body: BodyInput): number | null {
  if (bodyFigures(body).depth.min_m === 0) return null;
  const gappy = body.layers.filter((layer) => layer.form !== 'sheet' && coverOf(layer) < 1);
  return widestPart(body) ?? (gappy.length > 0 ? Math.max(...gappy.map(edgeOf)) : null);
}

/** A body less uneven than this, by its share of the deepest, is as good as even. */
const UNEVEN_FROM = 0.05;

export function isAsGoodAsEven(body: BodyInput): boolean {
  const { max_m, min_m } = bodyFigures(body).depth;
  return min_m > max_m * (1 - UNEVEN_FROM);
}

/** The thickest and the thinnest place of a body that is and stays uneven; null where it is even, or leaves the shelf bare. */
export function unlikeColumns(body: BodyInput): UnlikeColumns | null {
  const { max_m, min_m } = bodyFigures(body).depth;
  if (min_m <= 0 || isAsGoodAsEven(body)) return null;
  const { apart_m = 0 } = body.mapped ?? {};
  // Where nothing tells, parts lie about as far apart as they are wide; else the middle is taken to be thick and the rim thin, or the other way round.
  return { thick_m: max_m, thin_m: min_m, apart_m: apart_m > 0 ? apart_m : (sinkingWidth(body) ?? footprintNarrow(body.footprint) / 4) };
}
