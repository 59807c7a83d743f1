/** Hollows that glass is to fill, as they are asked about. */
import { z } from 'zod';
import type { Hollow } from '../quantity/hollow';
import { DEEPEST_M, FootprintSchema } from './body';
import type { Brick } from '../quantity/cold';
import { quantity } from './quantity';
import { schemaFor } from './schemaFor';

const deep = quantity('Depth', 'm', 0.002, DEEPEST_M);
const across = (name: string, least = 0.005) => quantity(name, 'm', least, 2);
/** A billet, a bar, a sheet: what is laid flat. */
export const BrickSchema = schemaFor<Brick>()(
  z.strictObject({ width_m: across('Width'), length_m: across('Length'), depth_m: quantity('Depth', 'm', 0.0005, DEEPEST_M) }).meta({ id: 'Brick' }),
);

/** Nothing where it ends in a point or a round. */
const floor = quantity('Floor', 'm', 0, 2);

export const HollowSchema = schemaFor<Hollow>()(
  z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('straight'), outline: FootprintSchema, depth_m: deep }),
      z.strictObject({ kind: z.literal('vTrough'), width_m: across('Width'), length_m: across('Length'), depth_m: deep }),
      z
        .strictObject({ kind: z.literal('roundTrough'), width_m: across('Width'), length_m: across('Length'), depth_m: deep })
        .refine(({ width_m, depth_m }) => depth_m <= width_m / 2 + 1e-9, { path: ['depth_m'], error: 'A round trough is at most half as deep as it is wide.' }),
      z
        .strictObject({ kind: z.literal('cone'), rim_m: across('Rim'), floor_m: floor, depth_m: deep })
        .refine(({ rim_m, floor_m }) => floor_m <= rim_m, { path: ['floor_m'], error: 'The floor must not be wider than the rim.' }),
      z
        .strictObject({ kind: z.literal('bowl'), rim_m: across('Rim'), floor_m: floor, depth_m: deep })
        .refine(({ rim_m, floor_m }) => floor_m < rim_m, { path: ['floor_m'], error: 'The floor must be narrower than the rim.' }),
    ])
    .meta({ id: 'Hollow' }),
);
