/**
 * What tests begin from: the demo studio, a studio of ten years, the engine's worker. Made once for the sources that they follow from,
 * kept beside other caches; prints the folder. Two that ask at once wait for one another.
 */
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { bundleForNode, hashOf, root, toolOutput } from './lib.mjs';

const all = join(root, 'node_modules', '.cache', 'torvin', 'fixtures');
const folder = join(all, hashOf(['package-lock.json', 'packages', 'apps/server/src', 'scripts/fixtures.mjs']).slice(0, 16));
const WAITS_AT_MOST_MS = 120_000;

async function make() {
  for (const old of existsSync(all) ? readdirSync(all) : []) rmSync(join(all, old), { recursive: true, force: true });
  const making = `${folder}.making`;
  mkdirSync(making, { recursive: true });
  const test = join(root, 'apps', 'server', 'src', 'test');
  await bundleForNode({ computeWorker: join(root, 'apps/server/src/compute/worker.ts'), make: join(test, 'makeFixtures.ts') }, making);
  await toolOutput(process.execPath, [join(making, 'make.mjs'), making, join(root, 'apps/server/src/db/migrations')]);
  renameSync(making, folder);
}

const lock = join(root, 'node_modules', '.cache', 'torvin', 'fixtures.lock');
mkdirSync(join(lock, '..'), { recursive: true });
const since = Date.now();
while (!existsSync(folder)) {
  try {
    mkdirSync(lock);
  } catch {
    // Whoever made it may have been ended before it was done.
    const left = existsSync(lock) && Date.now() - statSync(lock).mtimeMs > WAITS_AT_MOST_MS;
    if (left || Date.now() - since > 2 * WAITS_AT_MOST_MS) rmSync(lock, { recursive: true, force: true });
    await new Promise((resolve) => setTimeout(resolve, 100));
    continue;
  }
  try {
    if (!existsSync(folder)) await make();
  } finally {
    rmSync(lock, { recursive: true, force: true });
  }
}
process.stdout.write(`${folder}\n`);
