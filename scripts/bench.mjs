/** npm run bench: prints what things cost on this machine, as figures and as ratios. Asserts nothing. */
import { build, findChromium, install, tool } from './lib.mjs';

install();
await build();
tool('tsx', ['bench/main.ts'], { CHROMIUM_PATH: findChromium() ?? '' });
