/**
 * Metal-coated sheet: the coating lifts where it lies bare. It wants to lie face down, or under a clear cap cut a little
 * bigger all round so that no edge of it is left open.
 */
import type { BodyInput } from '../body/body';
import { type Layer, coverOf } from '../body/layers';

/** A cap should stand over by at least this share of the coated sheet's thickness. */
const LEAST_OVERHANG_SHARE = 0.5;

export interface CoatingFinding {
  /** Index of the coated layer. */
  layer: number;
  state: 'faceDown' | 'capped' | 'cappedFlush' | 'onShelf' | 'bare' | 'facing';
  message: string;
}

const MESSAGES: Record<CoatingFinding['state'], string> = {
  faceDown: 'The coating faces down and is held by what it lies on.',
  capped: 'The coating is covered and the cap stands over its rim.',
  cappedFlush: 'The cap is no bigger than the coated sheet: the coating is open at its rim. Cut the cap a little bigger all round.',
  onShelf: 'The coating lies on the shelf and takes the primer with it. Lay a sheet under it or turn it up under a cap.',
  bare: 'The coating lies bare and may lift. Turn it face down or cap it with clear cut a little bigger all round.',
  facing: 'Two coated faces lie on each other: they never bond, however hot. Turn one of the sheets over.',
};

type Coated = Extract<Layer, { form: 'sheet' }>;

const isCoated = (layer: Layer | undefined, side: 'up' | 'down'): boolean => layer?.form === 'sheet' && layer.coated === side;

/** Whether its coating lies on another coating. */
const facesAnother = (layers: readonly Layer[], index: number): boolean =>
  (isCoated(layers[index], 'up') && isCoated(layers[index + 1], 'down')) || (isCoated(layers[index], 'down') && isCoated(layers[index - 1], 'up'));

function stateOf(layers: readonly Layer[], index: number): CoatingFinding['state'] {
  const layer = layers[index] as Coated;
  if (facesAnother(layers, index)) return 'facing';
  if (layer.coated === 'down') return index > 0 ? 'faceDown' : 'onShelf';
  const above = layers.slice(index + 1).find((one) => coverOf(one) >= 1 && (one.form === 'sheet' || one.form === 'cap'));
  if (!above) return 'bare';
  const overhang = above.form === 'cap' ? (above.overhang_m ?? 0) : 0;
  return overhang >= LEAST_OVERHANG_SHARE * layer.thickness_m ? 'capped' : 'cappedFlush';
}

/** What can be said of every coated sheet in a lay-up. */
export const coatingFindings = ({ layers }: Pick<BodyInput, 'layers'>): CoatingFinding[] =>
  layers.flatMap((layer, index) => {
    if (layer.form !== 'sheet' || layer.coated === undefined) return [];
    const state = stateOf(layers, index);
    return [{ layer: index, state, message: MESSAGES[state] }];
  });

/** Layers whose coating must not dawdle: bare ones, until a firing has bonded them to their glass. Covered or face down it is held. */
export const exposedCoatings = ({ layers, joined = false }: Pick<BodyInput, 'layers'> & { joined?: boolean }): number[] =>
  joined ? [] : coatingFindings({ layers }).flatMap(({ state, layer }) => (state === 'bare' && !layers[layer].solid ? [layer] : []));
