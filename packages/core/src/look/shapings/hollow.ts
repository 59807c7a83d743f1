/** What glass sinks into. */
import { sidesOf } from '../../body/footprint';
import { COUNT, LENGTH } from '../../units/measure';
import type { Figures } from './declare';

/** A mould that a blank was cut for is usually so much narrower. */
const WITHIN_BLANK = 0.95;
const ACROSS_M = { least: 0.01, most: 2 };

export const hollow = {
  span_m: {
    title: 'Span',
    field: 'span',
    label: 'Mould, inside across',
    hint: 'rim to rim',
    name: 'The mould',
    of: LENGTH,
    range: ACROSS_M,
    usual: (footprint) => WITHIN_BLANK * sidesOf(footprint)[0],
  },
  along_m: {
    title: 'Span the other way',
    field: 'along',
    label: 'Mould, inside the other way',
    hint: 'rim to rim',
    name: 'The mould, the other way',
    of: LENGTH,
    range: ACROSS_M,
    optional: true,
    ofPlan: (plan) => plan !== 'round',
    usual: (footprint) => WITHIN_BLANK * sidesOf(footprint)[1],
  },
  lobes: {
    title: 'Number of lobes',
    field: 'lobes',
    label: 'Corners or lobes',
    hint: 'how many',
    name: 'The number of lobes',
    of: COUNT,
    range: { least: 2, most: 12 },
    optional: true,
    ofPlan: (plan) => plan === 'lobed',
  },
  depth_m: { title: 'Depth of the mould', field: 'depth', label: 'Mould, deep', name: 'Its depth', of: LENGTH, range: { least: 0.001, most: 0.5 } },
} as const satisfies Figures<'hollow'>;
