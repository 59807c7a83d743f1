/**
 * node scripts/compile.mjs: compiles the engine's inner loops (packages/core/assembly) to WebAssembly, as text that a module can hold.
 * To be run when they are changed; what it writes is committed, and a test holds that it was run.
 */
import { Buffer } from 'node:buffer';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import asc from 'assemblyscript/asc';
import { root, say, words } from './lib.mjs';

const TO = join(root, 'packages/core/src/heat/conduct.wasm.ts');

const OPTIONS = ['-O3', '--runtime', 'stub', '--noAssert', '--importMemory', '--enable', 'simd'];

words('node scripts/compile.mjs: writes the compiled loops; with --print only shows them', { print: { type: 'boolean' } });
let binary = new Uint8Array();
const { error, stderr } = await asc.main(['packages/core/assembly/conduct.ts', '--baseDir', root, ...OPTIONS, '--outFile', 'conduct.wasm'], {
  writeFile: (_, contents) => void (binary = contents),
});
if (error) throw new Error(stderr.toString());
const text = `/** assembly/conduct.ts, compiled by scripts/compile.mjs. */
export const CONDUCT_WASM =
  '${Buffer.from(binary).toString('base64')}';
`;
if (process.argv.includes('--print')) process.stdout.write(text);
else {
  writeFileSync(TO, text);
  say(`packages/core/src/heat/conduct.wasm.ts: ${text.length} bytes`);
}
