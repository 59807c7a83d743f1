/** A body as the engine takes it: a lay-up of layers and parts, or a casting. */
import { bodyDepth, type BodyInput, type Casting } from '../body/body';
import { CORNERS_AT_MOST, crossesItself, type Footprint, footprintArea } from '../body/footprint';
import type { Layer, Part } from '../body/layers';
import { z } from 'zod';
import { GlassInputSchema } from './glass';
import { oneOf, quantity } from './quantity';
import { schemaFor } from './schemaFor';

/** The deepest glass that can be asked about, m. */
export const DEEPEST_M = 0.3;
export const thickness = quantity('Thickness', 'm', 0.0005, 0.1);

const corner = z.tuple([quantity('x', 'm', -2, 2), quantity('y', 'm', -2, 2)]).readonly();

const rectangle = z.strictObject({ shape: z.literal('rectangle'), width_m: quantity('Width', 'm', 0.01, 2), length_m: quantity('Length', 'm', 0.01, 2) });
const disc = z.strictObject({ shape: z.literal('disc'), diameter_m: quantity('Diameter', 'm', 0.01, 2) });

export const FootprintSchema = schemaFor<Footprint>()(
  z
    .discriminatedUnion('shape', [
      rectangle,
      disc,
      z.strictObject({ shape: z.literal('oval'), width_m: quantity('Width', 'm', 0.01, 2), length_m: quantity('Length', 'm', 0.01, 2) }),
      z
        .strictObject({ shape: z.literal('ring'), diameter_m: quantity('Diameter', 'm', 0.01, 2), inner_m: quantity('Inner diameter', 'm', 0.005, 2) })
        .refine(({ diameter_m, inner_m }) => inner_m < diameter_m - 0.004, {
          path: ['inner_m'],
          error: 'The hole must be smaller than the ring, with a wall left between them.',
        }),
      z.strictObject({
        shape: z.literal('polygon'),
        corners_m: z
          .array(corner)
          .min(3, { error: 'A polygon needs at least three corners.' })
          .max(CORNERS_AT_MOST, { error: `At most ${CORNERS_AT_MOST} corners.` })
          .refine((corners) => !crossesItself(corners), { error: 'The outline must not cross itself.' })
          .refine((corners) => footprintArea({ shape: 'polygon', corners_m: corners }) >= 1e-4, { error: 'The outline must enclose at least 0.0001 m².' })
          .readonly(),
      }),
    ])
    .meta({ id: 'Footprint' }),
);

const placed = {
  glass: quantity('Glass', '', 0, 31).int({ error: 'Glass must be a whole number: its place in the list of glasses.' }),
  cover: quantity('Cover', '', 0.01, 1).optional(),
  solid: z.literal(true).optional().meta({ description: 'Of the one solid, where only a part of the body has been fused before' }),
};
const grains = { ...placed, perArea_kg_m2: quantity('Mass per area', 'kg/m²', 0.001, 1000), grain_m: quantity('Grain', 'm', 1e-5, 0.03).optional() };
const diameter_m = quantity('Diameter', 'm', 0.0003, 0.05);

export const LayerInputSchema = schemaFor<Layer>()(
  z
    .discriminatedUnion('form', [
      z.strictObject({ form: z.literal('sheet'), ...placed, thickness_m: thickness, coated: oneOf('Coated side', ['up', 'down']).optional() }),
      z.strictObject({ form: z.literal('cap'), ...placed, thickness_m: thickness, overhang_m: quantity('Overhang', 'm', 0, 0.05).optional() }),
      z.strictObject({ form: z.literal('rod'), ...placed, diameter_m }),
      z.strictObject({ form: z.literal('stringer'), ...placed, diameter_m }),
      z.strictObject({ form: z.literal('frit'), ...grains }),
      z.strictObject({ form: z.literal('powder'), ...grains }),
      z
        .strictObject({
          ...{ form: z.literal('chunks'), ...placed, perArea_kg_m2: quantity('Mass per area', 'kg/m²', 0.001, 1000) },
          ...{ thick_m: quantity('Thickness of a lump', 'm', 0.002, DEEPEST_M), wide_m: quantity('Width of a lump', 'm', 0.002, 2) },
        })
        .refine(({ thick_m, wide_m }) => thick_m <= wide_m, { path: ['wide_m'], error: 'A lump is at least as wide as it is thick.' }),
    ])
    .meta({ id: 'Layer' }),
);

