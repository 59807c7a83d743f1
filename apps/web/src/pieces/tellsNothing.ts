/** Whether a section shows no more than that sheets lie on one another: flat, whole, and all of them to the rim. */
import type { DrawnBody } from '@torvin/core/piece';

export const tellsNothing = ({ layers, bent, ran }: DrawnBody): boolean =>
  bent === null &&
  ran === null &&
  layers.length > 0 &&
  layers.every(
    ({ form = 'sheet', cover = 1, count, spans_m, ware, stripes }) => form === 'sheet' && cover === 1 && count === undefined && !spans_m && !ware && !stripes,
  );
