import { type LayerKind, across, coverBefore, maybeCover } from './layer';

const fields = { diameter_m: across, cover: maybeCover } as const;

export const rod = {
  name: 'Rod',
  fields,
  usual: (before) => ({ diameter_m: 0.005, ...coverBefore(before) }),
  caution: 'Nipping rod throws chips: eye protection, and nip under a cloth or into a box.',
} as const satisfies LayerKind<'rod'>;

export const stringer = {
  name: 'Stringer',
  fields,
  usual: (before) => ({ diameter_m: 0.002, ...coverBefore(before) }),
  caution: 'Stringer snaps into needles: eye protection, and gather the ends wet.',
} as const satisfies LayerKind<'stringer'>;
