/** All records together, as the pages and the engine's cases are made from them. */
import { StudioLimitsSchema } from '@torvin/core/contract';
import { z } from 'zod';
import { KINDS } from './all';
import type { KindName } from './names';

export const ShelvesSchema = z
  .object({
    ...(Object.fromEntries(Object.entries(KINDS).map(([name, { schema }]) => [name, z.array(schema)])) as {
      [K in KindName]: z.ZodArray<(typeof KINDS)[K]['schema']>;
    }),
    /** Ids of records that are put away: kept for what was made with them, not offered any more. */
    archived: z.array(z.string()),
    /** Those that the studio has set; left out where all are as they ship. */
    limits: StudioLimitsSchema.optional(),
  })
  .meta({ id: 'Shelves' });
export type Shelves = z.infer<typeof ShelvesSchema>;
