/** Words for a piece's outline and how it stands, shared by every page that names them. */
import { type Footprint, footprintSpan } from '../body/footprint';
import { SETUP_NAMES, type SetUpKind } from '../schedule/setups';
import { WARE_NAMES, type Ware } from '../ware/wares';
import type { LengthUnit } from '../units/convert';
import { formatLength, text } from '../units/format';
import type { PlannedSetUp, PlannedStep } from './document';
import type { Shelf } from './shelf';

export function footprintWords(footprint: Footprint, unit: LengthUnit): string {
  if (footprint.shape === 'disc') return `disc of ${text(formatLength(footprint.diameter_m, unit))}`;
  if (footprint.shape === 'ring') return `ring of ${text(formatLength(footprint.diameter_m, unit))}, ${text(formatLength(footprint.inner_m, unit))} inside`;
  if (footprint.shape === 'polygon') return `outline of ${footprint.corners_m.length} corners, ${text(formatLength(footprintSpan(footprint), unit))} across`;
  const sides = `${formatLength(footprint.width_m, unit).figure} × ${text(formatLength(footprint.length_m, unit))}`;
  return footprint.shape === 'oval' ? `oval of ${sides}` : sides;
}

/** How what is fired with no glass stands, by where that is. */
const wareStands = (ware: Ware, kind: SetUpKind): string =>
  `${WARE_NAMES[ware.of].toLowerCase()}${ware.cone === undefined ? '' : ` to cone ${ware.cone}`}, ${ware.of === 'shelf' ? SHELF_STANDS[kind] : SETUP_NAMES[kind].toLowerCase()}`;

/** A shelf that is fired itself lies on no other. */
export const SHELF_STANDS: Partial<Record<SetUpKind, string>> = {
  bareShelf: 'on low posts',
  raisedShelf: 'on high posts',
  floorShelf: 'on the floor',
  board: 'on fibre board',
};

/** under: the release of the studio's own that is under the glass, by its name. */
export const setupWords = ({ kind, paper, wet, shaping }: Pick<PlannedSetUp, 'kind' | 'paper' | 'wet' | 'shaping'>, under?: string): string =>
  `${shaping?.kind === 'ware' ? wareStands(shaping, kind) : SETUP_NAMES[kind].toLowerCase()}${under !== undefined ? `, ${under}` : paper ? ', on fibre paper' : ''}${wet ? `, ${wet}` : ''}`;

/** How a planned firing stands, with what of the studio's own is under the glass. */
export const standsAs = ({ setup, releaseId }: Pick<PlannedStep, 'setup' | 'releaseId'>, { releases }: Pick<Shelf, 'releases'>): string =>
  setupWords(setup, releases.find(({ id }) => id === releaseId)?.name);
