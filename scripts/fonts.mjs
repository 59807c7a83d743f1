/**
 * node scripts/fonts.mjs: cuts the fonts that ship (apps/web/src/theme/fonts) out of those that are installed, to the letters and signs
 * that Latin scripts, figures and the interface need, as woff2. To be run when a font is changed; what it writes is committed.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import subsetFont from 'subset-font';
import { root, say } from './lib.mjs';

const FONTS = {
  AtkinsonHyperlegibleNext_400Regular: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular',
  AtkinsonHyperlegibleNext_700Bold: '@expo-google-fonts/atkinson-hyperlegible-next/700Bold',
  BarlowSemiCondensed_400Regular: '@expo-google-fonts/barlow-semi-condensed/400Regular',
  BarlowSemiCondensed_700Bold: '@expo-google-fonts/barlow-semi-condensed/700Bold',
};

/** Latin with its extensions, marks to be put on letters, Greek for figures, punctuation, raised and lowered figures, fractions, arrows, operators. */
const RANGES = [
  [0x20, 0x7e],
  [0xa0, 0x24f],
  [0x300, 0x36f],
  [0x391, 0x3c9],
  [0x1e00, 0x1eff],
  [0x2000, 0x20bf],
  [0x2100, 0x22ff],
  [0x25a0, 0x25ff],
];
const letters = RANGES.flatMap(([first, last]) => Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i))).join('');

const to = join(root, 'apps/web/src/theme/fonts');
mkdirSync(to, { recursive: true });
const require = createRequire(import.meta.url);
for (const [name, from] of Object.entries(FONTS)) {
  const whole = readFileSync(require.resolve(`${from}/${name}.ttf`));
  const cut = await subsetFont(whole, letters, { targetFormat: 'woff2' });
  writeFileSync(join(to, `${name}.woff2`), cut);
  say(`${name}: ${whole.length} bytes, cut to ${cut.length}`);
}
