/** npm run demo: everything from nothing to the demo studio in the browser. --fresh moves the old data aside. */
import { existsSync, renameSync } from 'node:fs';
import { isAbsolute, join } from 'node:path';
import { build, install, root, say, startServer } from './lib.mjs';

install();
await build();

const data = process.env.TORVIN_DATA ?? 'data';
const dataDir = isAbsolute(data) ? data : join(root, data);
if (process.argv.includes('--fresh') && existsSync(dataDir)) {
  const aside = `${dataDir}-${new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-')}`;
  renameSync(dataDir, aside);
  say(`The old data was moved to ${aside}`);
}

const { child, address } = startServer();
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
await address;
say('Stop it with Ctrl+C; it keeps what you change.');
