import { z } from 'zod';
import { figure, quantity } from '../../contract/quantity';
import { fittedKiln } from '../../contract/results';
import { celsius, readingsOf } from '../../contract/readings';

export const summary = "A kiln's constants from a test";

export const request = z.strictObject({
  readings: readingsOf({ kiln_C: celsius, power: quantity('Power', '', 0, 1) }),
  ambient_C: quantity('Room temperature', '°C', -20, 50),
});

export const answer = z.object({
  constants: z.object(fittedKiln),
  misfit_K: figure('K'),
  remark: z.string().nullable(),
});

export const cases = {
  'Full power, then off': {
    readings: Array.from({ length: 20 }, (_, i) => ({ t_s: i * 600, kiln_C: i < 10 ? 20 + i * 70 : 650 * 0.9 ** (i - 9), power: i < 10 ? 1 : 0 })),
    ambient_C: 20,
  },
} satisfies Record<string, z.input<typeof request>>;
