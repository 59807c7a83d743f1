/** Where each request goes, without what it is held to: all that is needed to ask. */
export interface At {
  method: 'get' | 'post' | 'put' | 'delete';
  /** In Express's notation. */
  path: string;
}

const get = (path: string): At => ({ method: 'get', path });
const post = (path: string): At => ({ method: 'post', path });
const put = (path: string): At => ({ method: 'put', path });
const remove = (path: string): At => ({ method: 'delete', path });

export const AT = {
  diagnostics: get('/api/diagnostics'),
  health: get('/api/health'),
  studio: get('/api/studio'),
  saveStudio: put('/api/studio'),
  shelves: get('/api/shelves'),
  madeUses: get('/api/uses/made'),
  formUses: get('/api/uses/forms'),
  pieces: get('/api/pieces'),
  piece: get('/api/pieces/:id'),
  createPiece: post('/api/pieces'),
  savePiece: put('/api/pieces/:id'),
  undoPiece: post('/api/pieces/:id/undo'),
  redoPiece: post('/api/pieces/:id/redo'),
  deletePiece: remove('/api/pieces/:id'),
  restorePiece: post('/api/pieces/:id/restore'),
  filePiece: put('/api/pieces/:id/filing'),
  pieceFile: get('/api/pieces/:id/file'),
  importPiece: post('/api/import'),
  saveSchedule: post('/api/pieces/:id/schedules'),
  versions: get('/api/pieces/:id/schedules'),
  alike: get('/api/schedules/:id/alike'),
  forKiln: get('/api/for-kiln'),
  suggestedLoads: get('/api/for-kiln/together'),
  schedule: get('/api/schedules/:id'),
  nameSchedule: put('/api/schedules/:id/name'),
  firings: get('/api/firings'),
  firing: get('/api/firings/:id'),
  nearest: get('/api/firings/:id/nearest'),
  learned: get('/api/learned'),
  seen: get('/api/seen'),
  used: get('/api/used-set-up'),
  find: get('/api/find'),
  bench: get('/api/bench'),
  access: get('/api/access'),
  enter: post('/api/access/enter'),
  changePasscode: put('/api/access/passcode'),
  endDevice: remove('/api/access/devices/:id'),
  aside: get('/api/aside'),
  eraseAside: post('/api/aside/erase'),
  backups: get('/api/backups'),
  makeBackup: post('/api/backups'),
  deleteBackup: remove('/api/backups/:id'),
  restoreBackup: post('/api/backups/:id/restore'),
  programs: get('/api/programs'),
  keyProgram: post('/api/programs'),
  removeProgram: remove('/api/programs/:id'),
  restoreProgram: post('/api/programs/:id/restore'),
  reckonings: get('/api/reckonings'),
  keepReckoning: post('/api/reckonings'),
  loads: get('/api/loads'),
  load: get('/api/loads/:id'),
  addReadings: post('/api/loads/:id/readings'),
  saveLoad: put('/api/loads/:id'),
  recordFiring: post('/api/firings'),
  saveFiring: put('/api/firings/:id'),
  deleteFiring: remove('/api/firings/:id'),
  restoreFiring: post('/api/firings/:id/restore'),
};

/** Of the kind of record that has this path. */
export function atOfKind(path: string) {
  const one = `/api/${path}/:id`;
  return { list: get(`/api/${path}`), one: get(one), save: put(one), archive: post(`${one}/archive`), remove: remove(one), restore: post(`${one}/restore`) };
}
