import type { Layer } from '../../body/layers';
import type { LaidLayer } from '../laid';
import { type LaidAs, type LayerKind, coverBefore, maybeCover, strewn } from './layer';

type Grains = LaidAs<'frit' | 'powder'>;

function inBody({ id: _id, glassId: _glassId, name: _name, flipped: _flipped, ...rest }: Grains, glass: number): Layer {
  return { ...rest, glass };
}

const sunkIn = (layer: Grains): LaidLayer => ({ ...layer, perArea_kg_m2: layer.perArea_kg_m2 * (layer.cover ?? 1), cover: 1 });

const fields = { perArea_kg_m2: strewn, cover: maybeCover } as const;

export const frit = {
  name: 'Frit',
  fields,
  usual: (before) => ({ perArea_kg_m2: before.form === 'chunks' ? before.perArea_kg_m2 : 2, ...coverBefore(before) }),
  inBody,
  sunkIn,
  caution: 'Frit is dust as well as grains: a respirator, no sweeping dry, wash hands before eating.',
} as const satisfies LayerKind<'frit'>;

export const powder = {
  name: 'Powder',
  fields,
  usual: (before) => ({ perArea_kg_m2: 0.3, ...coverBefore(before) }),
  inBody,
  sunkIn,
  caution: 'Powder hangs in the air and harms the lungs for good: a fitted respirator, no draught, clean up wet, change clothes.',
} as const satisfies LayerKind<'powder'>;
