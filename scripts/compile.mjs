/**
 * node scripts/compile.mjs: compiles the engine's inner loops (packages/core/assembly) to WebAssembly, as text that a module can hold.
 * Hexadecimal is longer than other ways to write it, and packs smaller.
 * To be run when they are changed; what it writes is committed, and a test holds that it was run.
 */
import { Buffer } from 'node:buffer';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import asc from 'assemblyscript/asc';
import { root, say, words } from './lib.mjs';

/** Each source, and where what it compiles to is held. */
const LOOPS = [
  { from: 'conduct', to: 'heat/conduct.wasm.ts' },
  { from: 'relax', to: 'stress/relax.wasm.ts' },
  { from: 'balance', to: 'field/balance.wasm.ts' },
];
const OPTIONS = ['-O3', '--runtime', 'stub', '--noAssert', '--importMemory', '--enable', 'simd'];

const { print } = words('node scripts/compile.mjs: writes the compiled loops; with --print only shows them', { print: { type: 'boolean' } });
for (const { from, to } of LOOPS) {
  let binary = new Uint8Array();
  const { error, stderr } = await asc.main([`packages/core/assembly/${from}.ts`, '--baseDir', root, ...OPTIONS, '--outFile', `${from}.wasm`], {
    writeFile: (_, contents) => void (binary = contents),
  });
  if (error) throw new Error(stderr.toString());
  const text = `/** assembly/${from}.ts, compiled by scripts/compile.mjs. */
export const ${from.toUpperCase()}_WASM =
  '${Buffer.from(binary).toString('hex')}';
`;
  if (print) process.stdout.write(text);
  else {
    writeFileSync(join(root, 'packages/core/src', to), text);
    say(`packages/core/src/${to}: ${text.length} bytes`);
  }
}
