/** npm run bench: prints what things cost on this machine, as figures and as ratios. Asserts nothing. */
import { build, bundleForNode, findChromium, install, run, words } from './lib.mjs';

words('npm run bench: what things cost on this machine; it takes no words', {});
await install();
await build();
// Bundled as the product is: loaded file by file the engine would pay for every name that crosses a file.
await bundleForNode({ main: 'benchmarks/main.ts' }, 'dist/benchmarks');
// With room enough for a run's garbage, so that what it allocates can be counted.
run(process.execPath, ['--expose-gc', '--min-semi-space-size=1024', '--max-semi-space-size=1024', 'dist/benchmarks/main.mjs'], {
  CHROMIUM_PATH: findChromium() ?? '',
});
