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
  state: 'faceDown' | 'capped' | 'cappedFlush' | 'onShelf' | 'bare';
  message: string;
}

const MESSAGES: Record<CoatingFinding['state'], string> = {
  faceDown: 'The coating faces down and is held by what it lies on.',
  capped: 'The coating is covered and the cap stands over its rim.',
  cappedFlush: 'The cap is no bigger than the coated sheet: the coating is open at its rim. Cut the cap a little bigger all round.',
  onShelf: 'The coating lies on the shelf and takes the primer with it. Lay a sheet under it or turn it up under a cap.',
  bare: 'The coating lies bare and may lift. Turn it face down or cap it with clear cut a little bigger all round.',
};

type Coated = Extract<Layer, { form: 'sheet' }>;

function stateOf(layers: readonly Layer[], index: number): CoatingFinding['state'] {
  const layer = layers[index] as Coated;
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

/** Layers whose coating must not dawdle. */
export const exposedCoatings = (body: Pick<BodyInput, 'layers'>): number[] =>
  coatingFindings(body)
    .filter(({ state }) => state === 'bare' || state === 'cappedFlush' || state === 'onShelf')
    .map(({ layer }) => layer);
