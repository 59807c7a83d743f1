/**
 * npm run demo: everything from nothing to the demo studio in the browser. --fresh moves the old data aside; --own starts a
 * studio of one's own instead, with typical shelves and nothing made yet, in a folder of its own.
 */
import { existsSync, renameSync } from 'node:fs';
import { isAbsolute, join } from 'node:path';
import { build, install, root, say, startServer } from './lib.mjs';

install();
await build();

const own = process.argv.includes('--own');
const data = process.env.TORVIN_DATA ?? (own ? 'studio' : 'data');
const dataDir = isAbsolute(data) ? data : join(root, data);
if (process.argv.includes('--fresh') && existsSync(dataDir)) {
  const aside = `${dataDir}-${new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-')}`;
  renameSync(dataDir, aside);
  say(`The old data was moved to ${aside}`);
}

const { child, address } = startServer({ TORVIN_DATA: data, ...(own ? { TORVIN_START: 'own' } : {}) });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
await address;
say('Stop it with Ctrl+C; it keeps what you change.');
