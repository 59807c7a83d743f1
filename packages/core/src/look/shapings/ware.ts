/** What is fired itself, with no glass. */
import { LENGTH } from '../../units/measure';
import type { Figures } from './declare';

const SIDE_M = { least: 0.02, most: 2 };

export const emptyItem = {
  wall_m: {
    title: 'Wall',
    field: 'ware',
    label: 'Thick',
    hint: 'of a mould its thickest wall',
    name: 'The wall',
    of: LENGTH,
    range: { least: 0.0005, most: 0.2 },
  },
  wide_m: { title: 'Width', field: 'wide', label: 'Wide', name: 'The width', of: LENGTH, range: SIDE_M },
  long_m: { title: 'Length', field: 'long', label: 'Long', name: 'The length', of: LENGTH, range: SIDE_M },
} as const satisfies Figures<'ware'>;
