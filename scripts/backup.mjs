/** npm run backup: a studio as one file, put back from one, and as open files; the server may run meanwhile, but for putting one back. */
import { build, install, root, run, words } from './lib.mjs';
import { join, resolve } from 'node:path';

const { own, to, restore, files } = words(
  `npm run backup [-- words]: writes one file with all of the studio, while it runs or not

  --to <folder>       where it is written; otherwise to 'backups' in the data folder
  --restore <file>    puts a backup in the place of the data, which is moved aside; no server may run on it
  --files             writes the studio as open files instead: JSON for each piece, tables, pictures
  --own               of the studio in 'studio' instead of the demo's in 'data'

Settings: TORVIN_DATA is the data folder, TORVIN_BACKUPS the folder of its backups.`,
  { own: { type: 'boolean' }, to: { type: 'string' }, restore: { type: 'string' }, files: { type: 'boolean' } },
);
await install();
await build();
const task = restore === undefined ? { to: to && resolve(to), files } : { restore: resolve(restore) };
const data = process.env.TORVIN_DATA ?? (own ? 'studio' : 'data');
process.exit(run(process.execPath, [join(root, 'dist/server/backup.mjs'), JSON.stringify(task)], { TORVIN_DATA: data }) ? 0 : 1);
