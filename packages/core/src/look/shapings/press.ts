/** A plate that comes down on spacers. */
import { LENGTH, MASS } from '../../units/measure';
import type { Figures } from './declare';

export const press = {
  spacer_m: {
    title: 'Height of the spacers',
    field: 'spacer',
    label: 'Spacers, high',
    hint: 'as deep as it is to end',
    name: 'The spacer',
    of: LENGTH,
    range: { least: 0.001, most: 0.1 },
  },
  plate_kg: {
    title: 'Weight of the plate',
    field: 'weight',
    label: 'Plate, weighs',
    hint: 'all that lies on the glass',
    name: 'The plate',
    of: MASS,
    range: { least: 0.05, most: 100 },
  },
  plate_m: { title: 'Thickness of the plate', field: 'plate', label: 'Plate, thick', name: 'The plate', of: LENGTH, range: { least: 0.001, most: 0.1 } },
} as const satisfies Figures<'press'>;
