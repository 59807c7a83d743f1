import { z } from 'zod';
import { GlassInputSchema } from '../../contract/glass';
import { count, oneOf, quantity } from '../../contract/quantity';
import { LADDER_FACTORS, NOT_COUNTED } from '../../learn/ladder';
import { GLASS } from '../samples';

export const summary = 'The next trial of a series that finds where a result changes from short to past';

/** °C, s, m, kg/m², m, by what the trials differ in. */
const AS_SAID = 'as unit says';
const value = (title: string) => quantity(title, '', 1e-6, 1e6).meta({ 'x-unit': AS_SAID });

export const request = z.strictObject({
  glass: GlassInputSchema,
  factor: oneOf('What the trials differ in', LADDER_FACTORS).meta({
    description: 'temperature in °C, hold in s, thickness and height in m, amount of grains in kg/m²',
  }),
  from: value('The end that falls short'),
  to: value('The end that goes too far'),
  trials: z
    .array(
      z.strictObject({
        value: value('Value of the trial'),
        outcome: oneOf('Outcome', ['short', 'right', 'past']),
        refired: z.boolean().optional().meta({ description: 'Fired before, or of another size: it is not counted' }),
        alsoChanged: z.boolean().optional().meta({ description: 'Something else was changed with it: it is not counted' }),
      }),
    )
    .max(50)
    .default([]),
  exact: z.boolean().default(false).meta({ description: 'Outcomes are measured: the interval is halved. Else they are judged by eye' }),
});

const told = z.number().meta({ 'x-unit': AS_SAID });
export const answer = z.object({
  unit: z.string().meta({ description: 'What all values are in, by what the trials differ in' }),
  next: told.nullable().meta({ description: 'Of the next trial; null once the range is as narrow as it need be: 5 °C, or 5 %' }),
  at: told.meta({ description: 'The likeliest place' }),
  range: z.tuple([told, told]).meta({ description: 'Between these it lies: with 90 %, or for certain where outcomes are exact' }),
  counted: count('Trials that count'),
  leftOut: z.array(z.object({ trial: count('Its place in the list, from 0'), why: z.enum(NOT_COUNTED) })),
});

export const cases = {
  'Slump temperature, three trials by eye': {
    glass: GLASS,
    factor: 'temperature',
    from: 600,
    to: 700,
    trials: [
      { value: 650, outcome: 'past' },
      { value: 628, outcome: 'short' },
      { value: 640, outcome: 'past', refired: true },
    ],
  },
  'Hold, measured': { glass: GLASS, factor: 'hold', from: 300, to: 2400, trials: [{ value: 850, outcome: 'short' }], exact: true },
} satisfies Record<string, z.input<typeof request>>;
