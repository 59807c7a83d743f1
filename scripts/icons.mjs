/**
 * node scripts/icons.mjs: draws the icons that a phone puts on its home screen (apps/web/public/icons) from the mark. To be run when the mark
 * is changed; what it writes is committed.
 */
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { root, say } from './lib.mjs';

const mark = readFileSync(join(root, 'apps/web/public/mark.svg'));
const folder = join(root, 'apps/web/public/icons');
const GROUND = '#E9F0ED';
/** A launcher may cut a maskable icon to a circle of 80 %: the mark lies within. */
const SHARES = { any: 0.86, maskable: 0.58 };

mkdirSync(folder, { recursive: true });
for (const [purpose, share] of Object.entries(SHARES)) {
  for (const size of [192, 512]) {
    const input = await sharp(mark, { density: 1200 })
      .trim()
      .resize(Math.round(size * share))
      .png()
      .toBuffer();
    const name = `${purpose}-${size}.png`;
    await sharp({ create: { width: size, height: size, channels: 4, background: GROUND } })
      .composite([{ input, gravity: 'centre' }])
      .png({ palette: true })
      .toFile(join(folder, name));
    say(name);
  }
}
