/** Segments side by side in a ring. */
import { LENGTH } from '../../units/measure';
import type { Figures } from './declare';

export const ring = {
  gap_m: {
    title: 'Gap between segments',
    field: 'gap',
    label: 'Gaps between the segments',
    hint: 'the widest',
    name: 'The gap',
    of: LENGTH,
    range: { least: 0.0002, most: 0.05 },
  },
} as const satisfies Figures<'ring'>;
