/** What can be done from anywhere, as it is found by words. */
import { KINDS, SHELF_KINDS, kindOf } from '@torvin/schema';
import type { Href } from 'expo-router';
import { PLACES } from '@/ui/places';
import { RECKON, openShared } from '@/ui/shared';
import { ACTS } from './words';

export interface Act {
  id: string;
  title: string;
  /** All that it is found by. */
  text: string;
  go: Href | (() => void);
}

const act = (id: string, { title, also }: { title: string; also: string }, go: Act['go']): Act => ({ id, title, text: `${title} ${also}`, go });

export const ALL_ACTS: readonly Act[] = [
  act('new-piece', ACTS.newPiece, '/pieces/new'),
  act('load', ACTS.load, '/bench/load'),
  act('calculate', ACTS.calculate, () => openShared(RECKON)),
  ...SHELF_KINDS.filter((kind) => kindOf(kind).from === undefined).map((kind) =>
    act(`new-${kind}`, ACTS.newRecord(KINDS[kind].one), { pathname: '/shelves/[kind]/[id]', params: { kind, id: 'new' } }),
  ),
  ...PLACES.map(({ name, href }) => act(`place-${name.toLowerCase()}`, ACTS.place(name), href)),
  act('settings', ACTS.settings, '/settings'),
  act('backup', ACTS.backup, '/settings?open=backup'),
  act('units', ACTS.units, '/settings?open=units'),
  act('screen', ACTS.screen, '/settings?open=screen'),
  act('alerts', ACTS.alerts, '/settings?open=alerts'),
  act('devices', ACTS.devices, '/settings?open=devices'),
  act('device', ACTS.device, '/settings?open=device'),
  act('practise', ACTS.practise, '/kiln/practice'),
  act('rehearse', ACTS.rehearse, '/kiln/rehearsal'),
  act('import', ACTS.importPiece, '/pieces'),
  act('help', ACTS.help, '/help'),
  act('report', ACTS.report, '/settings/diagnostics'),
];

/** Shown where nothing is typed yet. */
const FIRST = ['new-piece', 'calculate', 'backup', 'practise', 'settings', 'help'];
export const FIRST_ACTS: readonly Act[] = ALL_ACTS.filter(({ id }) => FIRST.includes(id));
