/** Strips that stand on edge. */
import { LENGTH } from '../../units/measure';
import type { Figures } from './declare';

export const strips = {
  sheet_m: {
    title: 'Sheet that strips are cut from',
    field: 'sheet',
    label: 'Sheet the strips are cut from, thick',
    name: 'The sheet',
    of: LENGTH,
    hint: 'the layer is as deep as the strips are wide',
    range: { least: 0.0005, most: 0.025 },
  },
} as const satisfies Figures<'strips'>;
