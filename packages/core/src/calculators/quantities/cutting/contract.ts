import { z } from 'zod';
import { FootprintSchema, thickness } from '../../../contract/body';
import { HollowSchema } from '../../../contract/hollow';
import { figure, quantity } from '../../../contract/quantity';

export const summary = 'What is cut, how many and how large: strips, strips on edge, woven panels, segments, caps, liners of fibre paper';

const strip_m = quantity('Width of a strip', 'm', 0.001, 1);
const kerf_m = quantity('Kerf', 'm', 0, 0.02);
const side = (name: string) => quantity(name, 'm', 0.005, 4);
const count = (name: string, most: number) => quantity(name, '', 1, most).int({ error: `${name} must be whole.` });
const overhang_m = quantity('Larger all round by', 'm', 0, 0.1);

export const request = z.discriminatedUnion('kind', [
  z.strictObject({
    ...{ kind: z.literal('strips'), strip_m, kerf_m, count: count('The number of strips', 10000).optional() },
    sheet: z.strictObject({ width_m: side('Width of the sheet'), length_m: side('Length of the sheet'), thickness_m: thickness }),
  }),
  z.strictObject({
    ...{ kind: z.literal('onEdge'), width_m: side('Width'), length_m: side('Length'), strip_m, thickness_m: thickness },
    high: count('Strips over one another', 50),
  }),
  z.strictObject({
    ...{ kind: z.literal('woven'), strip_m, gap_m: quantity('Gap', 'm', 0, 0.2), thickness_m: thickness },
    ...{ across: count('Strips up the panel', 500), along: count('Strips across it', 500), border_m: quantity('Border', 'm', 0, 0.5) },
    cap: z.strictObject({ thickness_m: thickness, overhang_m }).nullable(),
    spare: quantity('Share to spare', '', 0, 1),
  }),
  z.strictObject({
    ...{ kind: z.literal('segments'), slab_m: side('Length of the slab'), stop_m: quantity('Stop', 'm', 0.001, 2), kerf_m },
    section: z.strictObject({ width_m: side('Width of the slab'), depth_m: side('Depth of the slab') }).optional(),
  }),
  z.strictObject({ kind: z.literal('cap'), outline: FootprintSchema, overhang_m }),
  z.strictObject({ kind: z.literal('liner'), hollow: HollowSchema, thickness_m: quantity('Thickness of the paper', 'm', 0.0002, 0.02) }),
]);

export const answer = z.object({
  pieces: z.array(
    z.object({
      ...{ name: z.string(), count: figure(''), spares: figure('', 'Cut more than are laid'), width_m: figure('m'), length_m: figure('m') },
      outline: z.enum(['rectangle', 'disc', 'ring', 'oval', 'triangle', 'part of a circle', 'corners']).meta({ description: 'Sides of it, or of its box' }),
      thickness_m: figure('m', '0 where it does not matter'),
    }),
  ),
  finished: z.object({ width_m: figure('m'), length_m: figure('m'), depth_m: figure('m') }).nullable(),
  along: z
    .object({ used_m: figure('m'), kerf_m: figure('m'), left_m: figure('m') })
    .nullable()
    .meta({ description: 'Of the length that is cut: what comes of it, what the blade takes, what is left' }),
  sheets: figure('', 'That so many ask for').nullable(),
});

export const cases = {
  'A hundred strips': { kind: 'strips', sheet: { width_m: 0.5, length_m: 0.4, thickness_m: 0.003 }, strip_m: 0.01, kerf_m: 0.002, count: 100 },
  'A woven panel with a border and a cap': {
    ...{ kind: 'woven', strip_m: 0.015, gap_m: 0.001, across: 9, along: 13, thickness_m: 0.003, border_m: 0.02, spare: 0.1 },
    cap: { thickness_m: 0.002, overhang_m: 0.003 },
  },
  'Strips on edge': { kind: 'onEdge', width_m: 0.1, length_m: 0.3, strip_m: 0.012, thickness_m: 0.003, high: 2 },
  'Segments off a slab': { kind: 'segments', slab_m: 0.3, stop_m: 0.018, kerf_m: 0.0025 },
  'A cap larger all round': { kind: 'cap', outline: { shape: 'oval', width_m: 0.2, length_m: 0.14 }, overhang_m: 0.004 },
  'A liner for a ring': {
    kind: 'liner',
    hollow: { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.22, inner_m: 0.14 }, depth_m: 0.03 },
    thickness_m: 0.003,
  },
} satisfies Record<string, z.input<typeof request>>;
