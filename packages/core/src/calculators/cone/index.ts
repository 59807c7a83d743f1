import type { z } from 'zod';
import { coneAfter, coneAt, coneBends, coneBendsAt } from '../../emptyFiring/cones';
import { calculator } from '../calculator';
import type { request } from './contract';

/** Cones by temperature, rate of the last hours and hold. */
export const cone = calculator({
  compute(asked: z.output<typeof request>) {
    const equivalent_C = asked.of === 'reached' ? coneAfter(asked.target_C, asked.rate_C_per_h, asked.hold_s) : coneBends(asked.cone);
    const named = asked.of === 'reached' ? coneAt(equivalent_C) : asked.cone;
    return { cone: named, equivalent_C, bends_C: coneBendsAt(named, asked.rate_C_per_h) };
  },
  contract: () => import('./contract'),
  light: true,
});
