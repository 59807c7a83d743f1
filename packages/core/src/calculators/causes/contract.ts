import { z } from 'zod';
import { CAUSE_NAMES } from '../../causes/causes';
import { AskedFiringSchema } from '../../contract/firing';
import { PurposefulSegmentSchema, SEGMENTS_AT_MOST } from '../../contract/heat';
import { UnitsSchema, figure, oneOf, quantity } from '../../contract/quantity';
import { BUBBLE_SIZES, CRACK_COURSES, CRACK_EDGES, FLAW_NAMES } from '../../look/flaws';
import { FIRING, SEGMENTS } from '../samples';

export const summary = 'What may have caused a fault, in order, with figures of this firing for and against each';

const firings = (name: string) => quantity(name, '', 0, 10000).int(`${name} is a whole number.`);

export const request = z.strictObject({
  firing: AskedFiringSchema,
  segments: z
    .array(PurposefulSegmentSchema)
    .min(1, { error: 'A schedule needs at least one segment.' })
    .max(SEGMENTS_AT_MOST)
    .meta({ description: 'As they ran' }),
  faults: z
    .array(
      z.strictObject({
        flaw: oneOf('What was seen', FLAW_NAMES),
        size: oneOf('Size of the bubbles', BUBBLE_SIZES).optional(),
        edge: oneOf('Edges of the crack', CRACK_EDGES).optional(),
        course: oneOf('Course of the crack', CRACK_COURSES)
          .optional()
          .meta({ description: 'across the piece, along a join of two glasses, or where it lay against its form' }),
        middle: z.boolean().optional().meta({ description: 'Near the middle of the piece' }),
      }),
    )
    .min(1, { error: 'Tell at least one fault.' })
    .max(20),
  known: z
    .strictObject({
      opened_C: quantity('Opened at', '°C', 0, 1300).optional(),
      openedEarly_s: quantity('Opened early', 's', -1e7, 1e7)
        .optional()
        .meta({ description: 'Before it was calculated to be cold enough; negative: after that' }),
      coat: z.strictObject({ firings: firings('Firings on the coat'), most: firings('Firings it is good for') }).optional(),
      towardsHot: z.boolean().optional().meta({ description: 'The fault is on the side that faced the hot side of the kiln' }),
      tensionRead_Pa: quantity('Tension read', 'Pa', 0, 1e9).optional().meta({ description: 'On it, between crossed polarisers' }),
      blasted: z.boolean().optional().meta({ description: 'Blasted or ground before this firing' }),
    })
    .optional(),
  units: UnitsSchema.optional(),
});

export const answer = z.object({
  faults: z.array(
    z.object({
      flaw: z.enum(FLAW_NAMES),
      causes: z
        .array(
          z.object({
            cause: z.enum(CAUSE_NAMES),
            title: z.string(),
            share: figure('', 'How likely it is against the others: all together 1; unlikely ones are left out'),
            for: z.array(z.string()),
            against: z.array(z.string()),
            change: z.string(),
          }),
        )
        .meta({ description: 'The likeliest first' }),
    }),
  ),
});

export const cases = {
  'A crack with sharp edges, and large bubbles': {
    firing: FIRING,
    segments: SEGMENTS,
    faults: [
      { flaw: 'cracked', edge: 'sharp', course: 'across' },
      { flaw: 'bubble', size: 'large', middle: true },
    ],
    known: { opened_C: 140, openedEarly_s: 3600, coat: { firings: 4, most: 3 }, towardsHot: true, blasted: false },
    units: { temperature: 'F', length: 'in' },
  },
} satisfies Record<string, z.input<typeof request>>;
