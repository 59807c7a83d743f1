/** Whether this Node can run Torvin, said before anything is read that an older one does not have. */
import { readFileSync } from 'node:fs';

const { engines } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8'));
const least = Number(/\d+/.exec(engines.node)[0]);
if (Number(process.versions.node.split('.')[0]) < least) {
  process.stderr.write(`Torvin needs Node ${least} or newer; this is Node ${process.versions.node}.\n`);
  process.exit(1);
}
