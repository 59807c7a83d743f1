/** Parts where they lie, as they may be told. */
import { z } from 'zod';
import { CORNERS_AT_MOST, crossesItself } from '../body/footprint';
import { type PartOutline, type PlacedPart, areaOf } from '../plan/parts';
import { quantity, words } from './quantity';
import { schemaFor } from './schemaFor';

/** A part is cut no smaller than this, m, and encloses no less, m². */
const SMALLEST_M = 0.0005;
const SMALLEST_M2 = 2.5e-7;
export const PART_RANGE_M = { least: SMALLEST_M, most: 2 } as const;

const side = (title: string) => quantity(title, 'm', PART_RANGE_M.least, PART_RANGE_M.most);
const point = z.tuple([quantity('x', 'm', -2, 2), quantity('y', 'm', -2, 2)]).readonly();
const isApart = (points: readonly (readonly [number, number])[]): boolean =>
  points.slice(1).every(([x, y], i) => Math.hypot(x - points[i][0], y - points[i][1]) >= SMALLEST_M);
const along_m = z
  .array(point)
  .min(2, { error: 'A line needs at least two points.' })
  .max(CORNERS_AT_MOST, { error: `At most ${CORNERS_AT_MOST} points.` })
  .refine(isApart, { error: `Two points of a line that follow one another must lie at least ${SMALLEST_M} m apart.` })
  .readonly();

export const PartOutlineSchema = schemaFor<PartOutline>()(
  z
    .discriminatedUnion('shape', [
      z.strictObject({ shape: z.literal('rectangle'), width_m: side('Width'), length_m: side('Length') }),
      z.strictObject({ shape: z.literal('disc'), diameter_m: side('Diameter') }),
      z.strictObject({ shape: z.literal('oval'), width_m: side('Width'), length_m: side('Length') }),
      z.strictObject({
        shape: z.literal('polygon'),
        corners_m: z
          .array(point)
          .min(3, { error: 'A part needs at least three corners.' })
          .max(CORNERS_AT_MOST, { error: `At most ${CORNERS_AT_MOST} corners.` })
          .refine((corners) => !crossesItself(corners), { error: 'The sides of a part must not cross.' })
          .refine((corners) => areaOf(corners) >= SMALLEST_M2, { error: `A part must enclose at least ${SMALLEST_M2} m².` })
          .readonly(),
      }),
      z.strictObject({ shape: z.literal('strip'), width_m: side('Width'), along_m }),
      z.strictObject({ shape: z.literal('rod'), along_m }),
    ])
    .meta({ id: 'PartOutline' }),
);

export const PlacedPartSchema = schemaFor<PlacedPart>()(
  z
    .strictObject({
      id: words('Part', 60, 1),
      outline: PartOutlineSchema,
      x_m: quantity('To the right of the middle', 'm', -2, 2),
      y_m: quantity('Behind the middle', 'm', -2, 2),
      turned_deg: quantity('Turned against the clock', '°', -180, 180),
    })
    .meta({ id: 'PlacedPart' }),
);

/** most: parts that are taken. */
export const placedParts = (most: number) =>
  z
    .array(PlacedPartSchema)
    .min(1, { error: 'A layer whose parts are placed needs at least one of them.' })
    .max(most, { error: ({ input }) => `At most ${most} parts; got ${Array.isArray(input) ? input.length : 0}.` })
    .refine((parts) => new Set(parts.map(({ id }) => id)).size === parts.length, { error: 'Two parts of a layer have one id.' })
    .readonly();
