import { LENGTH } from '../../units/measure';
import { type LayerKind, MILLIMETRE_M, depth, depthOf } from './layer';

export const cap = {
  name: 'Cap',
  fields: {
    thickness_m: depth,
    overhang_m: {
      title: 'Overhang',
      of: LENGTH,
      label: 'over',
      name: 'The overhang',
      testID: 'layer-overhang',
      range: { least: 0, most: 0.05 },
      optional: true,
      usual: 0,
      step: MILLIMETRE_M,
    },
  },
  usual: (before) => ({ thickness_m: depthOf(before) }),
  inBody: ({ thickness_m, overhang_m }, glass) => ({ form: 'cap', glass, thickness_m, ...(overhang_m === undefined ? {} : { overhang_m }) }),
  caution: 'Cutting: eye protection. A cap that stands over has sharp corners until it is fired.',
} as const satisfies LayerKind<'cap'>;
