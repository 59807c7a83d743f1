/** A lay-up as it is drawn and named: each layer with its glass's name and colour, and its depth where it lies. */
import { withId } from './byId';
import type { EmptyItemKind } from '../emptyFiring/emptyItems';
import { layerDepth } from '../body/layers';
import { type Footprint, footprintArea } from '../body/footprint';
import type { FormShape } from '../form/shape';
import type { Shaping } from '../look/shaping';
import type { BodyNow, RanAs } from './bodyNow';
import type { LaidLayer, LayerForm } from './document';
import { FILL } from './handSteps';
import { withGaps } from './lumps';
import { type Span, spansOf } from './placed';
import { type Shelf, glassName, lying, namedGlasses } from './shelf';

export interface DrawnLayer {
  name: string;
  colour: string;
  /** Where it lies, its own gaps closed. */
  thickness_m: number;
  form?: LayerForm;
  /** Share of the outline that it covers. */
  cover?: number;
  count?: number;
  /** Where its parts stand as they are seen from the side, from the middle, m; spread evenly where they are left out. */
  spans_m?: readonly Span[];
  coated?: 'up' | 'down';
  /** How thick and how wide one of its lumps is, m. */
  lump?: { thick_m: number; wide_m: number };
  /** Of made glass: what it is of, with their shares, from the lowest up or from left to right. */
  stripes?: readonly { colour: string; share: number }[];
  /** Its stripes lie one on another; from the front to the back. */
  stacked?: true;
  crosswise?: true;
  /** Its edges have been round since a firing. */
  softened?: true;
  /** It is no glass: a shelf or mould that is fired by itself. */
  ware?: EmptyItemKind;
}

/** In or over what a firing has bent it, and how far down it came. form: the studio's own. */
export interface BentOn {
  shaping: Shaping;
  down_m: number;
  form?: FormShape;
}

/** A body as it is drawn from the side. */
export interface DrawnBody {
  footprint: Footprint;
  layers: DrawnLayer[];
  bent: BentOn | null;
  ran: RanAs | null;
}

/** What of a body shows from the side. */
export interface BodyProfile extends Pick<BodyNow, 'footprint' | 'layers' | 'solid' | 'heated' | 'ran'> {
  /** Of a casting, where it is thickest, m; null of everything else. */
  thickest_m: number | null;
  /** How far its middle stands over its rim, m; under it, as in a bowl, negative. */
  crown_m: number;
  bent: BentOn | null;
}

export function bodyProfile({ footprint, layers, solid, heated, casting, formed, ran }: BodyNow): BodyProfile {
  const down_m = formed?.down_m ?? 0;
  const form = formed?.by.setup.form?.shape;
  const bent = formed && { shaping: formed.shaping, down_m, ...(form ? { form } : {}) };
  const crown_m = formed?.shaping.kind === 'former' ? down_m : -down_m;
  return { footprint, layers, solid, heated, thickest_m: casting?.thickest_m ?? null, crown_m, bent, ran };
}

/** What the steps so far have made of it. */
export function drawnBody({ footprint, layers, solid: { from, to }, heated, thickest_m, bent, ran }: BodyProfile, shelf: Shelf | undefined): DrawnBody {
  const isCold = (i: number): boolean => i < heated.from || i >= heated.to;
  const drawn = drawnLayers(layers, shelf, footprint, isCold).map((layer, i) => (i >= from && i < to ? melted(layer, ran) : layer));
  // What has filled a mould is drawn as deep as its thickest section, in the colour of the most of it.
  const most = drawn.reduce<DrawnLayer | null>((deepest, one) => (deepest && deepest.thickness_m >= one.thickness_m ? deepest : one), null);
  const solid = thickest_m !== null && most ? [{ name: most.name, colour: most.colour, thickness_m: thickest_m }] : drawn;
  return { footprint, layers: solid, bent, ran };
}

