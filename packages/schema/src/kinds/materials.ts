/** Materials of moulds and formers that do not ship: a clay, a castable, a board of the studio's own, by its maker's sheet or a test. */
import { FORM_MATERIALS, FORM_MATERIAL_NAMES } from '@torvin/core/form';
import { formatTemperature, text } from '@torvin/core/units';
import { MaterialChangeSchema, MaterialSchema } from '../records';
import { NAME, SOURCE, asOptions, plain, rate, temperature } from './fields';
import { kind } from './kind';
import { KIND_NAMES } from './names';

const LIKE = { optional: true, hint: 'left empty, as what it is most like' } as const;

export const materials = kind({
  ...KIND_NAMES.materials,
  caution:
    'Dust of plaster, silica, clay and fibre harms the lungs for good: respirator, wet wiping, no dry sweeping or sanding. Go by the maker’s safety sheet.',
  schema: MaterialSchema,
  change: MaterialChangeSchema,
  fields: [
    NAME,
    {
      ...{ as: 'choice', key: 'material', label: 'Most like', testID: 'material-like' },
      options: asOptions(FORM_MATERIAL_NAMES, (one) => FORM_MATERIALS[one].name),
    },
    plain('expansion_perK', 'Expansion, 10⁻⁶ per K', '', 1e6, { hint: 'mean from a room to where glass sets' }),
    temperature('top_C', 'Hottest it can go'),
    rate('pace_K_per_s', 'To be dried and warmed no faster than', { optional: true, hint: 'left empty, by what it is most like and its wall' }),
    temperature('paceTo_C', 'Up to', { optional: true, hint: 'up to there that rate counts' }),
    plain('conductivity_W_mK', 'Conductivity', 'W/(m·K)', 1, LIKE),
    plain('density_kg_m3', 'Density', 'kg/m³', 1, LIKE),
    plain('heatCapacity_J_kgK', 'Heat capacity', 'J/(kg·K)', 1, LIKE),
    { as: 'words', key: 'note', label: 'Note', testID: 'material-note', optional: true, long: true },
    SOURCE,
  ],
  begins: () => ({
    material: 'earthenware' as const,
    expansion_perK: FORM_MATERIALS.earthenware.expansion_perK,
    top_C: FORM_MATERIALS.earthenware.top_C,
    note: '',
  }),
  about: ({ material, top_C }, { units }) => `like ${FORM_MATERIALS[material].name.toLowerCase()}, to ${text(formatTemperature(top_C, units.temperature))}`,
  searched: ({ note }) => note,
});
