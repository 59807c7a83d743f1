/** How a firing came out. */
import { oneOf } from '@torvin/core/contract';
import type { z } from 'zod';

export const ResultSchema = oneOf('Result', ['short', 'right', 'past']);
export type FiringResult = z.infer<typeof ResultSchema>;
