import { z } from 'zod';
import { GlassInputSchema } from '../../../contract/glass';
import { UnitsSchema, figure, quantity, words } from '../../../contract/quantity';
import { WRITTEN_AS } from '../../../quantity/written';
import { CONES } from '../../../emptyFiring/cones';
import { GLASS } from '../../samples';

export const summary = 'What was written, read as all that it can mean; the same heat work at another temperature, for another hold, in another kiln';

const kiln = {
  up_C_per_h: quantity('Climb near the temperature', '°C/h', 1, 5000),
  down_C_per_h: quantity('Way down', '°C/h', 1, 5000),
  readsOver_K: quantity('Reads over the glass', 'K', -100, 100),
};
const at_C = quantity('Temperature', '°C', 300, 1700);
const hold_s = quantity('Hold', 's', 0, 7 * 24 * 3600);

export const request = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('written'), text: words('What was written', 80, 1), units: UnitsSchema }),
  z.strictObject({
    ...{ kind: z.literal('sameWork'), glass: GlassInputSchema, from: z.strictObject({ ...kiln, at_C, hold_s }) },
    to: z.discriminatedUnion('find', [
      z.strictObject({ ...kiln, find: z.literal('hold'), at_C }),
      z.strictObject({ ...kiln, find: z.literal('temperature'), hold_s }),
    ]),
  }),
]);

export const answer = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('written'),
    readings: z
      .array(
        z.union([
          z.object({
            as: z.enum(WRITTEN_AS),
            value: z.number().meta({ 'x-unit': 'as unit says' }),
            unit: z.string(),
            units: UnitsSchema.meta({ description: 'That it was read in' }),
          }),
          z.object({ as: z.literal('cone'), cone: z.enum(CONES) }),
        ]),
      )
      .meta({ description: 'The likeliest first' }),
  }),
  z.object({
    kind: z.literal('sameWork'),
    ...{ work_perPa: figure('1/Pa'), at_C: figure('°C', 'As its kiln is to read'), hold_s: figure('s') },
    ...{ rampsWere_s: figure('s', 'What climb and way down were worth as a hold'), rampsAre_s: figure('s') },
    ...{ longer: figure('', 'What a hold alone is longer by'), tenMore: figure('', 'What ten degrees more leave of a hold') },
    share: figure('', 'Work that it gets over the work that was asked for'),
  }),
]);

const here = { up_C_per_h: 200, down_C_per_h: 600, readsOver_K: 0 };
export const cases = {
  'Degrees Fahrenheit': { kind: 'written', text: '1450 F', units: {} },
  'A bare number': { kind: 'written', text: '90', units: { temperature: 'F', length: 'in', mass: 'oz' } },
  'Ten degrees cooler': { kind: 'sameWork', glass: GLASS, from: { ...here, at_C: 790, hold_s: 600 }, to: { ...here, find: 'hold', at_C: 780 } },
  'Half an hour, in a kiln that reads 12 over and climbs slowly': {
    ...{ kind: 'sameWork', glass: GLASS, from: { ...here, at_C: 790, hold_s: 600 } },
    to: { up_C_per_h: 80, down_C_per_h: 300, readsOver_K: 12, find: 'temperature', hold_s: 1800 },
  },
} satisfies Record<string, z.input<typeof request>>;
