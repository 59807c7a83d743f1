/** What glass is cast into: open at the top, round a core, or filled from a reservoir above it. */
import { LENGTH, WATER } from '../../units/measure';
import type { Figures } from './declare';

/** Of plaster and silica, by hand. */
export const USUAL_WALL_M = 0.025;

const sections = {
  thick_m: {
    title: 'Thickest section',
    field: 'thick',
    label: 'Thickest section of glass',
    name: 'The thickest section',
    of: LENGTH,
    range: { least: 0.002, most: 0.3 },
  },
  thin_m: {
    title: 'Thinnest section',
    field: 'thin',
    label: 'Thinnest section of glass',
    name: 'The thinnest section',
    of: LENGTH,
    range: { least: 0.001, most: 0.3 },
  },
  wall_m: {
    title: 'Wall of the mould',
    field: 'wall',
    label: 'Wall of the mould, thick',
    name: 'The wall',
    of: LENGTH,
    range: { least: 0.002, most: 0.2 },
    usual: () => USUAL_WALL_M,
  },
} as const;
const fills = {
  water_kg: {
    title: 'Water that fills it',
    field: 'water',
    label: 'Water that fills the mould',
    hint: 'weighed or measured; may be left out',
    name: 'The water',
    of: WATER,
    range: { least: 0.0005, most: 500 },
    optional: true,
  },
  detail_m: {
    title: 'Finest detail',
    field: 'detail',
    label: 'Finest detail, radius',
    hint: 'may be left out',
    name: 'The detail',
    of: LENGTH,
    range: { least: 0.00005, most: 0.05 },
    optional: true,
  },
} as const;

export const cavity = { ...sections, ...fills } as const satisfies Figures<'cavity'>;

export const core = {
  ...sections,
  core_m: {
    title: 'Thickness of the core',
    field: 'core',
    label: 'Core, thick',
    hint: 'from the glass to its hollow or its middle',
    name: 'The core',
    of: LENGTH,
    range: { least: 0.002, most: 0.2 },
  },
  ...fills,
} as const satisfies Figures<'core'>;

export const reservoir = {
  ...sections,
  hole_m: {
    title: 'Width of the hole',
    field: 'sprue',
    label: 'Hole under the reservoir, across',
    name: 'The hole',
    of: LENGTH,
    hint: 'the outline of the piece is the reservoir’s',
    range: { least: 0.002, most: 0.2 },
  },
  plate_m: {
    title: 'Length of the hole',
    field: 'neck',
    label: 'The hole, long',
    hint: 'from reservoir to mould',
    name: 'Its length',
    of: LENGTH,
    range: { least: 0.001, most: 0.1 },
  },
  ...fills,
} as const satisfies Figures<'reservoir'>;
