/** A body as the plan shows it: what covers it, which parts lie there, which of them the step lays and what each is called. */
import type { Footprint } from '@torvin/core/body';
import { type BodyNow, type DrawnLayer, type LaidLayer, acrossOf, isPlaceable, isPlaced, partsOf, spreadOf } from '@torvin/core/piece';
import { type Box, type PlacedPart, type Point, boxOf, footprintRings, partCorners, partSides } from '@torvin/core/plan';
import { type LengthUnit, formatLength, text } from '@torvin/core/units';
import type { DrawnPart } from '@/plan/PlanDrawing';
import { angle } from '@/plan/words';
import type { OwnPart } from '@/plan/ownPart';

export interface Planned {
  /** Colour of the uppermost layer that covers everything; null on a bare shelf. */
  ground: string | null;
  fixed: DrawnPart[];
  own: OwnPart[];
  /** Layers of the step of which nobody has said where their parts lie. */
  spread: { id: string; name: string; count: number }[];
}

/** What has parts in it shows them, and between them what lies under it. */
const covers = (layer: LaidLayer): boolean => partsOf(layer) === undefined && (!('cover' in layer) || (layer.cover ?? 1) > 1 - 1e-9);

/** Longer than so many times its width it is a bar. */
const BAR = 2.5;

/** What a part of glass is called by its form. */
export function partWord(layer: LaidLayer, part: PlacedPart): string {
  const { outline } = part;
  if (layer.form === 'rod' || layer.form === 'stringer') return layer.form;
  if (outline.shape !== 'rectangle') return outline.shape === 'polygon' || outline.shape === 'rod' ? 'piece' : outline.shape;
  const [short, long] = [Math.min(outline.width_m, outline.length_m), Math.max(outline.width_m, outline.length_m)];
  return long > BAR * short ? 'bar' : 'piece';
}

/** Its two sides, a disc's one, a rod's thickness and length. */
export function sizeWords(part: PlacedPart, across_m: number, unit: LengthUnit): string {
  const length = (metres: number): string => text(formatLength(metres, unit));
  const { outline } = part;
  if (outline.shape === 'disc') return length(outline.diameter_m);
  const { width_m, length_m } = partSides(part, across_m);
  return `${formatLength(width_m, unit).figure} × ${length(length_m)}`;
}

/** Along its width, of what has four corners; made glass in layers shows the uppermost of them alone. */
function bandsOf([a, b, c, d]: readonly Point[], stripes: NonNullable<DrawnLayer['stripes']>): NonNullable<DrawnPart['bands']> {
  const between = ([x, y]: Point, [u, v]: Point, at: number): Point => [x + at * (u - x), y + at * (v - y)];
  let from = 0;
  return stripes.map(({ colour, share }) => {
    const [left, right] = [from, from + share];
    from = right;
    return { colour, corners: [between(a, b, left), between(a, b, right), between(d, c, right), between(d, c, left)] };
  });
}

const turnedOnce = ([a, ...rest]: readonly Point[]): Point[] => [...rest, a];

function drawnPart(part: PlacedPart, layer: LaidLayer, { colour, stripes, stacked, crosswise }: DrawnLayer, as?: DrawnPart['as']): DrawnPart {
  const corners = partCorners(part, acrossOf(layer));
  const hasFour = part.outline.shape === 'rectangle' || (part.outline.shape === 'polygon' && corners.length === 4);
  return {
    ...{ id: part.id, corners, colour: stacked && stripes ? stripes[stripes.length - 1].colour : colour },
    ...(stripes && !stacked && hasFour ? { bands: bandsOf(crosswise ? turnedOnce(corners) : corners, stripes) } : {}),
    ...(as ? { as } : {}),
  };
}

/** Stripes of a sheet of made glass that covers everything, where its outline has four corners. */
function groundStripes(layer: LaidLayer, { stripes, stacked, crosswise, colour }: DrawnLayer, { footprint }: BodyNow): DrawnPart[] {
  if (!stripes || stacked || footprint.shape !== 'rectangle') return [];
  const [corners] = footprintRings(footprint);
  return [{ id: `${layer.id} stripes`, corners: [...corners], colour, bands: bandsOf(crosswise ? turnedOnce(corners) : corners, stripes), as: 'inlaid' }];
}

