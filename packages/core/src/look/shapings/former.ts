/** What glass hangs over. */
import { LENGTH } from '../../units/measure';
import type { Figures } from './declare';

export const former = {
  overhang_m: {
    title: 'Overhang',
    field: 'overhang',
    label: 'Stands out over the former',
    hint: 'each side',
    name: 'The overhang',
    of: LENGTH,
    range: { least: 0.005, most: 1 },
  },
  drop_m: { title: 'Drop of the edge', field: 'drop', label: 'Edge is to come down', name: 'The drop', of: LENGTH, range: { least: 0.001, most: 1 } },
  former_m: {
    title: 'Diameter of the former',
    field: 'former',
    label: 'Former, across',
    hint: 'for a disc; may be left out',
    name: 'The former',
    of: LENGTH,
    range: { least: 0.01, most: 2 },
    optional: true,
  },
} as const satisfies Figures<'former'>;
