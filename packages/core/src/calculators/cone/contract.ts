import { z } from 'zod';
import { figure, oneOf, quantity } from '../../contract/quantity';
import { CONES } from '../../emptyFiring/cones';

export const summary = 'The cone that a last climb and hold come to, and where a cone bends at another rate';

const rate = quantity('Rate of the last hours', '°C/h', 1, 1000);
export const request = z.discriminatedUnion('of', [
  z.strictObject({
    of: z.literal('reached'),
    rate_C_per_h: rate,
    target_C: quantity('Target', '°C', 600, 1400),
    hold_s: quantity('Hold', 's', 0, 7 * 24 * 3600),
  }),
  z.strictObject({ of: z.literal('bends'), rate_C_per_h: rate, cone: oneOf('Cone', CONES) }),
]);
export const answer = z.object({
  cone: z.enum(CONES).meta({ description: 'The nearest, or the one that was asked for' }),
  equivalent_C: figure('°C', 'End of a climb at 60 °C/h that does as much'),
  bends_C: figure('°C', 'Where that cone bends at the rate asked for'),
});

export const cases = {
  'Up to 1000 °C by 100 °C an hour, a quarter of an hour there': { of: 'reached', rate_C_per_h: 100, target_C: 1000, hold_s: 900 },
  'Cone 04, slowly': { of: 'bends', rate_C_per_h: 30, cone: '04' },
} satisfies Record<string, z.input<typeof request>>;
