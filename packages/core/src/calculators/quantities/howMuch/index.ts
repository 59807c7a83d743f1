import type { z } from 'zod';
import { valueOf } from '../../../problem';
import { howMuch as reckoned } from '../../../quantity/howMuch';
import { calculator } from '../../calculator';
import type { request } from './contract';

/** How much glass cavities take. */
export const howMuch = calculator({
  compute: (asked: z.output<typeof request>) => valueOf(reckoned(asked)),
  contract: () => import('./contract'),
  light: true,
});
