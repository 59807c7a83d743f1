/** What is committed as compiled is what its source compiles to. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

test('conduct.wasm.ts is assembly/conduct.ts, compiled; else run node scripts/compile.mjs', () => {
  const root = join(__dirname, '..');
  const compiled = execFileSync(process.execPath, [join(root, 'scripts/compile.mjs'), '--print'], { encoding: 'utf8' });
  expect(readFileSync(join(root, 'packages/core/src/heat/conduct.wasm.ts'), 'utf8')).toBe(compiled);
});
