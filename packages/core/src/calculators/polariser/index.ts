import type { z } from 'zod';
import { edgeOn, lookedThrough } from '../../stress/polariser';
import { calculator } from '../calculator';
import type { request } from './contract';

/** Retardation between crossed polarisers. */
export const polariser = calculator({
  compute: (asked: z.output<typeof request>) => ({
    retardation_nm:
      asked.view === 'through'
        ? [lookedThrough(asked.glass, asked.layers)]
        : edgeOn(asked.glass, asked.residual, asked.path_m).map(({ retardation_nm }) => retardation_nm),
  }),
  contract: () => import('./contract'),
  light: true,
});
