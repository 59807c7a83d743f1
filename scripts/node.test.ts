/** An older Node is told so in a sentence, before anything is read that it does not have. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const check = pathToFileURL(join(__dirname, 'node.mjs')).href;
const by = (version: string) =>
  spawnSync(
    process.execPath,
    ['--input-type=module', '-e', `Object.defineProperty(process.versions, 'node', { value: '${version}' }); await import('${check}');`],
    { encoding: 'utf8' },
  );

test.each(['14.21.3', '18.20.4'])('Node %s is too old', (version) => {
  const { status, stderr } = by(version);
  expect([status, stderr]).toEqual([1, `Torvin needs Node 20 or newer; this is Node ${version}.\n`]);
});

test.each(['20.0.0', '24.1.0'])('Node %s may run it', (version) => expect(by(version).status).toBe(0));
