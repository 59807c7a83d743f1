/** What is committed as compiled is what its source compiles to. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

test('conduct.wasm.ts, relax.wasm.ts and balance.wasm.ts are their sources in assembly, compiled; else run node scripts/compile.mjs', () => {
  const root = join(__dirname, '..');
  const compiled = execFileSync(process.execPath, [join(root, 'scripts/compile.mjs'), '--print'], { encoding: 'utf8' });
  const committed = ['heat/conduct.wasm.ts', 'stress/relax.wasm.ts', 'field/balance.wasm.ts'].map((file) =>
    readFileSync(join(root, 'packages/core/src', file), 'utf8'),
  );
  expect(committed.join('')).toBe(compiled);
});
