/** A lay-up as it is drawn and named: each layer with its glass's name and colour, and its depth where it lies. */
import type { WareKind } from '../ware/wares';
import { layerDepth } from '../body/layers';
import type { LayerForm, PieceDocument } from './document';
import { type Shelf, namedGlasses } from './shelf';

export interface DrawnLayer {
  name: string;
  colour: string;
  /** Where it lies, its own gaps closed. */
  thickness_m: number;
  form?: LayerForm;
  /** Share of the outline that it covers. */
  cover?: number;
  count?: number;
  coated?: 'up' | 'down';
  /** It is no glass: a shelf or mould that is fired by itself. */
  ware?: WareKind;
}

const UNKNOWN_COLOUR = '#9AA8A2';
/** Of a glass that the shelf does not know, kg/m³: how deep its grains are drawn. */
const UNKNOWN_DENSITY_kg_m3 = 2500;

/** The layers as they are drawn, with the names and colours that the shelf has for them now. */
export function drawnLayers(doc: Pick<PieceDocument, 'layers'>, shelf: Shelf | undefined): DrawnLayer[] {
  const named = shelf ? namedGlasses(shelf) : [];
  return doc.layers.map((layer) => {
    const glass = shelf?.glasses.find(({ id }) => id === layer.glassId);
    return {
      name: glass?.name ?? layer.glassId,
      colour: glass?.colour ?? UNKNOWN_COLOUR,
      thickness_m: layerDepth(layer, named.find(({ id }) => id === layer.glassId)?.constants.density_kg_m3 ?? UNKNOWN_DENSITY_kg_m3),
      form: layer.form,
      ...('cover' in layer && layer.cover !== undefined ? { cover: layer.cover } : {}),
      ...(layer.form === 'pieces' ? { count: layer.count } : {}),
      ...(layer.form === 'sheet' && layer.coated ? { coated: layer.coated } : {}),
    };
  });
}
