import { z } from 'zod';
import { figure, oneOf, quantity } from '../../contract/quantity';
import { fittedKiln } from '../../contract/results';

export const summary = "A kiln's constants from how long it climbs and falls";

const temperature = (title: string) => quantity(title, '°C', -20, 1700);
const seconds = quantity('Time', 's', 1, 7 * 24 * 3600);

export const request = z.strictObject({
  ambient_C: quantity('Room temperature', '°C', -20, 50),
  climbs: z
    .array(z.strictObject({ to_C: temperature('Climbs to'), seconds }))
    .min(1, { error: 'Say how long it climbs from cold to one temperature at least.' })
    .max(12, { error: 'At most 12 climbs.' })
    .meta({ description: 'From the room to each temperature at full power' }),
  fall: z.strictObject({ from_C: temperature('Falls from'), to_C: temperature('Falls to'), seconds }).meta({ description: 'Closed and switched off' }),
  tail: z
    .strictObject({ from_C: temperature('Falls on from'), to_C: temperature('Falls on to'), seconds })
    .optional()
    .meta({ description: 'And further down: with it, a wall that stores heat can be found' }),
  apart: z
    .strictObject({ difference_K: quantity('Difference of two places', 'K', 0, 300), at_C: temperature('Seen at') })
    .optional()
    .meta({ description: 'Between two places 300 mm apart, while it climbs at full power past a temperature' }),
  unit: oneOf('Temperature unit', ['C', 'F']).default('C'),
});

export const answer = z.object({
  constants: z.object({
    ...fittedKiln,
    acrossLag_s_per_300mm: figure('s').optional(),
  }),
  misfit: figure('', 'The greatest share by which a told time is missed'),
  remark: z.string().nullable(),
});

export const cases = {
  'Three climbs and two places': {
    ambient_C: 20,
    climbs: [
      { to_C: 500, seconds: 2700 },
      { to_C: 800, seconds: 5400 },
      { to_C: 1000, seconds: 8400 },
    ],
    fall: { from_C: 500, to_C: 300, seconds: 7200 },
    tail: { from_C: 300, to_C: 100, seconds: 20000 },
    apart: { difference_K: 15, at_C: 500 },
  },
  'One climb': { ambient_C: 20, climbs: [{ to_C: 500, seconds: 2700 }], fall: { from_C: 500, to_C: 300, seconds: 7200 }, unit: 'F' },
} satisfies Record<string, z.input<typeof request>>;
