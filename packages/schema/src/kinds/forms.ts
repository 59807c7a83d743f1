/** Moulds, formers and dams as they are written down: by the few measures that people take, each asked for where it makes sense. */
import { BOTTOMS, type Bottom, FORM_MATERIALS, FORM_MATERIAL_NAMES, FORM_USES, type FormUse, PLANS, type Plan } from '@torvin/core/form';
import { formatLength, text } from '@torvin/core/units';
import { FormChangeSchema, FormSchema, LETTERINGS, RELIEFS } from '../records';
import { type Entry, type Field, NAME, SOURCE, asOptions, length, mass, plain, rate, temperature, water } from './fields';
import { kind } from './kind';
import { KIND_NAMES } from './names';

export const FORM_USE_NAMES: Record<FormUse, string> = {
  hollow: 'Mould to sink into',
  former: 'Former to hang over',
  dam: 'Ring or box dam',
  texture: 'Texture plate',
  cavity: 'Cavity to cast into',
  grid: 'Grid or pot to drip through',
  shelf: 'Kiln shelf',
};
export const PLAN_NAMES: Record<Plan, string> = { round: 'Round', oval: 'Oval', rectangle: 'Square or oblong', trough: 'Bent one way', lobed: 'Fluted' };
const BOTTOM_NAMES: Record<Bottom, string> = { closed: 'One with it', loose: 'Lies loose in it', open: 'None' };
const RELIEF_NAMES = { raised: 'Stands up', sunk: 'Lies deep' } as const;
const LETTERING_NAMES = { none: 'No letters', plain: 'Read as written', mirrored: 'Read mirrored' } as const;

const is =
  (...uses: readonly FormUse[]) =>
  ({ use }: Entry): boolean =>
    uses.some((one) => one === use);
const hollow = is('hollow', 'cavity');
const hasFloor = is('hollow', 'cavity', 'former');
const hasTwo = ({ plan }: Entry): boolean => plan !== 'round';
const byUse =
  (names: Partial<Record<FormUse, string>>, usual: string) =>
  ({ use }: Entry): string =>
    names[use as FormUse] ?? usual;

const MORE = { optional: true, folded: 'shape', hint: 'left empty where it was not measured' } as const;
const SIDE = { ...MORE, hint: 'from the lowest place to the rim; all four sides, or none', when: hollow } as const;
const WEARS = { optional: true, folded: 'wears' } as const;
const OWN = { optional: true, folded: 'constants', hint: 'left empty, that of its material is taken' } as const;

