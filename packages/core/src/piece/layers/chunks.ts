import { LENGTH } from '../../units/measure';
import { withGaps } from '../lumps';
import { type LaidAs, type LayerKind, coverBefore, maybeCover, strewn } from './layer';

const NAME = 'Chunks';
const lump = { of: LENGTH, name: 'A lump' } as const;

export const chunks = {
  name: NAME,
  fields: {
    perArea_kg_m2: strewn,
    thick_m: {
      ...{ ...lump, title: 'Thickness of a lump', label: 'one is thick', testID: 'layer-thick', range: { least: 0.002, most: 0.3 } },
      brings: ({ wide_m }: LaidAs<'chunks'>, thick_m: number) => ({ wide_m: Math.max(wide_m, thick_m) }),
    },
    wide_m: {
      ...{ ...lump, title: 'Width of a lump', label: 'and wide', testID: 'layer-wide', range: { least: 0.002, most: 1 } },
      brings: ({ thick_m }: LaidAs<'chunks'>, wide_m: number) => ({ thick_m: Math.min(thick_m, wide_m) }),
    },
    cover: maybeCover,
  },
  usual: (before) => ({
    ...{ perArea_kg_m2: before.form === 'frit' ? before.perArea_kg_m2 : 20, thick_m: 0.01, wide_m: 0.03 },
    ...coverBefore(before),
  }),
  inBody(layer, glass, density_kg_m3) {
    const { perArea_kg_m2, thick_m, wide_m, cover: share = 1 } = withGaps(layer, density_kg_m3);
    return { form: 'chunks', glass, perArea_kg_m2, thick_m, wide_m, ...(share < 1 ? { cover: share } : {}) };
  },
  // What was lumps has no more edges of them than grains that have run together.
  sunkIn({ thick_m: _thick, wide_m: _wide, perArea_kg_m2, cover: share = 1, ...rest }) {
    return { ...rest, name: rest.name ?? NAME, form: 'frit', perArea_kg_m2: perArea_kg_m2 * share, cover: 1 };
  },
  caution: 'Breaking and sawing glass: a face shield, gloves, and under a cloth or in a bag. Lumps from a cold shed want a day in the warm first.',
} as const satisfies LayerKind<'chunks'>;
