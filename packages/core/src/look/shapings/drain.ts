/** A grid or a pot that glass runs through. */
import { COUNT, LENGTH } from '../../units/measure';
import type { Figures } from './declare';

export const drain = {
  holes: {
    title: 'Number of holes',
    field: 'holes',
    label: 'Holes',
    hint: 'how many',
    name: 'The number of holes',
    of: COUNT,
    range: { least: 1, most: 10_000 },
  },
  hole_m: { title: 'Width of a hole', field: 'hole', label: 'A hole, across', name: 'The hole', of: LENGTH, range: { least: 0.002, most: 0.2 } },
  plate_m: {
    title: 'Thickness of the floor with the holes',
    field: 'floor',
    label: 'Floor with the holes, thick',
    name: 'The floor',
    of: LENGTH,
    range: { least: 0.001, most: 0.1 },
  },
  collects_m: {
    title: 'Width of the ring or dam below',
    field: 'collects',
    label: 'Ring or dam below, across',
    name: 'What it runs into',
    of: LENGTH,
    hint: 'left out where it runs onto the open shelf',
    range: { least: 0.02, most: 2 },
    optional: true,
  },
} as const satisfies Figures<'drain'>;