const fields: Field[] = [
  NAME,
  { as: 'choice', key: 'use', label: 'What it does', options: asOptions(FORM_USES, (one) => FORM_USE_NAMES[one]), testID: 'form-use' },
  { as: 'choice', key: 'plan', label: 'Seen from above', options: asOptions(PLANS, (one) => PLAN_NAMES[one]), testID: 'form-plan' },
  length('across_m', 'Across', {
    called: byUse(
      {
        hollow: 'Rim, inside across',
        former: 'Top, across',
        dam: 'Inside, across',
        texture: 'Plate, across',
        cavity: 'Opening, across',
        shelf: 'Shelf, across',
      },
      'Inside, across',
    ),
  }),
  length('along_m', 'The other way', {
    ...{ optional: true, when: hasTwo },
    called: ({ plan }) => (plan === 'lobed' ? 'The same, where two lobes meet' : plan === 'trough' ? 'Long' : 'The other way'),
  }),
  plain('lobes', 'Lobes', '', 1, { optional: true, when: ({ plan }) => plan === 'lobed', hint: 'how many all round' }),
  length('deep_m', 'Deep', {
    when: ({ use }) => use !== 'shelf',
    called: byUse({ former: 'High', dam: 'High', texture: 'Relief, deep', grid: 'Walls over the floor, high' }, 'Deep, rim to floor'),
  }),
  length('floor_m', 'Floor or foot, across', {
    ...{ optional: true, when: hasFloor, hint: 'left empty: a bowl all through, or upright sides' },
    called: byUse({ former: 'Foot, across' }, 'Floor, across'),
  }),
  length('floorAlong_m', 'Floor or foot, the other way', {
    ...{ optional: true, hint: 'left empty: in proportion' },
    when: (entry) => hasFloor(entry) && (entry.plan === 'oval' || entry.plan === 'rectangle'),
    called: byUse({ former: 'Foot, the other way' }, 'Floor, the other way'),
  }),
  plain('holes', 'Holes', '', 1, { optional: true, when: is('grid') }),
  length('hole_m', 'A hole, across', { optional: true, when: is('grid') }),
  length('thickest_m', 'Thickest section of glass', { optional: true, when: is('cavity') }),
  length('thinnest_m', 'Thinnest section of glass', { optional: true, when: is('cavity') }),
  length('core_m', 'Core, thick', { optional: true, when: is('cavity'), hint: 'from the glass to its middle; left empty where it has none' }),
  water('water_kg', 'Water that fills it', { optional: true, when: is('cavity'), hint: 'weighed or measured, 640 ml; left empty: by its measures' }),
  length('detail_m', 'Finest detail, radius', { optional: true, when: is('cavity'), hint: 'may be left empty' }),
  {
    as: 'choice',
    key: 'relief',
    label: 'Its pattern',
    options: asOptions(RELIEFS, (one) => RELIEF_NAMES[one]),
    testID: 'form-relief',
    usual: 'raised',
    when: is('texture'),
  },
  {
    ...{ as: 'choice', key: 'lettering', label: 'Letters on it, looked at', options: asOptions(LETTERINGS, (one) => LETTERING_NAMES[one]) },
    ...{ testID: 'form-lettering', usual: 'none', when: is('texture') },
  },
  {
    ...{ as: 'choice', key: 'material', label: 'Made of', testID: 'form-material' },
    options: asOptions(FORM_MATERIAL_NAMES, (one) => FORM_MATERIALS[one].name),
  },
  length('thick_m', 'Wall, thick', { called: byUse({ texture: 'Plate, thick', shelf: 'Shelf, thick', grid: 'Floor with the holes, thick' }, 'Wall, thick') }),
  {
    as: 'choice',
    key: 'bottom',
    label: 'Its floor',
    options: asOptions(BOTTOMS, (one) => BOTTOM_NAMES[one]),
    testID: 'form-bottom',
    usual: 'closed',
    when: is('hollow'),
  },
  length('liner_m', 'Liner inside, thick', {
    ...{ optional: true, when: is('hollow', 'dam', 'former'), hint: 'paper or blanket; left empty where there is none' },
    called: byUse({ former: 'Paper over it, thick' }, 'Liner inside, thick'),
  }),
  plain('vents', 'Vent holes', '', 1, { optional: true, when: is('hollow', 'former'), hint: 'air leaves by them; 0 where there are none' }),
  plain('count', 'How many there are'),
  { as: 'words', key: 'mark', label: 'Mark on it', testID: 'form-mark', optional: true, hint: 'which way it stands in the kiln: a notch to the door' },
  {
    ...{ as: 'yes', key: 'once', label: 'After its firing', title: 'broken, dug or soaked away', testID: 'form-once', optional: true },
    when: is('hollow', 'former', 'cavity'),
  },
  { as: 'pictures', key: 'photos', label: 'Pictures', testID: 'form-photos', optional: true },
  { as: 'yes', key: 'damaged', label: 'Its state', title: 'chipped, cracked or mended', testID: 'form-damaged' },
  { as: 'words', key: 'note', label: 'Note', testID: 'form-note', optional: true, long: true },
  SOURCE,
  plain('lean_deg', 'Walls lean out, off upright', '°', 1, { ...MORE, when: hollow, hint: 'of straight walls, in place of the floor' }),
  length('foot_m', 'Turn from floor to wall, radius', { ...MORE, when: hollow, hint: 'the floor ends where it begins' }),
  length('wall_m', 'Along the wall, floor to rim', { ...MORE, when: hollow, hint: 'by a tape, where the wall is bent' }),
  {
    ...{ as: 'points', key: 'points_m', label: 'Its section by points, out:up', testID: 'form-points', optional: true, folded: 'shape', when: hasFloor },
    hint: 'from the middle outwards, between them a ; such as 0:0; 60:0; 90:12. A mould’s end at its rim and stand before floor, depth and wall; a former’s begin on its top and end at its foot: 0:90; 60:80; 70:0',
  },
  {
    ...{ as: 'record', key: 'materialId', label: 'Of a material of your own', of: 'materials', testID: 'form-own-material', optional: true },
    folded: 'constants',
  },
  plain('lasts', 'Firings it lasts', '', 1, { ...WEARS, hint: 'of such a one, before it cracks or crumbles; left empty where nobody knows' }),
  mass('new_kg', 'Weighed new', { ...WEARS, hint: 'dry, before its first firing' }),
  mass('now_kg', 'Weighed last', { ...WEARS, hint: 'dry; what has become lighter is weaker' }),
  length('left_m', 'To the left', SIDE),
  length('right_m', 'To the right', SIDE),
  length('door_m', 'To the door', SIDE),
  length('back_m', 'To the back', SIDE),
  {
    ...{
      as: 'yes',
      key: 'undercut',
      label: 'Undercut',
      title: 'wider below than at its rim, and meant so',
      testID: 'form-undercut',
      optional: true,
      folded: 'shape',
    },
    when: is('hollow', 'cavity', 'former'),
  },
  plain('expansion_perK', 'Expansion', '10⁻⁶/K', 1e6, OWN),
  plain('conductivity_W_mK', 'Conductivity', 'W/(m·K)', 1, OWN),
  plain('density_kg_m3', 'Density', 'kg/m³', 1, OWN),
  plain('heatCapacity_J_kgK', 'Heat capacity', 'J/(kg·K)', 1, OWN),
  temperature('top_C', 'Hottest it can go', OWN),
  rate('pace_K_per_s', 'To be warmed no faster than', OWN),
  temperature('paceTo_C', 'Up to', { ...OWN, hint: 'up to there that rate counts' }),
];