const PartSchema = schemaFor<Part>()(
  z.strictObject({
    glass: placed.glass,
    thickness_m: thickness,
    area_m2: quantity('Area of one part', 'm²', 1e-6, 4),
    count: quantity('Number of parts', '', 1, 10000).int(),
  }),
);

const CastingSchema = schemaFor<Casting>()(
  z
    .strictObject({
      glass: placed.glass,
      volume_m3: quantity('Volume', 'm³', 1e-7, 0.2),
      thickest_m: quantity('Thickest section', 'm', 0.002, DEEPEST_M),
      thinnest_m: quantity('Thinnest section', 'm', 0.001, DEEPEST_M),
      slender: oneOf('Slender form', ['cylinder', 'sphere']).optional(),
    })
    .refine(({ thickest_m, thinnest_m }) => thinnest_m <= thickest_m, {
      path: ['thinnest_m'],
      error: 'The thinnest section must not be thicker than the thickest.',
    }),
);

const glasses = z.array(GlassInputSchema).max(32, { error: 'At most 32 glasses.' });

/** Of a body of which there may be nothing: some firings have no glass in them. */
export const noneOrMore = { glasses: glasses.readonly() };

export const bodyFields = {
  glasses: glasses.min(1, { error: 'A body needs at least one glass.' }).readonly(),
  layers: z.array(LayerInputSchema).max(120, { error: 'At most 120 layers.' }).readonly(),
  parts: z.array(PartSchema).max(100, { error: 'At most 100 kinds of parts.' }).readonly().optional(),
  casting: CastingSchema.optional(),
  footprint: FootprintSchema,
  dammed: z.boolean().optional(),
  mapped: z
    .strictObject({
      thin_m: quantity('Thinnest place', 'm', 0, DEEPEST_M),
      thick_m: quantity('Deepest place', 'm', 0.0001, DEEPEST_M),
      apart_m: quantity('Thick from thin', 'm', 0, 2),
    })
    .refine(({ thin_m, thick_m }) => thin_m <= thick_m, { path: ['thin_m'], error: 'The thinnest place must not be deeper than the deepest.' })
    .optional()
    .meta({ description: 'Where it is known what lies where, as /api/compute/thickness tells it; else it follows from layers and parts' }),
};

/** Makes a schema of bodies refuse what no body is. */
export const aBody = <T extends z.ZodType<BodyInput>>(schema: T) =>
  schema
    .refine((body) => body.layers.length > 0 || body.casting !== undefined || isNothing(body), {
      path: ['layers'],
      error: 'A body needs at least one layer, or a casting.',
    })
    .refine(({ layers, parts = [], casting }) => casting === undefined || layers.length + parts.length === 0, {
      path: ['casting'],
      error: 'A body is either a casting or a lay-up of layers and parts.',
    })
    .refine(({ glasses, layers, parts = [], casting }) => [...layers, ...parts, ...(casting ? [casting] : [])].every(({ glass }) => glass < glasses.length), {
      path: ['glasses'],
      error: 'A layer, part or casting names a glass that is not in the list of glasses.',
    })
    .refine((body) => namesMissing(body) || body.layers.every((layer) => layer.form !== 'chunks' || standsFull(layer, body)), {
      path: ['layers'],
      error: 'Lumps stand at least as deep as one of them is thick: name the share that they cover.',
    })
    .refine((body) => body.glasses.length === 0 || namesMissing(body) || body.casting !== undefined || bodyDepth(body) <= DEEPEST_M + 1e-9, {
      path: ['layers'],
      error: `The layers together may be at most ${DEEPEST_M} m deep.`,
    });

const isNothing = ({ glasses, layers, parts = [] }: BodyInput): boolean => glasses.length + layers.length + parts.length === 0;

/** A place below the list, or between two of it, is refused by its field, and asked about here all the same. */
const namesMissing = ({ glasses, layers }: BodyInput): boolean => layers.some(({ glass }) => glasses[glass] === undefined);

const standsFull = ({ glass, perArea_kg_m2, thick_m }: Extract<Layer, { form: 'chunks' }>, { glasses }: BodyInput): boolean =>
  perArea_kg_m2 >= thick_m * glasses[glass].density_kg_m3 * (1 - 1e-9);

export const BodyInputSchema = schemaFor<BodyInput>()(aBody(z.strictObject(bodyFields)).meta({ id: 'BodyInput' }));
