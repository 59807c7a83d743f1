import { type LayerKind, cover, coverBefore, depth, depthOf, number } from './layer';

export const PIECES_AT_MOST = 500;

export const pieces = {
  name: 'Cut pieces',
  fields: { thickness_m: depth, cover, count: { ...number('Number of pieces', 'The number of pieces', PIECES_AT_MOST), asks: cover.asks } },
  usual: (before) => ({ thickness_m: depthOf(before), cover: 0.25, count: 4, ...coverBefore(before) }),
  inBody: ({ thickness_m, cover: share }, glass) => ({ form: 'sheet', glass, thickness_m, cover: share }),
  sunkIn({ cover: share, count: _count, form: _form, placed, sunk: _sunk, thickness_m, ...rest }) {
    return { ...rest, form: 'sheet', thickness_m: thickness_m * share, ...(placed ? { inlaid: placed } : {}) };
  },
  caution: 'Cutting and grinding small pieces: eye protection, grind wet, fingers away from the bit, water and electricity apart.',
} as const satisfies LayerKind<'pieces'>;
