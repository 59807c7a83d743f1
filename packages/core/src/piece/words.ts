/** Words for how a piece stands, shared by every page that names them. */
import { SETUP_NAMES, type SetUpKind } from '../schedule/setups';
import { EMPTY_ITEM_NAMES, type EmptyItem } from '../emptyFiring/emptyItems';
import type { PlannedSetUp, PlannedStep } from './document';
import type { Shelf } from './shelf';

/** How what is fired with no glass stands, by where that is. */
const emptyItemStands = (item: EmptyItem, kind: SetUpKind): string =>
  `${EMPTY_ITEM_NAMES[item.of].toLowerCase()}${item.cone === undefined ? '' : ` to cone ${item.cone}`}, ${item.of === 'shelf' ? SHELF_STANDS[kind] : SETUP_NAMES[kind].toLowerCase()}`;

/** A shelf that is fired itself lies on no other. */
export const SHELF_STANDS: Partial<Record<SetUpKind, string>> = {
  bareShelf: 'on low posts',
  raisedShelf: 'on high posts',
  floorShelf: 'on the floor',
  board: 'on fibre board',
};

/** under: the release of the studio's own that is under the glass, by its name. */
export const setupWords = ({ kind, paper, wet, shaping, form }: Pick<PlannedSetUp, 'kind' | 'paper' | 'wet' | 'shaping' | 'form'>, under?: string): string =>
  `${shaping?.kind === 'ware' ? emptyItemStands(shaping, kind) : SETUP_NAMES[kind].toLowerCase()}${form?.name ? `, ${form.name}` : ''}${under !== undefined ? `, ${under}` : paper ? ', on fibre paper' : ''}${wet ? `, ${wet}` : ''}`;

/** How a planned firing stands, with what of the studio's own is under the glass. */
export const standsAs = ({ setup, releaseId }: Pick<PlannedStep, 'setup' | 'releaseId'>, { releases }: Pick<Shelf, 'releases'>): string =>
  setupWords(setup, releases.find(({ id }) => id === releaseId)?.name);
