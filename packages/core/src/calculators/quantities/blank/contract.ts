import { z } from 'zod';
import { DEEPEST_M, FootprintSchema, thickness } from '../../../contract/body';
import { ShapingSchema } from '../../../contract/firing';
import { GlassInputSchema } from '../../../contract/glass';
import { figure, oneOf, quantity } from '../../../contract/quantity';
import { PLANS } from '../../../form/surface';
import { GLASS } from '../../samples';

export const summary = 'The blank for a form: its size, what hangs over, room to the shelf, corrected by the last one';

const across = (name: string, least = 0.01) => quantity(name, 'm', least, 2);
const MeasuredSchema = z.strictObject({
  rim_m: across('Rim or top'),
  floor_m: across('Floor or foot', 0).optional(),
  tape_m: quantity('Tape', 'm', 0.01, 4).optional().meta({ description: 'Laid over the form from edge to edge; it stands in place of the floor' }),
});
const FormSchema = z
  .strictObject({
    plan: oneOf('Plan', PLANS),
    across: MeasuredSchema,
    along: MeasuredSchema.optional().meta({ description: 'The other way; of a lobed form where two lobes meet' }),
    depth_m: quantity('Depth', 'm', 0.001, 1),
    wall_m: quantity('Wall', 'm', 0.001, 2).optional(),
    lobes: quantity('Lobes', '', 2, 8).int({ error: 'Lobes are counted whole, from 2 to 8.' }).optional(),
  })
  .refine(({ plan, along }) => plan === 'round' || along !== undefined, { path: ['along'], error: 'Enter its width the other way, too.' })
  .refine(({ plan, lobes }) => plan !== 'lobed' || lobes !== undefined, { path: ['lobes'], error: 'Enter how many lobes it has.' });

const ended = (side: string) => quantity(`Over on ${side}`, 'm', -0.2, 0.2);
const cut = {
  glass: GlassInputSchema,
  thickness_m: thickness,
  form: FormSchema,
  last: z
    .strictObject({
      ...{ across_m: across('Last blank'), along_m: across('Last blank, the other way').optional() },
      over: z.strictObject({ door_m: ended('the door side'), back_m: ended('the back'), left_m: ended('the left'), right_m: ended('the right') }),
    })
    .optional()
    .meta({ description: 'What was cut last time, and how far its edge ended over on each side; negative: short' }),
};

export const request = z.discriminatedUnion('way', [
  z.strictObject({ way: z.literal('into'), ...cut, under_m: quantity('Edge under the rim', 'm', 0, DEEPEST_M) }),
  z.strictObject({ way: z.literal('over'), ...cut, hang_m: quantity('Hangs down', 'm', 0.001, 1).optional() }),
]);

const sizes = (description: string) => z.array(figure('m')).meta({ description });
export const answer = z.object({
  outline: FootprintSchema,
  sizes_m: sizes('Across, and along where it has two sizes'),
  summed_m: sizes('By the sum alone'),
  lies_m2: figure('m²', 'Of its middle where it ends up'),
  bend_m: figure('m', 'What bending over the edges of a former takes of each size'),
  mass_kg: figure('kg'),
  stands_m: sizes('Out over the rim or the former on each side; negative: within the rim'),
  bears_m: figure('m', 'This far out an edge of this thickness comes down by a millimetre in this firing'),
  rimEnds_m: figure('m', 'How far below the rim a blank of the size of the rim would end').nullable(),
  clearance_m: figure('m', 'From the lowest edge to the shelf').nullable(),
  spare: figure('', 'Share of its rim that hangs in folds').nullable(),
  shift: z
    .object({ fromDoor_m: figure('m'), fromLeft_m: figure('m'), left_m: figure('m', 'What stays off on the worst side') })
    .nullable()
    .meta({ description: 'To be laid so much further from the door, and from the left' }),
  shaping: ShapingSchema,
  section: z.array(z.object({ out_m: figure('m'), up_m: figure('m') })).meta({ description: 'Half of the form, cut through, from the middle out' }),
});

export const cases = {
  'Into a bowl': { way: 'into', glass: GLASS, thickness_m: 0.006, form: { plan: 'round', across: { rim_m: 0.3 }, depth_m: 0.05 }, under_m: 0.003 },
  'Into a dish, corrected by what was over on the door side': {
    ...{ way: 'into', glass: GLASS, thickness_m: 0.006, under_m: 0 },
    form: { plan: 'rectangle', across: { rim_m: 0.2, floor_m: 0.14 }, along: { rim_m: 0.3, floor_m: 0.24 }, depth_m: 0.03, wall_m: 0.044 },
    last: { across_m: 0.212, along_m: 0.312, over: { door_m: 0.009, back_m: 0, left_m: 0.001, right_m: 0 } },
  },
  'Into a flower of five lobes': {
    ...{ way: 'into', glass: GLASS, thickness_m: 0.006, under_m: 0 },
    form: { plan: 'lobed', lobes: 5, across: { rim_m: 0.28, floor_m: 0.1 }, along: { rim_m: 0.22 }, depth_m: 0.05 },
  },
  'Over a round former by a tape, in three lobes': {
    ...{ way: 'over', glass: GLASS, thickness_m: 0.006 },
    form: { plan: 'round', lobes: 3, across: { rim_m: 0.12, tape_m: 0.24 }, depth_m: 0.1 },
  },
} satisfies Record<string, z.input<typeof request>>;
