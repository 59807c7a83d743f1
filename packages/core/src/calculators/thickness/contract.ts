import { z } from 'zod';
import { DEEPEST_M, FootprintSchema } from '../../contract/body';
import { GlassInputSchema } from '../../contract/glass';
import { GLASS } from '../samples';
import { placedParts } from '../../contract/placed';
import { count, figure, quantity } from '../../contract/quantity';
import type { PlanAsked } from '../../plan/asked';
import { schemaFor } from '../../contract/schemaFor';

export const summary = 'How thick a lay-up is from place to place, and which parts cause trouble later';

/** Parts of all layers together. */
const PARTS_AT_MOST = 400;

const LayerSchema = z.strictObject({
  depth_m: quantity('Depth, its own gaps closed', 'm', 1e-6, 0.1),
  placed: placedParts(PARTS_AT_MOST).optional(),
  across_m: quantity('Diameter of its rods', 'm', 0.0003, 0.05).optional(),
  cover: quantity('Cover', '', 1e-4, 1).optional(),
  overhang_m: quantity('Overhang', 'm', 0, 0.05).optional(),
});

export const request = schemaFor<PlanAsked>()(
  z
    .strictObject({
      footprint: FootprintSchema,
      layers: z.array(LayerSchema).min(1, { error: 'A plan needs at least one layer.' }).max(120, { error: 'At most 120 layers.' }).readonly(),
      from: quantity('Lowest layer that is spoken of', '', 0, 120).int().optional(),
      next: z
        .strictObject({
          joins: z.boolean(),
          flows: z.boolean(),
          dammed: z.boolean(),
          naturalDepth_m: quantity('Natural depth', 'm', 0.001, 0.02),
        })
        .optional(),
      fired: z
        .strictObject({ glass: GlassInputSchema, work_perPa: quantity('Heat work', '1/Pa', 0, 100), flows: z.boolean(), dammed: z.boolean() })
        .optional()
        .meta({ description: 'The firing; with it the thickness afterwards is answered too' }),
    })
    .refine(({ layers }) => layers.reduce((sum, { placed = [] }) => sum + placed.length, 0) <= PARTS_AT_MOST, {
      path: ['layers'],
      error: `At most ${PARTS_AT_MOST} parts in all layers together.`,
    })
    .refine(({ layers }) => layers.reduce((sum, { depth_m }) => sum + depth_m, 0) <= DEEPEST_M, {
      path: ['layers'],
      error: `The layers together may be at most ${DEEPEST_M} m deep.`,
    })
    .refine(({ layers }) => layers.every(({ placed = [], across_m }) => across_m !== undefined || placed.every(({ outline }) => outline.shape !== 'rod')), {
      path: ['layers'],
      error: 'A layer of rods needs their diameter, across_m.',
    }),
);

const metre = figure('m');
const place = z.object({ depth_m: metre, x_m: figure('m', 'To the right of the middle'), y_m: figure('m', 'Behind the middle') });
const part = z.string().meta({ description: 'Its id' });

const map = {
  grid: z.object({ left_m: metre, front_m: metre, cell_m: metre, columns: count(), rows: count() }),
  depth_m: z.array(metre).meta({ description: 'In each cell, rows from the front, each from the left' }),
  share: z.array(figure('')).meta({ description: 'Of each cell, in which there is glass' }),
  volume_m3: figure('m³'),
  mean_m: metre,
  deepest: place,
  thinnest: place,
  steepest: place.meta({ description: 'Where it changes most over two cells; depth_m is by how much' }),
  reach: z
    .object({ thick_m: metre, thin_m: metre })
    .meta({ description: 'From the inmost of its thick places to the nearest thin one, and the other way round' }),
  apart_m: figure('m', 'How far thick and thin lie apart as heat counts it: two columns of equal width so far apart differ as much'),
};

export const answer = z.object({
  ...map,
  after: z.object(map).nullable().meta({ description: 'As the firing leaves it' }),
  concerns: z.array(
    z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('offBase'), part, over_m: metre }),
      z.object({ kind: z.literal('outside'), part }),
      z.object({ kind: z.literal('nearRim'), part, gap_m: metre }),
      z.object({ kind: z.literal('edgeShows'), part }),
      z.object({ kind: z.literal('bridges'), part, over: part, air: figure('', 'Share of it that lies over air') }),
      z.object({ kind: z.literal('drawsIn'), base_m: metre, rest_m: metre }),
    ]),
  ),
});

const bar = (id: string, x_m: number, turned_deg: number) => ({
  id,
  x_m,
  y_m: 0.002 * x_m,
  turned_deg,
  outline: { shape: 'rectangle' as const, width_m: 0.014, length_m: 0.069 },
});

export const cases = {
  'A tide line of bars, one over the rim': {
    footprint: { shape: 'rectangle', width_m: 0.12, length_m: 0.1 },
    layers: [{ depth_m: 0.003 }, { depth_m: 0.003, overhang_m: 0.001 }, { depth_m: 0.003, placed: [bar('a', -0.03, -8), bar('b', 0, 4), bar('c', 0.056, 20)] }],
    from: 2,
    next: { joins: true, flows: false, dammed: false, naturalDepth_m: 0.0065 },
    fired: { work_perPa: 3.6e-3, flows: false, dammed: false, glass: GLASS },
  },
  'A stringer across a disc, and parts of every form': {
    footprint: { shape: 'disc', diameter_m: 0.1 },
    layers: [
      { depth_m: 0.003, cover: 0.4 },
      {
        depth_m: 0.002,
        across_m: 0.0025,
        placed: [
          {
            ...{ id: 'stringer', x_m: 0, y_m: 0.01, turned_deg: 30 },
            outline: {
              shape: 'rod',
              along_m: [
                [-0.03, 0],
                [0, 0.004],
                [0.03, 0],
              ],
            },
          },
        ],
      },
      {
        depth_m: 0.003,
        placed: [
          { id: 'disc', x_m: 0.02, y_m: -0.02, turned_deg: 0, outline: { shape: 'disc', diameter_m: 0.015 } },
          { id: 'oval', x_m: -0.02, y_m: -0.02, turned_deg: 45, outline: { shape: 'oval', width_m: 0.02, length_m: 0.01 } },
          {
            ...{ id: 'sail', x_m: 0, y_m: 0.025, turned_deg: -90 },
            outline: {
              shape: 'polygon',
              corners_m: [
                [-0.01, -0.01],
                [0.01, -0.01],
                [0, 0.012],
              ],
            },
          },
          {
            ...{ id: 'bent strip', x_m: 0, y_m: -0.005, turned_deg: 0 },
            outline: {
              shape: 'strip',
              width_m: 0.004,
              along_m: [
                [-0.02, 0],
                [0.01, 0.003],
                [0.02, 0.012],
              ],
            },
          },
        ],
      },
    ],
  },
} satisfies Record<string, z.input<typeof request>>;