export const forms = kind({
  ...KIND_NAMES.forms,
  caution:
    'Dust of plaster, silica, clay and fibre harms the lungs for good: respirator, wet wiping, no dry sweeping or sanding. A steel edge cuts, and scale flies off hot: glasses and gloves.',
  schema: FormSchema,
  change: FormChangeSchema,
  fields,
  begins: () => ({
    ...{ use: 'hollow' as const, plan: 'round' as const, across_m: 0.3, deep_m: 0.05, thick_m: 0.01, material: 'earthenware' as const },
    ...{ count: 1, damaged: false, note: '' },
  }),
  about({ use, plan, across_m, along_m, deep_m, material, materialId, count, damaged }, { units, nameOf }) {
    const long = (metres: number): string => text(formatLength(metres, units.length));
    const size = along_m === undefined ? `${long(across_m)} across` : `${formatLength(across_m, units.length).figure} × ${long(along_m)}`;
    const deep = use === 'former' || use === 'dam' || use === 'grid' ? 'high' : 'deep';
    return [
      `${FORM_USE_NAMES[use]}, ${PLAN_NAMES[plan].toLowerCase()}`,
      deep_m > 0 ? `${size}, ${long(deep_m)} ${deep}` : size,
      materialId === undefined ? FORM_MATERIALS[material].name.toLowerCase() : nameOf('materials', materialId),
      ...(count > 1 ? [`${count} of them`] : []),
      ...(damaged ? ['damaged'] : []),
    ].join(' · ');
  },
  searched: ({ note, mark = '' }) => `${note} ${mark}`,
  names: ({ materialId }) => (materialId === undefined ? [] : [{ kind: 'materials', id: materialId, path: 'materialId' }]),
});
