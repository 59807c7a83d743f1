/** All that finding says, in one place; figures come in as they are written. */
export const FIND_WORDS = {
  title: 'Find',
  close: 'Close Find',
  label: 'Find anything',
  hint: 'pieces, firings, notes, glasses, moulds, kilns, calculations, help',
  nothing: (typed: string): string => `No match for ‘${typed}’. Fewer words find more.`,
  offline: 'The server does not answer: this is what the browser holds.',
  more: (count: number): string => `${count} more`,
  found: (count: number): string => (count === 1 ? '1 found' : `${count} found`),
  groups: { acts: 'Do', pieces: 'Pieces', firings: 'Firings', records: 'Shelves', reckonings: 'Calculations', help: 'Help' },
  piece: (changed: string): string => `changed ${changed}`,
  finished: 'finished',
  archived: 'archived',
  firing: (look: string, top: string, hold: string, when: string): string => `${look}, ${top} for ${hold}, ${when}`,
  of: (place: string): string => `in ${place}`,
} as const;

/** Acts by what they are called, with other words that they are found by. */
export const ACTS = {
  newPiece: { title: 'New piece', also: 'begin start add create design lay up' },
  load: { title: 'Fire several pieces together', also: 'one load compose share kiln shelf what fits' },
  calculate: { title: 'Calculate', also: 'reckon how much mass weight strips blank convert units frit' },
  newRecord: (one: string): { title: string; also: string } => ({ title: `New ${one}`, also: 'add enter shelf' }),
  backup: { title: 'Back up', also: 'save copy download restore backup' },
  settings: { title: 'Settings', also: 'preferences options' },
  units: { title: 'Units', also: 'celsius fahrenheit inch mm gram ounce settings preferences' },
  screen: { title: 'Light or dark screen', also: 'theme look night settings' },
  alerts: { title: 'Alerts and keys', also: 'sound notification shortcuts settings' },
  devices: { title: 'Open on a phone', also: 'devices passcode qr network tablet settings' },
  device: { title: 'This device without the server', also: 'offline install settings' },
  practise: { title: 'Practise a controller', also: 'practice learn keys panel' },
  rehearse: { title: 'Rehearse a firing', also: 'rehearsal simulate try' },
  importPiece: { title: 'Import a piece file', also: 'take in open json file' },
  help: { title: 'Help', also: 'papers documentation manual about version licences' },
  report: { title: 'Fault report', also: 'diagnostics bug problem' },
  place: (name: string): { title: string; also: string } => ({ title: name, also: 'go to open' }),
} as const;
