/** Every form of glass that can be laid, by its name in documents. A new one is its file and a line here. */
import type { Layer } from '../../body/layers';
import type { LengthUnit } from '../../units/convert';
import { LENGTH } from '../../units/measure';
import { suggested } from '../../units/suggested';
import type { LaidLayer, LayerForm } from '../laid';
import { cap } from './cap';
import { chunks } from './chunks';
import { frit, powder } from './grains';
import type { LayerField, LayerKind } from './layer';
import { pieces } from './pieces';
import { rod, stringer } from './rods';
import { sheet } from './sheet';

export const LAYER_KINDS = { sheet, cap, pieces, rod, stringer, frit, powder, chunks } as const satisfies { [F in LayerForm]: LayerKind<F> };

export interface AskedOfLayer extends LayerField<LaidLayer> {
  key: string;
  /** Undefined where it is not told and nothing is usual. */
  value: number | undefined;
}

/** What can be set of a layer, with what stands there now. */
export const askedOf = (layer: LaidLayer): AskedOfLayer[] =>
  Object.entries(LAYER_KINDS[layer.form].fields as Record<string, LayerField<LaidLayer>>)
    .map(([key, field]) => {
      const told: unknown = layer[key as keyof LaidLayer];
      return { ...field, key, value: typeof told === 'number' ? told : field.usual };
    })
    .filter(({ asks }) => asks?.(layer) ?? true);

/** With another figure of it, and what that brings. */
export const withFigure = (layer: LaidLayer, { key, brings }: Pick<AskedOfLayer, 'key' | 'brings'>, value: number): LaidLayer =>
  ({ ...layer, [key]: value, ...brings?.(layer, value) }) as LaidLayer;

/** A usual layer of a form, of the same glass and, where that has a meaning, the same depth and cover. length: the studio's, what is suggested is round in it. */
export function inForm(layer: LaidLayer, form: LayerForm, length: LengthUnit = 'mm'): LaidLayer {
  const { fields, usual } = LAYER_KINDS[form];
  const round = Object.entries(usual(layer)).map(([key, value]) => {
    const isLength = (fields as Record<string, LayerField<LaidLayer> | undefined>)[key]?.of === LENGTH;
    return [key, isLength && typeof value === 'number' && value > 0 ? suggested(value, length) : value];
  });
  return { id: layer.id, glassId: layer.glassId, ...(layer.name ? { name: layer.name } : {}), form, ...Object.fromEntries(round) } as LaidLayer;
}

/** Which form it is only the compiler does not see. */
const kindOf = ({ form }: LaidLayer): LayerKind<LayerForm> => LAYER_KINDS[form] as LayerKind<LayerForm>;

export const inBody = (layer: LaidLayer, glass: number, density_kg_m3: number): Layer => kindOf(layer).inBody(layer, glass, density_kg_m3);

/** Everything that can has run in. */
export const sunkIn = (layer: LaidLayer): LaidLayer => kindOf(layer).sunkIn?.(layer) ?? layer;
