import { type LayerKind, depth, depthOf } from './layer';

export const sheet = {
  name: 'Sheet',
  fields: { thickness_m: depth },
  usual: (before) => ({ thickness_m: depthOf(before) }),
  inBody: ({ thickness_m, coated }, glass) => ({ form: 'sheet', glass, thickness_m, ...(coated ? { coated } : {}) }),
  caution: 'Cutting: eye protection, closed shoes, and sweep with a wet cloth. Cut and grind wet, the plug out of reach of the water.',
} as const satisfies LayerKind<'sheet'>;