/** Grains and rods that have run together lie as a sheet does; the edges of pieces are round. */
function melted(layer: DrawnLayer, ran: RanAs | null): DrawnLayer {
  const { form, cover = 1, ...rest } = layer;
  if (ran?.as === 'lace' && (form === 'frit' || form === 'powder')) return { ...layer, form: 'frit', cover: cover * (1 - ran.open) };
  if (form === 'pieces') return { ...layer, softened: true };
  return cover < 1 || form === undefined || form === 'cap' ? layer : { ...rest, form: 'sheet' };
}

const UNKNOWN_COLOUR = '#9AA8A2';
/** Of a glass that the shelf does not know, kg/m³: how deep its grains are drawn. */
const UNKNOWN_DENSITY_kg_m3 = 2500;

/** Made glass as it is drawn: in the colour of the most of it, with its stripes where it has any. */
function stripesShown(layer: LaidLayer, shelf: Shelf): { colour: string; drawn: Pick<DrawnLayer, 'stripes' | 'stacked' | 'crosswise'> } | undefined {
  const made = withId(shelf.made, layer.glassId);
  if (!made) return undefined;
  const colours = made.stripes.map((stripe) => ({
    colour: withId(shelf.glasses, stripe.glassId)?.colour ?? UNKNOWN_COLOUR,
    share: stripe.share,
  }));
  const most = colours.reduce((one, other) => (other.share > one.share ? other : one));
  const { lie, stripes } = lying(made, colours, layer);
  const way = lie === 'level' ? { stacked: true as const } : lie === 'crosswise' ? { crosswise: true as const } : {};
  return { colour: most.colour, drawn: stripes.length > 1 && lie !== 'mixed' ? { stripes, ...way } : {} };
}

/** What fills a spot stands in its middle, as wide as that is. */
function spotOf(layer: LaidLayer, footprint: Footprint): Span[] | undefined {
  if (layer.form !== 'frit' || layer.name !== FILL || layer.cover === undefined) return undefined;
  const half_m = Math.sqrt((layer.cover * footprintArea(footprint)) / Math.PI);
  return [[-half_m, half_m]];
}

/** The layers as they are drawn, with the names and colours that the shelf has for them now. isCold: of those, by index, that no firing has struck yet. footprint: where it is to be known where their parts stand. */
export function drawnLayers(
  layers: readonly LaidLayer[],
  shelf: Shelf | undefined,
  footprint?: Footprint,
  isCold: (index: number) => boolean = () => false,
): DrawnLayer[] {
  const named = shelf ? namedGlasses(shelf) : [];
  return layers.map((told, i) => {
    const density_kg_m3 = withId(named, told.glassId)?.constants.density_kg_m3 ?? UNKNOWN_DENSITY_kg_m3;
    const layer = told.form === 'chunks' ? withGaps(told, density_kg_m3) : told;
    const glass = shelf && withId(shelf.glasses, layer.glassId);
    const striped = shelf && stripesShown(layer, shelf);
    const spans = footprint && (spotOf(layer, footprint) ?? spansOf(layer, footprint));
    return {
      name: shelf ? glassName(shelf, layer.glassId) : layer.glassId,
      colour: (isCold(i) ? glass?.coldColour : undefined) ?? glass?.colour ?? striped?.colour ?? UNKNOWN_COLOUR,
      thickness_m: layerDepth(layer, density_kg_m3),
      form: layer.form,
      ...('cover' in layer && layer.cover !== undefined ? { cover: layer.cover } : {}),
      ...(layer.form === 'pieces' ? { count: layer.count } : {}),
      ...(layer.form === 'chunks' ? { lump: { thick_m: layer.thick_m, wide_m: layer.wide_m } } : {}),
      ...(spans ? { spans_m: spans } : {}),
      ...(striped?.drawn ?? {}),
      ...(layer.form === 'sheet' && layer.coated ? { coated: layer.coated } : {}),
    };
  });
}
