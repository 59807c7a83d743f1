/** Readings in their order, as thermocouples and notebooks give them. */
import { z } from 'zod';
import { quantity } from './quantity';

export const celsius = quantity('Temperature', '°C', -20, 1700);
const time_s = quantity('Time', 's', 0, 60 * 24 * 3600);
const rising = (list: { t_s: number }[]): boolean => list.every((one, i) => i === 0 || one.t_s > list[i - 1].t_s);

/** Readings of these figures, each with its time. */
export const readingsOf = <T extends z.ZodRawShape>(figures: T) =>
  z
    .array(z.strictObject({ t_s: time_s, ...figures }))
    .max(3000, { error: 'At most 3000 readings.' })
    .refine((list) => rising(list as { t_s: number }[]), { error: 'Readings must be in time order.' });
