import { type Layer, ROW_OF_RODS } from '../../body/layers';
import type { PlacedPart } from '../../plan/parts';
import type { LaidLayer } from '../laid';
import { type LaidAs, type LayerKind, across, coverBefore, maybeCover } from './layer';

type Rods = LaidAs<'rod' | 'stringer'>;

const inBody = ({ form, diameter_m, cover }: Rods, glass: number): Layer => ({ form, glass, diameter_m, ...(cover === undefined ? {} : { cover }) });

/** Rods that were placed are recorded by where they lie, in a sheet of as much glass; others by thinner ones without gaps. */
function sunkIn(layer: Rods): LaidLayer {
  const { diameter_m, cover = 1, placed, form: _form, ...rest } = layer;
  if (!placed) return { ...layer, diameter_m: diameter_m * cover, cover: 1 };
  const along = placed.map((part): PlacedPart =>
    part.outline.shape === 'rod' ? { ...part, outline: { ...part.outline, shape: 'strip', width_m: diameter_m } } : part,
  );
  return { ...rest, form: 'sheet', thickness_m: ROW_OF_RODS * diameter_m * cover, inlaid: along };
}

const fields = { diameter_m: across, cover: maybeCover } as const;

export const rod = {
  name: 'Rod',
  fields,
  usual: (before) => ({ diameter_m: 0.005, ...coverBefore(before) }),
  inBody,
  sunkIn,
  caution: 'Nipping rod throws chips: eye protection, and nip under a cloth or into a box.',
} as const satisfies LayerKind<'rod'>;

export const stringer = {
  name: 'Stringer',
  fields,
  usual: (before) => ({ diameter_m: 0.002, ...coverBefore(before) }),
  inBody,
  sunkIn,
  caution: 'Stringer snaps into needles: eye protection, and gather the ends wet.',
} as const satisfies LayerKind<'stringer'>;
