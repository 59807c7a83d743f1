import { z } from 'zod';
import { figure, quantity } from '../../contract/quantity';
import { celsius, readingsOf } from '../../contract/readings';

export const summary = 'What two thermocouples at the glass say of set-up and speed';

export const request = z.strictObject({ readings: readingsOf({ first_C: celsius, second_C: celsius }), limit_K: quantity('Limit', 'K', 0.1, 100) });

export const answer = z.object({
  lopsided_K: figure('K'),
  settles_s: figure('s'),
  lag_s: figure('s'),
  misfit_K: figure('K'),
  rateWithin_C_per_h: figure('°C/h').nullable(),
  advice: z.enum(['mend-the-set-up', 'slow-down', 'even']),
});

export const cases = {
  'Two couples, falling': {
    readings: Array.from({ length: 12 }, (_, i) => ({ t_s: i * 600, first_C: 515 - i * 4, second_C: 512 - i * 4 })),
    limit_K: 5,
  },
} satisfies Record<string, z.input<typeof request>>;