/** What of a layer that covers everything is seen from above. */
const groundColour = ({ colour, stripes, stacked }: DrawnLayer): string => (stacked && stripes ? stripes[stripes.length - 1].colour : colour);

/** What is seen from the other face: everything its own mirror image, the lowest on top, nothing to be chosen. */
export function behindOf(body: BodyNow, layers: readonly DrawnLayer[]): Pick<Planned, 'ground' | 'fixed'> {
  const first = body.layers.findIndex(covers);
  const fixed = body.layers.flatMap((layer, i) => {
    const parts = partsOf(layer) ?? (isPlaceable(layer) && !covers(layer) ? spreadOf(layer, body.footprint) : []);
    return parts.map((part) => ({ ...drawnPart(part, layer, layers[i], first >= 0 && i > first ? 'under' : undefined), id: `${layer.id} ${part.id}` }));
  });
  const mirror = (corners: readonly Point[]): Point[] => corners.map(([x, y]): Point => [-x, y]);
  return {
    ground: first < 0 ? null : (layers[first].stripes?.[0].colour ?? layers[first].colour),
    fixed: fixed.reverse().map((part) => ({
      ...part,
      corners: mirror(part.corners),
      ...(part.bands ? { bands: part.bands.map(({ corners, colour }) => ({ colour, corners: mirror(corners) })) } : {}),
    })),
  };
}

/** The outline as it is seen from there. */
export const outlineBehind = (footprint: Footprint): Footprint =>
  footprint.shape === 'polygon' ? { shape: 'polygon', corners_m: footprint.corners_m.map(([x, y]) => [-x, y] as const) } : footprint;

/** layers: as they are drawn, in the order of the body's own. own: which of them the step lays. */
export function plannedOf(body: BodyNow, layers: readonly DrawnLayer[], own: { from: number; to: number }, unit: LengthUnit): Planned {
  const last = body.layers.findLastIndex(covers);
  const planned: Planned = {
    ground: last < 0 ? null : groundColour(layers[last]),
    fixed: last < 0 ? [] : groundStripes(body.layers[last], layers[last], body),
    own: [],
    spread: [],
  };
  const { left, front } = withinOf(body);
  body.layers.forEach((layer, i) => {
    const { name: glassName } = layers[i];
    const parts = partsOf(layer);
    const isOwn = i >= own.from && i < own.to;
    if (parts && isOwn && isPlaced(layer)) {
      parts.forEach((part, k) => {
        const [x_m, y_m] = [part.x_m, part.y_m];
        const size = sizeWords(part, acrossOf(layer), unit);
        const called = callOf(layer, part, glassName, parts.length > 1 ? k + 1 : null);
        planned.own.push({
          ...drawnPart(part, layer, layers[i], i < last ? 'under' : undefined),
          ...{ middle: [x_m, y_m] as Point, turned_deg: part.turned_deg, size },
          called,
          name: `${called}, ${size}, ${text(formatLength(x_m - left, unit))} from the left, ${text(formatLength(y_m - front, unit))} from the front, turned ${angle(part.turned_deg)}`,
        });
      });
    } else if (parts)
      for (const part of parts) planned.fixed.push(drawnPart(part, layer, layers[i], i < last ? 'under' : layer.form === 'sheet' ? 'inlaid' : undefined));
    else if (isPlaceable(layer) && !covers(layer)) {
      for (const part of spreadOf(layer, body.footprint)) planned.fixed.push({ ...drawnPart(part, layer, layers[i], 'spread'), id: `${layer.id} ${part.id}` });
      if (isOwn) planned.spread.push({ id: layer.id, name: layer.name ?? glassName, count: layer.form === 'pieces' ? layer.count : 0 });
    }
  });
  return planned;
}

/** Of the box round a body, from its middle, m. */
export const withinOf = ({ footprint }: Pick<BodyNow, 'footprint'>): Box => boxOf(footprintRings(footprint).flat());

/** By the name of its layer and its number there, else by its glass and what it is. */
export const callOf = (layer: LaidLayer, part: PlacedPart, glassName: string, number: number | null): string =>
  `${layer.name ?? `${glassName} ${partWord(layer, part)}`}${number === null ? '' : ` ${number}`}`;
