/** What is bundled for Node must load as one module: a package that asks for others by name stays outside of it. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

test.each([
  ['the server', 'apps/server/src/main.ts'],
  ['the benchmarks, which drive a browser', 'benchmarks/main.ts'],
])('%s asks for no package by name while it runs', (_, entry) => {
  const folder = mkdtempSync(join(tmpdir(), 'torvin-bundle-'));
  try {
    const script = `import('./scripts/lib.mjs').then(({ bundleForNode }) => bundleForNode({ made: ${JSON.stringify(entry)} }, ${JSON.stringify(folder)}))`;
    execFileSync(process.execPath, ['-e', script], { cwd: process.cwd() });
    const made = readFileSync(join(folder, 'made.mjs'), 'utf8');
    expect(made.length).toBeGreaterThan(100_000);
    expect([...made.matchAll(/\b__require\d*\("([^"]+)"\)/g)].map(([, name]) => name)).toEqual([]);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
